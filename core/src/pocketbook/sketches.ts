import {
  type Path,
  type Point,
  arc,
  circlePoint,
  closedPath,
  line,
  openPath,
  point,
  polygon,
} from '../geometry/index.js'
import type { Sketch, SketchWord } from './entry.js'

const rectangle = (x: number, y: number, w: number, h: number): Path =>
  polygon([point(x, y), point(x + w, y), point(x + w, y + h), point(x, y + h)])
const stroke = (from: Point, to: Point): Path => openPath([line(from, to)])
const circle = (centre: Point, radius: number): Path => {
  const [right, left] = [point(centre.x + radius, centre.y), point(centre.x - radius, centre.y)]
  return closedPath([arc(right, left, centre, Math.PI), arc(left, right, centre, Math.PI)])
}

/** Sketches laid over each other. */
export const together = (...all: readonly Sketch[]): Sketch => ({
  strokes: all.flatMap((s) => s.strokes),
  words: all.flatMap((s) => s.words),
})

/** Section of leather `thickness` thick, bent by `angle` round an inner radius, with straight legs. */
export function bent(angle: number, inner: number, thickness: number, leg = 12): Sketch {
  const outer = inner + thickness
  const centre = point(0, 0)
  const turn = Math.min(Math.max(angle, 0.01), 2 * Math.PI - 0.01)
  const [start, end] = [-Math.PI / 2, -Math.PI / 2 - turn]
  const [so, si, eo, ei] = [
    circlePoint(centre, outer, start),
    circlePoint(centre, inner, start),
    circlePoint(centre, outer, end),
    circlePoint(centre, inner, end),
  ]
  const along = (p: Point, way: Point): Point => point(p.x + way.x * leg, p.y + way.y * leg)
  const right = point(1, 0)
  const away = circlePoint(point(0, 0), 1, end - Math.PI / 2)
  const path = closedPath([
    line(along(so, right), so),
    arc(so, eo, centre, -turn),
    line(eo, along(eo, away)),
    line(along(eo, away), along(ei, away)),
    line(along(ei, away), ei),
    ...(inner > 0 ? [arc(ei, si, centre, turn)] : [line(ei, si)]),
    line(si, along(si, right)),
    line(along(si, right), along(so, right)),
  ])
  return { strokes: [{ path, style: 'leather' }], words: [] }
}

/** A strip with ticks at the ends of the lengths that follow each other along it, each with its figure. */
export function strip(lengths: readonly number[], height: number): Sketch {
  const total = lengths.reduce((a, b) => a + b, 0)
  let x = 0
  const words = lengths.map((length) => {
    const at = point(x + length / 2, height / 2)
    x += length
    return { at, text: '{}', mm: length }
  })
  let at = 0
  const marks = lengths.slice(0, -1).map((length) => {
    at += length
    return { path: stroke(point(at, -height * 0.15), point(at, height * 1.15)), style: 'mark' as const }
  })
  return {
    strokes: [{ path: rectangle(0, 0, Math.max(total, 0.1), height), style: 'leather' }, ...marks],
    words,
  }
}

/** A row of holes `margin` mm in from an edge. */
export function holeRow(
  length: number,
  holes: readonly number[],
  margin: number,
  joints: readonly number[] = [],
): Sketch {
  const slots = holes.slice(0, 120).map((x) => ({
    path: stroke(point(x - 0.5, margin + 0.5), point(x + 0.5, margin - 0.5)),
    style: 'hole' as const,
  }))
  const steps = joints.map((x) => ({
    path: stroke(point(x, 0), point(x, margin * 2.4)),
    style: 'mark' as const,
  }))
  return {
    strokes: [{ path: rectangle(0, 0, length, margin * 2.4), style: 'leather' }, ...slots, ...steps],
    words: [],
  }
}

/** Holes from one end to the other at an even pitch. */
export const evenHoles = (length: number, stitches: number, margin = 3): Sketch =>
  holeRow(
    length,
    Array.from({ length: Math.min(stitches, 120) + 1 }, (_, i) => (length * i) / Math.max(1, stitches)),
    margin,
  )

/** A quarter of a panel's rounded corner, its inner and outer parallels. */
export function corner(radius: number, inside: number, outside: number): Sketch {
  const quarter = (r: number): Path => openPath([arc(point(0, -r), point(r, 0), point(0, 0), Math.PI / 2)])
  const kept = [radius - inside, radius, radius + outside].filter((r) => r > 0.05)
  return {
    strokes: kept.map((r, i) => ({
      path: quarter(r),
      style: i === kept.length - 1 ? ('line' as const) : r === radius ? ('line' as const) : ('mark' as const),
    })),
    words: [{ at: point(radius * 0.3, -radius * 0.3), text: 'R {}', mm: radius }],
  }
}

/** A panel with a measure written in it: words in which `{}` is a length, mm, or an area, mm². */
export const board = (
  width: number,
  height: number,
  text: string,
  measure: Pick<SketchWord, 'mm' | 'area'> = {},
): Sketch => ({
  strokes: [{ path: rectangle(0, 0, Math.max(width, 0.1), Math.max(height, 0.1)), style: 'leather' }],
  words: [{ at: point(width / 2, height / 2), text, ...measure }],
})

/** Round things from the front: cord and cover, tube and flange, shank and head. */
export const rounds = (...diameters: readonly number[]): Sketch => ({
  strokes: diameters
    .filter((d) => d > 0)
    .map((d, i) => ({
      path: circle(point(0, 0), d / 2),
      style: i === 0 ? ('leather' as const) : ('line' as const),
    })),
  words: diameters.map((d, i) => ({
    at: point(Math.max(...diameters) * 0.62, i * Math.max(...diameters) * 0.22),
    text: '{}',
    mm: d,
  })),
})

/** A slanting wall over a table. */
export function wall(height: number, slope: number, width: number): Sketch {
  const run = height / Math.tan(Math.max(slope, 0.05))
  const path = openPath([
    line(point(-10, 0), point(0, 0)),
    line(point(0, 0), point(run, -height)),
    line(point(run, -height), point(run + width, -height)),
  ])
  return {
    strokes: [{ path, style: 'line' }],
    words: [{ at: point(run + width / 2, -height / 2), text: '{}', mm: height }],
  }
}

/** A handle over its chord. */
export function handle(chord: number, rise: number): Sketch {
  const radius = (chord ** 2 / 4 + rise ** 2) / (2 * rise)
  const angle = 2 * Math.atan2(chord / 2, radius - rise)
  const centre = point(chord / 2, radius - rise)
  return {
    strokes: [
      { path: openPath([arc(point(0, 0), point(chord, 0), centre, angle)]), style: 'leather' },
      { path: stroke(point(0, 0), point(chord, 0)), style: 'mark' },
    ],
    words: [{ at: point(chord / 2, -rise / 2), text: '{}', mm: rise }],
  }
}

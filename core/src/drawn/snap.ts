import { type Path, type Point, boxCentre, pathBox, pathNearest, pointDistance } from '../geometry/index.js'
import { outlineOf } from './outline.js'
import type { DrawnPanel } from './schema.js'

/** Whole stitches are taken from no farther than this share of a pitch: between two there has to be room to stand free. */
const NEAREST_SHARE = 1 / 5

/** What a point may be drawn to while it is moved. */
export interface SnapTo {
  /** The point being moved; it does not snap to itself. */
  readonly index: number
  /** Outlines of neighbours, in this panel's own coordinates, with what they are called. */
  readonly neighbours: readonly { readonly name: string; readonly path: Path }[]
  /** Pitch of the iron, mm. */
  readonly pitch: number
  /** How near is near, mm. */
  readonly within: number
}

/** Where the point goes, and what it was drawn to, in words. */
export interface Snapped {
  readonly at: Point
  readonly said: readonly string[]
}

/** The value of `candidates` nearest to `to` within reach. */
function nearest<T extends { readonly value: number }>(
  candidates: readonly T[],
  to: number,
  within: number,
): T | undefined {
  const near = candidates.filter((c) => Math.abs(c.value - to) <= within)
  return near.reduce<T | undefined>(
    (a, b) => (a && Math.abs(a.value - to) <= Math.abs(b.value - to) ? a : b),
    undefined,
  )
}

/** Upright and level lines through the middle, and through the other points. */
function lines(panel: DrawnPanel, index: number) {
  const centre = boxCentre(pathBox(outlineOf(panel).path))
  const others = panel.nodes.flatMap((n, i) => (i === index ? [] : [{ n, i }]))
  return {
    across: [
      { value: panel.mirror?.way === 'upright' ? panel.mirror.at : centre.x, words: 'on the centre line' },
      ...others.map(({ n, i }) => ({ value: n.x, words: `plumb with point ${i + 1}` })),
    ],
    down: [
      { value: panel.mirror?.way === 'level' ? panel.mirror.at : centre.y, words: 'level with the centre' },
      ...others.map(({ n, i }) => ({ value: n.y, words: `level with point ${i + 1}` })),
    ],
  }
}

/** A length from the point before that is a whole number of stitches. */
function wholePitches(panel: DrawnPanel, { index, pitch, within }: SnapTo, to: Point): Snapped | undefined {
  const before = panel.nodes[(index + panel.nodes.length - 1) % panel.nodes.length]
  if (!before || (panel.mirror && index === 0)) return undefined
  const length = pointDistance(before, to)
  const count = Math.round(length / pitch)
  const near = Math.min(within, pitch * NEAREST_SHARE)
  if (count < 1 || Math.abs(length - count * pitch) > near || length === 0) return undefined
  const scale = (count * pitch) / length
  return {
    at: { x: before.x + (to.x - before.x) * scale, y: before.y + (to.y - before.y) * scale },
    said: [
      `${count} whole pitches from point ${((index + panel.nodes.length - 1) % panel.nodes.length) + 1}`,
    ],
  }
}

/**
 * Draws a moved point to what lies near: a neighbour's edge first, then the centre, level and plumb with other points,
 * and where none of those hold it, whole pitches from the point before. Says in words what it was drawn to.
 */
export function snapPoint(panel: DrawnPanel, to: Point, reach: SnapTo): Snapped {
  for (const { name, path } of reach.neighbours) {
    const near = pathNearest(path, to)
    if (near.distance <= reach.within)
      return { at: near.at, said: [`on the edge of the ${name.toLowerCase()}`] }
  }
  const { across, down } = lines(panel, reach.index)
  const [x, y] = [nearest(across, to.x, reach.within), nearest(down, to.y, reach.within)]
  if (x || y)
    return {
      at: { x: x?.value ?? to.x, y: y?.value ?? to.y },
      said: [x, y].flatMap((s) => (s ? [s.words] : [])),
    }
  return wholePitches(panel, reach, to) ?? { at: to, said: [] }
}

import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import fontkit from '@pdf-lib/fontkit'
import type { Derived } from '@drumlin/core/derived'
import { pieceDrawing } from '@drumlin/core/drawing'
import { type Point, pathPoints } from '../../src/geometry/index.js'
// Measured off the font itself, not off the core's own table of it.
const require = createRequire(import.meta.url)
const face = (weight: number) =>
  fontkit.create(
    readFileSync(
      require.resolve(
        `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
      ),
    ),
  )
const [plain, bold] = [face(400), face(700)]
const widths = new Map<string, number>()
function textWidth(words: string, size: number, heavy = false): number {
  const key = `${heavy ? 'b' : 'p'}${words}`
  let width = widths.get(key)
  if (width === undefined) {
    const font = heavy ? bold : plain
    width =
      [...words].reduce((sum, l) => sum + font.glyphForCodePoint(l.codePointAt(0)!).advanceWidth, 0) /
      font.unitsPerEm
    widths.set(key, width)
  }
  return width * size
}
/** The tallest and the lowest letters of these words, shares of the type's height. */
const [ASCENT, DESCENT] = [0.7, 0.2]

interface Quad {
  readonly words: string
  readonly corners: readonly Point[]
}

/** Whether two convex outlines share a place, by the lines that could part them. */
function overlap(a: readonly Point[], b: readonly Point[]): boolean {
  for (const ring of [a, b])
    for (let i = 0; i < ring.length; i += 1) {
      const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!]
      const [nx, ny] = [-(q.y - p.y), q.x - p.x]
      const on = (r: readonly Point[]) => r.map((c) => c.x * nx + c.y * ny)
      const [s, t] = [on(a), on(b)]
      if (Math.max(...s) <= Math.min(...t) || Math.max(...t) <= Math.min(...s)) return false
    }
  return true
}

export interface Collisions {
  readonly texts: number
  readonly overCut: readonly string[]
  readonly overHoles: readonly string[]
  readonly overEachOther: readonly string[]
}

/** Words of a piece’s drawing that lie over a cut line, a hole or each other, counted from what is drawn. */
export function collisions(derived: Derived, unit: 'mm' | 'in'): Collisions {
  const [overCut, overHoles, overEachOther]: string[][] = [[], [], []]
  let texts = 0
  for (const piece of derived.pieces) {
    const drawn = pieceDrawing(piece, derived.design, unit)
    const quads: Quad[] = drawn.flatMap((d) => {
      if (d.type !== 'text') return []
      const long = textWidth(d.text, d.size, d.bold)
      const back = d.anchor === 'middle' ? long / 2 : d.anchor === 'end' ? long : 0
      const at = (s: number, t: number): Point => ({
        x: d.at.x + s * Math.cos(d.angle) - t * Math.sin(d.angle),
        y: d.at.y + s * Math.sin(d.angle) + t * Math.cos(d.angle),
      })
      const [top, foot] = [-ASCENT * d.size, DESCENT * d.size]
      return [
        {
          words: d.text,
          corners: [at(-back, top), at(long - back, top), at(long - back, foot), at(-back, foot)],
        },
      ]
    })
    texts += quads.length
    const chords = (layer: string): Point[][] =>
      drawn.flatMap((d) => {
        if (d.type !== 'stroke' || d.layer !== layer) return []
        const points = pathPoints(d.path, 0.05)
        const ring = d.path.closed ? [...points, points[0]!] : points
        return ring.slice(1).map((p, i) => [ring[i]!, p])
      })
    const [cut, holes] = [chords('cut'), chords('holes')]
    quads.forEach((q, i) => {
      if (cut.some((c) => overlap(q.corners, c))) overCut!.push(`${piece.id}: ${q.words}`)
      if (holes.some((c) => overlap(q.corners, c))) overHoles!.push(`${piece.id}: ${q.words}`)
      for (const other of quads.slice(i + 1))
        if (overlap(q.corners, other.corners)) overEachOther!.push(`${piece.id}: ${q.words} | ${other.words}`)
    })
  }
  return { texts, overCut: overCut!, overHoles: overHoles!, overEachOther: overEachOther! }
}

import {
  type Point,
  line,
  openPath,
  pathCrossings,
  pathMoved,
  pointDistance,
  pointDot,
  pointSubtract,
  pointUnit,
  segmentTangent,
} from '../geometry/index.js'
import { firstOf, nth, foundIn, required } from '../lists/index.js'
import type { LaidSheet, LaidUp } from './laid.js'

/** Edges and folds that a section meets at a smaller sine than this run along it: no bend is drawn of them. */
const LEAST_SLANT = 0.2
/** A turned edge is turned over what begins at least this far inside it, mm. */
const INSIDE = 0.5

/** One layer going round a bend: the heights it wraps, mm. */
export interface BendRing {
  readonly sheets: readonly [string, string]
  readonly outer: readonly [number, number]
  readonly inner: readonly [number, number]
}

/** Layers going round a closed fold or a turned edge, seen in the section. */
export interface TransectBend {
  /** Where the flat layers end and the bend begins, mm along the section. */
  readonly at: number
  /** 1 where it bends away towards the end of the section, −1 towards its start. */
  readonly toward: 1 | -1
  /** How much wider than true the bend shows because the section crosses it at a slant. */
  readonly stretch: number
  readonly rings: readonly BendRing[]
}

export type HeightAt = (laid: LaidSheet, along: number) => readonly [number, number] | undefined

/** Beside a border the heights are read this far inside, mm. */
const BESIDE = 0.05

const ringOf = (
  sheets: readonly [string, string],
  a: readonly [number, number] | undefined,
  b: readonly [number, number] | undefined,
): BendRing[] => {
  if (!a || !b) return []
  const [low, high] = a[0] <= b[0] ? [a, b] : [b, a]
  return [{ sheets, outer: [low[0], high[1]], inner: [low[1], Math.max(low[1], high[0])] }]
}

/** Turned edges the section crosses. The bend reaches exactly to the finished edge. */
export function turnBends(work: LaidUp, from: Point, to: Point, heightAt: HeightAt): TransectBend[] {
  const cut = openPath([line(from, to)])
  const length = pointDistance(from, to)
  const along = pointUnit(pointSubtract(to, from))
  return work.sheets
    .filter((s) => s.part === 'turn')
    .flatMap((flap) => {
      const body = foundIn(work.sheets, (s) => s.part === 'whole' && s.sheet.id === flap.sheet.id)
      return required(flap.work, 'work').turned.flatMap((t) => {
        const edge = pathMoved(t.finished, flap.sheet.move)
        return pathCrossings(cut, edge).flatMap(({ parameter, at }): TransectBend[] => {
          const s = parameter * length
          const crossing = pathCrossings(edge, cut).find((c) => pointDistance(c.at, at) < 1e-6)
          if (!crossing) return []
          const tangent = segmentTangent(nth(edge.segments, crossing.segment), crossing.parameter)
          const slant = Math.abs(along.x * tangent.y - along.y * tangent.x)
          if (slant < LEAST_SLANT) return []
          const before = heightAt(body, s - BESIDE)
          const toward = before ? 1 : -1
          // What it is turned over begins the leather's thickness inside the finished edge.
          const depth = Math.min(t.turn.fate.width / 2, t.turn.atFold.value + INSIDE)
          const inside = s - (toward * depth) / slant
          const rings = ringOf(
            [body.sheet.id, `${flap.sheet.id}~turn`],
            heightAt(body, inside),
            heightAt(flap, inside),
          )
          if (rings.length === 0) return []
          const radius = (firstOf(rings).outer[1] - firstOf(rings).outer[0]) / 2
          return [{ at: s - (toward * radius) / slant, toward, stretch: 1 / slant, rings }]
        })
      })
    })
}

/** Closed folds the section crosses. */
export function foldBends(work: LaidUp, from: Point, to: Point, heightAt: HeightAt): TransectBend[] {
  const along = pointUnit(pointSubtract(to, from))
  return (work.layup.bends ?? []).flatMap(({ sheets, at, outward }) => {
    const slant = pointDot(along, outward)
    if (Math.abs(slant) < LEAST_SLANT) return []
    const s = pointDot(pointSubtract(at, from), outward) / slant
    const toward = slant > 0 ? 1 : -1
    const [a, b] = sheets.map((id) => work.sheets.find((one) => one.part === 'whole' && one.sheet.id === id))
    if (!a || !b) return []
    const inside = s - toward * 2 * BESIDE
    const rings = ringOf(sheets, heightAt(a, inside), heightAt(b, inside))
    return rings.length > 0 ? [{ at: s, toward, stretch: 1 / Math.abs(slant), rings }] : []
  })
}

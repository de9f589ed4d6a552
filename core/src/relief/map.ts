import { floatAt } from '../lists/index.js'
import {
  type Box,
  type Point,
  boxGrown,
  boxUnion,
  pathMoved,
  pathPoints,
  pointMoved,
} from '../geometry/index.js'
import { type EdgeProfile, profileLevel } from '../edges/index.js'
import type { LaidSheet, LaidUp } from '../layup/index.js'
import { type Band, ringClipped } from '../master/index.js'

/** Thickness of the laid-up work on a grid of square cells, row by row from the top, each read at its middle, mm. */
export interface ReliefMap {
  readonly left: number
  readonly top: number
  readonly step: number
  readonly columns: number
  readonly rows: number
  readonly heights: Float32Array
}

/** Bare ground shown round the work, mm. */
const GROUND = 3
/** Curves are walked as chords this near, mm. */
const CHORDS = 0.001

/** Rows of a grid that a line of points covers; called with the row and where it enters and leaves, in mm. */
type Fill = (row: number, from: number, to: number) => void

/** The middle of a cell. */
export const cellPlace = (map: ReliefMap, column: number, row: number): Point => ({
  x: map.left + (column + 0.5) * map.step,
  y: map.top + (row + 0.5) * map.step,
})

/** Thickness on the map where a place lies; 0 outside it. */
export function mapHeight(map: ReliefMap, p: Point): number {
  const column = Math.floor((p.x - map.left) / map.step)
  const row = Math.floor((p.y - map.top) / map.step)
  if (column < 0 || row < 0 || column >= map.columns || row >= map.rows) return 0
  return map.heights[row * map.columns + column]!
}

/** Every stretch of every row inside a ring of points (odd-even rule). */
function scan(ring: readonly Point[], map: ReliefMap, fill: Fill): void {
  const { top, step, rows } = map
  const crossings: number[][] = []
  ring.forEach((a, i) => {
    const b = ring[i === 0 ? ring.length - 1 : i - 1]!
    const [low, high] = a.y < b.y ? [a, b] : [b, a]
    // Rows whose middle lies in [low.y, high.y).
    const first = Math.max(0, Math.ceil((low.y - top) / step - 0.5))
    const last = Math.min(rows - 1, Math.ceil((high.y - top) / step - 0.5) - 1)
    for (let row = first; row <= last; row += 1) {
      const y = top + (row + 0.5) * step
      const x = low.x + ((high.x - low.x) * (y - low.y)) / (high.y - low.y)
      ;(crossings[row] ??= []).push(x)
    }
  })
  crossings.forEach((xs, row) => {
    xs.sort((a, b) => a - b)
    for (let k = 0; k + 1 < xs.length; k += 2) fill(row, xs[k]!, xs[k + 1]!)
  })
}

/** First and last column whose middle lies in a stretch. */
const columnsOf = (map: ReliefMap, from: number, to: number): readonly [number, number] => [
  Math.max(0, Math.ceil((from - map.left) / map.step - 0.5)),
  Math.min(map.columns - 1, Math.ceil((to - map.left) / map.step - 0.5) - 1),
]

/** A stretch cut down to what counts of a sheet. */
function clipped(laid: LaidSheet, y: number, from: number, to: number): readonly [number, number] {
  let [a, b] = [from, to]
  for (const { at, inward } of laid.sheet.clips) {
    const rest = (y - at.y) * inward.y
    if (Math.abs(inward.x) < 1e-12) {
      if (rest <= 0) return [0, 0]
      continue
    }
    const edge = at.x - rest / inward.x
    if (inward.x > 0) a = Math.max(a, edge)
    else b = Math.min(b, edge)
  }
  return [a, b]
}

/** A band laid where its sheet lies: what it leaves falls evenly from one line to the other. */
interface LaidBand {
  readonly ring: readonly Point[]
  readonly from: Point
  readonly to: Point
  readonly band: Band
}

const laidBands = ({ bands, sheet }: LaidSheet): LaidBand[] =>
  bands
    .filter((b) => b.planned && !b.hollow)
    .flatMap((band) =>
      band.areas.map((area) => ({
        band,
        ring: pathPoints(pathMoved(area.outline, sheet.move), CHORDS),
        from: pointMoved(area.from, sheet.move),
        to: pointMoved(area.to, sheet.move),
      })),
    )

/** Lowers a sheet's own heights to what a band leaves. */
function lower({ ring, from, to, band }: LaidBand, map: ReliefMap, own: Float64Array): void {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const whole = dx * dx + dy * dy
  scan(ring, map, (row, a, b) => {
    const [first, last] = columnsOf(map, a, b)
    const y = map.top + (row + 0.5) * map.step
    for (let i = first; i <= last; i += 1) {
      const x = map.left + (i + 0.5) * map.step
      const along = ((x - from.x) * dx + (y - from.y) * dy) / whole
      const level = band.start + (band.end - band.start) * Math.min(1, Math.max(0, along))
      const at = row * map.columns + i
      if (floatAt(own, at) > level) own[at] = level
    }
  })
}

/** Squared distance of every cell within reach from a profile's line; Infinity beyond. */
function distances({ points, reach }: EdgeProfile, laid: LaidSheet, map: ReliefMap): Float64Array {
  const near = new Float64Array(map.columns * map.rows).fill(Infinity)
  const placed = points.map((p) => pointMoved(p, laid.sheet.move))
  for (let k = 1; k < placed.length; k += 1) {
    const [a, b] = [placed[k - 1]!, placed[k]!]
    const [ux, uy] = [b.x - a.x, b.y - a.y]
    const length = ux * ux + uy * uy
    const [i0, i1] = columnsOf(map, Math.min(a.x, b.x) - reach, Math.max(a.x, b.x) + reach)
    const r0 = Math.max(0, Math.floor((Math.min(a.y, b.y) - reach - map.top) / map.step))
    const r1 = Math.min(map.rows - 1, Math.ceil((Math.max(a.y, b.y) + reach - map.top) / map.step))
    for (let row = r0; row <= r1; row += 1) {
      const wy = map.top + (row + 0.5) * map.step - a.y
      for (let i = i0; i <= i1; i += 1) {
        const wx = map.left + (i + 0.5) * map.step - a.x
        const t = length === 0 ? 0 : Math.min(1, Math.max(0, (wx * ux + wy * uy) / length))
        const [ex, ey] = [wx - ux * t, wy - uy * t]
        const d = ex * ex + ey * ey
        const at = row * map.columns + i
        if (d < floatAt(near, at)) near[at] = d
      }
    }
  }
  return near
}

/** A sheet's own thickness where skives or turned edges change it. */
function ownHeights(laid: LaidSheet, map: ReliefMap): Float64Array {
  const turn = laid.part === 'turn'
  const own = new Float64Array(map.columns * map.rows).fill(turn ? 0 : laid.thickness)
  for (const profile of laid.profiles) {
    const near = distances(profile, laid, map)
    const max = profile.reach * profile.reach
    for (let at = 0; at < near.length; at += 1) {
      const d = floatAt(near, at)
      if (d > max) continue
      const level = profileLevel(profile, Math.sqrt(d))
      own[at] = turn ? Math.max(floatAt(own, at), level) : Math.min(floatAt(own, at), level)
    }
  }
  for (const band of laidBands(laid)) lower(band, map, own)
  return own
}

const isPlain = (laid: LaidSheet): boolean =>
  laid.part === 'whole' && laid.profiles.length === 0 && !laid.bands.some((b) => b.planned && !b.hollow)

/** The part of a map that a sheet can reach: the same cells, fewer of them. */
function windowOf(map: ReliefMap, { box }: LaidSheet): { part: ReliefMap; column: number; row: number } {
  const index = (v: number, max: number): number => Math.max(0, Math.min(max, Math.floor(v)))
  const column = index((box.left - map.left) / map.step, map.columns)
  const row = index((box.top - map.top) / map.step, map.rows)
  const part = {
    ...map,
    left: map.left + column * map.step,
    top: map.top + row * map.step,
    columns: index((box.right - map.left) / map.step + 1, map.columns) - column,
    rows: index((box.bottom - map.top) / map.step + 1, map.rows) - row,
  }
  return { part, column, row }
}

function addSheet(laid: LaidSheet, map: ReliefMap): void {
  const { part, column, row: first } = windowOf(map, laid)
  const own = isPlain(laid) ? undefined : ownHeights(laid, part)
  scan(pathPoints(laid.placed, CHORDS), map, (row, a, b) => {
    const y = map.top + (row + 0.5) * map.step
    const [from, to] = clipped(laid, y, a, b)
    const [start, end] = columnsOf(map, from, to)
    for (let i = start; i <= end; i += 1)
      map.heights[row * map.columns + i]! += own
        ? floatAt(own, (row - first) * part.columns + i - column)
        : laid.thickness
  })
}

/** What of a sheet counts, as a box; undefined where nothing does. */
function shownBox({ placed, sheet }: LaidSheet): Box | undefined {
  const ring = ringClipped(pathPoints(placed, CHORDS), sheet.clips)
  if (ring.length === 0) return undefined
  const [xs, ys] = [ring.map((p) => p.x), ring.map((p) => p.y)]
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) }
}

/** All of the leather that counts, where it lies. */
export const workBox = (work: LaidUp): Box =>
  boxUnion(work.sheets.filter((s) => s.sheet.type === 'panel').flatMap((s) => shownBox(s) ?? []))

/**
 * Thickness of the work on a grid of `step` mm; what is carried lies in it where asked for. Each cell holds what
 * `thicknessAt` gives for its middle. Linear in the area; docs/formulas.md §16.
 */
export function reliefMap(
  work: LaidUp,
  step: number,
  contents = false,
  box = boxGrown(workBox(work), GROUND),
): ReliefMap {
  const columns = Math.max(1, Math.ceil((box.right - box.left) / step))
  const rows = Math.max(1, Math.ceil((box.bottom - box.top) / step))
  const map = { left: box.left, top: box.top, step, columns, rows, heights: new Float32Array(columns * rows) }
  for (const laid of work.sheets) if (contents || laid.sheet.type === 'panel') addSheet(laid, map)
  return map
}

/** The greatest thickness on a map, mm. */
export function mapThickest({ heights }: ReliefMap): number {
  let max = 0
  for (const height of heights) if (height > max) max = height
  return max
}

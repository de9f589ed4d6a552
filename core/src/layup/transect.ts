import {
  type Path,
  type Point,
  line,
  openPath,
  pathCrossings,
  pathMoved,
  pointBetween,
  pointDistance,
  pointMoved,
} from '../geometry/index.js'
import { type LaidSheet, type LaidUp, sheetThickness } from './laid.js'

/** One layer's height over a stretch of the transect: straight from `start` to `end`, mm along and above the lowest face. */
export interface LayerSpan {
  readonly start: number
  readonly end: number
  readonly bottom: readonly [number, number]
  readonly top: readonly [number, number]
}

export interface TransectLayer {
  readonly sheetId: string
  readonly name: string
  readonly panelId: string | undefined
  readonly grainUp: boolean
  readonly spans: readonly LayerSpan[]
}

/** Total thickness over a stretch between two steps. */
export interface TransectStep {
  readonly start: number
  readonly end: number
  readonly total: readonly [number, number]
}

/** A line across the laid-up work and the layers it cuts, each lying on those below. */
export interface Transect {
  readonly length: number
  readonly layers: readonly TransectLayer[]
  readonly steps: readonly TransectStep[]
  readonly thickest: number
}

/** How far inside a stretch its thickness is read, so that a border never decides it, mm. */
const INSET = 1e-4

/** Distances along the line at which anything can change: borders, clips, bands and the ends of their slopes. */
function changes(work: LaidUp, from: Point, to: Point, contents: boolean): number[] {
  const cut = openPath([line(from, to)])
  const length = pointDistance(from, to)
  const along = (path: Path): number[] => pathCrossings(cut, path).map(({ parameter }) => parameter * length)
  const found = [0, length]
  for (const laid of work.sheets) {
    if (laid.sheet.type === 'content' && !contents) continue
    found.push(...along(laid.placed))
    for (const { at, inward } of laid.sheet.clips) found.push(...acrossLine(from, to, at, inward))
    for (const area of laid.bands.flatMap((b) => b.areas)) {
      found.push(...along(pathMoved(area.outline, laid.sheet.move)))
      const [a, b] = [pointMoved(area.from, laid.sheet.move), pointMoved(area.to, laid.sheet.move)]
      const slope = { x: b.x - a.x, y: b.y - a.y }
      found.push(...acrossLine(from, to, a, slope), ...acrossLine(from, to, b, slope))
    }
  }
  const sorted = found.filter((s) => s >= 0 && s <= length).sort((a, b) => a - b)
  return sorted.filter((s, i) => i === 0 || s - sorted[i - 1]! > 4 * INSET)
}

/** Where the line crosses the one through `at` square to `normal`, as a distance along it. */
function acrossLine(from: Point, to: Point, at: Point, normal: Point): number[] {
  const speed = (to.x - from.x) * normal.x + (to.y - from.y) * normal.y
  if (Math.abs(speed) < 1e-12) return []
  const share = ((at.x - from.x) * normal.x + (at.y - from.y) * normal.y) / speed
  return [share * pointDistance(from, to)]
}

/** The section of the work along a line from `from` to `to`, lowest layer first. */
export function transect(work: LaidUp, from: Point, to: Point, contents = false): Transect {
  const length = pointDistance(from, to)
  if (length === 0) return { length: 0, layers: [], steps: [], thickest: 0 }
  const stops = changes(work, from, to, contents)
  const spans = new Map<LaidSheet, LayerSpan[]>()
  const steps: TransectStep[] = []
  for (let i = 1; i < stops.length; i += 1) {
    const [start, end] = [stops[i - 1]!, stops[i]!]
    const ends = [
      pointBetween(from, to, (start + INSET) / length),
      pointBetween(from, to, (end - INSET) / length),
    ] as const
    let [low, high] = [0, 0]
    for (const laid of work.sheets) {
      if (laid.sheet.type === 'content' && !contents) continue
      const [a, b] = [sheetThickness(laid, ends[0]), sheetThickness(laid, ends[1])]
      if (a === 0 || b === 0) continue
      const list = spans.get(laid) ?? []
      list.push({ start, end, bottom: [low, high], top: [low + a, high + b] })
      spans.set(laid, list)
      low += a
      high += b
    }
    steps.push({ start, end, total: [low, high] })
  }
  return {
    length,
    layers: work.sheets.flatMap((laid) => layerOf(laid, spans.get(laid))),
    steps,
    thickest: Math.max(0, ...steps.flatMap((s) => s.total)),
  }
}

const layerOf = (laid: LaidSheet, spans: readonly LayerSpan[] | undefined): TransectLayer[] =>
  spans
    ? [
        {
          sheetId: laid.sheet.id,
          name: laid.sheet.name,
          panelId: laid.sheet.type === 'panel' ? laid.sheet.panelId : undefined,
          grainUp: laid.sheet.type === 'panel' && laid.sheet.grainUp,
          spans,
        },
      ]
    : []

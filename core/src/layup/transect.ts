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
import { profileDistance } from '../edges/index.js'
import { firstOf, nth } from '../lists/index.js'
import { type TransectBend, foldBends, turnBends } from './bends.js'
import { type LaidSheet, type LaidUp, grooveDepth, sheetThickness } from './laid.js'

/** What is drawn as a bend is left out of the layer this much farther, mm, so that none shows beside it. */
const BEYOND_BEND = 0.1

export type { TransectBend } from './bends.js'

/** One layer's height over a stretch of the transect: straight from `start` to `end`, mm along and above the lowest face. */
export interface LayerSpan {
  readonly start: number
  readonly end: number
  readonly bottom: readonly [number, number]
  readonly top: readonly [number, number]
}

export interface TransectLayer {
  /** The sheet's id, with `~turn` after it for the border that is turned over. */
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
  /** Folds and turned edges it crosses. */
  readonly bends: readonly TransectBend[]
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
    found.push(...profileStops(laid, from, to, length))
  }
  const sorted = found.filter((s) => s >= 0 && s <= length).sort((a, b) => a - b)
  return sorted.filter((s, i) => i === 0 || s - nth(sorted, i - 1) > 4 * INSET)
}

/** Between places at which a profile is looked for, and slopes are followed, mm. */
const PROFILE_STEP = 1

/** Where profiles begin and end along the line, and places between, so that a slope along a curve is followed. */
function profileStops(laid: LaidSheet, from: Point, to: Point, length: number): number[] {
  const local = (s: number): Point => pointMoved(pointBetween(from, to, s / length), laid.toSheet)
  const count = Math.ceil(length / PROFILE_STEP)
  return laid.profiles.flatMap((profile) => {
    const reached = (s: number): boolean => profileDistance(profile, local(s)) < Infinity
    const stops: number[] = []
    let before = reached(0)
    for (let i = 1; i <= count; i += 1) {
      const [a, b] = [((i - 1) * length) / count, (i * length) / count]
      const now = reached(b)
      if (now) stops.push(b)
      if (now !== before) stops.push(border(reached, a, b, before))
      before = now
    }
    return stops
  })
}

/** Halved until it is known to a hundredth of the inset where a thing begins or ends. */
function border(holds: (s: number) => boolean, from: number, to: number, atStart: boolean): number {
  let [a, b] = [from, to]
  while (b - a > INSET / 100) {
    const middle = (a + b) / 2
    if (holds(middle) === atStart) a = middle
    else b = middle
  }
  return (a + b) / 2
}

/** Where the line crosses the one through `at` square to `normal`, as a distance along it. */
function acrossLine(from: Point, to: Point, at: Point, normal: Point): number[] {
  const speed = (to.x - from.x) * normal.x + (to.y - from.y) * normal.y
  if (Math.abs(speed) < 1e-12) return []
  const share = ((at.x - from.x) * normal.x + (at.y - from.y) * normal.y) / speed
  return [share * pointDistance(from, to)]
}

/** A stretch of a sheet with what is drawn of it: a groove takes from the flesh side, not from what lies over it. */
function spanOf(
  laid: LaidSheet,
  [start, end]: readonly [number, number],
  [low, high]: readonly [number, number],
  [a, b]: readonly [number, number],
  [ga, gb]: readonly [number, number],
): LayerSpan {
  const below = laid.sheet.type === 'panel' && laid.sheet.grainUp
  return below
    ? { start, end, bottom: [low + ga, high + gb], top: [low + a, high + b] }
    : { start, end, bottom: [low, high], top: [low + a - ga, high + b - gb] }
}

/** The section of the work along a line from `from` to `to`, lowest layer first. */
export function transect(work: LaidUp, from: Point, to: Point, contents = false): Transect {
  const length = pointDistance(from, to)
  if (length === 0) return { length: 0, layers: [], steps: [], thickest: 0, bends: [] }
  const stops = changes(work, from, to, contents)
  const spans = new Map<LaidSheet, LayerSpan[]>()
  const steps: TransectStep[] = []
  for (let i = 1; i < stops.length; i += 1) {
    const [start, end] = [nth(stops, i - 1), nth(stops, i)]
    const ends = [
      pointBetween(from, to, (start + INSET) / length),
      pointBetween(from, to, (end - INSET) / length),
    ] as const
    let [low, high] = [0, 0]
    for (const laid of work.sheets) {
      if (laid.sheet.type === 'content' && !contents) continue
      const [a, b] = [sheetThickness(laid, ends[0]), sheetThickness(laid, ends[1])]
      if (a === 0 || b === 0) continue
      const grooves = [grooveDepth(laid, ends[0]), grooveDepth(laid, ends[1])] as const
      const list = spans.get(laid) ?? []
      list.push(spanOf(laid, [start, end], [low, high], [a, b], grooves))
      spans.set(laid, list)
      low += a
      high += b
    }
    steps.push({ start, end, total: [low, high] })
  }
  const heightAt = (laid: LaidSheet, s: number): readonly [number, number] | undefined => {
    const span = spans.get(laid)?.find((one) => s >= one.start && s <= one.end)
    if (!span) return undefined
    const share = (s - span.start) / (span.end - span.start)
    const between = ([a, b]: readonly [number, number]): number => a + (b - a) * share
    return [between(span.bottom), between(span.top)]
  }
  const turns = turnBends(work, from, to, heightAt)
  return {
    length,
    layers: work.sheets.flatMap((laid) => layerOf(laid, trimmedSpans(laid, spans.get(laid), turns))),
    steps,
    thickest: Math.max(0, ...steps.flatMap((s) => s.total)),
    bends: [...turns, ...foldBends(work, from, to, heightAt)],
  }
}

const nameOf = (laid: LaidSheet): string => (laid.part === 'turn' ? `${laid.sheet.id}~turn` : laid.sheet.id)

/** The flat stretches of a sheet end where it goes round the bend of its turned edge. */
function trimmedSpans(
  laid: LaidSheet,
  spans: readonly LayerSpan[] | undefined,
  turns: readonly TransectBend[],
): readonly LayerSpan[] | undefined {
  const own = turns.filter((bend) => bend.rings.some((r) => r.sheets.includes(nameOf(laid))))
  return own.reduce((left, { at, toward, rings, stretch }) => {
    const reach =
      at + (toward * stretch * (firstOf(rings).outer[1] - firstOf(rings).outer[0])) / 2 + toward * BEYOND_BEND
    const [from, to] = toward > 0 ? [at, reach] : [reach, at]
    return left?.flatMap((span) => withoutStretch(span, from, to))
  }, spans)
}

function withoutStretch(span: LayerSpan, from: number, to: number): LayerSpan[] {
  if (to <= span.start || from >= span.end) return [span]
  const part = (start: number, end: number): LayerSpan[] => {
    if (end - start < 1e-6) return []
    const at = ([a, b]: readonly [number, number], s: number): number =>
      a + ((b - a) * (s - span.start)) / (span.end - span.start)
    const cut = (pair: readonly [number, number]) => [at(pair, start), at(pair, end)] as const
    return [{ start, end, bottom: cut(span.bottom), top: cut(span.top) }]
  }
  return [...part(span.start, Math.min(from, span.end)), ...part(Math.max(to, span.start), span.end)]
}

const layerOf = (laid: LaidSheet, spans: readonly LayerSpan[] | undefined): TransectLayer[] =>
  spans && spans.length > 0
    ? [
        {
          sheetId: nameOf(laid),
          name: laid.part === 'turn' ? `${laid.sheet.name}, turned over` : laid.sheet.name,
          panelId: laid.sheet.type === 'panel' ? laid.sheet.panelId : undefined,
          grainUp: laid.sheet.type === 'panel' && laid.sheet.grainUp,
          spans,
        },
      ]
    : []

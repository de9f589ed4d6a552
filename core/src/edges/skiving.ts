import { firstOf, lastOf } from '../lists/index.js'
import type { EdgeWork } from './work.js'

/** Nothing narrower is skived, mm. */
const LEAST_SKIVE = 0.1

/** What a skive asks of the hand or the machine. */
export interface Skiving {
  readonly panelId: string
  readonly key: string
  readonly name: string
  readonly width: number
  readonly start: number
  readonly end: number
  readonly full: number
  /** Steepness of the slope, radians. */
  readonly slope: number
  readonly alongEdge: boolean
  readonly tools: readonly ToolVerdict[]
}

export interface ToolVerdict {
  readonly tool: 'knife' | 'edge tool' | 'bell-knife machine'
  /** Why it can't do it; undefined where it can. */
  readonly not: string | undefined
}

/** What each tool can do (J); docs/formulas.md §15. Widths and thicknesses mm, slopes radians. */
export const SKIVING = {
  knife: { steepest: (25 * Math.PI) / 180, widest: 60, thinnest: 0.15 },
  edgeTool: { steepest: (30 * Math.PI) / 180, widest: 10, deepest: 1.5 },
  bellKnife: { steepest: (18 * Math.PI) / 180, narrowest: 3, widest: 50, thinnest: 0.3 },
} as const

/** Which tools can make a skive of that width from one thickness to another. */
export function toolsFor(
  width: number,
  thin: number,
  full: number,
  alongEdge: boolean,
): { slope: number; tools: ToolVerdict[] } {
  const depth = Math.max(0, full - thin)
  const slope = Math.atan2(depth, width)
  const { knife, edgeTool, bellKnife } = SKIVING
  const first = (...reasons: (string | false)[]): string | undefined =>
    reasons.find((r): r is string => r !== false)
  return {
    slope,
    tools: [
      {
        tool: 'knife',
        not: first(
          slope > knife.steepest && 'too steep',
          width > knife.widest && 'too wide to keep even by hand',
          thin < knife.thinnest && thin > 0 && 'thinner than a hand keeps even',
        ),
      },
      {
        tool: 'edge tool',
        not: first(
          !alongEdge && 'only runs along an edge',
          slope > edgeTool.steepest && 'too steep',
          width > edgeTool.widest && 'wider than it cuts',
          depth > edgeTool.deepest && 'deeper than it cuts',
        ),
      },
      {
        tool: 'bell-knife machine',
        not: first(
          !alongEdge && 'only runs along an edge',
          slope > bellKnife.steepest && 'too steep',
          width < bellKnife.narrowest && 'narrower than its foot',
          width > bellKnife.widest && 'wider than its foot',
          thin < bellKnife.thinnest && 'thinner than it leaves whole',
        ),
      },
    ],
  }
}

/** What would let a tool make a skive, changed by itself, mm: its width, or what it leaves. */
export interface SkiveChange {
  readonly what: 'wider' | 'narrower' | 'thicker'
  readonly to: number
}

/** By how much a skive is led wider or leaves more, mm: what is told is a whole number of them, and told as it is. */
export interface SkiveSteps {
  readonly width: number
  readonly thickness: number
}

/** Whether any tool makes a skive of that width from one thickness to another, mm. */
export const canBeSkived = (width: number, thin: number, full: number, alongEdge: boolean): boolean =>
  toolsFor(width, thin, full, alongEdge).tools.some((tool) => tool.not === undefined)

/**
 * What a skive that no tool makes could be instead: as little wider or narrower, or leaving as little more, as lets one make it. Only
 * what a tool does make then is told; docs/formulas.md §15.
 */
export function skiveChanges(
  { width, start, end, alongEdge }: Pick<Skiving, 'width' | 'start' | 'end' | 'alongEdge'>,
  steps: SkiveSteps,
): readonly SkiveChange[] {
  const [thin, thick] = [Math.min(start, end), Math.max(start, end)]
  const goes = (w: number, t: number): boolean => canBeSkived(w, t, thick, alongEdge)
  const found: readonly (readonly [SkiveChange['what'], number | undefined])[] = [
    ['wider', stepsAbove(width, WIDEST, steps.width).find((w) => goes(w, thin))],
    ['narrower', stepsBelow(width, steps.width).find((w) => goes(w, thin))],
    ['thicker', stepsAbove(thin, thick, steps.thickness).find((t) => goes(width, t))],
  ]
  return found.flatMap(([what, to]) => (to === undefined ? [] : [{ what, to }]))
}

/** No tool skives wider, mm. */
const WIDEST = Math.max(SKIVING.knife.widest, SKIVING.edgeTool.widest, SKIVING.bellKnife.widest)

/** Whole steps above one number up to another. */
function stepsAbove(from: number, to: number, step: number): number[] {
  const [first, last] = [Math.floor(from / step + 1e-9) + 1, Math.floor(to / step + 1e-9)]
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * step)
}

/** Whole steps below a number, the nearest first, without nothing. */
function stepsBelow(from: number, step: number): number[] {
  const first = Math.ceil(from / step - 1e-9) - 1
  return Array.from({ length: Math.max(0, first) }, (_, i) => (first - i) * step)
}

/** Every skive of a panel, for turned edges and as the maker asked. */
export function skivingsOf({ panel, stock, turned }: EdgeWork): Skiving[] {
  if (!stock) return []
  const full = stock.thickness
  const one = (
    key: string,
    name: string,
    width: number,
    start: number,
    end: number,
    alongEdge: boolean,
  ): Skiving => ({
    panelId: panel.id,
    key,
    name,
    width,
    start,
    end,
    full,
    alongEdge,
    ...toolsFor(width, Math.min(start, end), Math.max(start, end), alongEdge),
  })
  return [
    ...turned.flatMap(({ turn, skive, edges }) => {
      const level = skive.levels.find((l) => l.thickness >= full - 1e-9) ?? lastOf(skive.levels)
      const width =
        turn.fate.school === 'feather'
          ? turn.fate.feather
          : turn.fate.school === 'fold'
            ? skive.reach / 2
            : level.from
      return width > LEAST_SKIVE
        ? [
            one(
              `${panel.id}.${firstOf(edges).id}.turn`,
              `skive of the turned ${firstOf(edges).name}`,
              width,
              firstOf(skive.levels).thickness,
              full,
              true,
            ),
          ]
        : []
    }),
    ...(panel.skives ?? []).map((s) =>
      one(s.key, s.name, s.width, Math.min(s.start, full), Math.min(s.end, full), true),
    ),
    ...panel.bands
      .filter((b) => b.planned && !b.hollow && b.start !== b.end)
      .flatMap((b) =>
        b.areas
          .slice(0, 1)
          .map((a) =>
            one(b.key, b.name, Math.hypot(a.to.x - a.from.x, a.to.y - a.from.y), b.start, b.end, false),
          ),
      ),
  ]
}

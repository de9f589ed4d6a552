import { firstOf, nth } from '../lists/index.js'
import {
  type Path,
  type Point,
  type Segment,
  boxCentre,
  pathBox,
  pathLength,
  pathNearest,
  pathPart,
  pointMoved,
  pointsMeet,
  stripBetween,
  segmentTangent,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import { type Glue, type Master, type Panel, edgeChain, insetChainMaybe } from '../master/index.js'
import { type Run, panelSheetOf, rowsInSheet } from '../stitch/index.js'
import type { Mark } from './piece.js'

export const foldMarks = (panel: Panel): Mark[] =>
  panel.folds.map(({ from, to, width, rises, note }) => ({
    type: 'fold',
    from,
    to,
    width,
    rises,
    ...(note ? { note } : {}),
  }))

export const skiveMarks = (panel: Panel): Mark[] =>
  panel.bands
    .filter((band) => band.planned)
    .flatMap((band) =>
      band.areas.map((area): Mark => ({
        type: 'skive',
        area: area.outline,
        from: area.from,
        to: area.to,
        start: band.start,
        end: band.end,
        name: band.name,
      })),
    )

/** The strip between the glued edges and the limit of the glue; undefined where the panel has no room for it. */
function glueStrip(panel: Panel, { chain, limit, startFree = 0, endFree = 0 }: Glue): Path | undefined {
  const [edge, inner] = [edgeChain(panel, chain), insetChainMaybe(panel, chain, limit)]
  const kept = (path: Path): Path => pathPart(path, startFree, pathLength(path) - endFree)
  if (!inner || pathLength(inner) <= startFree + endFree + 0.01) return undefined
  return stripBetween(kept(edge), kept(inner))
}

/** The strips of this panel that glue may cover, each once however many copies of the panel there are. */
export function glueMarks(panel: Panel, { joins, layups }: Master): Mark[] {
  const strips = new Map<string, Path>()
  const glued = joins.flatMap((join) => {
    // Glued in the state that it is sewn in.
    const sheets = layups.find((l) => l.id === join.layup)?.sheets ?? []
    return join.glue.filter((glue) => panelSheetOf(sheets, glue.sheet).panelId === panel.id)
  })
  for (const glue of glued) {
    const key = `${glue.chain.join()} ${glue.limit}`
    const area = strips.has(key) ? undefined : glueStrip(panel, glue)
    if (area) strips.set(key, area)
  }
  return [...strips.values()].map((area) => ({ type: 'glue', area }))
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz'
/** a, b, … z, then aa, ab, … */
export const letterOf = (index: number): string =>
  index < 26 ? LETTERS[index]! : `${LETTERS[Math.floor(index / 26) - 1]}${LETTERS[index % 26]}`

/** A match of edges that lie apart is given on the stitch line, no farther in than this, mm. */
const NOTCH_IN = 25

/** Ticks square to the edge where a match falls on this panel, lettered by the order of the matches. */
export function notchMarks(panel: Panel, master: Master, work: LaidUp): Mark[] {
  const ticks = new Map<string, { at: Point; angle: number; letters: string[] }>()
  master.matches.forEach((match, index) => {
    for (const id of [match.sheetA, match.sheetB]) {
      const laid = work.sheets.find((s) => s.sheet.id === id)
      if (laid?.sheet.type !== 'panel' || laid.sheet.panelId !== panel.id) continue
      const there = id === match.sheetB ? (match.atB ?? match.at) : match.at
      const near = pathNearest(panel.outline, pointMoved(there, laid.toSheet))
      // The stitch line is where edges that lie apart meet: their notch is cut at the edge beside it.
      if (near.distance > (match.atB ? NOTCH_IN : 0.5)) continue
      const key = `${near.at.x.toFixed(2)},${near.at.y.toFixed(2)}`
      const tick = ticks.get(key) ?? { at: near.at, angle: edgeAngle(panel, near.at), letters: [] }
      if (!tick.letters.includes(letterOf(index))) tick.letters.push(letterOf(index))
      ticks.set(key, tick)
    }
  })
  return [...ticks.values()].map(({ at, angle, letters }) => ({
    type: 'notch',
    at,
    angle,
    letters: lettered(letters),
  }))
}

const lettered = (letters: readonly string[]): string =>
  letters.length <= 2 ? letters.join(' ') : `${letters[0]}–${letters[letters.length - 1]}`

/** Square to the edge. At a corner the edge that runs more upright is taken: pockets meet the sides of what carries them. */
function edgeAngle(panel: Panel, at: Point): number {
  const near = pathNearest(panel.outline, at)
  const { segments } = panel.outline
  const touching = segments.filter((s) => pointsMeet(s.from, at, 0.01) || pointsMeet(s.to, at, 0.01))
  const candidates = touching.length > 0 ? touching : [nth(segments, near.segment)]
  const steepness = (s: Segment): number => Math.abs(segmentTangent(s, 0.5).y)
  const edge = candidates.reduce((a, b) => (steepness(b) > steepness(a) ? b : a))
  const along = segmentTangent(edge, near.parameter)
  return Math.atan2(along.y, along.x) + Math.PI / 2
}

export const grainMark = (panel: Panel): Mark => ({
  type: 'grain',
  at: boxCentre(pathBox(panel.outline)),
  angle: panel.grain,
})

/** A run that stops further in than it would by more than this is shown where it stops, mm. */
const STOPS = 1
/** The notch of a stop is cut at the edge that its hole lies so near to, mm. */
const STOP_NEAR = 40

/** Notches at the edge where a seam was asked to stop short of its end. */
export function stopMarks(panel: Panel, work: LaidUp, runs: readonly Run[]): Mark[] {
  const found: Point[] = []
  for (const run of runs) {
    const { startBy = 0, endBy = 0 } = run.ways.wish
    if (Math.max(startBy, endBy) < STOPS) continue
    for (const laid of work.sheets) {
      if (laid.part !== 'whole' || laid.sheet.type !== 'panel' || laid.sheet.panelId !== panel.id) continue
      const rows = run.join.through.includes(laid.sheet.id) ? rowsInSheet(run, laid) : []
      for (const holes of rows) {
        // Only where the end itself lies on this sheet.
        const whole = holes.length === run.holes.length
        if (whole && startBy >= STOPS) found.push(firstOf(holes).at)
        if (whole && endBy >= STOPS) found.push(nth(holes, holes.length - 1).at)
      }
    }
  }
  return found
    .map((at) => pathNearest(panel.outline, at))
    .filter((near) => near.distance <= STOP_NEAR)
    .filter((near, i, all) => all.findIndex((o) => pointsMeet(o.at, near.at, 0.05)) === i)
    .map(({ at }) => ({ type: 'notch', at, angle: edgeAngle(panel, at), letters: 'stop' }))
}

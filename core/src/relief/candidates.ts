import {
  type Path,
  type Point,
  pathLength,
  isNear,
  pathPlaceAt,
  pointInside,
  pointMoved,
  stripBetween,
} from '../geometry/index.js'
import type { Derived } from '../derived/index.js'
import type { Change, Design } from '../design/index.js'
import type { DrawnPanel } from '../drawn/index.js'
import { type LaidSheet, type LaidUp, sheetThickness, laidUpOf } from '../layup/index.js'
import { bandLength, skiveMinutes } from '../make/index.js'
import type { Habits } from '../sewing/index.js'
import { type Panel, edgeChain, insetChainMaybe } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import { foundIn, nth } from '../lists/index.js'

/** A band of a panel that could be skived under a seam. */
export interface Candidate {
  readonly key: string
  readonly name: string
  readonly panelId: string
  /** Thickness now, and the least its leather bears where it is sewn, mm. */
  readonly now: number
  readonly bears: number
  readonly minutes: (to: number) => number
  /** Where it lies on the panel. */
  readonly areas: readonly Path[]
  /** Whether it reaches a place of a sheet, in the panel's own coordinates. */
  readonly covers: (local: Point) => boolean
  /** What of the design changes to skive it to a thickness; knows of those already among the changes. */
  readonly change: (to: number, design: Design) => Change
}

/** Width of a skive put along an edge of a drawn panel, mm (J). */
const EDGE_WIDTH = 10

/** The leather as it is, the least it bears, mm, and how fast it is skived. */
interface Skivable {
  readonly full: number
  readonly bears: number
  readonly ways: Habits
}

const bandsOf = (panel: Panel, { full, bears, ways }: Skivable): Candidate[] => {
  const keys = [...new Set(panel.bands.filter((b) => b.start === b.end && !b.hollow).map((b) => b.key))]
  return keys.map((key) => {
    const areas = panel.bands.filter((b) => b.key === key).flatMap((b) => b.areas.map((a) => a.outline))
    const band = foundIn(panel.bands, (b) => b.key === key)
    const now = Math.min(band.start, full)
    return {
      key,
      name: band.name,
      panelId: panel.id,
      now,
      bears,
      minutes: (to) =>
        areas.reduce(
          (sum, area) => sum + skiveMinutes(bandLength(area), Math.max(0, full - to), panel.count, ways),
          0,
        ),
      areas,
      covers: (local) => areas.some((area) => pointInside(local, area)),
      change: (to) => ({ path: ['skives', key], value: to }),
    }
  })
}

/** Edges of a drawn panel that a run follows closely: each could be skived along. */
function drawnOf(panel: Panel, drawn: DrawnPanel, { full, bears, ways }: Skivable): Candidate[] {
  const ids = new Set(drawn.edges.map((e) => e.id))
  return panel.edges
    .filter((e) => ids.has(e.id))
    .map((edge) => {
      const path = edgeChain(panel, [edge.id])
      const id = `seam-${edge.id}`
      const name = `${edge.name} of the ${panel.name.toLowerCase()}`
      const length = pathLength(path)
      const inner = insetChainMaybe(panel, [edge.id], EDGE_WIDTH)
      return {
        key: `${panel.id}.${id}`,
        name,
        panelId: panel.id,
        now: full,
        bears,
        minutes: (to) => skiveMinutes(length, Math.max(0, full - to), panel.count, ways),
        areas: inner ? [stripBetween(path, inner)] : [],
        covers: (local) => isNear(path, local, EDGE_WIDTH - 0.01),
        change: (to, design) => {
          const index = design.drawn.findIndex((d) => d.id === drawn.id)
          const skives = nth(design.drawn, index).skives.filter((s) => s.id !== id)
          const where = { type: 'edge', edge: edge.id } as const
          return {
            path: ['drawn', index, 'skives'],
            value: [...skives, { id, name, where, width: EDGE_WIDTH, start: to, end: to }],
          }
        },
      }
    })
}

/** Everything under a run that could be made thinner. */
export function candidatesOf({ panels, edges, design }: Derived, sheets: readonly LaidSheet[]): Candidate[] {
  const ids = new Set(sheets.flatMap((s) => (s.sheet.type === 'panel' ? [s.sheet.panelId] : [])))
  return panels
    .filter((p) => ids.has(p.id))
    .flatMap((panel) => {
      const stock = edges.find((w) => w.panel.id === panel.id)?.stock
      if (!stock?.leather) return []
      const drawn = design.drawn.find((d) => d.id === panel.id)
      const skivable = { full: stock.thickness, bears: stock.bears, ways: design.habits }
      const bands = bandsOf(panel, skivable)
      return drawn ? [...bands, ...drawnOf(panel, drawn, skivable)] : bands
    })
}

/** What lies under one place of a seam: a part that can't change, and layers that can. */
export interface Sample {
  readonly fixed: number
  readonly layers: readonly { readonly now: number; readonly by: readonly number[] }[]
}

/** Read this far apart along a run, mm. */
const STEP = 1.5

/** Places along runs, with what lies there and which candidates (by index) would thin it. */
export function samplesOf(
  runs: readonly Run[],
  works: readonly LaidUp[],
  found: readonly Candidate[],
): Sample[] {
  return runs.flatMap((run) => {
    const work = laidUpOf(works, run.join.layup)
    const sheets = work.sheets.filter((s) => run.join.through.includes(s.sheet.id))
    const count = Math.max(1, Math.ceil(run.length / STEP))
    const stops = [
      ...Array.from({ length: count + 1 }, (_, i) => (run.length * i) / count),
      ...run.steps.flatMap((s) => [s.distance - 0.02, s.distance + 0.02]),
      ...run.holes.map((h) => h.distance),
    ].filter((d) => d >= 0 && d <= run.length)
    return stops.map((d): Sample => {
      const { at } = pathPlaceAt(run.path, d)
      let fixed = 0
      const layers: Sample['layers'][number][] = []
      for (const laid of sheets) {
        const now = sheetThickness(laid, at)
        if (now === 0) continue
        const local = pointMoved(at, laid.toSheet)
        const by =
          laid.part === 'whole' && laid.sheet.type === 'panel'
            ? found.flatMap((c, i) =>
                laid.sheet.type === 'panel' && c.panelId === laid.sheet.panelId && c.covers(local) ? [i] : [],
              )
            : []
        if (by.length === 0) fixed += now
        else layers.push({ now, by })
      }
      return { fixed, layers }
    })
  })
}

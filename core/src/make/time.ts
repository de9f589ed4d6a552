import { pathArea, pathLength } from '../geometry/index.js'
import type { EdgeWork } from '../edges/index.js'
import { type Master, type Panel, edgeChain } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { PACE, skiveMinutes } from './pace.js'

/** What the time is worked out from. */
export interface Made {
  readonly master: Pick<Master, 'joins' | 'layups'>
  readonly edges: readonly EdgeWork[]
  readonly runs: readonly Run[]
}

/** Time at the bench by the sort of work, each with its working, and altogether; minutes. */
export interface BenchTime {
  readonly parts: readonly Reckoned[]
  readonly total: Reckoned
}

/** Strips to skive on a panel: their length, and how much is taken off, mm. */
export function skivedStrips(work: EdgeWork): { length: number; depth: number }[] {
  const full = work.stock?.thickness ?? 0
  const bands = work.panel.bands
    .filter((b) => b.planned && !b.hollow)
    .flatMap((b) =>
      b.areas.map((a) => ({
        length: bandLength(a.outline),
        depth: Math.max(0, full - Math.min(b.start, b.end)),
      })),
    )
  const turned = work.turned.map((t) => ({ length: pathLength(t.finished), depth: full / 2 }))
  const edges = (work.panel.skives ?? []).map((s) => ({
    length: pathLength(edgeChain(work.panel, s.chain)),
    depth: Math.max(0, full - Math.min(s.start, s.end)),
  }))
  return [...bands, ...turned, ...edges].filter((s) => s.depth > 0.01)
}

/** How long a narrow strip is, from its area and how far it is round it, mm. */
export function bandLength(outline: Parameters<typeof pathArea>[0]): number {
  const [area, round] = [Math.abs(pathArea(outline)), pathLength(outline)]
  // A strip l long and w wide: l w is its area, 2 (l + w) its girth.
  const half = round / 4
  return half + Math.sqrt(Math.max(0, half * half - area))
}

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0)

/** Raw edges finished one by one, over all copies; those glued to others are finished together with the seam, mm. */
function finishedEdges(panels: readonly Panel[], { joins, layups }: Made['master']): number {
  const glued = new Set(
    joins.flatMap((join) =>
      join.glue.flatMap(({ sheet, chain }) => {
        const lies = layups.flatMap((l) => l.sheets).find((s) => s.id === sheet)
        return lies?.type === 'panel' ? chain.map((edge) => `${lies.panelId} ${edge}`) : []
      }),
    ),
  )
  const shown = (panel: Panel): number =>
    sum(
      panel.edges
        .filter((e) => (e.fate.type === 'raw' || e.fate.type === 'sewn') && e.fate.finish !== 'left')
        .filter((e) => !glued.has(`${panel.id} ${e.id}`))
        .map((e) => pathLength(edgeChain(panel, [e.id]))),
    )
  return sum(panels.map((panel) => panel.count * shown(panel)))
}

/** Time to cut, skive, turn, glue, sew and finish, by a plain pace (J); docs/formulas.md §17. Nothing for drying. */
export function benchTime({ master, edges, runs }: Made, reckon: Reckon): BenchTime {
  const part = (
    key: string,
    label: string,
    formula: string,
    inputs: Parameters<Reckon>[1],
    minutes: number,
  ): Reckoned =>
    reckon(
      { key: `time.${key}`, label, formula, source: '§17', quantity: 'count', measured: true },
      inputs,
      () => minutes,
    )
  const parts = edges.filter((w) => w.panel.role !== 'guide')
  const pieces = sum(parts.map((w) => w.panel.count))
  const round = sum(parts.map((w) => w.panel.count * pathLength(w.cut)))
  const strips = parts.flatMap((w) => skivedStrips(w).map((s) => ({ ...s, count: w.panel.count })))
  const turned = sum(parts.map((w) => w.panel.count * sum(w.turned.map((t) => pathLength(t.finished)))))
  const pleats = sum(parts.map((w) => w.panel.count * sum(w.treatments.map((t) => t.count))))
  const stitches = sum(runs.map((r) => Math.max(0, r.holes.length - 1)))
  const holes = sum(runs.map((r) => r.holes.length))
  const edge =
    finishedEdges(
      parts.map((w) => w.panel),
      master,
    ) + sum(runs.filter((r) => r.join.course.type === 'edges' && r.join.glue.length > 0).map((r) => r.length))
  const glued = sum(runs.map((r) => r.length))
  const all = [
    part(
      'cut',
      'cutting out, minutes',
      '{round} mm round / 200 a minute + {pieces} pieces × 1',
      { round: given('round', round, 'count'), pieces: given('pieces', pieces, 'count') },
      round / PACE.cut + pieces * PACE.perPiece,
    ),
    part(
      'skive',
      'skiving, minutes',
      '{strips} strips, {length} mm long together, at 90 a minute and less where deep',
      {
        strips: given('strips', sum(strips.map((s) => s.count)), 'count'),
        length: given('length', sum(strips.map((s) => s.count * s.length)), 'count'),
      },
      sum(strips.map((s) => skiveMinutes(s.length, s.depth, s.count))),
    ),
    part(
      'turn',
      'turning edges, minutes',
      '{turned} mm / 60 a minute + {pleats} pleats and cuts × ¼',
      { turned: given('turned', turned, 'count'), pleats: given('pleats', pleats, 'count') },
      turned / PACE.turn + pleats * PACE.perPleat,
    ),
    part(
      'glue',
      'gluing, minutes',
      '{joins} joins × 1 + {glued} mm / 250 a minute',
      { joins: given('joins', master.joins.length, 'count'), glued: given('glued', glued, 'count') },
      master.joins.length * PACE.perGlue + glued / PACE.glue,
    ),
    part(
      'sew',
      'punching and sewing, minutes',
      '({holes} holes × 1.5 s + {stitches} stitches × 9 s) / 60 + {runs} runs × 2',
      {
        holes: given('holes', holes, 'count'),
        stitches: given('stitches', stitches, 'count'),
        runs: given('runs', runs.length, 'count'),
      },
      (holes * PACE.holeSeconds + stitches * PACE.stitchSeconds) / 60 + runs.length * PACE.perRun,
    ),
    part(
      'edges',
      'finishing edges, minutes',
      '{edge} mm / 50 a minute',
      { edge: given('edge', edge, 'count') },
      edge / PACE.edge,
    ),
  ]
  return {
    parts: all,
    total: part(
      'total',
      'time at the bench, minutes',
      '{cut} + {skive} + {turn} + {glue} + {sew} + {edges}',
      {
        cut: all[0]!,
        skive: all[1]!,
        turn: all[2]!,
        glue: all[3]!,
        sew: all[4]!,
        edges: all[5]!,
      },
      sum(all.map((p) => p.value)),
    ),
  }
}

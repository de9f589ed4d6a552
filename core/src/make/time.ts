import { pathArea, pathLength } from '../geometry/index.js'
import type { EdgeWork } from '../edges/index.js'
import { type Master, type Panel, edgeChain } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import type { NamesIn } from '../expression/index.js'
import { type Reckon, type Reckoned, type Given, given } from '../working/index.js'
import type { Machine } from '../stores/index.js'
import type { Habits } from '../sewing/index.js'
import { cornersOf, punchBlows } from './sewing.js'

/** Taking off less than this is no work, mm. */
export const LEAST_DEPTH = 0.01

/** What the time is worked out from. */
export interface Made {
  readonly master: Pick<Master, 'joins' | 'layups'>
  readonly edges: readonly EdgeWork[]
  readonly runs: readonly Run[]
  /** How fast the maker works, and the machine. */
  readonly speed: Habits
  readonly machine: Pick<Machine, 'speed'>
}

/** Time by what takes longest, each with its working, minutes. */
type TimeBySort = readonly [
  cut: Reckoned,
  skive: Reckoned,
  turn: Reckoned,
  glue: Reckoned,
  sew: Reckoned,
  edge: Reckoned,
]

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
  return [...bands, ...turned, ...edges].filter((s) => s.depth > LEAST_DEPTH)
}

/** How long a narrow strip is, from its area and how far it is round it, mm. */
export function bandLength(outline: Parameters<typeof pathArea>[0]): number {
  const [area, round] = [Math.abs(pathArea(outline)), pathLength(outline)]
  // A strip l long and w wide: l w is its area, 2 (l + w) its girth.
  const half = round / 4
  return half + Math.sqrt(Math.max(0, half * half - area))
}

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0)

/** Edges of placed panels that are glued in some join: what they are, and how much of each, mm. */
function gluedEdges({ joins, layups }: Made['master'], panels: readonly Panel[]) {
  const sheets = layups.flatMap((l) => l.sheets)
  return joins
    .flatMap((join) => join.glue)
    .flatMap(({ sheet, chain, startFree = 0, endFree = 0 }) => {
      const lies = sheets.find((s) => s.id === sheet)
      const panel = lies?.type === 'panel' ? panels.find((p) => p.id === lies.panelId) : undefined
      if (!panel) return []
      const length = Math.max(0, pathLength(edgeChain(panel, chain)) - startFree - endFree)
      return [{ edges: chain.map((edge) => `${panel.id} ${edge}`), length }]
    })
}

/** Raw edges finished one by one, over all copies; those glued to others are finished together with the seam, mm. */
function finishedEdges(panels: readonly Panel[], glued: ReadonlySet<string>): number {
  const shown = (panel: Panel): number =>
    sum(
      panel.edges
        .filter((e) => (e.fate.type === 'raw' || e.fate.type === 'sewn') && e.fate.finish !== 'left')
        .filter((e) => !glued.has(`${panel.id} ${e.id}`))
        .map((e) => pathLength(edgeChain(panel, [e.id]))),
    )
  return sum(panels.map((panel) => panel.count * shown(panel)))
}

/** What there is to do, all copies counted; lengths mm. */
function handworkOf({ master, edges, runs }: Made) {
  const parts = edges.filter((w) => w.panel.role !== 'guide')
  const each = (of: (work: EdgeWork) => number): number => sum(parts.map((w) => w.panel.count * of(w)))
  const panels = parts.map((w) => w.panel)
  const glued = gluedEdges(master, panels)
  const seams = runs.filter((r) => r.join.course.type === 'edges' && r.join.glue.length > 0)
  return {
    round: each((w) => pathLength(w.cut)),
    pieces: each(() => 1),
    strips: each((w) => skivedStrips(w).length),
    // A deeper skive takes as long as a longer one.
    skived: each((w) => sum(skivedStrips(w).map((s) => s.length * (1 + s.depth)))),
    turned: each((w) => sum(w.turned.map((t) => pathLength(t.finished)))),
    pleats: each((w) => sum(w.treatments.map((t) => t.count))),
    joins: master.joins.filter((j) => j.glue.length > 0).length,
    coated: sum(glued.map((g) => g.length)),
    // What goes on with another run's thread needs no threading up.
    runs: sum(runs.map((r) => (r.join.onward ? 0 : r.times))),
    blows: sum(runs.map((r) => r.times * punchBlows(r))),
    corners: sum(runs.map((r) => r.times * cornersOf(r))),
    stitches: sum(runs.filter((r) => r.ways.holes !== 'machine').map((r) => r.times * r.stitches)),
    machined: sum(runs.filter((r) => r.ways.holes === 'machine').map((r) => r.times * r.stitches)),
    edge: finishedEdges(panels, new Set(glued.flatMap((g) => g.edges))) + sum(seams.map((r) => r.length)),
  }
}

/** Time to cut, skive, turn, glue, sew and finish, by sort, by the maker's own pace; docs/formulas.md §17. Nothing for drying. */
export function benchTime(made: Made, reckon: Reckon): { readonly parts: TimeBySort } {
  const work = handworkOf(made)
  const part = <const Words extends string>(
    key: string,
    label: string,
    formula: Words,
    counted: { readonly [Name in NamesIn<Words>]: number },
  ): Reckoned => {
    const inputs = Object.entries<number>(counted).map(([name, value]): [string, Given] => [
      name,
      given(name, value, Number.isInteger(value) ? 'count' : 'share'),
    ])
    return reckon<string>(
      {
        key: `time.${key}`,
        label: `${label}, minutes`,
        formula,
        source: '§17',
        quantity: 'count',
        measured: true,
      },
      Object.fromEntries(inputs),
    )
  }
  const whole = Object.fromEntries(Object.entries(work).map(([k, v]) => [k, Math.round(v)])) as typeof work
  const {
    round,
    pieces,
    strips,
    skived,
    turned,
    pleats,
    joins,
    coated,
    runs,
    blows,
    corners,
    stitches,
    machined,
    edge,
  } = whole
  const { speed } = made
  const parts: TimeBySort = [
    part('cut', 'cutting out', '{round} mm round / {pace} a minute + {pieces} pieces × {each}', {
      round,
      pace: speed.cutPace,
      pieces,
      each: speed.pieceMinutes,
    }),
    part(
      'skive',
      'skiving',
      '{strips} strips × {each} + {skived} mm / {pace} a minute; deep ones counted longer',
      { strips, each: speed.skiveMinutes, skived, pace: speed.skivePace },
    ),
    part('turn', 'turning edges', '{turned} mm / {pace} a minute + {pleats} pleats and cuts × {each}', {
      turned,
      pace: speed.turnPace,
      pleats,
      each: speed.pleatMinutes,
    }),
    part('glue', 'gluing', '{joins} joins × {each} + {coated} mm coated / {pace} a minute', {
      joins,
      each: speed.glueMinutes,
      coated,
      pace: speed.gluePace,
    }),
    part(
      'sew',
      'punching and sewing',
      '({blows} blows × {punch} s + {stitches} stitches × {stitch} s + {corners} corners × {corner} s) / 60' +
        (machined > 0 ? ' + {machined} by machine / {fast} a minute' : '') +
        ' + {runs} runs × {each}',
      {
        blows,
        punch: speed.blowSeconds,
        stitches,
        stitch: speed.stitchSeconds,
        corners,
        corner: speed.cornerSeconds,
        ...(machined > 0 ? { machined, fast: made.machine.speed } : {}),
        runs,
        each: speed.runMinutes,
      } as { [name: string]: number },
    ),
    part('edges', 'finishing edges', '{edge} mm / {pace} a minute', { edge, pace: speed.edgePace }),
  ]
  return { parts }
}

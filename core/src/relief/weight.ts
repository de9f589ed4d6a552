import { STAY, boxHeight, boxWidth } from '../geometry/index.js'
import type { EdgeWork } from '../edges/index.js'
import { layUp } from '../layup/index.js'
import type { Run } from '../stitch/index.js'
import { type Leather, type Thread, densityOf } from '../stores/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { reliefMap, workBox } from './map.js'

/** Cells to measure a panel's volume with, mm; a large panel is measured in as many as a small one. */
const STEP = 1
const MOST_CELLS = 20_000

/** Leather of one panel as it lies finished, skives and turned edges counted, mm³. */
function volumeOf(work: EdgeWork): number {
  const sheet = {
    type: 'panel',
    id: work.panel.id,
    name: work.panel.name,
    panelId: work.panel.id,
    move: STAY,
    clips: [],
    grainUp: true,
  } as const
  const laid = layUp({ id: 'alone', name: 'alone', carrier: work.panel.id, sheets: [sheet] }, [work])
  const box = workBox(laid)
  const step = Math.max(STEP, Math.sqrt((boxWidth(box) * boxHeight(box)) / MOST_CELLS))
  const map = reliefMap(laid, step)
  let sum = 0
  for (const height of map.heights) sum += height
  return sum * step * step
}

export interface Weighed {
  readonly edges: readonly EdgeWork[]
  readonly runs: readonly Run[]
  readonly leathers: Readonly<Record<string, Leather>>
  readonly thread: Thread
}

/** What the finished work weighs without what it carries, grams; docs/formulas.md §16. Hardware is not counted. */
export function weightOf({ edges, runs, leathers, thread }: Weighed, reckon: Reckon): Reckoned {
  const parts = edges.filter((w) => w.panel.role !== 'guide')
  const leather = parts.reduce((grams, work) => {
    const own = work.panel.stock ? undefined : leathers[work.panel.role]
    return grams + (work.panel.count * volumeOf(work) * densityOf(own)) / 1000
  }, 0)
  const sewn = runs.reduce(
    (mm, run) => mm + 2 * run.holes.reduce((sum, h) => sum + h.stack + (run.sides[0]?.pitch ?? 0), 0),
    0,
  )
  return reckon(
    {
      key: 'weight',
      label: 'weight in grams',
      formula: '{leather} leather + {sewn} m thread × {tex} tex / 1000',
      source: '§16',
      quantity: 'count',
      measured: true,
    },
    {
      leather: given('leather', leather, 'count'),
      sewn: given('thread', sewn / 1000, 'share'),
      tex: given('tex', thread.tex, 'share'),
    },
  )
}

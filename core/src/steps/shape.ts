import { boxCentre, pathBox, pathLength, pointMoved } from '../geometry/index.js'
import { sheetThickness } from '../layup/index.js'
import { firstOf, lastOf } from '../lists/index.js'
import { type EdgePlan, type Facts, type Part } from './facts.js'
import { some, task } from './prepare.js'
import type { Task } from './task.js'

const EDGE_TOOLS = {
  burnished: ['sandpaper', 'edge beveller', 'burnisher'],
  painted: ['sandpaper', 'edge beveller'],
} as const

/** Neighbouring edges by their names, or from the first to the last. */
const namesOf = (edges: readonly { readonly name: string }[]): string =>
  edges.length > 2
    ? `${firstOf(edges).name} to ${lastOf(edges).name}`
    : edges.map((e) => e.name).join(' and ')

const finishOf = (fate: object): keyof typeof EDGE_TOOLS =>
  'finish' in fate && fate.finish === 'painted' ? 'painted' : 'burnished'

/** Edges of a seam are finished together: the length of that on which the seam runs counts for all of them. */
const finishedLength = ({ when, runs, length }: EdgePlan, { panel }: Part, facts: Facts): number =>
  when !== 'seam'
    ? length * panel.count
    : runs.some((r) => facts.panelOfSheet(r.join.course.sheet) === panel.id)
      ? length * firstOf(runs).times
      : 0

/** Every edge that is finished: those that vanish, those of seams, those that stay free; each in one task, and one for each coat. */
export function finishing(facts: Facts): Task[] {
  return facts.parts.flatMap((part) => part.edges.flatMap((plan) => edgeTasks(plan, part, facts)))
}

/** Coats that an edge is painted with; none where it is burnished. */
export const coatsOf = (edge: { readonly fate: object }, { derived }: Facts): number =>
  finishOf(edge.fate) === 'painted' ? derived.design.work.ways.coats : 0

function edgeTasks(plan: EdgePlan, part: Part, facts: Facts): Task[] {
  const { coatDry } = facts.derived.design.work.ways
  const first = firstOf(plan.edges)
  const finish = finishOf(first.fate)
  const before = plan.when === 'before'
  const coats = coatsOf(first, facts)
  const common = {
    what: `${namesOf(plan.edges)} of the ${part.panel.name}`,
    times: part.panel.count,
    touches: [{ panelId: part.panel.id, edges: plan.edges.map((e) => e.id) }],
    // Making ready and each coat take their share of the pace at which edges are finished.
    amount: { length: finishedLength(plan, part, facts) / (coats + 1) },
  }
  const own = plan.own.length > 0 ? part.panel.id : ''
  return [
    task({
      ...common,
      id: `edge:${part.panel.id}:${first.id}`,
      sort: before ? 'edge' : 'finish',
      group: `${before ? 'edge' : 'finish'} ${finish} ${own}`,
      tools: EDGE_TOOLS[finish],
      materials: coats > 0 ? [] : [some('edge dressing or water')],
    }),
    ...Array.from({ length: coats }, (_, i) =>
      task({
        ...common,
        id: `coat${i + 1}:${part.panel.id}:${first.id}`,
        sort: before ? 'coat' : 'coatLast',
        group: `${before ? 'coat' : 'coatLast'} ${i + 1} ${own}`,
        what: `${common.what}, coat ${i + 1}`,
        tools: i === 0 ? ['paint roller'] : ['fine sandpaper', 'paint roller'],
        materials: [some('edge paint')],
        wait: coatDry,
      }),
    ),
  ]
}

/** Turned edges, layers, folds and forming of a piece. */
export function forming(facts: Facts): Task[] {
  return [
    ...facts.parts.flatMap((part) => [
      ...turning(part),
      ...layer(part, facts),
      ...moulded(part, facts),
      ...folding(part),
    ]),
    ...pouches(facts),
  ]
}

/** On the block, soaked: a piece, or what is sewn together. */
const onTheBlock = (of: Pick<Task, 'id' | 'what' | 'touches' | 'times'>, dry: number): Task =>
  task({
    ...of,
    sort: 'form',
    amount: { count: of.times },
    tools: ['block and board', 'bone folder', 'clamps'],
    materials: [some('water')],
    wait: dry,
    ties: 'block',
  })

/** What is formed as one once it is sewn. */
const pouches = ({ derived, panelsOf }: Facts): Task[] =>
  derived.runs
    .filter((run) => run.join.formed)
    .map(({ join, times }) =>
      onTheBlock(
        {
          id: `form:${join.id}`,
          what: 'what is sewn, on the block, soaked',
          times,
          touches: panelsOf(join).map((panelId) => ({ panelId, run: join.id })),
        },
        derived.design.work.ways.formDry,
      ),
    )

const turning = ({ panel, work }: Part): Task[] =>
  work.turned.map((t) => {
    const cuts = work.treatments.reduce((sum, c) => sum + c.count, 0)
    const edges = t.edges.map((e) => e.id)
    return task({
      id: `turn:${panel.id}:${firstOf(edges)}`,
      sort: 'turn',
      what: `${namesOf(t.edges)} of the ${panel.name}`,
      times: panel.count,
      touches: [{ panelId: panel.id, edges }],
      amount: {
        length: panel.count * pathLength(t.finished),
        count: t === work.turned[0] ? panel.count * cuts : 0,
      },
      tools: ['bone folder', 'hammer'],
      materials: [some('glue')],
    })
  })

function layer({ panel }: Part, { partOf, derived }: Facts): Task[] {
  const { behind } = panel
  if (!behind) return []
  const { ways } = derived.design.work
  const onto = partOf(behind.panelId)?.panel.name ?? behind.panelId
  return [
    task({
      id: `lay:${panel.id}`,
      sort: behind.sort === 'lining' ? 'line' : 'back',
      what: `${panel.name} behind the ${onto}`,
      times: panel.count,
      touches: [{ panelId: panel.id }],
      amount: { count: panel.count },
      tools: ['glue spreader', 'roller'],
      materials: [some('glue')],
      wait: ways.glue === 'white' ? ways.clips : 0,
      ...(ways.glue === 'white' ? { ties: 'clips' as const } : {}),
    }),
  ]
}

function moulded({ panel, laid }: Part, { derived }: Facts): Task[] {
  if (!laid.some((s) => s.sheet.type === 'panel' && s.sheet.formed)) return []
  const { ways } = derived.design.work
  return [
    onTheBlock(
      {
        id: `form:${panel.id}`,
        what: `${panel.name} on the block, soaked`,
        times: panel.count,
        touches: [{ panelId: panel.id }],
      },
      ways.formDry,
    ),
    task({
      id: `trim:${panel.id}`,
      sort: 'trim',
      what: `${panel.name} to its true line once it is dry`,
      times: panel.count,
      touches: [{ panelId: panel.id }],
      amount: { length: panel.count * pathLength(panel.outline) },
      tools: ['knife'],
    }),
  ]
}

const folding = ({ panel }: Part): Task[] =>
  panel.folds.length === 0
    ? []
    : [
        task({
          id: `fold:${panel.id}`,
          sort: 'fold',
          what: panel.name,
          times: panel.count,
          touches: [{ panelId: panel.id }],
          amount: { count: panel.count * panel.folds.length },
          tools: ['bone folder'],
        }),
      ]

/** The piece on which a stamped mark shows most: what nothing lies over, and how much of it. */
export function markPiece({ parts, derived }: Facts): Part | undefined {
  const sheets = derived.works[0]?.sheets ?? []
  const shown = (part: Part): number => {
    const [own] = part.laid
    if (!own || part.work.stock?.leather !== true) return 0
    const middle = pointMoved(boxCentre(pathBox(own.outline)), own.sheet.move)
    const up = own.sheet.type === 'panel' && own.sheet.grainUp
    const at = sheets.indexOf(own)
    const over = sheets.some(
      (s, i) => (up ? i > at : i < at) && s.sheet.type === 'panel' && sheetThickness(s, middle) > 0,
    )
    const box = pathBox(own.outline)
    return over ? 0 : (box.right - box.left) * (box.bottom - box.top)
  }
  const ranked = parts.map((part) => ({ part, shown: shown(part) })).sort((a, b) => b.shown - a.shown)
  return ranked[0] && ranked[0].shown > 0 ? ranked[0].part : undefined
}

const stampTask = (part: Part, id: string, what: string, count: number): Task =>
  task({
    id,
    sort: 'stamp',
    what,
    times: count,
    touches: [{ panelId: part.panel.id }],
    amount: { count },
    tools: ['stamp', 'mallet', 'flat stone'],
    materials: [some('water to damp it')],
  })

/** Borders stamped inside edges. */
const bordering = ({ parts }: Facts): Task[] =>
  parts.flatMap((part) =>
    (part.panel.marks ?? []).flatMap((mark) => {
      if (mark.type !== 'lines' || !mark.stamped) return []
      const what = `${mark.said}, on the ${part.panel.name.toLowerCase()}`
      return [stampTask(part, `stamp:${mark.id}`, what, part.panel.count)]
    }),
  )

/** The maker’s own mark: where it was put, or else where nothing will cover it. */
function ownMark(facts: Facts): Task[] {
  const put = facts.parts.flatMap((part) =>
    (part.panel.marks ?? []).flatMap((mark, i, all) =>
      mark.type === 'stamp'
        ? [
            stampTask(
              part,
              all.slice(0, i).some((m) => m.type === 'stamp') ? `stamp:${mark.id}` : `stamp:${part.panel.id}`,
              `${mark.name}, on the ${part.panel.name.toLowerCase()}`,
              part.panel.count,
            ),
          ]
        : [],
    ),
  )
  if (put.length > 0) return put
  const on = facts.derived.design.work.ways.stamp === 'stamped' ? markPiece(facts) : undefined
  return on ? [stampTask(on, 'stamp', `${on.panel.name}, where nothing will cover it`, 1)] : []
}

/** Everything stamped into the grain. */
export const stamping = (facts: Facts): Task[] => [...bordering(facts), ...ownMark(facts)]

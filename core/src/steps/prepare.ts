import { pathLength } from '../geometry/index.js'

import { printWeight } from '../measure/index.js'
import type { Facts, Part } from './facts.js'
import { rankOf, type Sort } from './sorts.js'
import type { Amount, Supply, Task } from './task.js'

/** Used, but not counted. */
export const some = (what: string): Supply => ({ what, amount: 1, unit: 'some' })

export const NOTHING: Amount = {
  count: 0,
  length: 0,
  stitches: 0,
  corners: 0,
  machined: 0,
  begins: 0,
  blows: 0,
}

/** A task with all that is usual left out. */
export const task = (
  of: Pick<Task, 'id' | 'sort' | 'what'> &
    Partial<Omit<Task, 'amount'>> & { readonly amount?: Partial<Amount> },
): Task => ({
  group: of.sort,
  times: 1,
  touches: [],
  tools: [],
  looks: [],
  materials: [],
  rank: rankOf(of.sort),
  wait: 0,
  ...of,
  amount: { ...NOTHING, ...of.amount },
})

/** Bar, patterns, a mock-up: what is done before leather is touched. */
export function beforeLeather({ parts, guides, derived }: Facts): Task[] {
  const { ways } = derived.design.work
  const patterns = [...parts.map((p) => p.panel), ...guides]
  return [
    task({
      id: 'bar',
      sort: 'bar',
      what: 'the test bar of the print',
      amount: { count: 1 },
      tools: ['steel rule'],
    }),
    ...patterns.map((panel) =>
      task({
        id: `pattern:${panel.id}`,
        sort: 'pattern',
        what: panel.name,
        touches: [{ panelId: panel.id }],
        amount: { count: 1 },
        tools: ['knife', 'steel rule'],
        materials: [some('card')],
      }),
    ),
    ...(ways.mockUp === 'none'
      ? []
      : [
          task({
            id: 'mock-up',
            sort: 'mockUp',
            what: `it in ${ways.mockUp === 'paper' ? 'paper' : 'scrap leather'}`,
            amount: { count: 1 },
          }),
        ]),
  ]
}

const materialOf = ({ work }: Part): string => work.stock?.name ?? 'leather'

/** Straps are what is cut in one long run; they come first off the straight edge. */
export const isStrap = (part: Part, { derived }: Facts): boolean =>
  (derived.master.strapRuns ?? []).some((r) => r.panelId === part.panel.id)

/** What is done with a piece while it is single: cut, marked, split, dyed, oiled. */
export function ofPieces(facts: Facts): Task[] {
  const { ways } = facts.derived.design.work
  return facts.parts.flatMap((part) => {
    const { panel, work } = part
    const one = (
      sort: Sort,
      id: string,
      more: Partial<Omit<Task, 'amount'>> & { readonly amount?: Partial<Amount> } = {},
    ): Task =>
      task({
        id: `${id}:${panel.id}`,
        sort,
        what: panel.name,
        times: panel.count,
        touches: [{ panelId: panel.id }],
        ...more,
        amount: { count: panel.count, ...more.amount },
      })
    const block = panel.block !== undefined || panel.split !== undefined
    const cut = isStrap(part, facts) ? 'straps' : 'cut'
    const dyed = work.stock?.leather === true
    return [
      ...(block
        ? [
            one('rough', 'rough', {
              group: `rough ${materialOf(part)}`,
              materials: [some(materialOf(part))],
              tools: ['knife'],
            }),
          ]
        : []),
      ...(panel.split !== undefined
        ? [one('split', 'split', { tools: [`splitter set to ${printWeight(panel.split, facts.unit)}`] })]
        : []),
      one(cut, 'cut', {
        group: `cut ${cut} ${materialOf(part)}`,
        amount: { length: panel.count * pathLength(work.cut) },
        materials: [some(materialOf(part))],
        tools: cut === 'straps' ? ['strap cutter or knife', 'straight edge'] : ['knife', 'steel rule'],
      }),
      one('mark', 'mark', { tools: ['scratch awl', 'silver pen on the flesh side'] }),
      ...(dyed && ways.dye === 'pieces'
        ? [
            one('dye', 'dye', {
              wait: ways.dyeDry,
              group: `dye ${materialOf(part)}`,
              materials: [some('dye')],
            }),
          ]
        : []),
      ...(dyed && ways.oil === 'pieces'
        ? [one('oil', 'oil', { wait: ways.oilRest, materials: [some('oil')] })]
        : []),
    ]
  })
}

/** The count against the list, and what is cut besides the pieces: washers from offcuts. */
export function counted({ parts, derived }: Facts): Task[] {
  const pieces = parts.reduce((sum, p) => sum + p.panel.count, 0)
  const washers = derived.fittings.reduce((sum, f) => sum + f.washers * f.fitting.count, 0)
  return [
    task({
      id: 'count',
      sort: 'count',
      what: washers > 0 ? 'pieces and washers against the list' : 'pieces against the list',
      times: pieces + washers,
      amount: { count: 1 },
    }),
    ...(washers > 0
      ? [
          task({
            id: 'washers',
            sort: 'washers',
            what: 'washers from offcuts',
            times: washers,
            amount: { count: washers },
            tools: ['hole punch'],
          }),
        ]
      : []),
  ]
}

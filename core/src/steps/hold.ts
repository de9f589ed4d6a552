import { pathLength, pointMoved } from '../geometry/index.js'
import { cornersOf, punchBlows } from '../make/index.js'
import { type Join, type Panel, edgeChain } from '../master/index.js'
import { printLength, printLong } from '../measure/index.js'
import type { Run } from '../stitch/index.js'
import { type Hardware, diameterOf, needleFor } from '../stores/index.js'
import { type Facts, type Part } from './facts.js'
import { some, task } from './prepare.js'
import type { Task, Touch } from './task.js'

/** Seams that say the same are one step where the order lets them: the same pieces, holed the same way. */
const alike = (run: Run, facts: Facts): string =>
  `${[...facts.panelsOf(run.join)].sort().join('+')} ${run.ways.holes} ${run.ways.iron.id}${run.join.closes ? ' closes' : ''}${closesHalf(run, facts) ? ` ${run.join.id}` : ''}`

/** On which side of a fold a seam lies on a piece: by its middle hole. */
function sideOf(run: Run, part: Part, fold: Panel['folds'][number]): number {
  const hole = run.holes[Math.floor(run.holes.length / 2)]
  const own = part.laid.find((l) => run.join.through.includes(l.sheet.id))
  if (!hole || !own) return 0
  const at = pointMoved(hole.at, own.toSheet)
  const [dx, dy] = [fold.to.x - fold.from.x, fold.to.y - fold.from.y]
  return Math.sign((at.x - fold.from.x) * dy - (at.y - fold.from.y) * dx)
}

/**
 * One of the two seams that close the halves of a folded work: two pieces that both run through the fold are held
 * together on either side of it.
 */
export function closesHalf(run: Run, facts: Facts): boolean {
  const { join } = run
  if (facts.derived.design.work.ways.halves !== 'one' || !join.twin) return false
  const twin = facts.derived.runs.find((r) => r.join.id === join.twin)
  if (!twin) return false
  const parted = facts.panelsOf(join).filter((id) => {
    const part = facts.panelsOf(twin.join).includes(id) ? facts.partOf(id) : undefined
    return part?.panel.folds.some((f) => sideOf(run, part, f) * sideOf(twin, part, f) < 0)
  })
  return parted.length > 1
}

const touchesOf = (join: Join, facts: Facts): Touch[] =>
  facts.panelsOf(join).map((panelId) => ({ panelId, run: join.id }))

/** Length of the edges that are coated with glue for a join, mm. */
function coated(join: Join, facts: Facts): number {
  return join.glue.reduce((sum, { sheet, chain, startFree = 0, endFree = 0 }) => {
    const panel = facts.partOf(facts.panelOfSheet(sheet) ?? '')?.panel
    return panel ? sum + Math.max(0, pathLength(edgeChain(panel, chain)) - startFree - endFree) : sum
  }, 0)
}

export function gluing(facts: Facts): Task[] {
  const { master, design, runs } = facts.derived
  const { ways } = design.work
  return master.joins
    .filter((join) => join.glue.length > 0)
    .map((join) => {
      const run = runs.find((r) => r.join.id === join.id)
      const times = run?.times ?? 1
      return task({
        id: `glue:${join.id}`,
        sort: 'glue',
        group: run ? `glue ${alike(run, facts)}` : `glue ${join.id}`,
        what: join.name,
        times,
        touches: touchesOf(join, facts),
        amount: { count: times, length: times * coated(join, facts) },
        tools: ways.glue === 'white' ? ['glue spreader', 'clips'] : ['glue spreader', 'roller'],
        materials: [some(ways.glue === 'white' ? 'white glue' : 'contact glue')],
        wait: ways.glue === 'white' ? ways.clips : ways.tack,
        ...(ways.glue === 'white' ? { ties: 'clips' as const } : {}),
      })
    })
}

/** What is looked at before a run is sewn: both sides of it, the thread, what lies under it. */
function looksOf(run: Run, { derived, panelsOf, unit }: Facts): string[] {
  const { join, locked, lengths, thread, holes, other } = run
  const far = (mm: number): string => printLong(mm, unit)
  const parts = panelsOf(join)
  const upright = derived.panels.filter((p) => parts.includes(p.id) && p.marks?.some((m) => m.type === 'up'))
  return [
    ...(other
      ? [
          other.holes.length === holes.length
            ? `${join.name}: ${holes.length} holes on each side`
            : `${join.name}: ${holes.length} holes on one side, ${other.holes.length} on the other`,
        ]
      : []),
    locked
      ? `${join.name}: the bobbin holds at least ${far(locked.bobbin.value)}`
      : `${join.name}: ${lengths > 1 ? `${lengths} threads of ${far(thread.value / lengths)}` : `a thread of ${far(thread.value)}`}`,
    ...(parts.length > 1 ? ['pen lines and marks that would show are rubbed off'] : []),
    ...upright.map((p) => `the ${p.name} is the right way up`),
  ]
}

/** Holes and sewing of every run: punched apart before it is glued, through all layers after, or by the machine. */
export function sewing(facts: Facts): Task[] {
  const { runs, design } = facts.derived
  const { thread, machine } = design
  return runs.flatMap((run) => {
    const { join, ways, times, stitches } = run
    const common = { what: join.name, times, touches: touchesOf(join, facts) }
    const begins = join.onward ? 0 : times
    const long = { what: `thread ${thread.name}`, amount: times * run.thread.value, unit: 'mm' as const }
    const group = alike(run, facts)
    if (ways.holes === 'machine')
      return [
        task({
          ...common,
          id: `sew:${join.id}`,
          looks: looksOf(run, facts),
          sort: 'machine',
          group: `machine ${group}`,
          amount: { machined: times * stitches, begins },
          tools: [machine.name, `needle ${needleFor(diameterOf(thread))}`],
          materials: [long, some('a filled bobbin')],
        }),
      ]
    return [
      task({
        ...common,
        id: `holes:${join.id}`,
        sort: ways.holes === 'apart' ? 'holes' : 'strike',
        group: `holes ${ways.holes} ${group}`,
        amount: { blows: times * punchBlows(run) },
        tools: [ways.iron.name, 'mallet', 'cutting board'],
      }),
      task({
        ...common,
        id: `sew:${join.id}`,
        looks: looksOf(run, facts),
        sort: 'sew',
        group: `sew ${group}`,
        amount: { stitches: times * stitches, corners: times * cornersOf(run), begins },
        tools: ['two blunt needles', design.awl.name, 'stitching clam'],
        materials: [long],
      }),
    ]
  })
}

/** What sets it: a post is struck, a screw is turned, prongs are bent. */
function settersOf({ sort, prongs, name }: Hardware): string[] {
  if (sort === 'rivet' || sort === 'burr' || sort === 'snap') return [`setter for ${name}`, 'mallet', 'anvil']
  return [prongs > 0 ? 'pliers' : 'screwdriver']
}

/** Every piece of hardware at its place. */
export const hardware = ({ derived, panelOfSheet, unit }: Facts): Task[] =>
  derived.fittings.map(({ fitting, hardware: ware, post, washers }) =>
    task({
      id: `set:${fitting.id}`,
      sort: fitting.held ? 'hang' : 'set',
      group: `set ${ware.id} ${fitting.half ?? ''}`,
      what: fitting.name,
      times: fitting.count,
      touches: [fitting.sheet, ...fitting.through.map((t) => t.sheet)]
        .flatMap((s) => panelOfSheet(s) ?? [])
        .filter((id, i, all) => all.indexOf(id) === i)
        .map((panelId) => ({ panelId, fitting: fitting.id })),
      amount: { count: fitting.count },
      tools: fitting.held ? [] : settersOf(ware),
      materials: [
        {
          what: `${ware.name}${post === undefined ? '' : `, post ${printLength(post, unit)}`}`,
          amount: fitting.count,
          unit: 'pieces' as const,
        },
        ...(washers > 0
          ? [
              {
                what: `washer for the ${ware.name}`,
                amount: washers * fitting.count,
                unit: 'pieces' as const,
              },
            ]
          : []),
      ],
    }),
  )

/** Turned out, put in, dyed and oiled as a whole, tried, noted. */
export function lastly(facts: Facts): Task[] {
  const { derived, parts } = facts
  const { master, design } = derived
  const { ways } = design.work
  const loose = parts.filter((p) => p.loose)
  const all = parts.map((p) => ({ panelId: p.panel.id }))
  return [
    ...(master.turning
      ? [
          task({
            id: 'turn-out',
            sort: 'turnOut',
            what: 'the bag: threads cut, buckles wrapped; press its seams out with something rounded',
            touches: all,
            amount: { count: 1 },
            tools: ['bone folder', 'hammer'],
          }),
        ]
      : []),
    ...loose.map(({ panel }) =>
      task({
        id: `put-in:${panel.id}`,
        sort: 'putIn',
        what: panel.name,
        times: panel.count,
        touches: [{ panelId: panel.id }],
        amount: { count: panel.count },
      }),
    ),
    ...(ways.dye === 'work'
      ? [
          task({
            id: 'dye-work',
            sort: 'dyeWork',
            what: 'the finished work',
            touches: all,
            amount: { count: 1 },
            wait: ways.dyeDry,
            materials: [some('dye')],
          }),
        ]
      : []),
    ...(ways.oil === 'work'
      ? [
          task({
            id: 'oil-work',
            sort: 'oilWork',
            what: 'the finished work',
            touches: all,
            amount: { count: 1 },
            wait: ways.oilRest,
            materials: [some('oil')],
          }),
        ]
      : []),
    task({
      id: 'fit',
      sort: 'fit',
      what: 'it with what goes in: does it go in, stop, fold, close, hang level',
      amount: { count: 1 },
    }),
    task({ id: 'note', sort: 'note', what: 'it, and what to do otherwise next time', amount: { count: 1 } }),
  ]
}

import { isNear, pointMoved } from '../geometry/index.js'
import { firstOf, nth, foundIn } from '../lists/index.js'
import { coverings } from '../stitch/index.js'
import { type EdgePlan, type Facts, type Part, holds, sheetsOf } from './facts.js'
import { closesHalf } from './hold.js'
import { coatsOf } from './shape.js'
import { isStrap } from './prepare.js'
import type { Task, Why } from './task.js'

/** Which task comes before which, by their ids; those that aren't there are left out. */
export interface Asking {
  readonly facts: Facts
  readonly tasks: readonly Task[]
  /** First, then, and why. */
  readonly say: (first: string, then: string, why: Why) => void
  /** All that has to come after any of these already: a custom gives way where something that lies there says otherwise. */
  readonly afterAny: (ids: readonly string[]) => ReadonlySet<string>
  /** Ids of tasks that touch a piece, of some sorts. */
  readonly on: (panelId: string, sorts: readonly Task['sort'][]) => readonly string[]
}

/** Paper, pattern, cut, marks, count. */
export function piecesFirst({ facts, tasks, say, on }: Asking): void {
  const all = tasks.filter((t) => t.sort === 'pattern')
  for (const pattern of all) {
    say('bar', pattern.id, 'paper')
    say(pattern.id, 'mock-up', 'pattern')
  }
  for (const part of facts.parts) {
    const { id } = part.panel
    const [rough, split, cut, mark] = [`rough:${id}`, `split:${id}`, `cut:${id}`, `mark:${id}`]
    for (const first of [rough, cut]) {
      say(`pattern:${id}`, first, 'pattern')
      say('mock-up', first, 'trial')
    }
    say(rough, split, 'cut')
    say(rough, cut, 'cut')
    say(split, cut, 'split')
    say(cut, mark, 'cut')
    say(mark, 'count', 'cut')
    for (const later of on(id, LATER)) {
      say(mark, later, 'marked')
      if (later.startsWith('glue:') || later.startsWith('lay:')) say('count', later, 'counted')
    }
    if (!isStrap(part, facts))
      for (const strap of facts.parts.filter(
        (p) => isStrap(p, facts) && p.work.stock?.name === part.work.stock?.name,
      ))
        say(`cut:${strap.panel.id}`, cut, 'whole')
  }
  say('washers', 'count', 'counted')
}

/** All that is done with a piece once it is marked. */
const LATER: readonly Task['sort'][] = [
  'dye',
  'oil',
  'stamp',
  'skive',
  'groove',
  'punch',
  'edge',
  'coat',
  'back',
  'turn',
  'line',
  'form',
  'trim',
  'fold',
  'holes',
  'hang',
  'set',
  'glue',
  'strike',
  'sew',
  'machine',
  'putIn',
  'finish',
  'coatLast',
]
/** What holds a piece to another. */
const HOLD: readonly Task['sort'][] = ['back', 'line', 'glue', 'strike', 'sew', 'machine']

/** What is done with a single piece comes before it is held to anything. */
export function singleFirst({ facts, say, on }: Asking): void {
  for (const { panel } of facts.parts) {
    const holding = on(panel.id, HOLD)
    const before = (sorts: readonly Task['sort'][], why: Why, then: readonly string[]): void => {
      for (const first of on(panel.id, sorts))
        for (const later of then) if (first !== later) say(first, later, why)
    }
    const finishing = on(panel.id, ['edge', 'finish', 'coat', 'coatLast'])
    before(['dye'], 'dye', [
      ...holding,
      ...on(panel.id, ['oil', 'turn', 'edge', 'finish', 'coat', 'coatLast']),
    ])
    before(['oil'], 'oil', [...holding, ...on(panel.id, ['turn'])])
    before(['stamp'], 'stamp', [...holding, ...on(panel.id, ['turn', 'form'])])
    before(['skive', 'groove'], 'flat', [...holding, ...on(panel.id, ['turn', 'fold', 'form', 'trim'])])
    before(['punch'], 'punch', [...holding, ...on(panel.id, ['form', 'turn', 'set'])])
    // What is formed as one is formed once it is sewn.
    const shaped = [`form:${panel.id}`, `trim:${panel.id}`]
    say(firstOf(shaped), nth(shaped, 1), 'formed')
    for (const first of shaped)
      for (const later of [...holding, ...finishing, ...on(panel.id, ['holes'])]) say(first, later, 'formed')
    before(['holes'], 'holed', holding)
  }
}

/** Layers and turned borders of a piece. */
export function turnsFirst({ facts, tasks, say, on }: Asking): void {
  for (const { panel, work, laid } of facts.parts) {
    const turns = on(panel.id, ['turn'])
    for (const layer of tasks.filter((t) => t.id.startsWith('lay:'))) {
      const behind = facts.partOf(layer.id.slice(4))?.panel.behind
      if (behind?.panelId !== panel.id) continue
      for (const turn of turns)
        if (behind.sort === 'lining') say(turn, layer.id, 'lined')
        else say(layer.id, turn, 'backed')
      for (const piece of on(panel.id, ['skive', 'groove', 'punch', 'stamp', 'dye']))
        say(piece, layer.id, 'flat')
      for (const seam of on(panel.id, ['glue', 'strike', 'sew', 'machine'])) say(layer.id, seam, 'glued')
    }
    for (const turned of work.turned) {
      const turn = `turn:${panel.id}:${firstOf(turned.edges).id}`
      const reach = turned.turn.fate.width + SEAM_IN
      for (const run of facts.derived.runs.filter((r) => facts.panelsOf(r.join).includes(panel.id)))
        if (
          laid.some((own) =>
            run.holes.some((h) => isNear(turned.finished, pointMoved(h.at, own.toSheet), reach)),
          )
        )
          for (const seam of [`glue:${run.join.id}`, `holes:${run.join.id}`, `sew:${run.join.id}`])
            say(turn, seam, 'turned')
    }
  }
}
/** A seam so much further in than a border is wide still goes through it, mm. */
const SEAM_IN = 2

/** Edges before what covers them, or with the seam that joins them; a coat after the one before it. */
export function edgesFirst({ facts, say }: Asking): void {
  for (const part of facts.parts)
    for (const plan of part.edges) {
      const edge = firstOf(plan.edges)
      const own = `${part.panel.id}:${edge.id}`
      const passes = [`edge:${own}`]
      for (let n = 1; n <= coatsOf(edge, facts); n += 1) passes.push(`coat${n}:${own}`)
      for (let n = 1; n < passes.length; n += 1) say(nth(passes, n - 1), nth(passes, n), 'coat')
      for (const run of [...plan.runs, ...plan.own]) {
        say(`sew:${run.join.id}`, firstOf(passes), 'sewn')
        say(`form:${run.join.id}`, firstOf(passes), 'formedDry')
      }
      if (part.loose) for (const pass of passes) say(pass, `put-in:${part.panel.id}`, 'mount')
      if (plan.when === 'before') for (const pass of passes) coveredAfter(pass, plan, part, { facts, say })
    }
}

/** A pass of an edge before whatever covers it. */
function coveredAfter(
  id: string,
  plan: EdgePlan,
  part: Part,
  { facts, say }: Pick<Asking, 'facts' | 'say'>,
): void {
  for (const run of part.held) {
    const covers = plan.under.length === 0 || plan.under.some((s) => sheetsOf(run.join).includes(s))
    if (covers)
      for (const seam of seamOf(run.join.id, facts)) say(id, seam, part.mounted ? 'mount' : 'underneath')
  }
  for (const sheet of plan.under) {
    const lining = facts.panelOfSheet(sheet)
    if (lining && facts.partOf(lining)?.panel.behind) say(id, `lay:${lining}`, 'underneath')
  }
}

/** What a seam is made by, from the moment its pieces have to lie together. */
export const seamOf = (id: string, { derived }: Facts): readonly string[] =>
  derived.runs.find((r) => r.join.id === id)?.ways.holes === 'apart'
    ? [`glue:${id}`, `sew:${id}`]
    : [`glue:${id}`, `holes:${id}`, `sew:${id}`]

/** Glue, holes, thread; what a seam covers; second rows; the two halves of a fold. */
export function seamsInOrder({ facts, say }: Asking): void {
  const { runs, works } = facts.derived
  for (const { join, ways } of runs) {
    if (ways.holes !== 'apart') say(`glue:${join.id}`, `holes:${join.id}`, 'glued')
    else say(`holes:${join.id}`, `glue:${join.id}`, 'holed')
    say(`holes:${join.id}`, `sew:${join.id}`, 'holed')
    say(`glue:${join.id}`, `sew:${join.id}`, 'glued')
    say(`sew:${join.id}`, `form:${join.id}`, 'pouch')
    if (join.beside) say(`sew:${join.beside}`, `sew:${join.id}`, 'row')
    if (join.onward) say(`sew:${join.onward}`, `sew:${join.id}`, 'thread')
  }
  for (const { run, before } of coverings(runs, works))
    for (const cover of before)
      for (const later of seamOf(cover, facts)) say(`sew:${run.join.id}`, later, 'covered')
  for (const run of runs) {
    if (!closesHalf(run, facts)) continue
    const twin = foundIn(runs, (r) => r.join.id === run.join.twin)
    if (runs.indexOf(run) < runs.indexOf(twin))
      for (const later of seamOf(twin.join.id, facts)) say(`sew:${run.join.id}`, later, 'halves')
  }
}

/** Seams of a mounted piece alone come before it is sewn on, and its folds are pressed. */
export function mountedLast({ facts, say, on }: Asking): void {
  for (const part of facts.parts) {
    const { id } = part.panel
    const own = facts.derived.runs.filter(
      (r) => !r.join.closes && !r.join.away && facts.panelsOf(r.join).join() === id,
    )
    for (const run of own)
      for (const held of part.mounted ? part.mounting : [])
        for (const later of seamOf(held.join.id, facts)) say(`sew:${run.join.id}`, later, 'mount')
    for (const fold of on(id, ['fold']))
      for (const run of part.mounting.filter((r) => closesSomething(r, part, facts)))
        for (const later of seamOf(run.join.id, facts)) say(fold, later, 'folded')
  }
}
const closesSomething = (run: Facts['closing'][number], part: Part, facts: Facts): boolean =>
  run.join.closes === true || closesHalf(run, facts) || (part.mounted && holds(run.join))

import {
  type Asking,
  edgesFirst,
  mountedLast,
  piecesFirst,
  seamsInOrder,
  singleFirst,
  turnsFirst,
} from './before.js'
import { closedLast, hardwareInTime } from './closing.js'
import type { Facts } from './facts.js'
import { gluing, hardware, lastly, sewing } from './hold.js'
import { beforeLeather, counted, ofPieces } from './prepare.js'
import { finishing, forming, stamping } from './shape.js'
import { punching, thinning } from './thin.js'
import type { Before, Task } from './task.js'

/** All there is to do, each piece, edge, skive, run and piece of hardware in one task; and what comes before what. */
export interface Tasks {
  readonly tasks: readonly Task[]
  readonly before: readonly Before[]
}

const SOURCES = [
  beforeLeather,
  ofPieces,
  counted,
  thinning,
  stamping,
  punching,
  finishing,
  forming,
  gluing,
  hardware,
  sewing,
  lastly,
] as const

const RULES = [
  piecesFirst,
  singleFirst,
  turnsFirst,
  edgesFirst,
  seamsInOrder,
  mountedLast,
  hardwareInTime,
  closedLast,
] as const

export function tasksOf(facts: Facts): Tasks {
  const tasks = SOURCES.flatMap((source) => source(facts))
  const known = new Set(tasks.map((t) => t.id))
  const before = new Map<string, Before>()
  const next = new Map<string, string[]>()
  const touching = new Map<string, Task[]>()
  for (const t of tasks)
    for (const id of new Set(t.touches.map((touch) => touch.panelId)))
      touching.set(id, [...(touching.get(id) ?? []), t])
  const asking: Asking = {
    facts,
    tasks,
    say: (first, then, why) => {
      const key = `${first} > ${then}`
      if (first === then || !known.has(first) || !known.has(then) || before.has(key)) return
      before.set(key, { first, then, why })
      const after = next.get(first)
      if (after) after.push(then)
      else next.set(first, [then])
    },
    afterAny: (ids) => {
      const seen = new Set<string>()
      const open = [...ids]
      for (let id = open.pop(); id !== undefined; id = open.pop()) {
        if (seen.has(id)) continue
        seen.add(id)
        open.push(...(next.get(id) ?? []))
      }
      return seen
    },
    on: (panelId, sorts) =>
      (touching.get(panelId) ?? []).filter((t) => sorts.includes(t.sort)).map((t) => t.id),
  }
  for (const rule of RULES) rule(asking)
  return { tasks, before: [...before.values()] }
}

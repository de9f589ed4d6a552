import { firstOf } from '../lists/index.js'
import { boxCentre, pathBox } from '../geometry/index.js'
import type { Derived } from '../derived/index.js'
import { type Circle, noOrder } from '../steps/index.js'
import { type Found, check } from './finding.js'

export interface Data {
  readonly whats: readonly string[]
  readonly more: number
}

/** Seams that wait for each other are told by themselves, on the Seams. */
const told = ({ tasks }: Circle): boolean => tasks.every((t) => /^(glue|holes|sew):/.test(t.id))
const withHardware = ({ tasks }: Circle): boolean => tasks.some((t) => t.id.startsWith('set:'))
/** How many of a circle are named. */
const NAMED = 3

function foundOf(code: string, { tasks }: Circle, { panels }: Derived): Found<Data> {
  const first = firstOf(tasks)
  const panel = panels.find((p) => p.id === first.touches[0]?.panelId)
  return {
    key: `${code}:${first.id}`,
    rank: 'stop',
    places: panel ? [{ panelId: panel.id, at: boxCentre(pathBox(panel.outline)) }] : [],
    about: first.what,
    data: { whats: tasks.slice(0, NAMED).map((t) => t.what), more: Math.max(0, tasks.length - NAMED) },
  }
}

const say = ({ data }: Found<Data>) => ({
  what: `No order of work has all of these: ${data.whats.join('; ')}${data.more > 0 ? ` and ${data.more} more` : ''}.`,
  why: 'Each has to be done before another of them, all the way round: whichever is done first puts the next out of reach.',
})

/** Hardware that no order lets one reach. */
export const hardwareNoOrder = check({
  code: 'hardware-no-order',
  screen: 'fittings',
  find: (derived) =>
    noOrder(derived)
      .filter((c) => !told(c) && withHardware(c))
      .map((c) => foundOf('hardware-no-order', c, derived)),
  say,
  fixes: () => [],
})

/** Anything else that has to come before itself. */
export const workNoOrder = check({
  code: 'work-no-order',
  screen: 'make',
  find: (derived) =>
    noOrder(derived)
      .filter((c) => !told(c) && !withHardware(c))
      .map((c) => foundOf('work-no-order', c, derived)),
  say,
  fixes: () => [],
})

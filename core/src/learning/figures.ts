import { firstOf } from '../lists/index.js'
import type { Design } from '../design/index.js'
import { HABITS } from '../sewing/index.js'
import { WORK_WAYS } from '../work/index.js'
import { figureAt } from './groups.js'
import type { Change, Figures } from './proposals.js'

const ROOMS = [
  { at: ['habits'], settings: HABITS },
  { at: ['work', 'ways'], settings: WORK_WAYS },
] as const

/** Whether a figure can stand at its path; what no setting takes is left out. */
function fits(path: readonly string[], value: number): boolean {
  const key = firstOf(path.slice(-1))
  const room = ROOMS.find((r) => r.at.join('.') === path.slice(0, -1).join('.'))
  if (!room) return path.join('.') === 'machine.speed' && value >= 10 && value <= 3000
  return room.settings.schema.safeParse({ ...room.settings.usual, [key]: value }).success
}

/** The figures in which a design differs from the workshop’s own, as changes of it. */
export const differing = (design: Design, own: Figures): Change[] =>
  Object.entries(own).flatMap(([key, then]) => {
    const path = key.split('.')
    const now = figureAt(design, path)
    return now === undefined || now === then || !fits(path, then) ? [] : [{ path, now, then }]
  })

/** The same with a number at a path; what has no such path stays as it is. */
function put<At extends object>(at: At, [key, ...rest]: readonly string[], value: number): At {
  if (key === undefined) return at
  if (rest.length === 0) return { ...at, [key]: value }
  const within: unknown = Reflect.get(at, key)
  return typeof within === 'object' && within ? { ...at, [key]: put(within, rest, value) } : at
}

/** A design that reckons with the workshop’s own figures. */
export const withFigures = (design: Design, own: Figures): Design =>
  differing(design, own).reduce((so, { path, then }) => put(so, path, then), design)

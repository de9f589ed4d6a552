import { nth, required } from '../lists/index.js'
import { type LandLaid, packLand } from '../packing/index.js'
import { type Bench, type LayAsked, benchOf } from './bench.js'
import { type Lying, laidThere, tidy } from './lying.js'
import { extentOf, hideAlong } from './world.js'

/** Where pieces lie, and which found no place. */
export interface LaidOut {
  readonly lying: readonly Lying[]
  readonly left: readonly string[]
}

/** A round of work is one go at moving everything that meets; so many where nobody says. */
export const USUAL_EFFORT = 300

const round = (mm: number): number => Math.round(mm * 1000) / 1000

function read({ world, wanted, asked }: Bench, { lying }: LandLaid): LaidOut {
  const left: string[] = []
  const all = lying.flatMap((thing, i) => {
    const w = nth(wanted, i)
    if (!thing) {
      if (!asked.ground.held[i]) left.push(w.id)
      return []
    }
    const box = extentOf(laidThere(w.demand.outline, w.over, thing))
    const at = hideAlong(world, (box.left + box.right) / 2)
    if (!at) return []
    return [
      {
        id: w.id,
        hide: at.hide.id,
        turn: tidy(thing.turn),
        x: round(thing.x - at.x),
        y: round(thing.y - at.y),
      },
    ]
  })
  return { lying: all, left }
}

/**
 * Lays pieces on hides with so many rounds of work at most: everything that comes out, on as little of the hides as can be, from the
 * butt. What is hidden keeps off the best unless nothing else comes out. The same asked, the same laid. `better` hears of every
 * better layout and of how much was spent, 0 to 1.
 */
export function layOut(
  asked: LayAsked,
  effort: number,
  better: (laid: LaidOut, spent: number) => void = () => undefined,
): LaidOut {
  if (asked.hides.length === 0 || asked.wanted.length === 0)
    return { lying: [], left: asked.wanted.map((w) => w.id).filter((id) => !asked.aside.includes(id)) }
  const tries = asked.wanted.some(({ demand }) => demand.leather && !demand.shows && !demand.bears)
    ? [true, false]
    : [false]
  let best: LaidOut | undefined
  for (const sparing of tries) {
    const bench = benchOf(asked, sparing)
    let rounds = 0
    const most = effort / tries.length
    const laid = packLand(
      bench.asked,
      () => (rounds += 1) / most,
      (now) => {
        const told = read(bench, now)
        if (!best || told.left.length <= best.left.length) better(told, Math.min(1, rounds / effort))
      },
    )
    const now = read(bench, laid)
    if (!best || now.left.length < best.left.length) best = now
    if (best.left.length === 0) break
  }
  return required(best, 'layout')
}

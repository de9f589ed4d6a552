import type { LastCall, Step, Steps } from '../steps/index.js'
import { lastCalls } from '../steps/index.js'
import { type BenchClock, MOST_MINUTES, type Making, type StepDone } from './schema.js'

const NOTHING: StepDone = { done: false, minutes: 0, notes: [], photos: [] }

export const stepOf = (making: Making, step: string): StepDone => making.steps[step] ?? NOTHING
export const isDone = (making: Making, step: string): boolean => stepOf(making, step).done

const withStep = (making: Making, step: string, change: Partial<StepDone>): Making => ({
  ...making,
  steps: { ...making.steps, [step]: { ...stepOf(making, step), ...change } },
})

/** A clock that nobody saw for so long was not at the bench, ms. */
const UNSEEN = 2 * 60_000

/** Minutes of a step's clock. A machine's clock that was set back counts nothing; a page that slept counts until it was last seen. */
export function clockMinutes(clock: BenchClock, now: number): number {
  if (clock.since === undefined) return clock.before
  const seen = clock.seen ?? clock.since
  // Seen later than now: the clock was set back, and has run until it was seen.
  const until = now < seen || now - seen > UNSEEN ? seen : now
  return clock.before + (until - clock.since) / 60_000
}

export const isRunning = (clock: BenchClock | undefined, now: number): boolean =>
  clock?.since !== undefined && now - (clock.seen ?? clock.since) <= UNSEEN

/** What the clock of a making says is kept with its step; the clock stands. */
export function paused(making: Making, now: number): Making {
  const { clock, ...rest } = making
  if (!clock) return making
  const minutes = Math.min(MOST_MINUTES, clockMinutes(clock, now))
  return withStep({ ...rest, clock: { step: clock.step, before: minutes } }, clock.step, { minutes })
}

/** The clock runs on a step; what another step's clock had is kept. */
export function started(making: Making, step: string, now: number): Making {
  const stood = paused(making, now)
  return { ...stood, clock: { step, before: stepOf(stood, step).minutes, since: now, seen: now } }
}

/** The page was seen: the clock has really run until now. */
export function seen(making: Making, now: number): Making {
  const { clock } = making
  if (!clock || !isRunning(clock, now)) return clock?.since === undefined ? making : paused(making, now)
  // From a clock that was set back on it runs anew, with what it had.
  if (now < (clock.seen ?? 0)) return started(making, clock.step, now)
  return { ...making, clock: { ...clock, seen: now } }
}

/** Minutes as the maker remembers them. Throws for what no evening has. */
export function corrected(making: Making, step: string, minutes: number): Making {
  if (!(minutes >= 0 && minutes <= MOST_MINUTES))
    throw new RangeError(`a step takes from 0 to ${MOST_MINUTES} minutes, not ${minutes}`)
  const changed = withStep(making, step, { minutes })
  return making.clock?.step === step ? { ...changed, clock: { step, before: minutes } } : changed
}

/** A step is done: its clock stands, and what it touched waits as long as it has to. */
export function finished(making: Making, step: Step, now: number): Making {
  const { clock, ...rest } = making.clock?.step === step.id ? paused(making, now) : making
  const kept = withStep(clock && clock.step !== step.id ? { ...rest, clock } : rest, step.id, {
    done: true,
    at: now,
  })
  const timers = kept.timers.filter((t) => t.step !== step.id)
  const wait = { step: step.id, says: step.says, until: now + step.wait * 60_000, rung: false }
  return { ...kept, timers: step.wait > 0 ? [...timers, wait] : timers }
}

/** A step is to be done again: what was noted stays. */
export function reopened(making: Making, step: string): Making {
  const { finished: _, ...record } = making.record
  return {
    ...withStep(making, step, { done: false }),
    timers: making.timers.filter((t) => t.step !== step),
    record,
  }
}

/** Finished that day, once all its steps are done; a day that was written stays. */
export const endedIfDone = (making: Making, { steps }: Pick<Steps, 'steps'>, day: string): Making =>
  making.record.finished === undefined && steps.length > 0 && steps.every((s) => isDone(making, s.id))
    ? { ...making, record: { ...making.record, finished: day } }
    : making

export const noted = (
  making: Making,
  step: string,
  sort: 'note' | 'not so',
  text: string,
  now: number,
): Making => withStep(making, step, { notes: [...stepOf(making, step).notes, { at: now, sort, text }] })

export const photographed = (making: Making, step: string, photo: string): Making =>
  withStep(making, step, { photos: [...stepOf(making, step).photos, photo] })

/** Waits that are over and have not rung yet. */
export const ringing = ({ timers }: Making, now: number): Making['timers'] =>
  timers.filter((t) => !t.rung && t.until <= now)

export const rung = (making: Making, now: number): Making => ({
  ...making,
  timers: making.timers.map((t) => (t.until <= now ? { ...t, rung: true } : t)),
})

export const tickOf = (step: string, call: Pick<LastCall, 'step'>): string => `${step} < ${call.step}`

export const ticked = (making: Making, tick: string, on: boolean): Making => ({
  ...making,
  ticks: on ? [...new Set([...making.ticks, tick])] : making.ticks.filter((t) => t !== tick),
})

/** What can’t be reached once a step is done, and is neither done nor answered. */
export const openCalls = (making: Making, step: string, steps: Steps): LastCall[] =>
  lastCalls(step, steps).filter((c) => !isDone(making, c.step) && !making.ticks.includes(tickOf(step, c)))

/** The first step that is not done; undefined when all is. */
export const nextStep = (making: Making, { steps }: Pick<Steps, 'steps'>): Step | undefined =>
  steps.find((s) => !isDone(making, s.id))

import type { Derived } from '@drumlin/core/derived'
import { supplySaid, writeIcs } from '@drumlin/core/exchange/work'
import { type Planned, evenings, makingOf, timesOf, toDo } from '@drumlin/core/makings'
import { clock, dayAt, dayNumber, hoursWritten, instant, minuteAt, plan } from '@drumlin/core/schedule'
import { REASONS, type Steps, lastCalls, stepsOf } from '@drumlin/core/steps'
import { writeWhole } from './files.js'
import type { PlanAsked, StepsAsked } from './workOptions.js'
import type { Result } from './result.js'

const minutesSaid = (minutes: number): string => `${Math.round(minutes)} min`

/** Steps with their workings left out: what a program wants of them. */
const asData = ({ steps, reasons, circles }: Steps, all: Steps): unknown => ({
  steps: steps.map(({ minutes, rows, ...step }) => ({
    ...step,
    minutes: minutes.value,
    rows: rows.map(({ task, what, times }) => ({ task, what, times })),
    lastCalls: lastCalls(step.id, all).map((c) => ({ step: c.step, what: c.what, why: REASONS[c.why].says })),
  })),
  reasons: reasons.map(({ first, then, pairs }) => ({
    first,
    then,
    why: [...new Set(pairs.map((p) => REASONS[p.why].says))],
  })),
  circles: circles.map((c) => c.tasks.map((t) => t.id)),
})

/** The order of work as a list, with what is asked for the last time before each step. */
export function stepsTold(derived: Derived, { count, json, unit }: StepsAsked): Result {
  const all = stepsOf(derived, count, unit)
  if (json) return { code: 0, out: `${JSON.stringify(asData(all, all), null, 2)}\n` }
  const lines = all.steps.flatMap((step, i) => [
    `${String(i + 1).padStart(3)}. ${step.says} · ${minutesSaid(step.minutes.value)}${step.wait > 0 ? `, then ${minutesSaid(step.wait)} left alone` : ''}`,
    ...(step.rows.length > 1
      ? step.rows.map((r) => `       ${r.times > 1 ? `${r.times} × ` : ''}${r.what}`)
      : []),
    ...lastCalls(step.id, all).map((c) => `     ! before it: ${c.what} (${REASONS[c.why].says})`),
  ])
  const round = all.circles.map((c) => `No order has all of these: ${c.tasks.map((t) => t.what).join('; ')}.`)
  const total = all.steps.reduce((sum, s) => sum + s.minutes.value, 0)
  return {
    code: round.length > 0 ? 1 : 0,
    out: `${[...lines, `${all.steps.length} steps, ${minutesSaid(total)} at the bench`, ...round].join('\n')}\n`,
  }
}

/** Evenings with their steps; 1 where it is not done by the day asked for, or never. */
export async function planTold(derived: Derived, asked: PlanAsked): Promise<Result> {
  const { hours, from, due, count, unit } = asked
  const steps = stepsOf(derived, count, unit)
  const making = makingOf(derived.design, {
    id: 'plan',
    count,
    forWhom: '',
    begun: from,
    ...(due === undefined ? {} : { due }),
  })
  const one: Planned = { making, steps }
  const begin = instant(dayNumber(from)!, 0)
  const planned = plan([toDo(one, { at: begin, ms: 0 })], hours, begin)
  const all = evenings(planned, [one])
  if (asked.ics !== undefined)
    await writeWhole({
      file: asked.ics,
      contents: writeIcs(all, unit, new Date().toISOString().replace(/[-:]|\.\d{3}/g, '')),
      format: {
        id: 'ics',
        isOurs: (bytes) => new TextDecoder().decode(bytes).includes('PRODID:drumlin'),
      },
      input: asked.file,
      replace: asked.replace,
    })
  const lines = all.flatMap((e) => [
    `${e.day} ${timesOf(e)}`,
    ...e.items.map((i) => `  ${timesOf(i)}  ${i.step.says}${i.goesOn ? ', goes on' : ''}`),
    `  lay out: ${e.tools.join(', ')}`,
    `  have ready: ${e.supplies.map((s) => supplySaid(s, unit)).join(', ')}`,
    ...e.waits.map((w) => `  left to itself: ${w.says}, ${minutesSaid(w.minutes)}`),
  ])
  const end = planned.done['plan']
  const late = end !== undefined && due !== undefined && end > instant(dayNumber(due)! + 1, 0)
  const tooLong = planned.tooLong.map(
    ({ work, minutes }) =>
      `${steps.steps.find((s) => s.id === work)?.says ?? work} takes ${minutesSaid(minutes)} in one go; none of ${hoursWritten(hours)} is that long.`,
  )
  const said =
    end === undefined
      ? 'It does not come to an end within these hours.'
      : `Done on ${dayAt(end)} at ${clock(minuteAt(end))}${late ? `, after ${due}` : ''}.`
  return { code: end === undefined || late ? 1 : 0, out: `${[...lines, ...tooLong, said].join('\n')}\n` }
}

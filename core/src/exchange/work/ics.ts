import { type EventAttributes, createEvents } from 'ics'
import { type Evening, timesOf } from '../../makings/index.js'
import type { Units } from '../../measure/index.js'
import { minuteAt } from '../../schedule/index.js'
import { supplySaid } from './csv.js'

/** Year, month, day, hour, minute: the clock on the wall of the workshop, in no zone, so that summer time moves nothing. */
function written(day: string, minute: number): [number, number, number, number, number] {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number]
  return [y, m, d, Math.floor(minute / 60), Math.round(minute % 60)]
}

function described(evening: Evening, unit: Units): string {
  const lines = evening.items.map(
    (i) => `${timesOf(i)} ${i.step.says} (${i.making.design.name})${i.goesOn ? ', goes on' : ''}`,
  )
  const waits = evening.waits.map((w) => `Left to itself: ${w.says}, ${w.minutes} min`)
  return [
    ...lines,
    '',
    `Lay out: ${evening.tools.join(', ')}`,
    `Have ready: ${evening.supplies.map((s) => supplySaid(s, unit)).join(', ')}`,
    ...waits,
  ].join('\n')
}

/** One event an evening as iCalendar (RFC 5545), at local times; `stamp` is when it was written, `20270322T193000Z`. Throws where the writer refuses. */
export function writeIcs(evenings: readonly Evening[], unit: Units, stamp: string): string {
  const events = evenings.map((evening): EventAttributes => {
    const end = minuteAt(evening.to) === 0 ? 1439 : minuteAt(evening.to)
    const names = [...new Set(evening.items.map((i) => i.making.design.name))]
    return {
      uid: `${evening.day}-${minuteAt(evening.from)}@drumlin`,
      productId: 'drumlin',
      title: `At the bench: ${names.join(', ')}`,
      description: described(evening, unit),
      start: written(evening.day, minuteAt(evening.from)),
      startInputType: 'local',
      startOutputType: 'local',
      end: written(evening.day, end),
      endInputType: 'local',
      endOutputType: 'local',
    }
  })
  const { error, value } = createEvents(events)
  if (error || !value) throw new Error(`the calendar could not be written: ${String(error)}`)
  // The package stamps each event with its own clock; the same plan is the same file.
  return value.replace(/^DTSTAMP:.*$/gm, `DTSTAMP:${stamp}`)
}

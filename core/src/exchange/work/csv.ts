import { atKey } from '../../lists/index.js'
import { type Units, decimal, printLong } from '../../measure/index.js'
import { type Evening, timesOf } from '../../makings/index.js'
import { csvOf } from '../csv/index.js'
import { REASONS, type Steps, type Supply } from '../../steps/index.js'

/** “thread Haar 0.6, 5.2 m”, “2 × ring 25”, or only what it is. */
export const supplySaid = ({ what, amount, unit }: Supply, units: Units): string =>
  unit === 'mm'
    ? `${what}, ${printLong(amount, units)}`
    : unit === 'pieces'
      ? `${decimal(amount, 0)} × ${what}`
      : what

/** Steps in order as CSV: what, minutes, wait, what has to come before. */
export function stepsCsv({ steps, reasons }: Steps, unit: Units): string {
  const number = new Map(steps.map((s, i) => [s.id, i + 1]))
  return csvOf([
    [
      'number',
      'step',
      'done to',
      'minutes',
      'wait, minutes',
      'after',
      'because',
      'tools',
      'materials',
      'cautions',
    ],
    ...steps.map((s, i) => {
      const before = reasons.filter((r) => r.then === s.id)
      return [
        i + 1,
        s.says,
        s.rows.map((r) => (r.times > 1 ? `${r.times} × ${r.what}` : r.what)).join('; '),
        decimal(s.minutes.value, 0),
        s.wait,
        before.map((r) => atKey(number, r.first)).join(' '),
        [...new Set(before.flatMap((r) => r.pairs.map((p) => REASONS[p.why].says)))].join('; '),
        s.tools.join('; '),
        s.materials.map((m) => supplySaid(m, unit)).join('; '),
        s.cautions.join(' '),
      ]
    }),
  ])
}

/** Evenings as CSV: each part of a step at its time. */
export const planCsv = (evenings: readonly Evening[]): string =>
  csvOf([
    ['day', 'time', 'making', 'step', 'minutes', 'goes on', 'wait afterwards, minutes'],
    ...evenings.flatMap((e) =>
      e.items.map((i) => [
        e.day,
        timesOf(i),
        i.making.design.name,
        i.step.says,
        decimal(i.to - i.from, 0),
        i.goesOn ? 'yes' : '',
        i.goesOn ? '' : i.step.wait,
      ]),
    ),
  ])

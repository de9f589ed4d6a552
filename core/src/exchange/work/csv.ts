import { type LengthUnit, decimal } from '../../measure/index.js'
import { type Evening, timesOf } from '../../makings/index.js'
import { REASONS, type Steps, type Supply } from '../../steps/index.js'

/** A cell of RFC 4180; a formula of a table program is no formula here. */
function cell(value: string | number): string {
  const text = String(value)
  const plain = /^[=+\-@\t\r]/.test(text) && typeof value === 'string' ? `'${text}` : text
  return /[",\n\r]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain
}
const rows = (all: readonly (readonly (string | number)[])[]): string =>
  `${all.map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`

/** “thread Haar 0.6, 5.2 m”, “2 × ring 25”, or only what it is. */
export const supplySaid = ({ what, amount, unit }: Supply, units: LengthUnit): string =>
  unit === 'mm'
    ? `${what}, ${units === 'mm' ? `${decimal(amount / 1000, 1)} m` : `${decimal(amount / 914.4, 1)} yd`}`
    : unit === 'pieces'
      ? `${decimal(amount, 0)} × ${what}`
      : what

/** Steps in order as CSV: what, minutes, wait, what has to come before. */
export function stepsCsv({ steps, reasons }: Steps, unit: LengthUnit): string {
  const number = new Map(steps.map((s, i) => [s.id, i + 1]))
  return rows([
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
        before.map((r) => number.get(r.first)!).join(' '),
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
  rows([
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

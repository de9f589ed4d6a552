import { type Client, dayOfEntry, entryOf, hoursBy } from '../../ledger/index.js'
import type { Making } from '../../makings/index.js'
import { type Units, decimal, printLength, printWeight } from '../../measure/index.js'
import { moneySaid } from '../../money/index.js'

/** A sheet of words under headings, for a client or the book of the workshop. */
export interface Sheet {
  readonly title: string
  readonly heading: string
  readonly parts: readonly { readonly heading: string; readonly lines: readonly string[] }[]
  /** PNG or JPEG. */
  readonly picture?: Uint8Array | undefined
}

const called = ({ design, count }: Making): string => `${count > 1 ? `${count} × ` : ''}${design.name}`
const contentsOf = ({ design }: Making): string[] =>
  design.contents.map(({ thing, count }) => (count === 1 ? thing.name : `${count} × ${thing.name}`))

/** What it is made of, with what was measured of it where that is to be told. */
const materialsOf = ({ design, record }: Making, unit?: Units): string[] => [
  ...record.leathers.flatMap(({ role, batch, measured }) => {
    const leather = design.leathers[role]
    if (!leather) return []
    const thick =
      unit && measured.length > 0 ? `, measured ${measured.map((m) => printWeight(m, unit)).join(', ')}` : ''
    return [`${role}: ${leather.name}${batch ? `, ${batch}` : ''}${thick}`]
  }),
  `thread: ${design.thread.name}`,
  ...(record.edge ? [`edges: ${record.edge}`] : []),
  ...(record.form ? [`formed over: ${record.form}`] : []),
]

const moneyOf = (making: Making): string[] => {
  const { asked, deposit, paid, paidOn, currency = 'EUR' } = making.record
  const say = (what: string, value: number | undefined, more = ''): string[] =>
    value === undefined ? [] : [`${what}: ${moneySaid(value, currency)}${more}`]
  return [
    ...say('price', asked),
    ...say('deposit', deposit),
    ...say('paid', paid, paidOn ? `, ${paidOn}` : ''),
  ]
}

/** What was agreed with a client, to be printed and sent. */
export const briefSheet = (making: Making, client: Client | undefined, unit: Units): Sheet => ({
  title: `Brief: ${making.design.name}`,
  heading: `Brief: ${called(making)}`,
  parts: [
    { heading: 'For', lines: [client?.name ?? making.forWhom] },
    { heading: 'Wishes', lines: [client?.wishes ?? ''] },
    { heading: 'As agreed', lines: making.record.wishes.map((w) => `${w.day}: ${w.text}`) },
    { heading: 'What goes in', lines: [contentsOf(making).join(', ')] },
    {
      heading: 'Sizes',
      lines: [
        ...making.record.sizes
          .filter((s) => s.quantity === 'length')
          .map((s) => `${s.what}: ${printLength(s.reckoned, unit)}`),
        ...(client
          ? Object.entries(client.sizes).flatMap(([what, mm]) =>
              mm === undefined ? [] : [`${what}: ${printLength(mm, unit)}`],
            )
          : []),
      ],
    },
    { heading: 'Made of', lines: materialsOf(making, unit) },
    { heading: 'Price', lines: moneyOf(making) },
    { heading: 'By when', lines: [making.due ?? ''] },
  ],
})

/** How a finished work is looked after, by what it is made of; ordinary advice (J). */
const CARE = {
  vegetable:
    'Vegetable tanned leather darkens in light and with handling. Wipe it with a dry cloth; when it feels dry, rub in a little leather cream, thinly, once or twice a year. Let it dry slowly when it got wet, away from heat.',
  chrome:
    'Chrome tanned leather needs little: wipe it with a damp cloth, and let it dry away from heat. Keep it off sharp edges.',
  mixed:
    'Wipe it with a dry cloth; a little leather cream now and then keeps it supple. Let it dry slowly when it got wet, away from heat.',
} as const

/** The card that goes with a work: what it is made of, and how it is looked after. */
export const careSheet = (making: Making, maker: string): Sheet => ({
  title: `Care: ${making.design.name}`,
  heading: making.design.name,
  parts: [
    { heading: 'Made of', lines: materialsOf(making) },
    {
      heading: 'Care',
      lines: [
        ...new Set(
          making.record.leathers.flatMap(({ role }) => {
            const leather = making.design.leathers[role]
            return leather ? [CARE[leather.tannage]] : []
          }),
        ),
        'What comes undone is mended: bring it back.',
      ],
    },
    { heading: 'Made by', lines: [maker, making.record.finished ?? making.begun] },
  ],
})

/** The record of a making, as a page one can show. */
export function recordSheet(making: Making, unit: Units, picture: Uint8Array | undefined): Sheet {
  const { record } = making
  const [hours] = hoursBy([entryOf(making)])
  const size = (s: (typeof record.sizes)[number], value: number): string =>
    s.quantity === 'grams'
      ? `${decimal(value, 0)} g`
      : s.quantity === 'thickness'
        ? printWeight(value, unit)
        : printLength(value, unit)
  return {
    title: `Record: ${making.design.name}`,
    heading: `${called(making)}, ${dayOfEntry(entryOf(making))}`,
    picture,
    parts: [
      { heading: 'For', lines: [making.forWhom] },
      { heading: 'Made of', lines: materialsOf(making, unit) },
      {
        heading: 'Hours',
        lines:
          hours && hours.actual > 0
            ? [`${decimal(hours.actual / 60, 1)} h; planned ${decimal(hours.planned / 60, 1)} h`]
            : [],
      },
      {
        heading: 'Sizes',
        lines: record.sizes.map((s) =>
          s.measured === undefined
            ? `${s.what}: reckoned ${size(s, s.reckoned)}`
            : `${s.what}: ${size(s, s.measured)}, reckoned ${size(s, s.reckoned)}`,
        ),
      },
      {
        heading: 'What went otherwise',
        lines: record.mistakes.map((m) => `${m.sort}: ${m.text}${m.mended ? `; mended: ${m.mended}` : ''}`),
      },
      { heading: 'Next time', lines: record.next.map((n) => n.text) },
      { heading: 'How it wears', lines: record.wear.map((w) => `${w.day}: ${w.text}`) },
    ],
  }
}

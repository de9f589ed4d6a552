import { firstOf, lastOf, tupleOf } from '../lists/index.js'
import { type Parsed, refused, trimmed, understood } from '../measure/index.js'
import { diameterOf } from './fibres.js'
import type { Thread } from './schema.js'

/** Grams per kilometre of the finest and the heaviest thread that is sewn with. */
const [FINEST, HEAVIEST] = [10, 2000]

/** The same thread in the systems it is sold by. */
export interface ThreadSizes {
  readonly tex: number
  readonly denier: number
  /** Metres of a gram. */
  readonly nm: number
  /** Three times the metric number: how synthetic thread is ticketed. */
  readonly ticket: number
  /** Three times the English cotton count. */
  readonly cottonTicket: number
  /** Linen: leas of 300 yards to a pound, of the whole cord. */
  readonly lea: number
  /** mm. */
  readonly diameter: number
}

const TICKET = 3000
const COTTON_TICKET = 1771.6
const LEA = 1653.5

/** A thread in every system; docs/formulas.md §1. */
export const threadSizes = (thread: Thread): ThreadSizes => ({
  tex: thread.tex,
  denier: 9 * thread.tex,
  nm: 1000 / thread.tex,
  ticket: TICKET / thread.tex,
  cottonTicket: COTTON_TICKET / thread.tex,
  lea: LEA / thread.tex,
  diameter: diameterOf(thread),
})

const NUMBER = String.raw`(\d+(?:[.,]\d+)?|[.,]\d+)`
const toNumber = (text: string): number => Number(text.replace(',', '.'))

/** Tex of a thread of that fibre and packing as thick as wanted, mm. */
const ofDiameter = (wanted: number, thread: Thread): number => thread.tex * (wanted / diameterOf(thread)) ** 2

/** What makers write, and what it comes to in tex; `d` is the diameter wanted, in mm, of that fibre. */
const FORMS: readonly (readonly [RegExp, (a: number, b: number, thread: Thread) => number])[] = [
  // The trade's numbers of bonded thread are its tex, within the few per cent that twist takes.
  [new RegExp(`^[tv]\\s*-?\\s*${NUMBER}$`), (tex) => tex],
  [new RegExp(`^(?:tex\\s*${NUMBER}|${NUMBER}\\s*tex)$`), (a, b) => (Number.isNaN(a) ? b : a)],
  [new RegExp(`^(?:${NUMBER}\\s*(?:den|denier))$`), (denier) => denier / 9],
  [new RegExp(`^(?:cotton ticket|cotton tkt)\\s*${NUMBER}$`), (ticket) => COTTON_TICKET / ticket],
  [new RegExp(`^(?:ticket|tkt|metric ticket)\\s*${NUMBER}$`), (ticket) => TICKET / ticket],
  [
    new RegExp(`^nm\\s*${NUMBER}(?:\\s*/\\s*${NUMBER})?$`),
    (nm, plies) => (1000 / nm) * (Number.isNaN(plies) ? 1 : plies),
  ],
  [
    new RegExp(`^(?:linen\\s*)?${NUMBER}\\s*/\\s*${NUMBER}(?:\\s*(?:linen|lea))?$`),
    (lea, plies) => (LEA * plies) / lea,
  ],
  [new RegExp(`^${NUMBER}\\s*mm$`), (wanted, _, thread) => ofDiameter(wanted, thread)],
  [
    new RegExp(`^${NUMBER}\\s*(?:in|inch|inches|")$`),
    (wanted, _, thread) => ofDiameter(25.4 * wanted, thread),
  ],
]

const EXAMPLE = 'tex 135, ticket 40, 18/3 linen, Nm 20/3, 630 denier or 0.6 mm'

/** Reads a thread size as spools are labelled; gives tex. A diameter is read for that thread's fibre and packing. */
export function parseThreadSize(text: string, thread: Thread): Parsed<number> {
  const written = text.trim().toLowerCase()
  if (written === '') return refused('EMPTY', text, text, EXAMPLE)
  if (/^\d+(?:[.,]\d+)?$/.test(written)) return bareNumber(text, toNumber(written), thread)
  for (const [form, toTex] of FORMS) {
    const match = form.exec(written)
    if (!match) continue
    const [a, b] = tupleOf([match[1], match[2]], (t) => (t === undefined ? NaN : toNumber(t)))
    const tex = toTex(a, b, thread)
    if (!Number.isFinite(tex)) return refused('NOT_FINITE', text, text.trim(), EXAMPLE)
    return tex >= FINEST && tex <= HEAVIEST
      ? understood(tex)
      : refused('OUT_OF_RANGE', text, text.trim(), EXAMPLE)
  }
  return refused('NOT_UNDERSTOOD', text, text.trim(), EXAMPLE)
}

/** A number by itself may be several sizes; it is asked for which, with what each comes to. */
function bareNumber(text: string, number: number, thread: Thread): Parsed<number> {
  const thick = (tex: number): string => `${trimmed(diameterOf({ ...thread, tex }), 2)} mm`
  const cords = /^([2-9])(\d\d)$/.exec(String(number))
  const could: [string, number][] = [
    [`tex ${number}`, number],
    [`${number} denier`, number / 9],
    [`ticket ${number}`, TICKET / number],
    ...(cords
      ? [[`${cords[2]}/${cords[1]} linen`, (LEA * Number(cords[1])) / Number(cords[2])] as [string, number]]
      : []),
  ]
  const sewn = could.filter(([, tex]) => tex >= SEWN.min && tex <= SEWN.max)
  if (sewn.length === 0) return refused('OUT_OF_RANGE', text, text.trim(), EXAMPLE)
  const said = sewn.map(([name, tex]) => `${name} (${thick(tex)})`)
  return refused(
    'AMBIGUOUS',
    text,
    text.trim(),
    said.length === 1 ? firstOf(said) : `${said.slice(0, -1).join(', ')} or ${lastOf(said)}`,
  )
}
/** Thread that leather is sewn with, tex (J): what a bare number is taken to mean lies in it. */
const SEWN = { min: 30, max: 1200 }

/** Thread of this share of the pitch fills its stitch without crowding the next (J); docs/formulas.md §19. */
const HAND = { min: 0.14, max: 0.25 }
const BY_MACHINE = { min: 0.07, max: 0.2 }

/** Diameters that suit a pitch, mm; and whether this one does. */
export function suitsPitch(
  diameter: number,
  pitch: number,
  machine: boolean,
): { readonly min: number; readonly max: number; readonly fits: boolean } {
  const share = machine ? BY_MACHINE : HAND
  const [min, max] = [share.min * pitch, share.max * pitch]
  return { min, max, fits: diameter >= min && diameter <= max }
}

/** Blade of a machine needle over the thread in its groove (J); docs/formulas.md §19. */
const BLADE = 3

/** A machine needle for a thread: its number is a hundred times its blade in mm, in steps of ten. */
export const needleFor = (diameter: number): number =>
  Math.max(60, Math.round((BLADE * diameter * 100) / 10) * 10)

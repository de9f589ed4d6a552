import type { Units } from '@drumlin/core/measure'
import { type Hours, dayNumber, readHours } from '@drumlin/core/schedule'
import { type Words, type Wrong, one, sorted, unitsProblem, wrong } from './read.js'
import { shortly, strictly } from './words.js'

/** The order of work of a design for so many made together. */
export interface StepsAsked {
  readonly command: 'steps'
  readonly file: string
  readonly count: number
  readonly json: boolean
  readonly unit: Units
}

/** What it costs and what to ask for it. */
export interface PriceAsked {
  readonly command: 'price'
  readonly file: string
  readonly count: number
  readonly json: boolean
  readonly unit: Units
  /** It was made before: drawing and learning are paid. */
  readonly again: boolean
  /** A file of how prices are made; what is usual where left out. */
  readonly trade: string | undefined
  /** Hides on the shelf, for what leather costs where the design is laid out on none. */
  readonly hide: string | undefined
}

/** When each step of it is done. */
export interface PlanAsked {
  readonly command: 'plan'
  readonly file: string
  readonly count: number
  readonly hours: Hours
  /** The first day, `2027-03-28`. */
  readonly from: string
  readonly due: string | undefined
  readonly ics: string | undefined
  readonly unit: Units
  readonly replace: boolean
}

/** No more are made at once. */
const MOST_MADE = 200

/** How many and in which unit; or why not. */
function made(words: Words): { readonly count: number; readonly unit: Units } | string {
  const { '--count': many = '1', '--unit': unit = 'mm' } = words.options
  const count = strictly(many)
  if (!(Number.isInteger(count) && count >= 1 && count <= MOST_MADE))
    return `--count must be a whole number from 1 to ${MOST_MADE}, not ${shortly(many)}`
  return unitsProblem(unit) ?? { count, unit: unit as Units }
}

export function stepsAsked(argv: readonly string[]): StepsAsked | Wrong {
  const words = sorted(
    argv.filter((w) => w !== '--json'),
    ['--count', '--unit'],
  )
  if (typeof words === 'string') return wrong(words)
  const file = one('steps', 'design file', words)
  if (typeof file !== 'string') return file
  const how = made(words)
  return typeof how === 'string'
    ? wrong(how)
    : { command: 'steps', file, json: argv.includes('--json'), ...how }
}

export function planAsked(argv: readonly string[]): PlanAsked | Wrong {
  const words = sorted(
    argv.filter((w) => w !== '--replace'),
    ['--count', '--unit', '--hours', '--from', '--due', '--ics'],
  )
  if (typeof words === 'string') return wrong(words)
  const file = one('plan', 'design file', words)
  if (typeof file !== 'string') return file
  const how = made(words)
  if (typeof how === 'string') return wrong(how)
  const { '--hours': written, '--from': from, '--due': due, '--ics': ics } = words.options
  if (written === undefined) return wrong('plan needs --hours "Mon-Fri 20:00-22:30, Sat 9:00-13:00"')
  const read = readHours(written)
  if (!read.ok) return wrong(`--hours: ${read.why}`)
  if (from === undefined) return wrong('plan needs --from DATE, a day such as 2027-03-28')
  for (const [name, day] of [
    ['--from', from],
    ['--due', due],
  ] as const)
    if (day !== undefined && dayNumber(day) === undefined)
      return wrong(`${name} must be a day such as 2027-03-28, not ${shortly(day)}`)
  return {
    command: 'plan',
    file,
    hours: read.hours,
    from,
    due,
    ics,
    replace: argv.includes('--replace'),
    ...how,
  }
}

export function priceAsked(argv: readonly string[]): PriceAsked | Wrong {
  const FLAGS = ['--json', '--again']
  const words = sorted(
    argv.filter((w) => !FLAGS.includes(w)),
    ['--count', '--unit', '--trade', '--hide'],
  )
  if (typeof words === 'string') return wrong(words)
  const file = one('price', 'design file', words)
  if (typeof file !== 'string') return file
  const how = made(words)
  if (typeof how === 'string') return wrong(how)
  return {
    command: 'price',
    file,
    json: argv.includes('--json'),
    again: argv.includes('--again'),
    trade: words.options['--trade'],
    hide: words.options['--hide'],
    ...how,
  }
}

import { FORMAT_IDS, type FormatId } from '@drumlin/core/exchange/formats'
import { PAPERS as PAPER_SIZES, type Paper, type PaperId, paperProblem } from '@drumlin/core/exchange/paper'
import { type Units, measureSentence, parseLength } from '@drumlin/core/measure'
import { type Entry, type Input, entryMaybe, inputProblem } from '@drumlin/core/pocketbook'
import { shortly, strictly } from './words.js'
import {
  type PlanAsked,
  type PriceAsked,
  type StepsAsked,
  planAsked,
  priceAsked,
  stepsAsked,
} from './workOptions.js'
import { type Words, type Wrong, one, sorted, unitsProblem, wrong } from './read.js'

/** What was asked for, or one line that says why it can't be done. */
export type Asked =
  | { readonly command: 'derive' | 'check'; readonly file: string }
  | ExportAsked
  | ReckonAsked
  | PackAsked
  | LayAskedWords
  | StepsAsked
  | PlanAsked
  | PriceAsked
  | { readonly command: 'reckon list'; readonly json: boolean }
  | { readonly command: 'help' }
  | Wrong

export interface ExportAsked {
  readonly command: 'export'
  readonly file: string
  readonly to: FormatId
  readonly out: string
  readonly paper: Paper
  readonly unit: Units
  /** Whether a file that is not Drumlin's own may be written over. */
  readonly replace: boolean
}

/** A quick reckoner of the pocket book with the numbers given, by input id, as written. */
export interface ReckonAsked {
  readonly command: 'reckon'
  readonly entry: Entry
  readonly written: Readonly<Record<string, number>>
  readonly json: boolean
}

/** Pieces of an instance on the shortest strip. */
export interface PackAsked {
  readonly command: 'pack'
  readonly file: string
  /** Left out: what the instance says, else the usual. */
  readonly seconds: number | undefined
  readonly seed: number | undefined
}

/** Designs laid out on hides, and the plan of it. */
export interface LayAskedWords {
  readonly command: 'lay'
  /** The first is the one whose way of cutting counts; the others are cut along. */
  readonly files: readonly string[]
  /** A file of hides; those the first design is cut from where left out. */
  readonly hide: string | undefined
  readonly out: string
  readonly to: 'pdf' | 'svg' | 'dxf' | 'json'
  /** Rounds of work. */
  readonly effort: number | undefined
  readonly mirrored: boolean
  readonly paper: PaperId
  readonly unit: Units
  readonly replace: boolean
}

const PAPERS = Object.keys(PAPER_SIZES) as PaperId[]

/** A paper by name, a roll as `roll:914`, or a sheet of its own size as `600x900`; mm. Words where it is none. */
function paperWord(word: string): Paper | { readonly why: string } {
  if (PAPERS.includes(word as PaperId)) return word as PaperId
  const [, roll, width, height] = /^(?:roll:([\d.]+)|([\d.]+)x([\d.]+))$/.exec(word) ?? []
  const own = roll ? { width: Number(roll), height: 0 } : { width: Number(width), height: Number(height) }
  if (!roll && !width)
    return {
      why: `--paper must be one of ${PAPERS.join(', ')}, roll:WIDTH or WIDTHxHEIGHT in mm, not ${shortly(word)}`,
    }
  const why =
    own.height === 0 && !roll ? 'a sheet needs a height; a roll is written roll:WIDTH' : paperProblem(own)
  return why ? { why: `--paper: ${why}` } : own
}
function exportAsked(words: Words, file: string, replace: boolean): Asked {
  const { '--to': to, '--out': out, '--paper': paper = 'a4', '--unit': unit = 'mm' } = words.options
  if (!FORMAT_IDS.includes(to as FormatId))
    return wrong(`--to must be one of ${FORMAT_IDS.join(', ')}${to ? `, not ${shortly(to)}` : ''}`)
  if (!out) return wrong('export needs --out PATH')
  const on = paperWord(paper)
  if (typeof on !== 'string' && 'why' in on) return wrong(on.why)
  const units = unitsProblem(unit)
  if (units !== undefined) return wrong(units)
  return {
    command: 'export',
    file,
    to: to as FormatId,
    out,
    paper: on,
    unit: unit as Units,
    replace,
  }
}

/** Reads the words after `drumlin`. */
export function asked(argv: readonly string[]): Asked {
  const [command, ...rest] = argv
  if (command === undefined) return wrong('a command is needed')
  if (command === '--help' || command === 'help') return { command: 'help' }
  if (command === 'reckon') return reckonAsked(rest)
  if (command === 'pack') return packAsked(rest)
  if (command === 'lay') return layAsked(rest)
  if (command === 'steps') return stepsAsked(rest)
  if (command === 'plan') return planAsked(rest)
  if (command === 'price') return priceAsked(rest)
  if (command !== 'derive' && command !== 'check' && command !== 'export')
    return wrong(`unknown command ${shortly(command)}`)
  const replace = command === 'export' && rest.includes('--replace')
  const words = sorted(
    replace ? rest.filter((w) => w !== '--replace') : rest,
    command === 'export' ? ['--to', '--out', '--paper', '--unit'] : [],
  )
  if (typeof words === 'string') return wrong(words)
  const file = one(command, 'design file', words)
  if (typeof file !== 'string') return file
  return command === 'export' ? exportAsked(words, file, replace) : { command, file }
}

/** How long it may pack, s, and the seeds there are. */
const [LONGEST, SEEDS] = [3600, 4294967295] as const

function packAsked(argv: readonly string[]): Asked {
  const words = sorted(argv, ['--seconds', '--seed'])
  if (typeof words === 'string') return wrong(words)
  const file = one('pack', 'instance file', words)
  if (typeof file !== 'string') return file
  const { '--seconds': time, '--seed': start } = words.options
  const seconds = time === undefined ? undefined : strictly(time)
  if (seconds !== undefined && !(seconds > 0 && seconds <= LONGEST))
    return wrong(`--seconds must be above 0 and at most ${LONGEST}, not ${shortly(time ?? '')}`)
  const seed = start === undefined ? undefined : strictly(start)
  if (seed !== undefined && !(Number.isInteger(seed) && seed >= 0 && seed <= SEEDS))
    return wrong(`--seed must be a whole number from 0 to ${SEEDS}, not ${shortly(start ?? '')}`)
  return { command: 'pack', file, seconds, seed }
}

const PLANS = ['pdf', 'svg', 'dxf', 'json'] as const
const MOST_EFFORT = 1_000_000

function layAsked(argv: readonly string[]): Asked {
  const plain = argv.filter((w) => w !== '--mirrored' && w !== '--replace')
  const words = sorted(plain, ['--hide', '--out', '--effort', '--paper', '--unit'])
  if (typeof words === 'string') return wrong(words)
  if (words.files.length === 0) return wrong('lay needs a design file')
  const { '--out': out, '--effort': rounds, '--paper': paper = 'a4', '--unit': unit = 'mm' } = words.options
  if (!out) return wrong('lay needs --out PATH')
  const to = PLANS.find((p) => out.toLowerCase().endsWith(`.${p}`))
  if (!to) return wrong(`--out must end in ${PLANS.map((p) => `.${p}`).join(', ')}, not ${shortly(out)}`)
  const effort = rounds === undefined ? undefined : strictly(rounds)
  if (effort !== undefined && !(Number.isInteger(effort) && effort >= 1 && effort <= MOST_EFFORT))
    return wrong(`--effort must be a whole number from 1 to ${MOST_EFFORT}, not ${shortly(rounds ?? '')}`)
  if (!PAPERS.includes(paper as PaperId))
    return wrong(`--paper must be one of ${PAPERS.join(', ')}, not ${shortly(paper)}`)
  const units = unitsProblem(unit)
  if (units !== undefined) return wrong(units)
  return {
    command: 'lay',
    files: words.files,
    hide: words.options['--hide'],
    out,
    to,
    effort,
    mirrored: argv.includes('--mirrored'),
    paper: paper as PaperId,
    unit: unit as Units,
    replace: argv.includes('--replace'),
  }
}

/** Reads one number for an input: lengths as makers write them, everything else plain. */
function inputValue(input: Input, text: string): number | string {
  const length = input.unit === 'mm' ? parseLength(text) : undefined
  if (length && !length.ok) return `--${input.id}: ${measureSentence(length.error)}`
  const value = length?.ok ? length.value : strictly(text)
  const problem = inputProblem(input, value)
  return problem ? `--${input.id}: ${problem}` : value
}

function reckonAsked(words: readonly string[]): Asked {
  const json = words.includes('--json')
  const rest = words.filter((w) => w !== '--json')
  if (rest.length === 1 && rest[0] === '--list') return { command: 'reckon list', json }
  const [id, ...options] = rest
  const entry = id === undefined ? undefined : entryMaybe(id)
  if (!entry)
    return wrong(
      id
        ? `the pocket book has no ${shortly(id)}; reckon --list names what it has`
        : 'reckon needs a name; reckon --list names them',
    )
  const read = sorted(
    options,
    entry.inputs.map((i) => `--${i.id}`),
  )
  if (typeof read === 'string') return wrong(read)
  if (read.files.length > 0) return wrong(`${shortly(read.files[0]!)} is no option of ${entry.id}`)
  const written: Record<string, number> = {}
  for (const input of entry.inputs) {
    const text = read.options[`--${input.id}`]
    const value = text === undefined ? input.value : inputValue(input, text)
    if (typeof value === 'string') return wrong(value)
    written[input.id] = value
  }
  return { command: 'reckon', entry, written, json }
}

export const HELP = `drumlin derive FILE                                  everything that follows from a design, as JSON
drumlin check FILE                                   its findings; exit 1 where one is a stop
drumlin export FILE --to ${FORMAT_IDS.join('|')} --out PATH its pattern at 1:1, or the design itself
               [--paper ${PAPERS.join('|')}|roll:WIDTH|WIDTHxHEIGHT] [--unit mm|in]   a4 and mm where left out
               [--replace]                           writes over a file that is not Drumlin’s own
drumlin reckon --list                                the pocket book: every quick reckoner with its inputs
drumlin reckon NAME [--INPUT VALUE …] [--json]       one of them, with its working
drumlin pack FILE [--seconds N] [--seed N]           pieces on the shortest strip of a width; the instance’s own time, or 30 s
drumlin lay FILE… --out PLAN.pdf|svg|dxf|json        designs laid out on hides; exit 1 where something has no place
               [--hide FILE] [--effort N]            a hide, a list of them or a stores file; rounds of work
               [--mirrored] [--paper …] [--unit …] [--replace]
drumlin steps FILE [--count N] [--unit …] [--json]   the order of work, with last calls
drumlin plan FILE --hours "Mon-Fri 20:00-22:30" --from DATE [--count N]   which step on which evening
               [--due DATE] [--ics OUT] [--unit …] [--replace]   exit 1 where it is not done by then
drumlin price FILE [--count N] [--again] [--unit …] [--json]   what one costs and what to ask; exit 1 where a price is missing
               [--trade FILE] [--hide FILE]          how prices are made, as the Price screen writes it; hides on the shelf
`

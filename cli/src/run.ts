import { USUAL_PRINT } from '@drumlin/core/exchange/paper'
import { type Derived, derive, unworkable } from '@drumlin/core/derived'
import { formatOf } from '@drumlin/core/exchange/formats'
import { readDesign, readSentence } from '@drumlin/core/exchange/json'
import { summary } from '@drumlin/core/overview'
import { readInstance } from '@drumlin/core/packing'
import { ENTRIES, type Entry, reckonEntry } from '@drumlin/core/pocketbook'
import { explainLine } from '@drumlin/core/working'
import { readText, writeWhole } from './files.js'
import { pdfFonts } from './fonts.js'
import {
  type ExportAsked,
  HELP,
  type LayAskedWords,
  type PackAsked,
  type ReckonAsked,
  asked,
} from './options.js'
import { priceTold } from './price.js'
import { planTold, stepsTold } from './work.js'
import { lay } from './lay.js'
import { pack } from './pack.js'
import type { Result } from './result.js'
import { shortly } from './words.js'

const failed = (error: string): Result => ({ code: 2, error })

type Opened = { readonly derived: Derived } | { readonly error: string }

async function opened(file: string): Promise<Opened> {
  let text: string
  try {
    text = await readText(file)
  } catch (error) {
    return { error: `drumlin: ${said(error)}` }
  }
  const read = readDesign(text)
  if (!read.ok) return { error: `drumlin: ${shortly(file)}: ${readSentence(read.issue)}` }
  let derived: Derived | undefined
  const why = unworkable(() => (derived = derive(read.design)))
  return why === undefined && derived
    ? { derived }
    : {
        error: `drumlin: ${shortly(file)}: ${why!.replace(/^with that/, 'with what it holds').replace(/;.*$/, '')}`,
      }
}

const said = (error: unknown): string => (error instanceof Error ? error.message : String(error))

async function exported(derived: Derived, words: ExportAsked): Promise<Result> {
  const { paper, unit } = words
  const format = formatOf(words.to)
  const contents = await format.write(derived, {
    ...(typeof paper === 'string' ? { paper } : { paper: 'a4' as const, print: { ...USUAL_PRINT, paper } }),
    unit,
    date: new Date().toISOString().slice(0, 10),
    fonts: pdfFonts,
  })
  try {
    await writeWhole({ ...words, format, file: words.out, input: words.file, contents })
  } catch (error) {
    return failed(`drumlin: ${said(error)}`)
  }
  return { code: 0 }
}

function checked(derived: Derived): Result {
  const { findings } = summary(derived)
  const lines = findings.map(
    (f) =>
      `${f.rank.toUpperCase().padEnd(5)} ${f.what} ${f.why}${f.overruled ? ` [overruled: ${f.overruled}]` : ''}`,
  )
  const stops = findings.some((f) => f.rank === 'stop' && !f.overruled)
  return { code: stops ? 1 : 0, out: lines.length > 0 ? `${lines.join('\n')}\n` : 'Nothing found.\n' }
}

/** Every quick reckoner, with what it asks for and the usual value. */
function listed(json: boolean): string {
  if (json)
    return `${JSON.stringify(
      ENTRIES.map(({ id, section, title, says, inputs }) => ({ id, section, title, says, inputs })),
      null,
      2,
    )}\n`
  const asks = (entry: Entry): string =>
    entry.inputs.map((i) => `--${i.id} ${i.value} (${i.label}, ${i.unit})`).join('\n      ')
  return ENTRIES.map((e) => `${e.id}  ${e.section} ${e.title}: ${e.says}\n      ${asks(e)}\n`).join('')
}

function reckoned({ entry, written, json }: ReckonAsked): Result {
  const { answers, workings, cant } = reckonEntry(entry, written)
  if (cant) return failed(cant)
  if (!json) return { code: 0, out: `${workings.map((a) => explainLine(a, 'mm')).join('\n')}\n` }
  const plain = answers.map((a) => ({ label: a.label, value: a.value, working: explainLine(a, 'mm') }))
  const all = { id: entry.id, section: entry.section, inputs: written, answers: plain }
  return { code: 0, out: `${JSON.stringify(all, null, 2)}\n` }
}

/** How long it packs where nobody says, s. */
const PACKS = 30

async function packed({ file, seconds, seed }: PackAsked): Promise<Result> {
  const read = readInstance(await readText(file))
  if (!read.ok) return failed(`drumlin: ${shortly(file)}: ${read.why}`)
  const { instance } = read
  const answer = await pack(instance, seed ?? instance.seed ?? 1, seconds ?? instance.seconds ?? PACKS)
  return { code: 0, out: `${JSON.stringify(answer)}\n` }
}

async function laid(words: LayAskedWords): Promise<Result> {
  const designs: Derived[] = []
  for (const file of words.files) {
    const one = await opened(file)
    if ('error' in one) return failed(one.error)
    designs.push(one.derived)
  }
  return lay(designs, words)
}

/** Does what the words after `drumlin` ask. Whatever goes wrong is one line and 2. */
export async function run(argv: readonly string[]): Promise<Result> {
  try {
    return await done(argv)
  } catch (error) {
    return failed(`drumlin: this could not be done (${shortly(said(error), 200)})`)
  }
}

async function done(argv: readonly string[]): Promise<Result> {
  const words = asked(argv)
  if ('wrong' in words) return failed(words.wrong)
  if (words.command === 'help') return { code: 0, out: HELP }
  if (words.command === 'reckon list') return { code: 0, out: listed(words.json) }
  if (words.command === 'reckon') return reckoned(words)
  if (words.command === 'pack') return packed(words)
  if (words.command === 'lay') return laid(words)
  const file = await opened(words.file)
  if ('error' in file) return failed(file.error)
  if (words.command === 'export') return exported(file.derived, words)
  if (words.command === 'steps') return stepsTold(file.derived, words)
  if (words.command === 'plan') return planTold(file.derived, words)
  if (words.command === 'price') return priceTold(file.derived, words)
  if (words.command === 'derive')
    return { code: 0, out: `${JSON.stringify(summary(file.derived), null, 2)}\n` }
  return checked(file.derived)
}

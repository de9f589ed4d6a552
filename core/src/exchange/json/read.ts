import type { ZodError } from 'zod'
import { firstOf } from '../../lists/index.js'
import {
  type Design,
  DESIGN_FORMAT,
  DESIGN_VERSION,
  designSchema,
  OLDEST_VERSION,
  upToDate,
} from '../../design/index.js'
import { problemWords } from '../../stores/index.js'
import { oneLine } from '../../measure/index.js'

/** Why a file was refused. `where` names the line or the field. */
export type ReadIssue =
  | { readonly code: 'NOT_JSON'; readonly where: string }
  | { readonly code: 'NOT_A_DESIGN'; readonly found: string }
  | { readonly code: 'NEWER'; readonly version: number }
  | { readonly code: 'TOO_OLD'; readonly version: number }
  | { readonly code: 'FIELDS'; readonly fields: readonly { readonly where: string; readonly why: string }[] }

export type ReadResult =
  { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly issue: ReadIssue }

const refused = (issue: ReadIssue): ReadResult => ({ ok: false, issue })

/** Reads the text of a `.drumlin.json` file whole: a valid design of this version, or the reason there is none. */
export function readDesign(text: string): ReadResult {
  const parsed = parse(text)
  return 'code' in parsed ? refused(parsed) : readDesignData(parsed.value)
}

/** Reads what a file or the browser's storage holds: a valid design of this version, or the reason there is none. */
export function readDesignData(found: unknown): ReadResult {
  if (!isRecord(found) || found.format !== DESIGN_FORMAT)
    return refused({
      code: 'NOT_A_DESIGN',
      found: isRecord(found) ? shortly(found.format ?? 'nothing') : found === null ? 'null' : typeof found,
    })
  const { version } = found
  if (typeof version !== 'number' || !Number.isInteger(version))
    return refused({ code: 'FIELDS', fields: [{ where: 'version', why: 'a whole number is needed' }] })
  if (version > DESIGN_VERSION) return refused({ code: 'NEWER', version })
  if (version < OLDEST_VERSION) return refused({ code: 'TOO_OLD', version })
  const raised = raisedFrom(found, version)
  if (!raised)
    return refused({
      code: 'FIELDS',
      fields: [{ where: 'the design', why: `it can’t be brought up from form ${version}` }],
    })
  const checked = designSchema.safeParse(raised)
  return checked.success
    ? { ok: true, design: checked.data }
    : refused({ code: 'FIELDS', fields: fieldsOf(checked.error) })
}

/** A record of an older form in this one's; undefined where it is not built as that form was. */
function raisedFrom(found: Record<string, unknown>, version: number): unknown {
  try {
    return upToDate(found, version)
  } catch {
    return undefined
  }
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

function parse(text: string): { value: unknown } | (ReadIssue & { code: 'NOT_JSON' }) {
  try {
    return { value: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown }
  } catch (error) {
    return { code: 'NOT_JSON', where: placeOf(error instanceof Error ? error.message : '', text) }
  }
}

/**
 * The line a JSON error message points at, counted from 1. Engines say it by position, by line, or by quoting the text
 * round the place.
 */
function placeOf(message: string, text: string): string {
  const lineAt = (position: number): string => `line ${text.slice(0, position).split('\n').length}`
  const position = /position (\d+)/.exec(message)?.[1]
  if (position !== undefined) return lineAt(Number(position))
  const quoted = /, (?:\.\.\.)?"(.*?)"(?:\.\.\.)? is not valid JSON$/s.exec(message)?.[1]
  const found = quoted === undefined ? -1 : text.indexOf(quoted)
  if (found >= 0) return lineAt(found)
  return /line \d+/.exec(message)?.[0] ?? 'its end'
}

const fieldsOf = (error: ZodError): { where: string; why: string }[] =>
  error.issues.map((issue) => ({
    where: shortly(
      issue.code === 'unrecognized_keys'
        ? [...issue.path, issue.keys[0]].join('.')
        : issue.path.join('.') || 'the design',
    ),
    why: issue.code === 'unrecognized_keys' ? 'not known here' : shortly(problemWords(issue), 160),
  }))

/** Words of a file as they can stand in a sentence. */
function shortly(found: unknown, max = 80): string {
  const words = oneLine(
    typeof found === 'string' ? found : typeof found === 'object' ? typeof found : String(found),
  )
  return words.length > max ? `${words.slice(0, max)}…` : words
}

/** What the maker reads when what the browser kept can't be taken. */
export const recordSentence = (issue: ReadIssue): string =>
  issue.code === 'NOT_A_DESIGN' || issue.code === 'NOT_JSON'
    ? 'What is kept of it is no design; it was left as it is.'
    : readSentence(issue).replace('the file was left', 'it was left')

/** What the maker reads when a file is refused. */
export function readSentence(issue: ReadIssue): string {
  switch (issue.code) {
    case 'NOT_JSON':
      return `This is not a Drumlin file: it stops making sense at ${issue.where}. Choose a file that ends in .drumlin.json.`
    case 'NOT_A_DESIGN':
      return `This file does not hold a Drumlin design (its format says “${issue.found}”). Choose a file that ends in .drumlin.json.`
    case 'NEWER':
      return `This design was saved by a newer Drumlin (form ${issue.version}; this one reads up to ${DESIGN_VERSION}). Update Drumlin, then open it again; the file was left as it is.`
    case 'TOO_OLD':
      return `This design is of form ${issue.version}, which this Drumlin no longer reads; the oldest it reads is ${OLDEST_VERSION}.`
    case 'FIELDS': {
      const [first, ...more] = [firstOf(issue.fields), ...issue.fields.slice(1)]
      const rest = more.length === 0 ? '' : ` (and ${more.length} more)`
      return `It was refused: ${first.where}: ${first.why}${rest}. Nothing was changed.`
    }
  }
}

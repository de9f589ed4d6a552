import { Unzip, UnzipInflate, UnzipPassThrough, strFromU8 } from 'fflate'
import { readDesignData, recordSentence } from '@drumlin/core/exchange/json'
import { clientSchema, quoteSchema } from '@drumlin/core/ledger'
import { readMakingData } from '@drumlin/core/makings'
import { problemWords, readStoresData } from '@drumlin/core/stores'
import { reasonOf } from '../app/reason.js'
import {
  BadFile,
  FILE_MARK,
  type Kept,
  MANIFEST,
  type Manifest,
  PARTS,
  type PartName,
  type Workshop,
  manifestOf,
} from './form.js'

/** Bytes read at once. */
const AT_ONCE = 1024 * 1024
/** The record at the end of a ZIP and a remark behind it, bytes. */
const LAST = 22 + 65_535
/** No record is larger; a photograph lies beside its record. */
const MOST_JSON = 64 * 1024 * 1024

interface Read {
  readonly workshop: Workshop
  readonly manifest: Manifest
}

type Entries = Map<string, Uint8Array<ArrayBuffer>[]>

/** Every entry of the ZIP, read piece by piece. */
async function entriesOf(file: Blob, told: (done: number, of: number) => void): Promise<Entries> {
  const entries: Entries = new Map()
  let failed: Error | undefined
  const unzip = new Unzip((entry) => {
    const chunks: Uint8Array<ArrayBuffer>[] = []
    entries.set(entry.name, chunks)
    let size = 0
    entry.ondata = (error, chunk) => {
      if (error) failed = error
      else {
        size += chunk.length
        if (entry.name.endsWith('.json') && size > MOST_JSON) failed = new Error(`${entry.name} is too large`)
        else chunks.push(new Uint8Array(chunk))
      }
    }
    entry.start()
  })
  unzip.register(UnzipInflate)
  unzip.register(UnzipPassThrough)
  for (let at = 0; at < file.size; at += AT_ONCE) {
    const piece = new Uint8Array(await file.slice(at, at + AT_ONCE).arrayBuffer())
    try {
      unzip.push(piece, at + AT_ONCE >= file.size)
    } catch (error) {
      failed = error instanceof Error ? error : new Error(reasonOf(error))
    }
    if (failed) throw new BadFile(`it can’t be unpacked: ${reasonOf(failed)}`)
    told(Math.min(file.size, at + AT_ONCE), file.size)
  }
  return entries
}

const joined = (chunks: readonly Uint8Array[]): Uint8Array => {
  const out = new Uint8Array(chunks.reduce((sum, c) => sum + c.length, 0))
  let at = 0
  for (const c of chunks) {
    out.set(c, at)
    at += c.length
  }
  return out
}

function jsonOf(entries: Entries, name: string): unknown {
  const chunks = entries.get(name)
  if (!chunks) throw new BadFile(`${name} is missing: the file was cut short`)
  try {
    return JSON.parse(strFromU8(joined(chunks)))
  } catch {
    throw new BadFile(`${name} can’t be read: the file was damaged or cut short`)
  }
}

/** A record with the files that lay beside it. */
function whole(value: unknown, entries: Entries): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => {
      const name: unknown = typeof one === 'object' && one !== null ? Reflect.get(one, FILE_MARK) : undefined
      if (typeof name !== 'string') return [key, one]
      const chunks = entries.get(name)
      if (!chunks) throw new BadFile(`${name} is missing: the file was cut short`)
      return [key, new Blob(chunks, { type: String(Reflect.get(one as object, 'type') ?? '') })]
    }),
  )
}

interface Issues {
  readonly issues?: readonly (Parameters<typeof problemWords>[0] & {
    readonly path: readonly PropertyKey[]
  })[]
}
const sayIssue = (error: unknown): string => {
  const [first] = (error as Issues).issues ?? []
  return first ? `${first.path.join('.')}: ${problemWords(first)}` : reasonOf(error)
}

/** Reads a record as its part is read; throws where it can’t be. */
const CHECKS: Partial<Record<PartName, (value: never) => unknown>> = {
  jobs: ({ design }: { design: unknown }) => {
    const read = readDesignData(design)
    if (!read.ok) throw new Error(recordSentence(read.issue))
  },
  makings: (value) => readMakingData(value),
  clients: (value) => clientSchema.parse(value),
  quotes: ({ quote }: { quote: unknown }) => quoteSchema.parse(quote),
  stores: (value) => readStoresData(value),
}

function recordOf(part: PartName, name: string, entries: Entries): Kept {
  const raw = jsonOf(entries, name)
  if (typeof raw !== 'object' || raw === null || !('key' in raw) || !('value' in raw))
    throw new BadFile(`${name} is no record of Drumlin`)
  const { key, value } = raw as Kept
  const made = whole(value, entries)
  try {
    CHECKS[part]?.(made as never)
  } catch (error) {
    throw new BadFile(`${name}: ${sayIssue(error)}`)
  }
  return { key, value: made }
}

/** A workshop out of its file, every record looked at; throws `BadFile` with what is wrong, where. */
export async function readWorkshop(
  file: Blob,
  told: (done: number, of: number) => void = () => undefined,
): Promise<Read> {
  const start = new Uint8Array(await file.slice(0, 4).arrayBuffer())
  if (strFromU8(start) !== 'PK\u0003\u0004') throw new BadFile('it is no ZIP file')
  // Every ZIP ends with its list and a record that says so.
  const end = new Uint8Array(await file.slice(Math.max(0, file.size - LAST)).arrayBuffer())
  if (!strFromU8(end, true).includes('PK\u0005\u0006'))
    throw new BadFile('its last page is missing: it was cut short, or it is not a workshop kept by Drumlin')
  const entries = await entriesOf(file, told)
  if (!entries.has(MANIFEST))
    throw new BadFile('its last page is missing: it was cut short, or it is not a workshop kept by Drumlin')
  const manifest = manifestOf(jsonOf(entries, MANIFEST))
  const beside = [...entries].filter(([name]) => !name.endsWith('.json'))
  const bytes = beside.flatMap(([, chunks]) => chunks).reduce((sum, c) => sum + c.length, 0)
  if (beside.length !== manifest.files || bytes !== manifest.bytes)
    throw new BadFile('photographs or sheets of it are missing: it was cut short')
  const workshop = Object.fromEntries(
    PARTS.map((part) => {
      const names = [...entries.keys()].filter((n) => n.startsWith(`${part}/`) && n.endsWith('.json'))
      const wanted = manifest.counts[part] ?? 0
      if (names.length !== wanted)
        throw new BadFile(`${names.length} of ${wanted} ${part} are in it: it was cut short`)
      return [part, names.toSorted().map((name) => recordOf(part, name, entries))]
    }),
  ) as unknown as Workshop
  return { workshop, manifest }
}

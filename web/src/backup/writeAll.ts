import { Zip, ZipDeflate, ZipPassThrough, strToU8 } from 'fflate'
import { DESIGN_VERSION } from '@drumlin/core/design'
import type { Database } from '../storage/db.js'
import { FILE_FORM, FILE_MARK, MANIFEST, type Manifest, PARTS, type PartName } from './form.js'

/** Every entry has this day, so that the same workshop gives the same bytes. */
const DAY = new Date('2026-01-01T00:00:00Z')
/** Bytes gathered before they are handed to the browser, which may put them on the disk. */
const HANDED = 4 * 1024 * 1024
/** Records read at once. */
const AT_ONCE = 50

/** Settings that belong to this browser and not to the workshop. */
const OWN_SETTINGS: ReadonlySet<IDBValidKey> = new Set(['visited', 'backup', 'backup-folder', 'devices'])

/** Objects with their keys in order, so that the same record gives the same words. */
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, inOrder(v)]),
  )
}

/** A ZIP that is handed over in pieces as it grows. */
class Growing {
  private parts: Blob[] = []
  private waiting: Uint8Array<ArrayBuffer>[] = []
  private size = 0
  private readonly zip = new Zip((error, chunk) => {
    if (error) throw error
    this.waiting.push(new Uint8Array(chunk))
    this.size += chunk.length
    if (this.size > HANDED) this.hand()
  })
  private hand(): void {
    this.parts.push(new Blob(this.waiting))
    this.waiting = []
    this.size = 0
  }
  add(name: string, bytes: Uint8Array, packed: boolean): void {
    const entry = packed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name)
    entry.mtime = DAY
    this.zip.add(entry)
    entry.push(bytes, true)
  }
  end(): Blob {
    this.zip.end()
    this.hand()
    return new Blob(this.parts, { type: 'application/zip' })
  }
}

/** Files taken out of a record, each with a mark in its place. */
async function parted(value: unknown, name: string, files: { name: string; blob: Blob }[]): Promise<unknown> {
  if (typeof value !== 'object' || value === null) return value
  const out: Record<string, unknown> = {}
  for (const [key, one] of Object.entries(value))
    if (one instanceof Blob) {
      const file = `${name}.${key}`
      files.push({ name: file, blob: one })
      out[key] = { [FILE_MARK]: file, type: one.type }
    } else out[key] = one
  return out
}

/** Keys and records of a store, some at a time. */
async function* records(db: Database, part: PartName): AsyncGenerator<{ key: IDBValidKey; value: unknown }> {
  const keys: readonly IDBValidKey[] = await db.getAllKeys(part)
  for (let i = 0; i < keys.length; i += AT_ONCE) {
    const some = keys.slice(i, i + AT_ONCE)
    const tx = db.transaction(part)
    const values = await Promise.all(some.map((key) => tx.store.get(key as never)))
    for (const [k, value] of values.entries()) if (value !== undefined) yield { key: some[k]!, value }
  }
}

/** The whole workshop in one ZIP: a JSON file for each record, photographs and sheets beside them, and what there is at the end. */
export async function writeWorkshop(
  db: Database,
  made: string,
  told: (done: number, of: number) => void = () => undefined,
): Promise<Blob> {
  const zip = new Growing()
  const counts: Record<string, number> = {}
  let [files, bytes, done] = [0, 0, 0]
  const all = (await Promise.all(PARTS.map((part) => db.count(part)))).reduce((a, b) => a + b, 0)
  for (const part of PARTS) {
    counts[part] = 0
    for await (const { key, value } of records(db, part)) {
      done += 1
      if (part === 'settings' && OWN_SETTINGS.has(key)) continue
      counts[part] += 1
      const name = `${part}/${String(counts[part]).padStart(6, '0')}`
      const beside: { name: string; blob: Blob }[] = []
      const record = inOrder({ key, value: await parted(value, name, beside) })
      zip.add(`${name}.json`, strToU8(JSON.stringify(record)), true)
      for (const { name: file, blob } of beside) {
        files += 1
        bytes += blob.size
        zip.add(file, new Uint8Array(await blob.arrayBuffer()), false)
      }
      if (done % 20 === 0) told(done, all)
    }
  }
  const manifest: Manifest = {
    format: 'drumlin.workshop',
    form: FILE_FORM,
    designs: DESIGN_VERSION,
    made,
    counts,
    files,
    bytes,
  }
  zip.add(MANIFEST, strToU8(JSON.stringify(manifest)), true)
  return zip.end()
}

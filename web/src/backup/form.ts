import { z } from 'zod'
import { DESIGN_VERSION } from '@drumlin/core/design'

/** What the whole workshop is made of, as it lies in the browser; cards on the shelf and the ledger’s entries are made anew. */
export const PARTS = [
  'jobs',
  'edits',
  'drafts',
  'makings',
  'photos',
  'clients',
  'quotes',
  'stores',
  'settings',
] as const
export type PartName = (typeof PARTS)[number]

/** What each part is called. */
export const PART_WORDS: Readonly<Record<PartName, string>> = {
  jobs: 'jobs',
  edits: 'steps of work on them',
  drafts: 'kept drafts',
  makings: 'makings',
  photos: 'photographs',
  clients: 'clients',
  quotes: 'quotes sent',
  stores: 'shelves',
  settings: 'settings',
}

/** A record with the key it is kept under. */
export interface Kept {
  readonly key: IDBValidKey
  readonly value: unknown
}
export type Workshop = Readonly<Record<PartName, readonly Kept[]>>

/** The form of the file: goes up when something of it is laid out otherwise. */
export const FILE_FORM = 1

/** The last entry of the file: without it the file was cut short. */
export const manifestSchema = z.object({
  format: z.literal('drumlin.workshop'),
  form: z.number().int().min(1),
  /** The form of designs in it. */
  designs: z.number().int().min(1),
  made: z.string(),
  counts: z.record(z.string(), z.number().int().min(0)),
  files: z.number().int().min(0),
  /** Of all files that are no JSON, together. */
  bytes: z.number().int().min(0),
})
export type Manifest = z.infer<typeof manifestSchema>
export const MANIFEST = 'workshop.json'

/** In place of a file that lies beside the record. */
export const FILE_MARK = '$file'

/** Why a file can’t be taken, in words. */
export class BadFile extends Error {
  override readonly name = 'BadFile'
}

/** What is wrong with what is read as the last entry; nothing where it can be taken. */
export function manifestOf(raw: unknown): Manifest {
  const foreign = new BadFile('it is not a workshop kept by Drumlin: it has another last page')
  if (typeof raw !== 'object' || raw === null || Reflect.get(raw, 'format') !== 'drumlin.workshop')
    throw foreign
  const { form, designs } = raw as { form?: unknown; designs?: unknown }
  if (typeof form === 'number' && form > FILE_FORM)
    throw new BadFile(
      `it was written by a newer Drumlin (form ${form}; this one knows ${FILE_FORM}). Update Drumlin first`,
    )
  if (typeof designs === 'number' && designs > DESIGN_VERSION)
    throw new BadFile(
      `its designs are of form ${designs}, and this Drumlin knows ${DESIGN_VERSION}. Update Drumlin first`,
    )
  const read = manifestSchema.safeParse(raw)
  if (!read.success) throw foreign
  return read.data
}

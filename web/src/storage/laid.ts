import type { Move } from '@drumlin/core/geometry'
import { database } from './db.js'
import { readSetting, writeSetting } from './settings.js'
import { PATIENCE, within } from './state.js'

/** Where the maker laid each piece on the sheet, by its id. */
export type Laid = Readonly<Record<string, Move>>

/** Under which setting it is kept where the pieces of a job lie. */
export const laidKey = (job: string): string => `laid ${job}`

const isMove = (m: unknown): m is Move =>
  typeof m === 'object' &&
  m !== null &&
  ['a', 'b', 'c', 'd', 'e', 'f'].every((k) => Number.isFinite(Reflect.get(m, k)))

/** Where the maker laid the pieces of a job on the sheet; undefined where they lie as they come. What is no place is left out. */
export async function readLaid(job: string): Promise<Laid | undefined> {
  const kept = await readSetting(laidKey(job))
  if (typeof kept !== 'object' || kept === null) return undefined
  return Object.fromEntries(Object.entries(kept).filter((entry): entry is [string, Move] => isMove(entry[1])))
}

/** Keeps where the pieces lie, or forgets it. */
export async function writeLaid(job: string, laid: Laid | undefined): Promise<void> {
  if (laid) await writeSetting(laidKey(job), laid)
  else await within(PATIENCE, (await database()).delete('settings', laidKey(job)))
}

import type { Card } from '@drumlin/core/overview'
import { database } from './db.js'
import { PATIENCE, within } from './state.js'

/** The program that draws: a card of another one is drawn anew. */
const PROGRAM = import.meta.url

const markOf = (version: number): string => `${version} ${PROGRAM}`

/** The card kept of a job at this version; undefined where there is none or it can't be had. A card is only a copy: nothing hangs on it. */
export async function readCard(id: string, version: number): Promise<Card | undefined> {
  try {
    const kept = await within(PATIENCE, (await database()).get('cards', id))
    return kept?.of === markOf(version) ? kept.card : undefined
  } catch {
    return undefined
  }
}

/** Keeps a card for the next visit; where there is no room it is drawn again then. */
export async function keepCard(id: string, version: number, card: Card): Promise<void> {
  try {
    await within(PATIENCE, (await database()).put('cards', { id, of: markOf(version), card }))
  } catch {
    // Drawn again next time: the job itself is untouched.
  }
}

import { threadFor } from '../workers/thread.js'
import type { Design } from '@drumlin/core/design'
import type { Card } from '@drumlin/core/overview'
import { type Helper, helper } from '../workers/ask.js'
import { keepCard, readCard } from '../storage/cards.js'
import type { Listed } from '../storage/records.js'
import type { FindingsAsked } from '../workers/findings.worker.js'

/** How long a card may take, ms. */
const LIMIT = 10_000

/** What became of a card: drawn, or its record can't be read. */
export type Carded = { readonly card: Card } | { readonly unreadable: string }

const known = new Map<string, Carded>()
const keyOf = (job: Listed): string => `${job.id} ${job.version} ${job.updated}`
let drawer: Helper | undefined
let turn: Promise<unknown> = Promise.resolve()

/** A card that is known already, so that coming back to the shelf shows it at once. */
export const knownCard = (job: Listed): Carded | undefined => known.get(keyOf(job))

/**
 * What a card shows of a job: known, kept, or drawn in another thread, one after the other so that each has its own time.
 * `wanted` is asked when its turn comes: what was scrolled past is not drawn.
 */
export async function cardFor(job: Listed, wanted: () => boolean): Promise<Carded | undefined> {
  const before = knownCard(job)
  if (before) return before
  const kept = await readCard(job.id, job.version)
  const done = kept ? { card: kept } : await inTurn(() => (wanted() ? drawn(job) : undefined))
  if (done) known.set(keyOf(job), done)
  return done
}

function inTurn<T>(act: () => Promise<T> | undefined): Promise<T | undefined> {
  const mine = turn.then(act, act)
  turn = mine.catch(() => undefined)
  return mine
}

function asked(design: unknown): Promise<Carded> {
  drawer ??= helper(() => threadFor('findings'))
  const question: FindingsAsked = { what: 'card', design: design ?? null }
  return drawer.ask<Carded>(question, { limit: LIMIT })
}

/** What a card would show of a design that is not kept, in its turn. */
export const cardOfDesign = async (design: Design): Promise<Card | undefined> => {
  const done = await inTurn(() => asked(design))
  return done && 'card' in done ? done.card : undefined
}

async function drawn(job: Listed): Promise<Carded> {
  const done = await asked(((job.raw ?? {}) as { design?: unknown }).design)
  if ('card' in done) await keepCard(job.id, job.version, done.card)
  return done
}

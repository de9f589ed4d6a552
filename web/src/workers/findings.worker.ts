import { type Finding, type FixShelf, findingsOf, fixesOf } from '@drumlin/core/check'
import { derive, sizeRanges } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { readDesignData, recordSentence } from '@drumlin/core/exchange/json'
import type { Units } from '@drumlin/core/measure'
import { cardOf } from '@drumlin/core/overview'
import { answering } from './answer.js'

/** What can be asked of this worker: the findings of a design, ways out of one, or what a card shows of a kept record. */
export type FindingsAsked =
  | { readonly what: 'findings' | 'ranges'; readonly design: Design }
  | {
      readonly what: 'fixes'
      readonly design: Design
      readonly finding: Finding
      readonly unit: Units
      readonly shelf: FixShelf
    }
  | { readonly what: 'card'; readonly design: unknown }

/** The last design that was reckoned: findings and the ways out of them are asked of the same. */
let last: { readonly text: string; readonly derived: ReturnType<typeof derive> } | undefined

function derivedOf(design: Design) {
  const text = JSON.stringify(design)
  if (last?.text !== text) last = { text, derived: derive(design) }
  return last.derived
}

/** The card of what is kept, or why it can't be read. */
function cardFor(kept: unknown) {
  const read = readDesignData(kept)
  return read.ok ? { card: cardOf(read.design) } : { unreadable: recordSentence(read.issue) }
}

answering((asked: FindingsAsked) => {
  switch (asked.what) {
    case 'findings':
      return findingsOf(derivedOf(asked.design))
    case 'ranges':
      return sizeRanges(asked.design)
    case 'fixes':
      return fixesOf(asked.finding, derivedOf(asked.design), asked.unit, asked.shelf)
    case 'card':
      return cardFor(asked.design)
  }
})

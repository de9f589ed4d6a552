import { threadFor } from '../workers/thread.js'
import type { Design } from '@drumlin/core/design'
import type { Figures, Learnable, Lessons } from '@drumlin/core/learning'
import type { Making, MakingRecord } from '@drumlin/core/makings'
import type { Units } from '@drumlin/core/measure'
import type { Bill, Trade } from '@drumlin/core/price'
import type { Hide } from '@drumlin/core/stores'
import { helper } from '../workers/ask.js'
import type { LedgerAsked } from '../workers/ledger.worker.js'

const LIMIT = 60_000
const worker = helper(() => threadFor('ledger'))
/** Plain data: what stands in a store comes wrapped, and can’t be sent. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const asked = <T>(question: LedgerAsked): Promise<T> => worker.ask<T>(plain(question), { limit: LIMIT })

export const askRecord = (making: Making, trade: Trade): Promise<MakingRecord> =>
  asked({ what: 'record', making, trade })

/** Bills of a design for several numbers made together. */
export const askBills = (
  design: Design,
  counts: readonly number[],
  rest: {
    readonly trade: Trade
    readonly hides: readonly Hide[]
    readonly first: boolean
    readonly unit?: Units
  },
): Promise<readonly Bill[]> => asked({ what: 'bills', design, counts, ...rest })

export const askLessons = (makings: readonly Learnable[], figures: Figures): Promise<Lessons> =>
  asked({ what: 'lessons', makings, figures })

/** Minutes at the bench of each design. */
export const askMinutes = (designs: readonly Design[]): Promise<readonly number[]> =>
  asked({ what: 'minutes', designs })

import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { begunRecord } from '@drumlin/core/ledger'
import { type Figures, type Learnable, type Lessons, lessonsOf } from '@drumlin/core/learning'
import type { Making, MakingRecord } from '@drumlin/core/makings'
import type { Units } from '@drumlin/core/measure'
import { type Bill, type Trade, billOf } from '@drumlin/core/price'
import { stepsOf } from '@drumlin/core/steps'
import type { Hide } from '@drumlin/core/stores'
import { answering } from './answer.js'

/** The record of a making as it is begun; bills for several numbers; what makings teach; minutes of a design. */
export type LedgerAsked =
  | { readonly what: 'record'; readonly making: Making; readonly trade: Trade }
  | {
      readonly what: 'bills'
      readonly design: Design
      readonly counts: readonly number[]
      readonly trade: Trade
      readonly hides: readonly Hide[]
      readonly first: boolean
      readonly unit?: Units
    }
  | { readonly what: 'lessons'; readonly makings: readonly Learnable[]; readonly figures: Figures }
  | { readonly what: 'minutes'; readonly designs: readonly Design[] }

answering((asked: LedgerAsked): MakingRecord | readonly Bill[] | Lessons | readonly number[] => {
  switch (asked.what) {
    case 'record': {
      const { making, trade } = asked
      const derived = derive(making.design)
      return begunRecord(making, derived, stepsOf(derived, making.count), trade)
    }
    case 'bills': {
      const { design, counts, ...rest } = asked
      const derived = derive(design)
      return counts.map((count) => billOf({ ...rest, derived, count, steps: stepsOf(derived, count) }))
    }
    case 'lessons':
      return lessonsOf(asked.makings, asked.figures)
    case 'minutes':
      return asked.designs.map((design) =>
        stepsOf(derive(design)).steps.reduce((sum, s) => sum + s.minutes.value, 0),
      )
  }
})

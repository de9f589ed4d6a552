import { derive } from '@drumlin/core/derived'
import type { Demand, Design } from '@drumlin/core/design'
import {
  type LaidOut,
  type LayAsked,
  demandsOf,
  howMany,
  layOut,
  leastHide,
  withStrapJoined,
} from '@drumlin/core/hide'
import type { GroundPart, Hide } from '@drumlin/core/stores'
import { answering } from './answer.js'

/** Pieces of one copy of what is cut from a material, and how they may lie. */
export interface HideQuestion {
  readonly hides: readonly Hide[]
  readonly demands: readonly Demand[]
  readonly copies: number
  readonly ground: Pick<LayAsked, 'gap' | 'anyAngle' | 'seed'>
}

/** What can be asked of this worker. */
export type HideAsked =
  | { readonly what: 'lay'; readonly asked: LayAsked; readonly effort: number }
  | ({ readonly what: 'how many' | 'joined' } & HideQuestion)
  | ({ readonly what: 'buy'; readonly part: GroundPart } & HideQuestion)
  | { readonly what: 'demands'; readonly design: Design }

/** What it tells on the way: how much was spent, 0 to 1, and the best layout so far where one is sought. */
export interface HideTold {
  readonly spent: number
  readonly laid?: LaidOut
}

answering((question: HideAsked, tell: (note: HideTold) => void) => {
  switch (question.what) {
    case 'lay':
      return layOut(question.asked, question.effort, (laid, spent) => tell({ laid, spent }))
    case 'demands':
      return demandsOf(derive(question.design))
    case 'how many': {
      const { hides, demands, ground } = question
      const spare = demands.filter((d) => d.shows || d.bears)
      return {
        all: howMany(hides, demands, ground, (spent) => tell({ spent: spent / 2 })),
        shown:
          spare.length === demands.length
            ? undefined
            : howMany(hides, spare, ground, (spent) => tell({ spent: 0.5 + spent / 2 })),
      }
    }
    case 'joined': {
      const joined = withStrapJoined(question.demands)
      return {
        whole: howMany(question.hides, question.demands, question.ground),
        joined: joined && howMany(question.hides, joined, question.ground),
      }
    }
    case 'buy':
      return leastHide(question.part, question.demands, question.copies, question.ground, (spent) =>
        tell({ spent }),
      )
  }
})

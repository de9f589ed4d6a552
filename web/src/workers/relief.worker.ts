import { findingsOf, overruledFor } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { cutFigures } from '@drumlin/core/hide'
import type { Units } from '@drumlin/core/measure'
import { figuresOf } from '@drumlin/core/overview'
import {
  type Asked,
  closedThickness,
  otherWays,
  proposeSkives,
  survey,
  weightOfWork,
} from '@drumlin/core/relief'
import { answering } from './answer.js'

/** A thickness wanted along some runs, mm, and the units to say the ways there in. */
export interface WantedAlong {
  readonly runs: readonly string[]
  readonly wanted: number
  readonly unit: Units
}

/** What can be asked of this worker. */
export type ReliefAsked = { readonly design: Design } & (
  | { readonly what: 'survey'; readonly asked: Asked }
  | { readonly what: 'whole' }
  | ({ readonly what: 'skives' | 'ways' } & WantedAlong)
  | { readonly what: 'figures' }
)

/** Where its pieces lie on hides is not weighed: a variant is laid out anew. */
const unlaid = (design: Design): Design => ({ ...design, cutting: { ...design.cutting, lying: {} } })

answering((asked: ReliefAsked) => {
  const derived = derive(asked.what === 'figures' ? unlaid(asked.design) : asked.design)
  switch (asked.what) {
    case 'survey':
      return survey(derived, asked.asked)
    case 'whole':
      return { closed: closedThickness(derived), weight: weightOfWork(derived) }
    case 'skives':
      return proposeSkives(derived, asked.runs, asked.wanted, asked.unit)
    case 'ways':
      return otherWays(derived, asked.runs, asked.wanted, asked.unit)
    case 'figures': {
      const open = findingsOf(derived).filter((f) => overruledFor(derived, f) === undefined)
      const cut = cutFigures(derived)
      return { figures: { ...figuresOf(derived), ...(cut ? { cut } : {}) }, findings: open }
    }
  }
})

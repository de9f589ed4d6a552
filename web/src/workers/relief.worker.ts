import { findingsOf, overruledFor } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import type { LengthUnit } from '@drumlin/core/measure'
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
  readonly unit: LengthUnit
}

/** What can be asked of this worker. */
export type ReliefAsked = { readonly design: Design } & (
  | { readonly what: 'survey'; readonly asked: Asked }
  | { readonly what: 'whole' }
  | ({ readonly what: 'skives' | 'ways' } & WantedAlong)
  | { readonly what: 'figures' }
)

answering((asked: ReliefAsked) => {
  const derived = derive(asked.design)
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
      return { figures: figuresOf(derived), findings: open }
    }
  }
})

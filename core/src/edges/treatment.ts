import { type Path, type Point } from '../geometry/index.js'
import type { Edge } from '../master/index.js'
import type { Reckoned } from '../working/index.js'
import type { Turn } from './turn.js'

/** What is done where a turned edge goes round a curve or a corner, so that it lies flat. */
export interface Treatment {
  readonly id: string
  readonly sort: 'mitre' | 'pleats' | 'v-cuts' | 'snips' | 'snip' | 'end'
  readonly at: Point
  readonly count: number
  /** How far from the finished edge a cut stops, mm. */
  readonly root: number
  readonly numbers: readonly Reckoned[]
  /** Cuts and pleat marks drawn in the allowance. */
  readonly cuts: readonly Path[]
  /** Part of the cut outline itself: replaces the corner of it. */
  readonly cutOff?: readonly Point[]
  /** Small round hole that stops a snip from tearing, mm across. */
  readonly stop?: { readonly at: Point; readonly across: number }
}

export interface TurnedChain {
  readonly edges: readonly Edge[]
  readonly turn: Turn
}

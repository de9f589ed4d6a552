import type { Sort } from './sorts.js'

/** What a task touches of one piece: edges, runs, hardware, skives, or the whole of it where nothing is named. */
export interface Touch {
  readonly panelId: string
  readonly edges?: readonly string[]
  readonly run?: string
  readonly fitting?: string
  readonly skive?: string
}

/** How much of it there is to do, for one thing made; lengths mm. */
export interface Amount {
  readonly count: number
  readonly length: number
  /** By hand. */
  readonly stitches: number
  readonly corners: number
  readonly machined: number
  /** Threadings up. */
  readonly begins: number
  readonly blows: number
}

/** Something used up: so many pieces, so much thread (mm), or some of it. */
export interface Supply {
  readonly what: string
  readonly amount: number
  readonly unit: 'pieces' | 'mm' | 'some'
}

/** The smallest piece of work that can't be parted: one piece cut, one run sewn, one stretch of edge finished. */
export interface Task {
  /** Its sort and what it is done to: the same as long as the design has that. */
  readonly id: string
  readonly sort: Sort
  /** Tasks that say the same here are one step where the order lets them. */
  readonly group: string
  /** What it is done to, in words, and how many of it. */
  readonly what: string
  readonly times: number
  readonly touches: readonly Touch[]
  readonly amount: Amount
  readonly tools: readonly string[]
  /** What is looked at before it is begun. */
  readonly looks: readonly string[]
  readonly materials: readonly Supply[]
  /** Where it usually stands among tasks of its sort. */
  readonly rank: number
  /** Minutes that what it touches has to be left alone afterwards. */
  readonly wait: number
  /** What there is only one set of, and is tied up until the wait is over: clips, the block. */
  readonly ties?: 'clips' | 'block'
}

/** Why one task comes before another. */
export interface Before {
  readonly first: string
  readonly then: string
  readonly why: Why
}

/** Codes of reasons; `reasons.ts` says them. */
export type Why =
  | 'paper'
  | 'pattern'
  | 'trial'
  | 'whole'
  | 'cut'
  | 'marked'
  | 'split'
  | 'counted'
  | 'dye'
  | 'oil'
  | 'stamp'
  | 'flat'
  | 'punch'
  | 'underneath'
  | 'mount'
  | 'turned'
  | 'backed'
  | 'lined'
  | 'formed'
  | 'pouch'
  | 'formedDry'
  | 'glued'
  | 'holed'
  | 'covered'
  | 'hardware'
  | 'waits'
  | 'closed'
  | 'inside'
  | 'out'
  | 'halves'
  | 'row'
  | 'thread'
  | 'sewn'
  | 'coat'
  | 'folded'
  | 'last'

import type { Edit } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import type { Point } from '../geometry/index.js'
import type { Units } from '../measure/index.js'
import type { Iron, Thread } from '../stores/index.js'

/** stop: it can't be made or won't fit. look: it can, but a maker would want to know. tip: worth trying. */
export type Rank = 'stop' | 'look' | 'tip'

/** Where a finding is settled: a screen that counts and shows it besides the Draft, which shows all. */
export type Screen = 'brief' | 'seams' | 'relief' | 'fittings' | 'round' | 'hide' | 'make'

/** A place on a piece, in the piece's own coordinates. */
export interface Place {
  readonly panelId: string
  readonly at: Point
}

/** Something a maker would want to know, with the data of its type. The sentence is made last, in the maker's units. */
export interface Found<Data> {
  /** Stays the same while the cause does, so that overruling it lasts. */
  readonly key: string
  readonly rank: Rank
  readonly places: readonly Place[]
  /** What it is about, as it is called where findings are listed. */
  readonly about: string
  readonly data: Data
  /** The run it is about, by join, and which of its holes, where it is about one. */
  readonly run?: string
  readonly hole?: number
  /** What several findings have in common: told once, for the one of greatest severity. */
  readonly cause?: { readonly id: string; readonly severity: number }
  /** Of one that is told for several: all their runs, their own keys, and what the others are called. */
  readonly runs?: readonly string[]
  readonly was?: readonly string[]
  readonly alike?: readonly string[]
}

export interface Saying {
  readonly what: string
  readonly why: string
}

/** A way out that can be looked at before it is taken. */
export interface Fix {
  readonly label: string
  readonly edit: Edit
}

/** What the maker has, for fixes that take another tool or thread. */
export interface FixShelf {
  readonly irons: readonly Iron[]
  readonly threads: readonly Thread[]
}

/** Reckons what an edit would lead to; undefined where the design won't have it. */
export type TryOut = (edit: Edit) => Derived | undefined

/** One type of finding: when, where, why and what could be done. One file each, and its line in `checks.ts`. */
export interface Check<Code extends string, Data> {
  readonly code: Code
  /** Where it is settled, besides the Draft. */
  readonly screen?: Screen
  readonly find: (derived: Derived) => readonly Found<Data>[]
  readonly say: (finding: Found<Data>, unit: Units) => Saying
  /** Ways out worth trying; those that turn out not to help are left out by `fixesOf`. */
  readonly fixes: (
    finding: Found<Data>,
    derived: Derived,
    tryOut: TryOut,
    unit: Units,
    shelf: FixShelf,
  ) => readonly Fix[]
}

/** A check as it is written: the compiler learns the data of its findings from what it finds. */
export const check = <const Code extends string, Data>(one: Check<Code, Data>): Check<Code, Data> => one

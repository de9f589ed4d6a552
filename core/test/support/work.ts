/** Something put on a piece: which, on what, along which edge, and what was written of it. */
type Put = readonly [
  sort: string,
  on: string,
  edge: string | undefined,
  values?: Readonly<Record<string, unknown>>,
]

/** A work that makers build, as a design of our own for the ferry’s crew. Lengths mm. */
export interface Work {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly params?: Readonly<Record<string, unknown>>
  /** Thickness of leathers by role. */
  readonly thick?: Readonly<Record<string, number>>
  readonly put?: readonly Put[]
  /** Other values at places of the design. */
  readonly set?: Readonly<Record<string, unknown>>
  /** Sizes worked by pencil, by key. */
  readonly sizes?: Readonly<Record<string, number>>
  /** What has to be decided by the maker, not mended: findings that stop, by code. */
  readonly stops?: readonly string[]
}

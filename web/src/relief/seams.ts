import type { Derived } from '@drumlin/core/derived'

/** A seam, with its twin on the other side where it has one. */
export interface Seam {
  readonly id: string
  readonly name: string
  readonly runs: readonly string[]
  readonly thickest: number
}

/** Seams that belong together stand as one. */
export const seamsOf = ({ runs: all }: Pick<Derived, 'runs'>): readonly Seam[] =>
  all.flatMap((run, i) => {
    const twin = all.findIndex((r) => r.join.id === run.join.twin)
    if (twin >= 0 && twin < i) return []
    const runs = twin >= 0 ? [run, all[twin]!] : [run]
    return [
      {
        id: run.join.id,
        name: twin >= 0 ? (run.join.pairName ?? run.join.name) : run.join.name,
        runs: runs.map((r) => r.join.id),
        thickest: Math.max(...runs.map((r) => r.thickest)),
      },
    ]
  })

import { type Decor, type HoleSchool, type RunWish } from '../sewing/index.js'
import type { Change, Edit } from './edit.js'
import type { Design } from './schema.js'

/** A wish for runs; parts of it that are undefined go back to what is proposed. */
export const wishRuns = (
  name: string,
  runs: readonly string[],
  wish: { readonly [K in keyof RunWish]?: RunWish[K] | undefined },
): Edit => ({
  name,
  changes: runs.flatMap((id) =>
    Object.entries(wish).map(([key, value]): Change => ({ path: ['sewing', 'runs', id, key], value })),
  ),
})

/** How the holes of the whole work are made. */
export const setSchool = (name: string, holes: HoleSchool): Edit => ({
  name,
  changes: [{ path: ['sewing', 'holes'], value: holes }],
})

/** A run parted at another share of its length, mm over mm. */
export function splitRuns(design: Design, name: string, runs: readonly string[], share: number): Edit {
  return {
    name,
    changes: runs.map((id) => ({
      path: ['sewing', 'splits', id],
      value: [...(design.sewing.splits[id] ?? []), share].toSorted((a, b) => a - b),
    })),
  }
}

/** Parted runs whole again. */
export const unsplitRuns = (name: string, runs: readonly string[]): Edit => ({
  name,
  changes: runs.map((id) => ({ path: ['sewing', 'splits', id], value: undefined })),
})

/** Two runs sewn in one. */
export const mergeRuns = (design: Design, name: string, first: string, then: string): Edit => ({
  name,
  changes: [{ path: ['sewing', 'merges'], value: [...design.sewing.merges, { first, then }] }],
})

/** What was sewn in one with a run sewn on its own again. */
export const unmergeRun = (design: Design, name: string, first: string): Edit => ({
  name,
  changes: [{ path: ['sewing', 'merges'], value: design.sewing.merges.filter((m) => m.first !== first) }],
})

/** The first free name for a decorative line. */
export function freeLineId(design: Design): string {
  const taken = new Set(design.sewing.lines.map((l) => l.id))
  let n = 1
  while (taken.has(`line-${n}`)) n += 1
  return `line-${n}`
}

export const addLine = (design: Design, line: Decor): Edit => ({
  name: `add the ${line.name}`,
  changes: [{ path: ['sewing', 'lines'], value: [...design.sewing.lines, line] }],
})

export const removeLine = (design: Design, id: string): Edit => ({
  name: 'take the decorative line away',
  changes: [
    { path: ['sewing', 'lines'], value: design.sewing.lines.filter((l) => l.id !== id) },
    { path: ['sewing', 'runs', id], value: undefined },
  ],
})

/** Runs in the order the maker wants to sew them. */
export const orderRuns = (name: string, order: readonly string[]): Edit => ({
  name,
  changes: [{ path: ['sewing', 'order'], value: order }],
})

/** Wishes for runs the design no longer has, taken away. */
export const dropWishes = (design: Design, gone: readonly string[]): Edit => {
  const { splits, runs, merges, order, lines } = design.sewing
  const has = (of: object, id: string): boolean => Object.hasOwn(of, id)
  return {
    name: 'forget wishes for runs that are gone',
    changes: [
      ...gone
        .filter((id) => has(runs, id))
        .map((id): Change => ({ path: ['sewing', 'runs', id], value: undefined })),
      ...gone
        .filter((id) => has(splits, id))
        .map((id): Change => ({ path: ['sewing', 'splits', id], value: undefined })),
      {
        path: ['sewing', 'merges'],
        value: merges.filter((m) => !gone.includes(m.first) && !gone.includes(m.then)),
      },
      { path: ['sewing', 'order'], value: order.filter((id) => !gone.includes(id)) },
      { path: ['sewing', 'lines'], value: lines.filter((l) => !gone.includes(l.id)) },
    ],
  }
}

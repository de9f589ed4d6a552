import { type Point, pointDistance } from '../geometry/index.js'
import { SAME_HOLE } from './plan.js'
import type { Run } from './run.js'

/** Holes that two runs have in common, or that come too near each other. */
export interface Meeting {
  readonly first: string
  readonly second: string
  /** Number of a hole of the first, of a hole of the second, and how far apart they are, mm. */
  readonly holes: readonly { readonly a: number; readonly b: number; readonly apart: number }[]
  /** The same hole, or two that nearly break into each other. */
  readonly sort: 'shared' | 'near'
  /** A shared hole is opened once if both runs go through the same layers, else again through what is laid on later. */
  readonly punched: 'once' | 'twice'
}

/** Two slots nearer than this share of the shorter pitch tear into one (J). */
const TOO_NEAR = 0.5

const sameLayers = (a: Run, b: Run, one: { a: number; b: number }): boolean =>
  a.holes[one.a]!.sheets.join() === b.holes[one.b]!.sheets.join()

/** Holes by squares of the ground, so that only neighbours are compared. */
class Squares {
  private readonly all = new Map<string, { run: number; hole: number; at: Point }[]>()
  constructor(private readonly size: number) {}
  private square(p: Point): [number, number] {
    return [Math.floor(p.x / this.size), Math.floor(p.y / this.size)]
  }
  put(run: number, hole: number, at: Point): void {
    const key = this.square(at).join()
    const here = this.all.get(key)
    if (here) here.push({ run, hole, at })
    else this.all.set(key, [{ run, hole, at }])
  }
  near(p: Point): { run: number; hole: number; at: Point }[] {
    const [x, y] = this.square(p)
    return [-1, 0, 1].flatMap((dx) => [-1, 0, 1].flatMap((dy) => this.all.get(`${x + dx},${y + dy}`) ?? []))
  }
}

/** Runs of one state of the work that share holes, or whose holes come too near each other. */
export function meetings(runs: readonly Run[]): Meeting[] {
  const found = new Map<string, { a: number; b: number; apart: number }[]>()
  const limit = Math.max(0, ...runs.map((r) => r.ways.pitch)) * TOO_NEAR
  const squares = new Squares(Math.max(1, limit))
  runs.forEach((run, r) => {
    run.holes.forEach(({ at, sheets }, b) => {
      for (const other of squares.near(at)) {
        const before = runs[other.run]!
        if (other.run === r || before.join.layup !== run.join.layup) continue
        const apart = pointDistance(at, other.at)
        if (apart > TOO_NEAR * Math.min(before.ways.pitch, run.ways.pitch)) continue
        // Holes in different layers do not know of each other.
        if (!sheets.some((s) => before.holes[other.hole]!.sheets.includes(s))) continue
        const sort = apart < SAME_HOLE ? 'shared' : 'near'
        const key = `${other.run} ${r} ${sort}`
        found.set(key, [...(found.get(key) ?? []), { a: other.hole, b, apart }])
      }
    })
    run.holes.forEach(({ at }, hole) => squares.put(r, hole, at))
  })
  return [...found].map(([key, holes]): Meeting => {
    const [first, second, sort] = key.split(' ')
    const [a, b] = [runs[Number(first)]!, runs[Number(second)]!]
    return {
      first: a.join.id,
      second: b.join.id,
      holes,
      sort: sort as Meeting['sort'],
      punched: holes.every((one) => sameLayers(a, b, one)) ? 'once' : 'twice',
    }
  })
}

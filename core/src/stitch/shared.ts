import { type Point, pointDistance } from '../geometry/index.js'
import { nth } from '../lists/index.js'
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
  nth(a.holes, one.a).sheets.join() === nth(b.holes, one.b).sheets.join()

interface Put {
  readonly run: number
  readonly hole: number
  readonly at: Point
}

/** Holes by squares of the ground, so that only neighbours are compared. */
class Squares {
  private readonly all = new Map<number, Put[]>()
  constructor(private readonly size: number) {}
  /** One number for a square; no work is a million squares wide. */
  private key(at: Point, dx: number, dy: number): number {
    return (Math.floor(at.x / this.size) + dx) * 2_000_000 + Math.floor(at.y / this.size) + dy
  }
  put(one: Put): void {
    const key = this.key(one.at, 0, 0)
    const here = this.all.get(key)
    if (here) here.push(one)
    else this.all.set(key, [one])
  }
  near(at: Point, visit: (one: Put) => void): void {
    for (let dx = -1; dx <= 1; dx += 1)
      for (let dy = -1; dy <= 1; dy += 1) this.all.get(this.key(at, dx, dy))?.forEach(visit)
  }
}

/** Runs of one state of the work that share holes, or whose holes come too near each other. */
export function meetings(runs: readonly Run[]): Meeting[] {
  const found = new Map<string, { a: number; b: number; apart: number }[]>()
  const limit = Math.max(0, ...runs.map((r) => r.ways.pitch)) * TOO_NEAR
  const squares = new Squares(Math.max(1, limit))
  runs.forEach((run, r) => {
    run.holes.forEach(({ at, sheets }, b) => {
      squares.near(at, (other) => {
        const before = nth(runs, other.run)
        if (other.run === r || before.join.layup !== run.join.layup) return
        const apart = pointDistance(at, other.at)
        if (apart > TOO_NEAR * Math.min(before.ways.pitch, run.ways.pitch)) return
        // Holes in different layers do not know of each other.
        if (!sheets.some((s) => nth(before.holes, other.hole).sheets.includes(s))) return
        const sort = apart < SAME_HOLE ? 'shared' : 'near'
        const key = `${other.run} ${r} ${sort}`
        found.set(key, [...(found.get(key) ?? []), { a: other.hole, b, apart }])
      })
    })
    run.holes.forEach(({ at }, hole) => squares.put({ run: r, hole, at }))
  })
  return [...found].map(([key, holes]): Meeting => {
    const [first, second, sort] = key.split(' ')
    const [a, b] = [nth(runs, Number(first)), nth(runs, Number(second))]
    return {
      first: a.join.id,
      second: b.join.id,
      holes,
      sort: sort as Meeting['sort'],
      punched: holes.every((one) => sameLayers(a, b, one)) ? 'once' : 'twice',
    }
  })
}

import { type Point, pointsMeet } from './point.js'
import type { Segment } from './segment.js'

/** Segments by where one of their ends lies: those that meet a place are found without asking all. */
export class Ends {
  private readonly cells = new Map<number, Segment[]>()

  /** @param meets ends nearer than this are one, mm */
  constructor(
    segments: readonly Segment[],
    private readonly end: 'from' | 'to',
    private readonly meets: number,
  ) {
    for (const s of segments) {
      const key = this.key(s[end].x, s[end].y, 0, 0)
      const there = this.cells.get(key)
      if (there) there.push(s)
      else this.cells.set(key, [s])
    }
  }

  /** A cell is ten times as wide as ends may lie apart, so that mostly one cell is asked. Cells that share a number share a list. */
  private key(x: number, y: number, dx: number, dy: number): number {
    const wide = 10 * this.meets
    return (Math.floor(x / wide) + dx) * 73_856_093 + (Math.floor(y / wide) + dy) * 19_349_663
  }

  /** The first that meets a place and is wanted. */
  find(p: Point, wanted: (s: Segment) => boolean): Segment | undefined {
    const wide = 10 * this.meets
    const spans = (v: number): readonly number[] => {
      const within = v / wide - Math.floor(v / wide)
      return within < 0.1 ? [0, -1] : within > 0.9 ? [0, 1] : [0]
    }
    const ys = spans(p.y)
    for (const dx of spans(p.x))
      for (const dy of ys)
        for (const s of this.cells.get(this.key(p.x, p.y, dx, dy)) ?? [])
          if (pointsMeet(s[this.end], p, this.meets) && wanted(s)) return s
    return undefined
  }
}

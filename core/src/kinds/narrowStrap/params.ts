import { z } from 'zod'
import { count, mm } from '../parts/schema.js'

/** What a maker decides about a narrow strap of two pieces. Lengths in mm. */
export const strapParams = z.strictObject({
  /** Round the wrist, or whatever it goes round. */
  girth: mm(80, 600),
  ease: mm(0, 40),
  /** What lies between the two bars, bar to bar; 0 where the ends share a ring. */
  between: mm(0, 120),
  wideEnd: mm(8, 40),
  narrowEnd: mm(6, 40),
  barEnd: mm(1, 6),
  barBuckle: mm(1, 6),
  /** Bar to bar of the buckle piece. */
  short: mm(30, 250),
  holes: count(1, 11),
  spacing: mm(4, 25),
  hole: mm(1, 5),
  /** From the last hole to the tip. */
  tongue: mm(8, 60),
  tip: z.enum(['pointed', 'round']),
  lap: mm(6, 40),
  lining: z.enum(['lined', 'none']),
  turn: mm(3, 12),
  edges: z.enum(['turned', 'raw']),
  prong: mm(0.8, 5),
  margin: mm(1.2, 6),
  finish: z.enum(['burnished', 'painted']),
})
export type StrapParams = z.infer<typeof strapParams>

export const STRAP_DEFAULTS: StrapParams = {
  girth: 172,
  ease: 6,
  between: 46,
  wideEnd: 20,
  narrowEnd: 16,
  barEnd: 1.8,
  barBuckle: 2,
  short: 72,
  holes: 7,
  spacing: 6,
  hole: 2,
  tongue: 22,
  tip: 'pointed',
  lap: 14,
  lining: 'lined',
  turn: 5,
  edges: 'turned',
  prong: 2,
  margin: 2.2,
  finish: 'burnished',
}

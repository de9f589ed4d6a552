import { z } from 'zod'
import { EDGE_SHAPE, mm } from '../parts/schema.js'

/** What a maker decides about a layered sheath for a tool. Lengths in mm; the tool hangs point down. */
export const sheathParams = z.strictObject({
  /** As much of the tool as goes in. */
  deep: mm(40, 400),
  wide: mm(8, 150),
  tipWide: mm(2, 150),
  thick: mm(1, 40),
  /** From the tip to where the tool balances. */
  balance: mm(10, 500),
  play: mm(0.5, 6),
  welt: mm(5, 20),
  loop: z.enum(['fold', 'sewn', 'none']),
  belt: mm(15, 80),
  beltThick: mm(1, 10),
  loopWide: mm(15, 80),
  /** From the mouth up to the middle of the loop. */
  rise: mm(10, 200),
  margin: EDGE_SHAPE.margin,
  trim: EDGE_SHAPE.trim,
  finish: EDGE_SHAPE.finish,
})
export type SheathParams = z.infer<typeof sheathParams>

export const SHEATH_DEFAULTS: SheathParams = {
  deep: 120,
  wide: 34,
  tipWide: 18,
  thick: 4,
  balance: 115,
  play: 1.5,
  welt: 10,
  loop: 'fold',
  belt: 40,
  beltThick: 4,
  loopWide: 34,
  rise: 60,
  margin: 4,
  trim: 2,
  finish: 'burnished',
}

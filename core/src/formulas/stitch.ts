import { evaluate } from './reading.js'

/** What a saddle-stitched run takes, lengths in mm. */
export interface SaddleStitch {
  readonly stitches: number
  readonly pitch: number
  /** Thickness at each hole, in order. */
  readonly stacks: readonly number[]
  readonly backstitches: number
  /** Thread left over at each end of each length. */
  readonly ends: number
  readonly tail: number
}

function total(values: readonly number[]): number {
  let sum = 0
  for (const value of values) sum += value
  return sum
}

/** Thread that passes through the work: the first hole once, every other one twice; §6. */
export const THROUGH_WORK = '{first} once + 2 × {count} holes × {mean} thick on average'
/** The same of what goes on with another run's thread, whose first hole it is. */
export const THROUGH_ONWARD = '2 × {count} holes × {mean} thick on average'

/** The same from the thickness at every hole, mm. */
export const throughWork = (stacks: readonly number[]): number => 2 * total(stacks) - (stacks[0] ?? 0)

/** Mean thickness at the holes, mm. */
export const meanStack = (stacks: readonly number[]): number =>
  stacks.length === 0 ? 0 : total(stacks) / stacks.length

/** Thread between the holes, through them and in backstitches, of a saddle-stitched run; §6 [6.01–6.03]. */
export const SADDLE_STITCHED =
  '2 × {stitches} × {pitch} + {holes} + {back} backstitches × 2 × ({pitch} + {thickness})'

/** Thread of a saddle-stitched run, both needles together, mm; §6 [6.01–6.03]. */
export const saddleStitchThread = ({ stitches, pitch, stacks, ...run }: SaddleStitch): number =>
  evaluate(`${SADDLE_STITCHED} + {ends} × {tail}`, {
    stitches,
    pitch,
    holes: throughWork(stacks),
    back: run.backstitches,
    thickness: meanStack(stacks),
    ends: run.ends,
    tail: run.tail,
  })

/** Thread of one saddle stitch whose slots let it lie at a slant on one face, or on both; §6 [6.04]. */
export const SLANTED_ONE =
  '√(({pitch} − {along})² + {across}²) + √(({pitch} + {along})² + {across}²) + 2 × {thickness}'
export const SLANTED_BOTH = '2 × √(({pitch} − {along})² + {across}²) + 2 × √({thickness}² + {slit}²)'

/** Half of a slanted slot measured across the seam; §9. */
export const HALF_ACROSS = 'half of {slot} slot × sine of {slant} slant'
export const halfAcross = (slot: number, slant: number): number => evaluate(HALF_ACROSS, { slot, slant })

/** Diameter of a thread, mm, of `tex` g/km and a density in g/cm³, whose fibres fill a share of its section; §1. */
export const THREAD_DIAMETER = '√(0.004 × {tex} / (π × {density} × {packing}))'
export const threadDiameter = (tex: number, density: number, packing: number): number =>
  evaluate(THREAD_DIAMETER, { tex, density, packing })

/** Thread wound on a bobbin, by the share of its room that thread takes up; §19. */
export const BOBBIN = '({across}² − {core}²) × {wide} × {fill} / {thread}²'

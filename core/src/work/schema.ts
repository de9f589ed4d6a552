import { z } from 'zod'
import { type ParamsOf, choice, count, number, settings } from '../settings/index.js'

/**
 * Schools of the order of work and what its waits and small steps take: ordinary shop practice (J) to start from;
 * docs/formulas.md §22. Waits and times in minutes.
 */
const WORK = {
  mockUp: choice('a mock-up first', 'none', [
    ['none', 'none', 'the shape is known'],
    ['paper', 'folded from paper', 'a new shape shows what it forgot'],
    ['scrap', 'sewn from scrap leather', 'folds and thickness show as well'],
  ]),
  dye: choice('leather is dyed', 'bought', [
    ['bought', 'by the tannery', 'it comes in its colour'],
    ['pieces', 'as cut pieces', 'all pieces match; glue and finish keep no dye out'],
    ['work', 'once it is put together', 'edges match the faces'],
  ]),
  dyeDry: number('minutes for dye to dry', 5, 2880, 60, 5),
  oil: choice('leather is oiled', 'none', [
    ['none', 'not at all', 'it comes as it should be'],
    ['pieces', 'as cut pieces', 'it soaks in evenly while nothing is glued'],
    ['work', 'once it is put together', 'what the work took out is given back'],
  ]),
  oilRest: number('minutes for oil to rest', 10, 5760, 720, 10),
  stamp: choice('the maker’s mark', 'none', [
    ['none', 'none', 'nothing is stamped'],
    ['stamped', 'stamped', 'into single leather, before anything lies under or over it'],
  ]),
  glue: choice('glued with', 'contact', [
    ['contact', 'contact glue', 'on both sides; it holds at once, and can’t be moved'],
    ['white', 'white glue under clips', 'it can be moved a while, and has to dry'],
  ]),
  tack: number('minutes for contact glue to tack', 1, 60, 8, 1),
  clips: number('minutes under clips for white glue', 5, 720, 30, 5),
  coats: count('coats on painted edges', 1, 10, 3),
  coatDry: number('minutes for a coat to dry', 5, 720, 45, 5),
  formDry: number('minutes to dry on the block', 60, 5760, 720, 30),
  straps: choice('straps and handles are made', 'first', [
    ['first', 'first', 'they are ready when the body wants them'],
    ['last', 'last', 'their length is measured on the finished body'],
  ]),
  halves: choice('the two halves of a fold are closed', 'one', [
    ['one', 'one after the other, folded over the thumb', 'the inside lies smooth when it is shut'],
    ['both', 'both at once, lying flat', 'quicker; the inside creases when it is shut'],
  ]),
  setUp: number('minutes to lay out the tools of a step', 0, 60, 2, 0.5),
  barMinutes: number('minutes to measure the test bar', 0, 60, 3, 0.5),
  patternMinutes: number('minutes to glue a pattern to card and cut it out', 0, 60, 4, 0.5),
  mockUpMinutes: number('minutes for a mock-up', 0, 600, 45, 5),
  markMinutes: number('minutes to mark a piece', 0, 60, 1, 0.25),
  splitMinutes: number('minutes to split a piece', 0, 120, 4, 0.5),
  dyeMinutes: number('minutes to dye or oil a piece', 0, 120, 3, 0.5),
  stampMinutes: number('minutes to stamp the mark', 0, 120, 6, 0.5),
  punchSeconds: number('seconds for a slot or a hole of hardware', 1, 600, 30, 5),
  layMinutes: number('minutes to glue in a layer', 0, 120, 4, 0.5),
  setMinutes: number('minutes to set a piece of hardware', 0, 120, 2, 0.25),
  foldMinutes: number('minutes to press a fold', 0, 60, 1, 0.25),
  formMinutes: number('minutes to form a piece on the block', 0, 240, 25, 5),
  turnOutMinutes: number('minutes to turn a bag right side out', 0, 240, 15, 5),
  lastMinutes: number('minutes to try it, photograph it and note', 0, 120, 12, 1),
}
export type WorkWays = ParamsOf<typeof WORK>
export const WORK_WAYS = settings(WORK, { at: ['work', 'ways'] })

/** What is said of them where the order of work is shown. */
export const WORK_SENTENCES: readonly string[] = [
  'Leather is dyed {dye}; dye dries {dyeDry} minutes; it is oiled {oil}, resting {oilRest} minutes. The maker’s mark: {stamp}. A mock-up first: {mockUp}.',
  'Glued with {glue}: contact glue tacks in {tack} minutes, white glue stays {clips} under clips; painted edges have {coats} coats, {coatDry} minutes each to dry; formed leather dries {formDry} minutes.',
  'Straps and handles are made {straps}; the two halves of a fold are closed {halves}.',
  'Laying out the tools of a step takes {setUp} minutes, the test bar {barMinutes}, a pattern {patternMinutes}, marking a piece {markMinutes}, splitting one {splitMinutes}, a slot or hole {punchSeconds} seconds.',
  'A layer takes {layMinutes} minutes, a piece of hardware {setMinutes}, a fold {foldMinutes}, forming {formMinutes}, turning out {turnOutMinutes}, the last look {lastMinutes}, dyeing or oiling a piece {dyeMinutes}, the mark {stampMinutes}, a mock-up {mockUpMinutes}.',
]

const stepId = z.string().min(1).max(400)

/** What the maker decided about the order of work. */
export const workSchema = z.strictObject({
  ways: WORK_WAYS.schema,
  /** Steps in the maker's own order, by id; those not named stand where they usually do. */
  order: z.array(stepId).max(600),
  /** Reasons the maker knows better than, each as “first > then”. */
  overruled: z.array(z.string().min(3).max(820)).max(600),
})
export type Work = z.infer<typeof workSchema>
export const PLAIN_WORK: Work = { ways: WORK_WAYS.usual, order: [], overruled: [] }

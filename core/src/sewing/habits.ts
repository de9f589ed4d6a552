import { type ParamsOf, choice, count, length, number, pace, percent, settings } from '../settings/index.js'

/**
 * The workshop's own ways: ordinary shop practice (J) to start from; docs/formulas.md §6, §7, §17 and §19. Lengths mm,
 * paces of the bench mm a minute, times as they say.
 */
const WAYS = {
  cornerSchool: choice('holes at a sharp corner', 'hole', [
    ['hole', 'with a hole on the corner', 'the stitch turns exactly at the corner'],
    ['straddled', 'with the corner straddled evenly', 'no hole weakens the corner itself'],
  ]),
  tail: length('thread left at each needle', 20, 500, 150, { step: 10 }),
  waste: percent('thread added for what is pulled in and cut off', 0, 0.5, 0.06, 0.01),
  comfortable: length('longest comfortable thread', 200, 10000, 2000, { step: 50 }),
  stepClearance: length('clearance of a hole from a step', 0, 5, 1, { step: 0.1 }),
  play: percent('how far a pitch may differ from the iron’s', 0, 0.2, 0.04, 0.005),
  evenOver: count('stitches a stepped side is evened out over', 1, 30, 5),
  blowSeconds: number('seconds for a blow of the iron, set and struck', 0.5, 300, 25, 1),
  stitchSeconds: pace('pace of sewing by hand', 2, 180, 35, 1),
  cornerSeconds: number('seconds more for a corner', 0, 300, 20, 5),
  runMinutes: number('minutes to begin a run', 0, 30, 2, 0.5),
  cutPace: length('cut out in a minute', 10, 2000, 200, { step: 10 }),
  pieceMinutes: number('minutes to lay a pattern down and take the piece up', 0, 60, 1, 0.25),
  /** Deeper takes longer. */
  skivePace: length('skived in a minute', 5, 2000, 90, { step: 5 }),
  skiveMinutes: number('minutes to begin a skive', 0, 60, 0.5, 0.25),
  turnPace: length('edge turned over in a minute', 5, 2000, 60, { step: 5 }),
  pleatMinutes: number('minutes for a pleat or a cut', 0, 60, 0.25, 0.25),
  gluePace: length('edge glued in a minute', 10, 5000, 400, { step: 10 }),
  glueMinutes: number('minutes to press a join', 0, 60, 1, 0.25),
  edgePace: length('edge finished in a minute, in all its passes', 5, 2000, 50, { step: 5 }),
}
export type Habits = ParamsOf<typeof WAYS>
export const HABITS = settings(WAYS, { at: ['habits'] })

/** What is said of them where the runs are planned. */
export const HABIT_SENTENCES: readonly string[] = [
  'At the bench {cutPace} are cut out in a minute and {skivePace} skived; of edges {turnPace} are turned over, {gluePace} glued and {edgePace} finished.',
  'Besides, {pieceMinutes} minutes for each piece, {skiveMinutes} for each skive, {pleatMinutes} for a pleat or cut and {glueMinutes} for each join.',
]

import { EDGE } from '../parts/settings.js'
import { type ParamsOf, choice, length, number, settings } from '../../settings/index.js'

/** What a maker decides about a layered sheath for a tool; it hangs point down. Lengths in mm. */
const DECIDED = {
  margin: EDGE.margin,
  trim: EDGE.trim,
  finish: EDGE.finish,
  /** As much of the tool as goes in. */
  deep: length('how much of the tool goes in', 40, 400, 120, { step: 1 }),
  wide: length('width of the tool at the mouth', 8, 150, 34),
  tipWide: length('width of the tool at its tip', 2, 150, 18),
  thick: length('thickness of the tool', 1, 40, 4, { step: 0.1 }),
  /** From the tip to where the tool balances. */
  balance: length('from its tip to where it balances', 10, 500, 115, { step: 1 }),
  play: length('room round the tool', 0.5, 6, 1.5),
  welt: length('width of the welt', 5, 20, 10),
  /** A guard wider than the tool, which comes to lie in the mouth. */
  guard: length('width of its guard', 0, 150, 0, { hint: '0 where it has none' }),
  guardDeep: length('how far the guard goes in', 0, 60, 4),
  welts: choice('layers of the welt', 'whole', [
    ['whole', 'all of them round to the tip', 'for a tool as thick at its tip as at the mouth'],
    ['out', 'running out to nothing where the tool gets thinner', 'for a tool that tapers'],
  ]),
  tipThick: length('thickness of the tool at its tip', 0.2, 40, 2, { step: 0.1 }),
  loop: choice('belt loop', 'fold', [
    ['fold', 'in one with the back, folded down', 'strong; a longer piece'],
    ['wrap', 'a loop over the mouth, sewn on front and back', 'holds the mouth together; takes a cant'],
    ['sewn', 'a loop sewn to the back', 'saves leather; takes a cant'],
    ['none', 'no loop', 'carried in a bag'],
  ]),
  belt: length('width of the belt', 15, 80, 40, { step: 1 }),
  beltThick: length('thickness of the belt', 1, 10, 4),
  loopWide: length('width of the loop', 15, 80, 34, { step: 1 }),
  /** From the mouth up to the middle of the loop. */
  rise: length('from the mouth up to the middle of the loop', 10, 200, 60, { step: 1 }),
  /** How far the tool leans from upright as it is worn, degrees; its tip to the back where more than nothing. */
  cant: number('degrees it leans on the belt', -45, 45, 0, 1),
}
export type SheathParams = ParamsOf<typeof DECIDED>
/** A loop of its own, which may stand at an angle. */
export const hasOwnLoop = (p: SheathParams): boolean => p.loop === 'wrap' || p.loop === 'sewn'
export const SHEATH = settings(DECIDED, {
  inPlay: {
    belt: (p) => p.loop !== 'none',
    beltThick: (p) => p.loop !== 'none',
    loopWide: (p) => p.loop !== 'none',
    balance: (p) => p.loop !== 'none',
    rise: (p) => p.loop === 'fold' || p.loop === 'wrap',
    cant: hasOwnLoop,
    guardDeep: (p) => p.guard > 0,
    tipThick: (p) => p.welts === 'out',
  },
  usual: { margin: 4, trim: 2 },
  // `play` is how far a pitch may differ from the iron’s, in every kind.
  said: { play: 'roomRound' },
})

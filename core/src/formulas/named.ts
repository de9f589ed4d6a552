import { type NamedFunction, phrase } from '../expression/index.js'
import { ellipticArc } from './ellipse.js'
import { equalisedStitches } from './equalised.js'
import { widestStart } from './phase.js'

/** What no sum says: functions of this craft that the words of a formula can call. */
export const NAMED: readonly NamedFunction[] = [
  phrase('the count of stitches nearest to _ on _', (pitch, length) => equalisedStitches(length, pitch)),
  phrase('the arc to _ of an ellipse that leans by _', (angle, lean) => ellipticArc(angle, lean)),
  phrase(
    'the first start _ clear of _ steps _ apart from _ counted round _',
    (clear, steps, apart, first, pitch) => widestStart(clear, steps, apart, first, pitch).from,
  ),
  phrase(
    'the last start _ clear of _ steps _ apart from _ counted round _',
    (clear, steps, apart, first, pitch) => widestStart(clear, steps, apart, first, pitch).to,
  ),
]

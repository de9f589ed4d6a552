import { type Edit, applyEdit, withFollowing } from '../design/index.js'
import { type Derived, derive } from '../derive.js'
import type { LengthUnit } from '../measure/index.js'
import type { Check, Finding, Fix, FixShelf, Rank, Saying } from './finding.js'
import { acrossPull } from './acrossPull.js'
import { bobbinRunsOut } from './bobbinRunsOut.js'
import { concern } from './concern.js'
import { coveredBeforeSewn } from './coveredBeforeSewn.js'
import { drawingFault } from './drawingFault.js'
import { edgeFault } from './edgeFault.js'
import { fit } from './fit.js'
import { foldWithoutAllowance } from './foldWithoutAllowance.js'
import { holeNearStep } from './holeNearStep.js'
import { holesMeet } from './holesMeet.js'
import { marginTooSmall } from './marginTooSmall.js'
import { noRoom } from './noRoom.js'
import { noTrim } from './noTrim.js'
import { pitchOff } from './pitchOff.js'
import { runLine } from './runLine.js'
import { runTooLong } from './runTooLong.js'
import { seamNearEdge } from './seamNearEdge.js'
import { skiveTooSteep } from './skiveTooSteep.js'
import { skiveTooThin } from './skiveTooThin.js'
import { stackTooThick } from './stackTooThick.js'
import { thinUnderStitch } from './thinUnderStitch.js'
import { threadUnsuited } from './threadUnsuited.js'
import { turnTooNarrow } from './turnTooNarrow.js'
import { unequalHoles } from './unequalHoles.js'
import { allowanceSmall } from './allowanceSmall.js'
import { contentsFit } from './contentsFit.js'
import { cornerTight } from './cornerTight.js'
import { edgesApart } from './edgesApart.js'
import { glueInMouth } from './glueInMouth.js'
import { hangsLevel } from './hangsLevel.js'
import { hardToTurn } from './hardToTurn.js'
import { hardwareClose } from './hardwareClose.js'
import { hardwareCovered } from './hardwareCovered.js'
import { postTooShort } from './postTooShort.js'
import { sameHand } from './sameHand.js'
import { strapTooLong } from './strapTooLong.js'
import { STARTER_STORES } from '../stores/index.js'
import { alikeSaid, together } from './together.js'
import { wishGone } from './wishGone.js'

const CHECKS: readonly Check[] = [
  fit,
  concern,
  drawingFault,
  edgeFault,
  noRoom,
  coveredBeforeSewn,
  foldWithoutAllowance,
  holeNearStep,
  stackTooThick,
  marginTooSmall,
  skiveTooThin,
  thinUnderStitch,
  skiveTooSteep,
  turnTooNarrow,
  runTooLong,
  noTrim,
  unequalHoles,
  runLine,
  holesMeet,
  acrossPull,
  seamNearEdge,
  pitchOff,
  threadUnsuited,
  bobbinRunsOut,
  contentsFit,
  edgesApart,
  cornerTight,
  hardToTurn,
  postTooShort,
  sameHand,
  hardwareClose,
  hardwareCovered,
  allowanceSmall,
  glueInMouth,
  strapTooLong,
  hangsLevel,
  wishGone,
]
const ORDER: Readonly<Record<Rank, number>> = { stop: 0, look: 1, tip: 2 }

const checkOf = (finding: Finding): Check => CHECKS.find((c) => c.code === finding.code)!

/** Everything found in a design, stops first. Overruled ones are among them; `design.overruled` says which. */
export const findingsOf = (derived: Derived): readonly Finding[] =>
  together(CHECKS.flatMap((check) => check.find(derived))).toSorted((a, b) => ORDER[a.rank] - ORDER[b.rank])

/** The reason a finding was overruled for, where it was. */
export const overruledFor = (derived: Derived, finding: Finding): string | undefined =>
  reasonFor(derived, finding.key) ??
  // What was set aside run by run before it was told once stays so.
  (finding.was?.every((key) => reasonFor(derived, key)) ? reasonFor(derived, finding.was[0]!) : undefined)

const reasonFor = ({ design }: Derived, key: string): string | undefined =>
  design.overruled.find((o) => o.finding === key)?.reason

/** What a finding says, in the maker's units. */
export function sayFinding(finding: Finding, unit: LengthUnit): Saying {
  const { what, why } = checkOf(finding).say(finding, unit)
  return { what: `${what}${alikeSaid(finding.alike ?? [])}`, why }
}

/**
 * Ways out, each tried on the real design: after it the finding is gone, or milder. Reckons up to some dozens of
 * designs, so ask for it when it is shown.
 */
export function fixesOf(
  finding: Finding,
  derived: Derived,
  unit: LengthUnit = 'mm',
  shelf: FixShelf = STARTER_STORES,
): readonly Fix[] {
  const tryOut = (edit: Edit): Derived | undefined => {
    const edited = applyEdit(derived.design, withFollowing(derived.design, edit))
    if (!edited.ok) return undefined
    try {
      const tried = derive(edited.design)
      return tried.pieces.length > 0 ? tried : undefined
    } catch {
      // Nothing can be made with it: no way out.
      return undefined
    }
  }
  const helps = ({ edit }: Fix): boolean => {
    const tried = tryOut(edit)
    const left = tried && findingsOf(tried).find((f) => f.key === finding.key)
    return tried !== undefined && (!left || ORDER[left.rank] > ORDER[finding.rank])
  }
  return checkOf(finding).fixes(finding, derived, tryOut, unit, shelf).filter(helps)
}

export type { Finding, Fix, FixShelf, Place, Rank, Saying } from './finding.js'

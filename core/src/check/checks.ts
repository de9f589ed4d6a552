import { acrossPull } from './acrossPull.js'
import { allowanceSmall } from './allowanceSmall.js'
import { bobbinRunsOut } from './bobbinRunsOut.js'
import { concern } from './concern.js'
import { contentsFit } from './contentsFit.js'
import { cornerTight } from './cornerTight.js'
import { coveredBeforeSewn } from './coveredBeforeSewn.js'
import { drawingFault } from './drawingFault.js'
import { edgeFault } from './edgeFault.js'
import { edgesApart } from './edgesApart.js'
import type { Check, Found } from './finding.js'
import { fit } from './fit.js'
import { foldWithoutAllowance } from './foldWithoutAllowance.js'
import { glueInMouth } from './glueInMouth.js'
import { hangsLevel } from './hangsLevel.js'
import { hardToTurn } from './hardToTurn.js'
import { heldByNothing } from './heldByNothing.js'
import { holdsOneLayer } from './holdsOneLayer.js'
import { hardwareClose } from './hardwareClose.js'
import { hardwareCovered } from './hardwareCovered.js'
import { hardwareMeets } from './hardwareMeets.js'
import { holeNearStep } from './holeNearStep.js'
import { holesMeet } from './holesMeet.js'
import { liesBadly } from './liesBadly.js'
import { marginTooSmall } from './marginTooSmall.js'
import { hardwareNoOrder, workNoOrder } from './noOrder.js'
import { noRoom } from './noRoom.js'
import { noTrim } from './noTrim.js'
import { pitchOff } from './pitchOff.js'
import { postTooShort } from './postTooShort.js'
import { noPlaceOnHide } from './noPlaceOnHide.js'
import { runLine } from './runLine.js'
import { runTooLong } from './runTooLong.js'
import { sameHand } from './sameHand.js'
import { seamNearEdge } from './seamNearEdge.js'
import { skiveTooSteep } from './skiveTooSteep.js'
import { skiveTooThin } from './skiveTooThin.js'
import { stackTooThick } from './stackTooThick.js'
import { stampSpoiled } from './stampSpoiled.js'
import { strapTooLong } from './strapTooLong.js'
import { thinUnderStitch } from './thinUnderStitch.js'
import { threadUnsuited } from './threadUnsuited.js'
import { turnTooNarrow } from './turnTooNarrow.js'
import { unequalHoles } from './unequalHoles.js'
import { wishGone } from './wishGone.js'

/** Every type of finding, in the order in which findings of one rank are told. */
const ALL = [
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
  hardwareMeets,
  stampSpoiled,
  heldByNothing,
  holdsOneLayer,
  allowanceSmall,
  glueInMouth,
  strapTooLong,
  liesBadly,
  noPlaceOnHide,
  hardwareNoOrder,
  workNoOrder,
  hangsLevel,
  wishGone,
] as const

type Known = (typeof ALL)[number]
export type Code = Known['code']
/** The data of each type of finding, by its code. */
export type DataOf = { [One in Known as One['code']]: One extends Check<string, infer Data> ? Data : never }

/** A finding of one type, or of any: its code says which data it has. */
export type Finding<Of extends Code = Code> = { [One in Of]: { readonly code: One } & Found<DataOf[One]> }[Of]

/** All checks by the code of what they find, in their order. */
export const CHECKS = Object.fromEntries(ALL.map((one) => [one.code, one])) as {
  readonly [One in Code]: Check<One, DataOf[One]>
}

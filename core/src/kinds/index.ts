import { bifold } from './bifold/index.js'
import { briefcase } from './briefcase/index.js'
import { byHand } from './byHand.js'
import { cardSleeve } from './cardSleeve/index.js'
import { COMMON_FIELDS } from './common.js'
import { flapBag } from './flapBag/index.js'
import { gussetedCase } from './gussetedCase/index.js'
import type { Kind } from './kind.js'
import { mouldedHolder } from './mouldedHolder/index.js'
import { narrowStrap } from './narrowStrap/index.js'
import { portfolio } from './portfolio/index.js'
import { rucksack } from './rucksack/index.js'
import type { Field } from '../settings/index.js'
import { sheath } from './sheath/index.js'
import { strapWallet } from './strapWallet/index.js'
import { tote } from './tote/index.js'
import { wrapWallet } from './wrapWallet/index.js'

/** Every kind there is, in the order in which they are offered; a new one is its line here. */
const ALL: readonly Kind[] = [
  bifold,
  cardSleeve,
  strapWallet,
  wrapWallet,
  mouldedHolder,
  gussetedCase,
  narrowStrap,
  sheath,
  tote,
  flapBag,
  portfolio,
  briefcase,
  rucksack,
  byHand,
]
const KINDS: ReadonlyMap<string, Kind> = new Map(ALL.map((kind) => [kind.id, kind]))

export const kindIds = (): readonly string[] => ALL.map((kind) => kind.id)
export const kindMaybe = (id: string): Kind | undefined => KINDS.get(id)

/** The kind of that id; throws for one that is not known, which the design's schema rules out. */
export function kindOf(id: string): Kind {
  const kind = kindMaybe(id)
  if (!kind) throw new RangeError(`no kind “${id}”`)
  return kind
}

/** Every setting a design of this kind has, the shared ones included. */
export const fieldsOf = (kind: Kind): readonly Field[] => [...kind.fields, ...COMMON_FIELDS]

/** The settings that play a part in a work with these parameters. */
export const fieldsInPlay = (kind: Kind, params: Readonly<Record<string, unknown>>): readonly Field[] =>
  fieldsOf(kind).filter((f) => f.when?.(params) ?? true)

export { type SentencePart, sentenceParts } from './sentence.js'
export { SEAM_SENTENCES, SEWING_SENTENCES } from './common.js'
export type { Choice, Field, Sentence } from '../settings/index.js'
export {
  type HardwareRole,
  type Kind,
  type Materials,
  type Role,
  startingHardware,
  startingLeathers,
} from './kind.js'
/** What pieces are built with, for parts that any kind can carry. */
export { needed, present } from './parts/fits.js'
export { foldedInTwo } from './parts/loop.js'
export { edgeSeam, lineSeam } from './parts/seams.js'
export { circleShape, plainPanel, rectangleShape, turnedFate } from './parts/shape.js'
export { panelSheet } from './parts/sheets.js'

import { bifold } from './bifold/index.js'
import { briefcase } from './briefcase/index.js'
import { byHand } from './byHand.js'
import { cardSleeve } from './cardSleeve/index.js'
import { COMMON_FIELDS } from './common.js'
import type { Field } from './fields.js'
import { flapBag } from './flapBag/index.js'
import { gussetedCase } from './gussetedCase/index.js'
import type { Kind } from './kind.js'
import { mouldedHolder } from './mouldedHolder/index.js'
import { narrowStrap } from './narrowStrap/index.js'
import { portfolio } from './portfolio/index.js'
import { rucksack } from './rucksack/index.js'
import { sheath } from './sheath/index.js'
import { strapWallet } from './strapWallet/index.js'
import { tote } from './tote/index.js'
import { wrapWallet } from './wrapWallet/index.js'

/** Every kind there is, by id. Their parameters are checked by the design's schema before they get here. */
const KINDS: Readonly<Record<string, Kind>> = {
  bifold: bifold as unknown as Kind,
  'card-sleeve': cardSleeve as unknown as Kind,
  'strap-wallet': strapWallet as unknown as Kind,
  'wrap-wallet': wrapWallet as unknown as Kind,
  'moulded-holder': mouldedHolder as unknown as Kind,
  'gusseted-case': gussetedCase as unknown as Kind,
  'narrow-strap': narrowStrap as unknown as Kind,
  sheath: sheath as unknown as Kind,
  tote: tote as unknown as Kind,
  'flap-bag': flapBag as unknown as Kind,
  portfolio: portfolio as unknown as Kind,
  briefcase: briefcase as unknown as Kind,
  rucksack: rucksack as unknown as Kind,
  'by-hand': byHand as unknown as Kind,
}

export const kindIds = (): readonly string[] => Object.keys(KINDS)
export const kindMaybe = (id: string): Kind | undefined => (Object.hasOwn(KINDS, id) ? KINDS[id] : undefined)

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
export type { Choice, Field, Sentence } from './fields.js'
export {
  type HardwareRole,
  type Kind,
  type Materials,
  type Role,
  startingHardware,
  startingLeathers,
} from './kind.js'

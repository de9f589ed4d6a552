import { HABITS, PLAIN_SEWING } from '../sewing/index.js'
import { PLAIN_WORK } from '../work/index.js'
import { kindOf, startingHardware } from '../kinds/index.js'
import {
  type Awl,
  type Hardware,
  type Iron,
  type Leather,
  type Machine,
  STARTER_STORES,
  type Thread,
} from '../stores/index.js'
import { PLAIN_CUTTING } from './cutting.js'
import { DESIGN_FORMAT, DESIGN_VERSION, type Design, designSchema } from './schema.js'

export interface FreshDesign {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly params?: Readonly<Record<string, unknown>>
  readonly leathers: Readonly<Record<string, Leather>>
  readonly iron: Iron
  readonly awl: Awl
  readonly thread: Thread
  readonly machine: Machine
  /** By the part it plays; what comes nearest of common hardware where left out. */
  readonly hardware?: Readonly<Record<string, Hardware>>
}

/** A new design of a kind with that kind's defaults. Throws where the materials or parameters do not hold. */
export const freshDesign = ({ params, hardware, ...rest }: FreshDesign): Design =>
  designSchema.parse({
    format: DESIGN_FORMAT,
    version: DESIGN_VERSION,
    draft: 'first draft',
    ...rest,
    params: { ...kindOf(rest.kind).defaults, ...params },
    hardware: { ...startingHardware(kindOf(rest.kind), STARTER_STORES.hardware), ...hardware },
    contents: [],
    overrides: {},
    skives: {},
    lengths: {},
    sewing: PLAIN_SEWING,
    drawn: [],
    ties: [],
    added: {},
    habits: HABITS.usual,
    work: PLAIN_WORK,
    cutting: PLAIN_CUTTING,
    overruled: [],
  })

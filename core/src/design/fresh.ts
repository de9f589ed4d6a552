import { PLAIN_SEWING } from '../sewing/index.js'
import { kindOf } from '../kinds/index.js'
import type { Awl, Iron, Leather, Machine, Thread } from '../stores/index.js'
import { DEFAULT_HABITS, DESIGN_FORMAT, DESIGN_VERSION, type Design, designSchema } from './schema.js'

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
}

/** A new design of a kind with that kind's defaults. Throws where the materials or parameters do not hold. */
export const freshDesign = ({ params, ...rest }: FreshDesign): Design =>
  designSchema.parse({
    format: DESIGN_FORMAT,
    version: DESIGN_VERSION,
    draft: 'first draft',
    ...rest,
    params: { ...kindOf(rest.kind).defaults, ...params },
    overrides: {},
    skives: {},
    lengths: {},
    sewing: PLAIN_SEWING,
    drawn: [],
    ties: [],
    habits: DEFAULT_HABITS,
    overruled: [],
  })

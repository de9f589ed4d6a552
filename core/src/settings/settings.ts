import { type ZodType, z } from 'zod'
import { remembered } from '../working/index.js'
import type { Field } from './fields.js'
import type { Setting } from './setting.js'

/** Settings of a kind by id, in the order in which they are listed. */
export type Declared = Readonly<Record<string, Setting<unknown>>>
/** What a design that has these settings knows of them. */
export type ParamsOf<D extends Declared> = {
  readonly [Id in keyof D]: D[Id] extends Setting<infer Value> ? Value : never
}
/** When a setting plays a part; those not named always do. */
export type InPlay<P> = { readonly [Id in keyof P]?: (params: P) => boolean }

export type RawParams = Readonly<Record<string, unknown>>

/** What follows from the settings of a kind once they are declared. */
export interface Settings<P> {
  readonly schema: ZodType<P>
  readonly usual: P
  readonly fields: readonly Field[]
  /** The parameters of a design as this kind knows them. Throws for those its schema refuses. */
  readonly read: (raw: RawParams) => P
  /** What is proposed for sizes like these, by setting. */
  readonly proposed: (params: P) => Readonly<Record<string, number>>
}

interface SettingsAsked<P> {
  readonly inPlay?: InPlay<P>
  /** Where something else is usual. */
  readonly usual?: Partial<P>
  /** Where they stand in the saved design. */
  readonly at?: readonly string[]
  /** By what else a setting is named in sentences, where a common one has its name already; it is saved under its own. */
  readonly said?: { readonly [Id in keyof P]?: string }
}

/** Schema, usual values and fields of settings; `inPlay` says when each plays a part. */
export function settings<const D extends Declared>(
  declared: D,
  { inPlay = {}, usual = {}, at = ['params'], said = {} }: SettingsAsked<ParamsOf<D>> = {},
): Settings<ParamsOf<D>> {
  type P = ParamsOf<D>
  const entries = Object.entries(declared)
  const checked = z.strictObject(Object.fromEntries(entries.map(([id, one]) => [id, one.schema])))
  // What every setting's own schema lets through is what the settings together are.
  const schema = checked.pipe(z.custom<P>())
  const read = remembered((raw: RawParams): P => schema.parse(raw))
  const values = read({ ...Object.fromEntries(entries.map(([id, one]) => [id, one.usual])), ...usual })
  const fields = entries.map(([id, one]): Field => {
    const when: ((params: P) => boolean) | undefined = inPlay[id]
    const field = one.field(said[id] ?? id, [...at, id])
    return when ? { ...field, when: (raw) => when(read(raw)) } : field
  })
  return { schema, usual: values, fields, read, proposed: (params) => proposals(declared, values, params) }
}

/** Settings that go with a size get smaller with it, and no larger than usual; half millimetres. */
function proposals(declared: Declared, usual: RawParams, params: RawParams): Record<string, number> {
  const proposed: Record<string, number> = {}
  for (const [id, { goes }] of Object.entries(declared)) {
    if (!goes) continue
    const max = Number(usual[id])
    const scale = Math.min(1, Number(params[goes.with]) / Number(usual[goes.with])) ** goes.power
    proposed[id] = Math.min(max, Math.max(goes.min, Math.round(2 * max * scale) / 2))
  }
  return proposed
}

import type { Change, Edit } from './edit.js'
import type { Design } from './schema.js'

const one = (name: string, path: Change['path'], value: unknown): Edit => ({
  name,
  changes: [{ path, value }],
})

/** A setting of the kind or of the workshop. `words` say it as the maker would: “reveal 12.5 mm”. */
export const setField = (words: string, path: readonly string[], value: unknown): Edit =>
  one(words, path, value)

/** A number written over a computed one. */
export const overrideNumber = (label: string, key: string, value: number): Edit =>
  one(`${label}, your own`, ['overrides', key], value)

/** The computed number back in its place. */
export const giveBack = (label: string, keys: readonly string[]): Edit => ({
  name: `give back the computed ${label}`,
  changes: keys.map((key) => ({ path: ['overrides', key], value: undefined })),
})

/** Bands skived to a thickness, mm, or left alone again where undefined. */
export const setSkives = (name: string, skives: Readonly<Record<string, number | undefined>>): Edit => ({
  name,
  changes: Object.entries(skives).map(([key, value]) => ({ path: ['skives', key], value })),
})

/** A run sewn in several lengths of thread; one where undefined. */
export const setLengths = (name: string, joins: readonly string[], count: number | undefined): Edit => ({
  name,
  changes: joins.map((id) => ({ path: ['lengths', id], value: count })),
})

/** A finding the maker knows better than. */
export const overrule = (design: Design, finding: string, reason: string): Edit =>
  one(
    'overrule a finding',
    ['overruled'],
    [...design.overruled.filter((o) => o.finding !== finding), { finding, reason }],
  )

/** A finding taken seriously again. */
export const heed = (design: Design, finding: string): Edit =>
  one(
    'heed a finding again',
    ['overruled'],
    design.overruled.filter((o) => o.finding !== finding),
  )

/** Everything as it is in another state of the same design. */
export function takeDesign(name: string, now: Design, wanted: Design): Edit {
  const keys = Object.keys(wanted).filter(
    (key) => !['format', 'version', 'id'].includes(key),
  ) as (keyof Design)[]
  const changed = keys.filter((key) => JSON.stringify(wanted[key]) !== JSON.stringify(now[key]))
  return { name, changes: changed.map((key) => ({ path: [key], value: wanted[key] })) }
}

export const renameDraft = (draft: string): Edit => one(`call it ${draft}`, ['draft'], draft)

export const rename = (name: string): Edit => one(`name it “${name}”`, ['name'], name)

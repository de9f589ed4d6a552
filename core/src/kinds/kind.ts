import type { ZodType } from 'zod'
import type { Master } from '../master/index.js'
import type { Hardware, HardwareSort, Iron, Leather } from '../stores/index.js'
import type { Reckon } from '../working/index.js'
import type { Field, RawParams, Sentence, Settings } from '../settings/index.js'

/** A part a leather plays in the design, with one line on what suits it. */
export interface Role<P = RawParams> {
  readonly id: string
  readonly label: string
  readonly why: string
  /** Thickness usual for it, mm: what a new design looks for on the shelf. */
  readonly usual: number
  /** Whether a design with these settings uses it; always where left out. */
  readonly when?: (params: P) => boolean
}

/** A part that hardware plays in the design. */
export interface HardwareRole<P = RawParams> {
  readonly id: string
  readonly label: string
  readonly sort: HardwareSort
  /** Size usual for it, mm: what a new design looks for on the shelf. */
  readonly usual: number
  readonly when?: (params: P) => boolean
}

/** What a kind may know of the materials. */
export interface Materials {
  readonly leathers: Readonly<Record<string, Leather>>
  readonly iron: Iron
  /** By the part it plays. */
  readonly hardware: Readonly<Record<string, Hardware>>
  /** What the maker skives named bands to, mm. */
  readonly skives: Readonly<Record<string, number>>
}

/** A sort of thing that can be made. Knows finished sizes and what joins what; nothing of cutting, holes or printing. */
export interface Kind {
  readonly id: string
  readonly name: string
  /** What it is, in a line. */
  readonly about: string
  readonly params: ZodType<RawParams>
  readonly defaults: RawParams
  /** Settings that go with its sizes until the maker writes others: what is proposed for these, by setting. */
  readonly proposes: (params: RawParams) => Readonly<Record<string, number>>
  readonly roles: readonly Role[]
  readonly hardware: readonly HardwareRole[]
  readonly fields: readonly Field[]
  /** What the Brief asks, in order; settings by id. */
  readonly brief: readonly Sentence[]
  /** What is said of each panel, by panel id, with settings in place. */
  readonly sentences: Readonly<Record<string, readonly Sentence[]>>
  readonly master: (params: RawParams, materials: Materials, reckon: Reckon) => Master
}

/** A kind as it is written: everything it says of its settings is of its own. */
export interface KindOf<P extends RawParams> extends Pick<
  Kind,
  'id' | 'name' | 'about' | 'brief' | 'sentences'
> {
  readonly settings: Settings<P>
  readonly roles: readonly Role<P>[]
  readonly hardware?: readonly HardwareRole<P>[]
  readonly master: (params: P, materials: Materials, reckon: Reckon) => Master
}

/** Closes a kind over its own settings; its leathers and hardware are settings too. */
export function defineKind<P extends RawParams>({
  settings,
  roles,
  hardware = [],
  master,
  ...said
}: KindOf<P>): Kind {
  const { read } = settings
  /** The same, asking of a design as it is saved. */
  const asked = <R extends Role<P> | HardwareRole<P>>({ when, ...role }: R) => ({
    ...role,
    ...(when ? { when: (raw: RawParams) => when(read(raw)) } : {}),
  })
  const [leathers, wares] = [roles.map(asked), hardware.map(asked)]
  return {
    ...said,
    params: settings.schema,
    defaults: settings.usual,
    proposes: (raw) => settings.proposed(read(raw)),
    roles: leathers,
    hardware: wares,
    fields: [...leathers.map(leatherField), ...settings.fields, ...wares.map(hardwareField)],
    master: (raw, materials, reckon) => master(read(raw), materials, reckon),
  }
}

const leatherField = ({ id, label, when }: Role): Field => ({
  type: 'leather',
  id: `leather-${id}`,
  label: `leather of the ${label.toLowerCase()}`,
  path: ['leathers', id],
  role: id,
  ...(when ? { when } : {}),
})

const hardwareField = ({ id, label, sort, when }: HardwareRole): Field => ({
  type: 'hardware',
  id: `hardware-${id}`,
  label: label.toLowerCase(),
  path: ['hardware', id],
  role: id,
  sort,
  ...(when ? { when } : {}),
})

/** For each role the leather on the shelf that comes nearest to what is usual. Throws for an empty shelf. */
export function startingLeathers(kind: Kind, shelf: readonly Leather[]): Record<string, Leather> {
  if (shelf.length === 0) throw new RangeError('a new design needs at least one leather')
  const nearest = (usual: number): Leather =>
    shelf.reduce((a, b) => (Math.abs(b.thickness - usual) < Math.abs(a.thickness - usual) ? b : a))
  return Object.fromEntries(kind.roles.map((role) => [role.id, nearest(role.usual)]))
}

/** The leather of a role; throws where the design has none, which its schema rules out. */
export function leatherOf(materials: Materials, role: string): Leather {
  const leather = materials.leathers[role]
  if (!leather) throw new RangeError(`no leather for the role “${role}”`)
  return leather
}

/** The hardware of a part; throws where the design has none, which its schema rules out. */
export function hardwareOf(materials: Materials, role: string): Hardware {
  const ware = materials.hardware[role]
  if (!ware) throw new RangeError(`no hardware for the part “${role}”`)
  return ware
}

/** For each part that hardware plays, what on the shelf comes nearest to what is usual; a part with none on it is left out. */
export const startingHardware = (kind: Kind, shelf: readonly Hardware[]): Record<string, Hardware> =>
  Object.fromEntries(
    kind.hardware.flatMap((role) => {
      const fit = shelf.filter((h) => h.sort === role.sort)
      const [first] = fit
      if (!first) return []
      const off = (h: Hardware): number => Math.abs(h.across - role.usual)
      return [[role.id, fit.reduce((a, b) => (off(b) < off(a) ? b : a), first)]]
    }),
  )

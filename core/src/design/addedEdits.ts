import type { Point } from '../geometry/index.js'
import {
  type Added,
  type AddedSort,
  REACH,
  freshAdded,
  inOrder,
  liesWhole,
  sortOf,
  whereFrom,
} from '../added/index.js'
import { firstOf } from '../lists/index.js'
import type { Panel } from '../master/index.js'
import { roundTo } from '../measure/index.js'
import { type Hardware, type Leather, POSTED, STARTER_STORES } from '../stores/index.js'
import { reckoner } from '../working/index.js'
import type { Change, Edit } from './edit.js'
import type { Design } from './schema.js'

/** What the maker has, for parts that want hardware. */
interface Shelf {
  readonly hardware: readonly Hardware[]
}

/** Along which edge a part is put, and what it keeps off where it can, in the panel's coordinates. */
interface Asked {
  readonly edge?: string | undefined
  readonly taken?: readonly Point[]
}

const numbers = (design: Design): number[] =>
  Object.keys(design.added).map((id) => Number(id.slice(id.lastIndexOf('-') + 1)))

/** The id of the next part: a later one may lie on an earlier one. */
export const nextAddedId = (design: Design): string => `added-${Math.max(0, ...numbers(design)) + 1}`

/** Names are told apart: “Patch”, “Patch 2”. */
function freeName(design: Design, name: string): string {
  const taken = new Set(Object.values(design.added).map((a) => a.name))
  if (!taken.has(name)) return name
  let n = 2
  while (taken.has(`${name} ${n}`)) n += 1
  return `${name} ${n}`
}

const leatherFor = (design: Design, role: string): Leather =>
  design.leathers[role] ?? Object.values(design.leathers)[0] ?? firstOf(STARTER_STORES.leathers)

/** The first of a sort on the shelf, or of common hardware where the shelf has none. */
const hardwareFor = (shelf: Shelf, sort: string): Hardware | undefined =>
  shelf.hardware.find((h) => h.sort === sort) ?? STARTER_STORES.hardware.find((h) => h.sort === sort)

/** The thicker of a panel and what is put on it, mm. */
function thickerOf({ leathers }: Design, panel: Panel, put: readonly Leather[]): number {
  const there = panel.split ?? panel.stock?.thickness ?? leathers[panel.role]?.thickness ?? 0
  return Math.max(there, ...put.map((l) => l.thickness))
}

/** A part put on a panel, along the given edge where one was chosen; with the leather of what it lies on, to begin with. */
export function putOn(
  design: Design,
  sort: AddedSort,
  panel: Panel,
  shelf: Shelf,
  { edge, taken = [] }: Asked = {},
): Edit {
  const id = nextAddedId(design)
  const leathers = sort.leathers.map((own) => [`${id}${own.suffix}`, leatherFor(design, panel.role)] as const)
  const hardware = (sort.hardware ?? []).flatMap((own) => {
    const one = hardwareFor(shelf, own.sort)
    return one ? [[`${id}${own.suffix}`, one] as const] : []
  })
  const materials = {
    leathers: { ...design.leathers, ...Object.fromEntries(leathers) },
    hardware: Object.fromEntries(hardware),
  }
  const reckon = reckoner(design.overrides)
  const fits = (part: Added): boolean => liesWhole(panel, [id, part], materials, reckon)
  const fresh = freshAdded(sort, panel, {
    edge,
    taken,
    iron: design.iron,
    thickness: thickerOf(
      design,
      panel,
      leathers.map(([, leather]) => leather),
    ),
    hardware: Math.max(
      0,
      ...hardware.flatMap(([, h]) => (POSTED.includes(h.sort) ? [h.across, h.high] : [])),
    ),
    fits,
  })
  const part: Added = { ...fresh, name: freeName(design, fresh.name) }
  return {
    name: `${sort.name} on the ${panel.name.toLowerCase()}`,
    changes: [
      ...leathers.map(([role, value]): Change => ({ path: ['leathers', role], value })),
      ...hardware.map(([role, value]): Change => ({ path: ['hardware', role], value })),
      { path: ['added', id], value: part },
    ],
  }
}

/** How a part is laid elsewhere. */
interface Laying {
  /** 1 where the second of two that mirror each other is. */
  readonly which: 0 | 1
  /** Measures of its place are whole steps, mm. */
  readonly step: number
  /** Nearer than this to the middle of its edge it is in the middle, mm. */
  readonly middle: number
}

/** A part laid so that it is at a place of its panel, as that is said from its edge; the panel has the edge. */
export function layPart(
  { added }: Design,
  id: string,
  panel: Panel,
  place: Point,
  { which, step, middle }: Laying,
): Edit {
  const part = added[id]
  if (!part) throw new Error(`there is no part “${id}”`)
  const there = whereFrom(panel, part.edge, place)
  const held = (value: number, [min, max]: readonly [number, number]): number =>
    roundTo(Math.min(max, Math.max(min, Math.round(value / step) * step)), 4)
  const aside =
    Math.abs(there.aside) < middle ? 0 : held(which === 1 ? -there.aside : there.aside, REACH.aside)
  return {
    name: `lay the ${part.name.toLowerCase()} elsewhere`,
    changes: [
      ...(sortOf(part.sort).takes === 'rim'
        ? []
        : [{ path: ['added', id, 'inward'], value: held(there.inward, REACH.inward) }]),
      { path: ['added', id, 'aside'], value: aside },
    ],
  }
}

/** A part taken away, with its leathers and hardware and with what lies on it. */
export function takeOff(design: Design, id: string): Edit {
  const gone = new Set([id])
  // What was put on one of its pieces goes with it.
  for (const [other, part] of inOrder(design.added))
    if ([...gone].some((g) => part.on === g || part.on.startsWith(`${g}-`))) gone.add(other)
  const parts = [...gone].flatMap((one) => {
    const part = design.added[one]
    return part ? [[one, part] as const] : []
  })
  return {
    name: `take the ${(design.added[id]?.name ?? 'part').toLowerCase()} away`,
    changes: parts.toReversed().flatMap(([one, part]): Change[] => [
      { path: ['added', one], value: undefined },
      ...sortOf(part.sort).leathers.map((own) => ({
        path: ['leathers', `${one}${own.suffix}`],
        value: undefined,
      })),
      ...(sortOf(part.sort).hardware ?? []).map((own) => ({
        path: ['hardware', `${one}${own.suffix}`],
        value: undefined,
      })),
    ]),
  }
}

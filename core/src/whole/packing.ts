import { nth, required } from '../lists/index.js'
import type { Thing } from '../stores/index.js'
import { type Dividers, UNDIVIDED, compartmentsOf, depthOf, sharedOut } from './compartments.js'

/** A thing in its place: its left lower front corner from that of the room, and how it stands there, mm. */
export interface Packed {
  readonly thing: Thing
  readonly x: number
  readonly y: number
  readonly z: number
  readonly wide: number
  readonly high: number
  readonly deep: number
}

export interface Box3 {
  readonly wide: number
  readonly high: number
  readonly deep: number
}

/** So many different things are tried in every order of compartments; more are put one behind the other. */
const MOST = 7

export interface Carried {
  readonly thing: Thing
  readonly count: number
}

/**
 * Several of one thing are carried as one bundle, as thick as all of them together; in a parted room each by itself, so
 * that they may be shared out, as long as they are few.
 */
const bundles = (contents: readonly Carried[], { count: walls }: Dividers): Thing[] => {
  const all = contents.reduce((sum, c) => sum + c.count, 0)
  if (walls > 0 && all <= MOST)
    return contents.flatMap(({ thing, count }) => Array.from({ length: count }, () => thing))
  return contents.map(({ thing, count }) =>
    count === 1
      ? thing
      : { ...thing, name: `${count} × ${thing.name}`, deep: thing.deep * count, grams: thing.grams * count },
  )
}

/** The ways a thing may stand: as it is, or on its side. */
const standings = (thing: Thing): Box3[] => {
  const { wide, high, deep } = thing
  const as = { wide, high, deep }
  return thing.upright || Math.abs(wide - high) < 1e-9 ? [as] : [as, { wide: high, high: wide, deep }]
}

/** Every way to part things into rows that stand one behind the other. */
function* partings(things: readonly Thing[]): Generator<Thing[][]> {
  const [first, ...rest] = things
  if (!first) return yield []
  for (const rows of partings(rest)) {
    yield [[first], ...rows]
    for (let i = 0; i < rows.length; i += 1) yield rows.map((row, k) => (k === i ? [first, ...row] : row))
  }
}

interface Row {
  readonly items: readonly { readonly thing: Thing; readonly as: Box3 }[]
  readonly box: Box3
}

/** Ways a row of things side by side may stand, none worse than another in every direction. */
function rowsOf(things: readonly Thing[]): Row[] {
  const ways = things.reduce<Row[]>(
    (rows, thing) =>
      rows.flatMap(({ items, box }) =>
        standings(thing).map((as) => ({
          items: [...items, { thing, as }],
          box: {
            wide: box.wide + as.wide,
            high: Math.max(box.high, as.high),
            deep: Math.max(box.deep, as.deep),
          },
        })),
      ),
    [{ items: [], box: { wide: 0, high: 0, deep: 0 } }],
  )
  return ways.filter(
    (a, i) =>
      !ways.some(
        (b, k) =>
          k !== i &&
          b.box.wide <= a.box.wide &&
          b.box.high <= a.box.high &&
          (b.box.wide < a.box.wide || b.box.high < a.box.high || k < i),
      ),
  )
}

/** A whole packing: its rows, and what they need without room round them. */
interface Way {
  readonly rows: readonly Row[]
  readonly box: Box3
}

/** What a packing is made for: walls in the room, and what is kept free, mm. */
interface Ask {
  readonly ease: number
  readonly dividers: Dividers
}

const shareOf = (rows: readonly Row[], { count }: Dividers) =>
  sharedOut(
    rows.map((r) => r.box.deep),
    count + 1,
  )

/** Whole packings of rows: of every combination of their ways. */
function* packings(
  rows: readonly (readonly Row[])[],
  ask: Ask,
  at = 0,
  so: readonly Row[] = [],
): Generator<Way> {
  if (at === rows.length) {
    const box = {
      wide: so.reduce((max, { box: b }) => Math.max(max, b.wide), 0),
      high: so.reduce((max, { box: b }) => Math.max(max, b.high), 0),
      deep: depthOf(shareOf(so, ask.dividers).max, ask.dividers, ask.ease),
    }
    return yield { rows: so, box }
  }
  for (const way of nth(rows, at)) yield* packings(rows, ask, at + 1, [...so, way])
}

/**
 * Many things, each a row of its own: lying or standing changes only how wide and how high they are, so that for every
 * height none is to be over, the slimmest standings make the best packing.
 */
function* lowOrSlim(things: readonly Thing[], ask: Ask): Generator<Way> {
  const ways = things.map((thing) => rowsOf([thing]))
  const heights = new Set(ways.flat().map(({ box }) => box.high))
  for (const max of heights) {
    const rows = ways.flatMap((all) => {
      const low = all.filter(({ box }) => box.high <= max)
      return low.length > 0 ? [low.reduce((a, b) => (b.box.wide < a.box.wide ? b : a))] : []
    })
    if (rows.length === ways.length)
      yield* packings(
        rows.map((row) => [row]),
        ask,
      )
  }
}

function* allPackings(things: readonly Thing[], ask: Ask) {
  if (things.length > MOST) return yield* lowOrSlim(things, ask)
  for (const parts of partings(things)) yield* packings(parts.map(rowsOf), ask)
}

const volume = ({ wide, high, deep }: Box3): number => wide * high * deep

const weightOf = (rows: readonly Row[]): number =>
  rows.reduce((sum, row) => sum + row.items.reduce((all, i) => all + i.thing.grams, 0), 0)

/** Things put where they stand, the heaviest compartment and row nearest the back, mm; the room’s play is shared all round. */
function placed({ rows }: Way, room: Box3, dividers: Dividers): Packed[] {
  const { into } = shareOf(rows, dividers)
  const groups = compartmentsOf(room.deep, dividers)
    .map((_, k) => rows.filter((_row, i) => into[i] === k))
    .toSorted((a, b) => weightOf(b) - weightOf(a))
  return compartmentsOf(room.deep, dividers).flatMap(({ from, deep }, k) => {
    const back = nth(groups, k).toSorted((a, b) => weightOf([b]) - weightOf([a]))
    const taken = back.reduce((sum, row) => sum + row.box.deep, 0)
    const gap = Math.max(0, (deep - taken) / (back.length + 1))
    let z = from + gap
    return back.flatMap((row) => {
      let x = Math.max(0, (room.wide - row.box.wide) / 2)
      const out = row.items.map(({ thing, as }): Packed => {
        const one = { thing, x, y: 0, z, ...as }
        x += as.wide
        return one
      })
      z += row.box.deep + gap
      return out
    })
  })
}

export interface Packing {
  readonly packed: readonly Packed[]
  /** What the things need with room round them, mm. */
  readonly needs: Box3
  readonly fits: boolean
  /** Where walls stand in the room: from where on, from the back, and how thick, mm. */
  readonly walls: readonly { readonly z: number; readonly deep: number }[]
}

/**
 * Things packed into a room: rows one behind the other, things side by side in a row, upright or on their sides.
 * `ease` mm are kept free in width, over the top, and in the depth of each compartment. Where nothing fits, what comes nearest.
 */
export function packInto(
  contents: readonly Carried[],
  room: Box3,
  ease: number,
  dividers: Dividers = UNDIVIDED,
): Packing {
  const things = bundles(contents, dividers)
  const walls = compartmentsOf(room.deep, dividers)
    .slice(1)
    .map(({ from }) => ({ z: from - dividers.thickness, deep: dividers.thickness }))
  if (things.length === 0) return { packed: [], needs: { wide: 0, high: 0, deep: 0 }, fits: true, walls }
  let best: (Way & { over: number }) | undefined
  for (const way of allPackings(things, { ease, dividers })) {
    const { box } = way
    const over =
      Math.max(0, box.wide + ease - room.wide) +
      Math.max(0, box.high + ease - room.high) +
      Math.max(0, box.deep + ease - room.deep)
    if (!best || over < best.over - 1e-9 || (over < best.over + 1e-9 && volume(box) < volume(best.box)))
      best = { ...way, over }
  }
  const found = required(best, 'way to pack')
  const { box } = found
  return {
    packed: placed(found, room, dividers),
    needs: { wide: box.wide + ease, high: box.high + ease, deep: box.deep + ease },
    fits: found.over < 0.05,
    walls,
  }
}

/** The smallest room by volume that takes the things with `ease` mm all round, no side longer than its most. */
export function smallestRoom(
  contents: readonly Carried[],
  ease: number,
  max: Box3,
  dividers: Dividers = UNDIVIDED,
): Box3 | undefined {
  let best: Box3 | undefined
  for (const { box } of allPackings(bundles(contents, dividers), { ease, dividers })) {
    const need = { wide: box.wide + ease, high: box.high + ease, deep: box.deep + ease }
    if (need.wide > max.wide || need.high > max.high || need.deep > max.deep) continue
    if (!best || volume(need) < volume(best) - 1e-6) best = need
  }
  return best
}

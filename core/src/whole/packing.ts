import type { Thing } from '../stores/index.js'

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

/** Several of one thing are carried as one bundle, as thick as all of them together. */
const bundles = (contents: readonly Carried[]): Thing[] =>
  contents.map(({ thing, count }) =>
    count === 1
      ? thing
      : { ...thing, name: `${count} × ${thing.name}`, deep: thing.deep * count, grams: thing.grams * count },
  )

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
function rowsOf(things: readonly Thing[], room: number): Row[] {
  const ways = things.reduce<Row[]>(
    (rows, thing) =>
      rows.flatMap(({ items, box }) =>
        standings(thing).map((as) => ({
          items: [...items, { thing, as }],
          box: {
            wide: box.wide + (items.length > 0 ? room : 0) + as.wide,
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

/** Whole packings of rows: of every combination of their ways. */
function* packings(
  rows: readonly (readonly Row[])[],
  room: number,
  at = 0,
  so: readonly Row[] = [],
): Generator<{ rows: readonly Row[]; box: Box3 }> {
  if (at === rows.length) {
    const box = so.reduce<Box3>(
      (all, { box: b }, i) => ({
        wide: Math.max(all.wide, b.wide),
        high: Math.max(all.high, b.high),
        deep: all.deep + (i > 0 ? room : 0) + b.deep,
      }),
      { wide: 0, high: 0, deep: 0 },
    )
    return yield { rows: so, box }
  }
  for (const way of rows[at]!) yield* packings(rows, room, at + 1, [...so, way])
}

function* allPackings(things: readonly Thing[], room: number) {
  const ways = things.length > MOST ? [things.map((t) => [t])] : partings(things)
  for (const parts of ways)
    yield* packings(
      parts.map((row) => rowsOf(row, room)),
      room,
    )
}

const volume = ({ wide, high, deep }: Box3): number => wide * high * deep

/** Things put where they stand, the heaviest row nearest the back, mm; the room’s play is shared all round. */
function placed({ rows, box }: { rows: readonly Row[]; box: Box3 }, room: Box3): Packed[] {
  const weight = (row: Row): number => row.items.reduce((sum, i) => sum + i.thing.grams, 0)
  const back = rows.toSorted((a, b) => weight(b) - weight(a))
  const gap = Math.max(0, (room.deep - box.deep) / Math.max(1, rows.length + 1))
  let z = gap
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
}

export interface Packing {
  readonly packed: readonly Packed[]
  /** What the things need with room round them, mm. */
  readonly needs: Box3
  readonly fits: boolean
}

/**
 * Things packed into a room: rows one behind the other, things side by side in a row, upright or on their sides.
 * `ease` mm are kept free in width and depth, and over the top; and between things. Where nothing fits, what comes nearest.
 */
export function packInto(contents: readonly Carried[], room: Box3, ease: number): Packing {
  const things = bundles(contents)
  if (things.length === 0) return { packed: [], needs: { wide: 0, high: 0, deep: 0 }, fits: true }
  let best: { rows: readonly Row[]; box: Box3; over: number } | undefined
  for (const way of allPackings(things, 0)) {
    const { box } = way
    const over =
      Math.max(0, box.wide + ease - room.wide) +
      Math.max(0, box.high + ease - room.high) +
      Math.max(0, box.deep + ease - room.deep)
    if (!best || over < best.over - 1e-9 || (over < best.over + 1e-9 && volume(box) < volume(best.box)))
      best = { ...way, over }
  }
  const { box } = best!
  return {
    packed: placed(best!, room),
    needs: { wide: box.wide + ease, high: box.high + ease, deep: box.deep + ease },
    fits: best!.over < 0.05,
  }
}

/** The smallest room by volume that takes the things with `ease` mm all round, no side longer than its most. */
export function smallestRoom(contents: readonly Carried[], ease: number, most: Box3): Box3 | undefined {
  let best: Box3 | undefined
  for (const { box } of allPackings(bundles(contents), 0)) {
    const need = { wide: box.wide + ease, high: box.high + ease, deep: box.deep + ease }
    if (need.wide > most.wide || need.high > most.high || need.deep > most.deep) continue
    if (!best || volume(need) < volume(best) - 1e-6) best = need
  }
  return best
}

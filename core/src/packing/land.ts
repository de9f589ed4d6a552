import { intAt, floatAt, nth } from '../lists/index.js'
import { Board, type Shape } from './board.js'
import { type Ground, type Layout, Table, copyOf } from './layout.js'
import { type Worth, freePlace } from './place.js'
import { type Random, randomFrom } from './random.js'
import { type Effort, placeFor } from './search.js'
import { type Patience, separate } from './separate.js'
import { disturbed, shorten } from './shorten.js'

/** Things to be laid on ground that is no plain strip. Lengths mm. */
export interface LandAsked {
  readonly length: number
  readonly width: number
  readonly gap: number
  readonly shapes: readonly Shape[]
  /** The shape of each thing, as a place in the list of shapes; those that are to be laid first come first. */
  readonly things: readonly number[]
  readonly ground: Ground
  /** Where each thing lies to begin with: those that are held, and others that lie well; the rest are laid. */
  readonly lying: readonly (LyingThing | undefined)[]
  /** Things that stay where they were laid first, as long as everything else finds its place round them. */
  readonly firm: readonly boolean[]
  /** What a place is worth to each thing: the least is taken. */
  readonly worth: readonly Worth[]
  readonly seed: number
}

/** Where a thing lies: turned by so much, radians, then moved. */
export interface LyingThing {
  readonly turn: number
  readonly x: number
  readonly y: number
}

/** A layout without overlaps but for what is held: where each thing lies, none where it found no place. */
export interface LandLaid {
  readonly lying: readonly (LyingThing | undefined)[]
  /** How far along the strip they reach, mm. */
  readonly length: number
}

/** How hard a place is sought for what found none at once. */
const SQUEEZED: Effort = { anywhere: 120, near: 0, touching: 120, bettered: 4 }
const PATIENT: Patience = { rounds: 40, strikes: 1 }
/** Every so many things laid are told: hundreds take a while. */
const TOLD = 25
/** Places nearer than this are one turn, radians. */
const SAME_TURN = 1e-6

/**
 * Lays things: first one after the other, then what found no place by moving others, then all of it on less of the strip, and at
 * last closer together. `share` is asked once a round of work, so that an answer that counts them gives the same layout on every machine.
 */
export function packLand(
  asked: LandAsked,
  share: () => number,
  better: (laid: LandLaid) => void = () => undefined,
): LandLaid {
  const table = tableOf(asked)
  const told = (): LandLaid => ({ lying: lyingOn(table), length: table.used() })
  let best = told()
  const tell = (): void => {
    best = told()
    better(best)
  }
  asked.things.forEach((_, i) => {
    if (waits(table, i)) put(table, i, nth(asked.worth, i))
    if (i % TOLD === TOLD - 1) tell()
  })
  tell()
  asked.firm.forEach(
    (firm, i) => (table.stays[i] = firm && !asked.things.some((_, k) => waits(table, k)) ? 1 : 0),
  )
  const random = randomFrom(asked.seed)
  squeezed(table, random, () => share() * 2, tell)
  if (asked.things.some((_, i) => waits(table, i))) squeezed(table, random, share, tell)
  shorten({ table, random, share, better: tell })
  settle(table, asked.worth)
  tell()
  return best
}

const same = (a: number, b: number): boolean => Math.abs(Math.sin((a - b) / 2)) < SAME_TURN

function tableOf({ shapes, things, ground, lying, gap, length, width }: LandAsked): Table {
  const board = new Board(shapes, gap)
  const layout: Layout = {
    turn: new Int32Array(things.length),
    x: new Float64Array(things.length),
    y: new Float64Array(things.length),
  }
  const table = new Table(board, Int32Array.from(things), layout, length, width, ground)
  things.forEach((_, i) => {
    const at = lying[i]
    const turn = at ? board.angles.findIndex((a) => same(a, at.turn)) : -1
    if (at && turn >= 0) table.lay(i, turn, at.x, at.y)
    else table.putAside(i)
  })
  return table
}

const lyingOn = (table: Table): (LyingThing | undefined)[] =>
  Array.from({ length: table.count }, (_, i) =>
    table.isLaid(i)
      ? {
          turn: nth(table.board.angles, intAt(table.layout.turn, i)),
          x: floatAt(table.layout.x, i),
          y: floatAt(table.layout.y, i),
        }
      : undefined,
  )

function put(table: Table, i: number, worth: Worth): void {
  const place = freePlace(table, i, worth)
  if (place) table.lay(i, place.turn, place.x, place.y)
}

/** How often everything is gone through to lie better: hundreds take a while each time. */
const SETTLES = { most: 4, things: 300 } as const

/** Moves things, the first of the list first, to free places worth less, so that what is left stays together. */
function settle(table: Table, worth: readonly Worth[]): void {
  const { board, shape, layout } = table
  table.length = table.used()
  const most = Math.max(1, Math.min(SETTLES.most, Math.floor(SETTLES.things / table.count)))
  for (let go = 0; go < most; go += 1) {
    let moved = false
    for (let i = 0; i < table.count; i += 1) {
      if (!table.moves(i)) continue
      const at = (turn: number, x: number, y: number): number => {
        const box = board.boxes.subarray(4 * (intAt(shape, i) * board.angles.length + turn))
        return nth(worth, i)(
          x + floatAt(box, 0),
          y + floatAt(box, 1),
          x + floatAt(box, 2),
          y + floatAt(box, 3),
        )
      }
      const place = freePlace(table, i, nth(worth, i))
      if (
        !place ||
        at(place.turn, place.x, place.y) >
          at(intAt(layout.turn, i), floatAt(layout.x, i), floatAt(layout.y, i)) - 0.5
      )
        continue
      table.lay(i, place.turn, place.x, place.y)
      moved = true
    }
    if (!moved) return
  }
}

/** Whether a thing is to be laid and is not yet. */
const waits = (table: Table, i: number): boolean => !table.isLaid(i) && !table.ground.held[i]

/** The turn at which a thing is no larger than the strip, where there is one. */
const fittingTurn = (table: Table, i: number): number | undefined =>
  [...nth(table.board.turnsOf, intAt(table.shape, i))].find((turn) => {
    const room = table.room(i, turn)
    return room.right >= room.left && room.bottom >= room.top
  })

/** Tries to find room for what has none by moving others out of its way, until there is nothing left or no more to spend. */
function squeezed(table: Table, random: Random, share: () => number, tell: () => void): void {
  const left = Array.from({ length: table.count }, (_, i) => i).filter(
    (i) => waits(table, i) && fittingTurn(table, i) !== undefined,
  )
  for (let tries = 0; share() < 1; tries += 1) {
    const waiting = left.filter((k) => !table.isLaid(k))
    const i = waiting[tries % Math.max(1, waiting.length)]
    if (i === undefined) return
    const before = copyOf(table.layout)
    if (tries >= waiting.length) disturbed(table, random)
    const turn = fittingTurn(table, i)!
    const room = table.room(i, turn)
    table.lay(i, turn, room.left + random() * (room.right - room.left), room.top)
    const spot = placeFor(table, i, SQUEEZED, random)
    table.lay(i, spot.turn, spot.x, spot.y)
    if (separate(table, SQUEEZED_MOVES, PATIENT, random, () => share() < 1).apart) tell()
    else table.take(before)
  }
}

const SQUEEZED_MOVES: Effort = { anywhere: 24, near: 12, touching: 24, bettered: 2 }

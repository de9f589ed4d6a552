import { type Design, type Edit, applyEdit } from '../design/index.js'
import { type Derived, derive } from '../derive.js'
import { FINEST, type Freedom, changesFor, movedTo } from './freedoms.js'
import { type Model, alike, flattened, predicted } from './model.js'
import {
  type Limits,
  type Miss,
  WISHES,
  type Wish,
  lengthsOf,
  missed,
  missesOf,
  trueMisses,
} from './wishes.js'

/** What may move, and by how much either way, mm. */
export interface Allowed {
  readonly freedom: Freedom
  readonly by: number
}

export interface FitAsked extends Limits {
  readonly allowed: readonly Allowed[]
}

/** One thing moved. */
export interface Moved {
  readonly freedom: Freedom
  readonly to: number
}

/** What fitting to the iron came to. */
export interface Fitted {
  readonly moved: readonly Moved[]
  /** Does all of it; undefined where nothing has to be moved. */
  readonly edit: Edit | undefined
  /** What is still missed after it. */
  readonly left: readonly Miss[]
  /** Where not everything can be had: which wish, given up, would let the others be kept. */
  readonly clash: readonly { readonly wish: Wish; readonly helps: boolean }[]
  /** The smallest play, as a share, with which all could be had; undefined where no play up to a tenth helps. */
  readonly playNeeded: number | undefined
  /** Designs that were really laid out to make sure. */
  readonly tried: number
}

/** Moves are tried in so many steps either way. */
const STEPS = 10
/** No more than so many things are moved at once: a maker wants few changes. */
const AT_ONCE = 3
/** Candidates that are really laid out, and rounds of measuring anew where they surprised. */
const [LOOKED_AT, ROUNDS] = [14, 3]
/** A thing is moved by this much to see what it does, mm. */
const NUDGE = 0.1

/** A design tried out, with how far its holes miss what is asked. */
class Bench {
  tried = 0
  private readonly known = new Map<string, Derived | undefined>()
  constructor(
    private readonly design: Design,
    readonly allowed: readonly Allowed[],
    private readonly progress: (tried: number) => void,
  ) {}

  get freedoms(): readonly Freedom[] {
    return this.allowed.map((a) => a.freedom)
  }

  /** The design with things moved, laid out; undefined where it won't have it. */
  at(moves: readonly number[]): Derived | undefined {
    const key = moves.map((m) => m.toFixed(4)).join()
    if (this.known.has(key)) return this.known.get(key)
    this.tried += 1
    this.progress(this.tried)
    const edited = applyEdit(this.design, { name: 'fit', changes: changesFor(this.freedoms, moves) })
    const derived = edited.ok ? drawn(edited.design) : undefined
    this.known.set(key, derived)
    return derived
  }

  /** How the lengths answer to each thing, measured around a place. */
  modelAt(moves: readonly number[]): Model | undefined {
    const here = this.at(moves)
    if (!here) return undefined
    const base = lengthsOf(here)
    const flat = flattened(base)
    const slopes = moves.map((_, j) => {
      for (const by of [NUDGE, -NUDGE]) {
        const nudged = this.at(moves.map((m, i) => (i === j ? m + by : m)))
        const lengths = nudged && lengthsOf(nudged)
        if (lengths && alike(lengths, base)) return flattened(lengths).map((l, i) => (l - flat[i]!) / by)
      }
      return flat.map(() => 0)
    })
    return { base, at: moves, slopes }
  }
}

/** Some numbers leave nothing to draw; those are no candidates. */
function drawn(design: Design): Derived | undefined {
  try {
    return derive(design)
  } catch {
    return undefined
  }
}

/** What moving costs: how much of what is allowed is used, and a little for each thing touched. */
const costOf = (moves: readonly number[], allowed: readonly Allowed[]): number =>
  moves.reduce((sum, m, i) => sum + (m === 0 ? 0 : 0.05 + Math.abs(m) / allowed[i]!.by), 0)

/** Every way to move up to three of the things, each in steps. */
function* candidates(allowed: readonly Allowed[]): Generator<number[]> {
  const stepsOf = ({ by, freedom }: Allowed): number[] =>
    Array.from({ length: 2 * STEPS }, (_, i) => ((i < STEPS ? i - STEPS : i - STEPS + 1) * by) / STEPS).map(
      (m) => movedTo(freedom, Math.round(m / FINEST) * FINEST) - freedom.now,
    )
  const none = allowed.map(() => 0)
  yield none
  const most = allowed.length <= 4 ? AT_ONCE : AT_ONCE - 1
  function* from(first: number, moves: number[], left: number): Generator<number[]> {
    for (let j = first; j < allowed.length; j += 1)
      for (const step of stepsOf(allowed[j]!)) {
        if (step === 0) continue
        const next = moves.map((m, i) => (i === j ? step : m))
        yield next
        if (left > 1) yield* from(j + 1, next, left - 1)
      }
  }
  yield* from(0, none, most)
}

const keep = (misses: readonly Miss[], wishes: readonly Wish[]): Miss[] =>
  misses.filter((m) => wishes.includes(m.wish))

interface Best {
  readonly moves: readonly number[]
  readonly left: number
  readonly cost: number
}

const better = (a: Best, b: Best): boolean =>
  a.left < b.left - 1e-9 || (a.left < b.left + 1e-9 && a.cost < b.cost)

/** By the model, the moves that miss least, cheapest first among equals. */
function promising(model: Model, bench: Bench, limits: Limits, wishes: readonly Wish[]): Best[] {
  const best: Best[] = []
  for (const moves of candidates(bench.allowed)) {
    const cost = costOf(moves, bench.allowed)
    const worst = best[LOOKED_AT - 1]
    if (worst && worst.left < 1e-9 && cost >= worst.cost) continue
    const one = { moves, left: missed(keep(missesOf(predicted(model, moves), limits), wishes)), cost }
    if (worst && !better(one, worst)) continue
    const place = best.findIndex((b) => better(one, b))
    best.splice(place < 0 ? best.length : place, 0, one)
    if (best.length > LOOKED_AT) best.pop()
  }
  return best
}

/** The cheapest moves that really hold, or those that really miss least. */
function solved(bench: Bench, limits: Limits, wishes: readonly Wish[]): Best {
  const none = bench.allowed.map(() => 0)
  const truly = (moves: readonly number[]): Best => {
    const derived = bench.at(moves)
    const left = derived ? missed(keep(trueMisses(derived, limits), wishes)) : Infinity
    return { moves, left, cost: costOf(moves, bench.allowed) }
  }
  let best = truly(none)
  for (let round = 0; round < ROUNDS && best.left > 1e-9; round += 1) {
    const model = bench.modelAt(best.moves)
    if (!model) break
    const before = best
    for (const { moves } of promising(model, bench, limits, wishes)) {
      const one = truly(moves)
      if (better(one, best)) best = one
    }
    if (best === before) break
  }
  return best.left > 1e-9 ? best : drawnBack(best, truly)
}

/** The same with every move as small as still holds, in steps of the finest. */
function drawnBack(found: Best, truly: (moves: readonly number[]) => Best): Best {
  let best = found
  found.moves.forEach((move, j) => {
    let [low, high] = [0, Math.round(Math.abs(move) / FINEST)]
    const at = (steps: number): Best =>
      truly(best.moves.map((m, i) => (i === j ? Math.sign(move) * steps * FINEST : m)))
    if (high > 0 && at(0).left <= 1e-9) high = 0
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2)
      if (at(middle).left <= 1e-9) high = middle
      else low = middle
    }
    const smaller = at(high)
    if (smaller.left <= 1e-9 && smaller.cost < best.cost) best = smaller
  })
  return best
}

const PLAYS = [0.01, 0.015, 0.02, 0.025, 0.03, 0.04, 0.05, 0.06, 0.08, 0.1] as const

/**
 * The smallest changes, of what may move, with which every side takes whole stitches near the iron's own pitch, edges
 * that meet have as many holes, and none lies near a step; or what comes nearest, and which wishes stand against each
 * other. `progress` hears how many layouts were tried.
 */
export function fitToIron(
  design: Design,
  asked: FitAsked,
  progress: (tried: number) => void = () => {},
): Fitted {
  const allowed = asked.allowed.filter((a) => a.by >= FINEST)
  const bench = new Bench(design, allowed, progress)
  const best = solved(bench, asked, WISHES)
  const moved = allowed.flatMap(({ freedom }, i): Moved[] =>
    best.moves[i] === 0 ? [] : [{ freedom, to: movedTo(freedom, best.moves[i]!) }],
  )
  const after = bench.at(best.moves)
  const left = after ? trueMisses(after, asked) : []
  const changes = changesFor(bench.freedoms, best.moves)
  const failed = best.left > 1e-9
  const clash = failed
    ? WISHES.map((wish) => ({
        wish,
        helps:
          solved(
            bench,
            asked,
            WISHES.filter((w) => w !== wish),
          ).left <= 1e-9,
      }))
    : []
  return {
    moved,
    edit: changes.length > 0 ? { name: 'fit to the iron', changes } : undefined,
    left,
    clash,
    playNeeded: failed
      ? PLAYS.find((play) => play > asked.play && solved(bench, { ...asked, play }, WISHES).left <= 1e-9)
      : undefined,
    tried: bench.tried,
  }
}

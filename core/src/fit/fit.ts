import { type Design, type Edit, applyEdit } from '../design/index.js'
import { firstOf, nth, floatAt } from '../lists/index.js'
import { type Derived, derive } from '../derived/index.js'
import { FINEST, type Freedom, changesFor, movedTo } from './freedoms.js'
import { type Missed, type Model, alike, flattened, missedBy, predict, reduced } from './model.js'
import { type Limits, type Miss, WISHES, type Wish, lengthsOf, missedOf, trueMisses } from './wishes.js'

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
    const slopes = moves.map((_, j): Float64Array => {
      for (const by of [NUDGE, -NUDGE]) {
        const nudged = this.at(moves.map((m, i) => (i === j ? m + by : m)))
        const lengths = nudged && lengthsOf(nudged)
        if (lengths && alike(lengths, base))
          return flattened(lengths).map((l, i) => (l - floatAt(flat, i)) / by)
      }
      return new Float64Array(flat.length)
    })
    return { runs: base, base: flat, at: moves, slopes }
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
  moves.reduce((sum, m, i) => sum + (m === 0 ? 0 : 0.05 + Math.abs(m) / nth(allowed, i).by), 0)

const stepsOf = ({ by, freedom }: Allowed): number[] =>
  Array.from({ length: 2 * STEPS + 1 }, (_, i) => ((i - STEPS) * by) / STEPS)
    .map((m) => movedTo(freedom, Math.round(m / FINEST) * FINEST) - freedom.now)
    .filter((m) => Math.abs(m) > 1e-9)

/**
 * Shows `see` every way to move up to three of the things, each in steps. The moves shown are written over by the next
 * ones: whoever keeps them makes a copy.
 */
function eachCandidate(allowed: readonly Allowed[], see: (moves: readonly number[]) => void): void {
  const steps = allowed.map(stepsOf)
  const moves = allowed.map(() => 0)
  const max = allowed.length <= 4 ? AT_ONCE : AT_ONCE - 1
  const from = (first: number, left: number): void => {
    for (let j = first; j < moves.length; j += 1) {
      for (const step of nth(steps, j)) {
        moves[j] = step
        see(moves)
        if (left > 1) from(j + 1, left - 1)
      }
      moves[j] = 0
    }
  }
  see(moves)
  from(0, max)
}

/** Wishes that are kept: all of them, or all but one. */
const KEPT: readonly (readonly Wish[])[] = [WISHES, ...WISHES.map((w) => WISHES.filter((o) => o !== w))]

interface Best {
  readonly moves: readonly number[]
  readonly left: number
  readonly cost: number
}

const better = (a: Best, b: Best): boolean =>
  a.left < b.left - 1e-9 || (a.left < b.left + 1e-9 && a.cost < b.cost)

/** Of what is offered the few that miss least, cheapest first among equals. */
class Few {
  readonly best: Best[] = []
  offer(moves: readonly number[], left: number, cost: number): void {
    const worst = this.best[LOOKED_AT - 1]
    if (worst && (left > worst.left + 1e-9 || (left > worst.left - 1e-9 && cost >= worst.cost))) return
    const one = { moves: [...moves], left, cost }
    const place = this.best.findIndex((b) => better(one, b))
    this.best.splice(place < 0 ? this.best.length : place, 0, one)
    if (this.best.length > LOOKED_AT) this.best.pop()
  }
}

const NOTHING_MISSED: Missed = { pitch: 0, steps: 0, counts: 0, off: 0 }

/** What the model promises: for every set of wishes its best moves, and how near the pitches could be brought. */
interface Promised {
  readonly few: readonly Few[]
  readonly off: number
}

function promised(model: Model, bench: Bench, limits: Limits): Promised {
  const few = KEPT.map(() => new Few())
  const { moving, still } = reduced(model)
  const [missed, always] = [{ ...NOTHING_MISSED }, { ...NOTHING_MISSED }]
  missedBy(still.runs, still.base, limits, always)
  const lengths = new Float64Array(moving.base.length)
  let off = Infinity
  eachCandidate(bench.allowed, (moves) => {
    predict(moving, moves, lengths)
    missedBy(moving.runs, lengths, limits, missed)
    if (missed.steps + missed.counts + always.steps + always.counts < 1e-9)
      off = Math.min(off, Math.max(always.off, missed.off))
    const cost = costOf(moves, bench.allowed)
    KEPT.forEach((wishes, k) => {
      let left = 0
      for (const wish of wishes) left += missed[wish] + always[wish]
      nth(few, k).offer(moves, left, cost)
    })
  })
  return { few, off }
}

/** For every set of wishes the cheapest moves that really hold, or those that really miss least. */
function solved(bench: Bench, limits: Limits): { best: readonly Best[]; off: number } {
  const truly = (moves: readonly number[], wishes: readonly Wish[]): Best => {
    const derived = bench.at(moves)
    const left = derived ? missedOf(trueMisses(derived, limits), wishes) : Infinity
    return { moves, left, cost: costOf(moves, bench.allowed) }
  }
  const none = bench.allowed.map(() => 0)
  const best = KEPT.map((wishes) => truly(none, wishes))
  let off = Infinity
  for (let round = 0; round < ROUNDS && nth(best, 0).left > 1e-9; round += 1) {
    const from = nth(best, 0)
    const model = bench.modelAt(from.moves)
    if (!model) break
    const found = promised(model, bench, limits)
    off = Math.min(off, found.off)
    KEPT.forEach((wishes, k) => {
      for (const { moves } of nth(found.few, k).best) {
        if (nth(best, k).left <= 1e-9 && k > 0) break
        const one = truly(moves, wishes)
        if (better(one, nth(best, k))) best[k] = one
      }
    })
    if (best[0] === from) break
  }
  const whole = nth(best, 0)
  return { best: whole.left > 1e-9 ? best : [drawnBack(whole, (m) => truly(m, WISHES))], off }
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
  const { best, off } = solved(bench, asked)
  const [whole, ...without] = [firstOf(best), ...best.slice(1)]
  const moved = allowed.flatMap(({ freedom }, i): Moved[] =>
    whole.moves[i] === 0 ? [] : [{ freedom, to: movedTo(freedom, nth(whole.moves, i)) }],
  )
  const after = bench.at(whole.moves)
  const changes = changesFor(bench.freedoms, whole.moves)
  const failed = whole.left > 1e-9
  return {
    moved,
    edit: changes.length > 0 ? { name: 'fit to the iron', changes } : undefined,
    left: after ? trueMisses(after, asked) : [],
    clash: failed ? WISHES.map((wish, i) => ({ wish, helps: nth(without, i).left <= 1e-9 })) : [],
    playNeeded: failed && Number.isFinite(off) && off > asked.play ? Math.ceil(off * 200) / 200 : undefined,
    tried: bench.tried,
  }
}

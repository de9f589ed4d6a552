import {
  type Move,
  type Path,
  type Point,
  type Point3,
  moveThen,
  pathMoved,
  pathPoints,
  pointAdd,
  pointRight,
  pointScale,
  pointUnit,
  regionArea,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import {
  type Clip,
  type Layup,
  type Master,
  type PanelSheet,
  clipAt,
  clipMoved,
  ringClipped,
} from '../master/index.js'
import { type ReadyPart, placeOnPart } from './place.js'
import { type OnStage, onStage } from './stage.js'

/** A leather that looks straight out, but for a lean of so much, lies against the front: cosine of the lean. */
const UPRIGHT = 0.9
/** Farther in than this share of the way out to the outermost lies what stands inside: dividers, walls between rooms. */
const INSIDE = 0.35
/** Clipped to less than this there is nothing of a sheet, mm². */
const LEAST_AREA = 1
/** How finely outlines are walked when it is asked whether anything of them is left, mm. */
const CHORDS = 0.5

/** A stretch of a course without a bend, mm from where the course begins; without end where it goes on straight. */
interface Flat {
  readonly from: number
  readonly to: number
}

/** What lies against the front, and how far out, mm. */
interface Facing {
  readonly sheet: PanelSheet
  readonly depth: number
  readonly rides: boolean
}

function flatsOf({ walk: { segments, starts } }: ReadyPart): Flat[] {
  const inside = segments.flatMap((s, i) =>
    s.type === 'line' ? [{ from: starts[i] ?? 0, to: starts[i + 1] ?? 0 }] : [],
  )
  const length = starts[starts.length - 1] ?? 0
  // Beyond its ends a course goes on straight.
  const [first, last] = [segments[0], segments[segments.length - 1]]
  return [
    ...(first?.type === 'line' ? [] : [{ from: -Infinity, to: 0 }]),
    ...inside.map(({ from, to }) => ({
      from: from < 1e-9 ? -Infinity : from,
      to: to > length - 1e-9 ? Infinity : to,
    })),
    ...(last?.type === 'line' ? [] : [{ from: length, to: Infinity }]),
  ]
}

/** The lines that part a stretch, and what is no flange of it, from the rest of the panel. */
function clipsOf(part: ReadyPart, { from, to }: Flat): Clip[] {
  const { along, flanges } = part
  const right = pointRight(along)
  const at = (s: number, r: number): Point =>
    pointAdd(part.from, pointAdd(pointScale(along, s), pointScale(right, r)))
  return [
    ...part.clips,
    ...(Number.isFinite(from) ? [clipAt(at(from, 0), along)] : []),
    ...(Number.isFinite(to) ? [clipAt(at(to, 0), pointScale(along, -1))] : []),
    ...(flanges && Number.isFinite(flanges.from) ? [clipAt(at(0, flanges.from), right)] : []),
    ...(flanges && Number.isFinite(flanges.to) ? [clipAt(at(0, flanges.to), pointScale(right, -1))] : []),
  ]
}

/** How a vector lies on the picture of the front: right is right, down is down. */
const seen = ({ x, y }: Point3): Point => ({ x, y: -y })

/** From the panel's own coordinates to the picture of the front, a lean taken out. */
function moveOf(part: ReadyPart, at: number): Move {
  const { at: here } = placeOnPart(part, { s: at, r: 0 }, 0)
  const { at: on } = placeOnPart(part, { s: at + 0.01, r: 0 }, 0)
  const { at: beside } = placeOnPart(part, { s: at, r: 0.01 }, 0)
  const way = (to: Point3): Point => pointUnit(seen({ x: to.x - here.x, y: to.y - here.y, z: to.z - here.z }))
  const [u, v] = [way(on), way(beside)]
  const [a, r] = [part.along, pointRight(part.along)]
  // Sends the course's own two directions to where they are seen.
  const linear = {
    a: u.x * a.x + v.x * r.x,
    b: u.y * a.x + v.y * r.x,
    c: u.x * a.y + v.x * r.y,
    d: u.y * a.y + v.y * r.y,
  }
  const start = pointAdd(part.from, pointScale(a, at))
  const to = seen(here)
  return {
    ...linear,
    e: to.x - (linear.a * start.x + linear.c * start.y),
    f: to.y - (linear.b * start.x + linear.d * start.y),
  }
}

/** Whether its lines leave anything of a sheet. */
function isThere(sheet: PanelSheet, outline: Path): boolean {
  const ring = ringClipped(pathPoints(pathMoved(outline, sheet.move), CHORDS), sheet.clips)
  return regionArea([ring]) > LEAST_AREA
}

/** A place well inside a stretch: where two meet in a sharp fold their end is on either. */
function middleOf({ from, to }: Flat): number {
  if (Number.isFinite(from) && Number.isFinite(to)) return (from + to) / 2
  return Number.isFinite(from) ? from + 1 : Number.isFinite(to) ? to - 1 : 0
}

/** The stretches of a sheet that look straight out at the front. */
function facing(on: OnStage): Facing[] {
  const { laid, parts, host, rides } = on
  const own = laid.sheet
  if (own.type !== 'panel' || host.sheet.type !== 'panel' || on.group === 'straps') return []
  const sameWay = own.grainUp === host.sheet.grainUp
  const plain = parts.filter((part) => !part.wound && !part.twisted)
  const stretches = plain.flatMap((part) => flatsOf(part).map((flat) => ({ part, flat })))
  return stretches.flatMap(({ part, flat }, k): Facing[] => {
    const middle = middleOf(flat)
    const place = pointAdd(part.from, pointScale(part.along, middle))
    const { at, grain } = placeOnPart(part, { s: middle, r: 0 }, on.off(place))
    if (Math.abs(grain.z) < UPRIGHT) return []
    const move = moveOf(part, middle)
    // What is left out of it laid out, where it is folded, is left out here too.
    const fromLaid = moveThen(host.toSheet, move)
    const sheet: PanelSheet = {
      ...own,
      id: stretches.length > 1 ? `${own.id}.${k + 1}` : own.id,
      move: moveThen(on.toHost, move),
      grainUp: sameWay === grain.z > 0,
      clips: [
        ...own.clips.map((c) => clipMoved(c, fromLaid)),
        ...clipsOf(part, flat).map((c) => clipMoved(c, move)),
      ],
    }
    return isThere(sheet, laid.outline) ? [{ sheet, depth: at.z, rides }] : []
  })
}

/** All that lies against the front of the closed work, the outermost first. */
function frontOf(master: Master, open: LaidUp): Facing[] {
  const there = onStage(master, open, 0).flatMap(facing)
  const outermost = Math.max(0, ...there.map((f) => f.depth))
  return there.filter((f) => f.depth > INSIDE * outermost).sort((a, b) => b.depth - a.depth)
}

/**
 * What lies against the front of the closed work, the farthest in first: the front, what is on it, and the flap, straps
 * and bands that come down over it. Undefined where nothing comes down over it, and for work that lies flat: that has
 * states of its own. Straps and handles that hang are left out.
 */
export function closedFront(master: Master, open: LaidUp): Layup | undefined {
  const front = master.standing ? frontOf(master, open) : []
  if (front.filter((f) => !f.rides).length < 2) return undefined
  const ids = new Set(front.map((f) => f.sheet.id))
  return {
    id: 'front-closed',
    name: 'closed, seen from the front',
    carrier: open.layup.carrier,
    sheets: front
      .reverse()
      .map(({ sheet: { turnedOver, ...sheet } }) =>
        turnedOver !== undefined && ids.has(turnedOver) ? { ...sheet, turnedOver } : sheet,
      ),
  }
}

import {
  type Move,
  type Point,
  moveThen,
  pathNearest,
  pointInside,
  pathBox,
  pointBetween,
  pointDot,
  pointMoved,
  pointRight,
  pointSubtract,
  pointUnit,
  courseOf,
} from '../geometry/index.js'
import { type LaidSheet, type LaidUp, sheetThickness } from '../layup/index.js'
import { nth, tupleOf } from '../lists/index.js'
import type { Fold, Master, Standing, StoodPart } from '../master/index.js'
import { type ReadyPart, readyParts } from './place.js'

/** A placed sheet with where it stands. Lengths mm. */
export interface OnStage {
  readonly laid: LaidSheet
  readonly parts: readonly ReadyPart[]
  /** From the sheet's own coordinates to those of what it stands on. */
  readonly toHost: Move
  /** How far its middle lies out of the grain side of the skeleton, at a place of the host. */
  readonly off: (p: Point) => number
  /** The sheet it stands on; itself where it stands. */
  readonly host: LaidSheet
  readonly rides: boolean
  readonly group: 'straps' | undefined
}

/**
 * The whole work on its stage: every leather sheet of the laid-out state that stands or lies on one that does. `filled`
 * puts in what lies between the sheets of flat work, so that they lie over it.
 */
export function onStage(master: Master, open: LaidUp, opened: number, filled = false): OnStage[] {
  const standing = master.standing?.(opened)
  return standing ? bagOnStage(standing, open) : flatOnStage(open, opened, filled)
}

const leatherSheets = (open: LaidUp): LaidSheet[] => wholeSheets(open).filter((s) => s.sheet.type === 'panel')

const wholeSheets = (open: LaidUp): LaidSheet[] =>
  open.sheets.filter((s) => s.part === 'whole' && s.thickness > 0)

function bagOnStage({ stood, riding }: Standing, open: LaidUp): OnStage[] {
  const sheets = leatherSheets(open)
  const find = (id: string): LaidSheet | undefined => sheets.find((s) => s.sheet.id === id)
  return stood.flatMap((stand) => {
    const host = find(stand.sheet)
    if (!host || host.sheet.type !== 'panel') return []
    const parts = readyParts(stand)
    const riders = riding.filter((r) => r.on === stand.sheet).flatMap((r) => find(r.sheet) ?? [])
    const pile = sheets.filter((s) => s === host || riders.includes(s))
    const at = pile.indexOf(host)
    const group = stand.group
    return pile.map((laid, i): OnStage => {
      const between = pile.slice(Math.min(i, at) + 1, Math.max(i, at))
      const way = i > at === (host.sheet.type === 'panel' && host.sheet.grainUp) ? 1 : -1
      const apart = (host.thickness + laid.thickness) / 2
      const off = (p: Point): number => {
        const place = pointMoved(p, host.sheet.move)
        return stand.seamOffset + way * between.reduce((sum, s) => sum + sheetThickness(s, place), apart)
      }
      return {
        laid,
        parts,
        toHost: moveThen(laid.sheet.move, host.toSheet),
        off: laid === host ? () => stand.seamOffset : off,
        host,
        rides: laid !== host,
        group,
      }
    })
  })
}

/** Work that has no place in space of its own lies as it is laid out and is folded along the folds of what carries it. */
function flatOnStage(open: LaidUp, opened: number, filled: boolean): OnStage[] {
  const sheets = filled ? wholeSheets(open) : leatherSheets(open)
  const carrier = sheets.find((s) => s.sheet.type === 'panel' && s.sheet.panelId === open.layup.carrier)
  const parts = readyParts({ sheet: '', seamOffset: 0, parts: foldedParts(carrier, 1 - opened) })
  const base = carrier ? sheets.indexOf(carrier) : 0
  const formed = sheets.some((s) => isRaised(s))
  return sheets.map((laid, i): OnStage => {
    const content = laid.sheet.type === 'content'
    // What was formed over a block does not follow what lies under the block; nor does what took its place.
    const raised = isRaised(laid) || (content && formed)
    // What is put in lies where the sheet below it was pushed to.
    const bed = content ? sheets[i - 1] : laid
    const between = sheets.slice(Math.min(i, base), Math.max(i, base)).filter((s) => !raised || s === carrier)
    const way = i >= base ? 1 : -1
    return {
      laid,
      parts,
      toHost: laid.sheet.move,
      off: (p) => way * lifted(between, p) + laid.thickness / 2 + (bed ? raisedAt(bed, p) : 0),
      host: carrier ?? laid,
      rides: sheets.length > 1,
      group: undefined,
    }
  })
}

/** Leather over what is put in comes down from it at this slope, and so far round a place it is looked at, mm. */
const SLOPE = 0.6
const ROUND = [2, 4, 7]
const WAYS = Array.from({ length: 8 }, (_, k) => (k * Math.PI) / 4)

/** How high sheets lie over a place, mm; over what is put in leather does not sag into the gaps beside it. */
function lifted(between: readonly LaidSheet[], p: Point): number {
  const at = (q: Point): number => between.reduce((sum, s) => sum + sheetThickness(s, q), 0)
  if (!between.some((s) => s.sheet.type === 'content')) return at(p)
  return ROUND.reduce(
    (max, d) =>
      WAYS.reduce(
        (most, a) => Math.max(most, at({ x: p.x + d * Math.cos(a), y: p.y + d * Math.sin(a) }) - SLOPE * d),
        max,
      ),
    at(p),
  )
}

const isRaised = ({ sheet }: LaidSheet): boolean => sheet.type === 'panel' && sheet.raised !== undefined

/** How far a place of a formed sheet was pushed up over its block, mm. */
function raisedAt({ sheet }: LaidSheet, p: Point): number {
  const raised = sheet.type === 'panel' ? sheet.raised : undefined
  if (!raised) return 0
  if (pointInside(p, raised.inside)) return raised.by
  const down = pathNearest(raised.inside, p).distance / raised.within
  return down >= 1 ? 0 : raised.by * (1 - down)
}

const FLAT: StoodPart = {
  clips: [],
  from: { x: 0, y: 0 },
  along: { x: 1, y: 0 },
  course: courseOf([]),
  frame: {
    origin: { x: 0, y: 0, z: 0 },
    along: { x: 1, y: 0, z: 0 },
    rise: { x: 0, y: 0, z: 1 },
  },
}

interface LaidFold {
  readonly s: number
  readonly width: number
  readonly turn: number
}

/** Folds of the carrier that run alongside each other, in order. Up is towards who looks at the laid-out work. */
function foldsAlong(carrier: LaidSheet, folds: readonly Fold[], along: Point, shut: number): LaidFold[] {
  const up = carrier.sheet.type === 'panel' && carrier.sheet.grainUp
  return folds
    .flatMap((fold): LaidFold[] => {
      const [a, b] = tupleOf([fold.from, fold.to], (p) => pointMoved(p, carrier.sheet.move))
      if (Math.abs(pointDot(pointUnit(pointSubtract(b, a)), along)) > 1e-3) return []
      const away = (fold.rises === 'mountain') === up ? 1 : -1
      return [
        {
          s: pointDot(pointBetween(a, b, 0.5), along),
          width: Math.max(0.01, fold.width),
          turn: away * (fold.angle ?? Math.PI) * shut,
        },
      ]
    })
    .toSorted((a, b) => a.s - b.s)
}

/** The laid-out work folded: the longest flat stretch stays, the others go round their folds from there. */
function foldedParts(carrier: LaidSheet | undefined, shut: number): StoodPart[] {
  const panel = carrier?.work?.panel
  const [first] = panel?.folds ?? []
  if (!carrier || !panel || !first) return [FLAT]
  const [a, b] = tupleOf([first.from, first.to], (p) => pointMoved(p, carrier.sheet.move))
  const along = pointRight(pointUnit(pointSubtract(b, a)))
  const folds = foldsAlong(carrier, panel.folds, along, shut)
  const box = pathBox(carrier.placed)
  const reach = [box.left * along.x + box.top * along.y, box.right * along.x + box.bottom * along.y]
  const edges = [Math.min(...reach), ...folds.map((f) => f.s), Math.max(...reach)]
  const longest = edges
    .slice(1)
    .reduce(
      (best, s, i) => (s - nth(edges, i) > nth(edges, best + 1) - nth(edges, best) + 1e-6 ? i : best),
      0,
    )
  const middle = (nth(edges, longest) + nth(edges, longest + 1)) / 2
  const from = { x: along.x * middle, y: along.y * middle }
  const half = (way: 1 | -1): StoodPart => {
    const on = way > 0 ? folds.slice(longest) : folds.slice(0, longest).toReversed()
    let at = middle
    const stretches = on.flatMap(({ s, width, turn }) => {
      const flat = Math.abs(s - at) - width / 2
      at = s + (way * width) / 2
      return [{ length: Math.max(0, flat) }, { length: width, turn }]
    })
    const out = { x: along.x * way, y: along.y * way }
    return {
      clips: [{ at: from, inward: out }],
      from,
      along: out,
      course: courseOf([...stretches, { length: 1 }]),
      frame: {
        origin: { x: from.x, y: -from.y, z: 0 },
        along: { x: out.x, y: -out.y, z: 0 },
        rise: { x: 0, y: 0, z: 1 },
      },
    }
  }
  return [half(1), half(-1)]
}

import type { Derived } from '../../derived/index.js'
import {
  type Drawn,
  type LayerName,
  drawnMoved,
  pieceDrawing,
  stroke,
  text,
  textWidth,
} from '../../drawing/index.js'
import {
  type Path,
  type Point,
  STAY,
  flipAbout,
  line,
  moveThen,
  openPath,
  polygon,
  regionBoth,
  shift,
  turn,
} from '../../geometry/index.js'
import {
  type Group,
  type HideFigures,
  type Lying,
  type Wanted,
  cuttingOrder,
  extentOf,
  figuresOf,
  flawOutline,
  groupsOf,
  laidThere,
  pieceName,
} from '../../hide/index.js'
import type { Units } from '../../measure/index.js'
import type { Hide } from '../../stores/index.js'
import { foundIn } from '../../lists/index.js'

/** A piece on a plan: its number in the order of cutting, where it lies and how large it is there, mm. */
export interface PlanPiece {
  readonly number: number
  readonly name: string
  readonly why: 'strap' | 'large' | 'rest' | 'small'
  readonly over: boolean
  readonly outline: readonly Point[]
  /** Its holes, folds and marks where it lies on the hide; none of pieces of other designs. */
  readonly marks: readonly Drawn[]
  /** From the butt end of the hide, and from its backbone or else its upper edge. */
  readonly along: number
  readonly across: number
  readonly long: number
  readonly wide: number
}

/** One hide with what is cut from it. */
export interface HidePlan {
  readonly hide: Hide
  readonly material: string
  readonly long: number
  readonly wide: number
  readonly pieces: readonly PlanPiece[]
  readonly figures: HideFigures
}

/** The plans of all hides that something lies on. */
export const plansOf = (derived: Derived, unit: Units = 'mm'): HidePlan[] =>
  groupsOf(derived).flatMap((group) =>
    group.hides
      .filter((hide) => group.asked.lying.some((l) => l.hide === hide.id))
      .map((hide) => planOf(group, hide, (w, lying) => marksOf(derived, unit, w, lying))),
  )

/** What of a piece’s drawing goes onto a hide with it. */
const MARKS: ReadonlySet<LayerName> = new Set([
  'holes',
  'notches',
  'marks',
  'openings',
  'fold',
  'fold-to',
  'grain',
])

function marksOf({ design, pieces }: Derived, unit: Units, w: Wanted, lying: Lying): readonly Drawn[] {
  const piece = w.id.startsWith(`${design.id}/`) ? pieces.find((p) => p.id === w.demand.key) : undefined
  if (!piece) return []
  const over = w.over ? flipAbout(0) : STAY
  const move = moveThen(moveThen(over, turn(lying.turn)), shift(lying.x, lying.y))
  return pieceDrawing(piece, design, unit)
    .filter((d) => d.type === 'stroke' && MARKS.has(d.layer))
    .map((d) => drawnMoved(d, move))
}

function planOf(
  { material, wanted, asked }: Group,
  hide: Hide,
  marks: (w: Wanted, lying: Lying) => readonly Drawn[],
): HidePlan {
  const box = extentOf(hide.outline)
  const on = asked.lying.filter((l) => l.hide === hide.id)
  const from = hide.backbone ?? box.top
  const pieceOf = (lying: Lying, number: number, why: PlanPiece['why']): PlanPiece[] => {
    const w = wanted.find((one) => one.id === lying.id)
    if (!w) return []
    const outline = laidThere(w.demand.outline, w.over, lying)
    const { left, top, right, bottom } = extentOf(outline)
    const across = top >= from ? top - from : from >= bottom ? from - bottom : 0
    return [
      {
        number,
        name: pieceName(w, wanted),
        why,
        over: w.over,
        outline,
        marks: marks(w, lying),
        along: left - box.left,
        across,
        long: right - left,
        wide: bottom - top,
      },
    ]
  }
  return {
    hide,
    material,
    long: box.right - box.left,
    wide: box.bottom - box.top,
    pieces: cuttingOrder(on, wanted).flatMap(({ id, why }, i) =>
      pieceOf(
        foundIn(on, (l) => l.id === id),
        i + 1,
        why,
      ),
    ),
    figures: figuresOf(hide, asked.lying, wanted, asked.gap),
  }
}

/** How a plan is drawn: in which scale, how high its type is, and whether the hide lies flesh side up. */
export interface PlanLook {
  readonly scale: number
  readonly type: number
  readonly mirrored: boolean
  /** Whether holes, folds and marks are drawn: only where all of it is true to size. */
  readonly marks: boolean
}

/** A hide with its pieces as strokes and words, its corner at nothing; and which of the strokes are cut. */
export function planDrawing(
  { hide, pieces, long }: HidePlan,
  { scale, type, mirrored, marks }: PlanLook,
): { readonly drawn: readonly Drawn[]; readonly cut: ReadonlySet<Path> } {
  const { left, top, right } = extentOf(hide.outline)
  const at = ({ x, y }: Point): Point => ({
    x: (mirrored ? long - (x - left) : x - left) * scale,
    y: (y - top) * scale,
  })
  const home = moveThen(shift(-left, -top), mirrored ? flipAbout(long / 2) : STAY)
  const ring = (points: readonly Point[]): Path => polygon(points.map(at))
  const thin = Math.max(0.15, 0.12 * type * 0.5)
  const outlines = pieces.map((p) => stroke('cut', ring(p.outline), thin * 2))
  const backbone = (y: number): Drawn =>
    stroke('backbone', openPath([line(at({ x: left, y }), at({ x: right, y }))]), thin * 1.5, [7, 2])
  const numbers = pieces.map((p) => {
    const { left: l, top: t, right: r, bottom: b } = extentOf(p.outline)
    const middle = at({ x: (l + r) / 2, y: (t + b) / 2 })
    const size = Math.max(type * 0.5, Math.min(type, (b - t) * scale * 0.8, (r - l) * scale * 0.4))
    const named = `${p.number} ${p.name}`
    const words = textWidth(named, size, true) < (r - l) * scale * 0.94 ? named : String(p.number)
    return text('label', { x: middle.x, y: middle.y + size * 0.35 }, words, size, 'middle', true)
  })
  const zones = hide.zones.flatMap(({ sort, outline }) =>
    regionBoth([hide.outline], [outline]).flatMap((part) => {
      const box = extentOf(part.map(at))
      const place = { x: box.right - type * 0.4, y: box.bottom - type * 0.4 }
      return [stroke('zones', ring(part), thin, [1, 1]), text('zones', place, sort, type * 0.8, 'end')]
    }),
  )
  return {
    drawn: [
      ...zones,
      stroke('hide', ring(hide.outline), thin * 2),
      ...(hide.backbone === null ? [] : [backbone(hide.backbone)]),
      ...hide.flaws.map((f) => stroke('flaws', ring(flawOutline(f)), thin)),
      ...outlines,
      ...(marks ? pieces.flatMap((p) => p.marks.map((d) => drawnMoved(d, home))) : []),
      ...numbers,
    ],
    cut: new Set(outlines.flatMap((d) => (d.type === 'stroke' ? [d.path] : []))),
  }
}

import type { Demand } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import {
  type Path,
  type Point,
  type Region,
  pathPoints,
  regionAlong,
  regionArea,
  regionBoth,
  regionUnion,
} from '../geometry/index.js'
import { roundTo } from '../measure/index.js'
import { remembered } from '../working/index.js'
import type { Piece } from '../reckon/index.js'
import { seenOf } from './seen.js'

/** Curves become chords this close, mm: far less than a knife needs. */
const CHORDS = 0.1
/** A piece shows where so much of it is seen, as a share. */
const SEEN = 0.08
/** A strap is so many times as long as wide at the least, and fills its box so far. */
const STRAP = { long: 6, full: 0.8 } as const

/** What each piece of a design asks of a hide; guides and templates, which are cut from card, ask nothing. */
export const demandsOf = ({ pieces, works, design }: Derived): readonly Demand[] =>
  demandsOnce(pieces, works, design.leathers)

/** Worked out once while the work stays the same, however often its pieces are laid anew. */
const demandsOnce = remembered(demandsFrom)

function demandsFrom(
  pieces: readonly Piece[],
  works: Derived['works'],
  leathers: Derived['design']['leathers'],
): readonly Demand[] {
  return pieces.flatMap((piece) => {
    const { stock } = piece.work
    if (!stock || piece.count === 0) return []
    const leather = stock.leather ? leathers[piece.panel.role] : undefined
    const block = blockOf(piece)
    const seen = seenOf(piece.panel, works[0]).map(placesOf)
    const outline = placesOf(pathPoints(block ?? piece.cut, CHORDS))
    const bears = piece.panel.pull !== undefined
    return [
      {
        key: piece.id,
        name: piece.name,
        of: leather?.id ?? stock.name,
        material: stock.name,
        swatch: stock.swatch,
        leather: stock.leather,
        thickness: stock.thickness,
        outline,
        block: block !== undefined,
        count: piece.count,
        flipped: piece.flipped,
        grain: piece.panel.grain,
        lies: !stock.leather ? 'any' : bears ? 'along' : 'either',
        shows: stock.leather && regionArea(seen) > SEEN * regionArea([outline]),
        bears,
        seen,
        thinned: thinnedOf(piece).map(placesOf),
        ...strapOf(outline),
      },
    ]
  })
}

/** Where a piece is skived: its bands, and along its edges as wide as it is skived there. */
function thinnedOf({ marks, cut }: Piece): Region {
  const whole: Region = [pathPoints(cut, CHORDS)]
  const areas = marks.flatMap((m): Region => {
    if (m.type === 'skive') return [pathPoints(m.area, CHORDS)]
    if (m.type !== 'skiveEdge') return []
    return regionAlong(m.profile.points, m.profile.reach + m.outside)
  })
  return regionBoth(whole, regionUnion(areas))
}

/** Nothing but the places, to a hundredth of what a knife could follow, mm. */
const placesOf = (points: readonly Point[]): Point[] =>
  points.map(({ x, y }) => ({ x: roundTo(x, 3) + 0, y: roundTo(y, 3) + 0 }))

const blockOf = (piece: Piece): Path | undefined => piece.marks.find((m) => m.type === 'block')?.path

/** The length and width of an outline that is a strip along x or y; nothing where it is none. */
function strapOf(outline: readonly Point[]): Pick<Demand, 'strap'> {
  const [xs, ys] = [outline.map((p) => p.x), outline.map((p) => p.y)]
  const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
  const [long, wide] = [Math.max(w, h), Math.min(w, h)]
  if (wide <= 0 || long < STRAP.long * wide || regionArea([outline]) < STRAP.full * long * wide) return {}
  return { strap: { long, wide } }
}

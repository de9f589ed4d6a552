import {
  type Point,
  type Point3,
  courseOf,
  point,
  point3,
  point3Along,
  point3Scale,
} from '../../geometry/index.js'
import { type Standing, type Stood, type StoodPart, clipAt } from '../../master/index.js'
import type { FlatFoot } from './flatFoot.js'
import { gussetLine } from './flatPanels.js'
import type { CaseParams } from './params.js'
import type { CaseSizes } from './sizes.js'
import { caseThing, overTop } from './stand.js'

const DOWN = point3(0, -1, 0)

/** A case on a flat foot as it stands filled: its gussets flat between front and back, which lean out. Lengths mm. */
export const flatStanding =
  (
    p: CaseParams,
    s: CaseSizes,
    foot: FlatFoot,
    { t, riding }: { readonly t: number; readonly riding: readonly string[] },
  ) =>
  (opened: number): Standing => ({
    stood: [
      { sheet: 'back', seamOffset: t / 2 - foot.out, parts: [bodyPart(p, s, foot, { t, shut: 1 - opened })] },
      ...([1, -1] as const).map((way) => gusset(s, foot, way)),
    ],
    riding: riding.map((sheet) => ({ sheet, on: 'back' })),
    inside: [caseThing(p, [0, -p.deep / 2, p.deep / 2], [p.high, -p.deep / 2, p.deep / 2])],
  })

/** Down the front, round the foot, up the back, over what goes in and down over the front as far as it is shut. */
function bodyPart(
  p: CaseParams,
  s: CaseSizes,
  foot: FlatFoot,
  { t, shut }: { readonly t: number; readonly shut: number },
): StoodPart {
  const [high, lean] = [s.height.value, foot.lean.value]
  const [c, sn] = [Math.cos(lean), Math.sin(lean)]
  const corner = { length: foot.corner.value, turn: Math.PI / 2 - lean }
  const turn = (Math.PI / 2 + lean) * shut
  const out = point3(0, -sn, c)
  const top = point3(0, high * c, foot.deep.value / 2 + high * sn)
  return {
    clips: [],
    from: point(s.width.value / 2, s.bodyLength.value),
    along: point(0, -1),
    course: courseOf([
      { length: high },
      corner,
      { length: foot.deep.value },
      corner,
      { length: high },
      ...overTop(p, s, t, [turn, turn]),
    ]),
    frame: { origin: point3Along(top, out, foot.out), along: point3(0, -c, -sn), rise: out },
  }
}

/** The right gusset (1) or the left one (−1): its middle, and a flange that stands out square along each of three sides. */
function gusset(s: CaseSizes, foot: FlatFoot, way: 1 | -1): Stood {
  const line = gussetLine(s, foot)
  const grain = point3(way, 0, 0)
  const high = s.gussetHigh.value
  const x = way * (s.width.value / 2 - s.margin.value)
  // Seen from outside, what is right of the middle of the right gusset lies further back.
  const at = (q: Point): Point3 => point3(x, high - q.y, -way * (q.x - s.gussetHalf.value))
  const into = (v: Point): Point3 => point3(0, -v.y, -way * v.x)
  const sides = [
    { from: line.topRight, along: point(-line.out.y, line.out.x), out: line.out },
    { from: line.footRight, along: point(-1, 0), out: point(0, 1) },
    { from: line.footLeft, along: point(-line.out.y, -line.out.x), out: point(-line.out.x, line.out.y) },
  ]
  const flange = ({ from, along, out }: (typeof sides)[number], i: number): StoodPart => ({
    clips: [
      clipAt(from, out),
      // Down to the corner or up from it: what lies beyond is cut away.
      ...(i < 2 ? [clipAt(i === 0 ? line.footRight : line.footLeft, point(-along.x, -along.y))] : []),
      ...(i > 0 ? [clipAt(from, along)] : []),
    ],
    from,
    along,
    course: courseOf([{ length: high }]),
    frame: { origin: at(from), along: into(along), rise: point3Scale(into(out), -1) },
  })
  return {
    sheet: `gusset-${way > 0 ? 'right' : 'left'}`,
    seamOffset: 0,
    parts: [
      {
        clips: sides.map(({ from, out }) => clipAt(from, point(-out.x, -out.y))),
        from: point(s.gussetHalf.value, 0),
        along: point(0, 1),
        course: courseOf([{ length: high }]),
        frame: { origin: at(point(s.gussetHalf.value, 0)), along: DOWN, rise: grain },
      },
      ...sides.map(flange),
    ],
  }
}

import { firstOf } from '../../../lists/index.js'
import { gussetStrip } from '../../../formulas/index.js'
import { type Path, point, polyline } from '../../../geometry/index.js'
import { type Join, type Panel } from '../../../master/index.js'
import { type Named, outlineOf, plainPanel } from '../../parts/shape.js'
import { BENCH, type Bag, outsideSizes } from '../bag.js'
import { flapCorners, flapFolded, flapOf, groovesAcross } from '../parts/flap.js'
import { type Body, type Meeting, alone, part } from '../assembly.js'
import {
  type Profile,
  cornerCuts,
  cornersOf,
  cutMarks,
  profileChain,
  profileShape,
  radiusFor,
  snipsAlong,
  veeCuts,
} from './profile.js'
import { panelSheet } from '../../parts/sheets.js'
import { bodySeams } from '../seam.js'
import { type SetIn, leafFace, setInStood, sideFace } from './setInStand.js'
import { type CornerWays, plainStrip } from './strip.js'
import { seamSkives } from '../skiving.js'

/** Down the strip, as a share of the bag's height, its label stands. */
const LABEL_DOWN = 0.35

/** What the body needs round a corner beyond the side’s own stitch line. */
function cornerWays({ p, body }: Bag): CornerWays {
  const [t, k] = [body.thickness, body.neutral]
  if (p.grooves === 'none') return { outward: p.seam === 'raw' ? k * t : 0 }
  const deep = BENCH.groove * t
  return { outward: 0, groove: { deep, bend: (Math.PI / 2) * k * (t - deep) } }
}

/** One piece for front, foot and back, with or without a flap, and sides set in. */
export function setInBody(bag: Bag): Body {
  const set = sizesOf(bag)
  const { span, radius } = set.profile
  const { p } = bag
  const body = bodyPanel(set)
  const made = part({
    panels: [body, sidePanel(set)],
    piles: [
      alone(body),
      ...WAYS.map((way) => ({
        base: `side-${way}`,
        sheets: [
          panelSheet(`side-${way}`, `${way} side`, 'side', { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 }, true),
        ],
      })),
    ],
    joins: WAYS.flatMap((way) => sideSeam(set, way)),
    meetings: cornerMeetings(set),
    corners: cornersOf(bag, 'side', set.profile, p.seam === 'raw' ? 'gusset' : 'body'),
    sizes: sizesTold(set),
    stood: (opened) => setInStood(set, opened),
  })
  return {
    ...made,
    front: leafFace(set, 1),
    back: leafFace(set, -1),
    right: sideFace(set, 1),
    left: sideFace(set, -1),
    flap: set.flap,
    apart: span + 2 * bag.seamOffset.flat,
    lean: 0,
    foot: {
      wide: set.wide / 2,
      deep: span / 2 - radius,
      at: (x, z) => ({ sheet: 'body', at: point(set.w / 2 + x, set.strip.length.value / 2 + z) }),
    },
  }
}

const WAYS = ['right', 'left'] as const

function sizesOf(bag: Bag): SetIn {
  const { s, p, margin } = bag
  const [wide, rise, m, span] = [s.wide.value, s.high.value, margin.value, s.deep.value]
  const radius = p.grooves === 'grooved' ? 0 : radiusFor(p.radius, span, rise)
  const profile: Profile = { span, rise, radius }
  const ways = cornerWays(bag)
  const w = wide + 2 * m
  return {
    bag,
    profile,
    strip: plainStrip(bag, profile, wide / 2, ways),
    wide,
    w,
    m,
    // A groove’s walls and what bends between them stand outside the side’s own corner.
    out: ways.groove ? ways.groove.deep + ways.groove.bend / (Math.PI / 2) : ways.outward,
    flap: p.flap === 'one' ? flapOf(bag, span + 2 * bag.seamOffset.flat, w) : undefined,
  }
}

const sidePanel = ({ bag, profile, m }: SetIn): Panel =>
  plainPanel({
    id: 'side',
    name: 'Side',
    role: 'gusset',
    count: 2,
    ...profileShape(profile, m, (edge) => (edge === 'top' ? bag.topFate : bag.seamed)),
    ...seamSkives(bag, profileChain(profile.radius), bag.gusset.thickness, 'side'),
    marks: cutMarks('cuts', bag.p.seam === 'turned' ? veeCuts(bag, profile) : cornersCutOut(profile, m)),
  })

function sideSeam({ bag, profile, strip, wide, w, m }: SetIn, way: 'right' | 'left'): Join[] {
  const { span, rise, radius } = profile
  // Walked from the front's top edge down, round the foot and up the back; the piece is drawn back uppermost.
  const line =
    (x: number, backwards: boolean) =>
    (by: number): Path => {
      const at = x < w / 2 ? x - by : x + by
      const points = [point(at, strip.length.value), point(at, 0)]
      return polyline(backwards ? points.toReversed() : points)
    }
  // The right side seen from outside begins at the back.
  const on = way === 'right' ? line(m, true) : line(m + wide, false)
  return bodySeams(bag, {
    id: `seam-${way}`,
    name: `seam of the ${way} side`,
    sheet: `side-${way}`,
    chain: profileChain(radius),
    mate: on(0),
    mateSheet: 'body',
    beside: on,
    extra: strip.length.figured - gussetStrip(rise, span, radius),
    through: ['body', `side-${way}`],
    twin: way === 'right' ? 'seam-left' : 'seam-right',
    pairName: 'seams of the sides',
  })
}

const sizesTold = ({ bag: { s }, strip, flap }: SetIn) => [
  ...[s.wide, strip.length].map((size) => ({ panelId: 'body', size })),
  ...outsideSizes(s, 'body'),
  ...[s.deep, s.high].map((size) => ({ panelId: 'side', size })),
  ...(flap ? [{ panelId: 'body', size: flap.over }] : []),
]

/** The corner squares of a flange folded out at a sharp corner are cut away. */
const cornersCutOut = ({ span, rise, radius }: Profile, m: number): Path[] =>
  radius > 0
    ? []
    : [
        polyline([point(m + span, rise + m), point(m + span, rise + 1), point(m + span + m, rise + 1)]),
        polyline([point(m, rise + m), point(m, rise + 1), point(0, rise + 1)]),
      ]

function bodyPanel({ bag, strip, w, flap }: SetIn) {
  const { p, body } = bag
  const length = strip.length.value
  const top: Named[] = flap
    ? flapCorners(flap, w)
    : [
        { x: 0, y: 0, edge: 'top-back' },
        { x: w, y: 0, edge: 'right' },
      ]
  const shape = outlineOf(
    [...top, { x: w, y: length, edge: 'top-front' }, { x: 0, y: length, edge: 'left' }],
    (edge) =>
      edge.startsWith('top') ? bag.topFate : edge === 'right' || edge === 'left' ? bag.seamed : bag.plain,
  )
  // Drawn back uppermost: the course begins at the front's top edge, at the lower end of the piece.
  const corners = strip.corners.map(([a, b]) => [length - b, length - a] as const)
  const grooved = p.grooves === 'grooved'
  const folded = flapFolded(flap, w, body.thickness)
  const cuts = cornerCuts(bag, radiusFor(p.radius, bag.s.deep.value, bag.s.high.value))
  const marks =
    cuts && !grooved && p.seam === 'turned'
      ? cutMarks(
          'snips',
          corners.flatMap(([a, b]) =>
            [snipsAlong(a, b, 0, 1, cuts), snipsAlong(a, b, w, -1, cuts)]
              .flat()
              .map((path) =>
                polyline(
                  [firstOf(path.segments).from, firstOf(path.segments).to].map((q) => point(q.y, q.x)),
                ),
              ),
          ),
        )
      : []
  return plainPanel({
    id: 'body',
    name: flap ? 'Front, foot, back and flap' : 'Front, foot and back',
    role: 'body',
    ...shape,
    ...seamSkives(bag, ['right'], body.thickness, 'body'),
    folds: [
      ...folded.folds,
      ...corners.map(([a, b], i) => ({
        id: `foot-${i + 1}`,
        name: i === 0 ? 'fold between back and foot' : 'fold between foot and front',
        from: point(0, (a + b) / 2),
        to: point(w, (a + b) / 2),
        width: b - a,
        rises: 'mountain' as const,
        angle: Math.PI / 2,
      })),
    ],
    bands: [...(grooved ? groovesAcross('groove', corners, [0, w], body.thickness) : []), ...folded.bands],
    marks,
    labelAt: point(w / 2, bag.s.high.value * LABEL_DOWN),
  })
}

/** Where the corners begin and end, on both sides and on both edges of the body. */
function cornerMeetings({ profile, strip, m, w }: SetIn): Meeting[] {
  const { span, rise, radius: r } = profile
  const length = strip.length.value
  const [[a, b], [c, d]] = strip.corners as [readonly [number, number], readonly [number, number]]
  // On the right side the front is at the left; on the left side at the right.
  const places: readonly (readonly [string, number, number, number])[] = [
    ['front', a, 0, rise - r],
    ...(r > 0 ? [['foot-front', b, r, rise] as const] : []),
    ['foot', (b + c) / 2, span / 2, rise],
    ...(r > 0 ? [['foot-back', c, span - r, rise] as const] : []),
    ['back', d, span, rise - r],
  ]
  return places.flatMap(([id, along, x, y]) =>
    (['right', 'left'] as const).map((way): Meeting => ({
      id: `${way}-${id}`,
      a: { sheet: `side-${way}`, at: point(m + (way === 'right' ? x : span - x), y) },
      b: { sheet: 'body', at: point(way === 'right' ? m : w - m, length - along) },
    })),
  )
}

import { type Path, STAY, point, point3, shift } from '../../geometry/index.js'
import { type EdgeSkive, type Panel, type PanelSheet, type Stood } from '../../master/index.js'
import { lineSeam } from '../parts/seams.js'
import { plainPanel, rectangleShape } from '../parts/shape.js'
import { panelSheet } from '../parts/sheets.js'
import { X, Y, Z, flatPart, minus } from './axes.js'
import { BENCH, type Bag } from './bag.js'
import { type Flap, flapCorners, flapFolds, flapOf, flapPart, isFlapEdge } from './flap.js'
import { type Body, type Face, type Meeting, type Part, alone, part } from './parts.js'
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
import { bodySeams, reversedIf } from './seam.js'
import { type Strip, plainStrip, stripShape, stripStitches, taperingStrip, widest } from './strip.js'

/** What a seam's border is thinned to, if it is. */
export const seamSkives = (
  { p, margin }: Bag,
  chain: readonly string[],
  thickness: number,
  name: string,
): { skives?: readonly EdgeSkive[] } =>
  p.seamSkive === 'none'
    ? {}
    : {
        skives: [
          {
            key: `seam.${name}`,
            name: 'seam allowance',
            chain,
            width: margin.value + 2,
            start: thickness / 2,
            end: thickness / 2,
          },
        ],
      }

/** Front and back with a gusset round sides and foot, in one strip, in three, or tapering. */
export function wrapBody(bag: Bag): Body {
  const { s, p, margin } = bag
  const [span, rise, m] = [s.wide.value, s.high.value, margin.value]
  const profile: Profile = { span, rise, radius: radiusFor(p.radius, span, rise) }
  const strip =
    p.body === 'tapered'
      ? taperingStrip(bag, profile, p.topDeep, s.deep.value)
      : plainStrip(bag, profile, s.deep.value / 2, { outward: 0 })
  const apart = (p.body === 'tapered' ? p.topDeep : s.deep.value) + 2 * bag.proud.flat * Math.cos(strip.lean)
  const flap = p.flap === 'one' ? flapOf(bag, apart, span + 2 * m, strip.lean) : undefined
  const panels = (['front', 'back'] as const).map((id) =>
    facePanel(bag, id, profile, id === 'back' ? flap : undefined),
  )
  const gussets = p.body === 'wrap-three' ? threeStrips(bag, strip) : oneStrip(bag, strip)
  const level = widest(strip) / 2 + m
  const seams = (['front', 'back'] as const).flatMap((id) => {
    const front = id === 'front'
    const line = (by: number): Path =>
      gussets.inBase(
        reversedIf(stripStitches({ ...strip, halves: widened(strip, by) }, level, front ? 1 : -1), !front),
      )
    return bodySeams(bag, {
      id: `${id}-seam`,
      name: `seam of the ${id} and the gusset`,
      sheet: id,
      chain: profileChain(profile.radius),
      mate: line(0),
      mateSheet: gussets.base,
      beside: line,
      out: 1,
      through: [id, ...gussets.sheets],
      twin: front ? 'back-seam' : 'front-seam',
      pairName: 'the two gusset seams',
    })
  })
  const [c, sn, half] = [Math.cos(strip.lean), Math.sin(strip.lean), s.deep.value / 2]
  const face = (sheet: 'front' | 'back', way: 1 | -1): Face => ({
    sheet,
    move: shift(span / 2 + m, 0),
    wide: span,
    high: rise,
    proud: bag.proud.flat,
    frame: () => ({
      origin: point3(0, rise * c, way * (half + rise * sn)),
      right: way > 0 ? X : minus(X),
      down: point3(0, -c, -way * sn),
      grain: point3(0, -sn, way * c),
    }),
  })
  const three = p.body === 'wrap-three'
  const side = (way: 1 | -1): Face => ({
    sheet: three ? `gusset-${way > 0 ? 'right' : 'left'}` : 'gusset',
    // Seen from outside the right end of the strip runs down with the back to the right.
    move:
      way > 0 || three
        ? { a: 0, b: -1, c: 1, d: 0, e: 0, f: level }
        : { a: 0, b: 1, c: -1, d: 0, e: strip.length.value, f: level },
    wide: 2 * strip.halves[0]!.y,
    high: rise,
    proud: bag.proud.walls,
    frame: () => ({
      origin: point3((way * span) / 2, rise * c, 0),
      right: way > 0 ? minus(Z) : Z,
      down: minus(Y),
      grain: way > 0 ? X : minus(X),
    }),
  })
  const made = part({
    panels: [...panels, ...gussets.panels],
    piles: [...panels.map((q) => alone(q)), gussets.pile],
    joins: [...gussets.joins, ...seams],
    meetings: cornerMeetings(profile, strip, m, gussets),
    corners: cornersOf(bag, 'front', profile, 'gusset'),
    sizes: [
      ...[s.wide, s.high, s.outWide, s.outHigh, s.outDeep].map((size) => ({ panelId: 'front', size })),
      ...[s.deep, strip.length].map((size) => ({ panelId: gussets.panels[0]!.id, size })),
      ...(flap ? [{ panelId: 'back', size: flap.over }] : []),
    ],
    concerns: gussets.concerns,
    stood: (opened) => [
      ...faces(bag, profile, strip, flap, 1 - opened),
      ...gussets.stands.map(({ sheet, from, along, proud }) => ({
        sheet,
        proud: bag.proud.walls + proud,
        parts: [
          {
            clips: [],
            from: point(from, level),
            along: point(along, 0),
            course: strip.course,
            frame: { origin: point3(span / 2, rise * Math.cos(strip.lean), 0), along: minus(Y), rise: X },
            ...(p.seam === 'raw' && p.body !== 'tapered'
              ? { flanges: { from: m - level, to: level - m } }
              : {}),
          },
        ],
      })),
    ],
  })
  return {
    ...made,
    front: face('front', 1),
    back: face('back', -1),
    right: side(1),
    left: side(-1),
    flap,
    apart,
    lean: strip.lean,
  }
}

const widened = ({ halves }: Strip, by: number) => halves.map((q) => point(q.x, q.y + by))

/** The front, or the back with the flap that goes on from it. */
function facePanel(bag: Bag, id: 'front' | 'back', profile: Profile, flap: Flap | undefined): Panel {
  const { p, margin, body } = bag
  const wide = profile.span + 2 * margin.value
  const fate = (edge: string) => (edge === 'top' ? bag.topFate : isFlapEdge(edge) ? bag.plain : bag.seamed)
  const shape = profileShape(profile, margin.value, fate, flap && flapCorners(flap, wide))
  const chain = profileChain(profile.radius)
  return plainPanel({
    id,
    name: id === 'front' ? 'Front' : flap ? 'Back and flap' : 'Back',
    role: 'body',
    ...shape,
    ...seamSkives(bag, chain, body.thickness, id),
    folds: flap ? flapFolds(flap, wide) : [],
    marks: p.seam === 'turned' ? cutMarks('vee', veeCuts(profile, margin.value)) : [],
    ...(flap ? { labelAt: point(wide / 2, profile.rise * 0.4) } : {}),
  })
}

/** Front and back where they stand; they lean where the gusset tapers. */
function faces(
  { s, margin, proud }: Bag,
  { span, rise }: Profile,
  { lean }: Strip,
  flap: Flap | undefined,
  shut: number,
): Stood[] {
  const [m, foot] = [margin.value, s.deep.value / 2]
  const [c, sn] = [Math.cos(lean), Math.sin(lean)]
  const one = (sheet: string, way: 1 | -1): Stood => {
    const corner = point3(-way * (span / 2 + m), rise * c, way * (foot + rise * sn))
    const grain = point3(0, -sn, way * c)
    const flat = flatPart(corner, way > 0 ? X : minus(X), grain)
    const over = way < 0 && flap
    return {
      sheet,
      proud: proud.flat,
      parts: over
        ? [
            { ...flat, clips: [{ at: point(0, 0), inward: point(0, 1) }] },
            flapPart(flap, shut, corner, point3(0, c, way * sn), grain),
          ]
        : [flat],
    }
  }
  return [one('front', 1), one('back', -1)]
}

/** Where one piece laps another their outlines are told apart by so much, mm. */
const LAPPED = 0.2

interface Gussets {
  readonly panels: readonly Panel[]
  readonly pile: { readonly base: string; readonly sheets: readonly PanelSheet[] }
  readonly joins: Part['joins']
  /** The sheet that carries the stitch lines, and where along the whole strip it begins. */
  readonly base: string
  readonly start: number
  readonly sheets: readonly string[]
  readonly inBase: (path: Path) => Path
  readonly concerns: Part['concerns']
  /** Where the strip's own course begins on each of its pieces, and which way it runs there. */
  readonly stands: readonly {
    readonly sheet: string
    readonly from: number
    readonly along: 1 | -1
    /** A piece that laps another lies that much further out, mm. */
    readonly proud: number
  }[]
}

const endFate = (bag: Bag): Panel['edges'][number]['fate'] =>
  bag.p.ends === 'long' ? { type: 'long', by: BENCH.long } : bag.topFate

function stripSnips({ p, margin }: Bag, strip: Strip, profileRadius: number, level: number): Path[] {
  const cuts = cornerCuts(margin.value, profileRadius)
  if (!cuts || p.body === 'tapered') return []
  return strip.corners.flatMap(([from, to]) => [
    ...snipsAlong(from, to, 0, 1, cuts),
    ...snipsAlong(from, to, 2 * level, -1, cuts),
  ])
}

function oneStrip(bag: Bag, strip: Strip): Gussets {
  const { margin, gusset, s, p } = bag
  const level = widest(strip) / 2 + margin.value
  const radius = radiusFor(p.radius, s.wide.value, s.high.value)
  const shape = stripShape(
    strip,
    margin.value,
    (edge) => (edge.startsWith('end') ? endFate(bag) : bag.seamed),
    { upper: 'back-side', lower: 'front-side', start: 'end-right', end: 'end-left' },
  )
  const panel = plainPanel({
    id: 'gusset',
    name: 'Gusset',
    role: 'gusset',
    ...shape,
    ...seamSkives(bag, ['back-side'], gusset.thickness, 'gusset-back'),
    marks: cutMarks('snips', stripSnips(bag, strip, radius, level)),
    notes: p.ends === 'long' ? ['cut to length once it is sewn'] : [],
  })
  const both = seamSkives(bag, ['front-side'], gusset.thickness, 'gusset-front').skives ?? []
  return {
    panels: [panel.skives ? { ...panel, skives: [...panel.skives, ...both] } : panel],
    pile: alone(panel),
    joins: [],
    base: 'gusset',
    start: 0,
    sheets: ['gusset'],
    inBase: (path) => path,
    concerns: [],
    stands: [{ sheet: 'gusset', from: 0, along: 1, proud: 0 }],
  }
}

/** Two sides that lap over a piece for the foot, each held by a row across. */
function threeStrips(bag: Bag, strip: Strip): Gussets {
  const { margin, p } = bag
  const [m, lap] = [margin.value, BENCH.lap]
  const wide = widest(strip) + 2 * m
  const whole = strip.length.value
  // The lap lies on the straight of the foot, just past the corner, where there is room for it.
  const sideEnd = Math.min(strip.corners[0]![1] + lap + 4, whole / 2 - 2)
  const from = sideEnd - lap
  const fate = (edge: string) => (edge === 'left' ? endFate(bag) : edge === 'right' ? bag.plain : bag.seamed)
  const side = plainPanel({
    id: 'gusset-side',
    name: 'Gusset, side',
    role: 'gusset',
    count: 2,
    ...rectangleShape(sideEnd, wide, {}, fate),
    marks: cutMarks(
      'snips',
      stripSnips(
        bag,
        { ...strip, corners: [strip.corners[0]!] },
        radiusFor(p.radius, bag.s.wide.value, bag.s.high.value),
        wide / 2,
      ),
    ),
  })
  const base = plainPanel({
    id: 'gusset-foot',
    name: 'Gusset, foot',
    role: 'gusset',
    ...rectangleShape(whole - 2 * from, wide, {}, (edge) =>
      edge === 'left' || edge === 'right' ? bag.plain : bag.seamed,
    ),
  })
  const turned = { a: -1, b: 0, c: 0, d: -1, e: whole - from, f: wide }
  const row = (id: string, name: string, sheet: string) =>
    lineSeam({
      id,
      name,
      sheet,
      points: [point(sideEnd - lap / 2, m + 2), point(sideEnd - lap / 2, wide - m - 2)],
      through: ['gusset-foot', sheet],
      back: [1, 1],
    })
  return {
    panels: [base, side],
    pile: {
      base: 'gusset-foot',
      sheets: [
        panelSheet('gusset-foot', 'foot of the gusset', 'gusset-foot', STAY, true),
        panelSheet('gusset-right', 'right side of the gusset', 'gusset-side', shift(-from, 0), true),
        panelSheet('gusset-left', 'left side of the gusset', 'gusset-side', turned, true),
      ],
    },
    joins: [
      row('lap-right', 'lap of the gusset, right', 'gusset-right'),
      row('lap-left', 'lap of the gusset, left', 'gusset-left'),
    ],
    base: 'gusset-foot',
    start: from,
    sheets: ['gusset-foot', 'gusset-right', 'gusset-left'],
    inBase: (path) => ({
      ...path,
      segments: path.segments.map((q) =>
        q.type === 'line'
          ? { ...q, from: point(q.from.x - from, q.from.y), to: point(q.to.x - from, q.to.y) }
          : q,
      ),
    }),
    concerns: [],
    stands: [
      { sheet: 'gusset-foot', from: -from, along: 1, proud: 0 },
      { sheet: 'gusset-right', from: 0, along: 1, proud: LAPPED },
      { sheet: 'gusset-left', from: whole, along: -1, proud: LAPPED },
    ],
  }
}

/** Where the corners begin and end, and the middle of the foot, on both edges of both gusset seams. */
function cornerMeetings(profile: Profile, strip: Strip, m: number, g: Gussets): Meeting[] {
  const { span, rise, radius: r } = profile
  const level = widest(strip) / 2 + m
  const [[a, b], [c, d]] = strip.corners as [readonly [number, number], readonly [number, number]]
  const half = (x: number): number => {
    const i = strip.halves.findIndex((q) => q.x >= x - 1e-6)
    const [before, after] = [strip.halves[Math.max(0, i - 1)]!, strip.halves[Math.max(0, i)]!]
    const share = after.x > before.x ? (x - before.x) / (after.x - before.x) : 0
    return before.y + share * (after.y - before.y)
  }
  const places: readonly (readonly [string, number, number, number])[] = [
    ['corner-1', a, m + span, rise - r],
    ...(r > 0 ? [['corner-2', b, m + span - r, rise] as const] : []),
    ['foot', (b + c) / 2, m + span / 2, rise],
    ...(r > 0 ? [['corner-3', c, m + r, rise] as const] : []),
    ['corner-4', d, m, rise - r],
  ]
  return places.flatMap(([id, along, x, y]) =>
    (['front', 'back'] as const).map((sheet): Meeting => {
      const front = sheet === 'front'
      // The back is seen from behind: its right is the other end of the strip.
      const on = front ? along : strip.length.value - along
      return {
        id: `${sheet}-${id}`,
        a: { sheet, at: point(x, y) },
        b: { sheet: g.base, at: point(on - g.start, level + (front ? 1 : -1) * half(on)) },
      }
    }),
  )
}

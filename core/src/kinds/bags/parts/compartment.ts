import {
  type Path,
  type Point3,
  pathMoved,
  point,
  point3,
  point3Add,
  point3Along,
  point3Scale,
  shift,
} from '../../../geometry/index.js'
import { type Frame, type Panel, type Stood, insetChainMaybe } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { plainPanel } from '../../parts/shape.js'
import { X, Y, flatPart, minus } from '../axes.js'
import type { Bag } from '../bag.js'
import { type Body, type Face, type Part, alone, part } from '../assembly.js'
import { roomIn, tooSmall } from './compartmentRoom.js'
import { type Profile, profileChain, profileShape, radiusFor } from '../bodies/profile.js'
import { type Strip, plainStrip, stripShape, stripStitches, taperingStrip, widest } from '../bodies/strip.js'
import { TOP_IN, bodySeams } from '../seam.js'

/** No compartment is smaller either way, mm. */
const LEAST_SIDE = 30

/** Above the foot of the front, where its own seam lies, and in from its sides, mm. */
const CLEAR = { foot: 6, side: 4 } as const
/** A gusset that runs out at the foot is still so deep there that it can be sewn on both sides, mm. */
const RUNS_OUT = 4

/** A second compartment on the front with a gusset of its own; lengths mm. */
interface Compartment {
  readonly bag: Bag
  readonly face: Face
  readonly profile: Profile
  readonly strip: Strip
  /** Its front’s top edge under the top of the body. */
  readonly drop: number
}

/** Its sizes are told under names of their own. */
const named = (bag: Bag): Bag => ({
  ...bag,
  p: { ...bag.p, cornerEase: 0 },
  second: undefined,
  reckon: (about, inputs) =>
    bag.reckon({ ...about, key: `outer.${about.key}`, label: `outer compartment: ${about.label}` }, inputs),
})

function compartmentOf(whole: Bag, body: Body): Compartment {
  const bag = named(whole)
  const { p } = bag
  const face = body.front
  const span = Math.max(LEAST_SIDE, Math.min(p.outerWide, face.wide - 2 * CLEAR.side))
  const rise = Math.max(LEAST_SIDE, Math.min(p.outerHigh, face.high - CLEAR.foot - TOP_IN))
  const profile: Profile = { span, rise, radius: radiusFor(Math.min(p.radius, span / 3), span, rise) }
  const tapers = p.outer === 'tapered'
  const strip = tapers
    ? taperingStrip(bag, profile, p.outerDeep, RUNS_OUT)
    : plainStrip(bag, profile, p.outerDeep / 2, { outward: 0 })
  return { bag, face, profile, strip, drop: face.high - CLEAR.foot - rise }
}

/** The compartment’s front as a face: what shuts the bag is set on it where it covers the body’s front. */
function outerFace(made: Compartment): Face {
  const { face, profile, drop, strip, bag } = made
  const { edges: _, ...own } = face
  return {
    ...own,
    sheet: 'outer-front',
    move: shift(profile.span / 2 + bag.margin.value, -drop),
    frame: (opened) => {
      const { at, half, right, down, grain } = standing(made, opened)
      const top = at(point3(0, profile.rise * Math.cos(strip.lean), half(profile.rise)))
      return { origin: point3Along(top, down, -drop), right, down, grain }
    },
  }
}

/** Where its pieces stand: its back lies on the front of the body, its own front leans out from that. */
function standing({ bag, face, profile, strip, drop }: Compartment, opened: number) {
  const { origin, right, down, grain } = face.frame(opened)
  const [c, sn] = [Math.cos(strip.lean), Math.sin(strip.lean)]
  const foot = strip.halves.reduce((min, h) => Math.min(min, h.y), Infinity)
  const out = face.seamOffset + bag.body.thickness / 2 + bag.gusset.thickness
  const base = point3Along(point3Along(origin, down, drop + profile.rise), grain, out)
  /** From the compartment standing by itself, its foot at 0, its two walls leaning apart alike. */
  const turned = (v: Point3): Point3 =>
    point3Add(
      point3Add(point3Scale(right, v.x), point3Scale(down, -c * v.y + sn * v.z)),
      point3Scale(grain, sn * v.y + c * v.z),
    )
  return {
    half: (up: number): number => foot + up * sn,
    at: (v: Point3): Point3 => point3Add(base, turned(point3(v.x, v.y, v.z + foot))),
    turned,
    right,
    down: turned(point3(0, -c, -sn)),
    grain: turned(point3(0, -sn, c)),
  }
}

function stoodPieces(made: Compartment, opened: number): Stood[] {
  const { bag, profile, strip } = made
  const { span, rise } = profile
  const [m, c] = [bag.margin.value, Math.cos(strip.lean)]
  const stands = standing(made, opened)
  const level = widest(strip) / 2 + m
  const flat = flatPart(
    stands.at(point3(-(span / 2 + m), rise * c, stands.half(rise))),
    stands.turned(X),
    stands.grain,
  )
  const frame: Frame = {
    origin: stands.at(point3(span / 2, rise * c, 0)),
    along: stands.turned(minus(Y)),
    rise: stands.turned(X),
  }
  return [
    { sheet: 'outer-front', seamOffset: bag.seamOffset.flat, parts: [flat] },
    {
      sheet: 'outer-gusset',
      seamOffset: bag.seamOffset.walls,
      parts: [{ clips: [], from: point(0, level), along: point(1, 0), course: strip.course, frame }],
    },
  ]
}

function panelsOf({ bag, profile, strip }: Compartment): readonly [Panel, Panel] {
  const m = bag.margin.value
  const front = plainPanel({
    id: 'outer-front',
    name: 'Front of the outer compartment',
    role: 'body',
    ...profileShape(profile, m, (edge) => (edge === 'top' ? bag.plain : bag.seamed)),
  })
  const gusset = plainPanel({
    id: 'outer-gusset',
    name: 'Gusset of the outer compartment',
    role: 'gusset',
    ...stripShape(
      strip,
      { upper: m, lower: m },
      (edge) => (edge.startsWith('end') ? bag.plain : bag.seamed),
      {
        upper: 'back-side',
        lower: 'front-side',
        start: 'end-right',
        end: 'end-left',
      },
    ),
    notes: ['its back allowance lies flat on the front of the body and is sewn down there'],
  })
  return [front, gusset]
}

/** Where its gusset is sewn to the front of the body, in that panel's coordinates. */
function lineOnFront({ bag, face, profile, drop }: Compartment, front: Panel): Path | undefined {
  const m = bag.margin.value
  const line = insetChainMaybe(front, profileChain(profile.radius), m)
  return line && pathMoved(pathMoved(line, shift(-(profile.span / 2 + m), drop)), face.move)
}

/** A compartment put on, and where things can be set on it. */
interface Outer {
  readonly part: Part
  readonly face: Face
  /** Whether it lies under a place so far down the front, mm. */
  readonly covers: (down: number) => boolean
}

/** From its top edge down there is room for a fastener, mm. */
const UNDER_EDGE = 30

/** A compartment on the outside of the front. */
export function outerCompartment(bag: Bag, body: Body): Outer | undefined {
  if (bag.p.outer === 'none') return undefined
  const made = compartmentOf(bag, body)
  const { face, profile, strip } = made
  const [front, gusset] = panelsOf(made)
  const level = widest(strip) / 2 + bag.margin.value
  const on = lineOnFront(made, front)
  const room = roomIn(made, CLEAR.foot)
  const { size } = bag
  const wide = size('outer.wide', 'outer compartment, width', '{wide} between its seams', '§20', {
    wide: given('width', profile.span),
  })
  const high = size('outer.high', 'outer compartment, height', '{high} above its seam', '§20', {
    high: given('height', profile.rise),
  })
  return {
    face: outerFace(made),
    covers: (down) => down > made.drop + UNDER_EDGE,
    part: part({
      panels: [front, gusset],
      piles: [alone(front), alone(gusset)],
      joins: [
        ...(on
          ? bodySeams(named(bag), {
              id: 'outer-back-seam',
              name: 'seam of the outer gusset on the front',
              sheet: 'outer-gusset',
              chain: ['back-side'],
              mate: on,
              mateSheet: face.sheet,
              through: ['outer-gusset', face.sheet],
            })
          : []),
        ...bodySeams(named(bag), {
          id: 'outer-seam',
          name: 'seam of the outer compartment and its gusset',
          sheet: 'outer-front',
          chain: profileChain(profile.radius),
          mate: stripStitches(strip, level, 1),
          mateSheet: 'outer-gusset',
          through: ['outer-front', 'outer-gusset'],
        }),
      ],
      sizes: [wide, high, strip.length, room.wide, room.high, room.deep].map((s) => ({
        panelId: 'outer-front',
        size: s,
      })),
      concerns: tooSmall(made),
      rooms: [room],
      stood: (opened) => stoodPieces(made, opened),
    }),
  }
}

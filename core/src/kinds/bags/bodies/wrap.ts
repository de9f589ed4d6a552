import { firstOf } from '../../../lists/index.js'
import { boxCentre, pathBox, point, point3, shift, type Path } from '../../../geometry/index.js'
import { type Concern, type Join, type Panel, type Stood, type StoodPart } from '../../../master/index.js'
import { plainPanel, LABEL_DOWN } from '../../parts/shape.js'
import { X, Y, Z, flatPart, minus } from '../axes.js'
import { type Bag, isBackRaw, outsideSizes } from '../bag.js'
import { flapCorners, flapFolded, flapOf, flapPart, isFlapEdge, type Flap } from '../parts/flap.js'
import { type Gussets, SIDE_LAP, cornerMeetings, lowOf, oneStrip, threeStrips } from './gussets.js'
import { alone, part, type Body, type Face } from '../assembly.js'
import {
  cornersOf,
  cutMarks,
  profileChain,
  profileShape,
  radiusFor,
  type Profile,
  veeCuts,
} from './profile.js'
import { bodySeams, reversedIf } from '../seam.js'
import { seamSkives } from '../skiving.js'
import { MOST_TAPER, halfAt, plainStrip, stripStitches, taperingStrip, type Strip, widest } from './strip.js'

/** Where what is wrong with the gusset is shown, mm from its corner. */
const AT_END = { x: 20, y: 10 } as const

/** What front, back and gusset are made by. */
interface Wrapped {
  readonly bag: Bag
  readonly profile: Profile
  readonly strip: Strip
  readonly gussets: Gussets
  /** From the strip’s edge to its middle line, and from the front’s top down to where the strip begins, mm. */
  readonly level: number
  readonly low: number
}

/** Front and back with a gusset round sides and foot, in one strip, in three, or tapering. */
export function wrapBody(bag: Bag): Body {
  const { s, p, margin } = bag
  const [span, rise, m, mb] = [s.wide.value, s.high.value, margin.value, bag.back.margin.value]
  const profile: Profile = { span, rise, radius: radiusFor(p.radius, span, rise) }
  const strip =
    p.body === 'tapered'
      ? taperingStrip(bag, profile, p.topDeep, s.deep.value)
      : plainStrip(bag, profile, s.deep.value / 2, { outward: 0 })
  const { flat, back: behind } = bag.seamOffset
  const apart = (p.body === 'tapered' ? p.topDeep : s.deep.value) + (flat + behind) * Math.cos(strip.lean)
  const flap = p.flap === 'one' ? flapOf(bag, apart, span + 2 * mb, strip.lean) : undefined
  const panels = (['front', 'back'] as const).map((id) =>
    facePanel(bag, id, profile, id === 'back' ? flap : undefined),
  )
  const gussets = p.body === 'wrap-three' ? threeStrips(bag, strip) : oneStrip(bag, strip)
  const shape: Wrapped = { bag, profile, strip, gussets, level: widest(strip) / 2 + mb, low: lowOf(bag) }
  const { level, low } = shape
  const half = s.deep.value / 2
  const made = part({
    panels: [...panels, ...gussets.panels],
    piles: [...panels.map((q) => alone(q)), gussets.pile],
    joins: [...gussets.joins, ...gussetSeams(shape, 'front'), ...gussetSeams(shape, 'back')],
    meetings: cornerMeetings(profile, strip, { front: m, back: mb, upper: mb }, gussets, low),
    corners: cornersOf(bag, 'front', profile, 'gusset'),
    sizes: [
      ...[s.wide, s.high].map((size) => ({ panelId: 'front', size })),
      ...outsideSizes(s, 'front'),
      ...[s.deep, strip.length].map((size) => ({ panelId: firstOf(gussets.panels).id, size })),
      ...(flap ? [{ panelId: 'back', size: flap.over }] : []),
    ],
    concerns: taperConcerns(bag, rise),
    stood: (opened) => [
      ...faces(bag, profile, strip, flap, 1 - opened),
      ...gussets.stands.map(({ sheet, from, along, seamOffset }) => ({
        sheet,
        seamOffset: bag.seamOffset.walls + seamOffset,
        parts: [
          {
            clips: [],
            from: point(from, level),
            along: point(along, 0),
            course: strip.course,
            frame: { origin: point3(span / 2, rise * Math.cos(strip.lean), 0), along: minus(Y), rise: X },
            ...flangesOf(p, level - mb),
          },
        ],
      })),
    ],
  })
  return {
    ...made,
    front: faceOf(shape, 1),
    back: faceOf(shape, -1),
    right: sideOf(shape, 1),
    left: sideOf(shape, -1),
    flap,
    apart,
    lean: strip.lean,
    foot: {
      wide: span / 2 - profile.radius - (p.body === 'wrap-three' ? SIDE_LAP : 0),
      deep: half,
      at: (x, z) => {
        const middle = boxCentre(pathBox(firstOf(gussets.panels).outline))
        return { sheet: gussets.base, at: point(middle.x + x, level + z) }
      },
    },
  }
}

/** The seam of the front, or of the back, with the gusset. */
function gussetSeams({ bag, profile, strip, gussets, level, low }: Wrapped, id: 'front' | 'back'): Join[] {
  const front = id === 'front'
  const line = (by: number): Path =>
    gussets.inBase(
      reversedIf(stripStitches({ ...strip, halves: widened(strip, by) }, level, front ? 1 : -1), !front),
    )
  const raw = isBackRaw(bag.p)
  const sewn = front ? bag : { ...bag, margin: bag.back.margin, second: raw ? undefined : bag.second }
  const seams = bodySeams(sewn, {
    id: `${id}-seam`,
    name: `seam of the ${id} and the gusset`,
    sheet: id,
    chain: profileChain(profile.radius),
    mate: line(0),
    mateSheet: gussets.base,
    beside: line,
    through: [id, ...gussets.sheets],
    twin: front ? 'back-seam' : 'front-seam',
    pairName: 'two gusset seams',
    low,
  })
  return front || !raw ? seams : seams.map((join) => ({ ...join, hidden: false }))
}

/** The front or the back as parts are put on it. */
function faceOf({ bag, profile: { span, rise }, strip }: Wrapped, way: 1 | -1): Face {
  const m = (way > 0 ? bag.margin : bag.back.margin).value
  const [c, sn, half] = [Math.cos(strip.lean), Math.sin(strip.lean), bag.s.deep.value / 2]
  return {
    sheet: way > 0 ? 'front' : 'back',
    move: shift(span / 2 + m, 0),
    wide: span,
    high: rise,
    edges: () => [-span / 2 - m, span / 2 + m],
    seamOffset: way > 0 ? bag.seamOffset.flat : bag.seamOffset.back,
    frame: () => ({
      origin: point3(0, rise * c, way * (half + rise * sn)),
      right: way > 0 ? X : minus(X),
      down: point3(0, -c, -way * sn),
      grain: point3(0, -sn, way * c),
    }),
  }
}

/** The right or the left side, all of the strip that stands there. */
function sideOf({ bag, profile: { span, rise }, strip, level, low }: Wrapped, way: 1 | -1): Face {
  const [m, mb] = [bag.margin.value, bag.back.margin.value]
  const three = bag.p.body === 'wrap-three'
  return {
    sheet: three ? `gusset-${way > 0 ? 'right' : 'left'}` : 'gusset',
    // Seen from outside the right end of the strip runs down with the back to the right.
    move:
      way > 0 || three
        ? { a: 0, b: -1, c: 1, d: 0, e: low, f: level }
        : { a: 0, b: 1, c: -1, d: 0, e: strip.length.value - low, f: level },
    wide: 2 * halfAt(strip, low),
    high: rise - low,
    edges: (down) => {
      const half = halfAt(strip, low + down)
      return way > 0 ? [-half - m, half + mb] : [-half - mb, half + m]
    },
    seamOffset: bag.seamOffset.walls,
    frame: () => ({
      origin: point3((way * span) / 2, (rise - low) * Math.cos(strip.lean), 0),
      right: way > 0 ? minus(Z) : Z,
      down: minus(Y),
      grain: way > 0 ? X : minus(X),
    }),
  }
}

/** Borders that stand out square at raw seams: beyond so far from the middle line of the strip, mm. */
function flangesOf(p: Bag['p'], half: number): Pick<StoodPart, 'flanges'> {
  if (p.body === 'tapered') return {}
  if (isBackRaw(p)) return { flanges: { from: -half, to: Infinity } }
  return p.seam === 'raw' ? { flanges: { from: -half, to: half } } : {}
}

/** A taper steeper than panels can lean was taken back to what stands. */
function taperConcerns({ p, s }: Bag, rise: number): Concern[] {
  if (p.body !== 'tapered' || Math.abs(p.topDeep - s.deep.value) <= MOST_TAPER * rise) return []
  const value = Math.floor(s.deep.value + Math.sign(p.topDeep - s.deep.value) * rise)
  return [
    {
      id: 'taper-steep',
      rank: 'stop',
      panelId: 'gusset',
      at: point(AT_END.x, AT_END.y),
      what: 'The gusset tapers more than a bag of that height can lean',
      why: 'It is drawn as steep as panels can stand. Make the depth at the top more like that of the foot.',
      remedy: { field: 'topDeep', value: Math.max(0, value), said: 'a gentler taper' },
    },
  ]
}

const widened = ({ halves }: Strip, by: number) => halves.map((q) => point(q.x, q.y + by))

/** The front, or the back with the flap that goes on from it. */
function facePanel(bag: Bag, id: 'front' | 'back', profile: Profile, flap: Flap | undefined): Panel {
  const { p, body } = bag
  const { margin, seamed } = id === 'back' ? bag.back : bag
  const turned = p.seam === 'turned' && !(id === 'back' && isBackRaw(p))
  const wide = profile.span + 2 * margin.value
  const fate = (edge: string) => (edge === 'top' ? bag.topFate : isFlapEdge(edge) ? bag.plain : seamed)
  const shape = profileShape(profile, margin.value, fate, flap && flapCorners(flap, wide))
  const chain = profileChain(profile.radius)
  return plainPanel({
    id,
    name: id === 'front' ? 'Front' : flap ? 'Back and flap' : 'Back',
    role: 'body',
    ...shape,
    ...(turned ? seamSkives(bag, chain, body.thickness, id) : {}),
    ...flapFolded(flap, wide, body.thickness),
    marks: turned ? cutMarks('vee', veeCuts(bag, profile)) : [],
    ...(flap ? { labelAt: point(wide / 2, profile.rise * LABEL_DOWN) } : {}),
  })
}

/** Front and back where they stand; they lean where the gusset tapers. */
function faces(
  { s, margin, back, seamOffset }: Bag,
  { span, rise }: Profile,
  { lean }: Strip,
  flap: Flap | undefined,
  shut: number,
): Stood[] {
  const foot = s.deep.value / 2
  const [c, sn] = [Math.cos(lean), Math.sin(lean)]
  const one = (sheet: string, way: 1 | -1): Stood => {
    const m = (way > 0 ? margin : back.margin).value
    const corner = point3(-way * (span / 2 + m), rise * c, way * (foot + rise * sn))
    const grain = point3(0, -sn, way * c)
    const flat = flatPart(corner, way > 0 ? X : minus(X), grain)
    const over = way < 0 && flap
    return {
      sheet,
      seamOffset: way > 0 ? seamOffset.flat : seamOffset.back,
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

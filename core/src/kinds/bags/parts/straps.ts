import { point, point3Along, type Point3 } from '../../../geometry/index.js'
import type { Fitting, Hanging } from '../../../master/index.js'
import { type Bag } from '../bag.js'
import { onPanel, putOn, rectanglePanel, row } from './onFace.js'
import { alone, part, together, type Body, type Part } from '../assembly.js'
import { type RingLoops, LOOP_REACH, fitsThrough, ringLoops } from './ringLoops.js'
import { padOf, padParts, slidingPad } from './pads.js'
import { holesOff } from './strapHoles.js'
import { backSeams, buckleAt, joinedOn, runsOf, strapPanels } from './strapPanels.js'
import { hung } from './strapStand.js'
import { BENCH, type Sizes, hasHooks, strapSizes } from './strapSizes.js'

/** The least of a tab's width, and the row of it below its fold, mm. */
const TAB = { min: 12, row: 6 } as const
/** The yoke: half of what its straps stand apart, what is left of the back, what stands over beside the straps, its corners, mm. */
const YOKE = { apart: 60, leaves: 10, over: 30, corner: 10 } as const
/** Straps begin below what is sewn along the top, below a closing strap, in from the corners and above the foot, mm. */
const BEGIN = { raw: 10, underBand: 6, closing: 48, corner: 6, aboveFoot: 18 } as const

/** What every strap in two parts brings: its pieces, turn-backs, buckle and lengths, `count` times. */
function strapInTwo(bag: Bag, s: Sizes, count: number): Part {
  const { p } = bag
  const { panels, part: joined } = joinedOn(bag, s, strapPanels(bag, s, count))
  return together([
    joined,
    part({
      panels,
      piles: panels.map((q) => alone(q)),
      joins: [
        ...backSeams(bag, s, 'strap-long', ['start'], s.long.value),
        ...backSeams(bag, s, 'strap-short', ['start', 'end'], s.short.value),
      ],
      fittings: [
        {
          id: 'buckle',
          name: 'buckle of the strap',
          role: 'buckle',
          sheet: 'strap-short',
          at: point(p.strapWide / 2, buckleAt(p, s)),
          up: Math.PI / 2,
          through: [],
          held: true,
          count,
          before: 'strap-short-end-1',
        },
        ...hookFittings(bag, s),
      ],
      concerns: holesOff({
        panelId: p.strapJoin === 'none' ? 'strap-long' : 'strap-tip',
        at: point(p.strapWide / 2, p.strapWide),
        usual: s.usual.value,
        back: p.lap,
        holes: p.strapHoles,
        spacing: p.strapSpacing,
        field: 'strapHoles',
      }),
      fits: [
        fitsThrough(bag, 'buckle', 'strap-short', p.strapWide, 'strapWide'),
        ...(hasHooks(p) ? [fitsThrough(bag, 'hook', 'strap-long', p.strapWide, 'strapWide')] : []),
      ],
      sizes: [
        ...[s.usual, s.long, s.overlap, s.min, s.max, s.total].map((size) => ({
          panelId: 'strap-long',
          size,
        })),
        ...[s.back, s.backBuckle, s.short, s.slot].map((size) => ({ panelId: 'strap-short', size })),
        { panelId: 'keeper', size: s.keeper },
      ],
      strapRuns: runsOf(s, joined),
    }),
  ])
}

/** A swivel hook in the turned end of either part. */
const hookFittings = ({ p }: Bag, s: Sizes): Fitting[] =>
  hasHooks(p)
    ? (['long', 'short'] as const).map((which) => ({
        id: `hook-${which}`,
        name: `hook of the strap’s ${which} part`,
        role: 'hook',
        sheet: `strap-${which}`,
        at: point(p.strapWide / 2, p.lap + (s.back.value - p.lap) / 2),
        up: -Math.PI / 2,
        through: [],
        held: true,
        count: 1,
        before: `strap-${which}-start-1`,
      }))
    : []

/** Loops and rings that a strap is hung from; narrower where a side has no room for its width. */
function strapRings(bag: Bag, places: RingLoops['places']): Part {
  const room = Math.min(...places.map((q) => q.face.wide)) - 4
  return ringLoops(bag, {
    panelId: 'tab',
    role: 'ring',
    wide: Math.min(bag.p.strapWide, Math.max(TAB.min, room)),
    field: 'strapWide',
    places,
  })
}

/** A strap over the shoulder, its two parts hung from rings at the sides. */
export function shoulderStrap(bag: Bag, body: Body): Part {
  const s = strapSizes(bag)
  const places = [
    { face: body.right, x: 0, y: 8, id: 'right', words: 'at the right side' },
    { face: body.left, x: 0, y: 8, id: 'left', words: 'at the left side' },
  ]
  const pad = padOf(bag, s)
  const hanging: Hanging = {
    name: 'shoulder strap',
    points: places.map(({ face, x, y }) => ({ sheet: face.sheet, at: onPanel(face, x, y) })),
  }
  return together([
    strapRings(bag, places),
    strapInTwo(bag, s, 1),
    ...(pad ? [slidingPad(bag, pad)] : []),
    part({
      hanging: [hanging],
      stood: (opened) => {
        const [a, b] = places.map(({ face, x, y }) => {
          const f = face.frame(opened)
          return point3Along(
            point3Along(point3Along(f.origin, f.right, x), f.down, y - TAB.row),
            f.grain,
            face.seamOffset + 4,
          )
        }) as [Point3, Point3]
        return hung(bag, s, b, a, { x: 0, y: 1, z: 0 })
      },
    }),
  ])
}

/** Two straps over the shoulders: from a yoke on the back’s top to rings at its lower corners. */
export function shoulderPair(bag: Bag, body: Body): Part {
  const { p } = bag
  const s = strapSizes(bag)
  const { back } = body
  const apart = Math.min(back.wide / 3, YOKE.apart)
  const yokeWide = Math.min(back.wide - YOKE.leaves, 2 * apart + p.strapWide + YOKE.over)
  const yokeHigh = Math.min(BENCH.yokeHigh, Math.max(BENCH.yokeLeast, BENCH.yokeShare * back.high))
  const yoke = rectanglePanel(bag, 'yoke', 'Strap panel', 'gusset', yokeWide, yokeHigh, {
    corner: YOKE.corner,
  })
  // Below what is sewn along the top, and below a closing strap.
  const top =
    (p.top === 'single' ? BEGIN.raw : p.topBand + BEGIN.underBand) +
    (p.closure === 'strap' ? BEGIN.closing : 0)
  const corner = back.wide / 2 - p.strapWide / 2 - BEGIN.corner
  const places = [
    {
      face: back,
      x: -corner,
      y: back.high - LOOP_REACH - BEGIN.aboveFoot,
      id: 'right',
      words: 'at the right corner',
    },
    {
      face: back,
      x: corner,
      y: back.high - LOOP_REACH - BEGIN.aboveFoot,
      id: 'left',
      words: 'at the left corner',
    },
  ]
  const m = p.margin
  const pad = padOf(bag, s)
  return together([
    strapRings(bag, places),
    strapInTwo(bag, s, 2),
    ...(pad ? [padParts(bag, pad)] : []),
    part({
      panels: [yoke],
      onto: [putOn(back, yoke, { x: 0, y: top })],
      joins: [
        ...(
          [
            ['yoke-top', 'strap panel, upper row', m],
            ['yoke-foot', 'strap panel, lower row', yokeHigh - m],
          ] as const
        ).map(([id, name, y]) => ({
          ...row(id, name, 'yoke', [point(10, y), point(yokeWide - 10, y)], ['yoke', back.sheet]),
          free: true,
        })),
      ],
      stood: (opened) => {
        const f = back.frame(opened)
        const on = (x: number, y: number): Point3 =>
          point3Along(point3Along(point3Along(f.origin, f.right, x), f.down, y), f.grain, back.seamOffset + 4)
        return [1, -1].flatMap((way) =>
          hung(
            bag,
            s,
            on(way * apart, top + yokeHigh),
            on(way * corner, back.high - LOOP_REACH - 10),
            f.grain,
          ),
        )
      },
    }),
  ])
}

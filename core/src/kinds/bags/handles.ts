import { handleArc, pipedCover, turnBack } from '../../formulas/index.js'
import { type Point3, courseOf, point, point3Along, point3Cross } from '../../geometry/index.js'
import type { Fitting, Join, StoodPart } from '../../master/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { leatherOf } from '../kind.js'
import { type Bag } from './bag.js'
import { onPanel, putOn, rectanglePanel, row, rowsAlong } from './onFace.js'
import { type Body, type Face, type Part, alone, part, together } from './parts.js'
import { arcOver } from './straps.js'
import type { Flap } from './flap.js'
import { firstSeam } from './top.js'

/** Bar of a ring, room below the top edge, stitch row under the cord, and what a rolled handle’s flanges take, mm. */
const BENCH = { bar: 4, under: 4, flange: 6, tab: 30 } as const

/** An end of a handle: the face its own length runs down on, and where from. */
interface End {
  readonly face: Face
  readonly x: number
}

interface Hand {
  readonly ends: readonly [End, End]
  readonly suffix: string
  readonly words: string
  /** Where the middle between its ends stands, and which way its arc rises. */
  readonly frame: (opened: number) => { origin: Point3; right: Point3; up: Point3; grain: Point3 }
  /** On front or back the ends hang down; on a flap they lie outward along its top. */
  readonly flat: boolean
}

function onWall(bag: Bag, face: Face, suffix: string, words: string): Hand {
  const half = bag.p.handleSpan / 2
  return {
    suffix,
    words,
    flat: false,
    ends: [
      { face, x: -half },
      { face, x: half },
    ],
    frame: (opened) => {
      const { origin, right, down, grain } = face.frame(opened)
      return {
        origin: point3Along(origin, grain, face.proud + bag.body.thickness),
        right,
        up: { x: -down.x, y: -down.y, z: -down.z },
        grain,
      }
    },
  }
}

/** On top of a flap, in the middle between back and front. */
function onFlap(bag: Bag, body: Body, flap: Flap): Hand {
  const half = bag.p.handleSpan / 2
  const sewn = bag.p.flap === 'sewn'
  const { back } = body
  const middle = sewn ? point(back.wide / 2, -flap.over.value / 2) : onPanel(back, 0, -flap.over.value / 2)
  const across = sewn ? point(1, 0) : point(back.move.a, back.move.b)
  const frame: Hand['frame'] = (opened) => {
    const at = back.frame(opened)
    const angle = (Math.PI / 2) * (1 - opened)
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    const up = { x: -at.down.x, y: -at.down.y, z: -at.down.z }
    const mix = (u: number, g: number): Point3 =>
      point3Along({ x: up.x * u, y: up.y * u, z: up.z * u }, at.grain, g)
    // Shut, the flap runs from the back to the front with its grain up; open, it stands up behind.
    const along = mix(c, -s)
    const grain = mix(s, c)
    const origin = point3Along(
      point3Along(at.origin, along, flap.over.value / 2),
      grain,
      bag.body.thickness + 2,
    )
    return { origin, right: at.right, up: grain, grain: { x: -along.x, y: -along.y, z: -along.z } }
  }
  const end = (way: 1 | -1): End => {
    const w = point(across.x * way, across.y * way)
    const at = point(middle.x + w.x * half, middle.y + w.y * half)
    return {
      x: 0,
      face: {
        ...back,
        sheet: sewn ? 'flap' : back.sheet,
        move: { a: w.y, b: -w.x, c: w.x, d: w.y, e: at.x, f: at.y },
        proud: 0,
        frame: (opened) => {
          const f = frame(opened)
          const out = { x: f.right.x * way, y: f.right.y * way, z: f.right.z * way }
          return {
            origin: point3Along(f.origin, out, half),
            right: point3Cross(f.up, out),
            down: out,
            grain: f.up,
          }
        },
      },
    }
  }
  return { suffix: 'flap', words: '', flat: true, ends: [end(-1), end(1)], frame }
}

/** Handles on front and back, or one on the back, or on top of the flap. */
export function handles(bag: Bag, body: Body, flap: Flap | undefined): Part {
  const { p } = bag
  if (p.handle === 'none') return part({})
  const on: Hand[] =
    p.handles === 2
      ? [onWall(bag, body.front, 'front', 'of the front'), onWall(bag, body.back, 'back', 'of the back')]
      : [flap ? onFlap(bag, body, flap) : onWall(bag, body.back, 'back', '')]
  return together(on.map((hand, i) => handle(bag, body, hand, i === 0)))
}

/** The free part of a handle, its thickness counted, mm: an arc, or upright legs with half a circle over them. */
function arcOf(bag: Bag, thickness: number, k: number): Reckoned {
  const { p, size } = bag
  const legs = p.handleRise > p.handleSpan / 2
  return size(
    'handle.arc',
    'handle between its ends',
    legs
      ? '2 × ({rise} − {span} / 2) legs + π × ({span} / 2 + {k} × {t})'
      : 'arc over {span} that rises {rise}; leather {t}, {k} of it inside the middle',
    '§10',
    {
      span: given('span', p.handleSpan),
      rise: given('rise', p.handleRise),
      t: given('thickness', thickness, 'thickness'),
      k: given('neutral share', k, 'share'),
    },
    (v) =>
      legs
        ? 2 * (v.rise - v.span / 2) + Math.PI * (v.span / 2 + v.k * v.t)
        : handleArc(v.span, v.rise, v.t, v.k),
  )
}

function handle(bag: Bag, body: Body, hand: Hand, first: boolean): Part {
  const { suffix, words } = hand
  const { p, size, materials } = bag
  const strap = leatherOf(materials, 'straps')
  const t = strap.thickness
  const layers = p.handle === 'doubled' ? 2 : 1
  const arc = arcOf(bag, layers * t, strap.neutral)
  const ring = p.handle === 'ring'
  const rolled = p.handle === 'rolled'
  const back = size(
    'handle.back',
    'turned back round the ring',
    'π × ({bar} ring / 2 + {k} × {t})',
    '§10',
    {
      bar: given('ring', BENCH.bar),
      k: given('neutral share', strap.neutral, 'share'),
      t: given('leather', t, 'thickness'),
    },
    (v) => turnBack(v.bar, v.t, v.k, 0),
  )
  // Round both rings and back underneath, so that the ends meet in the middle.
  const length = ring
    ? size(
        'handle.length',
        'handle strip: out, round both rings, back to where its ends meet in the middle',
        '2 × {arc} + 2 × {back}',
        '§10',
        { arc, back },
        (v) => 2 * v.arc + 2 * v.back,
      )
    : size(
        'handle.length',
        'handle with both ends',
        '{arc} + 2 × {ends} sewn on',
        '§10',
        { arc, ends: given('ends', p.lap) },
        (v) => v.arc + 2 * v.ends,
      )
  const wide = rolled
    ? size(
        'handle.cover',
        'cover round the cord, with a flange on either side',
        'once round a cord of {cord} with {t} leather + 2 × {flange}',
        '§10',
        {
          cord: given('cord', p.handleCord),
          t: given('leather', t, 'thickness'),
          flange: given('flange', BENCH.flange),
        },
        (v) => pipedCover(v.cord, v.t, strap.neutral, v.cord / 2 + 2 * v.t) + 2 * v.flange,
      )
    : size('handle.wide', 'width', '{wide}', '§10', { wide: given('width', p.handleWide) }, (v) => v.wide)
  const id = `handle-${suffix}`
  const w = wide.value
  const m = p.margin
  const panel = rectanglePanel(bag, 'handle', 'Handle', 'straps', length.value, w, {
    count: p.handles * layers,
    corner: rolled || ring ? 0 : Math.min(w / 2 - 0.5, 10),
    grain: 0,
    pull: 0,
    notes: [
      ...(rolled ? [`round a cord of ${p.handleCord} mm, ${Math.round(arc.value)} mm long`] : []),
      ...(ring ? ['its ends meet under the middle; edges sewn through both layers'] : []),
    ],
  })
  const top = BENCH.under
  const lap = p.lap
  const sewn = p.handleFix === 'sewn'
  const seams: Join[] = ring
    ? []
    : ([-1, 1] as const).flatMap((way): Join[] => {
        const { face, x: at } = hand.ends[way < 0 ? 0 : 1]
        const x = (q: number): number => (way < 0 ? q : length.value - q)
        const box = [point(x(lap - m), m), point(x(m), m), point(x(m), w - m), point(x(lap - m), w - m)]
        return sewn
          ? [
              {
                ...row(
                  `${id}-${way < 0 ? 'left' : 'right'}`,
                  `${way < 0 ? 'left' : 'right'} end of the handle ${words}`.trim(),
                  id,
                  box,
                  [id, ...(layers === 2 ? [`${id}-under`] : []), face.sheet],
                ),
                mate: {
                  type: 'line',
                  sheet: face.sheet,
                  line: lineThrough(
                    box.map((q) => {
                      // The end hangs down the face: its length runs up from the lap, its width across.
                      const down = top + lap - Math.abs(q.x - x(0))
                      return onPanel(face, at + (way < 0 ? q.y - w / 2 : w / 2 - q.y), down)
                    }),
                  ),
                },
              },
            ]
          : []
      })
  const edges: Join[] =
    layers === 2 || ring || rolled
      ? [m, w - m].map((y, i) =>
          row(
            `${id}-edge-${i + 1}`,
            `edge row ${i + 1} of the handle ${words}`.trim(),
            id,
            rolled
              ? [point(lap + 6, y), point(length.value - lap - 6, y)]
              : ring
                ? [point(length.value / 4 + 4, y), point((3 * length.value) / 4 - 4, y)]
                : [point(lap + 4, y), point(length.value - lap - 4, y)],
            [id, ...(layers === 2 ? [`${id}-under`] : [])],
          ),
        )
      : []
  const rivets: Fitting[] =
    !ring && !sewn
      ? ([-1, 1] as const).flatMap((way) => {
          const { face, x: at } = hand.ends[way < 0 ? 0 : 1]
          return [0.3, 0.75].map((share, i): Fitting => ({
            id: `${id}-rivet-${way < 0 ? 'left' : 'right'}-${i + 1}`,
            name: `rivet of the handle ${words}`.trim(),
            role: 'rivet',
            sheet: face.sheet,
            at: onPanel(face, at, top + lap * share),
            up: -Math.PI / 2,
            through: [
              { sheet: face.sheet, times: 1 },
              {
                sheet: id,
                times: layers,
                at: point(way < 0 ? lap * (1 - share) : length.value - lap * (1 - share), w / 2),
              },
              ...(p.top === 'doubled' && !hand.flat && top + lap * share < p.topBand
                ? [{ sheet: `facing-${suffix}`, times: 1 }]
                : []),
            ],
            count: 1,
            ...(firstSeam(body) ? { before: firstSeam(body)! } : {}),
          }))
        })
      : []
  const rings = ring ? ringTabs(bag, hand, strap.thickness, strap.neutral) : part({})
  return together([
    rings,
    part({
      panels: first ? [panel] : [],
      piles: [
        {
          base: id,
          sheets: [
            ...(layers === 2
              ? [{ ...alone(panel, `${id}-under`, 'handle, under layer').sheets[0]!, grainUp: false }]
              : []),
            alone(panel, id, 'handle').sheets[0]!,
          ],
        },
      ],
      joins: [...edges, ...seams],
      fittings: rivets,
      sizes: first
        ? [arc, ...(ring ? [back] : []), length, ...(rolled ? [wide] : [])].map((size) => ({
            panelId: 'handle',
            size,
          }))
        : [],
      hanging: [
        {
          name: words ? `handle ${words}` : 'handle',
          points: hand.ends.map(({ face, x }) => ({ sheet: face.sheet, at: onPanel(face, x, 0) })),
        },
      ],
      strapRuns: first ? [{ panelId: 'handle', name: 'handle', role: 'straps', length }] : [],
      stood: (opened) => [
        {
          sheet: id,
          proud: t / 2,
          group: 'straps',
          parts: arcParts(
            hand,
            opened,
            p.handleSpan,
            length.value,
            ring ? length.value / 4 : lap,
            w,
            ring,
            top,
            bag.body.thickness / 2 + (layers - 1) * t,
          ),
        },
      ],
    }),
  ])
}

const lineThrough = (points: readonly { x: number; y: number }[]) => ({
  closed: false,
  segments: points.slice(1).map((to, i) => ({ type: 'line' as const, from: points[i]!, to })),
})

/** A handle over a span: its ends lie on the face, the rest goes over in an arc as long as its leather. */
function arcParts(
  hand: Hand,
  opened: number,
  span: number,
  length: number,
  end: number,
  wide: number,
  ring: boolean,
  top: number,
  out: number,
): StoodPart[] {
  const { origin, right, up, grain } = hand.frame(opened)
  const free = length - 2 * end
  // Leather longer than half a circle over the span stands up in two legs.
  const half = (Math.PI * span) / 2
  const leg = Math.max(0, (free - half) / 2)
  const turn = leg > 0 ? Math.PI : arcOver(free, span)
  const [c, s] = [Math.cos(turn / 2), Math.sin(turn / 2)]
  const along = point3Along({ x: right.x * c, y: right.y * c, z: right.z * c }, up, s)
  const arc: StoodPart = {
    clips: [
      { at: point(end, 0), inward: point(1, 0) },
      { at: point(length - end, 0), inward: point(-1, 0) },
    ],
    from: point(end, wide / 2),
    along: point(1, 0),
    course: courseOf([{ length: leg }, { length: free - 2 * leg, turn }, { length: leg }]),
    frame: { origin: point3Along(origin, right, -span / 2), along, rise: point3Cross(grain, along) },
  }
  if (ring) return [arc]
  const lies = (way: 1 | -1): StoodPart => {
    const { face, x } = hand.ends[way < 0 ? 0 : 1]
    const f = face.frame(opened)
    const off = out + (hand.flat ? 0 : face.proud)
    const at = point3Along(point3Along(point3Along(f.origin, f.right, x), f.down, top + end), f.grain, off)
    return {
      clips: [{ at: point(way < 0 ? end : length - end, 0), inward: point(way, 0) }],
      from: point(way < 0 ? 0 : length, wide / 2),
      along: point(-way, 0),
      course: courseOf([{ length: end }]),
      frame: { origin: at, along: { x: -f.down.x, y: -f.down.y, z: -f.down.z }, rise: f.grain },
    }
  }
  return [arc, lies(-1), lies(1)]
}

/** Two loops of leather that hold the rings of a handle. */
function ringTabs(bag: Bag, { ends, suffix }: Hand, t: number, k: number): Part {
  const { p, size } = bag
  const length = size(
    'handle.tab',
    'tab round a ring, both ends sewn down',
    '2 × {lap} + π × ({bar} ring / 2 + {k} × {t})',
    '§10',
    {
      lap: given('end', BENCH.tab),
      bar: given('ring', BENCH.bar),
      k: given('neutral share', k, 'share'),
      t: given('leather', t, 'thickness'),
    },
    (v) => 2 * v.lap + turnBack(v.bar, v.t, v.k, 0),
  )
  const wide = p.handleWide
  const panel = rectanglePanel(bag, 'ring-tab', 'Tab of a ring', 'straps', wide, length.value, {
    count: 2,
    pull: Math.PI / 2,
  })
  return part({
    panels: [panel],
    onto: ends.map(({ face, x }, i) => putOn(face, panel, { x, y: 6 }, `ring-tab-${suffix}-${i + 1}`)),
    joins: ends.flatMap(({ face }, i) => {
      const sheet = `ring-tab-${suffix}-${i + 1}`
      const m = Math.min(p.margin, wide / 4)
      return rowsAlong(
        `${sheet}-seam`,
        `tab ${i + 1} of the handle’s rings`,
        sheet,
        [m, wide - m],
        [m, BENCH.tab - 2],
        [sheet, face.sheet],
      )
    }),
    sizes: [{ panelId: 'ring-tab', size: length }],
    fittings: ends.map(({ face, x }, i): Fitting => ({
      id: `handle-ring-${suffix}-${i + 1}`,
      name: `ring ${i + 1} of the handle`,
      role: 'ring',
      sheet: face.sheet,
      at: onPanel(face, x, 2),
      up: -Math.PI / 2,
      through: [],
      held: true,
      count: 1,
      before: `ring-tab-${suffix}-${i + 1}-seam-1`,
    })),
  })
}

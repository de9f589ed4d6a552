import {
  type Path,
  closedPath,
  line,
  offsetLargestMaybe,
  openPath,
  pathEnd,
  pathLength,
  pathPart,
  pathReversed,
  pathStart,
  point,
  segmentLength,
} from '../../geometry/index.js'
import { firstOf, nth, required } from '../../lists/index.js'
import { type Panel, insetChainMaybe } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import {
  type Shape,
  finishedFate,
  outlineOf,
  plainPanel,
  rectangleShape,
  LABEL_DOWN,
} from '../parts/shape.js'
import { type SheathParams, hasOwnLoop } from './params.js'
import { LOOP_END, RUNS_OUT, type SheathSizes } from './sizes.js'

/** The corners of a blunt tip are rounded by no more than this, mm. */
const TIP_RADIUS = 12
/** Skived to this at its end, mm. */
const RUN_OUT_TO = 0.2

/** Edges that are sewn, from the mouth round the tip. */
const SIDES = ['right', 'tip-right', 'tip', 'tip-left', 'left']

/** Narrowing from mouth to tip, symmetrical; `above` mm go on above the mouth, `strap` wide. */
function bodyShape(p: SheathParams, s: SheathSizes, above: number): Shape {
  const [w, tip, h] = [s.mouth.value, Math.min(s.tip.value, s.mouth.value), s.length.value]
  const c = w / 2
  const r = Math.min(tip / 2 - 1, TIP_RADIUS)
  const strap = Math.min(p.loopWide, w - 2) / 2
  const fate = finishedFate(p.finish, p.trim, (e) => SIDES.includes(e))
  const top =
    above > 0
      ? [
          { x: 0, y: 0, edge: 'mouth-left' },
          { x: c - strap, y: 0, edge: 'loop-left' },
          { x: c - strap, y: -above, edge: 'loop-end' },
          { x: c + strap, y: -above, edge: 'loop-right' },
          { x: c + strap, y: 0, edge: 'mouth-right' },
          { x: w, y: 0, edge: 'right' },
        ]
      : [
          { x: 0, y: 0, edge: 'mouth' },
          { x: w, y: 0, edge: 'right' },
        ]
  return outlineOf(
    [
      ...top,
      { x: c + tip / 2, y: h, radius: r, edge: 'tip', ...(r > 0 ? { corner: 'tip-right' } : {}) },
      { x: c - tip / 2, y: h, radius: r, edge: 'left', ...(r > 0 ? { corner: 'tip-left' } : {}) },
    ],
    fate,
  )
}

export const chainOf = (shape: Shape): string[] => SIDES.filter((id) => shape.edges.some((e) => e.id === id))

/** A strip between an outer line and an inner one that leads back, its ends straight; its edges in the order of the outline. */
function between(
  p: SheathParams,
  outer: Path,
  back: Path,
  [outside, end, inside, start]: readonly [string, string, string, string],
): Shape {
  const [n, k] = [outer.segments.length, back.segments.length]
  const fate = finishedFate(p.finish, p.trim, (e) => e === outside)
  const edge = (id: string, first: number, last: number) => ({
    id,
    name: id.replaceAll('-', ' '),
    first,
    last,
    fate: fate(id),
  })
  return {
    outline: closedPath([
      ...outer.segments,
      line(pathEnd(outer), pathStart(back)),
      ...back.segments,
      line(pathEnd(back), pathStart(outer)),
    ]),
    edges: [
      edge(outside, 0, n - 1),
      edge(end, n, n),
      edge(inside, n + 1, n + k),
      edge(start, n + k + 1, n + k + 1),
    ],
  }
}

/** The inside of the welt, cut back beside a guard as far as that goes in; its mouth is level with the top. */
function besideGuard(p: SheathParams, s: SheathSizes, inner: Path): Path {
  const half = p.guard / 2 + p.play
  const c = s.mouth.value / 2
  const down = p.guardDeep + p.play
  const [first, length] = [inner.segments[0], pathLength(inner)]
  const straight = first ? segmentLength(first) : 0
  if (p.guard === 0 || down >= straight) return inner
  const part = pathPart(inner, down, length - down)
  const [from, to] = [pathStart(part), pathEnd(part)]
  // Where the guard is no wider than the opening nothing is cut back.
  if (half <= Math.abs(from.x - c) || half <= Math.abs(to.x - c)) return inner
  const [right, left] = from.x > to.x ? [half, -half] : [-half, half]
  return openPath([
    line(point(c + right, 0), point(c + right, from.y)),
    line(point(c + right, from.y), from),
    ...part.segments,
    line(to, point(c + left, to.y)),
    line(point(c + left, to.y), point(c + left, 0)),
  ])
}

/** One side of a layer that runs out before the tip: a strip down from the mouth. */
function shortShape(p: SheathParams, s: SheathSizes, shape: Shape): Shape | undefined {
  const panel = { ...shape } as Panel
  const outer = insetChainMaybe(panel, chainOf(shape), 0)
  const inner = insetChainMaybe(panel, chainOf(shape), p.welt)
  if (!outer || !inner) return undefined
  const sides = [outer, besideGuard(p, s, inner)].map((path) => {
    const side = pathLength(path) / 2
    return pathPart(path, 0, Math.min(s.runsTo.value, side - 1))
  })
  const [out, back] = [firstOf(sides), pathReversed(nth(sides, 1))]
  return between(p, out, back, ['outside', 'end', 'inside', 'top'])
}

/** The layers of the welt that run out, a strip for either side. */
function shortWelt(p: SheathParams, s: SheathSizes, front: Shape, thickness: number): Panel[] {
  const shape = s.short.value > 0 ? shortShape(p, s, front) : undefined
  if (!shape) return []
  return [
    plainPanel({
      id: 'welt-short',
      name: 'Welt that runs out',
      role: 'welt',
      count: 2 * s.short.value,
      flipped: s.short.value,
      ...shape,
      grain: Math.PI / 2,
      skives: [
        {
          key: 'welt-short.out',
          name: 'running out',
          chain: ['end'],
          width: RUNS_OUT,
          start: RUN_OUT_TO,
          end: thickness,
        },
      ],
      notes: ['finish its inner edge before it is glued in'],
    }),
  ]
}

/** The welt: a border along sides and tip, as wide as asked. */
function weltShape(p: SheathParams, s: SheathSizes, shape: Shape): Shape {
  const chain = chainOf(shape)
  const panel = { ...shape } as Panel
  const outer = required(insetChainMaybe(panel, chain, 0), 'edge of the welt')
  const inner =
    insetChainMaybe(panel, chain, p.welt) ??
    required(offsetLargestMaybe(shape.outline, -p.welt), 'room inside the welt')
  const back = pathReversed(openPath(besideGuard(p, s, inner).segments))
  return between(p, outer, back, ['outside', 'end-left', 'inside', 'end-right'])
}

/** A loop over the mouth is folded round the belt. */
const wrapFolds = (p: SheathParams, s: SheathSizes): Panel['folds'] =>
  p.loop !== 'wrap'
    ? []
    : [
        {
          id: 'belt',
          name: 'fold round the belt',
          from: point(0, s.loop.value / 2),
          to: point(Math.min(p.loopWide, s.mouth.value - 4), s.loop.value / 2),
          width: s.loop.value - 2 * (p.rise + LOOP_END),
          rises: 'mountain',
        },
      ]

export function sheathPanels(p: SheathParams, s: SheathSizes, materials: Materials): Panel[] {
  const front = bodyShape(p, s, 0)
  const back = bodyShape(p, s, p.loop === 'fold' ? s.loop.value : 0)
  const fold = p.loop === 'fold' ? [-(p.rise + (s.loop.value - 2 * p.rise - LOOP_END) / 2)] : []
  const strap = Math.min(p.loopWide, s.mouth.value - 2) / 2
  return [
    plainPanel({
      id: 'back',
      name: p.loop === 'fold' ? 'Back and loop' : 'Back',
      role: 'body',
      ...back,
      grain: Math.PI / 2,
      labelAt: point(s.mouth.value / 2, s.length.value * LABEL_DOWN),
      folds: fold.map((y) => ({
        id: 'loop',
        name: 'fold of the loop',
        from: point(s.mouth.value / 2 - strap, y),
        to: point(s.mouth.value / 2 + strap, y),
        width: s.loop.value - 2 * p.rise - LOOP_END,
        rises: 'valley' as const,
      })),
    }),
    plainPanel({
      id: 'welt',
      name: 'Welt',
      role: 'welt',
      count: s.layers.value - s.short.value,
      ...weltShape(p, s, front),
      grain: Math.PI / 2,
      notes: ['finish its inner edge before it is glued in'],
    }),
    ...shortWelt(p, s, front, leatherOf(materials, 'welt').thickness),
    plainPanel({
      id: 'front',
      name: 'Front',
      role: 'body',
      ...front,
      grain: Math.PI / 2,
      notes: ['finish the mouth first'],
    }),
    ...(hasOwnLoop(p)
      ? [
          plainPanel({
            id: 'loop',
            name: 'Belt loop',
            role: 'body',
            ...rectangleShape(
              Math.min(p.loopWide, s.mouth.value - 4),
              s.loop.value,
              {},
              finishedFate(p.finish, 0, () => false),
            ),
            pull: Math.PI / 2,
            grain: Math.PI / 2,
            folds: wrapFolds(p, s),
          }),
        ]
      : []),
  ]
}

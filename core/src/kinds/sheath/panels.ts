import {
  closedPath,
  line,
  offsetLargestMaybe,
  openPath,
  pathEnd,
  pathReversed,
  pathStart,
  point,
} from '../../geometry/index.js'
import { type Panel, insetChainMaybe } from '../../master/index.js'
import { type Shape, finishedFate, outlineOf, plainPanel, rectangleShape } from '../parts/shape.js'
import { type SheathParams, hasOwnLoop } from './params.js'
import { LOOP_END, type SheathSizes } from './sizes.js'

/** Edges that are sewn, from the mouth round the tip. */
const SIDES = ['right', 'tip-right', 'tip', 'tip-left', 'left']

/** Narrowing from mouth to tip, symmetrical; `above` mm go on above the mouth, `strap` wide. */
function bodyShape(p: SheathParams, s: SheathSizes, above: number): Shape {
  const [w, tip, h] = [s.mouth.value, Math.min(s.tip.value, s.mouth.value), s.length.value]
  const c = w / 2
  const r = Math.min(tip / 2 - 1, 12)
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

/** The welt: a border along sides and tip, as wide as asked. */
function weltShape(p: SheathParams, shape: Shape): Shape {
  const chain = chainOf(shape)
  const panel = { ...shape } as Panel
  const outer = insetChainMaybe(panel, chain, 0)!
  const inner = insetChainMaybe(panel, chain, p.welt) ?? offsetLargestMaybe(shape.outline, -p.welt)!
  const back = pathReversed(openPath(inner.segments))
  const [n, k] = [outer.segments.length, back.segments.length]
  const fate = finishedFate(p.finish, p.trim, (e) => e === 'outside')
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
      edge('outside', 0, n - 1),
      edge('end-left', n, n),
      edge('inside', n + 1, n + k),
      edge('end-right', n + k + 1, n + k + 1),
    ],
  }
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

export function sheathPanels(p: SheathParams, s: SheathSizes): Panel[] {
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
      labelAt: point(s.mouth.value / 2, s.length.value * 0.4),
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
      count: s.layers.value,
      ...weltShape(p, front),
      grain: Math.PI / 2,
      notes: ['finish its inner edge before it is glued in'],
    }),
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

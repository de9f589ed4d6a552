import { lengthSaid } from '../../measure/index.js'
import { nth } from '../../lists/index.js'
import { point } from '../../geometry/index.js'
import type { EdgeTreatment, Fold, Panel } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { foldsOf } from '../parts/folding.js'
import {
  type Named,
  finishedFate,
  outlineOf,
  plainPanel,
  rectangleShape,
  turnedFate,
} from '../parts/shape.js'
import { type WrapParams, hasFlaps } from './params.js'
import { BENCH, type WrapSizes } from './sizes.js'

/** Which panel has the note flaps: the second, or the third where the second is a pocket. */
export const flapsOn = (p: WrapParams): number => (p.noteFlaps === 'both' ? 2 : 1)
/** A flap reaches no farther than the middle of the panel it covers. */
const flapWidth = (p: WrapParams, s: WrapSizes): number => Math.min(p.flapWidth, s.across.value / 2)
const ear = (p: WrapParams, s: WrapSizes): number => Math.min(p.ear, flapWidth(p, s) - 2, s.flat.value / 3)

export function wrapPanels(p: WrapParams, s: WrapSizes, materials: Materials): Panel[] {
  const [w, h] = [s.across.value, s.length.value]
  const carrying = nth(s.strips, flapsOn(p))
  const plain = finishedFate(p.finish, 0, () => false)
  const width = Math.min(p.turn, flapWidth(p, s) / 2)
  const turned = turnedFate(width, 'even', leatherOf(materials, 'body'), p.margin)
  const fate = (edge: string): EdgeTreatment => (edge.startsWith('note-') ? turned : plain(edge))
  const reach = s.sideBend.value + flapWidth(p, s)
  const cut = ear(p, s)
  const wing = (x: number, out: 1 | -1, side: string): Named[] => {
    const corners: Named[] = [
      { x, y: carrying.from + 1, edge: `${side}-ear-1` },
      { x: x + out * (reach - cut), y: carrying.from + 1, edge: `${side}-ear-cut-1` },
      { x: x + out * reach, y: carrying.from + 1 + cut, edge: `note-${side}` },
      { x: x + out * reach, y: carrying.to - 1 - cut, edge: `${side}-ear-cut-2` },
      { x: x + out * (reach - cut), y: carrying.to - 1, edge: `${side}-ear-2` },
      { x, y: carrying.to - 1, edge: `${side}-after` },
    ]
    if (out === 1) return corners
    // The left side is walked upwards: each edge begins at what was its other end.
    const names = ['left-after', ...corners.map((c) => c.edge).slice(0, 5)]
    return corners.map((c, i) => ({ ...c, edge: nth(names, i) })).reverse()
  }
  const corners: Named[] = [
    { x: 0, y: 0, radius: p.corner, edge: 'top', corner: 'top-left' },
    { x: w, y: 0, radius: p.corner, edge: 'right', corner: 'top-right' },
    ...(hasFlaps(p) ? wing(w, 1, 'right') : []),
    { x: w, y: h, radius: p.corner, edge: 'foot', corner: 'foot-right' },
    { x: 0, y: h, radius: p.corner, edge: 'left', corner: 'foot-left' },
    ...(hasFlaps(p) ? wing(0, -1, 'left') : []),
  ]
  const sideFold = (id: string, name: string, x: number): Fold => ({
    id,
    name,
    from: point(x, carrying.from + 1),
    to: point(x, carrying.to - 1),
    width: s.sideBend.value,
    rises: 'mountain',
  })
  const half = s.sideBend.value / 2
  return [
    plainPanel({
      id: 'body',
      name: 'Body',
      role: 'body',
      ...outlineOf(corners, fate),
      grain: Math.PI / 2,
      folds: [
        ...foldsOf({ strips: s.strips }, 0, w),
        ...(hasFlaps(p)
          ? [
              sideFold('note-left', 'left note flap', -half),
              sideFold('note-right', 'right note flap', w + half),
            ]
          : []),
      ],
      notes: ['grain out; fold from the top down'],
    }),
    ...(s.band
      ? [
          plainPanel({
            id: 'band',
            name: 'Loop',
            role: 'body',
            ...rectangleShape(s.band.value, BENCH.bandWide, {}, plain),
            notes: [`skive ${lengthSaid(BENCH.bandLap)} at both ends to half and glue them over each other`],
          }),
        ]
      : []),
  ]
}

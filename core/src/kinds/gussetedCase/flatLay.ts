import { STAY, flipAboutLevel, point, polyline, shift } from '../../geometry/index.js'
import { type Join, type Layup, type Sheet, clipAt, clipMoved } from '../../master/index.js'
import { nth } from '../../lists/index.js'
import { type FoldedPanel, stripBend, stripSheet } from '../parts/folding.js'
import { edgeSeam } from '../parts/seams.js'
import { panelSheet } from '../parts/sheets.js'
import type { FlatFoot } from './flatFoot.js'
import type { CaseSizes } from './sizes.js'
import { backTop } from './panels.js'

/** Room between pieces laid out beside each other, mm. */
const ROOM = 30

/** What lies on and below the back, from the lowest up. */
export interface OnBack {
  readonly below: readonly Sheet[]
  readonly above: readonly Sheet[]
  /** Folded gussets, and what goes in. */
  readonly between: readonly Sheet[]
  /** Behind the flap: laid out, and folded over. */
  readonly facing: { readonly open: readonly Sheet[]; readonly closed: readonly Sheet[] }
}

/** Laid out with its gussets beside it; and closed, the foot folded in its middle. */
export function flatLayups(s: CaseSizes, { below, above, between, facing }: OnBack): Layup[] {
  const folded: FoldedPanel = { panelId: 'back', name: 'body', strips: s.strips, stays: 1 }
  const [back, front] = [nth(s.strips, 1), nth(s.strips, 3)]
  const over = flipAboutLevel((back.to + front.from) / 2)
  const foot = clipAt(point(0, back.to), point(0, 1))
  const beside = (side: string, x: number): Sheet =>
    panelSheet(`gusset-${side}`, `${side} gusset`, 'gusset', shift(x, backTop(s)), true)
  return [
    {
      id: 'open',
      name: 'laid out',
      carrier: 'back',
      sheets: [
        ...below,
        panelSheet('back', 'body', 'back', STAY, false),
        ...above,
        ...facing.open,
        beside('right', -2 * s.gussetHalf.value - ROOM),
        beside('left', s.width.value + ROOM),
      ],
    },
    {
      id: 'closed',
      name: 'closed',
      carrier: 'back',
      sheets: [
        ...below,
        stripSheet(folded, 1, false),
        ...above,
        ...between,
        panelSheet('back.4', 'front', 'back', over, true, [
          clipMoved(clipAt(point(0, front.from), point(0, 1)), over),
        ]),
        ...facing.closed,
        stripSheet(folded, 0, false),
      ],
      bends: [stripBend(folded, 0), { sheets: ['back.2', 'back.4'], at: foot.at, outward: foot.inward }],
    },
  ]
}

/** Each gusset down one side, along its foot and up the other, the body laid round it. */
export function flatJoins(s: CaseSizes, foot: FlatFoot): Join[] {
  const m = s.margin.value
  const [from, to] = [backTop(s) + m, s.bodyLength.value - m]
  // Its slanting margin begins so far above the stitch line’s own end.
  const trim = m * (1 + Math.tan(foot.lean.value))
  return (['right', 'left'] as const).map((side) => {
    const sheet = `gusset-${side}`
    // Seen from outside, the right one has the back on its right; the body is drawn back uppermost.
    const x = side === 'right' ? m : s.width.value - m
    const line = side === 'right' ? [point(x, from), point(x, to)] : [point(x, to), point(x, from)]
    const chain = ['right', 'foot', 'left']
    return {
      ...edgeSeam({
        id: `side-${side}`,
        name: `${side} gusset`,
        sheet,
        chain,
        margin: s.margin,
        trims: [trim, trim],
        through: ['back', sheet],
        glue: [{ sheet, chain, limit: m }],
        twin: `side-${side === 'right' ? 'left' : 'right'}`,
        pairName: 'left and right gusset',
      }),
      ease: 'corners' as const,
      extra: 2 * foot.corner.figured,
      mate: { type: 'line' as const, sheet: 'back', line: polyline(line) },
      closes: true,
    }
  })
}

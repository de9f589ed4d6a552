import { firstOf } from '../../lists/index.js'
import { point } from '../../geometry/index.js'
import type { Join } from '../../master/index.js'
import { edgeSeam, glueBetween, lineSeam } from '../parts/seams.js'
import { strips, tabSize, tabs } from './panels.js'
import type { StrapWalletParams } from './params.js'
import { BENCH, type StrapWalletSizes } from './sizes.js'

/** Tabs, the strap to its own, a pocket laid on, while the body lies flat; then both sides from the foot to the top of the front. */
export function strapWalletJoins(p: StrapWalletParams, s: StrapWalletSizes): Join[] {
  const [, back, front] = strips(p, s)
  const { margin } = s
  const { w: tw, h: th } = tabSize(p, s)
  const inset = margin.value
  const frame = [
    point(inset, inset),
    point(tw - inset, inset),
    point(tw - inset, th - inset),
    point(inset, th - inset),
  ]
  const onTabs = tabs(p, s).map(({ id, name }) =>
    lineSeam({
      id,
      name,
      sheet: id,
      through: [id, 'body.1'],
      points: [...frame, firstOf(frame)],
      glue: [
        { sheet: id, chain: ['top'], limit: margin.value },
        { sheet: id, chain: ['foot'], limit: margin.value },
      ],
    }),
  )
  const inner = p.inner === 'pocket' ? ['inner'] : []
  const body = { high: s.length.value, corner: p.corner, limit: margin.value }
  const side = (which: 'left' | 'right'): Join => {
    const x = which === 'left' ? margin.value : s.width.value - margin.value
    return lineSeam({
      id: `side-${which}`,
      name: `${which} side`,
      sheet: 'body.1',
      // On the back, from just above the fold at the foot up to just under the end of the front.
      points: [point(x, back.to - margin.value), point(x, back.to - s.front.value + margin.value)],
      through: ['body.1', ...inner, 'body.2'],
      twin: which === 'left' ? 'side-right' : 'side-left',
      pairName: 'left and right side',
      glue: [
        glueBetween('body.1', which, [back.to - s.front.value, back.to], body),
        glueBetween('body.2', which, [front.from, front.to], body),
        ...inner.map((sheet) => ({ sheet, chain: [which], limit: margin.value })),
      ],
    })
  }
  return [...onTabs, ...strapJoin(p, s), ...laidJoin(p, s), side('left'), side('right')]
}

/** The end of the strap on the tab of the back, once that is sewn on: down one side, across its end, up the other. */
function strapJoin(p: StrapWalletParams, s: StrapWalletSizes): Join[] {
  if (p.strapFix !== 'sewn') return []
  const inset = Math.min(s.margin.value, p.strap / 4)
  const [foot, head] = [s.strapLength.value - inset, s.strapLength.value - BENCH.sewnEnd + inset]
  const box = [
    point(inset, head),
    point(inset, foot),
    point(p.strap - inset, foot),
    point(p.strap - inset, head),
  ]
  return [
    lineSeam({
      id: 'strap-end',
      name: 'strap to the tab of the back',
      sheet: 'strap',
      through: ['strap', 'tab-back', 'body.1'],
      points: box,
      glue: [{ sheet: 'strap', chain: ['foot'], limit: BENCH.sewnEnd }],
    }),
  ]
}

/** A pocket laid on the back, sewn down one side, along the foot and up the other. */
function laidJoin(p: StrapWalletParams, s: StrapWalletSizes): Join[] {
  if (p.inner !== 'laid') return []
  return [
    edgeSeam({
      id: 'inner-seam',
      name: 'second pocket on the back',
      sheet: 'inner',
      chain: ['right', 'foot', 'left'],
      margin: s.margin,
      trims: [s.margin.value, s.margin.value],
      through: ['body.1', 'inner'],
      glue: [{ sheet: 'inner', chain: ['right', 'foot', 'left'], limit: s.margin.value }],
    }),
  ]
}

import { point, shift } from '../../geometry/index.js'
import type { Join, Layup, Sheet } from '../../master/index.js'
import { type FoldedPanel, stripSheet } from '../parts/folding.js'
import { edgeSeam, lineSeam } from '../parts/seams.js'
import { panelSheet, pileMoved } from '../parts/sheets.js'
import type { StrapParams } from './params.js'
import { buckleFolded, lined, tongueFolded } from './panels.js'
import type { StrapSizes } from './sizes.js'

/** Between the two pieces laid side by side, mm. */
const APART = 12

/** Both pieces side by side, grain down and turned back, their linings on them. */
export function strapLayups(p: StrapParams, s: StrapSizes): Layup[] {
  const x = p.wideEnd + APART
  const bar = s.backEnd.value
  const piece = (folded: FoldedPanel, at: number): Sheet[] =>
    pileMoved(
      [
        stripSheet(folded, 1, false),
        ...folded.strips.flatMap((_, i) => (i === 1 ? [] : [stripSheet(folded, i, false)])),
      ],
      shift(at, 0),
    )
  const lining = (id: string, at: number): Sheet[] =>
    lined(p) ? [panelSheet(id, 'lining', id, shift(at, bar), true)] : []
  return [
    {
      id: 'open',
      name: 'turned back, lining up',
      carrier: 'tongue',
      sheets: [
        ...piece(tongueFolded(p, s), 0),
        ...lining('tongue-lining', 0),
        ...piece(buckleFolded(p, s), x),
        ...lining('buckle-lining', x),
      ],
    },
  ]
}

/** Across the turn-backs, then round each piece from bar to bar. */
export function strapJoins(p: StrapParams, s: StrapSizes): Join[] {
  const { margin } = s
  const tip =
    p.tip === 'pointed'
      ? ['tip-right', 'tip', 'tip-left']
      : ['tip-round-right', 'tip-right', 'tip-round-left']
  const through = (id: string, strips: number): string[] => [
    ...Array.from({ length: strips }, (_, i) => `${id}.${i + 1}`),
    ...(lined(p) ? [`${id}-lining`] : []),
  ]
  const row = (id: string, name: string, sheet: string, strips: number, chain: string[]): Join =>
    edgeSeam({
      id,
      name,
      sheet: `${sheet}.2`,
      chain,
      margin,
      trims: [margin.value, margin.value],
      through: through(sheet, strips),
    })
  const across = (id: string, name: string, sheet: string, strips: number, y: number, wide: number): Join =>
    lineSeam({
      id,
      name,
      sheet: `${sheet}.2`,
      points: [
        // The rows along the edges go on past it: it keeps as much away from them as they from the edge.
        point(p.wideEnd / 2 - wide / 2 + 2 * margin.value, y),
        point(p.wideEnd / 2 + wide / 2 - 2 * margin.value, y),
      ],
      through: through(sheet, strips).filter((one) => !one.endsWith('lining')),
      back: [1, 1],
    })
  const lapEnd = s.backEnd.value + p.lap - margin.value
  return [
    across('tongue-bar', 'turn-back of the tongue piece', 'tongue', 2, lapEnd, p.wideEnd),
    across('buckle-bar', 'turn-back at the bar', 'buckle', 3, lapEnd, p.wideEnd),
    across(
      'buckle-end',
      'turn-back at the buckle',
      'buckle',
      3,
      s.backEnd.value + p.short - p.lap + margin.value,
      p.narrowEnd,
    ),
    row('tongue-edge', 'edge of the tongue piece', 'tongue', 2, [
      'right',
      'right-holes',
      ...tip,
      'left',
      'left-taper',
    ]),
    {
      ...row('buckle-right', 'right edge of the buckle piece', 'buckle', 3, ['right']),
      twin: 'buckle-left',
      pairName: 'edges of the buckle piece',
    },
    {
      ...row('buckle-left', 'left edge of the buckle piece', 'buckle', 3, ['left']),
      twin: 'buckle-right',
      pairName: 'edges of the buckle piece',
    },
  ]
}

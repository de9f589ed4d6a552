import { answer, type AnswerRule, step, type Values } from './entry.js'
import { required } from '../lists/index.js'

const MOST_FOLDS = 5
const each = (count: number): number[] => Array.from({ length: count }, (_, i) => i)
/** What is laid on some panels, counted from the first. */
const laidOn = (from: number, to: number): string =>
  each(to - from)
    .map((i) => `{c${from + i + 1}}`)
    .join(' + ')

/** What a fold closes over: rolled, all before it; to and fro, what lies between its own two panels. */
const GAPS = {
  rolled: (fold: number): string => `${laidOn(0, fold + 1)} + ${fold} × {thickness}`,
  'to and fro': (fold: number): string => laidOn(fold, fold + 1),
} as const

/** Crease to crease: the first may run out, the last reaches round the fold it covers, to lie flush with it. */
function widthOf(panel: number, panels: number): string | undefined {
  if (panel >= panels) return undefined
  if (panel === 0) return '{runOut} + {flat} + {bend0} / 2'
  if (panel < panels - 1) return `{flat} + ({bend${panel - 1}} + {bend${panel}}) / 2`
  return `{flat} + {bend${panel - 1}} / 2${panels > 2 ? ` + {gap${panels - 3}} / 2 + {thickness} to lie flush` : ''}`
}

/** Gap and length used up in every fold, then the width of every panel and the bundle; §3 [3.01, 3.02]. */
export function foldedPanels(way: keyof typeof GAPS): readonly AnswerRule[] {
  const folded = (fold: number, words: string) => (v: Values) =>
    required(v.panels, 'panels') > fold + 1 ? words : undefined
  return [
    ...each(MOST_FOLDS).flatMap((i) => [
      step(`gap${i}`, `gap in fold ${i + 1}`, folded(i, GAPS[way](i)), 'thickness'),
      step(`bend${i}`, `fold ${i + 1} uses up`, folded(i, `π × ({gap${i}} / 2 + {k} × {thickness})`)),
    ]),
    ...each(MOST_FOLDS + 1).map((i) =>
      answer(`panel ${i + 1}`, (v) => widthOf(i, required(v.panels, 'panels'))),
    ),
    answer(
      'bundle',
      (v) => `{panels} × {thickness} + ${laidOn(0, required(v.panels, 'panels') - 1)} laid in`,
    ),
  ]
}

import { firstOf, nth } from '../../lists/index.js'
import { BOOK_FOLD, KEEPER, FLUSH } from '../../formulas/index.js'
import { CARD } from '../../stores/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf, notesMaybe, outcomeBy, sizeBy } from '../parts/basics.js'
import { type Strip, stripsOf } from '../parts/folding.js'
import { type WrapParams, isSewn } from './params.js'

/** Judgement values of the bench, mm. */
export const BENCH = { bandWide: 16, bandLap: 12, bandEase: 1, min: 60 } as const

/** Every finished size of the wrap wallet, each with its working; panels are counted from the innermost. */
export interface WrapSizes extends Basics {
  readonly flat: Reckoned
  readonly across: Reckoned
  readonly bends: readonly Reckoned[]
  /** How much longer each panel is, crease to crease, than the one before it. */
  readonly growth: readonly Reckoned[]
  readonly last: Reckoned
  readonly length: Reckoned
  readonly closed: Reckoned
  readonly sideBend: Reckoned
  readonly band: Reckoned | undefined
  readonly strips: readonly Strip[]
  /** Thickness of what is laid on before each panel, mm. */
  readonly contents: readonly number[]
}

/** Cards lie on the second panel under the first; notes, folded once, under the third. */
const laidOn = (p: WrapParams): number[] => {
  const note = notesMaybe(p)
  return [p.cards * CARD.thickness, 2 * (note?.thickness ?? 0), 0, 0, 0, 0].slice(0, p.folds)
}

/** What seams down both sides add to a width. */
const SEAMS = '2 × ({margin} margin + {hole} half a hole) + '

// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function wrapSizes(p: WrapParams, materials: Materials, reckon: Reckon): WrapSizes {
  const [size, outcome] = [sizeBy(reckon), outcomeBy(reckon)]
  const basics = basicsOf(p.margin, materials, reckon)
  const leather = leatherOf(materials, 'body')
  const t = given('leather', leather.thickness, 'thickness')
  const k = given('neutral-axis factor', leather.neutral, 'share')
  const note = notesMaybe(p)
  const ease = given('ease', p.ease)
  const inner = (
    key: string,
    label: string,
    [card, half]: readonly [number, number],
    seams: '' | typeof SEAMS = '',
  ) =>
    size(
      key,
      label,
      `2 × {ease} ease + ${seams}the largest of {card} card, {half} note and {min} at least`,
      '§3',
      {
        card: given('card', p.cards > 0 ? card : 0),
        half: given('note', note ? half : 0),
        min: given('least', BENCH.min),
        ease,
        margin: basics.margin,
        hole: basics.hole,
      },
    )
  const flat = inner('flat', 'flat part of a panel', [CARD.width, (note?.long ?? 0) / 2])
  const across = inner('across', 'width across', [CARD.height, note?.short ?? 0], isSewn(p) ? SEAMS : '')
  const contents = laidOn(p)
  const gaps = contents.map((_, j) =>
    size(`gap.${j + 1}`, `gap in fold ${j + 1}`, '{fill} × {inside} enclosed + {layers} × {t}', '§3', {
      fill: given('fill', p.fill, 'share'),
      inside: given(
        'enclosed',
        contents.slice(0, j + 1).reduce((a, b) => a + b, 0),
        'thickness',
      ),
      layers: given('layers', j, 'count'),
      t,
    }),
  )
  const bends = gaps.map((gap, j) =>
    size(`bend.${j + 1}`, `used up by fold ${j + 1}`, BOOK_FOLD, '§3', { gap, k, thickness: t }),
  )
  const last = size('last', 'last panel, flat', `${FLUSH}, to lie flush with the fold it covers`, '§3', {
    flat,
    gap: nth(gaps, p.folds - 2),
    thickness: t,
  })
  const growth = bends
    .slice(1, -1)
    .map((bend, i) =>
      outcome(
        `growth.${i + 3}`,
        `panel ${i + 3} longer than panel ${i + 2}`,
        '({after} + {bend}) / 2 − ({bend} + {before}) / 2',
        '§3',
        { after: nth(bends, i + 2), bend, before: nth(bends, i) },
      ),
    )
  const sum = (list: readonly Reckoned[]): number => list.reduce((a, b) => a + b.value, 0)
  const length = size(
    'length',
    'length laid out',
    '{panels} × {flat} + {last} + {bends} in the folds',
    '§3',
    { panels: given('panels', p.folds, 'count'), flat, last, bends: given('bends', sum(bends)) },
  )
  const closed = size('closed', 'thickness closed', '{panels} × {t} + {contents} contents', '§3', {
    panels: given('panels', p.folds + 1, 'count'),
    t,
    contents: given(
      'contents',
      contents.reduce((a, b) => a + b, 0),
      'thickness',
    ),
  })
  const sideBend = size(
    'side.bend',
    'used up by the fold of a note flap',
    'π × ({fill} × {inside} / 2 + {k} × {t})',
    '§3',
    {
      fill: given('fill', p.fill, 'share'),
      inside: given(
        p.noteFlaps === 'both' ? 'notes' : 'cards',
        p.noteFlaps === 'both' ? nth(contents, 1) : firstOf(contents),
        'thickness',
      ),
      k,
      t,
    },
  )
  const bandEase = given('ease', BENCH.bandEase)
  const band =
    p.band === 'loop'
      ? size('band', 'length of the loop', `${KEEPER} + {lap} lap`, '§10', {
          width: across,
          easeWidth: bandEase,
          straps: closed,
          easeThick: bandEase,
          k,
          thickness: t,
          lap: given('lap', BENCH.bandLap),
        })
      : undefined
  const names = Array.from({ length: p.folds + 1 }, (_, i) => `panel ${i + 1}`)
  const flats = names.map((_, i) => (i === p.folds ? last.value : flat.value))
  const strips = stripsOf(
    names,
    flats,
    bends.map((b) => b.value),
  )
  return { ...basics, flat, across, bends, growth, last, length, closed, sideBend, band, strips, contents }
}

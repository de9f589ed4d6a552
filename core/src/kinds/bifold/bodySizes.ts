import { currencyOf, largestNote } from '../../stores/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { sizeBy } from '../parts/basics.js'
import { heightForCards, roomOverCards } from '../pockets/index.js'
import { BENCH, type Start, topRadius } from './bench.js'

/** Widths of inside and outside. */
export function widths(
  { p, reckon, margin, hole }: Start,
  pocketWidth: Reckoned,
  foldClear: Reckoned,
  taken: Reckoned,
) {
  const size = sizeBy(reckon)
  const forCards = reckon(
    {
      key: 'half.cards',
      label: 'half for the cards',
      formula: p.pockets === 0 ? '0: no card pockets' : '{pocketWidth} + {foldClear}',
      source: '§9',
    },
    { pocketWidth, foldClear },
  )
  const note = p.currency === 'none' ? undefined : largestNote(currencyOf(p.currency))
  const forNotes = reckon(
    {
      key: 'half.notes',
      label: 'half for the notes',
      formula: note
        ? 'half of {note} note + {ease} ease + {margin} margin + {hole} half a hole'
        : '0: no notes',
      source: '§2',
    },
    {
      note: given('note', note?.long ?? 0),
      ease: given('ease', BENCH.noteEase),
      margin,
      hole,
    },
  )
  const half = reckon(
    {
      key: 'half',
      label: 'half',
      formula: 'the largest of {forCards} for the cards, {forNotes} for the notes and {bare} at least',
      source: '§2',
    },
    { forCards, forNotes, bare: given('least', BENCH.leastHalf) },
  )
  const insideWidth = reckon(
    { key: 'inside.width', label: 'inside width', formula: '2 × {half}', source: '§2' },
    { half },
  )
  const outsideWidth = reckon(
    {
      key: 'outside.width',
      label: 'outside width',
      formula: '{insideWidth} + {taken} round the fold',
      source: '§2',
    },
    { insideWidth, taken },
  )
  const reach = size(
    'seam.reach',
    'outer seam ends, from the side,',
    p.pockets > 0 ? '{pocketWidth} − {margin} margin' : '{half} − {ease} − {margin} margin',
    '§7',
    { pocketWidth, half, ease: given('ease', BENCH.noteEase), margin },
  )
  const cutAway = size(
    'inside.cutAway',
    'inside cut away at the fold',
    p.cutAway === 'foot'
      ? '{insideWidth} − 2 × ({reach} + {margin} + {hole}), at least 0'
      : '0: not cut away',
    '§2',
    { insideWidth, reach, margin, hole },
  )
  return { half, insideWidth, outsideWidth, reach, cutAway }
}

/** Heights of inside and outside. */
export function heights({ p, reckon, margin, hole }: Start, depth: Reckoned, shorten: Reckoned) {
  const over = roomOverCards(p, topRadius(p))
  const forCards = heightForCards({ p, reckon, margin, hole }, { depth, shorten }, over)
  const note = p.currency === 'none' ? undefined : largestNote(currencyOf(p.currency))
  const forNotes = reckon(
    {
      key: 'height.notes',
      label: 'height for the notes',
      formula: note ? '{note} note + {ease} ease + {margin} margin + {hole} − {lip} lip' : '0: no notes',
      source: '§2',
    },
    {
      note: given('note', note?.short ?? 0),
      ease: given('ease', BENCH.noteEase),
      margin,
      hole,
      lip: given('lip', p.lip),
    },
  )
  const bare = given('least', BENCH.leastHeight)
  const insideHeight = reckon(
    {
      key: 'inside.height',
      label: 'inside height',
      formula: 'the largest of {forCards} for the cards, {forNotes} for the notes and {bare} at least',
      source: '§9',
    },
    { forCards, forNotes, bare },
  )
  const outsideHeight = reckon(
    { key: 'outside.height', label: 'outside height', formula: '{insideHeight} + {lip} lip', source: '§2' },
    { insideHeight, lip: given('lip', p.lip) },
  )
  return { insideHeight, outsideHeight }
}

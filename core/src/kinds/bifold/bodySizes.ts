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
      formula: p.pockets === 0 ? '{none}' : '{pocketWidth} + {foldClear}',
      source: '§9',
    },
    { pocketWidth, foldClear, none: given('no card pockets', 0) },
    (v) => (p.pockets === 0 ? v.none : v.pocketWidth + v.foldClear),
  )
  const note = p.currency === 'none' ? undefined : largestNote(currencyOf(p.currency))
  const forNotes = reckon(
    {
      key: 'half.notes',
      label: 'half for the notes',
      formula: note ? 'half of {note} note + {ease} ease + {margin} margin + {hole} half a hole' : '{none}',
      source: '§2',
    },
    {
      note: given('note', note?.long ?? 0),
      ease: given('ease', BENCH.noteEase),
      margin,
      hole,
      none: given('no notes', 0),
    },
    (v) => (note ? v.note / 2 + v.ease + v.margin + v.hole : v.none),
  )
  const half = reckon(
    {
      key: 'half',
      label: 'half',
      formula: 'the largest of {forCards} for the cards, {forNotes} for the notes and {bare} at least',
      source: '§2',
    },
    { forCards, forNotes, bare: given('least', BENCH.leastHalf) },
    (v) => Math.max(v.forCards, v.forNotes, v.bare),
  )
  const insideWidth = reckon(
    { key: 'inside.width', label: 'inside width', formula: '2 × {half}', source: '§2' },
    { half },
    (v) => 2 * v.half,
  )
  const outsideWidth = reckon(
    {
      key: 'outside.width',
      label: 'outside width',
      formula: '{insideWidth} + {taken} round the fold',
      source: '§2',
    },
    { insideWidth, taken },
    (v) => v.insideWidth + v.taken,
  )
  const reach = size(
    'seam.reach',
    'outer seam ends, from the side,',
    p.pockets > 0 ? '{pocketWidth} − {margin} margin' : '{half} − {ease} − {margin} margin',
    '§7',
    { pocketWidth, half, ease: given('ease', BENCH.noteEase), margin },
    (v) => (p.pockets > 0 ? v.pocketWidth - v.margin : v.half - v.ease - v.margin),
  )
  const cutAway = size(
    'inside.cutAway',
    'inside cut away at the fold',
    p.cutAway === 'foot'
      ? '{insideWidth} − 2 × ({reach} + {margin} + {hole})'
      : 'not cut away: {insideWidth} × 0',
    '§2',
    { insideWidth, reach, margin, hole },
    (v) => (p.cutAway === 'foot' ? Math.max(0, v.insideWidth - 2 * (v.reach + v.margin + v.hole)) : 0),
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
      formula: note ? '{note} note + {ease} ease + {margin} margin + {hole} − {lip} lip' : '{none}',
      source: '§2',
    },
    {
      note: given('note', note?.short ?? 0),
      ease: given('ease', BENCH.noteEase),
      margin,
      hole,
      lip: given('lip', p.lip),
      none: given('no notes', 0),
    },
    (v) => (note ? v.note + v.ease + v.margin + v.hole - v.lip : v.none),
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
    (v) => Math.max(v.forCards, v.forNotes, v.bare),
  )
  const outsideHeight = reckon(
    { key: 'outside.height', label: 'outside height', formula: '{insideHeight} + {lip} lip', source: '§2' },
    { insideHeight, lip: given('lip', p.lip) },
    (v) => v.insideHeight + v.lip,
  )
  return { insideHeight, outsideHeight }
}

import { sideRoom } from '../../formulas/index.js'
import { CARD } from '../../stores/index.js'
import { given } from '../../working/index.js'
import { BENCH, type Start, edgePieces } from './bench.js'

/** Widths of a pocket, from the card and the rise of the pile. */
export function pocketWidths({ p, reckon, pocketLeather, margin, hole }: Start) {
  const t = given('pocket leather', pocketLeather.thickness, 'thickness')
  const rise = reckon(
    {
      key: 'pocket.rise',
      label: 'rise of the pile',
      formula:
        '{share} × ({cards} cards × {card} + {layers} more layers in the middle than at the edge × {t})',
      source: '§9',
    },
    {
      share: given('share', BENCH.bulgeShare, 'share'),
      cards: given('cards', p.pockets * p.cardsPerPocket, 'count'),
      card: given('card', CARD.thickness, 'thickness'),
      layers: given('layers', Math.max(0, p.pockets - edgePieces(p)), 'share'),
      t,
    },
    (v) => v.share * (v.cards * v.card + v.layers * v.t),
  )
  const stretch = reckon(
    { key: 'pocket.stretch', label: 'stretch of the face', formula: '{give} × {card} card', source: '§9' },
    { give: given('give', pocketLeather.give, 'share'), card: given('card', CARD.width) },
    (v) => v.give * v.card,
  )
  const least = reckon(
    {
      key: 'pocket.leastRoom',
      label: 'least room a side',
      formula: '{cards} × {card} / 2 + 0.5',
      source: '§9',
    },
    { cards: given('cards', p.cardsPerPocket, 'count'), card: given('card', CARD.thickness, 'thickness') },
    (v) => (v.cards * v.card) / 2 + 0.5,
  )
  const room = reckon(
    {
      key: 'pocket.sideRoom',
      label: 'room a side',
      formula: 'the larger of {least} and ({rise}² − {stretch}² / 4) / {stretch}',
      source: '§9',
    },
    { least, rise, stretch },
    (v) => Math.max(v.least, sideRoom(v.rise, v.stretch)),
  )
  const between = reckon(
    {
      key: 'pocket.between',
      label: 'between the stitches',
      formula: '{card} card + 2 × {room} room',
      source: '§9',
    },
    { card: given('card', CARD.width), room },
    (v) => v.card + 2 * v.room,
  )
  const pocketWidth = reckon(
    {
      key: 'pocket.width',
      label: 'pocket width',
      formula: '{between} + 2 × ({margin} margin + {hole} half a hole)',
      source: '§9',
    },
    { between, margin, hole },
    (v) => v.between + 2 * (v.margin + v.hole),
  )
  const arm = reckon(
    {
      key: 'pocket.arm',
      label: 'length of an arm',
      formula: '{margin} margin + {hole} half a hole + {room} clear of the stitches',
      source: '§9',
    },
    { margin, hole, room: given('room', BENCH.bodyRoom) },
    (v) => v.margin + v.hole + v.room,
  )
  return { rise, sideRoom: room, between, pocketWidth, arm }
}

/** Depths of a pocket, its lap, and how much the uppermost one is shortened. */
export function depths({ p, reckon, hole }: Start) {
  const depth = reckon(
    { key: 'pocket.depth', label: 'pocket depth', formula: '{card} card − {shown} showing', source: '§9' },
    { card: given('card', CARD.height), shown: given('shown', p.shown) },
    (v) => v.card - v.shown,
  )
  const lap = reckon(
    {
      key: 'pocket.lap',
      label: 'lap',
      formula:
        p.school === 'lapped' ? '{reveal}, the lower half of an arm' : 'none when butted: {reveal} × 0',
      source: '§9',
    },
    { reveal: given('reveal', p.reveal) },
    (v) => (p.school === 'lapped' ? v.reveal : 0),
  )
  const overlap = reckon(
    {
      key: 'pocket.overlap',
      label: 'its foot reaches under the front pocket by',
      formula: '{depth} + {hole} + {foot} foot − {steps} steps × {reveal} + 1',
      source: '§9',
    },
    {
      depth,
      hole,
      foot: given('foot', BENCH.footMargin),
      steps: given('steps', Math.max(0, p.pockets - 1), 'count'),
      reveal: given('reveal', p.reveal),
    },
    (v) => v.depth + v.hole + v.foot - v.steps * v.reveal + 1,
  )
  const wanted = p.topPocket === 'clear' && p.pockets >= 3
  const shorten = reckon(
    {
      key: 'pocket.shorten',
      label: 'uppermost pocket shorter by',
      formula: `{overlap} where that is between 0 and {most}, else 0${wanted ? '' : '; left at full depth'}`,
      source: '§9',
    },
    { overlap, most: given('most', BENCH.mostShortening) },
    (v) => (wanted && v.overlap > 0 && v.overlap <= v.most ? v.overlap : 0),
  )
  return { depth, lap, shorten }
}

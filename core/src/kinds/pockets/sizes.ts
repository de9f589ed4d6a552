import { SIDE_ROOM } from '../../formulas/index.js'
import { CARD, type Leather } from '../../stores/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Basics, sizeBy } from '../parts/basics.js'
import type { EdgeParams } from '../parts/settings.js'
import { CLOTH, FOOT_BAND, POCKET_BENCH, edgePieces } from './bench.js'
import type { PocketParams } from './params.js'

/** What a pile of pockets is worked out from. */
export interface StackStart extends Basics {
  readonly p: PocketParams & EdgeParams
  readonly reckon: Reckon
  readonly leather: Leather
  /** Of the pocket in front. */
  readonly frontLeather: Leather
  /** What the maker skives named bands to, mm. */
  readonly skives: Readonly<Record<string, number>>
}

/** Sizes of the pockets of one pile, each with its working. */
export interface StackSizes {
  readonly rise: Reckoned
  readonly stretch: Reckoned
  readonly sideRoom: Reckoned
  readonly between: Reckoned
  readonly pocketWidth: Reckoned
  readonly arm: Reckoned
  readonly depth: Reckoned
  readonly lap: Reckoned
  readonly shorten: Reckoned
  /** Length of a slit, its round ends included. */
  readonly slit: Reckoned
}

export function stackSizes(start: StackStart): StackSizes {
  const deep = depths(start)
  return { ...widths(start, deep), ...deep }
}

/** How thick a pocket is so far below its top, as a share of its leather: its foot is skived. */
function leftAt(below: number, bottom: number, front: boolean, end: number): number {
  if (below < 0 || below > bottom) return 0
  if (front) return 1
  return 1 - Math.max(0, (below - bottom + POCKET_BENCH.footSkive) / POCKET_BENCH.footSkive) * (1 - end)
}

/** Layers of pocket leather where most of it lies over the cards: feet end, and are skived to what is planned. */
function layersOver({ p, leather, hole, skives }: StackStart, deep: ReturnType<typeof depths>): number {
  const end = Math.min(1, (skives[FOOT_BAND] ?? leather.thickness * POCKET_BENCH.footEnd) / leather.thickness)
  const bottomOf = (i: number): number =>
    deep.depth.value - (i === 0 ? deep.shorten.value : 0) + hole.value + POCKET_BENCH.footMargin
  const tops = Array.from({ length: p.pockets }, (_, i) => i * p.reveal)
  // It is thickest where a pocket begins: below that they only end.
  return Math.max(
    0,
    ...tops.map((at) =>
      tops.reduce((sum, top, i) => sum + leftAt(at - top, bottomOf(i), i === p.pockets - 1, end), 0),
    ),
  )
}

/** Layers that lie in the middle of the pile and not at its edge. */
function piled(start: StackStart, deep: ReturnType<typeof depths>): { layers: number; t: number } {
  const { p, leather } = start
  if (p.school === 'overlap') return { layers: 0, t: leather.thickness }
  if (p.school === 'slits') return { layers: p.pouch === 'fabric' ? 2 * p.pockets : 0, t: CLOTH.thickness }
  return { layers: Math.max(0, layersOver(start, deep) - edgePieces(p)), t: leather.thickness }
}

/** Widths of a pocket, from the card and the rise of the pile. */
function widths(start: StackStart, deep: ReturnType<typeof depths>) {
  const { p, reckon, leather, margin, hole } = start
  const size = sizeBy(reckon)
  const { layers, t } = piled(start, deep)
  const card = given('card', CARD.width)
  const thick = given('card', CARD.thickness, 'thickness')
  const rise = size(
    'pocket.rise',
    'rise of the pile',
    '{share} × ({cards} cards × {card} + {layers} more layers over the cards than at the edge × {t})',
    '§9',
    {
      share: given('share', POCKET_BENCH.bulgeShare, 'share'),
      cards: given('cards', p.pockets * p.cardsPerPocket, 'count'),
      card: thick,
      layers: given('layers', layers, 'share'),
      t: given('pocket leather', t, 'thickness'),
    },
  )
  const stretch = size('pocket.stretch', 'stretch of the face', '{give} × {card} card', '§9', {
    give: given('give', leather.give, 'share'),
    card,
  })
  const min = size('pocket.leastRoom', 'least room a side', '{cards} × {card} / 2 + {play} play', '§9', {
    cards: given('cards', p.cardsPerPocket, 'count'),
    card: thick,
    play: given('play', POCKET_BENCH.sidePlay),
  })
  const room = size(
    'pocket.sideRoom',
    'room a side',
    `the larger of {min} and the smaller of {steepest} × {rise} and ${SIDE_ROOM}`,
    '§9',
    { min, rise, stretch, steepest: given('steepest', POCKET_BENCH.steepest, 'count') },
  )
  const slit = size(
    'pocket.slit',
    'length of a slit',
    '{card} card + {cards} × {thick} + 2 × {ease} ease',
    '§9',
    {
      card,
      cards: given('cards', p.cardsPerPocket, 'count'),
      thick,
      ease: given('ease', POCKET_BENCH.slitEase),
    },
  )
  const between =
    p.school === 'slits'
      ? size(
          'pocket.between',
          'between the stitches',
          'the larger of {card} card + 2 × {room} room and {slit} slit + 2 × {land} of leather beside it',
          '§9',
          { card, room, slit, land: given('land', POCKET_BENCH.slitLand) },
        )
      : size('pocket.between', 'between the stitches', '{card} card + 2 × {room} room', '§9', { card, room })
  const pocketWidth = size(
    'pocket.width',
    'pocket width',
    '{between} + 2 × ({margin} margin + {hole} half a hole)',
    '§9',
    { between, margin, hole },
  )
  const arm = size(
    'pocket.arm',
    'length of an arm',
    '{margin} margin + {hole} half a hole + {room} clear of the stitches',
    '§9',
    { margin, hole, room: given('room', POCKET_BENCH.bodyRoom) },
  )
  return { rise, stretch, sideRoom: room, slit, between, pocketWidth, arm }
}

/** Depths of a pocket, its lap, and how much the uppermost one is shortened. */
function depths({ p, reckon, hole }: StackStart) {
  const size = sizeBy(reckon)
  const reveal = given('reveal', p.reveal)
  const depth = size('pocket.depth', 'pocket depth', '{card} card − {shown} showing', '§9', {
    card: given('card', CARD.height),
    shown: given('shown', p.shown),
  })
  const lap = size(
    'pocket.lap',
    'lap',
    p.school === 'lapped'
      ? 'the smaller of {lap} as asked and {reveal} that shows'
      : '0: none in this school',
    '§9',
    { lap: given('lap', p.lap), reveal },
  )
  const overlap = size(
    'pocket.overlap',
    'its foot reaches under the front pocket by',
    '{depth} + {hole} + {foot} foot − {steps} steps × {reveal} + {clear} clear',
    '§9',
    {
      depth,
      hole,
      foot: given('foot', POCKET_BENCH.footMargin),
      steps: given('steps', Math.max(0, p.pockets - 1), 'count'),
      reveal,
      clear: given('clear', POCKET_BENCH.footClear),
    },
  )
  const wanted = p.topPocket === 'clear' && p.pockets >= 3 && p.school !== 'slits'
  const max = POCKET_BENCH.mostShortening
  /** Why it is left at its full depth, where it is. */
  const left = !wanted
    ? 'left at full depth'
    : overlap.value <= 0
      ? 'its foot does not reach that far'
      : overlap.value > max
        ? 'it would lose more than a card can spare'
        : undefined
  const shorten = size(
    'pocket.shorten',
    'uppermost pocket shorter by',
    left === undefined ? '{overlap} as far as its foot would reach' : `0: ${left}`,
    '§9',
    { overlap },
  )
  return { depth, lap, shorten }
}

/** Height of what carries a pile, for its cards, `over` mm above the uppermost card left free. */
export function heightForCards(
  { p, reckon, margin, hole }: Pick<StackStart, 'p' | 'reckon' | 'margin' | 'hole'>,
  { depth, shorten }: Pick<StackSizes, 'depth' | 'shorten'>,
  over: number,
): Reckoned {
  return sizeBy(reckon)(
    'height.cards',
    'height for the cards',
    p.pockets === 0
      ? '0: no card pockets'
      : '{margin} margin + {hole} + {depth} + {steps} × {reveal} reveal + {shown} showing + {shorten} + {over} over the card',
    '§9',
    {
      margin,
      hole,
      depth,
      steps: given('steps', Math.max(0, p.pockets - 1), 'count'),
      reveal: given('reveal', p.reveal),
      shown: given('shown', p.shown),
      shorten,
      over: given('over', over),
    },
  )
}

import { type Move, flipAbout, line as straight, moveThen, point, pointMoved, polygon, shift } from '../../geometry/index.js'
import { narrowestPocket, topCardHeight } from '../../formulas/index.js'
import type { Clip, Fit, Glue, Join, Layup, Match, PanelSheet, Sheet } from '../../master/index.js'
import { CARD, NOTE_THICKNESS, currencyOf, largestNote } from '../../stores/index.js'
import { type Reckon, given } from '../../working/index.js'
import { firstTop } from './panels.js'
import type { BifoldParams } from './params.js'
import { BENCH, type BifoldSizes, topRadius } from './sizes.js'

type Side = 'left' | 'right'
const SIDES: readonly Side[] = ['left', 'right']

const leftOf = (x: number): Clip => ({ at: point(x, 0), inward: point(-1, 0) })
const rightOf = (x: number): Clip => ({ at: point(x, 0), inward: point(1, 0) })

/** Everything on one half, lowest first, in the coordinates of the inside laid open. */
function half(side: Side, p: BifoldParams, s: BifoldSizes): { cover: Sheet[]; pockets: Sheet[] } {
  const [wi, wo] = [s.insideWidth.value, s.outsideWidth.value]
  const middle = wi / 2
  const clip = side === 'left' ? leftOf(middle) : rightOf(middle)
  // The right half is the left one turned over about the fold line.
  const place = (move: Move): Move => (side === 'left' ? move : moveThen(move, flipAbout(middle)))
  const lift = s.insideHeight.value - s.outsideHeight.value
  const cover: PanelSheet = {
    type: 'panel', id: `outside-${side}`, name: 'outside', panelId: 'outside', grainUp: false,
    move: shift(side === 'left' ? 0 : wi - wo, lift), clips: [clip],
  } // prettier-ignore
  const inside: PanelSheet = {
    type: 'panel', id: `inside-${side}`, name: 'inside', panelId: 'inside', grainUp: true, move: shift(0, 0), clips: [clip],
  } // prettier-ignore
  const pockets: Sheet[] = []
  for (let i = 0; i < p.pockets; i += 1) {
    const top = firstTop(p, s) + i * p.reveal
    pockets.push(...cardsOf(side, i, top, p, s, place), pocketSheet(side, i, top, p, s, place))
  }
  return { cover: [cover, ...notesOf(side, p, s, clip), inside], pockets }
}

function pocketSheet(side: Side, i: number, top: number, p: BifoldParams, s: BifoldSizes, place: (m: Move) => Move): PanelSheet {
  const isFoot = i === p.pockets - 1
  const panelId = isFoot ? 'foot-pocket' : i === 0 && s.shorten.value > 0 ? 'pocket-top' : 'pocket'
  return {
    type: 'panel', id: `pocket-${i + 1}-${side}`, name: isFoot ? 'foot pocket' : `card pocket ${i + 1}`, panelId,
    grainUp: true, move: place(shift(0, top)), clips: [],
  } // prettier-ignore
}

const rectangle = (w: number, h: number) => polygon([point(0, 0), point(w, 0), point(w, h), point(0, h)])

/** The cards of one pocket stand on its foot seam. */
function cardsOf(side: Side, i: number, top: number, p: BifoldParams, s: BifoldSizes, place: (m: Move) => Move): Sheet[] {
  const floor = top + s.depth.value - (i === 0 ? s.shorten.value : 0)
  const x = (s.pocketWidth.value - CARD.width) / 2
  return [{
    type: 'content', id: `cards-${i + 1}-${side}`, name: p.cardsPerPocket === 1 ? 'card' : `${p.cardsPerPocket} cards`,
    move: place(shift(x, floor - CARD.height)), clips: [], outline: rectangle(CARD.width, CARD.height),
    thickness: p.cardsPerPocket * CARD.thickness,
  }] // prettier-ignore
}

function notesOf(side: Side, p: BifoldParams, s: BifoldSizes, clip: Clip): Sheet[] {
  if (p.currency === 'none' || p.notes === 0) return []
  const note = largestNote(currencyOf(p.currency))
  const [x, y] = [(s.insideWidth.value - note.long) / 2, s.insideHeight.value - s.margin.value - s.hole.value - note.short]
  return [{
    type: 'content', id: `notes-${side}`, name: `${p.notes} notes`, move: shift(x, y), clips: [clip],
    outline: rectangle(note.long, note.short), thickness: p.notes * NOTE_THICKNESS,
  }] // prettier-ignore
}

/** Laid open with the inside up; and closed, the right half folded over onto the left. */
export function bifoldLayups(p: BifoldParams, s: BifoldSizes): Layup[] {
  const [left, right] = [half('left', p, s), half('right', p, s)]
  const over = flipAbout(s.insideWidth.value / 2)
  const folded = [...right.cover, ...right.pockets].reverse().map(
    (sheet): Sheet => ({
      ...sheet,
      ...(sheet.type === 'panel' ? { grainUp: !sheet.grainUp } : {}),
      move: moveThen(sheet.move, over),
      clips: sheet.clips.map(({ at, inward }) => ({ at: pointMoved(at, over), inward: point(-inward.x, inward.y) })),
    }),
  )
  return [
    { id: 'open', name: 'laid open', carrier: 'inside', sheets: [...left.cover, ...right.cover, ...left.pockets, ...right.pockets] },
    { id: 'closed', name: 'closed', carrier: 'inside', sheets: [...left.cover, ...left.pockets, ...folded] },
  ]
}

/** Feet first, then the seam beside the fold, then the outer seam through everything, each on both halves. */
export function bifoldJoins(p: BifoldParams, s: BifoldSizes): Join[] {
  const feet = SIDES.flatMap((side) => Array.from({ length: Math.max(0, p.pockets - 1) }, (_, i) => footJoin(side, i, s)))
  const inner = p.pockets > 0 ? SIDES.map((side) => innerJoin(side, p, s)) : []
  return [...feet, ...inner, ...SIDES.map((side) => outerJoin(side, p, s))]
}

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left')
const pocketSheets = (side: Side, p: BifoldParams): string[] => Array.from({ length: p.pockets }, (_, i) => `pocket-${i + 1}-${side}`)

function footJoin(side: Side, i: number, s: BifoldSizes): Join {
  const y = s.depth.value - (i === 0 ? s.shorten.value : 0) + s.hole.value
  const [from, to] = [s.arm.value + s.margin.value, s.pocketWidth.value - s.arm.value - s.margin.value]
  const sheet = `pocket-${i + 1}-${side}`
  const line = [straight(point(from, y), point(Math.max(from, to), y))]
  return {
    id: `foot-${i + 1}-${side}`, name: `foot of pocket ${i + 1}, ${side}`, layup: 'open', twin: `foot-${i + 1}-${other(side)}`,
    course: { type: 'line', sheet, line: { segments: line, closed: false } },
    through: [`inside-${side}`, sheet], glue: [{ sheet, chain: ['foot'], limit: BENCH.footMargin }],
    backstitches: { start: 1, end: 1 },
  } // prettier-ignore
}

/** Down the pockets beside the fold, ending one hole short of the outer seam's last hole. */
function innerJoin(side: Side, p: BifoldParams, s: BifoldSizes): Join {
  const top = firstTop(p, s)
  const x = s.pocketWidth.value - s.margin.value
  const inFrame = (y: number) => point(side === 'left' ? x : s.insideWidth.value - x, y)
  const start = top + s.pitch.value / 2
  const [from, to] = [inFrame(start), inFrame(Math.max(start, s.insideHeight.value - 2 * s.margin.value))]
  return {
    id: `inner-${side}`, name: `seam beside the fold, ${side}`, layup: 'open', twin: `inner-${other(side)}`,
    course: { type: 'line', sheet: `inside-${side}`, line: { segments: [straight(from, to)], closed: false } },
    through: [`inside-${side}`, ...pocketSheets(side, p)],
    glue: pocketSheets(side, p).map((sheet, i) => ({ sheet, chain: [i === p.pockets - 1 ? 'right' : 'right-arm'], limit: s.margin.value })),
    backstitches: { start: 2, end: 1 },
  } // prettier-ignore
}

function outerJoin(side: Side, p: BifoldParams, s: BifoldSizes): Join {
  const reach = p.pockets > 0 ? s.pocketWidth.value - s.margin.value : s.half.value - BENCH.noteEase - s.margin.value
  const ends = { startTrim: outerStart(p, s), endTrim: s.insideWidth.value - p.corner - reach }
  const around = (edges: string[]): string[] => (p.corner > 0 ? edges : edges.filter((e) => !e.includes('-')))
  return {
    id: `outer-${side}`, name: `outer seam, ${side}`, layup: 'open', twin: `outer-${other(side)}`,
    course: {
      type: 'edges', sheet: `inside-${side}`, margin: s.margin, ...ends, backwards: side === 'left',
      chain: around(side === 'right' ? ['right', 'foot-right', 'foot'] : ['foot', 'foot-left', 'left']),
    },
    through: [`outside-${side}`, `inside-${side}`, ...pocketSheets(side, p)],
    glue: outerGlue(side, p, s.margin.value, around),
    backstitches: { start: 2, end: 2 },
  } // prettier-ignore
}

/**
 * How far down the straight side the outer seam begins: a margin below the top and clear of rounded corners, and up to a
 * pitch lower so that pocket tops fall between two holes.
 */
function outerStart(p: BifoldParams, s: BifoldSizes): number {
  const straight = topRadius(p)
  const least = Math.max(s.margin.value, straight)
  const [top, pitch] = [firstTop(p, s), s.pitch.value]
  const stitches = Math.floor((top - least) / pitch - 0.5)
  return (p.pockets === 0 ? least : top - (stitches + 0.5) * pitch) - straight
}

function outerGlue(side: Side, p: BifoldParams, limit: number, around: (edges: string[]) => string[]): Glue[] {
  const chain = around(side === 'right' ? ['right', 'foot-right', 'foot'] : ['foot', 'foot-left', 'left'])
  const covers = [`outside-${side}`, `inside-${side}`].map((sheet) => ({ sheet, chain, limit }))
  const pockets = pocketSheets(side, p).map((sheet, i) => ({
    sheet, limit, chain: i === p.pockets - 1 ? around(['foot', 'foot-left', 'left']) : ['left-arm'],
  })) // prettier-ignore
  return [...covers, ...pockets]
}

/** Where the tops of the pockets meet the sides of the inside. */
export function bifoldMatches(p: BifoldParams, s: BifoldSizes): Match[] {
  return SIDES.flatMap((side) =>
    Array.from({ length: p.pockets }, (_, i) => ({
      id: `top-${i + 1}-${side}`, sheetA: `inside-${side}`, sheetB: `pocket-${i + 1}-${side}`,
      at: point(side === 'left' ? 0 : s.insideWidth.value, firstTop(p, s) + i * p.reveal),
    })),
  ) // prettier-ignore
}

/** What has to go in, against what there is: cards between the stitches and under the edge, notes in their compartment. */
export function bifoldFits(p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] {
  return [...(p.pockets > 0 ? cardFits(p, s, reckon) : []), ...noteFits(p, s, reckon)]
}

function cardFits(p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] {
  const cards = given('cards', p.cardsPerPocket, 'count')
  const wide = {
    id: 'card-wide', rank: 'stop', why: 'the card will not go in between the stitches', what: 'a card between the stitches', panelId: 'inside', keys: ['pocket.sideRoom', 'pocket.between', 'pocket.width'],
    at: point(s.pocketWidth.value / 2, s.insideHeight.value - 20),
    needs: reckon({ key: 'fit.cardWide', label: 'needs', formula: '{card} card + {cards} × {thick}', source: '§9' }, { card: given('card', CARD.width), cards, thick: given('thick', CARD.thickness, 'thickness') }, (v) => narrowestPocket(v.card, v.thick, v.cards)),
    has: reckon({ key: 'fit.cardRoom', label: 'room', formula: '{width} pocket − 2 × ({margin} + {hole})', source: '§9' }, { width: s.pocketWidth, margin: s.margin, hole: s.hole }, (v) => v.width - 2 * (v.margin + v.hole)),
  } as const // prettier-ignore
  const tall = {
    id: 'card-tall', rank: 'stop', why: 'the card stands out over the edge and is bent when the wallet is pushed into a pocket', what: 'the uppermost card under the top edge', panelId: 'inside', keys: ['inside.height', 'pocket.depth'],
    at: point(s.pocketWidth.value / 2, 4),
    needs: reckon({ key: 'fit.cardTall', label: 'needs', formula: '{steps} × {reveal} + {shorten} + {card} card', source: '§9' }, { steps: given('steps', p.pockets - 1, 'count'), reveal: given('reveal', p.reveal), shorten: s.shorten, card: given('card', CARD.height) }, (v) => topCardHeight(v.steps + 1, v.reveal, v.card) + v.shorten),
    has: reckon({ key: 'fit.cardHeight', label: 'room', formula: '{height} − {margin} margin − {hole}', source: '§9' }, { height: s.insideHeight, margin: s.margin, hole: s.hole }, (v) => v.height - v.margin - v.hole),
  } as const // prettier-ignore
  const grip = {
    id: 'card-grip', rank: 'look', why: 'less than a fingertip shows, so the card is hard to pull out', what: 'a finger on a card', panelId: 'foot-pocket', keys: [], remedy: { field: 'shown', value: BENCH.grip },
    at: point(s.pocketWidth.value / 2, 0),
    needs: reckon({ key: 'fit.gripNeeds', label: 'needs', formula: '{grip} showing', source: '§9' }, { grip: given('grip', BENCH.grip) }, (v) => v.grip),
    has: reckon({ key: 'fit.grip', label: 'showing', formula: '{card} card − {depth} pocket', source: '§9' }, { card: given('card', CARD.height), depth: s.depth }, (v) => v.card - v.depth),
  } as const // prettier-ignore
  return [wide, tall, grip]
}

function noteFits(p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] {
  if (p.currency === 'none') return []
  const note = largestNote(currencyOf(p.currency))
  const long = {
    id: 'note-long', rank: 'stop', why: 'the note has to be folded to go in', what: 'a note laid open', panelId: 'outside', keys: ['half', 'inside.width'],
    at: point(s.outsideWidth.value / 4, s.outsideHeight.value / 2),
    needs: reckon({ key: 'fit.noteLong', label: 'needs', formula: '{note} note', source: '§2' }, { note: given('note', note.long) }, (v) => v.note),
    has: reckon({ key: 'fit.noteWidth', label: 'room', formula: '{width} − 2 × ({margin} + {hole})', source: '§2' }, { width: s.insideWidth, margin: s.margin, hole: s.hole }, (v) => v.width - 2 * (v.margin + v.hole)),
  } as const // prettier-ignore
  const deep = {
    id: 'note-deep', rank: 'stop', why: 'the note stands out over the top edge', what: 'a note below the top edge', panelId: 'outside', keys: ['inside.height', 'outside.height'],
    at: point(s.outsideWidth.value / 2, 4),
    needs: reckon({ key: 'fit.noteDeep', label: 'needs', formula: '{note} note', source: '§2' }, { note: given('note', note.short) }, (v) => v.note),
    has: reckon({ key: 'fit.noteHeight', label: 'room', formula: '{height} − {margin} margin − {hole}', source: '§2' }, { height: s.outsideHeight, margin: s.margin, hole: s.hole }, (v) => v.height - v.margin - v.hole),
  } as const // prettier-ignore
  return [long, deep]
}

import { sideRoom } from '../../../formulas/index.js'
import { type Point, STAY, moveBack, moveThen, point } from '../../../geometry/index.js'
import type { Concern, Fit, Panel } from '../../../master/index.js'
import { CARD } from '../../../stores/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { leatherOf } from '../../kind.js'
import { plainPanel } from '../../parts/shape.js'
import { type Bag } from '../bag.js'
import { onPanel, putOn, rectanglePanel, row, uSeam } from './onFace.js'
import { type Body, type Face, type Part, onto, part } from '../assembly.js'
import { profileShape } from '../bodies/profile.js'
import { foundIn } from '../../../lists/index.js'

/** Places for cards and pens: their least room, corners at the foot, what is left beside them, and beside their last row, mm. */
const PLACES = { room: 1.5, foot: 6, beside: 18, wall: 4 } as const
/** A row between two places begins below their top and ends above the seam at their foot, mm. */
const WALL = { top: 3, foot: 2 } as const
/** Their cover: wider than they are, over them, its corners, where its row begins, mm. */
const COVER = { wider: 8, above: 14, foot: 12, row: 5 } as const
/** Down the face, as a share of it, and no less than so many mm; so far below what is clear of the flap. */
const DOWN = { share: 0.3, min: 30, least: 20, below: 4 } as const

/** A lining is smaller by so much all round, mm; a pen is so thick; a cover reaches so far over. */
const BENCH = { lining: 1, pen: 11, penRoom: 3, penHigh: 120, cover: 70, cardHigh: 62 } as const

/** How wide one place is for a card and for a pen, between its rows. */
function placeSizes({ size, materials }: Bag): { card: Reckoned; pen: Reckoned } {
  const inner = leatherOf(materials, 'inner')
  const room = sideRoom(CARD.thickness, 2 * inner.give * CARD.width)
  return {
    card: size('organiser.card', 'a card place between its rows', '{card} card + 2 × {room} room', '§9', {
      card: given('card', CARD.width),
      room: given('room', Math.max(PLACES.room, room)),
    }),
    pen: size('organiser.pen', 'a pen place between its rows', 'π / 2 × {pen} pen + {room} room', '§20', {
      pen: given('pen', BENCH.pen),
      room: given('room', BENCH.penRoom),
    }),
  }
}

/** The rows between places, across the panel: those that don’t fit it are left out. */
const wallsOf = ({ p }: Bag, card: number, pen: number, wide: number): number[] =>
  Array.from({ length: Math.max(0, p.cards + p.pens - 1) }, (_, i) =>
    i + 1 <= p.cards ? p.margin + (i + 1) * card : p.margin + p.cards * card + (i + 1 - p.cards) * pen,
  ).filter((x) => x < wide - p.margin - PLACES.wall)

/** Card places and pen places beside each other on the inside of a face, under a cover; above `clear` mm down, where they can. */
export function organiser(bag: Bag, face: Face, clear: number): Part {
  const { p } = bag
  const { card, pen } = placeSizes(bag)
  const m = p.margin
  const asked = p.cards * card.value + p.pens * pen.value + 2 * m
  // The cover is wider, and has to stay clear of the seams at the sides.
  const max = face.wide - PLACES.beside
  const wide = Math.min(asked, max)
  const high = p.pens > 0 ? BENCH.penHigh : BENCH.cardHigh
  const panel = (id: string, name: string, w: number, h: number, foot: number): Panel =>
    rectanglePanel(bag, id, name, 'inner', w, h, { foot })
  const places = panel('places', 'Card and pen places', wide, high, PLACES.foot)
  const over = [wide + COVER.wider, BENCH.cover + COVER.above] as const
  const cover = panel('cover', 'Cover of the places', ...over, COVER.foot)
  const top = Math.max(
    DOWN.least,
    Math.min(Math.max(DOWN.min, face.high * DOWN.share), clear - high - DOWN.below),
  )
  return part({
    panels: [places, cover],
    onto: [
      putOn(face, places, { x: 0, y: top, inside: true }),
      putOn(face, cover, { x: 0, y: top - COVER.above, inside: true }),
    ],
    joins: [
      uSeam(bag, 'places-seam', 'seam of the card and pen places', 'places', face.sheet, PLACES.foot),
      ...wallsOf(bag, card.value, pen.value, wide).map((x, i) =>
        row(
          `places-wall-${i + 1}`,
          `row between places ${i + 1} and ${i + 2}`,
          'places',
          [point(x, WALL.top), point(x, high - m - WALL.foot)],
          ['places', face.sheet],
        ),
      ),
      row(
        'cover-seam',
        'row that holds the cover',
        'cover',
        [point(COVER.row, m), point(over[0] - COVER.row, m)],
        ['cover', face.sheet],
      ),
    ],
    sizes: [{ panelId: 'places', size: card }, ...(p.pens > 0 ? [{ panelId: 'places', size: pen }] : [])],
    fits: [placesFit(bag, asked, max, point(wide / 2, high / 2))],
    concerns: p.cards + p.pens > 0 ? [] : [noPlaces(point(wide / 2, high / 2))],
  })
}

/** All places, and what the face leaves for them. */
const placesFit = ({ p, size }: Bag, asked: number, max: number, at: Point): Fit => ({
  id: 'places-wide',
  rank: 'stop',
  what: 'the card and pen places',
  panelId: 'places',
  at,
  why: 'the last places are too narrow or missing: fewer of them, or a wider bag',
  keys: [],
  remedy: { field: 'cards', value: Math.max(0, p.cards - 1) },
  needs: size('fit.places', 'needs', '{asked} in all', '§9', { asked: given('places', asked) }),
  has: size('fit.placesHas', 'between the seams', '{wide}', '§9', { wide: given('width', max) }),
})

const noPlaces = (at: Point): Concern => ({
  id: 'no-places',
  rank: 'look',
  panelId: 'places',
  at,
  what: 'The panel under the cover has no place for a card or a pen',
  why: 'Ask for one, or leave the panel out.',
})

/** What lines a bag, and where things are put inside it. */
export interface Lined {
  readonly part: Part
  /** The face that looks in: of the lining, where there is one. Pockets are sewn to it before it is glued in. */
  readonly inner: (face: Face) => Face
}

/** A lining behind front and back, or behind the whole body, smaller so that it doesn’t wrinkle. */
export function linings(bag: Bag, body: Body): Lined {
  if (bag.p.lining === 'none') return { part: part({}), inner: (face) => face }
  const behind = [...new Map([body.front, body.back].map((f) => [f.sheet, f])).values()]
  const made = behind.map((face): { panel: Panel; sheet: Part['onto'][number] } => {
    const outer = foundIn(body.panels, (q) => q.id === face.sheet)
    const less = BENCH.lining
    const w = face.wide - 2 * less
    const whole = behind.length === 1 && outer.id === 'body'
    const high = whole ? 2 * face.high + bag.s.deep.value - 2 * less : face.high - 2 * less
    const shape = profileShape(
      {
        span: w,
        rise: high,
        radius: whole || bag.p.radius < 1 ? 0 : Math.min(bag.p.radius, w / 2 - 1, high - 1),
      },
      0,
      () => bag.plain,
    )
    const panel = plainPanel({
      id: `${outer.id}-lining`,
      name: `Lining of the ${outer.id}`,
      role: 'lining',
      ...shape,
      behind: { panelId: outer.id, sort: 'lining' },
      notes: ['glued all over in the shape it will have, its top finished with the body’s'],
    })
    const x = onPanel(face, 0, less)
    const move = {
      ...STAY,
      e: x.x - w / 2,
      f: whole ? Math.min(onPanel(body.front, 0, less).y, onPanel(body.back, 0, less).y) : x.y,
    }
    return { panel, sheet: onto(face.sheet, 'inside', panel, move) }
  })
  return {
    part: part({ panels: made.map((q) => q.panel), onto: made.map((q) => q.sheet) }),
    inner: (face) => {
      const { sheet } = foundIn(made, (q) => q.sheet.on === face.sheet)
      return { ...face, sheet: sheet.sheet.id, move: moveThen(face.move, moveBack(sheet.sheet.move)) }
    },
  }
}

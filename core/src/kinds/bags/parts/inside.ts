import { sideRoom } from '../../../formulas/index.js'
import { STAY, moveBack, moveThen, point } from '../../../geometry/index.js'
import type { Panel } from '../../../master/index.js'
import { CARD } from '../../../stores/index.js'
import { given } from '../../../working/index.js'
import { leatherOf } from '../../kind.js'
import { plainPanel } from '../../parts/shape.js'
import { type Bag } from '../bag.js'
import { onPanel, putOn, rectanglePanel, row, uSeam } from './onFace.js'
import { type Body, type Face, type Part, onto, part } from '../assembly.js'
import { profileShape } from '../bodies/profile.js'
import { foundIn } from '../../../lists/index.js'

/** A lining is smaller by so much all round, mm; a pen is so thick; a cover reaches so far over. */
const BENCH = { lining: 1, pen: 11, penHigh: 120, cover: 70, cardHigh: 62 } as const

/** Card places and pen places beside each other on the inside of a face, under a cover; above `clear` mm down, where they can. */
export function organiser(bag: Bag, face: Face, clear: number): Part {
  const { p, size, materials } = bag
  const inner = leatherOf(materials, 'inner')
  const room = sideRoom(CARD.thickness, 2 * inner.give * CARD.width)
  const card = size(
    'organiser.card',
    'a card place between its rows',
    '{card} card + 2 × {room} room',
    '§9',
    { card: given('card', CARD.width), room: given('room', Math.max(1.5, room)) },
  )
  const pen = size(
    'organiser.pen',
    'a pen place between its rows',
    'π / 2 × {pen} pen + {room} room',
    '§20',
    { pen: given('pen', BENCH.pen), room: given('room', 3) },
  )
  const m = p.margin
  const asked = p.cards * card.value + p.pens * pen.value + 2 * m
  // The cover is wider by 8 mm, and has to stay clear of the seams at the sides.
  const max = face.wide - 18
  const wide = Math.min(asked, max)
  const high = p.pens > 0 ? BENCH.penHigh : BENCH.cardHigh
  const places = rectanglePanel(bag, 'places', 'Card and pen places', 'inner', wide, high, { foot: 6 })
  const cover = rectanglePanel(bag, 'cover', 'Cover of the places', 'inner', wide + 8, BENCH.cover + 14, {
    foot: 12,
  })
  const top = Math.max(20, Math.min(Math.max(30, face.high * 0.3), clear - high - 4))
  const walls = Array.from({ length: Math.max(0, p.cards + p.pens - 1) }, (_, i) =>
    i + 1 <= p.cards ? m + (i + 1) * card.value : m + p.cards * card.value + (i + 1 - p.cards) * pen.value,
  ).filter((x) => x < wide - m - 4)
  return part({
    panels: [places, cover],
    onto: [
      putOn(face, places, { x: 0, y: top, inside: true }),
      putOn(face, cover, { x: 0, y: top - 14, inside: true }),
    ],
    joins: [
      uSeam(bag, 'places-seam', 'seam of the card and pen places', 'places', face.sheet, 6),
      ...walls.map((x, i) =>
        row(
          `places-wall-${i + 1}`,
          `row between places ${i + 1} and ${i + 2}`,
          'places',
          [point(x, 3), point(x, high - m - 2)],
          ['places', face.sheet],
        ),
      ),
      row(
        'cover-seam',
        'row that holds the cover',
        'cover',
        [point(5, m), point(wide + 3, m)],
        ['cover', face.sheet],
      ),
    ],
    sizes: [{ panelId: 'places', size: card }, ...(p.pens > 0 ? [{ panelId: 'places', size: pen }] : [])],
    fits: [
      {
        id: 'places-wide',
        rank: 'stop',
        what: 'the card and pen places',
        panelId: 'places',
        at: point(wide / 2, high / 2),
        why: 'the last places are too narrow or missing: fewer of them, or a wider bag',
        keys: [],
        remedy: { field: 'cards', value: Math.max(0, p.cards - 1) },
        needs: size('fit.places', 'needs', '{asked} in all', '§9', { asked: given('places', asked) }),
        has: size('fit.placesHas', 'between the seams', '{wide}', '§9', { wide: given('width', max) }),
      },
    ],
    concerns:
      p.cards + p.pens > 0
        ? []
        : [
            {
              id: 'no-places',
              rank: 'look',
              panelId: 'places',
              at: point(wide / 2, high / 2),
              what: 'The panel under the cover has no place for a card or a pen',
              why: 'Ask for one, or leave the panel out.',
            },
          ],
  })
}

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

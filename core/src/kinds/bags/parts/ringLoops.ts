import { moveThen, shift } from '../../../geometry/index.js'
import { BOOK_FOLD } from '../../../formulas/index.js'
import { type Fit, type Fitting, clipMoved } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { hardwareOf, leatherOf } from '../../kind.js'
import { needed, present } from '../../parts/fits.js'
import type { Bag } from '../bag.js'
import { foldedInTwo } from '../../parts/loop.js'
import { onPanel, rectanglePanel, rowsAlong } from './onFace.js'
import { type Face, type Part, onto, part } from '../assembly.js'

/** An end of a loop that is sewn down, mm. */
const END = 28

/** Loops of one sort: the panel they are cut from, the part their rings play, and where each is put. */
export interface RingLoops {
  readonly panelId: string
  readonly role: string
  readonly wide: number
  /** A setting that makes them narrower, by field id. */
  readonly field: string
  readonly places: readonly {
    readonly id: string
    /** Said of its ring and its seam: “at the right side”. */
    readonly words: string
    readonly face: Face
    readonly x: number
    readonly y: number
  }[]
}

/** How far down a face a loop reaches from where it is put, mm. */
export const LOOP_REACH = END

/** What goes through a ring or a buckle has to be as narrow as its clear width. */
export function fitsThrough(bag: Bag, role: string, panelId: string, wide: number, field: string): Fit {
  const ware = hardwareOf(bag.materials, role)
  return {
    id: `through-${role}`,
    rank: 'stop',
    what: `the leather that goes through the ${ware.name}`,
    panelId,
    at: { x: wide / 2, y: 10 },
    why: 'it does not go through: take wider hardware, or narrower leather',
    keys: [],
    remedy: { field, value: ware.across },
    needs: needed(bag.reckon, `fit.through.${role}`, 'wide', wide, '§21'),
    has: present(
      bag.reckon,
      `fit.through.${role}.has`,
      'clear width',
      given('clear width', ware.across),
      '§21',
    ),
  }
}

/** Loops of leather that hold rings, their ends sewn down by rows along the pull. */
export function ringLoops(bag: Bag, { panelId, role, wide, field, places }: RingLoops): Part {
  const { p, size, materials } = bag
  const [leather, ring] = [leatherOf(materials, 'straps'), hardwareOf(materials, role)]
  const length = size(
    `${panelId}.length`,
    'loop round a ring, both ends sewn down',
    `2 × {end} + ${BOOK_FOLD}`,
    '§10',
    {
      end: given('end', END),
      gap: given('ring', ring.bar),
      k: given('neutral-axis factor', leather.neutral, 'share'),
      thickness: given('leather', leather.thickness, 'thickness'),
    },
  )
  const panel = rectanglePanel(bag, panelId, 'Tab of a ring', 'straps', wide, length.value, {
    count: places.length,
    pull: Math.PI / 2,
  })
  const m = Math.min(p.margin, wide / 4)
  return part({
    panels: [panel],
    onto: places.flatMap(({ face, x, y, id }) => {
      const there = moveThen(shift(x - wide / 2, y), face.move)
      return foldedInTwo(length.value, END).map((leaf) =>
        onto(
          face.sheet,
          'outside',
          panel,
          moveThen(leaf.move, there),
          `${panelId}-${id}${leaf.suffix}`,
          leaf.suffix === '',
          leaf.clips.map((c) => clipMoved(c, there)),
        ),
      )
    }),
    joins: places.flatMap(({ face, id, words }) =>
      rowsAlong(
        `${panelId}-${id}-seam`,
        `tab ${words}`,
        `${panelId}-${id}`,
        [m, wide - m],
        [length.value - END + m, length.value - 2],
        [`${panelId}-${id}`, `${panelId}-${id}-under`, face.sheet],
      ),
    ),
    fittings: places.map(({ face, x, y, id, words }): Fitting => ({
      id: `${panelId}-${id}-ring`,
      name: `ring ${words}`,
      role,
      sheet: face.sheet,
      at: onPanel(face, x, y - 2),
      up: -Math.PI / 2,
      through: [],
      held: true,
      count: 1,
      before: `${panelId}-${id}-seam-1`,
    })),
    fits: [fitsThrough(bag, role, panelId, wide, field)],
    sizes: [{ panelId, size: length }],
  })
}

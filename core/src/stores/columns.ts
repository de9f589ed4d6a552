import { HARDWARE_SORTS } from './hardware.js'
import { followingUsual } from './leather.js'
import { type Leather, type Stores, reckonedThickness } from './schema.js'

/** The shelves of the stores. */
export type Shelf = 'leathers' | 'irons' | 'awls' | 'threads' | 'machines' | 'hardware' | 'things'

/** What is asked of a thing on a shelf, and how it is written. Lengths in mm. */
export interface Column {
  readonly key: string
  readonly label: string
  readonly type:
    | 'text'
    | 'colour'
    | 'choice'
    | 'fine'
    | 'thickness'
    | 'pitch'
    | 'range'
    | 'count'
    | 'counts'
    | 'lengths'
    | 'yesno'
    | 'share'
    | 'thread'
  readonly choices?: readonly string[]
  readonly min?: number
  readonly max?: number
  readonly step?: number
}

const text = (key: string, label: string): Column => ({ key, label, type: 'text' })
const measure = (
  key: string,
  label: string,
  type: 'fine' | 'pitch' | 'thickness' | 'count' | 'share',
  min: number,
  max: number,
  step: number,
): Column => ({ key, label, type, min, max, step })
const choice = (key: string, label: string, ...choices: string[]): Column => ({
  key,
  label,
  type: 'choice',
  choices,
})

/** What each shelf holds, column by column, with the ranges its schema keeps. */
export const COLUMNS: Readonly<Record<Shelf, readonly Column[]>> = {
  leathers: [
    text('name', 'name'),
    choice('tannage', 'tannage', 'vegetable', 'chrome', 'mixed'),
    choice('temper', 'temper', 'soft', 'medium', 'firm'),
    { key: 'weight', label: 'as sold', type: 'range', min: 0.2, max: 8 },
    choice('use', 'reckoned with', 'low', 'middle', 'measured', 'own'),
    measure('thickness', 'thickness', 'thickness', 0.2, 8, 0.05),
    measure('neutral', 'neutral-axis factor', 'share', 0.3, 0.75, 0.01),
    measure('give', 'give', 'share', 0.001, 0.08, 0.001),
    measure('bears', 'bears', 'thickness', 0.1, 4, 0.05),
    { key: 'swatch', label: 'swatch', type: 'colour' },
  ],
  irons: [
    text('name', 'name'),
    measure('pitch', 'pitch', 'pitch', 1.5, 12, 0.01),
    measure('prongs', 'prongs', 'count', 2, 24, 1),
    { key: 'narrow', label: 'also in', type: 'counts' },
    measure('slotLength', 'slot', 'fine', 0.3, 4, 0.1),
    measure('slotWidth', 'slot width', 'fine', 0.1, 2, 0.1),
    measure('slant', 'slant, degrees', 'share', 0, 90, 1),
    measure('reach', 'reaches', 'thickness', 0.5, 15, 0.1),
  ],
  awls: [text('name', 'name'), measure('reach', 'reaches', 'thickness', 1, 40, 0.5)],
  threads: [
    text('name', 'name'),
    choice('fibre', 'fibre', 'linen', 'cotton', 'polyester', 'nylon'),
    { key: 'tex', label: 'size', type: 'thread' },
    measure('packing', 'packing', 'share', 0.4, 1, 0.01),
    { key: 'colour', label: 'colour', type: 'colour' },
    measure('spool', 'metres on a spool', 'share', 1, 20000, 10),
  ],
  machines: [
    text('name', 'name'),
    measure('stitch', 'stitch', 'pitch', 1, 12, 0.1),
    measure('lift', 'foot lifts', 'thickness', 1, 30, 0.5),
    measure('reach', 'sews', 'thickness', 0.5, 25, 0.5),
    measure('speed', 'stitches a minute', 'share', 10, 3000, 10),
    measure('bobbinAcross', 'bobbin across', 'fine', 8, 80, 0.5),
    measure('bobbinCore', 'its core', 'fine', 2, 60, 0.5),
    measure('bobbinWide', 'wide', 'fine', 3, 60, 0.5),
  ],
  hardware: [
    text('name', 'name'),
    choice('sort', 'what it is', ...HARDWARE_SORTS),
    measure('across', 'across, or clear width', 'fine', 2, 120, 0.5),
    measure('high', 'the other way', 'fine', 0, 120, 0.5),
    measure('bar', 'bar or shank', 'fine', 0, 12, 0.1),
    measure('hole', 'hole or slot', 'fine', 0, 60, 0.5),
    measure('prongs', 'prongs', 'count', 0, 4, 1),
    measure('apart', 'prongs apart', 'fine', 0, 60, 0.5),
    { key: 'posts', label: 'posts to be had', type: 'lengths' },
    measure('setting', 'setting takes', 'fine', 0, 10, 0.1),
    measure('pressed', 'stack pressed to', 'share', 0.6, 1, 0.01),
    measure('washer', 'washer', 'fine', 0, 4, 0.1),
  ],
  things: [
    text('name', 'name'),
    measure('wide', 'width', 'fine', 5, 700, 1),
    measure('high', 'height', 'fine', 5, 700, 1),
    measure('deep', 'thickness', 'fine', 1, 320, 1),
    measure('grams', 'grams', 'share', 0, 30000, 10),
    { key: 'upright', label: 'stands upright', type: 'yesno' },
  ],
}

export const SHELF_NAMES: Readonly<Record<Shelf, { readonly title: string; readonly one: string }>> = {
  leathers: { title: 'Leather', one: 'leather' },
  irons: { title: 'Irons', one: 'iron' },
  awls: { title: 'Awls', one: 'awl' },
  threads: { title: 'Thread', one: 'thread' },
  machines: { title: 'Machines', one: 'machine' },
  hardware: { title: 'Hardware', one: 'piece of hardware' },
  things: { title: 'Things carried', one: 'thing' },
}

export type Good = Stores[Shelf][number]

/**
 * A leather with the thickness its choice asks for; one whose thickness was written over is reckoned with that. What is
 * usual of its tannage, temper and thickness follows them until the maker writes something else.
 */
function settled(leather: Leather, before: Leather | undefined): Leather {
  const written = before && before.use === leather.use && before.thickness !== leather.thickness
  const use = written ? 'own' : leather.use
  const now = { ...leather, use, thickness: reckonedThickness({ ...leather, use }) }
  return before ? followingUsual(before, now) : now
}

/** The stores with one thing put on a shelf in place of the one of its id, or at the end. */
export function withGood(stores: Stores, shelf: Shelf, good: Good): Stores {
  const list = stores[shelf] as readonly Good[]
  const known = list.some((g) => g.id === good.id)
  const put =
    shelf === 'leathers'
      ? settled(good as Leather, list.find((g) => g.id === good.id) as Leather | undefined)
      : good
  return { ...stores, [shelf]: known ? list.map((g) => (g.id === good.id ? put : g)) : [...list, put] }
}

/** The stores without the thing of that id. A shelf keeps its last one: a new job needs something to start with. */
export function withoutGood(stores: Stores, shelf: Shelf, id: string): Stores {
  const left = (stores[shelf] as readonly Good[]).filter((g) => g.id !== id)
  return left.length === 0 ? stores : { ...stores, [shelf]: left }
}

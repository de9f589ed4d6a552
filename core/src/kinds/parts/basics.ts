import { HALF_ACROSS } from '../../formulas/index.js'
import { NOTE_THICKNESS, currencyOf, largestNote } from '../../stores/index.js'
import { type Inputs, type Quantity, type Reckon, type Reckoned, given } from '../../working/index.js'
import type { Materials } from '../kind.js'

/** What the stitching alone asks of every kind: margin, half a hole across the seam, and pitch. */
export interface Basics {
  readonly margin: Reckoned
  readonly hole: Reckoned
  readonly pitch: Reckoned
}

export function basicsOf(margin: number, { iron }: Materials, reckon: Reckon): Basics {
  return {
    hole: reckon(
      {
        key: 'hole.half',
        label: 'half a hole',
        formula: HALF_ACROSS,
        source: '§9',
      },
      { slot: given('slot', iron.slotLength), slant: given('slant', (iron.slant * Math.PI) / 180, 'angle') },
    ),
    margin: reckon(
      {
        key: 'margin',
        label: 'margin',
        formula: '{margin} from the finished edge to the stitch line',
        source: '§7',
      },
      { margin: given('margin', margin) },
    ),
    pitch: reckon(
      {
        key: 'pitch',
        label: 'pitch',
        formula: '{pitch}: of the {iron}-prong iron',
        source: '§7',
        quantity: 'thickness',
      },
      { pitch: given('pitch', iron.pitch, 'thickness'), iron: given('prongs', iron.prongs, 'count') },
    ),
  }
}

/** The largest note to be carried and how thick the pile of them is, mm; undefined where none are. */
export interface Notes {
  readonly long: number
  readonly short: number
  readonly count: number
  readonly thickness: number
}

export function notesMaybe({ currency, notes }: { currency: string; notes: number }): Notes | undefined {
  if (currency === 'none') return undefined
  return { ...largestNote(currencyOf(currency)), count: notes, thickness: notes * NOTE_THICKNESS }
}

/** Sums such as `96.0 between + 2 × 3.0`: one call, the working beside the arithmetic. */
export const sizeBy = (reckon: Reckon) => sizing(reckon, false)

/** A size that follows from others and that nothing else follows from: it is changed by changing those. */
export const outcomeBy = (reckon: Reckon) => sizing(reckon, true)

const sizing =
  (reckon: Reckon, measured: boolean) =>
  <const Words extends string>(
    key: string,
    label: string,
    formula: Words,
    source: string,
    inputs: Inputs<Words>,
    quantity: Quantity = 'length',
  ): Reckoned =>
    reckon({ key, label, formula, source, quantity, ...(measured ? { measured } : {}) }, inputs)

/** Words for what is carried: `6 cards`, `1 note`; nothing for none. */
export const counted = (n: number, one: string): string[] =>
  n === 0 ? [] : [`${n} ${one}${n === 1 ? '' : 's'}`]

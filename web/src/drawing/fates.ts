import type { DrawnFate } from '@drumlin/core/drawn'

/** What may become of an edge, as it is offered; each with why a maker would. */
export const FATES = [
  {
    value: 'raw-burnished',
    label: 'left raw and burnished',
    why: 'bevelled, rubbed and waxed; for vegetable tanned leather',
  },
  {
    value: 'raw-painted',
    label: 'left raw and painted',
    why: 'thin coats sanded between; for chrome tanned or mixed leather',
  },
  { value: 'raw-left', label: 'left raw as cut', why: 'hidden in the work, or meant to show' },
  { value: 'turned', label: 'turned over', why: 'the border folded to the flesh side and stuck down' },
  { value: 'rolled', label: 'hemmed', why: 'a wide turned edge that is sewn with one row or two' },
  { value: 'bound', label: 'bound', why: 'wrapped in a strip that shows on both faces' },
  { value: 'sewn', label: 'sewn in a join', why: 'cut to size, the stitch line a margin in' },
  {
    value: 'trimmed',
    label: 'sewn and trimmed flush',
    why: 'cut over size, trimmed and sanded after sewing',
  },
  { value: 'doubled', label: 'on a fold', why: 'the piece is cut doubled; this edge is not cut' },
  { value: 'long', label: 'left long', why: 'cut to length on the work' },
] as const
export type FateChoice = (typeof FATES)[number]['value']

export const choiceOf = (fate: DrawnFate): FateChoice =>
  fate.type === 'raw' ? (`raw-${fate.finish}` as const) : fate.type

const TURNED = { school: 'even', atEdge: null, feather: 5, core: 'round', lines: 0, margin: 3 } as const

/** A fate with what is usual for it, mm (J), keeping what the one before it said. */
export function fateFor(choice: FateChoice, before: DrawnFate): DrawnFate {
  const margin = 'margin' in before ? before.margin : 3
  switch (choice) {
    case 'raw-burnished':
      return { type: 'raw', finish: 'burnished' }
    case 'raw-painted':
      return { type: 'raw', finish: 'painted' }
    case 'raw-left':
      return { type: 'raw', finish: 'left' }
    case 'turned':
      return { ...TURNED, width: 8, margin, type: 'turned' }
    case 'rolled':
      return { ...TURNED, width: 18, school: 'feather', lines: 1, margin, type: 'rolled' }
    case 'bound':
      return { type: 'bound', width: 6, binding: 0.8, margin: 4 }
    case 'sewn':
      return { type: 'sewn', margin, finish: 'burnished' }
    case 'trimmed':
      return { type: 'trimmed', margin, trim: 2, finish: 'burnished' }
    case 'doubled':
      return { type: 'doubled' }
    case 'long':
      return { type: 'long', by: 10 }
  }
}

export const SCHOOLS = [
  {
    value: 'even',
    label: 'evenly from the fold-to line',
    why: 'half at the fold, nothing at the edge: even thickness all over',
  },
  { value: 'fold', label: 'from the fold out', why: 'quick; leaves a ridge at the fold' },
  {
    value: 'feather',
    label: 'at the last few millimetres only',
    why: 'full thickness in the turn, the step feathered away',
  },
] as const
export const CORES = [
  {
    value: 'round',
    label: 'rounded off',
    why: 'the board’s edge is sanded round: the leather bends over it',
  },
  { value: 'square', label: 'square', why: 'the board is cut square and left so: a little more is needed' },
] as const
export const FINISHES = [
  { value: 'burnished', label: 'burnished', why: 'bevelled, rubbed and waxed' },
  { value: 'painted', label: 'painted', why: 'thin coats sanded between' },
  { value: 'left', label: 'left as cut', why: 'hidden in the work' },
] as const
export const ROWS = [
  { value: '0', label: 'stuck down only', why: 'no stitches along it' },
  { value: '1', label: 'sewn with one row', why: 'the row goes through the border that is turned over' },
  { value: '2', label: 'sewn with two rows', why: 'one beside the edge, one beside where it lands' },
] as const

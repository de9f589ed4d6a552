import { type Given, type Reckon, type Reckoned, type Term, given } from '../../working/index.js'
import type { Basics } from './basics.js'

/** What something needs, as it was given: `{needs} note`. Keys begin with `fit.`; `source` is a section of the docs. */
export const needed = (
  reckon: Reckon,
  key: string,
  words: string,
  value: number,
  source: string,
  quantity: Given['quantity'] = 'length',
): Reckoned =>
  reckon(
    { key, label: 'needs', formula: `{needs} ${words}`, source },
    { needs: given('needs', value, quantity) },
  )

/** What there is, taken over from a size or a setting as it stands. */
export const present = (reckon: Reckon, key: string, label: string, size: Term, source: string): Reckoned =>
  reckon({ key, label, formula: '{size}', source }, { size })

/** Room left between the seams at both sides of something, mm. */
export const betweenSeams = (
  reckon: Reckon,
  key: string,
  width: Reckoned,
  { margin, hole }: Pick<Basics, 'margin' | 'hole'>,
  source: string,
): Reckoned =>
  reckon(
    { key, label: 'room', formula: '{width} − 2 × ({margin} + {hole})', source },
    { width, margin, hole },
  )

/** Room left above the seam at the foot of something, mm. */
export const aboveSeam = (
  reckon: Reckon,
  key: string,
  height: Reckoned,
  { margin, hole }: Pick<Basics, 'margin' | 'hole'>,
  source: string,
): Reckoned =>
  reckon(
    { key, label: 'room', formula: '{height} − {margin} margin − {hole}', source },
    { height, margin, hole },
  )

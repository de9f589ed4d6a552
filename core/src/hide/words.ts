import { type Units, printLength, printWeight } from '../measure/index.js'
import type { LyingFault } from './judge.js'

const FLAW_WORDS = {
  hole: 'a hole',
  scar: 'a scar',
  brand: 'a brand',
  'flesh cut': 'a cut on the flesh side',
  stain: 'a stain',
} as const
const ZONE_WORDS = {
  edge: 'the edge that is rarely used',
  wrinkled: 'the wrinkled part',
  stretchy: 'the stretchy part',
} as const

/** What a fault is about, for whoever says it. */
export interface FaultWords {
  readonly piece: string
  readonly other: string | undefined
  /** Room for the knife, mm. */
  readonly gap: number
  readonly unit: Units
}

/** What is wrong with where a piece lies, and why it matters. */
export function sayFault(
  fault: LyingFault,
  { piece, other, gap, unit }: FaultWords,
): { readonly what: string; readonly why: string } {
  switch (fault.what) {
    case 'near':
      return {
        what: `The ${piece} and the ${other ?? 'other piece'} lie over one another, or nearer than ${printLength(gap, unit)}.`,
        why: 'The knife needs that room between two pieces.',
      }
    case 'off':
      return {
        what: `The ${piece} reaches beyond the hide.`,
        why: 'There is no leather there to cut it from.',
      }
    case 'angle':
      return {
        what: `The ${piece} lies at another angle to the backbone than it asks for.`,
        why: 'Leather stretches least along the backbone: a piece cut at an angle twists.',
      }
    case 'flaw':
      return {
        what: `The ${piece} lies over ${FLAW_WORDS[fault.sort]}.`,
        why: 'It would show there, or give way; under what covers it or in an allowance nobody would mind.',
      }
    case 'zone':
      return {
        what: `The ${piece} lies on ${ZONE_WORDS[fault.sort]} of the hide.`,
        why: 'What shows or bears a pull is cut from the firm; what is hidden may lie there.',
      }
    case 'pair':
      return {
        what: `The ${piece} and its twin, the ${other ?? 'other'}, lie ${printLength(fault.by, unit)} more apart across the hide than a pair should.`,
        why: 'Both of a pair come from like places, so that they stretch and look alike.',
      }
    case 'thickness':
      return {
        what: `The hide is ${printWeight(fault.is.min, unit)} to ${printWeight(fault.is.max, unit)} thick where the ${piece} lies; ${printWeight(fault.reckoned, unit)} is reckoned with.`,
        why: 'Folds, turned edges and holes are reckoned with its thickness.',
      }
  }
}

import { type Derived, type Design, derive, unworkable } from '@drumlin/core'

const known = new WeakMap<Design, Derived>()

/** All that follows from a design, reckoned once for each state of it. */
export function reckonedOnce(design: Design): Derived {
  const before = known.get(design)
  if (before) return before
  const derived = derive(design)
  known.set(design, derived)
  return derived
}

/** Why a state of a design can't be worked with; undefined where it can. */
export const undrawable = (design: Design): string | undefined => unworkable(() => reckonedOnce(design))

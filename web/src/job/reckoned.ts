import { type Derived, derive, unworkable } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { isSame } from '@drumlin/core/merge'

const known = new WeakMap<Design, Derived>()

/** All that follows from a design, reckoned once for each state of it. */
export function reckonedOnce(design: Design): Derived {
  const before = known.get(design)
  if (before) return before
  const derived = last && sameWork(last.design, design) ? { ...last, design } : withSamePieces(derive(design))
  known.set(design, derived)
  last = derived
  return derived
}

/** What is decided about these changes nothing of the work itself. */
const BESIDE: ReadonlySet<string> = new Set(['cutting', 'overruled'])

const sameWork = (a: Design, b: Design): boolean =>
  (Object.keys(b) as (keyof Design)[]).every((key) => BESIDE.has(key) || a[key] === b[key])

/** The work that was reckoned last: the next is mostly the same with something moved. */
let last: Derived | undefined

/** Pieces that came out as they were before are the very same, so that what shows them is left alone. */
function withSamePieces(fresh: Derived): Derived {
  const before = last?.design.id === fresh.design.id ? last.pieces : []
  const old = new Map(before.map((p) => [p.id, p]))
  return { ...fresh, pieces: fresh.pieces.map((p) => (isSame(p, old.get(p.id)) ? old.get(p.id)! : p)) }
}

/** Why a state of a design can't be worked with; undefined where it can. */
export const undrawable = (design: Design): string | undefined => unworkable(() => reckonedOnce(design))

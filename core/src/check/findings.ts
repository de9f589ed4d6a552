import { firstOf } from '../lists/index.js'
import { type Edit, applyEdit, withFollowing } from '../design/index.js'
import { type Derived, derive } from '../derived/index.js'
import type { Units } from '../measure/index.js'
import { STARTER_STORES } from '../stores/index.js'
import { CHECKS, type Code, type Finding } from './checks.js'
import type { Fix, FixShelf, Rank, Saying, Screen } from './finding.js'
import { alikeSaid, together } from './together.js'

const ORDER: Readonly<Record<Rank, number>> = { stop: 0, look: 1, tip: 2 }
const CODES = Object.keys(CHECKS) as readonly Code[]

/** What one check finds, named by its code. */
const foundBy = <One extends Code>(code: One, derived: Derived): readonly Finding<One>[] =>
  CHECKS[code].find(derived).map((found) => ({ code, ...found }))

/** Whether there are pieces to cut; dearer to know than what is sewn, so asked of the few that help. */
function canBeCut(derived: Derived): boolean {
  try {
    return derived.pieces.length > 0
  } catch {
    return false
  }
}

/** What is left of a finding in another design: only what is found by the same check is asked. */
const stillFound = ({ code, key }: { code: Code; key: string }, derived: Derived): Finding | undefined =>
  together(foundBy(code, derived)).find((f) => f.key === key)

/** Everything found in a design, stops first. Overruled ones are among them; `design.overruled` says which. */
export const findingsOf = (derived: Derived): readonly Finding[] =>
  together(CODES.flatMap((code): readonly Finding[] => foundBy(code, derived))).toSorted(
    (a, b) => ORDER[a.rank] - ORDER[b.rank],
  )

/** Whether a finding is settled on that screen; the Draft shows all. */
export const isAbout = (finding: Finding, screen: Screen): boolean => CHECKS[finding.code].screen === screen

/** The reason a finding was overruled for, where it was. */
export const overruledFor = (derived: Derived, finding: Finding): string | undefined =>
  reasonFor(derived, finding.key) ??
  // What was set aside run by run before it was told once stays so.
  (finding.was?.every((key) => reasonFor(derived, key))
    ? reasonFor(derived, firstOf(finding.was))
    : undefined)

const reasonFor = ({ design }: Derived, key: string): string | undefined =>
  design.overruled.find((o) => o.finding === key)?.reason

/** What a finding says, in the maker's units. */
export function sayFinding<One extends Code>(finding: Finding<One>, unit: Units): Saying {
  const { what, why } = CHECKS[finding.code].say(finding, unit)
  return { what: `${what}${alikeSaid(finding.alike ?? [])}`, why }
}

/**
 * Ways out, each tried on the real design: after it the finding is gone, or milder. Reckons up to some dozens of
 * designs, so ask for it when it is shown.
 */
export function fixesOf<One extends Code>(
  finding: Finding<One>,
  derived: Derived,
  unit: Units = 'mm',
  shelf: FixShelf = STARTER_STORES,
): readonly Fix[] {
  const tryOut = (edit: Edit): Derived | undefined => {
    const edited = applyEdit(derived.design, withFollowing(derived.design, edit))
    if (!edited.ok) return undefined
    try {
      return derive(edited.design)
    } catch {
      // Nothing can be made with it: no way out.
      return undefined
    }
  }
  const helps = ({ edit }: Fix): boolean => {
    const tried = tryOut(edit)
    if (!tried || !canBeCut(tried)) return false
    const left = stillFound(finding, tried)
    return !left || ORDER[left.rank] > ORDER[finding.rank]
  }
  return CHECKS[finding.code].fixes(finding, derived, tryOut, unit, shelf).filter(helps)
}

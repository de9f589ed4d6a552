import { type Finding, type Screen, isAbout, overruledFor } from '@drumlin/core/check'
import type { Derived } from '@drumlin/core/derived'

/** Findings that nobody set aside. */
export const openOf = (settled: Derived | undefined, findings: readonly Finding[]): readonly Finding[] =>
  settled ? findings.filter((f) => overruledFor(settled, f) === undefined) : []

/** How many findings are settled on a screen; the Draft mends everything that the Brief doesn't. */
export const countOn = (screen: Screen | 'draft', open: readonly Finding[]): number =>
  open.filter((f) => (screen === 'draft' ? !isAbout(f, 'brief') : isAbout(f, screen))).length

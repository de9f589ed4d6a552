export type { Code as FindingCode, Finding } from './checks.js'
export type { Fix, FixShelf, Place, Rank, Saying, Screen } from './finding.js'
export { findingsOf, fixesOf, isAbout, overruledFor, sayFinding } from './findings.js'
export { startingDesign } from './start.js'

/** Sheets a home printer takes, portrait, mm: ISO 216 A4, and US Letter (8 1/2 × 11 in). */
export const PAPERS = {
  a4: { name: 'A4', short: 'A4', width: 210, height: 297 },
  letter: { name: 'US Letter', short: 'Letter', width: 215.9, height: 279.4 },
} as const
export type PaperId = keyof typeof PAPERS

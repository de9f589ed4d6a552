import type { Derived, SeamRow } from '@drumlin/core/derived'
import { type LengthUnit, printLength } from '@drumlin/core/measure'
import type { Run, Strikes } from '@drumlin/core/stitch'

export const times = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`

/** “8 blows of the 8-prong iron, 2 of the 2-prong one and 1 hole with the awl”. */
export function strikeWords(strikes: readonly Strikes[]): string {
  const parts = strikes.map((s, i) =>
    s.prongs === 0
      ? `${times(s.blows, 'hole')} with the awl`
      : i === 0
        ? `${times(s.blows, 'blow')} of the ${s.prongs}-prong iron`
        : `${s.blows} of the ${s.prongs}-prong one`,
  )
  return parts.length > 1
    ? `${parts.slice(0, -1).join(', ')} and ${parts[parts.length - 1]}`
    : (parts[0] ?? '')
}

/** What a run shares with others, one sentence each. */
export function sharedWords(row: SeamRow, runs: readonly Run[]): string[] {
  return row.meetings
    .filter((m) => m.sort === 'shared')
    .map((m) => {
      const other = runs.find((r) => r.join.id === (m.first === row.run.join.id ? m.second : m.first))!
      const punched = m.punched === 'once' ? 'punched once' : 'punched again through what is laid on later'
      return `Shares ${times(m.holes.length, 'hole')} with the ${other.join.name}: ${punched}.`
    })
}

/** Where the layers change along a run, from the first hole on: “13 holes through outside, inside; then …”. */
export function layerWords(run: Run, { works }: Derived): { holes: number; names: string }[] {
  const work = works.find((w) => w.layup.id === run.join.layup)
  const name = (id: string): string => work?.sheets.find((s) => s.sheet.id === id)?.sheet.name ?? id
  return run.holes.reduce<{ holes: number; names: string }[]>((all, hole) => {
    const names = [...new Set(hole.sheets.map(name))].join(', ')
    const last = all[all.length - 1]
    if (last?.names === names) last.holes += 1
    else all.push({ holes: 1, names })
    return all
  }, [])
}

export const pitchWords = (pitches: readonly number[], unit: LengthUnit): string =>
  [...new Set(pitches.map((p) => (unit === 'mm' ? p.toFixed(2) : printLength(p, unit))))].join(', ')

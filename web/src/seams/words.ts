import type { LayersThere, SeamRow } from '@drumlin/core/derived'
import { decimal, type Units, printBare, printLength, systemOf } from '@drumlin/core/measure'
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

/** “13 holes through body 0.9 of 1.8 mm and gusset 0.9 of 1.8 mm: 1.8 mm, as thick as one”. */
export function layerWords({ holes, layers, together, asOne }: LayersThere, unit: Units): string {
  const names = layers.map(({ name, thickness, whole, thinned }) =>
    thinned ? `${name} ${printBare(thickness, unit)} of ${printLength(whole, unit)}` : name,
  )
  const through = [...new Set(names)].join(', ') || 'nothing'
  const sum = layers.length > 1 ? `: ${printLength(together, unit)} together` : ''
  return `${times(holes, 'hole')} through ${through}${sum}${asOne ? ', as thick as one' : ''}`
}

export const pitchWords = (pitches: readonly number[], unit: Units): string =>
  [
    ...new Set(pitches.map((p) => (systemOf(unit) === 'mm' ? decimal(p, 2, unit) : printLength(p, unit)))),
  ].join(', ')

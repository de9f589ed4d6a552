import { printLength } from '../measure/index.js'
import type { SetFitting } from '../fittings/index.js'
import type { Derived } from '../derive.js'
import type { Check } from './finding.js'

/** Leather that has to stand between hardware and an edge, or a hole of a seam, mm (J). */
const LEAST = { edge: 2, seam: 1 } as const

const tooNear = (f: SetFitting): 'edge' | 'seam' | undefined => {
  if (f.fitting.held) return undefined
  if (f.toEdge < LEAST.edge) return 'edge'
  return f.toSeam < LEAST.seam ? 'seam' : undefined
}

export const panelOfSheet = ({ works }: Derived, sheet: string): string => {
  const found = works[0]?.sheets.find((s) => s.sheet.id === sheet)?.sheet
  return found?.type === 'panel' ? found.panelId : sheet
}

/** Hardware whose rim comes too near an edge or the holes of a seam. */
export const hardwareClose: Check = {
  code: 'hardware-close',
  find: (derived) =>
    derived.fittings.flatMap((f) => {
      const what = tooNear(f)
      if (!what) return []
      return [
        {
          key: `hardware-close:${f.fitting.id}`,
          code: 'hardware-close',
          rank: 'look' as const,
          places: [{ panelId: panelOfSheet(derived, f.fitting.sheet), at: f.fitting.at }],
          numbers: { clear: what === 'edge' ? f.toEdge : f.toSeam, least: LEAST[what] },
          words: { name: f.fitting.name, what: what === 'edge' ? 'the edge' : 'a hole of a seam' },
        },
      ]
    }),
  say: ({ numbers, words }, unit) => ({
    what:
      numbers.clear! < 0
        ? `The ${words.name} reaches ${printLength(-numbers.clear!, unit)} past ${words.what}.`
        : `Only ${printLength(numbers.clear!, unit)} of leather stand between the ${words.name} and ${words.what}.`,
    why: `It tears out there, or lies on the thread. Leave ${printLength(numbers.least!, unit)} at least.`,
  }),
  fixes: () => [],
}

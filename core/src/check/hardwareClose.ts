import { sheetIn } from '../layup/index.js'
import { printBoth, printLength } from '../measure/index.js'
import type { SetFitting } from '../fittings/index.js'
import type { Derived } from '../derived/index.js'
import { check } from './finding.js'

/** Leather that has to stand between hardware and an edge, or a hole of a seam, mm (J). */
const LEAST = { edge: 2, seam: 1 } as const

const tooNear = (f: SetFitting): 'edge' | 'seam' | undefined => {
  if (f.fitting.held) return undefined
  if (f.toEdge < LEAST.edge) return 'edge'
  return f.toSeam < LEAST.seam ? 'seam' : undefined
}

export const panelOfSheet = ({ works }: Derived, sheet: string): string => {
  const found = sheetIn(works, sheet)?.laid.sheet
  return found?.type === 'panel' ? found.panelId : sheet
}

/** Hardware whose rim comes too near an edge or the holes of a seam. */
export const hardwareClose = check({
  code: 'hardware-close',
  screen: 'fittings',
  find: (derived) =>
    derived.fittings.flatMap((f) => {
      const what = tooNear(f)
      if (!what) return []
      return [
        {
          key: `hardware-close:${f.fitting.id}`,
          rank: 'look' as const,
          places: [{ panelId: panelOfSheet(derived, f.fitting.sheet), at: f.fitting.at }],
          about: f.fitting.name,
          data: {
            clear: what === 'edge' ? f.toEdge : f.toSeam,
            min: LEAST[what],
            what: what === 'edge' ? 'the edge' : 'a hole of a seam',
          },
        },
      ]
    }),
  say: ({ about, data }, unit) => ({
    what:
      data.clear < 0
        ? `The ${about} reaches ${printLength(-data.clear, unit)} past ${data.what}.`
        : `Only ${printBoth(data.clear, data.min, unit)[0]} of leather stand between the ${about} and ${data.what}.`,
    why: `It tears out there, or lies on the thread. Leave ${printBoth(data.clear, data.min, unit)[1]} at least.`,
  }),
  fixes: () => [],
})

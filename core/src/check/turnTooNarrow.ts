import { changeDrawn } from '../design/index.js'
import { halfAcross } from '../formulas/index.js'
import { pathPlaceAt, pathLength } from '../geometry/index.js'
import { printLength } from '../measure/index.js'
import type { Check, Fix } from './finding.js'

/** Leather that should lie beyond the outermost hole in the turned border, mm (J). */
const HOLD = 2

/** A turned edge whose stitches would miss the border that is turned over, or barely catch it. */
export const turnTooNarrow: Check = {
  code: 'turn-too-narrow',
  find: ({ edges, design }) => {
    const hole = halfAcross(design.iron.slotLength, (design.iron.slant * Math.PI) / 180)
    return edges.flatMap(({ panel, turned }) =>
      turned.flatMap(({ turn, edges: chain, finished }) => {
        const { lines, margin, width } = turn.fate
        // Two rows stand a margin from either side of the border; one row needs only its own.
        const wanted = Math.ceil(((lines === 2 ? 2 * margin : margin) + hole + HOLD) * 10) / 10
        if (lines === 0 || width >= wanted - 1e-6) return []
        return [
          {
            key: `turn-too-narrow:${panel.id}:${chain[0]!.id}`,
            code: 'turn-too-narrow',
            rank: width < margin + hole ? ('stop' as const) : ('look' as const),
            places: [{ panelId: panel.id, at: pathPlaceAt(finished, pathLength(finished) / 2).at }],
            numbers: { width, margin, wanted },
            words: { panel: panel.id, edges: chain.map((e) => e.id).join(' '), edge: chain[0]!.name },
          },
        ]
      }),
    )
  },
  say: ({ numbers: n }, unit) => ({
    what: `The turned edge is ${printLength(n.width!, unit)} wide and sewn ${printLength(n.margin!, unit)} from its edge; ${printLength(n.wanted!, unit)} is wanted.`,
    why: 'The stitches have to go through the border that is turned over, with leather left beyond them; else they only hold the face.',
  }),
  fixes: ({ numbers, words }, { design }, _tryOut, unit): Fix[] => {
    const panel = design.drawn.find((p) => p.id === words.panel)
    const ids = new Set(words.edges!.split(' ').map((id) => id.replace(/-m$/, '')))
    if (!panel) return []
    const wide = panel.edges.map((e) =>
      ids.has(e.id) && (e.fate.type === 'turned' || e.fate.type === 'rolled')
        ? { ...e, fate: { ...e.fate, width: numbers.wanted! } }
        : e,
    )
    const label = `turn it over ${printLength(numbers.wanted!, unit)}`
    return [
      {
        label: label.charAt(0).toUpperCase() + label.slice(1),
        edit: changeDrawn(label, design, { ...panel, edges: wide }),
      },
    ]
  },
}

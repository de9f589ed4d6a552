import { firstOf } from '../lists/index.js'
import { changeDrawn } from '../design/index.js'
import { pathPlaceAt, pathLength } from '../geometry/index.js'
import { printLength } from '../measure/index.js'
import { type Fix, check } from './finding.js'
import { holeOf } from './holes.js'

/** Leather that should lie beyond the outermost hole in the turned border, mm (J). */
const HOLD = 2

/** A turned edge whose stitches would miss the border that is turned over, or barely catch it. */
export const turnTooNarrow = check({
  code: 'turn-too-narrow',
  find: ({ edges, design }) => {
    const { half: hole } = holeOf({ holes: design.sewing.holes, iron: design.iron }, { design })
    return edges.flatMap(({ panel, turned }) =>
      turned.flatMap(({ turn, edges: chain, finished }) => {
        const { lines, margin, width } = turn.fate
        // Two rows stand a margin from either side of the border; one row needs only its own.
        const wanted = Math.ceil(((lines === 2 ? 2 * margin : margin) + hole + HOLD) * 10) / 10
        if (lines === 0 || width >= wanted - 1e-6) return []
        return [
          {
            key: `turn-too-narrow:${panel.id}:${firstOf(chain).id}`,
            rank: width < margin + hole ? ('stop' as const) : ('look' as const),
            places: [{ panelId: panel.id, at: pathPlaceAt(finished, pathLength(finished) / 2).at }],
            about: firstOf(chain).name,
            data: {
              width,
              margin,
              wanted,
              panel: panel.id,
              edges: chain.map((e) => e.id).join(' '),
            },
          },
        ]
      }),
    )
  },
  say: ({ data }, unit) => ({
    what: `The turned edge is ${printLength(data.width, unit)} wide and sewn ${printLength(data.margin, unit)} from its edge; ${printLength(data.wanted, unit)} is wanted.`,
    why: 'The stitches have to go through the border that is turned over, with leather left beyond them; else they only hold the face.',
  }),
  fixes: ({ data }, { design }, _tryOut, unit): Fix[] => {
    const panel = design.drawn.find((p) => p.id === data.panel)
    const ids = new Set(data.edges.split(' ').map((id) => id.replace(/-m$/, '')))
    if (!panel) return []
    const wide = panel.edges.map((e) =>
      ids.has(e.id) && (e.fate.type === 'turned' || e.fate.type === 'rolled')
        ? { ...e, fate: { ...e.fate, width: data.wanted } }
        : e,
    )
    const label = `turn it over ${printLength(data.wanted, unit)}`
    return [
      {
        label: label.charAt(0).toUpperCase() + label.slice(1),
        edit: changeDrawn(label, design, { ...panel, edges: wide }),
      },
    ]
  },
})

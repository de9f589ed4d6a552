import { type Join, type Layup, type Panel } from '../master/index.js'
import type { Decor } from '../sewing/index.js'
import { type Reckon, given } from '../working/index.js'

/** Decorative lines as joins that hold one sheet to nothing; those whose sheet or edges are gone are left out. */
export function decorJoins(
  lines: readonly Decor[],
  layups: readonly Layup[],
  panels: readonly Panel[],
  reckon: Reckon,
): Join[] {
  return lines.flatMap((decor): Join[] => {
    const sheet = layups.find((l) => l.id === decor.layup)?.sheets.find((s) => s.id === decor.sheet)
    const panel = sheet?.type === 'panel' ? panels.find((p) => p.id === sheet.panelId) : undefined
    if (!panel || !decor.chain.every((id) => panel.edges.some((e) => e.id === id))) return []
    const margin = reckon(
      {
        key: `${decor.id}.margin`,
        label: `margin, ${decor.name}`,
        formula: '{margin} from the finished edge to the line',
        source: '§7',
      },
      { margin: given('margin', decor.margin) },
      (v) => v.margin,
    )
    return [
      {
        id: decor.id,
        name: decor.name,
        layup: decor.layup,
        course: {
          type: 'edges',
          sheet: decor.sheet,
          chain: decor.chain,
          margin,
          backwards: false,
          startTrim: 0,
          endTrim: 0,
        },
        through: [decor.sheet],
        glue: [],
        backstitches: { start: 1, end: 1 },
        decor: true,
      },
    ]
  })
}

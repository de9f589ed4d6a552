import { firstOf } from '../lists/index.js'
import { type Edge, type Join, type Panel, chainsOf } from '../master/index.js'
import { type Reckon, given } from '../working/index.js'

/** A row of stitches along an edge, so far in from the finished edge, mm. */
interface Row {
  readonly margin: number
  readonly name: string
}

/** The rows an edge is sewn with, by its fate. */
function rowsOf({ fate, name }: Edge): Row[] {
  switch (fate.type) {
    case 'sewn':
      return [{ margin: fate.margin, name: `seam along the ${name}` }]
    case 'bound':
      return [{ margin: fate.margin, name: `binding of the ${name}` }]
    case 'turned':
    case 'rolled': {
      const word = fate.type === 'rolled' ? 'hem' : 'turned edge'
      const first = { margin: fate.margin, name: `stitches of the ${word}, ${name}` }
      const second = { margin: fate.width - fate.margin, name: `second row of the ${word}, ${name}` }
      return fate.lines === 0 ? [] : fate.lines === 1 ? [first] : [first, second]
    }
    default:
      return []
  }
}

const sameRows = (a: Edge, b: Edge): boolean =>
  a.fate.type === b.fate.type &&
  JSON.stringify(rowsOf(a).map((r) => r.margin)) === JSON.stringify(rowsOf(b).map((r) => r.margin))

/** The runs a drawn panel's edges ask for. `through` are the sheets the thread goes through where they lie. */
export function drawnJoins(
  panel: Panel,
  sheet: string,
  layup: string,
  through: readonly string[],
  reckon: Reckon,
): Join[] {
  return chainsOf(panel, (e) => rowsOf(e).length > 0, sameRows).flatMap((chain) => {
    const first = firstOf(chain)
    const round = chain.reduce((n, e) => n + e.last - e.first + 1, 0) === panel.outline.segments.length
    return rowsOf(first).map((row, i): Join => {
      const id = `${panel.id}-${first.id}-${i + 1}`
      const margin = reckon(
        {
          key: `${id}.margin`,
          label: `margin, ${row.name}`,
          formula: '{margin} from the finished edge to the stitch line',
          source: '§7',
        },
        { margin: given('margin', row.margin) },
      )
      const trim = round ? 0 : Math.max(0, margin.value)
      return {
        id,
        name: row.name,
        layup,
        course: {
          type: 'edges',
          sheet,
          chain: chain.map((e) => e.id),
          margin,
          backwards: false,
          startTrim: trim,
          endTrim: trim,
        },
        through,
        glue:
          first.fate.type === 'sewn' ? [{ sheet, chain: chain.map((e) => e.id), limit: margin.value }] : [],
        backstitches: { start: 2, end: 2 },
      }
    })
  })
}

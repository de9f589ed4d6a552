import { STAY, closedPath, line, pathEnd, pathStart } from '../../geometry/index.js'
import { edgeSeam, plainPanel } from '../../kinds/index.js'
import { type Edge, type EdgeTreatment, type Panel, chainsOf } from '../../master/index.js'
import { length, settings } from '../../settings/index.js'
import { type Parted, partedAcross } from '../end.js'
import { type AddedSort, defineSort, flat } from '../sort.js'
import { FINISH, MARGIN, cutEdge, marginOf } from './common.js'

const SETTINGS = settings({
  reach: length('how far it reaches in from the edge', 6, 400, 30, { step: 1 }),
  margin: MARGIN,
  finish: FINISH,
})

const isSewn = ({ fate }: Edge): boolean => fate.type === 'sewn'
/** Edges that it shares with what it lies on and that are cut are cut and trimmed together. */
const cutAlike = (fate: EdgeTreatment, finish: 'burnished' | 'painted' | 'left'): EdgeTreatment =>
  fate.type === 'sewn' || fate.type === 'raw' ? fate : cutEdge(finish)
/** Its seam stops so far short of where a seam of the body catches it, mm. */
const SHORT = 2

/** The overlay's own panel, in the coordinates of what it lies on: that end of it, and a straight edge across. */
function overlayPanel(
  { end, edges }: Parted,
  { id, name }: { readonly id: string; readonly name: string },
  finish: 'burnished' | 'painted' | 'left',
): Panel {
  const across = line(pathEnd(end), pathStart(end))
  const outline = closedPath([...end.segments, across])
  const own = edges.map((edge): Edge => ({ ...edge, fate: cutAlike(edge.fate, finish) }))
  const inner: Edge = {
    id: 'inner',
    name: 'edge across',
    first: end.segments.length,
    last: end.segments.length,
    fate: cutEdge(finish),
  }
  return plainPanel({ id, name, role: id, outline, edges: [...own, inner] })
}

/** What lies under it is cut flat: not turned over, not bound. */
const cutFlat = (panel: Panel, under: readonly string[]): Panel => ({
  ...panel,
  edges: panel.edges.map((e) =>
    under.includes(e.id) && ['turned', 'rolled', 'bound'].includes(e.fate.type)
      ? { ...e, fate: cutEdge('left') }
      : e,
  ),
})

/** A piece sewn over the end of another: a strap’s tip, a corner that wears. */
export const overlay: AddedSort = defineSort({
  id: 'overlay',
  name: 'overlay',
  about: 'sewn over the end of another piece with its outline: a strap’s tip, a corner that wears',
  takes: 'edge',
  sided: true,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'overlay' }],
  says: [
    'It reaches {reach} from the edge and is sewn {margin} from its own; its edges are {finish}.',
    'What lies under it is cut flat there.',
  ],
  make: ({ id, name, p, host, side, edge, spots, reckon }) => {
    const [spot] = spots
    const parted = spot && partedAcross(host, spot, edge, p.reach)
    if (!parted)
      return {
        concerns: [
          {
            id: `${id}-no-end`,
            rank: 'stop',
            panelId: host.id,
            at: spot?.at ?? pathStart(host.outline),
            what: `The ${name.toLowerCase()} reaches past the other end of the ${host.name.toLowerCase()}`,
            why: 'There is no line across at that distance: let it reach less far in.',
          },
        ],
      }
    const panel = overlayPanel(parted, { id, name }, p.finish)
    const margin = marginOf(reckon, id, p.margin)
    // Edges that a seam of the body catches are sewn there.
    const free = chainsOf(
      panel,
      (e) => !isSewn(e),
      () => true,
    )
    const short = panel.edges.some(isSewn) ? p.margin + SHORT : 0
    const under = parted.edges.map((e) => e.id)
    return {
      pieces: [
        {
          panel,
          side,
          lies: () => flat(STAY),
          joins: ({ own, host: on, id: seam, name: called, behind }) =>
            free.map((chain, i) => {
              const edges = chain.map((e) => e.id)
              return edgeSeam({
                id: i === 0 ? seam : `${seam}-${i + 1}`,
                name: `seam of the ${called}${i === 0 ? '' : `, part ${i + 1}`}`,
                sheet: own,
                chain: edges,
                margin,
                trims: [short, short],
                through: [own, on, ...behind],
                glue: [{ sheet: own, chain: edges, limit: p.margin + 2 }],
              })
            }),
        },
      ],
      host: () => cutFlat(parted.panel, under),
      parted: parted.parted,
    }
  },
})

import type { Panel } from '../master/index.js'
import type { AddedSort } from './sort.js'
import { SORTS } from './sorts.js'
import type { Added } from './schema.js'

/** A part of a sort as it is first put on a panel: at the middle of its first straight edge. The panel has an edge. */
export function freshAdded(sort: AddedSort, panel: Panel, edge?: string): Added {
  const { usual = {} } = sort
  return {
    sort: sort.id,
    name: sort.name.charAt(0).toUpperCase() + sort.name.slice(1),
    on: panel.id,
    side: usual.side ?? 'grain',
    edge: panel.edges.find((e) => e.id === edge)?.id ?? firstEdge(panel),
    inward: sort.takes === 'edge' ? 0 : (usual.inward ?? 20),
    aside: usual.aside ?? 0,
    turned: 0,
    both: usual.both === true ? 'mirrored' : 'once',
    params: sort.settings.usual,
  }
}

/** The upper edge where it has one of that name, else its first. */
const firstEdge = ({ edges }: Panel): string => (edges.find((e) => e.id === 'top') ?? edges[0])?.id ?? ''

/** What can be put on a panel; nothing on guides. */
export const offeredFor = (panel: Panel): readonly AddedSort[] =>
  panel.role === 'guide' || panel.edges.length === 0 ? [] : SORTS

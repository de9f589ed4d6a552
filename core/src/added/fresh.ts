import { type Point, boxHeight, pathBox, placeInside, pointDot, pointSubtract } from '../geometry/index.js'
import type { Panel } from '../master/index.js'
import { below, spotsOf } from './place.js'
import type { Added } from './schema.js'
import type { AddedSort } from './sort.js'
import { SORTS } from './sorts.js'

/** What is there already keeps so far off, and places are looked for in steps of this, mm. */
const CLEAR = 4
const STEP = 5
/** What has no size of its own takes so much room, mm. */
const SMALL = 12

/** How much room a part takes as it first comes, along the edge and in from it, mm. */
function roomOf({ settings }: AddedSort): { readonly wide: number; readonly high: number } {
  const usual = (...names: string[]): number =>
    Number(names.map((n) => settings.usual[n]).find((v) => typeof v === 'number') ?? SMALL)
  return { wide: usual('wide', 'length', 'opening'), high: usual('high', 'end', 'deep') }
}

/** As far in from the edge as is usual, or farther, where nothing that is there already lies under it. */
function freeInward(
  sort: AddedSort,
  panel: Panel,
  edge: string,
  inward: number,
  taken: readonly Point[],
): number {
  const { wide, high } = roomOf(sort)
  const [first] = spotsOf(panel, { edge, inward, aside: 0, turned: 0, both: false })
  if (!first) return inward
  const covers = (by: number): boolean => {
    const { at, right, down } = below(first, by)
    return taken.some((p) => {
      const off = pointSubtract(p, at)
      const [x, y] = [pointDot(off, right), pointDot(off, down)]
      return Math.abs(x) < wide / 2 + CLEAR && y > -CLEAR && y < high + CLEAR
    })
  }
  const lies = (by: number): boolean => {
    const foot = below(first, by + high).at
    return placeInside(foot.x, foot.y, panel.outline)
  }
  for (let by = 0; by < boxHeight(pathBox(panel.outline)) && lies(by); by += STEP)
    if (!covers(by)) return inward + by
  return inward
}

/**
 * A part of a sort as it is first put on a panel: at the middle of an edge, clear of what is there already (holes, hardware; in the
 * panel's coordinates) where it has room. The panel has an edge.
 */
export function freshAdded(
  sort: AddedSort,
  panel: Panel,
  edge?: string,
  taken: readonly Point[] = [],
): Added {
  const { usual = {} } = sort
  const along = panel.edges.find((e) => e.id === edge)?.id ?? firstEdge(panel)
  const inward = usual.inward ?? 20
  return {
    sort: sort.id,
    name: sort.name.charAt(0).toUpperCase() + sort.name.slice(1),
    on: panel.id,
    side: usual.side ?? 'grain',
    edge: along,
    inward: sort.takes !== 'spot' ? 0 : freeInward(sort, panel, along, inward, taken),
    aside: 0,
    turned: 0,
    both: 'once',
    params: sort.settings.usual,
  }
}

/** The upper edge where it has one of that name, else its first. */
const firstEdge = ({ edges }: Panel): string => (edges.find((e) => e.id === 'top') ?? edges[0])?.id ?? ''

/** What can be put on a panel; nothing on guides. */
export const offeredFor = (panel: Panel): readonly AddedSort[] =>
  panel.role === 'guide' || panel.edges.length === 0 ? [] : SORTS

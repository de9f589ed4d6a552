import { choice, length } from '../../settings/index.js'
import type { EdgeTreatment, Join, Panel } from '../../master/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { edgeSeam } from '../../kinds/index.js'
import type { Names } from '../sort.js'

export const MARGIN = length('seam from the edge', 1, 20, 3)

export const FINISH = choice('how its edges are finished', 'burnished', [
  ['burnished', 'burnished', 'the leather’s own colour, for vegetable tanned leather'],
  ['painted', 'painted', 'for any leather; several thin coats'],
  ['left', 'left as cut', 'nothing is done to them'],
])

export const HELD = choice('how it is held', 'sewn', [
  ['sewn', 'sewn', 'glued at its border first so that it does not slip'],
  ['glued', 'glued only', 'nothing shows; for what bears no load'],
])

export const cutEdge = (finish: 'burnished' | 'painted' | 'left'): EdgeTreatment => ({
  type: 'raw',
  finish,
  trim: 0,
})

/** Glue reaches so far past the seam, mm. */
const BEYOND = 2

export const marginOf = (reckon: Reckon, id: string, margin: number): Reckoned =>
  reckon(
    {
      key: `${id}.margin`,
      label: 'margin',
      formula: '{margin} from the edge of the piece that lies on top',
      source: '§7',
    },
    { margin: given('margin', margin) },
  )

/** How a piece is held along a chain of its edges. Lengths mm. */
export interface HeldAlong {
  readonly panel: Panel
  readonly chain: readonly string[]
  readonly margin: Reckoned
  readonly glued: boolean
  readonly trims?: readonly [number, number]
  /** Sheets of the part's own that lie between it and its host. */
  readonly between?: readonly string[]
  readonly back?: readonly [number, number]
}

/** The seam that holds a piece on its host, or the glue alone. */
export function heldJoin(names: Names, held: HeldAlong): Join {
  const { own, host, behind } = names
  const seam = edgeSeam({
    id: names.id,
    name: `seam of the ${names.name}`,
    sheet: own,
    chain: held.chain,
    margin: held.margin,
    trims: held.trims ?? [0, 0],
    through: [own, ...(held.between ?? []), host, ...behind],
    glue: [{ sheet: own, chain: held.chain, limit: held.margin.value + BEYOND }],
    back: held.back ?? [2, 2],
  })
  return held.glued ? { ...seam, glueOnly: true } : seam
}

/** All edges of a panel in the order of its outline. */
export const allEdges = (panel: Panel): string[] => panel.edges.map((e) => e.id)

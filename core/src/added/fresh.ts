import { type Point, boxHeight, pathBox, placeInside, pointDot, pointSubtract } from '../geometry/index.js'
import { halfAcross, marginWanted } from '../formulas/index.js'
import type { Panel } from '../master/index.js'
import type { Iron } from '../stores/index.js'
import { below, spotsOf } from './place.js'
import type { Added } from './schema.js'
import type { AddedSort } from './sort.js'
import { SORTS } from './sorts.js'

/** What is put on lies this far in from the edge where its sort says nothing, mm. */
const USUAL_INWARD = 20

/** What is there already keeps so far off, and places are looked for in steps of this, mm. */
const CLEAR = 4
const STEP = 5
/** What has no size of its own takes so much room, mm. */
const SMALL = 12
/** Hardware stands so far from an edge, mm. */
const RIM = 3
/** A margin is at most this share of the smaller way of a piece. */
const MOST_OF_PIECE = 1 / 3

/** Where a part has no room as large as it usually is, these shares of its size are tried. */
const SHARES = [1, 0.8, 0.65, 0.5, 0.4, 0.3, 0.2] as const
/** Before it is made smaller it is put nearer to the edge, by shares of how far in it usually is. */
const NEARER = [0.6, 0.4, 0.25, 0.12] as const

/** What is known of where a part is put first. */
export interface FreshAsked {
  /** The edge that was chosen, where one was. */
  readonly edge?: string | undefined
  /** What is there already (holes, hardware), in the panel’s coordinates. */
  readonly taken?: readonly Point[]
  /** Its seam goes through leather of this thickness, mm, holed by this iron. */
  readonly thickness: number
  readonly iron: Iron
  /** How large its hardware is there, mm; 0 where it has none. */
  readonly hardware: number
  /** Whether a part lies on the panel whole. */
  readonly fits: (part: Added) => boolean
}

/** How much room a part takes, along the edge and in from it, mm. */
function roomOf(params: Added['params']): { readonly wide: number; readonly high: number } {
  const of = (...names: string[]): number =>
    Number(names.map((n) => params[n]).find((v) => typeof v === 'number') ?? SMALL)
  return { wide: of('wide', 'length', 'opening'), high: of('high', 'end', 'deep') }
}

/** How far in from an edge an iron wants a seam in leather of this thickness, mm. */
const marginIn = ({ thickness, iron }: FreshAsked): number =>
  marginWanted(halfAcross(iron.slotLength, (iron.slant * Math.PI) / 180), thickness)

/** The settings with its seam as far in as is wanted (mm), in halves of a millimetre, as far as a small piece leaves room. */
function sewnBy({ settings }: AddedSort, params: Added['params'], wanted: number): Added['params'] {
  const field = settings.fields.find((f) => f.id === 'margin')
  const usual = params['margin']
  if (field?.type !== 'length' || typeof usual !== 'number') return params
  const sizes = ['wide', 'high', 'end'].flatMap((n) => (typeof params[n] === 'number' ? [params[n]] : []))
  const most = Math.max(
    field.min,
    Math.min(field.max, ...sizes.map((size) => Math.floor(size * MOST_OF_PIECE))),
  )
  return { ...params, margin: Math.min(most, Math.max(usual, Math.ceil(wanted * 2) / 2)) }
}

/** The usual settings, those that say how large it is a share of that in whole millimetres, and no less than they can be. */
function sizedBy({ settings, usual }: AddedSort, share: number): Added['params'] {
  const smaller = settings.fields.flatMap((field) => {
    const size = settings.usual[field.id]
    if (field.type !== 'length' || typeof size !== 'number' || !usual?.size?.includes(field.id)) return []
    return [[field.id, share === 1 ? size : Math.max(field.min, Math.round(size * share))] as const]
  })
  return { ...settings.usual, ...Object.fromEntries(smaller) }
}

/** As far in from the edge as is usual, or farther, where nothing that is there already lies under it. */
function freeInward(
  { params, edge, inward }: Added,
  panel: Panel,
  { taken = [], hardware }: FreshAsked,
): number {
  // Hardware lies round its place, all else below it.
  const { wide, high } = hardware > 0 ? { wide: hardware, high: hardware } : roomOf(params)
  const [first] = spotsOf(panel, { edge, inward, aside: 0, turned: 0, both: false })
  if (!first) return inward
  const covers = (by: number): boolean => {
    const { at, right, down } = below(first, by - hardware / 2)
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
 * A part of a sort as it is first put on a panel: at the middle of an edge, clear of what is there already where it has room;
 * nearer to the edge, and then smaller, where it would reach past the panel. The panel has an edge.
 */
export function freshAdded(sort: AddedSort, panel: Panel, asked: FreshAsked): Added {
  const { edge, hardware, fits } = asked
  const { usual = {} } = sort
  const made = (share: number) => sewnBy(sort, sizedBy(sort, share), marginIn(asked))
  const inward = Math.max(usual.inward ?? USUAL_INWARD, hardware > 0 ? Math.ceil(hardware / 2) + RIM : 0)
  const first: Added = {
    sort: sort.id,
    name: sort.name.charAt(0).toUpperCase() + sort.name.slice(1),
    on: panel.id,
    side: usual.side ?? 'grain',
    edge: panel.edges.find((e) => e.id === edge)?.id ?? firstEdge(panel),
    inward: sort.takes === 'spot' ? inward : 0,
    aside: 0,
    turned: 0,
    both: 'once',
    params: made(1),
  }
  if (sort.takes !== 'spot') return first
  for (const share of SHARES) {
    const sized = { ...first, params: made(share) }
    const clear = { ...sized, inward: freeInward(sized, panel, asked) }
    const nearer = NEARER.map((by) => ({ ...sized, inward: Math.round(by * first.inward) }))
    const lies = [clear, sized, ...nearer].find(fits)
    if (lies) return lies
  }
  // It has no room there however small: what is wrong is told.
  return { ...first, params: made(Math.min(...SHARES)) }
}

/** The upper edge where it has one of that name, else its first. */
const firstEdge = ({ edges }: Panel): string => (edges.find((e) => e.id === 'top') ?? edges[0])?.id ?? ''

/** What can be put on a panel; nothing on guides. */
export const offeredFor = (panel: Panel): readonly AddedSort[] =>
  panel.role === 'guide' || panel.edges.length === 0 ? [] : SORTS

import { equalisedStitches } from '../formulas/index.js'
import { nth } from '../lists/index.js'
import type { Join, Layup } from '../master/index.js'
import type { Side } from './places.js'
import type { EdgeTie, SewingWays, TiedEdge } from './ways.js'

/** Whether a join follows an edge of a panel. */
function follows({ course, layup }: Join, { panel, edge }: TiedEdge, layups: readonly Layup[]): boolean {
  if (course.type !== 'edges' || !course.chain.includes(edge)) return false
  const sheet = layups.find((l) => l.id === layup)?.sheets.find((s) => s.id === course.sheet)
  return sheet?.type === 'panel' && sheet.panelId === panel
}

/** The first of some joins along the edge that the drawing ties to the edge of this one. */
export function tiedJoinMaybe(
  join: Join,
  joins: readonly Join[],
  ties: readonly EdgeTie[],
  layups: readonly Layup[],
): Join | undefined {
  const mates = ties.flatMap(({ first, second }) =>
    follows(join, first, layups) ? [second] : follows(join, second, layups) ? [first] : [],
  )
  if (mates.length === 0) return undefined
  return joins.find((other) => other !== join && mates.some((edge) => follows(other, edge, layups)))
}

/** A side's length and the parts of a pitch left free at its straddled ends. */
export interface SideLength {
  readonly length: number
  readonly phases: number
}
export const sideLength = ({ length, stitches, from, to }: Side): SideLength => ({
  length,
  phases: Math.max(0, stitches - (to - from)),
})

/**
 * Steps from the first hole to the last of two sides sewn hole to hole: as many as their mean length takes, where the
 * pitch of either then stays within the play of the one wished for (shares); undefined where no count does.
 */
export function commonCountMaybe(a: SideLength, b: SideLength, pitch: number, play: number) {
  if (a.phases !== b.phases) return undefined
  const count = equalisedStitches((a.length + b.length) / 2, pitch, a.phases)
  const off = (side: SideLength): number => Math.abs(side.length / (count + side.phases) / pitch - 1)
  return Math.max(off(a), off(b)) <= play ? count : undefined
}

/** A row as far as its count depends on the row along the edge tied to its own. */
interface Counted {
  readonly sides: readonly Side[]
  readonly ways: { readonly pitch: number; readonly stepping: string }
}

/** What the sides of two tied rows both come to, in the order of the first; undefined where they can't agree. */
export function commonCountsMaybe(
  first: Counted,
  second: Counted,
  { habits }: SewingWays,
): { readonly counts: readonly number[]; readonly turned: boolean } | undefined {
  const { pitch } = first.ways
  if (second.ways.pitch !== pitch || first.sides.length !== second.sides.length) return undefined
  const own = first.sides.map(sideLength)
  for (const turned of [false, true]) {
    const other = (turned ? second.sides.toReversed() : second.sides).map(sideLength)
    const counts = own.flatMap((side, i) => commonCountMaybe(side, nth(other, i), pitch, habits.play) ?? [])
    if (counts.length === own.length) return { counts, turned }
  }
  return undefined
}

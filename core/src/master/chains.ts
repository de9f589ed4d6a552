import { firstOf, lastOf } from '../lists/index.js'
import { type Path, inwardSide, offsetLargestMaybe, offsetOpenMaybe, openPath } from '../geometry/index.js'
import { type Edge, type Panel, edgeOf } from './panel.js'

/** The stretch of a panel's outline that the named edges cover, in the order of the outline. */
export function edgeChain(panel: Panel, chain: readonly string[]): Path {
  const edges = chain.map((id) => edgeOf(panel, id))
  return openPath(edges.flatMap((e) => panel.outline.segments.slice(e.first, e.last + 1)))
}

/** Whether a chain goes all the way round. */
const allRound = (panel: Panel, path: Path): boolean => path.segments.length === panel.outline.segments.length

/** The chain moved `inset` mm into the panel (out of it where negative); undefined where there is no room. */
export function insetChainMaybe(panel: Panel, chain: readonly string[], inset: number): Path | undefined {
  const known = insets.get(panel) ?? new Map<string, Path | undefined>()
  insets.set(panel, known)
  const key = `${inset} ${chain.join(' ')}`
  if (!known.has(key)) known.set(key, insetOf(panel, chain, inset))
  return known.get(key)
}

/** Seams, folds and glue ask for the same lines of a panel: each is worked out once. */
const insets = new WeakMap<Panel, Map<string, Path | undefined>>()

function insetOf(panel: Panel, chain: readonly string[], inset: number): Path | undefined {
  const inward = inwardSide(panel.outline)
  const path = edgeChain(panel, chain)
  if (!allRound(panel, path)) return offsetOpenMaybe(path, inward * inset)
  const loop = offsetLargestMaybe({ ...path, closed: true }, -inset)
  return loop && openPath(loop.segments)
}

/** Neighbouring edges for which `same` holds, gathered; edges that follow one another round the start are one chain. */
export function chainsOf(
  panel: Panel,
  wanted: (e: Edge) => boolean,
  same: (a: Edge, b: Edge) => boolean,
): Edge[][] {
  const { edges, outline } = panel
  const count = outline.segments.length
  const follows = (a: Edge, b: Edge): boolean => (a.last + 1) % count === b.first && same(a, b)
  const chains: Edge[][] = []
  for (const edge of edges) {
    if (!wanted(edge)) continue
    const last = chains[chains.length - 1]
    if (last && follows(lastOf(last), edge)) last.push(edge)
    else chains.push([edge])
  }
  const [first, last] = [chains[0], chains[chains.length - 1]]
  if (first && last && first !== last && follows(lastOf(last), firstOf(first))) {
    chains.pop()
    first.unshift(...last)
  }
  return chains
}

import { nth, required } from '../lists/index.js'
import {
  closedPath,
  inwardSide,
  offsetLargestMaybe,
  pathEnd,
  pathStart,
  pointDistance,
  stripBetween,
} from '../geometry/index.js'
import type { EdgeWork, TurnedWork } from '../edges/index.js'
import { type Panel, edgeChain, insetChainMaybe } from '../master/index.js'
import type { Mark } from './piece.js'

/** Glue goes from the cut edge to the fold-to line and no farther: both halves of the turn. */
function turnGlue({ panel, cut }: EdgeWork, { edges, landing, turn }: TurnedWork): Mark[] {
  if (!landing) return []
  if (edges.reduce((n, e) => n + e.last - e.first + 1, 0) === panel.outline.segments.length)
    return [{ type: 'glue', area: cut, without: closedPath(landing.segments) }]
  const outer = insetChainMaybe(
    panel,
    edges.map((e) => e.id),
    -turn.allowance.value,
  )
  if (!outer) return []
  return [{ type: 'glue', area: stripBetween(outer, landing) }]
}

/** Everything drawn for turned edges: where they land, what is glued and skived, how curves and corners are cut. */
export function turnMarks(work: EdgeWork): Mark[] {
  const { panel, stock, turned, treatments } = work
  return [
    ...turned.flatMap((t) => turnGlue(work, t)),
    ...turned.flatMap((t): Mark[] => [
      {
        type: 'skiveEdge',
        profile: t.skive,
        inward: inwardSide(panel.outline),
        outside: t.turn.allowance.value,
        full: stock?.thickness ?? 1,
        name: `${t.turn.fate.school} skive`,
      },
      ...(t.landing ? [{ type: 'foldTo', path: t.landing } as const] : []),
    ]),
    ...treatments.flatMap((t): Mark[] => [
      ...(t.cuts.length > 0 ? [{ type: 'treat', cuts: t.cuts, sort: t.sort } as const] : []),
      ...(t.stop ? [{ type: 'stop', ...t.stop } as const] : []),
    ]),
  ]
}

export const edgeSkiveMarks = ({ panel, stock, skived }: EdgeWork): Mark[] =>
  skived.map((profile, i) => ({
    type: 'skiveEdge',
    profile,
    inward: inwardSide(panel.outline),
    outside: 0,
    full: stock?.thickness ?? 1,
    name: nth(required(panel.skives, 'skives'), i).name,
  }))

/** A straight edge that lies on a fold of the leather is drawn as a fold, not cut. */
export const doubledMarks = (panel: Panel): Mark[] =>
  panel.edges
    .filter((e) => e.fate.type === 'doubled')
    .map((e) => edgeChain(panel, [e.id]))
    .filter((path) => pointDistance(pathStart(path), pathEnd(path)) > 0.1)
    .map((path) => ({
      type: 'fold',
      from: pathStart(path),
      to: pathEnd(path),
      width: 0,
      rises: 'mountain',
      note: 'cut on the fold',
    }))

/** The block a piece is cut from first, where it is split, lined or glued up before it is cut to size. */
export function blockMarks({ panel, cut }: EdgeWork): Mark[] {
  const path = panel.block ? offsetLargestMaybe(cut, panel.block) : undefined
  return path ? [{ type: 'block', path, by: required(panel.block, 'block') }] : []
}

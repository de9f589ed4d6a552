import { nth } from '../lists/index.js'
import {
  type Point,
  pointAdd,
  pointRight,
  pointScale,
  pointSubtract,
  pointUnit,
  polygon,
} from '../geometry/index.js'
import type { Band, BandArea, EdgeSkive, Panel } from '../master/index.js'
import type { FoldNumbers } from './folds.js'
import { foldEndsMaybe, type Opened } from './opened.js'
import type { DrawnPanel } from './schema.js'

/** A strip along a line: on its left `from`, on its right `to`, mm aside. */
function strip(a: Point, b: Point, from: number, to: number): BandArea {
  const right = pointRight(pointUnit(pointSubtract(b, a)))
  const at = (p: Point, d: number): Point => pointAdd(p, pointScale(right, d))
  return {
    outline: polygon([at(a, from), at(b, from), at(b, to), at(a, to)]),
    from: at(a, from),
    to: at(a, to),
  }
}

/** Bands along lines across the panel, and the grooves of its folds. */
export function bandsOf(
  drawn: DrawnPanel,
  thickness: number,
  folds: readonly FoldNumbers[],
  opened: Opened,
): Band[] {
  const bands = drawn.skives.flatMap((skive): Band[] => {
    if (skive.where.type !== 'band') return []
    const [a, b] = [opened.moved(skive.where.from), opened.moved(skive.where.to)]
    if (Math.hypot(b.x - a.x, b.y - a.y) < 0.1) return []
    return [
      {
        key: `${drawn.id}.${skive.id}`,
        name: skive.name,
        areas: [strip(a, b, -skive.width / 2, skive.width / 2)],
        start: Math.min(skive.start, thickness),
        end: Math.min(skive.end, thickness),
        planned: true,
      },
    ]
  })
  return [...bands, ...folds.flatMap((f, i) => grooveOf(drawn, thickness, f, opened, i))]
}

/** A V is two slopes down to the root; a flat groove one level bottom. */
function grooveOf(
  drawn: DrawnPanel,
  thickness: number,
  { fold, bend }: FoldNumbers,
  opened: Opened,
  i: number,
): Band[] {
  const { groove } = fold
  if (fold.type !== 'groove' || !groove || groove.depth <= 0) return []
  const ends = foldEndsMaybe(opened.path, nth(opened.lines, i).at, fold.angle)
  if (!ends) return []
  const left = Math.max(0, thickness - groove.depth)
  const base = {
    key: `${drawn.id}.${fold.id}.groove`,
    name: `groove of the ${fold.name}`,
    planned: true,
    hollow: true,
  }
  if (groove.shape === 'flat')
    return [
      {
        ...base,
        areas: [strip(ends.from, ends.to, -bend.value / 2, bend.value / 2)],
        start: left,
        end: left,
      },
    ]
  const half = groove.depth * Math.tan(groove.opening / 2)
  const side = (from: number): BandArea => strip(ends.from, ends.to, Math.min(from, 0), Math.max(from, 0))
  const area = (from: number): BandArea => {
    const { outline, from: low, to: high } = side(from)
    return from < 0 ? { outline, from: low, to: high } : { outline, from: high, to: low }
  }
  return [{ ...base, areas: [area(-half), area(half)], start: thickness, end: left }]
}

/** Skives along edges, on both halves of a mirrored drawing. */
export const edgeSkivesOf = (drawn: DrawnPanel, panel: Panel): EdgeSkive[] =>
  drawn.skives.flatMap((skive) => {
    if (skive.where.type !== 'edge') return []
    const { edge } = skive.where
    return panel.edges
      .filter((e) => e.id === edge || e.id === `${edge}-m`)
      .map((e) => ({
        key: `${drawn.id}.${skive.id}`,
        name: skive.name,
        chain: [e.id],
        width: skive.width,
        start: skive.start,
        end: skive.end,
      }))
  })

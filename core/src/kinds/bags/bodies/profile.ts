import { SNIPPED, snips } from '../../../formulas/index.js'
import { type Path, type Point, circlePoint, pathStart, point, polyline } from '../../../geometry/index.js'
import type { Corner, EdgeTreatment, PanelMark } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import { type Named, type Shape, outlineOf, INTO_CORNER } from '../../parts/shape.js'
import { BENCH, type Bag } from '../bag.js'

/** Of the allowance's outer arc the cuts take no more than this share: between them some is left. */
const MOST_CUT = 0.8

/** The U that a flat panel is sewn along, between stitch lines, mm. */
export interface Profile {
  readonly span: number
  readonly rise: number
  readonly radius: number
}

/** Edges of a profile in the order of its outline, from one end of the top edge to the other. */
export const profileChain = (radius: number): string[] =>
  radius > 0 ? ['right', 'foot-right', 'foot', 'foot-left', 'left'] : ['right', 'foot', 'left']

/** A flat panel with its top edge at y = 0 and its foot corners rounded; its stitch line `margin` in from the other edges. */
export function profileShape(
  { span, rise, radius }: Profile,
  margin: number,
  fate: (edge: string) => EdgeTreatment,
  top?: readonly Named[],
): Shape {
  const [w, h, r] = [span + 2 * margin, rise + margin, radius > 0 ? radius + margin : 0]
  return outlineOf(
    [
      ...(top ?? [
        { x: 0, y: 0, edge: 'top' },
        { x: w, y: 0, edge: 'right' },
      ]),
      { x: w, y: h, radius: r, edge: 'foot', ...(r > 0 ? { corner: 'foot-right' } : {}) },
      { x: 0, y: h, radius: r, edge: 'left', ...(r > 0 ? { corner: 'foot-left' } : {}) },
    ],
    fate,
  )
}

/** What cuts into an allowance leave from the stitch line at least, mm: they stop short of a second row too. */
export const uncut = ({ second = 0 }: Bag): number => second + SNIPPED.root

/** Cuts into a bag's allowance round a corner, from the edge inwards, as deep as leaves the root, mm and radians. */
export function cornerCuts(
  bag: Bag,
  radius: number,
): { count: number; depth: number; root: number } | undefined {
  const allowance = bag.margin.value
  if (radius <= 0 || allowance / radius <= SNIPPED.strain) return undefined
  const { count, root } = snips({
    radius,
    allowance,
    angle: Math.PI / 2,
    strain: SNIPPED.strain,
    widestGap: SNIPPED.gap,
    facet: SNIPPED.facet,
  })
  const left = Math.max(uncut(bag), Math.min(root, allowance - 1))
  if (left > allowance - 0.5) return undefined
  return { count, depth: allowance - left, root: left }
}

/** Snips square into a straight allowance between two places along it, for the strip that goes round a corner. */
export const snipsAlong = (
  from: number,
  to: number,
  edge: number,
  inward: 1 | -1,
  { count, depth }: { count: number; depth: number },
): Path[] =>
  Array.from({ length: count }, (_, i) => {
    const x = from + ((i + 0.5) * (to - from)) / count
    return polyline([point(x, edge), point(x, edge + inward * depth)])
  })

/** V cuts into the allowance of a flat panel's two rounded corners: the turned allowance has too much to lie flat. */
export function veeCuts(bag: Bag, profile: Profile): Path[] {
  const margin = bag.margin.value
  const { span, rise, radius: r } = profile
  const cuts = cornerCuts(bag, r)
  if (!cuts) return []
  // Allowances pressed at 45° to the panel have this much too much; docs/formulas.md §20.
  const excess = (Math.PI / 2) * margin * (1 + Math.cos(BENCH.alpha))
  const mouth = Math.min(excess / cuts.count, (MOST_CUT * ((Math.PI / 2) * (r + margin))) / cuts.count)
  const corner = (centre: Point, start: number): Path[] =>
    Array.from({ length: cuts.count }, (_, i) => {
      const angle = start + ((i + 0.5) * (Math.PI / 2)) / cuts.count
      const half = mouth / 2 / (r + margin)
      return polyline([
        circlePoint(centre, r + margin, angle - half),
        circlePoint(centre, r + margin - cuts.depth, angle),
        circlePoint(centre, r + margin, angle + half),
      ])
    })
  return [
    ...corner(point(margin + span - r, rise - r), 0),
    ...corner(point(margin + r, rise - r), Math.PI / 2),
  ]
}

/** Cut marks, where there are any. */
export const cutMarks = (id: string, paths: readonly Path[]): PanelMark[] =>
  paths[0] ? [{ type: 'cuts', id, at: pathStart(paths[0]), paths }] : []

/** The two corners that something is sewn round, as what can be too tight. */
export const cornersOf = (bag: Bag, panelId: string, profile: Profile, role: string): Corner[] => {
  const { p, reckon, margin } = bag
  const radius = reckon(
    {
      key: 'bag.radius',
      label: 'corner at the stitch line',
      formula:
        'the smallest of {radius} as asked, {span} / 2 − 1 and {rise} − 1: no rounder than the panel has room for',
      source: '§20',
    },
    {
      radius: given('radius', p.radius),
      span: given('span', profile.span),
      rise: given('rise', profile.rise),
    },
  )
  return profile.radius <= 0
    ? []
    : [
        {
          id: `${panelId}-corner`,
          name: `foot corners of the ${panelId}`,
          panelId,
          at: point(
            margin.value + profile.span - profile.radius * INTO_CORNER,
            profile.rise - profile.radius * INTO_CORNER,
          ),
          radius,
          angle: Math.PI / 2,
          allowance: margin.value,
          uncut: uncut(bag),
          role,
        },
      ]
}

/** No corner is rounder than its panel has room for, mm. */
export const radiusFor = (asked: number, span: number, rise: number): number =>
  asked < 1 ? 0 : Math.max(0, Math.min(asked, span / 2 - 1, rise - 1))

import type { Point } from '../geometry/index.js'
import type { Panel } from '../master/index.js'
import { type Units, printLength } from '../measure/index.js'
import { AGAINST, type Whereabouts, asideWay, spotsOf, waySaid } from './place.js'
import type { Added } from './schema.js'
import { sortOf } from './sorts.js'

/** A place of a part on its panel that can be taken hold of. */
export interface PartHandle {
  readonly id: string
  readonly name: string
  /** 1 for the second of two that mirror each other. */
  readonly which: 0 | 1
  /** In the panel's coordinates. */
  readonly at: Point
  /** The same as it is said from the part's edge. */
  readonly where: Whereabouts
}

/** Where parts on a panel can be taken hold of, in the order they were put on; what goes all along an edge can't. */
export const handlesOf = (added: Readonly<Record<string, Added>>, panel: Panel): PartHandle[] =>
  Object.entries(added).flatMap(([id, part]) =>
    part.on !== panel.id || sortOf(part.sort).takes === 'edge'
      ? []
      : spotsOf(panel, { ...part, both: part.both === 'mirrored' }).map(({ at }, i): PartHandle => ({
          id,
          name: part.name,
          which: i === 0 ? 0 : 1,
          at,
          where: { inward: part.inward, aside: i === 0 ? part.aside : -part.aside },
        })),
  )

/** Where a part lies on the piece as it is drawn, in words: `30.0 mm from the foot, 12.0 mm to the left of its middle`. */
export function placeSaid(part: Added, panel: Panel, { inward, aside }: Whereabouts, unit: Units): string {
  const edge = panel.edges.find((e) => e.id === part.edge)?.name ?? part.edge
  const way = asideWay(panel, part.edge)
  const beside =
    aside === 0
      ? 'in its middle'
      : `${printLength(Math.abs(aside), unit)} ${waySaid(aside > 0 ? way : AGAINST[way])} its middle`
  return sortOf(part.sort).takes === 'rim'
    ? `at the ${edge}, ${beside}`
    : `${printLength(inward, unit)} from the ${edge}, ${beside}`
}

import { nth } from '../lists/index.js'
import type { Point } from '../geometry/index.js'
import { moveHandle, movePoint, setRise } from './draw.js'
import type { DrawnPanel } from './schema.js'

/** A thing of a drawing that can be taken hold of: a point, a handle of the curve after a point, the rise of its arc. */
export interface Grip {
  readonly sort: 'node' | 'c1' | 'c2' | 'rise'
  readonly index: number
}

/** A grip with where it lies, what it hangs on, and what it is called. */
export interface ShownGrip extends Grip {
  readonly at: Point
  readonly from: Point
  readonly name: string
}

const chord = ({ nodes }: DrawnPanel, k: number) => {
  const [a, b] = [nth(nodes, k), nth(nodes, (k + 1) % nodes.length)]
  return {
    a,
    b,
    length: Math.hypot(b.x - a.x, b.y - a.y) || 1,
    middle: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 },
  }
}

/** The middle of the chord after a point, lifted by a rise. */
function risen(panel: DrawnPanel, k: number, rise: number): Point {
  const { a, b, length, middle } = chord(panel, k)
  return { x: middle.x + ((b.y - a.y) / length) * rise, y: middle.y - ((b.x - a.x) / length) * rise }
}

/** How far a place lies over the chord after a point, mm. */
function riseTo(panel: DrawnPanel, k: number, at: Point): number {
  const { a, b, length, middle } = chord(panel, k)
  return ((at.x - middle.x) * (b.y - a.y) - (at.y - middle.y) * (b.x - a.x)) / length
}

/** Where a grip lies, in the drawing's own coordinates. */
export function gripPlace(panel: DrawnPanel, { sort, index }: Grip): Point {
  const node = nth(panel.nodes, index)
  if (sort === 'node') return { x: node.x, y: node.y }
  if (sort === 'rise') return risen(panel, index, node.going.type === 'arc' ? node.going.rise : 0)
  return node.going.type === 'curve' ? node.going[sort] : { x: node.x, y: node.y }
}

/** The drawing with a grip moved; a rise is kept to a tenth of a millimetre. */
export function moveGrip(panel: DrawnPanel, grip: Grip, to: Point): DrawnPanel {
  if (grip.sort === 'node') return movePoint(panel, grip.index, to)
  if (grip.sort === 'rise')
    return setRise(panel, grip.index, Math.round(riseTo(panel, grip.index, to) * 10) / 10)
  return moveHandle(panel, grip.index, grip.sort, to)
}

/** The grips of what goes on before and after a point. */
export function gripsAt(panel: DrawnPanel, index: number): ShownGrip[] {
  const { nodes, mirror } = panel
  const before = (index + nodes.length - 1) % nodes.length
  return [...new Set([index, before])].flatMap((k): ShownGrip[] => {
    const node = nodes[k]
    if (!node || (mirror && (k === nodes.length - 1 || (k === before && index === 0)))) return []
    const next = ((k + 1) % nodes.length) + 1
    const grip = (sort: Grip['sort'], from: Point, name: string): ShownGrip => ({
      sort,
      index: k,
      from,
      name,
      at: gripPlace(panel, { sort, index: k }),
    })
    if (node.going.type === 'curve')
      return [
        grip('c1', node, `handle after point ${k + 1}`),
        grip('c2', nth(nodes, next - 1), `handle before point ${next}`),
      ]
    return node.going.type === 'arc'
      ? [grip('rise', chord(panel, k).middle, `rise of the arc after point ${k + 1}`)]
      : []
  })
}

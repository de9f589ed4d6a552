import { lastOf, nth } from '../lists/index.js'
import {
  type Path,
  type Point,
  type Segment,
  boxHeight,
  boxWidth,
  pathArea,
  pathBox,
  pathReversed,
  pointCross,
  pointDot,
  segmentPart,
  segmentTangent,
} from '../geometry/index.js'
import type { EdgeTreatment, Panel } from '../master/index.js'
import { goingOf, tidyPoint } from './draw.js'
import type { DrawnEdge, DrawnFate, DrawnFold, DrawnPanel, DrawnSkive, Node } from './schema.js'

/** The most that an arc of a drawn panel may turn, radians: beyond it its rise would not say which way round it goes. */
const MOST_SWEEP = 1.5 * Math.PI

/** A turn sharper than this begins a new edge, radians. */
const SHARP = Math.PI / 9

const RAW: DrawnFate = { type: 'raw', finish: 'burnished' }

/** A panel with nothing decided but its outline. */
export const barePanel = (
  panel: Pick<DrawnPanel, 'id' | 'name' | 'role' | 'nodes' | 'edges' | 'mirror'>,
): DrawnPanel => ({
  count: 1,
  flipped: 0,
  folds: [],
  skives: [],
  layers: [],
  marks: [],
  grain: 0,
  split: null,
  block: 0,
  lies: { x: 0, y: 0, turn: 0, grainUp: false },
  ...panel,
})

/** An arc beyond three quarters of a turn is kept as halves: its rise would not say which way round it goes. */
const parts = (s: Segment): Segment[] =>
  s.type === 'arc' && Math.abs(s.sweep) > MOST_SWEEP ? [segmentPart(s, 0, 0.5), segmentPart(s, 0.5, 1)] : [s]

const nodeFrom = (s: Segment, edge: string): Node => ({
  ...tidyPoint(s.from),
  radius: 0,
  going: goingOf(s),
  edge,
})

const SIDES = [
  ['top', 'top edge'],
  ['right', 'right side'],
  ['foot', 'foot'],
  ['left', 'left side'],
] as const

/** Which way out of the panel a stretch faces. */
function facing(s: Segment): (typeof SIDES)[number] {
  const along = segmentTangent(s, 0.5)
  const out: Point = { x: along.y, y: -along.x }
  if (Math.abs(out.y) >= Math.abs(out.x)) return out.y < 0 ? SIDES[0] : SIDES[2]
  return out.x > 0 ? SIDES[1] : SIDES[3]
}

/** A closed outline as a drawing: edges change at sharp corners and are called by the way they face. */
export function drawnFromPath(path: Path): Pick<DrawnPanel, 'nodes' | 'edges' | 'mirror'> {
  const clockwise = pathArea(path) >= 0 ? path : pathReversed(path)
  const segments = clockwise.segments.flatMap(parts)
  const turns = segments.map((s, i) => {
    const before = nth(segments, (i + segments.length - 1) % segments.length)
    const [a, b] = [segmentTangent(before, 1), segmentTangent(s, 0)]
    return Math.abs(Math.atan2(pointCross(a, b), pointDot(a, b))) > SHARP
  })
  // The drawing starts at a corner, so that no edge is cut in two by the start.
  const start = Math.max(0, turns.indexOf(true))
  const walk = [...segments.slice(start), ...segments.slice(0, start)]
  const edges: DrawnEdge[] = []
  const nodes = walk.map((s, i) => {
    if (i === 0 || turns[(start + i) % segments.length]) {
      const [id, name] = facing(longest(walk, i, turns, start))
      const number = edges.filter((e) => e.id === id || e.id.startsWith(`${id}-`)).length
      edges.push({
        id: number ? `${id}-${number + 1}` : id,
        name: number ? `${name} ${number + 1}` : name,
        fate: RAW,
      })
    }
    return nodeFrom(s, lastOf(edges).id)
  })
  return { nodes, edges, mirror: null }
}

/** The longest segment of the stretch that begins at i: it says which way the edge faces. */
function longest(walk: readonly Segment[], i: number, turns: readonly boolean[], start: number): Segment {
  let best = nth(walk, i)
  const length = (s: Segment): number => Math.hypot(s.to.x - s.from.x, s.to.y - s.from.y)
  for (let k = i + 1; k < walk.length && !turns[(start + k) % walk.length]; k += 1)
    if (length(nth(walk, k)) > length(best)) best = nth(walk, k)
  return best
}

function drawnFate(fate: EdgeTreatment): DrawnFate {
  switch (fate.type) {
    case 'raw':
      return fate.trim > 0
        ? { type: 'trimmed', margin: 3, trim: fate.trim, finish: fate.finish }
        : { type: 'raw', finish: fate.finish }
    case 'sewn':
      return fate.trim > 0
        ? { ...fate, type: 'trimmed' }
        : { type: 'sewn', margin: fate.margin, finish: fate.finish }
    default:
      return fate
  }
}

/** The bands that are skived as the panel stands, as skives of a drawing: strips of the same breadth and slope. */
function skivesFrom(panel: Panel, thickness: number): DrawnSkive[] {
  return panel.bands
    .filter((b) => b.planned && !b.hollow)
    .flatMap((band, k) =>
      band.areas.map((area, i): DrawnSkive => {
        const box = pathBox(area.outline)
        const [w, h] = [boxWidth(box), boxHeight(box)]
        const level = band.start === band.end
        const upright = level ? h >= w : Math.abs(area.to.x - area.from.x) > Math.abs(area.to.y - area.from.y)
        const turned = !level && (upright ? area.to.x < area.from.x : area.to.y < area.from.y)
        const [start, end] = turned ? [band.end, band.start] : [band.start, band.end]
        const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2]
        // Left of the line is where `start` lies: an upright line is walked up, a level one to the right.
        const [from, to] = upright
          ? [
              { x: cx, y: box.bottom },
              { x: cx, y: box.top },
            ]
          : [
              { x: box.left, y: cy },
              { x: box.right, y: cy },
            ]
        return {
          id: `skive-${k + 1}-${i + 1}`,
          name: band.name.slice(0, 60),
          where: { type: 'band', from: tidyPoint(from), to: tidyPoint(to) },
          width: Math.max(0.5, upright ? w : h),
          start: Math.min(start, thickness),
          end: Math.min(end, thickness),
        }
      }),
    )
}

const foldsFrom = (panel: Panel): DrawnFold[] =>
  panel.folds.map((f): DrawnFold => ({
    id: f.id,
    name: f.name,
    at: tidyPoint({ x: (f.from.x + f.to.x) / 2, y: (f.from.y + f.to.y) / 2 }),
    angle: Math.atan2(f.to.y - f.from.y, f.to.x - f.from.x),
    type: 'book',
    gap: 0,
    turn: f.angle ?? Math.PI,
    rises: f.rises,
    drawn: 'flat',
    school: 'figured',
    groove: null,
  }))

/** A kind's panel taken over by hand: the same outline, edges, folds and planned skives, from now on the maker's. */
export function takenOver(panel: Panel, thickness: number): DrawnPanel {
  const segments = panel.outline.segments
  const edges: DrawnEdge[] = panel.edges.map((e) => ({ id: e.id, name: e.name, fate: drawnFate(e.fate) }))
  const nodes = segments.map((s, i) => {
    const edge = panel.edges.find((e) => i >= e.first && i <= e.last)
    if (!edge && !edges.some((e) => e.id === 'rest'))
      edges.push({ id: 'rest', name: 'rest of the edge', fate: RAW })
    return nodeFrom(s, edge?.id ?? 'rest')
  })
  return {
    ...barePanel({ id: panel.id, name: panel.name, role: panel.role, nodes, edges, mirror: null }),
    count: panel.count,
    flipped: panel.flipped,
    folds: foldsFrom(panel),
    skives: skivesFrom(panel, thickness),
    grain: panel.grain,
    ...(panel.pull === undefined ? {} : { pull: panel.pull }),
  }
}

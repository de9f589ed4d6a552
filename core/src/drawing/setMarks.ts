import {
  type Path,
  type Point,
  arc,
  circlePoint,
  closedPath,
  line,
  openPath,
  polyline,
} from '../geometry/index.js'
import { nth } from '../lists/index.js'
import type { PanelMark } from '../master/index.js'
import { printLength } from '../measure/index.js'
import { type Lettering, type MarkDrawn, WEIGHT, words } from './edgeMarks.js'
import { type Drawn, type LayerName, stroke } from './primitives.js'
import { TYPE } from './words.js'

const circle = (at: Point, radius: number): Path => {
  const [a, b] = [circlePoint(at, radius, 0), circlePoint(at, radius, Math.PI)]
  return closedPath([arc(a, b, at, Math.PI), arc(b, a, at, Math.PI)])
}

const cross = (at: Point, reach: number, turned = 0): Drawn[] =>
  [turned, turned + Math.PI / 2].map((angle) =>
    stroke(
      'marks',
      openPath([line(circlePoint(at, -reach, angle), circlePoint(at, reach, angle))]),
      WEIGHT.fine,
    ),
  )

/** A round hole at true size with a centre cross. */
export const holeDrawing = (at: Point, across: number): Drawn[] => [
  stroke('openings', circle(at, across / 2), WEIGHT.tick),
  ...cross(at, across / 2 + 1),
]

/** A slot with round ends made by a punch. */
function slotPath({ at, angle, length, punch }: PanelMark & { type: 'slot' }): Path {
  const radius = punch / 2
  const half = Math.max(0, length / 2 - radius)
  const [a, b] = [circlePoint(at, -half, angle), circlePoint(at, half, angle)]
  const side = (p: Point, way: number): Point => circlePoint(p, radius, angle + (way * Math.PI) / 2)
  return closedPath([
    line(side(a, -1), side(b, -1)),
    arc(side(b, -1), side(b, 1), b, Math.PI),
    line(side(b, 1), side(a, 1)),
    arc(side(a, 1), side(a, -1), a, Math.PI),
  ])
}

/** An arrow with its head at one end, `reach` mm to either side of its middle. */
export function arrowStrokes(layer: LayerName, at: Point, angle: number, reach: number): Drawn[] {
  const [from, to] = [circlePoint(at, -reach, angle), circlePoint(at, reach, angle)]
  const barb = (by: number): Point => circlePoint(to, Math.min(2.4, reach), angle + Math.PI + by)
  return [
    stroke(layer, openPath([line(from, to)]), WEIGHT.fold),
    stroke(layer, polyline([barb(0.5), to, barb(-0.5)]), WEIGHT.fold),
  ]
}

function windowPath({ at, angle, length, width }: PanelMark & { type: 'window' }): Path {
  const corner = (s: number, d: number): Point =>
    circlePoint(circlePoint(at, s, angle), d, angle + Math.PI / 2)
  const points = [
    corner(-length / 2, -width / 2),
    corner(length / 2, -width / 2),
    corner(length / 2, width / 2),
    corner(-length / 2, width / 2),
  ]
  return closedPath(points.map((p, i) => line(p, nth(points, (i + 1) % 4))))
}

/** Small words in the thing they name. */
const INSIDE = { off: 0, size: TYPE.small as number }
const dashed = (path: Path): Drawn => stroke('marks', path, WEIGHT.fine, [3, 1.2])

const stampPath = ({ id, at, angle, wide, high }: PanelMark & { type: 'stamp' }): Path =>
  windowPath({ type: 'window', id, at, angle, length: wide, width: high })

/** Hardware as large as it is, with a centre cross and what it needs punched. */
function hardwareStrokes(mark: PanelMark & { type: 'hardware' }): Drawn[] {
  const { at, angle, across, high, holes, slots } = mark
  const place = ({ along, aside }: { along: number; aside: number }): Point =>
    circlePoint(circlePoint(at, along, angle), aside, angle + Math.PI / 2)
  const outline = mark.round
    ? circle(at, across / 2)
    : windowPath({ type: 'window', id: mark.id, at, angle, length: high, width: across })
  return [
    stroke('marks', outline, WEIGHT.fine),
    ...cross(at, Math.max(across, high) / 2 + 1, angle),
    ...holes.map((h) => stroke('openings', circle(place(h), h.punch / 2), WEIGHT.tick)),
    ...slots.map((s) => {
      const middle = place(s)
      return stroke(
        'marks',
        openPath([
          line(
            circlePoint(middle, -s.length / 2, angle + Math.PI / 2),
            circlePoint(middle, s.length / 2, angle + Math.PI / 2),
          ),
        ]),
        WEIGHT.tick,
      )
    }),
  ]
}

/** Several of one sort are named once, at the first, with how many there are. */
function namedOnce<M extends PanelMark>(
  mark: M,
  all: readonly PanelMark[],
  alike: (other: M) => boolean,
  name: string,
): string | undefined {
  const same = all.filter((m): m is M => m.type === mark.type && alike(m as M))
  if (same[0] !== mark && same.length > 0) return undefined
  return same.length > 1 ? `${same.length} × ${name}` : name
}

/** A mark the maker set, save notches, which are drawn like all notches. */
export function setDrawing(
  mark: Exclude<PanelMark, { type: 'notch' | 'centre' }>,
  all: readonly PanelMark[],
  lettering: Lettering,
): MarkDrawn {
  const { unit } = lettering
  const named = (
    strokes: readonly Drawn[],
    name: string | undefined,
    more: Parameters<typeof words>[4] = {},
  ): MarkDrawn => ({
    strokes,
    asks: name === undefined ? [] : [words('marks', mark.at, name, lettering, more)],
  })
  switch (mark.type) {
    case 'slot':
      return named(
        [stroke('openings', slotPath(mark), WEIGHT.tick)],
        namedOnce(
          mark,
          all,
          (m) => m.length === mark.length && m.punch === mark.punch,
          `slot ${printLength(mark.length, unit)}, punch ${printLength(mark.punch, unit)}`,
        ),
        { off: mark.punch / 2 + 1, toward: Math.PI / 2 },
      )
    case 'hole':
      return named(
        holeDrawing(mark.at, mark.punch),
        namedOnce(mark, all, (m) => m.punch === mark.punch, printLength(mark.punch, unit)),
        { off: mark.punch / 2 + 1.6 },
      )
    case 'text':
      return named([], mark.text, { off: 0, size: 3.2 })
    case 'up':
    case 'grain':
      return named(arrowStrokes('marks', mark.at, mark.angle, 7), mark.type, { off: 1.2 })
    case 'hardware':
      return named(
        hardwareStrokes(mark),
        namedOnce(mark, all, (m) => m.name === mark.name, mark.name),
        { off: Math.max(mark.across, mark.high) / 2 + 1.6, toward: Math.PI / 2, size: TYPE.small },
      )
    case 'stamp':
      return named([dashed(stampPath(mark))], mark.name, INSIDE)
    case 'lines':
      return named(
        mark.paths.map(dashed),
        namedOnce(mark, all, (m) => m.said === mark.said, mark.said),
        INSIDE,
      )
    case 'cuts':
      return { strokes: mark.paths.map((path) => stroke('cut', path, WEIGHT.tick)), asks: [] }
    case 'window':
      return named([stroke('marks', windowPath(mark), WEIGHT.fine, [1.6, 1])], 'glue window', INSIDE)
  }
}

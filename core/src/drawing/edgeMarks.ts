import { profileLevel } from '../edges/index.js'
import {
  type Path,
  type Point,
  arc,
  boxCentre,
  circlePoint,
  closedPath,
  line,
  openPath,
  pathBox,
  pathEnd,
  pathLength,
  pathPlaceAt,
  pathStart,
  polyline,
} from '../geometry/index.js'
import { type LengthUnit, printLength, printWeight, trimmed } from '../measure/index.js'
import type { PanelMark } from '../master/index.js'
import type { Mark } from '../reckon/index.js'
import { type Drawn, stroke, text } from './primitives.js'

const WEIGHT = { cut: 0.5, fold: 0.25, fine: 0.15, tick: 0.35 } as const
const TYPE = 2.8
/** Between two strokes of a hatch along an edge, mm. */
const HATCH = 1.3
/** How far successive strokes reach in, as shares of the band: they crowd where the leather gets thin. */
const REACHES = [1, 0.3, 0.62, 0.3] as const

const pathOf = (points: readonly Point[]): Path => polyline(points)

/** Strokes square to a skived edge, the denser the thinner it gets, and the thickness at both sides. */
export function skiveEdgeDrawing(mark: Mark & { type: 'skiveEdge' }, unit: LengthUnit): Drawn[] {
  const { profile, inward, outside, full } = mark
  const path = pathOf(profile.points)
  const { levels } = profile
  const thick = levels.findIndex((l) => l.thickness >= full - 1e-9)
  const width = levels[thick < 0 ? levels.length - 1 : thick]!.from
  if (width < 0.2) return []
  const length = pathLength(path)
  const count = Math.max(2, Math.floor(length / HATCH))
  const strokes = Array.from({ length: count }, (_, i) => {
    const { at, angle } = pathPlaceAt(path, ((i + 0.5) * length) / count)
    const into = angle + (inward * Math.PI) / 2
    const from = circlePoint(at, -outside, into)
    return openPath([line(from, circlePoint(from, width * REACHES[i % REACHES.length]!, into))])
  })
  const print = (mm: number): string => (unit === 'mm' ? trimmed(mm, 2) : printWeight(mm, unit))
  const { at, angle } = pathPlaceAt(path, length * 0.28)
  const into = angle + (inward * Math.PI) / 2
  const figure = (distance: number, words: string): Drawn => {
    const p = circlePoint(at, distance, into)
    return text('skive', { x: p.x, y: p.y + 1 }, words, TYPE)
  }
  return [
    ...strokes.map((s) => stroke('skive', s, WEIGHT.fine)),
    figure(-outside - 2.4, print(profileLevel(profile, 0))),
    figure(width - outside + 2.4, print(profileLevel(profile, width))),
  ]
}

/** A thin line ended by small bars: the cut edge is folded to it. */
export function foldToDrawing(path: Path): Drawn[] {
  const length = pathLength(path)
  const bar = (distance: number): Drawn => {
    const { at, angle } = pathPlaceAt(path, distance)
    const across = angle + Math.PI / 2
    return stroke(
      'fold-to',
      openPath([line(circlePoint(at, -1.4, across), circlePoint(at, 1.4, across))]),
      WEIGHT.fold,
    )
  }
  const round = Math.hypot(pathStart(path).x - pathEnd(path).x, pathStart(path).y - pathEnd(path).y) < 0.01
  return [stroke('fold-to', path, WEIGHT.fine), ...(round ? [] : [bar(0), bar(length)])]
}

/** Snips and V cuts are cut; pleats are only ticked. */
export const treatDrawing = (mark: Mark & { type: 'treat' }): Drawn[] =>
  mark.cuts.map((path) =>
    mark.sort === 'pleats' ? stroke('notches', path, WEIGHT.tick) : stroke('cut', path, WEIGHT.tick),
  )

const circle = (at: Point, radius: number): Path => {
  const [a, b] = [circlePoint(at, radius, 0), circlePoint(at, radius, Math.PI)]
  return closedPath([arc(a, b, at, Math.PI), arc(b, a, at, Math.PI)])
}

/** A round hole at true size with a centre cross. */
export function holeDrawing(at: Point, across: number): Drawn[] {
  const reach = across / 2 + 1
  return [
    stroke('marks', circle(at, across / 2), WEIGHT.tick),
    ...[0, Math.PI / 2].map((angle) =>
      stroke(
        'marks',
        openPath([line(circlePoint(at, -reach, angle), circlePoint(at, reach, angle))]),
        WEIGHT.fine,
      ),
    ),
  ]
}

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

function arrow(at: Point, angle: number, words: string): Drawn[] {
  const [from, to] = [circlePoint(at, -7, angle), circlePoint(at, 7, angle)]
  const barb = (by: number): Point => circlePoint(to, 2.4, angle + Math.PI + by)
  return [
    stroke('marks', openPath([line(from, to)]), WEIGHT.fold),
    stroke('marks', polyline([barb(0.5), to, barb(-0.5)]), WEIGHT.fold),
    text('marks', { x: from.x, y: from.y + (Math.sin(angle) < -0.5 ? 4 : -1.5) }, words, TYPE),
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
  return closedPath(points.map((p, i) => line(p, points[(i + 1) % 4]!)))
}

/** Hardware as large as it is, with a centre cross, what it needs punched, and its name. */
function hardwareDrawing(mark: PanelMark & { type: 'hardware' }): Drawn[] {
  const { at, angle, across, high, holes, slots } = mark
  const place = ({ along, aside }: { along: number; aside: number }): Point =>
    circlePoint(circlePoint(at, along, angle), aside, angle + Math.PI / 2)
  const reach = Math.max(across, high) / 2 + 1
  const outline = mark.round
    ? circle(at, across / 2)
    : windowPath({ type: 'window', id: mark.id, at, angle, length: high, width: across })
  return [
    stroke('marks', outline, WEIGHT.fine),
    ...[0, Math.PI / 2].map((by) =>
      stroke(
        'marks',
        openPath([line(circlePoint(at, -reach, angle + by), circlePoint(at, reach, angle + by))]),
        WEIGHT.fine,
      ),
    ),
    ...holes.map((h) => stroke('marks', circle(place(h), h.punch / 2), WEIGHT.tick)),
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
    text('marks', { x: at.x, y: at.y + reach + 2.6 }, mark.name, 2.4),
  ]
}

/** A mark the maker set, save notches, which are drawn like all notches. */
export function setDrawing(
  mark: Exclude<PanelMark, { type: 'notch' | 'centre' }>,
  all: readonly PanelMark[],
  unit: LengthUnit,
): Drawn[] {
  switch (mark.type) {
    case 'slot':
      return [
        stroke('marks', slotPath(mark), WEIGHT.tick),
        text(
          'marks',
          { x: mark.at.x, y: mark.at.y + mark.punch / 2 + 3.4 },
          `slot ${printLength(mark.length, unit)}, punch ${printLength(mark.punch, unit)}`,
          TYPE,
        ),
      ]
    case 'hole': {
      // A row of holes of one size says it once, at the first.
      const alike = all.filter((m) => m.type === 'hole' && m.punch === mark.punch)
      if (alike[0] !== mark) return holeDrawing(mark.at, mark.punch)
      return [
        ...holeDrawing(mark.at, mark.punch),
        text(
          'marks',
          { x: mark.at.x + mark.punch / 2 + 1.6, y: mark.at.y - 1 },
          `${alike.length > 1 ? `${alike.length} × ` : ''}${printLength(mark.punch, unit)}`,
          TYPE,
          'start',
        ),
      ]
    }
    case 'text':
      return [text('marks', mark.at, mark.text, 3.2)]
    case 'up':
      return arrow(mark.at, mark.angle, 'up')
    case 'grain':
      return arrow(mark.at, mark.angle, 'grain')
    case 'hardware':
      return hardwareDrawing(mark)
    case 'cuts':
      return mark.paths.map((path) => stroke('cut', path, WEIGHT.tick))
    case 'window':
      return [
        stroke('marks', windowPath(mark), WEIGHT.fine, [1.6, 1]),
        text('marks', { x: mark.at.x, y: mark.at.y + 1 }, 'glue window', 2.4),
      ]
  }
}

/** The rough block a piece is cut from first. */
export function blockDrawing(path: Path, by: number, unit: LengthUnit): Drawn[] {
  const box = pathBox(path)
  return [
    stroke('marks', path, WEIGHT.fold, [4, 2, 0.6, 2]),
    text(
      'marks',
      { x: boxCentre(box).x, y: box.top + 3.4 },
      `rough block, ${printLength(by, unit)} bigger: cut to size after`,
      TYPE,
    ),
  ]
}

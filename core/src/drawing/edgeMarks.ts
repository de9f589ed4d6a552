import { profileLevel } from '../edges/index.js'
import {
  type Path,
  type Point,
  boxCentre,
  circlePoint,
  line,
  openPath,
  pathBox,
  pathEnd,
  pathLength,
  pathPlaceAt,
  pathStart,
  polyline,
} from '../geometry/index.js'
import { nth } from '../lists/index.js'
import { type Units, printLength, printWeight, trimmed, systemOf } from '../measure/index.js'
import type { Mark } from '../reckon/index.js'
import type { Ask } from './place.js'
import { type Drawn, type LayerName, stroke } from './primitives.js'
import { TYPE, wordsForm } from './words.js'

/** Line weights, mm, in order of what matters at the bench: the knife follows the heaviest. */
export const WEIGHT = { cut: 0.5, tick: 0.35, fold: 0.28, finished: 0.2, fine: 0.15, hatch: 0.09 } as const
/** Between two strokes of a hatch along an edge, mm. */
const HATCH = 1.6
/** How far successive strokes reach in, as shares of the band: they crowd where the leather gets thin. */
const REACHES = [1, 0.3, 0.62, 0.3] as const

/** What a mark draws, and the words that want a place beside it. */
export interface MarkDrawn {
  readonly strokes: readonly Drawn[]
  readonly asks: readonly Ask[]
}
export const NOTHING: MarkDrawn = { strokes: [], asks: [] }

/** How the words of a piece are written. */
export interface Lettering {
  readonly unit: Units
  /** Read from the right, along a narrow upright piece. */
  readonly upright: boolean
  /** Type is no smaller than this, mm: what can be read from where one looks. */
  readonly min: number
}

/** A few words about a place. */
export const words = (
  layer: LayerName,
  about: Point,
  said: string,
  { upright, min }: Lettering,
  { off = 1.2, toward = 0, size = TYPE.mark as number, where = 'any' as Ask['where'], leader = true } = {},
): Ask => ({
  layer,
  about,
  off,
  toward,
  where,
  leader,
  forms: [wordsForm(layer, [{ words: said, size: Math.max(size, min) }], upright)],
})

const thickness = (mm: number, unit: Units): string =>
  systemOf(unit, 'thickness') === 'mm' ? trimmed(mm, 2, unit) : printWeight(mm, unit)

/** Strokes square to a skived edge, the denser the thinner it gets, and the thickness at both sides. */
export function skiveEdgeDrawing(mark: Mark & { type: 'skiveEdge' }, lettering: Lettering): MarkDrawn {
  const { profile, inward, outside, full } = mark
  const path = polyline(profile.points)
  const { levels } = profile
  const thick = levels.findIndex((l) => l.thickness >= full - 1e-9)
  const width = nth(levels, thick < 0 ? levels.length - 1 : thick).from
  if (width < 0.2) return NOTHING
  const length = pathLength(path)
  const count = Math.max(2, Math.floor(length / HATCH))
  const strokes = Array.from({ length: count }, (_, i) => {
    const { at, angle } = pathPlaceAt(path, ((i + 0.5) * length) / count)
    const into = angle + (inward * Math.PI) / 2
    const from = circlePoint(at, -outside, into)
    return openPath([line(from, circlePoint(from, width * nth(REACHES, i % REACHES.length), into))])
  })
  const { at, angle } = pathPlaceAt(path, length * 0.28)
  const into = angle + (inward * Math.PI) / 2
  const figure = (distance: number, level: number, toward: number): Ask =>
    words(
      'skive',
      circlePoint(at, distance, into),
      thickness(profileLevel(profile, level), lettering.unit),
      lettering,
      {
        toward,
      },
    )
  return {
    strokes: strokes.map((s) => stroke('skive', s, WEIGHT.hatch)),
    asks: [figure(-outside, 0, into + Math.PI), figure(width - outside, width, into)],
  }
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

/** The rough block a piece is cut from first. */
export function blockDrawing(path: Path, by: number, lettering: Lettering): MarkDrawn {
  const box = pathBox(path)
  const said = `rough block, ${printLength(by, lettering.unit)} bigger: cut to size after`
  return {
    strokes: [stroke('marks', path, WEIGHT.fold, [4, 2, 0.6, 2])],
    asks: [
      words('marks', { x: boxCentre(box).x, y: box.top }, said, lettering, {
        toward: -Math.PI / 2,
        where: 'outside',
      }),
    ],
  }
}

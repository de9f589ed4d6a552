import { type Drawn, drawnMoved, hatch, stipple, stroke, text } from '../../../drawing/index.js'
import { type Path, circlePoint, line, openPath, point, polyline, shift } from '../../../geometry/index.js'
import { type Row, paragraph } from './block.js'
import { rectangle } from './head.js'

const WIDE = 20
/** The middle of a sample, from the top of its row. */
const MIDDLE = 2.6
const across = (): Path => openPath([line(point(0, MIDDLE), point(WIDE, MIDDLE))])
const patch = (): Path => rectangle(0, MIDDLE - 2, WIDE, 4)
const at = (x: number, y = 0): { x: number; y: number } => point(x, MIDDLE + y)

const slots = (): Drawn[] =>
  Array.from({ length: 6 }, (_, k) => {
    const middle = at(1.5 + k * 3.2)
    const angle = (-45 * Math.PI) / 180
    return stroke(
      'holes',
      openPath([line(circlePoint(middle, 0.85, angle + Math.PI), circlePoint(middle, 0.85, angle))]),
      0.5,
    )
  })

const chevron = (side: number): Drawn =>
  stroke('fold', polyline([at(5, side * 2.2), at(3, side * 0.7), at(1, side * 2.2)]), 0.28)

/** A line of the legend, and whether anything on the pieces is drawn like it. */
interface Sample {
  readonly words: string
  readonly layer: Drawn['layer']
  readonly drawn: () => Drawn[]
}

const SAMPLES: readonly Sample[] = [
  { words: 'cut', layer: 'cut', drawn: () => [stroke('cut', across(), 0.5)] },
  {
    words: 'finished edge, where it is not the cut line',
    layer: 'finished',
    drawn: () => [stroke('finished', across(), 0.2)],
  },
  {
    words: 'fold: facing chevrons, mountain or valley beside it',
    layer: 'fold',
    drawn: () => [stroke('fold', across(), 0.28, [7, 2.2]), chevron(-1), chevron(1)],
  },
  { words: 'stitch holes, true size and slant', layer: 'holes', drawn: slots },
  {
    words: 'sewn along by machine',
    layer: 'holes',
    drawn: () => [stroke('holes', across(), 0.15, [2, 1.2])],
  },
  {
    words: 'glue, inside its limit',
    layer: 'glue',
    drawn: () => [{ type: 'dots', layer: 'glue', points: stipple(patch()), diameter: 0.3 }],
  },
  {
    words: 'skive, closing up as it gets thinner, thickness at both sides',
    layer: 'skive',
    drawn: () => hatch(patch(), point(0, 0), point(WIDE, 0), 1, 0.3).map((p) => stroke('skive', p, 0.09)),
  },
  {
    words: 'match mark, lettered in pairs',
    layer: 'notches',
    drawn: () => [
      stroke('notches', openPath([line(at(8, -2), at(8, 2))]), 0.35),
      text('notches', at(11, 1), 'a', 2.8),
    ],
  },
  {
    words: 'hole or slot, cut or punched through at true size',
    layer: 'openings',
    drawn: () => [stroke('openings', rectangle(5, MIDDLE - 1.5, 10, 3), 0.35)],
  },
  {
    words: 'mark, or hardware at true size: where it is set, to what it is laid',
    layer: 'marks',
    drawn: () => [
      stroke('marks', openPath([line(at(10, -2.4), at(10, 2.4))]), 0.15),
      stroke('marks', openPath([line(at(4), at(16))]), 0.15),
    ],
  },
  {
    words: 'grain of the leather',
    layer: 'grain',
    drawn: () => [
      stroke('grain', across(), 0.28),
      stroke('grain', polyline([at(WIDE - 2.2, -1.1), at(WIDE), at(WIDE - 2.2, 1.1)]), 0.28),
    ],
  },
  {
    words: 'fold-to line: the cut edge is folded to it',
    layer: 'fold-to',
    drawn: () => [
      stroke('fold-to', across(), 0.15),
      ...[0, WIDE].map((x) => stroke('fold-to', openPath([line(at(x, -1.4), at(x, 1.4))]), 0.28)),
    ],
  },
]

/** The line language, as far as it is spoken on these pieces: form first, so that it survives a black-and-white printer. */
export const legendRows = (
  layers: ReadonlySet<string>,
  machine: boolean,
  byHand: boolean,
  width: number,
): Row[] =>
  SAMPLES.filter(
    (s) =>
      layers.has(s.layer) &&
      (s.words !== 'sewn along by machine' || machine) &&
      (!s.words.startsWith('stitch holes') || byHand),
  ).map(({ words, drawn }) => {
    const said = paragraph(words, width, WIDE + 4)
    return {
      height: Math.max(6, said.height + 1.2),
      drawn: [...drawn(), ...said.drawn.map((d) => drawnMoved(d, shift(0, 0.6)))],
    }
  })

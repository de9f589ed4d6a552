import { tupleOf } from '../lists/index.js'
import {
  type Point,
  boxCentre,
  boxHeight,
  boxWidth,
  circlePoint,
  line,
  openPath,
  pathBox,
} from '../geometry/index.js'
import { type JobName, type Piece, pieceLabel } from '../reckon/index.js'
import { type Lettering, WEIGHT } from './edgeMarks.js'
import { arrowStrokes } from './setMarks.js'
import { textWidth, wrapped } from './metrics.js'
import type { Ask, Form } from './place.js'
import { type Drawn, stroke, text } from './primitives.js'
import { type Line, TYPE, wordsForm } from './words.js'

/** Sizes at which a label is tried, shares of its full one; smaller is not read at the bench. */
const SCALES = [1, 0.84, 0.72] as const
/** Notes are broken into lines of this length, mm. */
const MEASURE = 62

/** The label of a piece: name, how many, leather, job and draft, notes; shorter where that is all there is room for. */
function labelForms(piece: Piece, job: JobName, { unit, upright, min }: Lettering): Form[] {
  const [name = '', ...rest] = pieceLabel(piece, job, unit)
  const lines = (scale: number, kept: readonly string[]): Line[] => {
    const [large, small] = tupleOf([TYPE.name, TYPE.line], (size) => Math.max(size * scale, min))
    const wide = Math.max(MEASURE * scale, 20 * min)
    return [
      ...wrapped(name, wide, large, true).map((w) => ({
        words: w,
        size: large,
        bold: true,
      })),
      ...kept.flatMap((w) => wrapped(w, wide, small)).map((w) => ({ words: w, size: small })),
    ]
  }
  const short = rest.slice(0, 2)
  const stacked = [
    ...SCALES.map((scale) => lines(scale, rest)),
    ...SCALES.slice(1).map((s) => lines(s, short)),
  ]
  // On a strip there is length and no height: all of it in two lines, or in one.
  const strip = SCALES.map((scale): Line[] => {
    const size = Math.max(TYPE.line * scale, min)
    return [{ words: [name, ...rest].join(' · '), size, bold: false }]
  })
  const twoLines = SCALES.map((scale): Line[] => {
    const [large, small] = tupleOf([TYPE.name, TYPE.line], (s) => Math.max(s * scale * 0.9, min))
    return [
      { words: name, size: large, bold: true },
      { words: rest.join(' · '), size: small },
    ]
  })
  return [...stacked.slice(0, 3), ...twoLines, ...stacked.slice(3), ...strip].map((l) =>
    wordsForm('label', l, upright),
  )
}

/** The arrow of the grain with its word; shorter on a small piece. */
function grainForm(angle: number, reach: number, upright: boolean, size: number): Form {
  const [cos, sin] = [Math.abs(Math.cos(angle)), Math.abs(Math.sin(angle))]
  const word = textWidth('grain', size)
  // The word stands beside the arrow's middle: over a level one, left of an upright one.
  const level = cos >= sin
  const [w, h] = upright ? [size, word] : [word, size]
  const width = level ? Math.max(2 * reach * cos, w) : 2 * reach * cos + w + 2
  const height = level ? 2 * reach * sin + h + 2 : Math.max(2 * reach * sin, h)
  return {
    width: width + 1,
    height: height + 1,
    draw: (centre) => {
      const at = level
        ? { x: centre.x, y: centre.y + (h + 1) / 2 }
        : { x: centre.x + (w + 1) / 2, y: centre.y }
      const said = level
        ? { x: centre.x, y: centre.y - height / 2 + h * 0.5 }
        : { x: centre.x - width / 2 + w / 2, y: centre.y }
      return [...arrowStrokes('grain', at, angle, reach), wordAt('grain', said, size, upright)]
    },
  }
}

/** A word by its middle. */
const wordAt = (words: string, at: Point, size: number, upright: boolean): Drawn =>
  text(
    'grain',
    upright ? { x: at.x + size * 0.26, y: at.y } : { x: at.x, y: at.y + size * 0.26 },
    words,
    size,
    'middle',
    false,
    upright ? -Math.PI / 2 : 0,
  )

/** Which way is up on the piece as it is drawn, and its left and right. */
function wayUpForm(wide: boolean, size: number): Form {
  const side = textWidth('right', size)
  const reach = 3.4
  const width = wide ? 2 * (reach + side + 1.5) : textWidth('up', size) + 1
  const height = reach + 3 + size
  return {
    width,
    height,
    draw: ({ x, y }) => {
      const top = y - height / 2
      const cross = top + size + 1 + reach
      return [
        wordAt('up', { x, y: top + size / 2 }, size, false),
        ...arrowStrokes('grain', { x, y: top + size + 1 + reach / 2 }, -Math.PI / 2, reach / 2),
        ...(wide
          ? [
              stroke(
                'grain',
                openPath([line({ x: x - reach, y: cross }, { x: x + reach, y: cross })]),
                WEIGHT.fine,
              ),
              wordAt('left', { x: x - reach - 1 - side / 2, y: cross }, size, false),
              wordAt('right', { x: x + reach + 1 + side / 2, y: cross }, size, false),
            ]
          : []),
      ]
    },
  }
}

/** Where the label stands best: the middle of the piece, or of its left half where a fold runs down the middle. */
function labelSpot(piece: Piece): Point {
  const box = pathBox(piece.cut)
  const fold = piece.marks.find((m) => m.type === 'fold')
  const level = fold?.type === 'fold' && Math.abs(fold.to.y - fold.from.y) < Math.abs(fold.to.x - fold.from.x)
  const folded = fold !== undefined && !level
  return (
    piece.panel.labelAt ?? {
      x: folded ? box.left + boxWidth(box) / 4 : boxCentre(box).x,
      y: box.top + boxHeight(box) * (level ? 0.22 : 0.42),
    }
  )
}

/** Where type has to be larger than this to be read, mm, a piece says its name alone. */
export const FAR = 8

const nameForms = (piece: Piece, { upright, min }: Lettering): Form[] => [
  wordsForm('label', [{ words: piece.name, size: min, bold: true }], upright),
]

/** The label of a piece, the arrow of its grain and which way is up. */
export function labelAsks(piece: Piece, job: JobName, lettering: Lettering): Ask[] {
  const about = labelSpot(piece)
  // On a screen what there is no room for is left out: it is on paper, and says itself again from nearer.
  const common = { about, off: 0, where: 'inside', leader: false, optional: lettering.min > 0 } as const
  const size = Math.max(TYPE.small, lettering.min)
  const grain = piece.marks.find((m) => m.type === 'grain')
  const label: Ask = {
    ...common,
    layer: 'label',
    forms: labelForms(piece, job, lettering),
    leader: true,
    optional: false,
    toward: lettering.upright ? 0 : Math.PI / 2,
  }
  if (lettering.min > FAR) return [{ ...label, forms: nameForms(piece, lettering), optional: true }]
  return [
    label,
    ...(grain?.type === 'grain'
      ? [
          {
            ...common,
            layer: 'grain',
            about: circlePoint(about, 14, Math.PI / 2),
            forms: [9, 6, 4].map((reach) => grainForm(grain.angle, reach, lettering.upright, size)),
          } as const,
        ]
      : []),
    ...(grain && piece.panel.pull === undefined
      ? [
          {
            ...common,
            layer: 'grain',
            about: { x: about.x, y: pathBox(piece.cut).top + 10 },
            forms: [wayUpForm(true, size), wayUpForm(false, size)],
          } as const,
        ]
      : []),
  ]
}

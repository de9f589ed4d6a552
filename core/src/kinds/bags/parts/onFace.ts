import {
  type Move,
  type Point,
  STAY,
  boxWidth,
  flipAbout,
  moveThen,
  pathBox,
  point,
  pointMoved,
  shift,
} from '../../../geometry/index.js'
import type { EdgeTreatment, Panel } from '../../../master/index.js'
import { edgeSeam, lineSeam } from '../../parts/seams.js'
import { type Shape, plainPanel, rectangleShape } from '../../parts/shape.js'
import type { Bag } from '../bag.js'
import { type Face, type Part, onto } from '../assembly.js'

/** How a piece lies on a face: its own upper edge's middle comes to (x, y) of the face. What lies inside is seen from there. */
export function faceMove(face: Face, panel: Panel, x: number, y: number, inside: boolean): Move {
  const wide = boxWidth(pathBox(panel.outline))
  const own = inside ? flipAbout(wide / 2) : STAY
  return moveThen(moveThen(own, shift(x - wide / 2, y)), face.move)
}

/** A piece put on a face. */
export const putOn = (
  face: Face,
  panel: Panel,
  at: { readonly x: number; readonly y: number; readonly inside?: boolean },
  id = panel.id,
): Part['onto'][number] => {
  const inside = at.inside === true
  return onto(face.sheet, inside ? 'inside' : 'outside', panel, faceMove(face, panel, at.x, at.y, inside), id)
}

/** A place of a face on the panel of its sheet. */
export const onPanel = (face: Face, x: number, y: number): Point => pointMoved({ x, y }, face.move)

/** A plain rectangle of a role, all its edges alike unless told. */
export const rectanglePanel = (
  bag: Bag,
  id: string,
  name: string,
  role: string,
  wide: number,
  high: number,
  more: Partial<Panel> & {
    readonly corner?: number
    readonly foot?: number
    readonly fate?: (edge: string) => EdgeTreatment
  } = {},
): Panel => {
  const { corner = 0, foot = corner, fate, ...rest } = more
  const shape: Shape = rectangleShape(
    wide,
    high,
    { topLeft: corner, topRight: corner, footLeft: foot, footRight: foot },
    fate ?? (() => bag.plain),
  )
  return plainPanel({ id, name, role, ...shape, ...rest })
}

/** Edges of such a rectangle from its upper right corner round the foot to the upper left one. */
export const uChain = (foot: number): string[] =>
  foot > 0 ? ['right', 'foot-right', 'foot', 'foot-left', 'left'] : ['right', 'foot', 'left']

/** A piece sewn to what it lies on along sides and foot. */
export const uSeam = (
  bag: Bag,
  id: string,
  name: string,
  sheet: string,
  on: string,
  foot: number,
  inner: number = bag.p.margin,
) =>
  edgeSeam({
    id,
    name,
    sheet,
    chain: uChain(foot),
    margin: bag.reckon(
      {
        key: `margin.${id}`,
        label: 'margin',
        formula: '{margin} from the edge of the piece that lies on top',
        source: '§7',
      },
      { margin: { kind: 'given', label: 'margin', value: inner, quantity: 'length' } },
    ),
    trims: [2, 2],
    through: [sheet, on],
    glue: [{ sheet, chain: uChain(foot), limit: inner + 2 }],
  })

/** A row between two places of a piece. */
export const row = (
  id: string,
  name: string,
  sheet: string,
  points: readonly Point[],
  through: readonly string[],
  back: readonly [number, number] = [2, 2],
) => lineSeam({ id, name, sheet, points, through, back })

/** Rows along the pull at both sides of a piece: none across it, where it would tear. */
export const rowsAlong = (
  id: string,
  name: string,
  sheet: string,
  xs: readonly [number, number],
  ys: readonly [number, number],
  through: readonly string[],
) =>
  xs.map((x, i) =>
    lineSeam({
      id: `${id}-${i + 1}`,
      name: `${name}, row ${i + 1}`,
      sheet,
      points: [point(x, ys[0]), point(x, ys[1])],
      through,
      back: [1, 1],
      free: true,
    }),
  )

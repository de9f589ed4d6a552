import { nth, tupleOf } from '../../lists/index.js'
import { type Move, STAY, flipAboutLevel, moveThen, point } from '../../geometry/index.js'
import { type Bend, type Fold, type PanelSheet, clipAt, clipMoved } from '../../master/index.js'
import { panelSheet } from './sheets.js'

/** One strip of a panel folded up along y: where its flat part begins and ends in the panel's own coordinates, mm. */
export interface Strip {
  readonly name: string
  readonly from: number
  readonly to: number
}

/** A panel whose folds run across it one above the other. Between one strip and the next lies the bend. */
export interface FoldedPanel {
  readonly panelId: string
  readonly name: string
  /** Runs down the panel: the first strip is uppermost. */
  readonly strips: readonly Strip[]
  /** Which strip stays where it is when the others are folded. */
  readonly stays: number
}

/** Heights of the strips one below the other: `flats` long, with `bends` between them, mm. */
export function stripsOf<const Names extends readonly string[]>(
  names: Names,
  flats: { readonly [Name in keyof Names]: number },
  bends: readonly number[],
): { readonly [Name in keyof Names]: Strip } {
  let y = 0
  return tupleOf(names, (name, i) => {
    const from = y
    const to = from + nth(flats, i)
    y = to + (bends[i] ?? 0)
    return { name, from, to }
  })
}

/** From the panel's coordinates to where strip `i` lies when all folds are closed, the strip that stays unmoved. */
export function foldedMove({ strips, stays }: FoldedPanel, i: number): Move {
  const way = i < stays ? 1 : -1
  let move = STAY
  for (let k = i; k !== stays; k += way) {
    const [upper, lower] = [nth(strips, Math.min(k, k + way)), nth(strips, Math.max(k, k + way))]
    move = moveThen(move, flipAboutLevel((upper.to + lower.from) / 2))
  }
  return move
}

/** Whether strip `i` lies turned over. */
export const isTurnedOver = ({ stays }: FoldedPanel, i: number): boolean => Math.abs(i - stays) % 2 === 1

/** The sheet of strip `i` when all folds are closed. `grainUp` is that of the strip that stays. */
export function stripSheet(folded: FoldedPanel, i: number, grainUp: boolean): PanelSheet {
  const { strips, panelId } = folded
  const { name, from, to } = nth(strips, i)
  const move = foldedMove(folded, i)
  const clips = [
    ...(i > 0 ? [clipAt(point(0, from), point(0, 1))] : []),
    ...(i < strips.length - 1 ? [clipAt(point(0, to), point(0, -1))] : []),
  ]
  return panelSheet(
    `${panelId}.${i + 1}`,
    name,
    panelId,
    move,
    grainUp !== isTurnedOver(folded, i),
    clips.map((c) => clipMoved(c, move)),
  )
}

/** The bend between strip `i` and the one below it, as it lies when closed. */
export function stripBend(folded: FoldedPanel, i: number): Bend {
  const move = foldedMove(folded, i)
  const { at, inward } = clipMoved(clipAt(point(0, nth(folded.strips, i).to), point(0, 1)), move)
  return { sheets: [`${folded.panelId}.${i + 1}`, `${folded.panelId}.${i + 2}`], at, outward: inward }
}

/** The folds of such a panel as marks on the piece: each in the middle of its bend. Its grain is outside. */
export const foldsOf = ({ strips }: Pick<FoldedPanel, 'strips'>, left: number, right: number): Fold[] =>
  strips.slice(1).map((strip, i) => {
    const [end, y] = [nth(strips, i).to, (nth(strips, i).to + strip.from) / 2]
    return {
      id: `fold-${i + 1}`,
      name: strips.length === 2 ? 'fold' : `fold ${i + 1}`,
      from: point(left, y),
      to: point(right, y),
      width: strip.from - end,
      rises: 'mountain',
    }
  })

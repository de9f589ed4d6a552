import { nth, required } from '../lists/index.js'
import {
  type Move,
  type Point,
  STAY,
  moveThen,
  pathBox,
  pointAdd,
  pointScale,
  polygon,
  shift,
} from '../geometry/index.js'
import {
  type Bend,
  type Clip,
  type Layup,
  type PanelSheet,
  type Sheet,
  clipAt,
  clipMoved,
} from '../master/index.js'
import { lieOf } from './lies.js'
import { isEnclosed, layersInOrder } from './materials.js'
import type { DrawnMade } from './panel.js'

/** A panel and the layers behind it, from its own side outwards: panel ids, and which lie inside its turned edges. */
interface PileItem {
  readonly panelId: string
  readonly name: string
  readonly enclosed: boolean
  readonly layer: string | undefined
}

function pileOf({ drawn, panel, layers }: DrawnMade): PileItem[] {
  const behind = layersInOrder(drawn).flatMap((layer): PileItem[] => {
    const made = layers.find((l) => l.id === `${drawn.id}-${layer.id}`)
    return made ? [{ panelId: made.id, name: layer.name, enclosed: isEnclosed(layer), layer: layer.id }] : []
  })
  return [{ panelId: panel.id, name: panel.name.toLowerCase(), enclosed: false, layer: undefined }, ...behind]
}

/** The pile as sheets, lowest first: grain side down it lies lowest, grain side up it lies uppermost. */
function sheetsOf(
  made: DrawnMade,
  suffix: string,
  grainUp: boolean,
  place: (layer: string | undefined) => { move: Move; clips: readonly Clip[] },
): PanelSheet[] {
  const pile = pileOf(made)
  const last = pile.findLast((p) => p.enclosed)
  const sheets = pile.map((item): PanelSheet => ({
    type: 'panel',
    id: `${item.panelId}${suffix}`,
    name: item.name,
    panelId: item.panelId,
    grainUp: item.layer === undefined ? grainUp : !grainUp,
    ...(item.layer === undefined && last ? { turnedOver: `${last.panelId}${suffix}` } : {}),
    ...place(item.layer),
  }))
  return grainUp ? sheets.toReversed() : sheets
}

const back = (p: Point): Point => pointScale(p, -1)

/** A strip of a folded panel between neighbouring folds, in the panel's own coordinates. */
interface Strip {
  readonly clips: (room: boolean) => readonly Clip[]
}

function stripsOf({ opened, folds }: DrawnMade): Strip[] {
  const { lines } = opened
  return Array.from({ length: lines.length + 1 }, (_, i) => ({
    clips: (room: boolean) => {
      const half = (k: number): number => (room ? nth(folds, k).bend.value / 2 : 0)
      const [start, end] = [lines[i - 1], lines[i]]
      return [
        ...(start ? [clipAt(pointAdd(start.at, pointScale(start.beyond, half(i - 1))), start.beyond)] : []),
        ...(end ? [clipAt(pointAdd(end.at, pointScale(end.beyond, -half(i))), back(end.beyond))] : []),
      ]
    },
  }))
}

/** How much less than the panel a layer is let out at the folds before a strip: its far strips lie that much farther. */
function layerShift({ folds, opened }: DrawnMade, layer: string | undefined, strip: number): Move {
  if (layer === undefined) return STAY
  return folds.slice(0, strip).reduce((move, f, i) => {
    const less = f.bendCompensation.value - required(f.layers[layer], layer).value
    const { beyond } = nth(opened.lines, i)
    return moveThen(move, shift(beyond.x * less, beyond.y * less))
  }, STAY)
}

/** Folds one after the other along the panel, as they have to be for it to be laid open in strips or folded up. */
export function foldsInOrder({ opened }: DrawnMade): boolean {
  const { lines } = opened
  return lines.every((l, i) => {
    const before = lines[i - 1]
    if (!before) return true
    const parallel = Math.abs(l.beyond.x * before.beyond.y - l.beyond.y * before.beyond.x) < 1e-6
    return parallel && (l.at.x - before.at.x) * l.beyond.x + (l.at.y - before.at.y) * l.beyond.y > 0
  })
}

/** The sheets of one panel laid open where it lies in the work. */
export function openSheets(made: DrawnMade): PanelSheet[] {
  const { grainUp } = made.drawn.lies
  const lie = lieOf(made.drawn)
  if (made.folds.length === 0 || made.layers.length === 0 || !foldsInOrder(made))
    return sheetsOf(made, '', grainUp, () => ({ move: lie, clips: [] }))
  return stripsOf(made).flatMap((strip, i) =>
    sheetsOf(made, i === 0 ? '' : `.${i + 1}`, grainUp, (layer) => ({
      move: moveThen(layerShift(made, layer, i), lie),
      clips: strip.clips(false).map((c) => clipMoved(c, lie)),
    })),
  )
}

/** The flip over a line through `at` square to `beyond`. */
function flipOver(at: Point, { x, y }: Point): Move {
  const d = 2 * (at.x * x + at.y * y)
  return { a: 1 - 2 * x * x, b: -2 * x * y, c: -2 * x * y, d: 1 - 2 * y * y, e: d * x, f: d * y }
}

/**
 * One panel with all its folds closed, lowest sheet first, in the coordinates of its last strip. Strip by strip the pile
 * made so far is turned over onto the next strip, or under it.
 */
export function closedLayup(made: DrawnMade): Layup | undefined {
  if (made.folds.length === 0 || !foldsInOrder(made)) return undefined
  const strips = stripsOf(made)
  const { lines } = made.opened
  const last = strips.length - 1
  // From strip i over all later folds into the frame of the last strip.
  const moves = strips.map((_, i) => {
    let move = STAY
    for (let k = i; k < last; k += 1) move = moveThen(move, flipOver(nth(lines, k).at, nth(lines, k).beyond))
    return move
  })
  let pile: Sheet[] = []
  strips.forEach((strip, i) => {
    const turnedOver = (last - i) % 2 === 1
    const up = made.drawn.lies.grainUp !== turnedOver
    const own = sheetsOf(made, `.${i + 1}`, up, (layer) => {
      const move = moveThen(layerShift(made, layer, i), nth(moves, i))
      return { move, clips: strip.clips(true).map((c) => clipMoved(c, nth(moves, i))) }
    })
    if (i === 0) return void (pile = own)
    // A valley seen from the grain side closes grain to grain: the pile so far goes on the grain side of this strip.
    const fold = nth(made.folds, i - 1).fold
    const onTop = (fold.rises === 'valley') === up
    const contents = contentsOf(
      made,
      i - 1,
      strip.clips(true).map((c) => clipMoved(c, nth(moves, i))),
      nth(moves, i),
    )
    pile = onTop ? [...own, ...contents, ...pile] : [...pile, ...contents, ...own]
  })
  return { id: 'closed', name: 'closed', carrier: made.panel.id, sheets: pile, bends: bendsOf(made, moves) }
}

/** What is laid into a fold, as far as the strip it lies on. */
function contentsOf(made: DrawnMade, i: number, clips: readonly Clip[], move: Move): Sheet[] {
  const { fold } = nth(made.folds, i)
  if (fold.gap <= 0) return []
  const box = pathBox(made.panel.outline)
  const inset = 4
  return [
    {
      type: 'content',
      id: `${made.panel.id}.in-${fold.id}`,
      name: `in the ${fold.name}`,
      move,
      clips,
      thickness: fold.gap,
      outline: polygon([
        { x: box.left + inset, y: box.top + inset },
        { x: box.right - inset, y: box.top + inset },
        { x: box.right - inset, y: box.bottom - inset },
        { x: box.left + inset, y: box.bottom - inset },
      ]),
    },
  ]
}

/** Where the strips run off into each closed fold. */
function bendsOf(made: DrawnMade, moves: readonly Move[]): Bend[] {
  const ids = pileOf(made).map((p) => p.panelId)
  return made.folds.flatMap((f, i) => {
    const { at, beyond } = nth(made.opened.lines, i)
    const edge = clipMoved(clipAt(pointAdd(at, pointScale(beyond, -f.bend.value / 2)), beyond), nth(moves, i))
    return ids.map((id): Bend => ({
      sheets: [`${id}.${i + 1}`, `${id}.${i + 2}`],
      at: edge.at,
      outward: edge.inward,
    }))
  })
}

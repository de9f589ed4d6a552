import { type Added, offeredFor, spotsOf } from '../added/index.js'
import { derive, unworkable } from '../derived/index.js'
import { type Design, applyEdit, putOn, setField } from '../design/index.js'
import { pathData, pieceMarks } from '../drawing/index.js'
import {
  type Box,
  type Move,
  type Point,
  STAY,
  boxCentre,
  boxGrown,
  boxHeight,
  boxOfPoints,
  boxUnion,
  boxWidth,
  moveBack,
  moveThen,
  pathBox,
  pathMoved,
} from '../geometry/index.js'
import type { Piece } from '../reckon/index.js'
import { type Panel, type PanelSheet, edgeChain, liesIn } from '../master/index.js'
import type { Field } from '../settings/index.js'
import type { Hardware } from '../stores/index.js'
import type { Derived } from '../derived/index.js'

/** A piece with something put on it, as it would be cut and marked: what lies on it over its own outline. */
export interface AddedPicture {
  /** What is looked at, mm. */
  readonly box: Box
  readonly host: { readonly d: string; readonly swatch: string }
  readonly laid: readonly { readonly d: string; readonly swatch: string }[]
  readonly strokes: readonly string[]
}

/** So much of the piece is looked at, mm. */
const VIEW = 150
const ROOM = 6
const SHOWN = new Set(['marks', 'openings', 'holes', 'skive', 'cut', 'notches'])

const isSheet = (sheet: { readonly type: string }): sheet is PanelSheet => sheet.type === 'panel'

/** What was put on the panel, in the panel’s own coordinates: outlines, and what is done on each piece of it. */
function laidOn(
  derived: Derived,
  panelId: string,
  id: string,
): { laid: AddedPicture['laid']; strokes: readonly string[]; boxes: readonly Box[] } {
  const states = derived.works.filter(({ layup }) => liesIn(layup, panelId))
  const state = states.find(({ layup }) => layup.alone) ?? states[0]
  const sheets = (state?.layup.sheets ?? []).filter(isSheet)
  const host = sheets.find((s) => s.panelId === panelId)
  const on = sheets.flatMap((s) => {
    const isIts = s.panelId === id || s.panelId.startsWith(`${id}-`)
    const piece = isIts ? derived.pieces.find((p) => p.id === s.panelId) : undefined
    return piece && host ? [{ piece, move: moveThen(s.move, moveBack(host.move)) }] : []
  })
  return {
    laid: on.map(({ piece, move }) => ({
      d: pathData(pathMoved(piece.finished, move)),
      swatch: piece.swatch,
    })),
    strokes: on.flatMap(({ piece, move }) => strokesOf(derived, piece, move)),
    boxes: on.map(({ piece, move }) => pathBox(pathMoved(piece.finished, move))),
  }
}

/** What is cut, punched and thinned of a piece, where it lies. */
function strokesOf({ design }: Derived, piece: Piece, move: Move = STAY): readonly string[] {
  const { name, draft } = design
  const { strokes } = pieceMarks(piece, { job: { name, draft }, unit: 'mm', min: 0 })
  return strokes.flatMap((s) =>
    s.type === 'stroke' && SHOWN.has(s.layer) ? [pathData(pathMoved(s.path, move))] : [],
  )
}

/** Of a part all of it is looked at, so much round it, and at least so much, mm. */
const [AROUND, LEAST] = [8, 40] as const

/** What is looked at: the whole piece where it is small, else so much of it round the place. */
function viewOf(panel: Panel, at: Point): Box {
  const whole = boxGrown(pathBox(panel.outline), ROOM)
  const span = (low: number, high: number, middle: number): [number, number] => {
    if (high - low <= VIEW) return [low, high]
    const from = Math.min(high - VIEW, Math.max(low, middle - VIEW / 3))
    return [from, from + VIEW]
  }
  const [left, right] = span(whole.left, whole.right, at.x)
  const [top, bottom] = span(whole.top, whole.bottom, at.y)
  return { left, right, top, bottom }
}

/** What is looked at of a part on its panel: all that it lays there, or its places. */
function viewOfPart({ panel, part, boxes }: Seen): Box {
  const places = spotsOf(panel, { ...part, both: part.both === 'mirrored' }).map((s) => s.at)
  const whole = boxUnion([...boxes, boxOfPoints(places)])
  const grown = (size: number): number => Math.max(AROUND, (LEAST - size) / 2)
  const [x, y] = [grown(boxWidth(whole)), grown(boxHeight(whole))]
  const { left, right, top, bottom } = whole
  return { left: left - x, right: right + x, top: top - y, bottom: bottom + y }
}

/** What is looked at while it is asked what could be put along an edge. */
function viewAlong({ panel, part }: Seen): Box {
  const on = panel.edges.find((e) => e.id === part.edge) ?? panel.edges[0]
  return viewOf(panel, boxCentre(pathBox(edgeChain(panel, on ? [on.id] : []))))
}

/** A part on its panel, and what it lays there. */
interface Seen {
  readonly panel: Panel
  readonly part: Added
  readonly boxes: readonly Box[]
}

/** The picture of a part on its panel in a design; nothing where nothing can be made of it. */
function drawnWith(design: Design, id: string, view: (seen: Seen) => Box): AddedPicture | undefined {
  const part = design.added[id]
  let picture: AddedPicture | undefined
  const why = unworkable(() => {
    const derived = derive(design)
    const piece = derived.pieces.find((p) => p.id === part?.on)
    if (!part || !piece) return derived
    const { laid, strokes, boxes } = laidOn(derived, part.on, id)
    picture = {
      box: view({ panel: piece.panel, part, boxes }),
      host: { d: pathData(piece.cut), swatch: piece.swatch },
      laid,
      strokes: [...strokesOf(derived, piece), ...strokes],
    }
    return derived
  })
  return why === undefined ? picture : undefined
}

/**
 * A small true drawing of every choice of a setting of a part, by choice: the part on its piece as it would be with it, all at one
 * scale. Empty where none would look otherwise.
 */
export function partPictures(
  design: Design,
  id: string,
  field: Field,
): Readonly<Record<string, AddedPicture>> {
  const choices = field.type === 'choice' ? field.choices : []
  const drawn = choices.flatMap(({ value }): [string, AddedPicture][] => {
    const edited = applyEdit(design, setField(field.label, field.path, value))
    const picture = edited.ok ? drawnWith(edited.design, id, viewOfPart) : undefined
    return picture ? [[value, picture]] : []
  })
  const looks = new Set(drawn.map(([, { laid, strokes }]) => JSON.stringify([laid, strokes])))
  if (looks.size < 2) return {}
  const box = boxUnion(drawn.map(([, picture]) => picture.box))
  return Object.fromEntries(drawn.map(([value, picture]) => [value, { ...picture, box }]))
}

/** What is there already on a piece, in its own coordinates: holes and hardware. */
export function takenOn({ pieces }: Derived, panelId: string): Point[] {
  const piece = pieces.find((p) => p.id === panelId)
  if (!piece) return []
  const marks = piece.marks.flatMap((m) => (m.type === 'set' && m.mark.type !== 'text' ? [m.mark.at] : []))
  return [...piece.holes.map((h) => h.at), ...marks]
}

/** A small true drawing of each thing that can be put on a panel, from the design as it would be with it, by sort. */
export function addedPictures(
  design: Design,
  panelId: string,
  hardware: readonly Hardware[],
  edge?: string,
): Readonly<Record<string, AddedPicture>> {
  const now = derive(design)
  const panel = now.panels.find((p) => p.id === panelId)
  if (!panel) return {}
  const taken = takenOn(now, panelId)
  const drawn = offeredFor(panel).flatMap((sort): [string, AddedPicture][] => {
    const put = putOn(design, sort, panel, { hardware }, { edge, taken })
    const edited = applyEdit(design, put)
    if (!edited.ok) return []
    const id = Object.keys(edited.design.added).find((one) => !Object.hasOwn(design.added, one))
    const picture = id === undefined ? undefined : drawnWith(edited.design, id, viewAlong)
    return picture ? [[sort.id, picture]] : []
  })
  return Object.fromEntries(drawn)
}

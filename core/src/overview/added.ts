import { offeredFor } from '../added/index.js'
import { derive, unworkable } from '../derived/index.js'
import { type Design, applyEdit, putOn } from '../design/index.js'
import { pathData, pieceMarks } from '../drawing/index.js'
import { type Box, type Point, boxGrown, moveBack, moveThen, pathBox, pathMoved } from '../geometry/index.js'
import { type Panel, type PanelSheet, liesIn } from '../master/index.js'
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

/** Outlines of what was put on the panel, in its own coordinates. */
function laidOn(derived: Derived, panelId: string, id: string): AddedPicture['laid'] {
  const states = derived.works.filter(({ layup }) => liesIn(layup, panelId))
  const state = states.find(({ layup }) => layup.alone) ?? states[0]
  const sheets = (state?.layup.sheets ?? []).filter(isSheet)
  const host = sheets.find((s) => s.panelId === panelId)
  if (!host) return []
  return sheets.flatMap((s) => {
    const piece = derived.pieces.find((p) => p.id === s.panelId)
    if (!piece || !s.panelId.startsWith(id)) return []
    const there = moveThen(s.move, moveBack(host.move))
    return [{ d: pathData(pathMoved(piece.finished, there)), swatch: piece.swatch }]
  })
}

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

function pictureOf(
  derived: Derived,
  panelId: string,
  id: string,
  edge: string | undefined,
): AddedPicture | undefined {
  const piece = derived.pieces.find((p) => p.id === panelId)
  if (!piece) return undefined
  const { name, draft } = derived.design
  const { strokes } = pieceMarks(piece, { job: { name, draft }, unit: 'mm', min: 0 })
  const on =
    piece.panel.edges.find((e) => e.id === (edge ?? derived.design.added[id]?.edge)) ?? piece.panel.edges[0]
  const chain = pathBox({
    segments: piece.panel.outline.segments.slice(on?.first ?? 0, (on?.last ?? 0) + 1),
    closed: false,
  })
  return {
    box: viewOf(piece.panel, { x: (chain.left + chain.right) / 2, y: (chain.top + chain.bottom) / 2 }),
    host: { d: pathData(piece.cut), swatch: piece.swatch },
    laid: laidOn(derived, panelId, id),
    strokes: strokes.flatMap((s) => (s.type === 'stroke' && SHOWN.has(s.layer) ? [pathData(s.path)] : [])),
  }
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
    let picture: AddedPicture | undefined
    const id = Object.keys(edited.design.added).find((one) => !Object.hasOwn(design.added, one))
    const why = unworkable(() => {
      const derived = derive(edited.design)
      picture = id === undefined ? undefined : pictureOf(derived, panelId, id, edge)
      return derived
    })
    return why === undefined && picture ? [[sort.id, picture]] : []
  })
  return Object.fromEntries(drawn)
}

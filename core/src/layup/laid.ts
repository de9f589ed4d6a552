import {
  type Box,
  type Move,
  type Path,
  type Point,
  moveBack,
  pathBox,
  pathMoved,
  pointInside,
  pointMoved,
} from '../geometry/index.js'
import { type Band, type Clip, type Layup, type Panel, type Sheet, panelOf } from '../master/index.js'

/** A sheet ready to be asked how thick it is at a place. */
export interface LaidSheet {
  readonly sheet: Sheet
  /** Own coordinates. */
  readonly outline: Path
  readonly bands: readonly Band[]
  readonly thickness: number
  readonly toSheet: Move
  /** Its outline in the coordinates of the laid-up work. */
  readonly placed: Path
  readonly box: Box
}

/** The work in one state, lowest sheet first. */
export interface LaidUp {
  readonly layup: Layup
  readonly sheets: readonly LaidSheet[]
}

/** One sheet's share of the thickness at a place. */
export interface Layer {
  readonly laid: LaidSheet
  readonly thickness: number
}

/** Thickness of each role's leather, mm. */
export type Thicknesses = Readonly<Record<string, number>>

export function layUp(layup: Layup, panels: readonly Panel[], thicknesses: Thicknesses): LaidUp {
  const lay = (sheet: Sheet): LaidSheet => {
    const panel = sheet.type === 'panel' ? panelOf(panels, sheet.panelId) : undefined
    const outline = sheet.type === 'panel' ? panel!.outline : sheet.outline
    const placed = pathMoved(outline, sheet.move)
    return {
      sheet,
      outline,
      placed,
      bands: panel?.bands ?? [],
      thickness: sheet.type === 'content' ? sheet.thickness : (thicknesses[panel!.role] ?? 0),
      toSheet: moveBack(sheet.move),
      box: pathBox(placed),
    }
  }
  return { layup, sheets: layup.sheets.map(lay) }
}

const insideClip = (p: Point, { at, inward }: Clip): boolean =>
  (p.x - at.x) * inward.x + (p.y - at.y) * inward.y > 0

/** What a band leaves at a place of its panel, or more than any leather where it does not reach. */
function bandLevel(band: Band, local: Point): number {
  if (!band.planned) return Infinity
  for (const { outline, from, to } of band.areas) {
    if (!pointInside(local, outline)) continue
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const along = ((local.x - from.x) * dx + (local.y - from.y) * dy) / (dx * dx + dy * dy)
    return band.start + (band.end - band.start) * Math.min(1, Math.max(0, along))
  }
  return Infinity
}

/** Thickness of one sheet at a place of the laid-up work, mm; 0 where it does not lie there. */
export function sheetThickness(laid: LaidSheet, p: Point): number {
  const { box, sheet } = laid
  if (p.x < box.left || p.x > box.right || p.y < box.top || p.y > box.bottom) return 0
  if (!sheet.clips.every((clip) => insideClip(p, clip))) return 0
  const local = pointMoved(p, laid.toSheet)
  if (!pointInside(local, laid.outline)) return 0
  let least = laid.thickness
  for (const band of laid.bands) least = Math.min(least, bandLevel(band, local))
  return least
}

/** The layers at a place, lowest first. Contents lie in it only where asked for. */
export function layersAt(work: LaidUp, p: Point, contents = false): readonly Layer[] {
  const layers: Layer[] = []
  for (const laid of work.sheets) {
    if (laid.sheet.type === 'content' && !contents) continue
    const thickness = sheetThickness(laid, p)
    if (thickness > 0) layers.push({ laid, thickness })
  }
  return layers
}

/** Total thickness at a place, mm. */
export const thicknessAt = (work: LaidUp, p: Point, contents = false): number =>
  layersAt(work, p, contents).reduce((sum, layer) => sum + layer.thickness, 0)

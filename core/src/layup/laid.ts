import {
  type Box,
  type Move,
  type Path,
  type Point,
  moveBack,
  pathBox,
  pathMoved,
  placeInside,
  pointInside,
  pointMoved,
} from '../geometry/index.js'
import { type EdgeProfile, type EdgeWork, profileDistance, profileLevel } from '../edges/index.js'
import { type Band, type Layup, type Sheet, clipHas } from '../master/index.js'
import { required } from '../lists/index.js'

/** A sheet ready to be asked how thick it is at a place. */
export interface LaidSheet {
  readonly sheet: Sheet
  /** The panel itself, or the border of it that is turned over and lies as a layer of its own. */
  readonly part: 'whole' | 'turn'
  /** Own coordinates. */
  readonly outline: Path
  readonly bands: readonly Band[]
  /** Thinned by the distance from edges. */
  readonly profiles: readonly EdgeProfile[]
  readonly thickness: number
  readonly toSheet: Move
  /** Its outline in the coordinates of the laid-up work. */
  readonly placed: Path
  readonly box: Box
  readonly work: EdgeWork | undefined
}

/** The work in one state, lowest sheet first. */
export interface LaidUp {
  readonly layup: Layup
  readonly sheets: readonly LaidSheet[]
}

/** A whole sheet in the first state that it lies in: some lie only in the closed work, or on a piece by itself. */
export function sheetIn(
  works: readonly LaidUp[],
  id: string,
): { readonly work: LaidUp; readonly laid: LaidSheet } | undefined {
  for (const work of works) {
    const laid = work.sheets.find((s) => s.part === 'whole' && s.sheet.id === id)
    if (laid) return { work, laid }
  }
  return undefined
}

/** One sheet's share of the thickness at a place. */
export interface Layer {
  readonly laid: LaidSheet
  readonly thickness: number
}

/** Every sheet of a state, in order, with the turned edges of its panels as layers where they come to lie. */
export function layUp(layup: Layup, works: readonly EdgeWork[]): LaidUp {
  const whole = (sheet: Sheet): LaidSheet => {
    const work = sheet.type === 'panel' ? workFor(works, sheet.panelId) : undefined
    const outline =
      sheet.type === 'panel' ? (sheet.formed ?? required(work, 'work').panel.outline) : sheet.outline
    const placed = pathMoved(outline, sheet.move)
    return {
      sheet,
      part: 'whole',
      outline,
      placed,
      work,
      bands: work?.panel.bands ?? [],
      profiles: work ? [...work.turned.map((t) => t.body), ...work.skived] : [],
      thickness: sheet.type === 'content' ? sheet.thickness : (required(work, 'work').stock?.thickness ?? 0),
      toSheet: moveBack(sheet.move),
      box: pathBox(placed),
    }
  }
  const laid = layup.sheets.map(whole)
  return { layup, sheets: laid.reduce(withTurn, laid) }
}

/** The panel's edges, worked out; throws where nobody did. */
function workFor(works: readonly EdgeWork[], panelId: string): EdgeWork {
  const work = works.find((w) => w.panel.id === panelId)
  if (!work) throw new RangeError(`no panel “${panelId}”`)
  return work
}

/** The turned border lies on the flesh side, over whatever it encloses. */
function withTurn(sheets: readonly LaidSheet[], laid: LaidSheet): readonly LaidSheet[] {
  if (laid.sheet.type !== 'panel' || !laid.work || laid.work.turned.length === 0) return sheets
  const { turnedOver, grainUp } = laid.sheet
  const last = sheets.findIndex((s) => s.part === 'whole' && s.sheet.id === (turnedOver ?? laid.sheet.id))
  const turn: LaidSheet = { ...laid, part: 'turn', bands: [], profiles: laid.work.turned.map((t) => t.flap) }
  return sheets.toSpliced(grainUp ? last : last + 1, 0, turn)
}

/** What a band leaves at a place of its panel, or more than any leather where it does not reach. */
function bandLevel(band: Band, local: Point): number {
  for (const { outline, from, to } of band.areas) {
    if (!pointInside(local, outline)) continue
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const along = ((local.x - from.x) * dx + (local.y - from.y) * dy) / (dx * dx + dy * dy)
    return band.start + (band.end - band.start) * Math.min(1, Math.max(0, along))
  }
  return Infinity
}

/** Whether the sheet lies at a place of the laid-up work. Asked for every layer at every hole: it makes no objects. */
function liesAt({ box, sheet, toSheet, outline }: LaidSheet, { x, y }: Point): boolean {
  if (x < box.left || x > box.right || y < box.top || y > box.bottom) return false
  for (const clip of sheet.clips) if (!clipHas(clip, x, y)) return false
  const { a, b, c, d, e, f } = toSheet
  return placeInside(a * x + c * y + e, b * x + d * y + f, outline)
}

/** Thickness of one sheet at a place of the laid-up work, mm; 0 where it does not lie there. Grooves count as leather. */
export function sheetThickness(laid: LaidSheet, p: Point): number {
  if (!liesAt(laid, p)) return 0
  if (laid.profiles.length === 0 && laid.bands.length === 0) return laid.part === 'turn' ? 0 : laid.thickness
  const local = pointMoved(p, laid.toSheet)
  let min = laid.part === 'turn' ? 0 : laid.thickness
  for (const profile of laid.profiles) {
    const distance = profileDistance(profile, local)
    if (distance === Infinity) continue
    const level = profileLevel(profile, distance)
    min = laid.part === 'turn' ? Math.max(min, level) : Math.min(min, level)
  }
  for (const band of laid.bands) if (band.planned && !band.hollow) min = Math.min(min, bandLevel(band, local))
  return min
}

/** How deep a groove is cut into the flesh side of a sheet at a place, mm. */
export function grooveDepth(laid: LaidSheet, p: Point): number {
  const hollow = laid.bands.filter((band) => band.hollow)
  if (hollow.length === 0 || !liesAt(laid, p)) return 0
  const local = pointMoved(p, laid.toSheet)
  return Math.max(0, ...hollow.map((band) => laid.thickness - bandLevel(band, local)))
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

/** The laid-up work in the state of that id; throws where the design has none. */
export function laidUpOf(works: readonly LaidUp[], id: string): LaidUp {
  const work = works.find((w) => w.layup.id === id)
  if (!work) throw new RangeError(`no state “${id}” of the work`)
  return work
}

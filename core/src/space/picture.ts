import {
  type Path,
  type Point,
  type Point3,
  offsetSidesMaybe,
  pointMoved,
  point3Along,
  point3Dot,
  point3Subtract,
  point3Unit,
} from '../geometry/index.js'
import { type LaidUp, sheetThickness } from '../layup/index.js'
import { type InsideThing, type Master, type Panel, clipMoved } from '../master/index.js'
import type { SetFitting } from '../fittings/index.js'
import type { Run } from '../stitch/index.js'
import type { HardwareSort } from '../stores/index.js'
import { fittingsInWork, runsInWork } from './byItself.js'
import { type Mesh, meshOf } from './mesh.js'
import { SHADE, edgeShadeOf } from './shade.js'
import { type OnStage, onStage } from './stage.js'
import { placeInSpace } from './place.js'
import { type PictureThing, thingMesh } from './things.js'
import { required } from '../lists/index.js'

/** A piece of leather in the picture. */
export interface PictureSheet {
  readonly id: string
  readonly name: string
  readonly panelId: string
  readonly swatch: string
  readonly group: 'straps' | undefined
  readonly mesh: Mesh
}

/** Hardware in the picture: where its middle is, out of the leather, and which way is up on it. */
export interface PictureHardware {
  readonly id: string
  readonly sort: HardwareSort
  readonly at: Point3
  readonly out: Point3
  readonly up: Point3
  readonly across: number
  readonly high: number
  readonly bar: number
}

/** The finished thing in space: leather, thread and hardware. Lengths mm. */
export interface Picture {
  readonly sheets: readonly PictureSheet[]
  readonly hardware: readonly PictureHardware[]
  /** Stitches as pairs of places, three numbers each; those of seams that end up inside are left out. */
  readonly stitches: Float32Array
  readonly strapStitches: Float32Array
  /** What is carried, where it was asked for. */
  readonly things: readonly PictureThing[]
}

/** What shows of a panel once it is sewn: less what ends up inside. */
export function shownOutline(panel: Panel): Path {
  const distances = panel.outline.segments.map((_, i) => {
    const fate = panel.edges.find((e) => i >= e.first && i <= e.last)?.fate
    return fate?.type === 'sewn' && fate.inside ? -fate.margin : 0
  })
  if (distances.every((d) => d === 0)) return panel.outline
  return offsetSidesMaybe(panel.outline, distances)?.path ?? panel.outline
}

const isInside = (run: Run, panels: readonly Panel[], stage: readonly OnStage[]): boolean => {
  const { course } = run.join
  const on = stage.find((s) => s.laid.sheet.id === course.sheet)?.laid.sheet
  const panel = on?.type === 'panel' ? panels.find((p) => p.id === on.panelId) : undefined
  if (course.type !== 'edges' || !panel) return false
  const edge = panel.edges.find((e) => e.id === course.chain[0])
  return edge?.fate.type === 'sewn' && edge.fate.inside === true
}

/** A sheet of leather in space: its mesh, and how it looks. */
function pictureSheet(one: OnStage, stage: readonly OnStage[]): PictureSheet {
  const { laid, toHost } = one
  const { sheet } = laid
  const { panel, stock } = required(laid.work, 'edges of the sheet')
  const host = stage.find((s) => s.parts === one.parts && !s.rides)
  const toWork = host ? host.laid.sheet.move : undefined
  const over = (p: Point): number => sheetThickness(laid, toWork ? pointMoved(p, toWork) : p)
  return {
    id: sheet.id,
    name: sheet.name,
    panelId: sheet.type === 'panel' ? sheet.panelId : '',
    swatch: stock?.swatch ?? '#ffffff',
    group: one.group,
    mesh: meshOf(one.parts, {
      outline: sheet.type === 'panel' && sheet.formed ? sheet.formed : shownOutline(panel),
      move: toHost,
      clips: sheet.clips.map((c) => (host ? clipMoved(c, host.laid.toSheet) : c)),
      thickness: one.rides ? (p) => Math.max(THINNEST, over(p) || laid.thickness) : () => laid.thickness,
      off: one.off,
      edge: edgeShadeOf(panel),
      follows: one.rides,
    }),
  }
}

/** Nothing is drawn thinner, mm. */
const THINNEST = 0.1

/** Stitches that are seen: the work's own, and those of its straps, which hang by themselves. */
function stitchesOf(
  runs: readonly Run[],
  panels: readonly Panel[],
  stage: readonly OnStage[],
): Pick<Picture, 'stitches' | 'strapStitches'> {
  const [own, straps] = [[] as number[], [] as number[]]
  for (const run of runs) {
    if (run.join.decor !== true && isInside(run, panels, stage)) continue
    const { sheet } = run.join.course
    for (const copy of copiesOf(stage, sheet))
      sewn(run, copy, copy.some((s) => s.group === 'straps' && s.laid.sheet.id === sheet) ? straps : own)
  }
  return { stitches: new Float32Array(own), strapStitches: new Float32Array(straps) }
}

/**
 * The picture of a work, shut (0) to open (1). `panels` and `runs` as they were reckoned, `open` laid out. With `inside`
 * what is carried is in it: that, what the kind knows to stand there, and what lies between the sheets of flat work.
 */
export function pictureOf(
  {
    master,
    panels,
    runs,
    fittings,
    works,
  }: {
    master: Master
    panels: readonly Panel[]
    runs: readonly Run[]
    fittings: readonly SetFitting[]
    works: readonly LaidUp[]
  },
  open: LaidUp,
  opened: number,
  inside?: readonly InsideThing[],
): Picture {
  const stage = onStage(master, open, opened, inside !== undefined)
  const stood = (): PictureThing[] =>
    [...(master.standing?.(opened).inside ?? []), ...(inside ?? [])].map((thing) => ({
      name: thing.name,
      mesh: thingMesh(thing),
    }))
  return {
    sheets: stage.filter((s) => s.laid.work).map((one) => pictureSheet(one, stage)),
    hardware: fittingsInWork(fittings, works, open).flatMap((f) =>
      copiesOf(stage, f.fitting.sheet).flatMap((copy) => hardwareIn(f, copy)),
    ),
    ...stitchesOf(runsInWork(runs, works, open), panels, stage),
    things: inside ? [...stage.filter((s) => !s.laid.work).map(laidIn), ...stood()] : [],
  }
}

/** It is drawn so much off the leather on either side, so that it does not show through its faces, mm. */
const CLEAR = 0.15

/** Something that lies between the sheets of flat work. */
const laidIn = ({ laid, parts, toHost, off }: OnStage): PictureThing => ({
  name: laid.sheet.name,
  mesh: meshOf(parts, {
    outline: laid.outline,
    move: toHost,
    clips: laid.sheet.clips,
    thickness: () => Math.max(laid.thickness / 2, laid.thickness - 2 * CLEAR),
    off,
    edge: () => SHADE.flesh,
    follows: true,
  }),
})

/** A panel cut more than once may stand in several places: the stage with each of its copies alone, and with it that of whatever stands as often. */
function copiesOf(stage: readonly OnStage[], sheet: string): readonly (readonly OnStage[])[] {
  const seen = new Map<string, number>()
  const numbered = stage.map((on) => {
    const { id } = on.laid.sheet
    const copy = seen.get(id) ?? 0
    seen.set(id, copy + 1)
    return { on, copy }
  })
  const count = seen.get(sheet) ?? 0
  if (count <= 1) return [stage]
  return Array.from({ length: count }, (_, i) =>
    numbered.flatMap(({ on, copy }) => (seen.get(on.laid.sheet.id) !== count || copy === i ? [on] : [])),
  )
}

/** Hardware on the outermost leather of what it is set on; the lower half of a closure too. */
function hardwareIn({ fitting, hardware }: SetFitting, stage: readonly OnStage[]): PictureHardware[] {
  if (hardware.sort === 'zip') return []
  const on = stage.find((s) => s.laid.sheet.id === fitting.sheet)
  if (!on) return []
  const p = pointMoved(fitting.at, on.toHost)
  const over = stage.filter(
    (s) => s.parts === on.parts && fitting.through.some((t) => t.sheet === s.laid.sheet.id),
  )
  const level = Math.max(...[on, ...over].map((s) => s.off(p) + s.laid.thickness / 2))
  const { at, grain } = placeInSpace(on.parts, p, level)
  const ahead = placeInSpace(
    on.parts,
    pointMoved(
      { x: fitting.at.x + 0.5 * Math.cos(fitting.up), y: fitting.at.y + 0.5 * Math.sin(fitting.up) },
      on.toHost,
    ),
    level,
  )
  const { id } = fitting
  const { sort, across, high, bar } = hardware
  const up = point3Unit(point3Subtract(ahead.at, at))
  // Where leather goes round its bar it hangs in the bend: on past it, and flat as the leather on either side.
  const hangs = fitting.held === true && point3Dot(grain, ahead.grain) < BENT
  return hangs
    ? [
        {
          ...{ id, sort, across, high, bar },
          at: point3Along(at, grain, across / 2 - on.laid.thickness),
          out: up,
          up: grain,
        },
      ]
    : [{ id, sort, at, out: grain, up, across, high, bar }]
}

/** Leather that turns further than this within half a millimetre goes round a bar: the cosine. */
const BENT = 1 - 5e-4

/** Thread lies this far off the leather so that it shows, mm. */
const PROUD = 0.25

/** Stitches on both faces of what a run holds; of a piece that stands by itself on its own. */
function sewn(run: Run, stage: readonly OnStage[], into: number[]): void {
  const names = new Set(run.holes.flatMap((h) => h.sheets))
  const stands = new Set(stage.filter((s) => names.has(s.laid.sheet.id)).map((s) => s.parts))
  for (const parts of stands)
    sewnOn(
      run,
      stage.filter((s) => s.parts === parts),
      into,
    )
}

function sewnOn(run: Run, stage: readonly OnStage[], into: number[]): void {
  const places = run.holes.map(({ at, sheets }) => {
    const held = stage.filter((s) => sheets.includes(s.laid.sheet.id))
    const [first] = held
    if (!first) return undefined
    const host = stage.find((s) => !s.rides)
    const p: Point = host ? pointMoved(at, host.laid.toSheet) : at
    const levels = held.map(
      (s) => [s.off(p) - s.laid.thickness / 2, s.off(p) + s.laid.thickness / 2] as const,
    )
    const { at: place, grain } = placeInSpace(first.parts, p)
    return {
      above: point3Along(place, grain, Math.max(...levels.map((l) => l[1])) + PROUD),
      below: point3Along(place, grain, Math.min(...levels.map((l) => l[0])) - PROUD),
    }
  })
  const stitch = (a: Point3, b: Point3): void => {
    // A stitch sinks into its holes: a little of it shows at neither end.
    const at = (t: number): Point3 => ({
      x: a.x + (b.x - a.x) * t,
      y: a.y + (b.y - a.y) * t,
      z: a.z + (b.z - a.z) * t,
    })
    const [from, to] = [at(0.12), at(0.88)]
    into.push(from.x, from.y, from.z, to.x, to.y, to.z)
  }
  places.slice(1).forEach((place, i) => {
    const before = places[i]
    if (!place || !before) return
    stitch(before.above, place.above)
    stitch(before.below, place.below)
  })
}

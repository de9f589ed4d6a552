import { DxfWriter, LWPolylineFlags, type SplineArgs_t, Units, point2d, point3d } from '@tarikjabiri/dxf'
import type { Derived } from '../../derive.js'
import { type Drawn, drawnMoved, pieceDrawing, pieceOutline } from '../../drawing/index.js'
import type { Path, Segment } from '../../geometry/index.js'
import type { LengthUnit } from '../../measure/index.js'
import { arrangeInRows } from '../../reckon/index.js'

/** Round the sheet and between pieces, mm. */
const GAP = 14
const WIDE = 420
/** Colours by number, so that a cutter can be told what to do with each layer. */
const COLOURS: Readonly<Record<string, number>> = {
  cut: 7,
  holes: 1,
  fold: 5,
  'fold-to': 4,
  finished: 8,
  notches: 3,
  marks: 6,
  skive: 9,
  label: 8,
  grain: 8,
  glue: 9,
}

/** Tangent of a quarter of the angle; y is turned to grow upwards, so the sense turns with it. */
const bulgeOf = (s: Segment): number => (s.type === 'arc' ? -Math.tan(s.sweep / 4) : 0)

/** Neighbouring segments of one sort: lines and arcs together, curves together. */
function runsOf(path: Path): Segment[][] {
  const runs: Segment[][] = []
  for (const s of path.segments) {
    const last = runs[runs.length - 1]
    if (last && (last[0]!.type === 'cubic') === (s.type === 'cubic')) last.push(s)
    else runs.push([s])
  }
  return runs
}

function addPath(dxf: DxfWriter, path: Path, layerName: string): void {
  const runs = runsOf(path)
  for (const run of runs) {
    if (run[0]!.type === 'cubic') {
      dxf.addSpline(splineArgs(run as (Segment & { type: 'cubic' })[]), { layerName })
      continue
    }
    const whole = path.closed && runs.length === 1
    const vertices = run.map((s) => ({ point: point2d(s.from.x, -s.from.y), bulge: bulgeOf(s) }))
    const last = run[run.length - 1]!.to
    dxf.addLWPolyline(whole ? vertices : [...vertices, { point: point2d(last.x, -last.y) }], {
      layerName,
      flags: whole ? LWPolylineFlags.Closed : LWPolylineFlags.None,
    })
  }
}

/** Curves that follow each other as one spline whose knots stand as often as its degree where they meet. */
function splineArgs(run: readonly (Segment & { type: 'cubic' })[]): SplineArgs_t {
  const at = (p: { x: number; y: number }) => point3d(p.x, -p.y, 0)
  const inner = run.slice(1).flatMap((_, i) => [i + 1, i + 1, i + 1])
  return {
    degreeCurve: 3,
    controlPoints: [at(run[0]!.from), ...run.flatMap((s) => [at(s.c1), at(s.c2), at(s.to)])],
    knots: [0, 0, 0, 0, ...inner, run.length, run.length, run.length, run.length],
  }
}

function addDrawn(dxf: DxfWriter, drawn: Drawn): void {
  if (drawn.type === 'stroke') return addPath(dxf, drawn.path, drawn.layer)
  if (drawn.type === 'text')
    dxf.addText(point3d(drawn.at.x, -drawn.at.y, 0), drawn.size, drawn.text, {
      layerName: drawn.layer,
      rotation: (-drawn.angle * 180) / Math.PI,
    })
}

/**
 * All pieces at 1:1 as DXF in mm, a layer for each sort of line: lines and arcs as polylines with bulges, curves as
 * splines. The dots of glue areas are left out: nobody cuts them.
 */
export function writeDxf(derived: Derived, unit: LengthUnit = 'mm'): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  const { placed } = arrangeInRows(derived.pieces, pieceOutline, WIDE, GAP)
  const all = placed.flatMap(({ item, move }) =>
    pieceDrawing(item, derived.design, unit).map((d) => drawnMoved(d, move)),
  )
  for (const layer of new Set(all.map((d) => d.layer))) dxf.addLayer(layer, COLOURS[layer] ?? 7, 'Continuous')
  for (const drawn of all) addDrawn(dxf, drawn)
  return dxf.stringify()
}

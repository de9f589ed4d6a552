import { firstOf, lastOf, required } from '../../lists/index.js'
import {
  DxfWriter,
  LWPolylineFlags,
  type SplineArgs_t,
  SplineFlags,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units as DxfUnits,
  point2d,
  point3d,
} from '@tarikjabiri/dxf'
import type { Derived } from '../../derived/index.js'
import { type Drawn, laidOut } from '../../drawing/index.js'
import {
  type Arc,
  type Cubic,
  type Path,
  type Segment,
  arcRadius,
  cubic,
  pathBox,
  segmentPart,
} from '../../geometry/index.js'
import { type Units, oneLine } from '../../measure/index.js'

/** The remark every DXF of ours begins with (group 999). */
const MARK = '999\nDrumlin\n'
/** Whether a DXF was written here. */
export const isOurDxf = (bytes: Uint8Array): boolean =>
  /^\s*999\r?\nDrumlin/.test(new TextDecoder().decode(bytes.subarray(0, 400)))

/** How a layer shows: a colour by number, so that a cutter can be told what to do with it, and a type of line. */
interface LayerLook {
  readonly colour: number
  readonly line: keyof typeof LINES
}
/** Dashes and gaps, mm. */
const LINES = {
  Continuous: [],
  DRUMLIN_FOLD: [7, -2.2],
  DRUMLIN_SEWN: [2, -1.2],
  DRUMLIN_SKIVE: [0.8, -0.8],
} as const
const LOOKS: Readonly<Record<string, LayerLook>> = {
  cut: { colour: 7, line: 'Continuous' },
  snips: { colour: 2, line: 'Continuous' },
  holes: { colour: 1, line: 'Continuous' },
  sewn: { colour: 1, line: 'DRUMLIN_SEWN' },
  fold: { colour: 5, line: 'DRUMLIN_FOLD' },
  'fold-to': { colour: 4, line: 'Continuous' },
  finished: { colour: 8, line: 'Continuous' },
  notches: { colour: 3, line: 'Continuous' },
  marks: { colour: 6, line: 'Continuous' },
  skive: { colour: 9, line: 'DRUMLIN_SKIVE' },
  grain: { colour: 8, line: 'Continuous' },
  label: { colour: 8, line: 'Continuous' },
  notes: { colour: 8, line: 'Continuous' },
  hide: { colour: 7, line: 'Continuous' },
  backbone: { colour: 3, line: 'DRUMLIN_FOLD' },
  zones: { colour: 9, line: 'DRUMLIN_SKIVE' },
  flaws: { colour: 1, line: 'Continuous' },
}

/**
 * The layer something is written on: words apart from lines, cuts into an allowance apart from outlines, and lines a
 * machine sews apart from holes.
 */
function layerOf(drawn: Drawn, outlines: ReadonlySet<Path>): string {
  if (drawn.type === 'text') return drawn.layer === 'label' ? 'label' : 'notes'
  if (drawn.type === 'stroke' && drawn.layer === 'cut') return outlines.has(drawn.path) ? 'cut' : 'snips'
  if (drawn.type === 'stroke' && drawn.layer === 'holes') return drawn.dash ? 'sewn' : 'holes'
  return drawn.layer
}

/** Tangent of a quarter of the angle; y is turned to grow upwards, so the sense turns with it. */
const bulgeOf = (s: Segment): number => (s.type === 'arc' ? -Math.tan(s.sweep / 4) : 0)

/** A segment as cubics: arcs by eighths of a turn, within a four-millionth of their radius. */
function asCubics(s: Segment): Cubic[] {
  if (s.type === 'cubic') return [s]
  if (s.type === 'line') {
    const at = (t: number) => ({
      x: s.from.x + (s.to.x - s.from.x) * t,
      y: s.from.y + (s.to.y - s.from.y) * t,
    })
    return [cubic(s.from, at(1 / 3), at(2 / 3), s.to)]
  }
  const count = Math.max(1, Math.ceil(Math.abs(s.sweep) / (Math.PI / 4) - 1e-9))
  return Array.from({ length: count }, (_, i) => eighth(segmentPart(s, i / count, (i + 1) / count) as Arc))
}

function eighth({ from, to, centre, sweep, type }: Arc): Cubic {
  const handle = (4 / 3) * Math.tan(sweep / 4)
  const aside = (p: { x: number; y: number }, way: number) => ({
    x: p.x - way * handle * (p.y - centre.y),
    y: p.y + way * handle * (p.x - centre.x),
  })
  return arcRadius({ from, to, centre, sweep, type }) === 0
    ? cubic(from, from, to, to)
    : cubic(from, aside(from, 1), aside(to, -1), to)
}

/** Lines and arcs are one polyline with bulges; where curves are among them, all of it is one spline: an outline stays one closed thing. */
function addPath(dxf: DxfWriter, path: Path, layerName: string): void {
  if (path.segments.some((s) => s.type === 'cubic')) {
    dxf.addSpline(splineArgs(path.segments.flatMap(asCubics), path.closed), { layerName })
    return
  }
  const vertices = path.segments.map((s) => ({ point: point2d(s.from.x, -s.from.y), bulge: bulgeOf(s) }))
  const last = lastOf(path.segments).to
  dxf.addLWPolyline(path.closed ? vertices : [...vertices, { point: point2d(last.x, -last.y) }], {
    layerName,
    flags: path.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None,
  })
}

/** Curves that follow each other as one spline whose knots stand as often as its degree where they meet. */
function splineArgs(run: readonly Cubic[], closed: boolean): SplineArgs_t {
  const at = (p: { x: number; y: number }) => point3d(p.x, -p.y, 0)
  const inner = run.slice(1).flatMap((_, i) => [i + 1, i + 1, i + 1])
  return {
    degreeCurve: 3,
    controlPoints: [at(firstOf(run).from), ...run.flatMap((s) => [at(s.c1), at(s.c2), at(s.to)])],
    knots: [0, 0, 0, 0, ...inner, run.length, run.length, run.length, run.length],
    ...(closed ? { flags: (SplineFlags.Closed | SplineFlags.Planar) as SplineFlags } : {}),
  }
}

/** Type is as tall as its capitals here: so large a share of its height they are in ours. */
const CAPITALS = 0.668
const ALIGNED = {
  start: TextHorizontalAlignment.Left,
  middle: TextHorizontalAlignment.Center,
  end: TextHorizontalAlignment.Right,
} as const

/** Words as DXF shows them: one line, and no sign of it that would steer the one that reads (%% and ^). */
const plainWords = (words: string): string => oneLine(words).replaceAll('%%', '% %').replaceAll('^', '^ ')

function addWords(dxf: DxfWriter, drawn: Drawn & { type: 'text' }, layerName: string): void {
  const at = point3d(drawn.at.x, -drawn.at.y, 0)
  dxf.addText(at, drawn.size * CAPITALS, plainWords(drawn.text), {
    layerName,
    rotation: (-drawn.angle * 180) / Math.PI,
    horizontalAlignment: ALIGNED[drawn.anchor],
    verticalAlignment: TextVerticalAlignment.BaseLine,
    secondAlignmentPoint: at,
  })
}

/**
 * All pieces at 1:1 as DXF in mm, a layer for each sort of line: outlines as one closed polyline or spline each. The
 * dots of glue areas are left out: nobody cuts them.
 */
export function writeDxf(derived: Derived, unit: Units = 'mm'): string {
  const { pieces } = laidOut(derived.pieces, derived.design, unit, 0)
  return dxfOf(
    pieces.flatMap(({ drawn }) => drawn),
    outlinesOf(pieces),
  )
}

/** Strokes and words as DXF in mm, each on its layer; what is cut all round is told apart by `outlines`. */
export function dxfOf(drawing: readonly Drawn[], outlines: ReadonlySet<Path>): string {
  const dxf = new DxfWriter()
  dxf.setUnits(DxfUnits.Millimeters)
  const all = drawing.filter((d) => d.type !== 'dots')
  const layers = new Set(all.map((d) => layerOf(d, outlines)))
  for (const [name, elements] of Object.entries(LINES))
    if (elements.length > 0) dxf.tables.addLType(name, name, [...elements])
  for (const layer of layers) {
    const { colour, line } = LOOKS[layer] ?? required(LOOKS.cut, 'cut')
    dxf.addLayer(layer, colour, line)
  }
  for (const drawn of all) {
    const layer = layerOf(drawn, outlines)
    if (drawn.type === 'text') addWords(dxf, drawn, layer)
    else if (drawn.type === 'stroke') addPath(dxf, drawn.path, layer)
  }
  // What made it stands first, so that it is known again; readers pass over comments.
  return `${MARK}${dxf.stringify()}`
}

/** Of every piece the one cut line that goes round it: the largest closed one. */
function outlinesOf(pieces: readonly { readonly drawn: readonly Drawn[] }[]): ReadonlySet<Path> {
  const span = (path: Path): number => {
    const { left, top, right, bottom } = pathBox(path)
    return (right - left) * (bottom - top)
  }
  return new Set(
    pieces.flatMap(({ drawn }) => {
      const rings = drawn.flatMap((d) =>
        d.type === 'stroke' && d.layer === 'cut' && d.path.closed ? [d.path] : [],
      )
      return rings.length > 0 ? [rings.reduce((a, b) => (span(b) > span(a) ? b : a))] : []
    }),
  )
}

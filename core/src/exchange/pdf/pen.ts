import { tupleOf } from '../../lists/index.js'
import {
  LineCapStyle,
  type PDFOperator,
  type PDFPage,
  appendBezierCurve,
  clip,
  closePath,
  concatTransformationMatrix,
  degrees,
  endPath,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setDashPattern,
  setLineCap,
  setLineWidth,
  setStrokingColor,
  stroke as strokePath,
} from 'pdf-lib'
import { type Drawn, INKS, wordInk } from '../../drawing/index.js'
import { roundTo } from '../../measure/index.js'
import { NO_ERROR, type PrinterError } from '../paper/index.js'
import type { Fonts } from './fonts.js'
import {
  type Arc,
  type Path,
  type Point,
  type Segment,
  arcRadius,
  arcStart,
  circlePoint,
} from '../../geometry/index.js'

/** Points in a millimetre: 72 to the inch of 25.4 mm. */
export const PT = 72 / 25.4

/** Coordinates are written to 0.0001 mm, so that two machines whose last digits differ write the same bytes. */
const r = (mm: number): number => roundTo(mm, 4) + 0
/** Sizes of type and places of words, to 0.001 point. */
const rp = (points: number): number => roundTo(points, 3) + 0

const moveOperator = (p: Point): PDFOperator => moveTo(r(p.x), r(p.y))
const lineOperator = (p: Point): PDFOperator => lineTo(r(p.x), r(p.y))
const curveOperator = (c1: Point, c2: Point, to: Point): PDFOperator =>
  appendBezierCurve(r(c1.x), r(c1.y), r(c2.x), r(c2.y), r(to.x), r(to.y))

const colours = new Map<string, ReturnType<typeof rgb>>()
function colour(hex: string): ReturnType<typeof rgb> {
  const known = colours.get(hex)
  if (known) return known
  const [red, green, blue] = tupleOf([1, 3, 5], (i) => roundTo(parseInt(hex.slice(i, i + 2), 16) / 255, 4))
  const made = rgb(red, green, blue)
  colours.set(hex, made)
  return made
}

/** PDF has no arcs: cubics over at most a quarter turn lie within 0.03 % of the radius. */
function arcOperators(a: Arc): PDFOperator[] {
  const parts = Math.max(1, Math.ceil(Math.abs(a.sweep) / (Math.PI / 2) - 1e-9))
  const step = a.sweep / parts
  const [radius, handle] = [arcRadius(a), (4 / 3) * Math.tan(step / 4)]
  const at = (angle: number, along: number): Point => {
    const p = circlePoint(a.centre, radius, angle)
    return { x: p.x - along * radius * Math.sin(angle), y: p.y + along * radius * Math.cos(angle) }
  }
  return Array.from({ length: parts }, (_, i) => {
    const [from, to] = [arcStart(a) + i * step, arcStart(a) + (i + 1) * step]
    const [c1, c2] = [at(from, handle), at(to, -handle)]
    const end = i === parts - 1 ? a.to : at(to, 0)
    return curveOperator(c1, c2, end)
  })
}

function segmentOperators(s: Segment): PDFOperator[] {
  if (s.type === 'line') return [lineOperator(s.to)]
  if (s.type === 'arc') return arcOperators(s)
  return [curveOperator(s.c1, s.c2, s.to)]
}

const pathOperators = (path: Path): PDFOperator[] => {
  const first = path.segments[0]
  if (!first) return []
  const body = path.segments.flatMap(segmentOperators)
  return [moveOperator(first.from), ...body, ...(path.closed ? [closePath()] : [])]
}

/** Operators handed over in one call. */
const AT_ONCE = 4096

/** Draws in mm, y downwards, from an origin on the page; what lies outside `window` is cut off. */
export class Pen {
  constructor(
    private readonly page: PDFPage,
    private readonly fonts: Fonts,
    private readonly origin: Point,
    private readonly window?: { readonly width: number; readonly height: number; readonly at: Point },
    /** What the printer makes of a page: everything is drawn so that it comes out true. */
    private readonly error: PrinterError = NO_ERROR,
  ) {}

  /** Where a place of the drawing is put on the page, mm: what lies at the window’s corner stays there. */
  private placed({ x, y }: Point): Point {
    const { error, origin, window } = this
    const [from, down] = [window?.at.x ?? 0, (y - (window?.at.y ?? 0)) / error.along]
    return {
      x: origin.x + from + (x - from - error.skew * down) / error.across,
      y: origin.y + (window?.at.y ?? 0) + down,
    }
  }

  private get heightMm(): number {
    return this.page.getHeight() / PT
  }

  private inMillimetres(operators: readonly PDFOperator[]): void {
    const { window: w, error } = this
    const origin = this.placed({ x: 0, y: 0 })
    const toPage = concatTransformationMatrix(
      PT / error.across,
      0,
      (-PT * error.skew) / (error.across * error.along) + 0,
      -PT / error.along,
      rp(origin.x * PT),
      rp((this.heightMm - origin.y) * PT),
    )
    const window = w ? [rectangle(r(w.at.x), r(w.at.y), r(w.width), r(w.height)), clip(), endPath()] : []
    const all = [pushGraphicsState(), toPage, ...window, ...operators, popGraphicsState()]
    // A call takes only so many arguments: large drawings have tens of thousands of operators.
    for (let i = 0; i < all.length; i += AT_ONCE) this.page.pushOperators(...all.slice(i, i + AT_ONCE))
  }

  /** All strokes and dots in one graphics state; text afterwards, so that it stays selectable text. */
  draw(all: readonly Drawn[]): void {
    this.inMillimetres(all.flatMap((d) => this.operators(d)))
    for (const d of all) if (d.type === 'text' && this.shows(d.at)) this.write(d)
  }

  private shows(p: Point): boolean {
    const { window: w } = this
    return !w || (p.x >= w.at.x && p.x <= w.at.x + w.width && p.y >= w.at.y && p.y <= w.at.y + w.height)
  }

  private operators(d: Drawn): PDFOperator[] {
    if (d.type === 'text') return []
    if (d.type === 'stroke')
      return [
        setStrokingColor(colour(INKS[d.layer])),
        setLineCap(LineCapStyle.Butt),
        setLineWidth(d.weight),
        setDashPattern([...(d.dash ?? [])], 0),
        ...pathOperators(d.path),
        strokePath(),
      ]
    const dots = d.points.flatMap((p) => [moveOperator(p), lineTo(r(p.x), r(p.y) + 0.001)])
    return [
      setStrokingColor(colour(INKS[d.layer])),
      setLineCap(LineCapStyle.Round),
      setLineWidth(d.diameter),
      setDashPattern([], 0),
      ...dots,
      strokePath(),
    ]
  }

  private write(d: Drawn & { type: 'text' }): void {
    const size = d.size * PT
    const bold = d.bold ?? false
    const width = this.fonts.width(d.text, size, bold)
    let along = d.anchor === 'middle' ? -width / 2 : d.anchor === 'end' ? -width : 0
    const [cos, sin] = [Math.cos(d.angle), Math.sin(d.angle)]
    for (const { words, font } of this.fonts.runs(d.text, bold)) {
      const at = this.placed(d.at)
      const x = at.x * PT + along * cos
      const y = (this.heightMm - at.y) * PT - along * sin
      this.page.drawText(words, {
        x: rp(x),
        y: rp(y),
        size: rp(size),
        font,
        color: colour(wordInk(d.layer)),
        rotate: degrees(roundTo((-d.angle * 180) / Math.PI, 4)),
      })
      along += font.widthOfTextAtSize(words, size)
    }
  }
}

import {
  LineCapStyle,
  type PDFFont,
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
  setDashPattern,
  setLineCap,
  setLineWidth,
  stroke as strokePath,
} from 'pdf-lib'
import type { Drawn } from '../../drawing/index.js'
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

export interface Fonts {
  readonly plain: PDFFont
  readonly bold: PDFFont
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
    return appendBezierCurve(c1.x, c1.y, c2.x, c2.y, end.x, end.y)
  })
}

function segmentOperators(s: Segment): PDFOperator[] {
  if (s.type === 'line') return [lineTo(s.to.x, s.to.y)]
  if (s.type === 'arc') return arcOperators(s)
  return [appendBezierCurve(s.c1.x, s.c1.y, s.c2.x, s.c2.y, s.to.x, s.to.y)]
}

const pathOperators = (path: Path): PDFOperator[] => {
  const first = path.segments[0]
  if (!first) return []
  const body = path.segments.flatMap(segmentOperators)
  return [moveTo(first.from.x, first.from.y), ...body, ...(path.closed ? [closePath()] : [])]
}

/** Draws in mm, y downwards, from an origin on the page; what lies outside `window` is cut off. */
export class Pen {
  constructor(
    private readonly page: PDFPage,
    private readonly fonts: Fonts,
    private readonly origin: Point,
    private readonly window?: { readonly width: number; readonly height: number; readonly at: Point },
  ) {}

  private get heightMm(): number {
    return this.page.getHeight() / PT
  }

  private inMillimetres(operators: readonly PDFOperator[]): void {
    const { window: w } = this
    const toPage = concatTransformationMatrix(
      PT,
      0,
      0,
      -PT,
      this.origin.x * PT,
      (this.heightMm - this.origin.y) * PT,
    )
    const window = w ? [rectangle(w.at.x, w.at.y, w.width, w.height), clip(), endPath()] : []
    this.page.pushOperators(pushGraphicsState(), toPage, ...window, ...operators, popGraphicsState())
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
        setLineCap(LineCapStyle.Butt),
        setLineWidth(d.weight),
        setDashPattern([...(d.dash ?? [])], 0),
        ...pathOperators(d.path),
        strokePath(),
      ]
    const dots = d.points.flatMap((p) => [moveTo(p.x, p.y), lineTo(p.x, p.y + 0.001)])
    return [
      setLineCap(LineCapStyle.Round),
      setLineWidth(d.diameter),
      setDashPattern([], 0),
      ...dots,
      strokePath(),
    ]
  }

  private write(d: Drawn & { type: 'text' }): void {
    const font = d.bold ? this.fonts.bold : this.fonts.plain
    const size = d.size * PT
    const width = font.widthOfTextAtSize(d.text, size)
    const back = d.anchor === 'middle' ? width / 2 : d.anchor === 'end' ? width : 0
    const x = (this.origin.x + d.at.x) * PT - back * Math.cos(d.angle)
    const y = (this.heightMm - this.origin.y - d.at.y) * PT + back * Math.sin(d.angle)
    this.page.drawText(d.text, { x, y, size, font, rotate: degrees((-d.angle * 180) / Math.PI) })
  }
}

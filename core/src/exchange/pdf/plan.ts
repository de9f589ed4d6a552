import { PDFDocument } from 'pdf-lib'
import type { Derived } from '../../derived/index.js'
import { type Drawn, drawnMoved, stroke, text } from '../../drawing/index.js'
import { line, openPath, point, shift } from '../../geometry/index.js'
import { type Units, printArea, printLength, systemOf } from '../../measure/index.js'
import { type HidePlan, planDrawing, plansOf } from '../plan/index.js'
import { paperOf } from '../paper/index.js'
import { columnWidth, flowed, paragraph, tableRow } from './cover/block.js'
import { Fonts } from './fonts.js'
import { CREATOR } from './ours.js'
import { BORDER, type Tile, tileOf } from './paper.js'
import { PT, Pen } from './pen.js'
import type { PdfOptions } from './write.js'

/** Kept for the title above a plan and for what stands below it, mm. */
const [HEAD, FOOT] = [14, 12] as const
const TYPE = 3.4

const WHY = {
  strap: 'strap, from the straight edge',
  large: 'shows or bears',
  rest: '',
  small: 'small: don’t forget it',
} as const

/** The scale a hide is drawn in: as large as the page allows, 1 to a round number. */
function scaleOf({ long, wide }: HidePlan, tile: Tile): number {
  const most = Math.min(tile.width / long, (tile.height - HEAD - FOOT) / wide)
  const steps = [1, 2, 2.5, 4, 5, 7.5, 8, 10, 12.5, 15, 20, 25, 40, 50]
  return 1 / (steps.find((s) => 1 / s <= most) ?? 100)
}

function picture(plan: HidePlan, tile: Tile, unit: Units, mirrored: boolean): Drawn[] {
  const scale = scaleOf(plan, tile)
  const { hide, material, figures, long, wide } = plan
  const bar = systemOf(unit) === 'mm' ? 100 : 101.6
  const y = HEAD + wide * scale + 8
  const { drawn } = planDrawing(plan, { scale, type: TYPE, mirrored, marks: false })
  return [
    text('label', point(0, 5), `${hide.name}: ${material}`, 4.4, 'start', true),
    text(
      'label',
      point(0, 10),
      `${printLength(long, unit, 0)} long, ${printLength(wide, unit, 0)} wide, ${printArea(figures.area, unit)}; 1 to ${1 / scale}; ${mirrored ? 'flesh side up' : 'grain side up'}, the butt ${mirrored ? 'right' : 'left'}`,
      TYPE,
      'start',
    ),
    ...drawn.map((d) => drawnMoved(d, shift(0, HEAD))),
    stroke('finished', openPath([line(point(0, y), point(bar * scale, y))]), 0.4),
    text('label', point(bar * scale + 2, y + 1.2), printLength(bar, unit, 0), TYPE, 'start'),
    text(
      'label',
      point(tile.width, y + 1.2),
      `waste ${Math.round(100 * figures.waste)} % of what is used up`,
      TYPE,
      'end',
    ),
  ]
}

const list = (plan: HidePlan, unit: Units, width: number) => ({
  heading: `Order of cutting: ${plan.hide.name}`,
  rows: [
    paragraph(
      `Measured from the butt end and from the ${plan.hide.backbone === null ? 'upper edge' : 'backbone'}.`,
      width,
    ),
    ...plan.pieces.map((p) =>
      tableRow(
        `${p.number}`,
        `${p.name}${p.over ? ', turned over' : ''}: ${printLength(p.long, unit, 0)} × ${printLength(p.wide, unit, 0)}, ${printLength(p.along, unit, 0)} along, ${printLength(p.across, unit, 0)} across`,
        WHY[p.why],
        width,
      ),
    ),
  ],
})

/** The cutting plan: each hide scaled on a page of its own with numbered pieces, then the order of cutting with sizes. */
export async function writePlanPdf(
  derived: Derived,
  { mirrored, ...options }: PdfOptions & { readonly mirrored: boolean },
): Promise<Uint8Array> {
  const document = await PDFDocument.create({ updateMetadata: false })
  const plans = plansOf(derived)
  const tile = tileOf(options.paper, true)
  const pictures = plans.map((plan) => picture(plan, tile, options.unit, mirrored))
  const page = { ...tile, columns: 2 }
  const width = columnWidth(tile.width, page.columns)
  const head = text(
    'label',
    point(0, 5),
    `${derived.design.name}, ${derived.design.draft}: cutting plan, ${options.date}`,
    4.4,
    'start',
    true,
  )
  const lists = flowed([plans.map((plan) => list(plan, options.unit, width))], page, HEAD).map((drawn, i) =>
    i === 0 ? [head, ...drawn] : drawn,
  )
  const all = [...pictures, ...lists]
  const fonts = await Fonts.of(
    document,
    options.fonts,
    all.flat().flatMap((d) => (d.type === 'text' ? [d.text] : [])),
  )
  const paper = paperOf(options.paper)
  document.setTitle(`${derived.design.name}: cutting plan`)
  document.setCreator(CREATOR)
  for (const drawn of all) {
    const sheet = document.addPage([paper.height * PT, paper.width * PT])
    new Pen(sheet, fonts, point(BORDER, BORDER)).draw(drawn)
  }
  return document.save()
}

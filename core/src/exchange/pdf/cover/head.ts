import type { Derived } from '../../../derived/index.js'
import { type Drawn, stroke, text, textWidth, wrapped } from '../../../drawing/index.js'
import { figuresOf } from '../../../overview/index.js'
import { type Path, line, openPath, point, polygon } from '../../../geometry/index.js'
import { type Units, printLength } from '../../../measure/index.js'
import { paragraph } from './block.js'

export const rectangle = (x: number, y: number, w: number, h: number): Path =>
  polygon([point(x, y), point(x + w, y), point(x + w, y + h), point(x, y + h)])

/** A bar of a length that is measured before anything is cut, with a box to tick and room for what was measured. */
function bar(y: number, length: number, divisions: number, name: string): Drawn[] {
  const ticks = Array.from({ length: divisions + 1 }, (_, i) => {
    const at = (length * i) / divisions
    const tall = i % (divisions / 2) === 0 ? 4 : 2
    return stroke('cut', openPath([line(point(at, y), point(at, y - tall))]), 0.2)
  })
  const after = 101.6 + 4
  const blank = after + 4.5 + textWidth('bar measured', 3.2) + 1.5
  return [
    stroke('cut', openPath([line(point(0, y), point(length, y))]), 0.3),
    ...ticks,
    text('label', point(length / 2, y + 3.6), name, 3, 'middle', true),
    stroke('cut', rectangle(after, y - 3, 3, 3), 0.25),
    text('label', point(after + 4.5, y), 'bar measured', 3.2, 'start'),
    stroke('finished', openPath([line(point(blank, y + 0.4), point(blank + 20, y + 0.4))]), 0.2),
    text('label', point(blank + 21, y), name.includes('mm') ? 'mm' : 'in', 3.2, 'start'),
  ]
}

const TEST_BARS =
  'Print at 100 %, not “fit to page”. Measure both bars before cutting; throw the print away if they are not true.'

export interface HeadWords {
  readonly paper: string
  readonly pages: number
  readonly unit: Units
  /** As it is to be printed; none where left out. */
  readonly date: string | undefined
  /** The printer it was made true for, in words. */
  readonly madeTrue?: string | undefined
}

/** The title block: what it is, which draft, when, how large, on which paper; and the bars that prove the scale. */
export function head(
  derived: Derived,
  { paper, pages, unit, date, madeTrue }: HeadWords,
  width: number,
): { drawn: Drawn[]; height: number } {
  const { design, kind } = derived
  const title = wrapped(design.name, width - 6, 7.4, true)
  const cells = [
    ['draft', design.draft],
    ['kind', kind.name],
    ['finished', finishedSize(derived, unit)],
    ['printed', date ?? ''],
    ['sheets', `${pages} of ${paper}, 1:1`],
  ].filter(([, value]) => value !== '') as [string, string][]
  const top = 3 + title.length * 8.4
  const cell = width / cells.length
  const rows = cells.map(([name, value]) => ({ name, row: paragraph(value, cell - 6, 0, 3.2, true) }))
  const tall = Math.max(...rows.map(({ row }) => row.height)) + 6.5
  const drawn: Drawn[] = [
    stroke('cut', rectangle(0, 0, width, top + tall), 0.4),
    stroke('finished', openPath([line(point(0, top), point(width, top))]), 0.2),
    ...title.map((words, i) => text('label', point(3, 8 + i * 8.4), words, 7.4, 'start', true)),
  ]
  rows.forEach(({ name, row }, i) => {
    const x = i * cell
    if (i > 0) drawn.push(stroke('finished', openPath([line(point(x, top), point(x, top + tall))]), 0.2))
    drawn.push(text('grain', point(x + 3, top + 4), name, 2.5, 'start'))
    for (const d of row.drawn)
      if (d.type === 'text') drawn.push({ ...d, at: point(x + 3 + d.at.x, top + 5 + d.at.y) })
  })
  const bars = top + tall + 6
  const said = paragraph(madeTrue ? `${TEST_BARS} This print is ${madeTrue}.` : TEST_BARS, width, 0, 3)
  drawn.push(
    ...said.drawn.map((d) => (d.type === 'text' ? { ...d, at: point(d.at.x, bars - 2 + d.at.y) } : d)),
  )
  const first = bars + said.height + 3
  drawn.push(...bar(first, 100, 10, '100 mm'), ...bar(first + 10.5, 101.6, 8, '4 in'))
  return { drawn, height: first + 10.5 + 9 }
}

/** Width and height as it is carried, and its thickness; nothing for what has no finished state. */
function finishedSize(derived: Derived, unit: Units): string {
  const { width, height, empty } = figuresOf(derived)
  if (!(width > 0 && height > 0)) return ''
  const [w, h, d] = [width, height, empty].map((mm) => printLength(mm, unit))
  return empty > 0 ? `${w} × ${h} × ${d}` : `${w} × ${h}`
}

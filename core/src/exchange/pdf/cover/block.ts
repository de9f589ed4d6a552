import { type Drawn, drawnMoved, stroke, text, textWidth, wrapped } from '../../../drawing/index.js'
import { line, openPath, point, shift } from '../../../geometry/index.js'
import { nth } from '../../../lists/index.js'

/** A part of a block that is not parted over columns. Drawn from its upper left corner, mm. */
export interface Row {
  readonly height: number
  readonly drawn: readonly Drawn[]
}

/** Something on the cover, as wide as a column, under a heading of its own. */
export interface Block {
  readonly heading: string
  readonly rows: readonly Row[]
}

export const BODY = 3.1
const LEADING = 1.34
const HEADING = 3.9

/** Words broken into lines of a width, as a row. */
export function paragraph(words: string, width: number, indent = 0, size = BODY, bold = false): Row {
  const lines = wrapped(words, width - indent, size, bold)
  return {
    height: lines.length * size * LEADING + 0.7,
    drawn: lines.map((l, i) =>
      text('label', point(indent, size + i * size * LEADING), l, size, 'start', bold),
    ),
  }
}

/** A row of a table: a figure standing right, then words; a short remark at the right border. */
export function tableRow(figure: string, words: string, remark: string, width: number): Row {
  const [left, gap] = [9, 2]
  const right = remark === '' ? 0 : textWidth(remark, BODY) + 2
  const row = paragraph(words, width - right, left + gap)
  return {
    height: row.height,
    drawn: [
      text('label', point(left, BODY), figure, BODY, 'end', true),
      ...row.drawn,
      ...(remark === '' ? [] : [text('label', point(width, BODY), remark, BODY, 'end')]),
    ],
  }
}

const headed = (heading: string, width: number): Row => {
  const lines = wrapped(heading, width, HEADING, true)
  const foot = lines.length * HEADING * LEADING - HEADING * (LEADING - 1) + 1.5
  return {
    height: foot + 1.5,
    drawn: [
      ...lines.map((l, i) =>
        text('label', point(0, HEADING + i * HEADING * LEADING), l, HEADING, 'start', true),
      ),
      stroke('finished', openPath([line(point(0, foot), point(width, foot))]), 0.2),
    ],
  }
}

/** Between columns, and between blocks, mm. */
export const [GUTTER, BETWEEN] = [9, 5] as const

interface Column {
  readonly page: number
  readonly x: number
  readonly top: number
}

/**
 * Blocks one under the other in columns, over as many pages as it takes; each group begins a column of its own, and a
 * heading is never left alone at a foot.
 */
export function flowed(
  groups: readonly (readonly Block[])[],
  page: { readonly width: number; readonly height: number; readonly columns: number },
  firstTop: number,
): Drawn[][] {
  const width = columnWidth(page.width, page.columns)
  const pages: Drawn[][] = [[]]
  let column: Column = { page: 0, x: 0, top: firstTop }
  let y = firstTop
  const next = (): void => {
    const last = column.x + width + GUTTER > page.width - 1
    column = last
      ? { page: column.page + 1, x: 0, top: 0 }
      : { page: column.page, x: column.x + width + GUTTER, top: column.page === 0 ? firstTop : 0 }
    pages[column.page] ??= []
    y = column.top
  }
  const set = (row: Row): void => {
    nth(pages, column.page).push(...row.drawn.map((d) => drawnMoved(d, shift(column.x, y))))
    y += row.height
  }
  const block = ({ heading, rows }: Block): void => {
    if (rows.length === 0) return
    const whole = rows.reduce((sum, r) => sum + r.height, 0) + HEADING + 3
    const room = page.height - y
    const start = HEADING + 3 + rows.slice(0, 3).reduce((sum, r) => sum + r.height, 0)
    // A short block is not parted; a long one begins only where some of it goes with its heading.
    if (y > column.top && (whole <= page.height * 0.45 ? whole > room : start > room)) next()
    set(headed(heading, width))
    for (const row of rows) {
      if (y + row.height > page.height && y > column.top) {
        next()
        set(headed(`${heading}, continued`, width))
      }
      set(row)
    }
    y += BETWEEN
  }
  for (const group of groups.filter((g) => g.some((b) => b.rows.length > 0))) {
    if (y > column.top) next()
    group.forEach(block)
  }
  return pages
}

export const columnWidth = (width: number, columns: number): number =>
  (width - (columns - 1) * GUTTER) / columns

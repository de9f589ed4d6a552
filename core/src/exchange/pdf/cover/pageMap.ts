import { type Drawn, stroke, text } from '../../../drawing/index.js'
import { type Path, pathMoved, point } from '../../../geometry/index.js'
import { lastOf } from '../../../lists/index.js'
import type { Tile } from '../paper.js'
import type { PrintSheet } from '../sheets.js'
import type { Row } from './block.js'
import { rectangle } from './head.js'

/** How much smaller a page is drawn: the first that leaves the map this high; the last is just readable. */
const SCALES = [0.1, 0.085, 0.07, 0.055, 0.045] as const
const HIGHEST = 84
const BETWEEN = 4

/** A path drawn smaller, for the page map only. */
function shrunk(path: Path, scale: number, x: number, y: number): Path {
  const place = (p: { x: number; y: number }) => point(x + p.x * scale, y + p.y * scale)
  const segments = path.segments.map((s) => {
    if (s.type === 'line') return { ...s, from: place(s.from), to: place(s.to) }
    if (s.type === 'arc') return { ...s, from: place(s.from), to: place(s.to), centre: place(s.centre) }
    return { ...s, from: place(s.from), to: place(s.to), c1: place(s.c1), c2: place(s.c2) }
  })
  return { ...path, segments }
}

function drawnSheet(sheet: PrintSheet, first: number, tile: Tile, scale: number, x: number): Drawn[] {
  const [stepX, stepY] = [(tile.width - tile.overlap) * scale, (tile.height - tile.overlap) * scale]
  const pages = sheet.pages.flatMap(({ column, row }, i): Drawn[] => {
    const [px, py] = [x + column * stepX, row * stepY]
    return [
      stroke('finished', rectangle(px, py, tile.width * scale, tile.height * scale), 0.15),
      text('label', point(px + 1, py + 3.2), String(first + i), 2.6, 'start', true),
    ]
  })
  const pieces = sheet.placed.map(({ item, move }) =>
    stroke('cut', shrunk(pathMoved(item.outline, move), scale, x, 0), 0.2),
  )
  return [...pages, ...pieces]
}

/** Sheets and pages in small, with the pieces on them and the number of each page; as many rows as it takes. */
export function pageMapRows(sheets: readonly PrintSheet[], tile: Tile, width: number): Row[] {
  const maps = SCALES.map((scale) => mapAt(sheets, tile, width, scale))
  const fits = ({ rows, widest }: ReturnType<typeof mapAt>): boolean =>
    widest <= width && rows.reduce((sum, r) => sum + r.height, 0) <= HIGHEST
  return (maps.find(fits) ?? lastOf(maps)).rows
}

function mapAt(sheets: readonly PrintSheet[], tile: Tile, width: number, scale: number) {
  const span = (s: PrintSheet) => ({
    width: ((s.columns - 1) * (tile.width - tile.overlap) + tile.width) * scale,
    height: ((s.rows - 1) * (tile.height - tile.overlap) + tile.height) * scale,
  })
  const rows: Row[] = []
  let [x, height, drawn, first, widest]: [number, number, Drawn[], number, number] = [0, 0, [], 1, 0]
  const end = (): void => {
    if (drawn.length > 0) rows.push({ height: height + BETWEEN, drawn })
    ;[x, height, drawn] = [0, 0, []]
  }
  for (const sheet of sheets) {
    const size = span(sheet)
    if (x > 0 && x + size.width > width) end()
    drawn.push(...drawnSheet(sheet, first, tile, scale, x))
    widest = Math.max(widest, x + size.width)
    x += size.width + BETWEEN
    height = Math.max(height, size.height)
    first += sheet.pages.length
  }
  end()
  return { rows, widest }
}

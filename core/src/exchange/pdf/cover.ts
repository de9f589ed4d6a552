import type { Derived } from '../../derive.js'
import { type Drawn, hatch, stipple, stroke, text } from '../../drawing/index.js'
import {
  type Path,
  circlePoint,
  line,
  openPath,
  pathMoved,
  point,
  polygon,
  polyline,
} from '../../geometry/index.js'
import { type LengthUnit, printLength, printPitch, printWeight } from '../../measure/index.js'
import type { Piece } from '../../reckon/index.js'
import type { PrintSheet } from './sheets.js'
import type { Tile } from './paper.js'
import { OVERLAP } from './paper.js'

const rectangle = (x: number, y: number, w: number, h: number): Path =>
  polygon([point(x, y), point(x + w, y), point(x + w, y + h), point(x, y + h)])

/** A bar of a length that is measured before anything is cut. */
function bar(x: number, y: number, length: number, divisions: number, name: string): Drawn[] {
  const ticks = Array.from({ length: divisions + 1 }, (_, i) => {
    const at = x + (length * i) / divisions
    const tall = i % (divisions / 2) === 0 ? 4 : 2
    return stroke('cut', openPath([line(point(at, y), point(at, y - tall))]), 0.2)
  })
  return [
    stroke('cut', openPath([line(point(x, y), point(x + length, y))]), 0.3),
    ...ticks,
    text('label', point(x + length + 3, y), name, 3.4, 'start'),
  ]
}

const TEST_BARS =
  'Print at 100 %, not “fit to page”. Measure both bars before cutting; throw the print away if they are not true.'

function heading(derived: Derived, pages: number, paper: string): Drawn[] {
  const { design, kind } = derived
  return [
    text('label', point(0, 8), design.name, 8, 'start', true),
    text(
      'label',
      point(0, 15),
      `${design.draft} · ${kind.name} · ${paper} · ${pages} pages after this one`,
      3.8,
      'start',
    ),
    text('label', point(0, 25), TEST_BARS, 3.2, 'start'),
    ...bar(0, 36, 100, 10, '100 mm'),
    ...bar(0, 46, 101.6, 8, '4 in'),
  ]
}

function pieceList(pieces: readonly Piece[], unit: LengthUnit, x: number, y: number): Drawn[] {
  const rows = pieces.map((p) => {
    const flip = p.flipped > 0 ? ` (${p.flipped} turned over)` : ''
    const weight = p.thickness === undefined ? '' : `, ${printWeight(p.thickness, unit)}`
    return `${p.count} × ${p.name}${flip}: ${p.material}${weight}`
  })
  return [
    text('label', point(x, y), 'Cut', 4, 'start', true),
    ...rows.map((r, i) => text('label', point(x, y + 6 + i * 5), r, 3.2, 'start')),
  ]
}

function sewingList(derived: Derived, unit: LengthUnit, x: number, y: number): Drawn[] {
  const { iron, thread } = derived.design
  const holes = derived.runs.reduce((sum, r) => sum + r.holes.length, 0)
  const length = derived.runs.reduce((sum, r) => sum + r.thread.value, 0)
  const rows = [
    `${iron.name}, pitch ${printPitch(iron.pitch, unit)}; ${holes} holes in ${derived.runs.length} runs`,
    `${thread.name}: ${printLength(length, unit)} altogether`,
  ]
  return [
    text('label', point(x, y), 'Sew', 4, 'start', true),
    ...rows.map((r, i) => text('label', point(x, y + 6 + i * 5), r, 3.2, 'start')),
  ]
}

/** Sheets and pages in small, with the pieces on them and the number of each page. */
function pageMap(
  sheets: readonly PrintSheet<Piece>[],
  tile: Tile,
  x: number,
  y: number,
  width: number,
): { drawn: Drawn[]; bottom: number } {
  const scale = 0.1
  const drawn: Drawn[] = [text('label', point(x, y), 'Pages', 4, 'start', true)]
  let [left, top, page, tallest] = [x, y + 5, 1, 0]
  for (const sheet of sheets) {
    const [stepX, stepY] = [(tile.width - OVERLAP) * scale, (tile.height - OVERLAP) * scale]
    const [w, h] = [
      (sheet.columns - 1) * stepX + tile.width * scale,
      (sheet.rows - 1) * stepY + tile.height * scale,
    ]
    if (left > x && left + w > x + width) [left, top, tallest] = [x, top + tallest + 5, 0]
    for (let row = 0; row < sheet.rows; row += 1)
      for (let column = 0; column < sheet.columns; column += 1) {
        const [px, py] = [left + column * stepX, top + row * stepY]
        drawn.push(stroke('finished', rectangle(px, py, tile.width * scale, tile.height * scale), 0.15))
        drawn.push(text('label', point(px + 1, py + 3), String(page), 2.6, 'start', true))
        page += 1
      }
    for (const { item, move } of sheet.placed)
      drawn.push(stroke('cut', shrunk(pathMoved(item.cut, move), scale, left, top), 0.2))
    left += w + 5
    tallest = Math.max(tallest, h)
  }
  return { drawn, bottom: top + tallest }
}

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

/** The line language: form first, so that it survives a black-and-white printer. */
function legend(x: number, y: number): Drawn[] {
  const sample = (i: number): { x: number; y: number } => point(x, y + 8 + i * 8)
  const across = (i: number): Path => openPath([line(point(x, sample(i).y), point(x + 22, sample(i).y))])
  const words = [
    'cut',
    'finished edge, where it is not the cut line',
    'fold: facing chevrons, hill or valley beside it',
    'stitch holes, true size and slant',
    'glue, inside its limit',
    'skive, closing up as it gets thinner, thickness at both sides',
    'match mark, lettered in pairs',
    'grain',
    'fold-to line: the cut edge is folded to it',
  ]
  const slots = Array.from({ length: 7 }, (_, k) => {
    const at = point(x + 1.5 + k * 3, sample(3).y)
    return stroke(
      'holes',
      openPath([
        line(
          circlePoint(at, 0.85, (-45 * Math.PI) / 180 + Math.PI),
          circlePoint(at, 0.85, (-45 * Math.PI) / 180),
        ),
      ]),
      0.5,
    )
  })
  const patch = (i: number): Path => rectangle(x, sample(i).y - 3, 22, 5)
  const chevron = (side: number): Drawn =>
    stroke(
      'fold',
      polyline([
        point(x + 5, sample(2).y + side * 2.4),
        point(x + 3, sample(2).y + side * 0.7),
        point(x + 1, sample(2).y + side * 2.4),
      ]),
      0.25,
    )
  return [
    text('label', point(x, y), 'Lines', 4, 'start', true),
    stroke('cut', across(0), 0.5),
    stroke('finished', across(1), 0.18),
    stroke('fold', across(2), 0.25, [7, 2.2]),
    chevron(-1),
    chevron(1),
    ...slots,
    { type: 'dots', layer: 'glue', points: stipple(patch(4)), diameter: 0.3 },
    ...hatch(patch(5), point(x, 0), point(x + 22, 0), 1, 0.3).map((p) => stroke('skive', p, 0.15)),
    stroke('notches', openPath([line(point(x + 11, sample(6).y - 3), point(x + 11, sample(6).y + 1))]), 0.35),
    text('notches', point(x + 14, sample(6).y), 'a', 2.8),
    stroke('grain', across(7), 0.25),
    stroke(
      'grain',
      polyline([
        point(x + 19.8, sample(7).y - 1.1),
        point(x + 22, sample(7).y),
        point(x + 19.8, sample(7).y + 1.1),
      ]),
      0.25,
    ),
    stroke('fold-to', across(8), 0.15),
    ...[0, 22].map((side) =>
      stroke(
        'fold-to',
        openPath([line(point(x + side, sample(8).y - 1.4), point(x + side, sample(8).y + 1.4))]),
        0.25,
      ),
    ),
    ...words.map((w, i) => text('label', point(x + 26, sample(i).y + 1), w, 3.2, 'start')),
  ]
}

const CAUTIONS = [
  'Knife: fresh blade, cut away from the hand. Skiving: thumb behind the edge.',
  'Glue, dye, edge paint: air, gloves, no flame; read their sheets, follow your local rules.',
  'Sanding: dust extraction or a mask. Melting thread: away from solvents.',
]

const cautions = (x: number, y: number): Drawn[] => [
  text('label', point(x, y), 'Take care', 4, 'start', true),
  ...CAUTIONS.map((c, i) => text('label', point(x, y + 6 + i * 5), c, 3, 'start')),
]

/** The page before the pattern: test bars, what to cut, page map and legend, in mm from its upper left corner. */
export function coverDrawing(
  derived: Derived,
  sheets: readonly PrintSheet<Piece>[],
  tile: Tile,
  pages: number,
  paper: string,
  unit: LengthUnit,
): Drawn[] {
  const [list, sew] = [58, 58 + 14 + derived.pieces.length * 5]
  const wide = tile.width > tile.height
  const right = wide ? tile.width / 2 : 0
  const map = pageMap(sheets, tile, 0, sew + 22, wide ? tile.width / 2 - 10 : tile.width)
  return [
    ...heading(derived, pages, paper),
    ...pieceList(derived.pieces, unit, 0, list),
    ...sewingList(derived, unit, 0, sew),
    ...map.drawn,
    ...cautions(right, (wide ? list : map.bottom + 12) + 88),
    ...legend(right, wide ? list : map.bottom + 12),
  ]
}

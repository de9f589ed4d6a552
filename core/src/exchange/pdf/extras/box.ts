import type { Derived } from '../../../derived/index.js'
import { type Drawn, drawnMoved, stroke, text, wrapped } from '../../../drawing/index.js'
import { boxHeight, boxWidth, pathBox, pathMoved, point, shift } from '../../../geometry/index.js'
import { nth } from '../../../lists/index.js'
import { type Units, printLength, printWeight, withLengths } from '../../../measure/index.js'
import { figuresOf, finished } from '../../../overview/index.js'
import { type Piece, alikePieces } from '../../../reckon/index.js'
import type { Snapshot } from '../../../snapshot/index.js'
import { paragraph, tableRow } from '../cover/block.js'
import { rectangle } from '../cover/head.js'
import type { Tile } from '../paper.js'

/** A page with a picture on it; mm from the corner of what is drawn on. */
export interface BoxPage {
  readonly drawn: readonly Drawn[]
  readonly picture:
    | {
        readonly shot: Snapshot
        readonly at: { readonly x: number; readonly y: number }
        readonly width: number
      }
    | undefined
}

/** The picture, pixels; and how much of the page it takes, mm. */
const SHOT = { width: 900, height: 560 } as const
const [TITLE, GUTTER, TYPE] = [16, 8, 2.8] as const

/** As much of bold words as one line holds; that there are more is said. */
function firstLine(words: string, width: number, size: number): string {
  const [first = '', more] = wrapped(words, width, size, true)
  return more === undefined ? first : `${wrapped(words, width - size, size, true)[0]} …`
}

/** Name, draft, date and kind, as they are looked for in a box. */
function title({ design, kind }: Derived, width: number, date: string | undefined): Drawn[] {
  const name = firstLine(design.name, width - 6, 7.4)
  const said = [kind.name, design.draft, ...(date === undefined ? [] : [`printed ${date}`])].join(' · ')
  return [
    stroke('cut', rectangle(0, 0, width, TITLE), 0.4),
    text('label', point(3, 8), name, 7.4, 'start', true),
    text('label', point(3, 13.4), said, 3.2, 'start'),
  ]
}

/** What it measures, what it holds, what it is made of. */
function facts(derived: Derived, unit: Units): string[] {
  const { width, height, empty, full, carries } = figuresOf(derived)
  const said = (mm: number): string => printLength(mm, unit)
  const outside = width > 0 && height > 0 ? [`outside ${said(width)} × ${said(height)}`] : []
  const thick =
    empty > 0 ? [`closed ${said(empty)}${full > empty + 0.05 ? `, filled ${said(full)}` : ''}`] : []
  const leathers = new Set(
    derived.pieces
      .filter((p) => p.panel.role !== 'guide')
      .map((p) =>
        p.thickness === undefined ? p.material : `${p.material}, ${printWeight(p.thickness, unit)}`,
      ),
  )
  return [
    ...outside,
    ...thick,
    ...(carries.length > 0 ? [withLengths(`holds ${carries.join(', ')}`, unit)] : []),
    ...leathers,
    `${derived.design.iron.name}, ${derived.design.thread.name}`,
  ]
}

/** Every piece small, with its name, how many, and its size as it is cut. */
function pieceBlock(pieces: readonly Piece[], width: number, height: number, unit: Units): Drawn[] {
  const boxes = pieces.map((p) => pathBox(p.cut))
  const columns = Math.max(2, Math.min(6, Math.ceil(Math.sqrt((pieces.length * width) / height))))
  const rows = Math.ceil(pieces.length / columns)
  const [wide, high] = [width / columns, height / rows]
  const words = 3 * TYPE * 1.3
  const scale = Math.min(
    ...boxes.map((b) => Math.min((wide - GUTTER) / boxWidth(b), (high - words - 5) / boxHeight(b))),
    1,
  )
  return pieces.flatMap((piece, i) => {
    const [x, y] = [(i % columns) * wide, Math.floor(i / columns) * high]
    const box = nth(boxes, i)
    // The smallest are still seen.
    const own = Math.min(1, Math.max(scale, 8 / Math.max(boxWidth(box), boxHeight(box))))
    const outline = pathMoved(piece.cut, {
      a: own,
      b: 0,
      c: 0,
      d: own,
      e: -box.left * own,
      f: -box.top * own,
    })
    const size = `${printLength(boxWidth(box), unit)} × ${printLength(boxHeight(box), unit)}`
    const lines = [firstLine(`${piece.count} × ${piece.name}`, wide - 4, TYPE), size]
    return [
      drawnMoved(stroke('cut', outline, 0.25), shift(x, y + words)),
      ...lines.map((w, k) => text('label', point(x, y + 3 + k * TYPE * 1.3), w, TYPE, 'start', k === 0)),
    ]
  })
}

/** One page that tells a pattern from others in its box: name, picture, sizes and every piece small. */
export function boxPage(derived: Derived, tile: Tile, unit: Units, date: string | undefined): BoxPage {
  const half = (tile.width - GUTTER) / 2
  const shot = finished(derived, SHOT)
  const tall = Math.min((half * SHOT.height) / SHOT.width, tile.height * 0.32)
  const top = TITLE + 6
  let y = top
  const told = facts(derived, unit).flatMap((words) => {
    const row = paragraph(words, half)
    const at = shift(half + GUTTER, y)
    y += row.height
    return row.drawn.map((d) => drawnMoved(d, at))
  })
  const below = Math.max(top + (shot ? tall : 0), y) + 6
  const cut = derived.pieces.filter((p) => p.panel.role !== 'guide')
  const pieces = alikePieces(cut)
  const guides = derived.pieces.length - cut.length
  const count = pieces.reduce((sum, p) => sum + p.count, 0)
  const head = tableRow(
    `${count}`,
    `pieces to cut${guides > 0 ? `, ${guides} of card besides` : ''}`,
    '',
    tile.width,
  )
  return {
    drawn: [
      ...title(derived, tile.width, date),
      ...told,
      ...head.drawn.map((d) => drawnMoved(d, shift(0, below))),
      ...pieceBlock(pieces, tile.width, tile.height - below - 10, unit).map((d) =>
        drawnMoved(d, shift(0, below + 8)),
      ),
    ],
    picture: shot ? { shot, at: { x: 0, y: top }, width: (tall * SHOT.width) / SHOT.height } : undefined,
  }
}

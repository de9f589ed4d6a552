import { findingsOf, overruledFor, sayFinding } from '../../../check/index.js'
import { type Derived, toBuy } from '../../../derived/index.js'
import type { Drawn } from '../../../drawing/index.js'
import { pathArea } from '../../../geometry/index.js'
import { type Units, counted, printArea, printLong, printPitch, printWeight } from '../../../measure/index.js'
import { type Piece, alikePieces } from '../../../reckon/index.js'
import type { Tile } from '../paper.js'
import { type PrintSheet, pageCount } from '../sheets.js'
import { type Block, type Row, columnWidth, flowed, paragraph, tableRow } from './block.js'
import { type HeadWords, head } from './head.js'
import { legendRows } from './legend.js'
import { pageMapRows } from './pageMap.js'
import { required } from '../../../lists/index.js'

const CAUTIONS = [
  'Knife: fresh blade, cut away from the hand. Skiving: thumb behind the edge.',
  'Glue, dye, edge paint: air, gloves, no flame; read their sheets, follow your local rules.',
  'Sanding: dust extraction or a mask. Melting thread: away from solvents.',
]

/** The numbers of the pages a piece is on, as `3` or `3–6`. */
function pagesOf(piece: Piece, sheets: readonly PrintSheet[]): string {
  const pages = sheets
    .flatMap((s) => s.pages)
    .flatMap((p, i) => (p.items.some((item) => item.piece.id === piece.id) ? [i + 1] : []))
  const [first, last] = [pages[0], pages[pages.length - 1]]
  if (first === undefined) return ''
  return first === last ? `sheet ${first}` : `sheets ${first}–${last}`
}

function cutRows(derived: Derived, sheets: readonly PrintSheet[], unit: Units, width: number): Row[] {
  return alikePieces(derived.pieces).map((p) => {
    const flip = p.flipped > 0 ? ` (${p.flipped} turned over)` : ''
    const weight = p.thickness === undefined ? '' : `, ${printWeight(p.thickness, unit)}`
    return tableRow(`${p.count} ×`, `${p.name}${flip}: ${p.material}${weight}`, pagesOf(p, sheets), width)
  })
}

/** Runs sewn by hand and by machine, each told with its own tools. */
function sewRows({ design, runs }: Derived, unit: Units, width: number): Row[] {
  const byHand = runs.filter((r) => r.ways.holes !== 'machine')
  const machine = runs.filter((r) => r.ways.holes === 'machine')
  const holes = byHand.reduce((sum, r) => sum + r.holes.length + (r.other?.holes.length ?? 0), 0)
  const irons = [...new Map(byHand.map((r) => [r.ways.iron.name, r.ways.iron])).values()]
  const thread = runs.reduce((sum, r) => sum + r.times * r.thread.value, 0)
  return [
    ...(byHand.length > 0
      ? [
          `By hand: ${counted(byHand.length, 'run')}, ${holes} holes with the ${irons
            .map((i) => `${i.name}, pitch ${printPitch(i.pitch, unit)}`)
            .join('; ')}.`,
        ]
      : []),
    ...(machine.length > 0
      ? [`By machine: ${counted(machine.length, 'run')} on the ${design.machine.name}.`]
      : []),
    ...(runs.length > 0 ? [`${design.thread.name}: ${printLong(thread, unit)} altogether.`] : []),
  ].map((words) => paragraph(words, width))
}

/** Leather to cut, all copies of all pieces, by what it is cut from. */
function leatherRows({ pieces }: Derived, unit: Units, width: number): Row[] {
  const areas = new Map<string, number>()
  for (const p of pieces)
    if (p.panel.role !== 'guide' && !p.panel.stock)
      areas.set(p.material, (areas.get(p.material) ?? 0) + p.count * Math.abs(pathArea(p.cut)))
  return [...areas].map(([name, area]) =>
    paragraph(`${name}: ${printArea(area, unit)} of pieces, without waste.`, width),
  )
}

const amount = (count: number, unit: string, units: Units): string =>
  unit === 'pieces'
    ? `${count} ×`
    : unit === 'mm'
      ? printLong(count, units)
      : printArea(count * 10_000, units)

function hardwareRows(derived: Derived, unit: Units, width: number): Row[] {
  return toBuy(derived, unit).map((b) => {
    const note = b.note ? `, ${b.note}` : ''
    return b.unit === 'pieces'
      ? tableRow(`${b.count} ×`, `${b.what}${note}`, '', width)
      : paragraph(`${b.what}${note}: ${amount(b.count, b.unit, unit)}`, width, 11)
  })
}

/** Stops that nobody overruled: what is printed can't be made as it stands. */
function stopRows(derived: Derived, unit: Units, width: number): Row[] {
  return findingsOf(derived)
    .filter((f) => f.rank === 'stop' && overruledFor(derived, f) === undefined)
    .map((f) => paragraph(`• ${sayFinding(f, unit).what}`, width))
}

const LACKING = (letters: readonly string[]): string =>
  `Letters this print has no type for stand as “?”: ${letters
    .slice(0, 12)
    .map((l) => `U+${required(l.codePointAt(0), 'letter').toString(16).toUpperCase().padStart(4, '0')}`)
    .join(', ')}${letters.length > 12 ? ' …' : ''}. They are right in the design and on the screen.`

export interface CoverWords extends Omit<HeadWords, 'pages'> {
  /** What of the cover is drawn on, and what of the pattern’s pages. */
  readonly tile: Tile
  readonly pages: Tile
  /** Letters of the design that no face of the print has. */
  readonly lacking: readonly string[]
}

/**
 * The pages before the pattern, in mm from the upper left corner of what is drawn on: title block and test bars, then
 * what to cut, sew and have ready, page map, line language and cautions in columns; as many pages as that takes.
 */
export function coverPages(derived: Derived, sheets: readonly PrintSheet[], words: CoverWords): Drawn[][] {
  const { unit, tile } = words
  const columns = tile.width > tile.height ? 3 : 2
  const width = columnWidth(tile.width, columns)
  const top = head(derived, { ...words, pages: pageCount(sheets) }, tile.width)
  const layers = new Set<string>(
    sheets.flatMap((s) => s.placed.flatMap(({ item }) => item.drawn.map((d) => d.layer))),
  )
  const machine = derived.runs.some((r) => r.ways.holes === 'machine')
  const byHand = derived.runs.some((r) => r.ways.holes !== 'machine')
  const making: Block[] = [
    { heading: 'Stops, still open', rows: stopRows(derived, unit, width) },
    { heading: 'Cut', rows: cutRows(derived, sheets, unit, width) },
    { heading: 'Sew', rows: sewRows(derived, unit, width) },
    { heading: 'Have ready', rows: hardwareRows(derived, unit, width) },
    { heading: 'Leather', rows: leatherRows(derived, unit, width) },
  ]
  const paper: Block[] = [
    { heading: 'Sheets', rows: pageMapRows(sheets, words.pages, width) },
    { heading: 'Letters', rows: words.lacking.length > 0 ? [paragraph(LACKING(words.lacking), width)] : [] },
  ]
  const reading: Block[] = [
    { heading: 'Lines', rows: legendRows(layers, machine, byHand, width) },
    { heading: 'Take care', rows: CAUTIONS.map((c) => paragraph(c, width)) },
  ]
  const groups = columns === 3 ? [making, paper, reading] : [making, [...paper, ...reading]]
  const pages = flowed(groups, { ...tile, columns }, top.height)
  return pages.map((drawn, i) => (i === 0 ? [...top.drawn, ...drawn] : drawn))
}

import DxfParser from 'dxf-parser'
import fc from 'fast-check'
import { PDFDocument } from 'pdf-lib'
import { SaxesParser } from 'saxes'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { writeDxf } from '@drumlin/core/exchange/dxf'
import { writePdf } from '@drumlin/core/exchange/pdf'
import { pdfFonts } from '../../cli/src/fonts.js'
import { textSpan } from '../src/drawing/index.js'
import type { PaperId } from '@drumlin/core/exchange/paper'
import { tileOf } from '../src/exchange/pdf/paper.js'
import type { PrintItem } from '../src/exchange/pdf/printed.js'
import { type PrintSheet, planSheets } from '../src/exchange/pdf/sheets.js'
import { planPrint } from '../src/exchange/pdf/pages.js'
import {
  type Path,
  boxOfPoints,
  pathMoved,
  pathPoints,
  point,
  pointInside,
  polygon,
} from '../src/geometry/index.js'
import { alikePieces } from '../src/reckon/index.js'
import { anyDesign, everyDesign, madeKinds, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'
import { planned } from './support/print.js'
import { some } from './support/long.js'

const fonts = await pdfFonts()
const SIZES: Partial<Record<PaperId, readonly [number, number]>> = { a4: [210, 297], letter: [215.9, 279.4] }

/** Either paper and either unit, not each with each: what they share is laid out the same. */
const WAYS = [
  ['a4', 'mm'],
  ['letter', 'in'],
] as const

/** Page sizes of a PDF, mm, as another reader sees them. */
async function readBack(derived: Derived, paper: PaperId, unit: 'mm' | 'in') {
  const document = await PDFDocument.load(await writePdf(derived, { paper, unit, fonts }))
  return document
    .getPages()
    .map((p) => [p.getWidth(), p.getHeight()].map((v) => (v / 72) * 25.4).sort((a, b) => a - b))
}

/** Groups of cut lines in an SVG, as an XML reader finds them; throws where it is not well formed. */
function outlinesIn(svg: string): number {
  let found = 0
  const parser = new SaxesParser()
  parser.on('error', (error) => {
    throw error
  })
  parser.on('opentag', ({ name, attributes }) => {
    if (name === 'g' && attributes.class === 'cut') found += 1
  })
  parser.write(svg).close()
  return found
}

describe('everything prints', () => {
  /** On one paper after the other, in a unit each; with DRUMLIN_LONG=1 on both. */
  const inTurn = (i: number) => [WAYS[i % 2]!, WAYS[(i + 1) % 2]!]
  const ways = some(everyDesign(), 2).map((one, i) => ({ ...one, ways: some(inTurn(i), 2) }))
  test.each(ways)('$name: as PDF, as SVG and as DXF', async ({ design, ways: papers }) => {
    const derived = derivedOf(design)
    for (const [paper, unit] of papers) {
      const pages = await readBack(derived, paper, unit)
      expect(pages.length).toBeGreaterThan(1)
      for (const page of pages) SIZES[paper]!.forEach((mm, i) => expect(page[i]).toBeCloseTo(mm, 2))
      const drawing = new DxfParser().parseSync(writeDxf(derived, unit))!
      const outlines = drawing.entities.filter((e) => e.layer === 'cut')
      // One closed outline for each piece, whatever its edges are made of.
      expect(outlines).toHaveLength(derived.pieces.length)
      for (const e of outlines)
        expect((e as { shape?: boolean; closed?: boolean }).shape ?? (e as { closed?: boolean }).closed).toBe(
          true,
        )
      expect(outlinesIn(writeSvg(derived, unit))).toBe(derived.pieces.length)
    }
  })
  test('as large as their settings go, they do too', async () => {
    for (const id of some(['rucksack', 'briefcase'], 2)) {
      const [design] = fc.sample(anyDesign(id), { seed: 5, numRuns: 1 }) as [Design]
      const pages = await readBack(derivedOf(design), 'letter', 'mm')
      expect(pages.length).toBeGreaterThan(1)
    }
  })
})

/** A plain piece of paper of an outline. */
const paperItem = (outline: Path): PrintItem => {
  const item: PrintItem = {
    piece: { id: JSON.stringify(outline) } as PrintItem['piece'],
    drawn: [{ type: 'stroke', layer: 'cut', path: outline, weight: 0.5 }],
    outline,
    keptOff: () => item,
  }
  return item
}
const rectangle = (w: number, h: number) => polygon([point(0, 0), point(w, 0), point(w, h), point(0, h)])
const anySize = fc.tuple(fc.integer({ min: 8, max: 700 }), fc.integer({ min: 8, max: 500 }))

/** The stretch of a page that is not printed on another as well. */
const windowOf = (column: number, row: number, tile: { width: number; height: number; overlap: number }) => ({
  left: column * (tile.width - tile.overlap),
  top: row * (tile.height - tile.overlap),
  right: column * (tile.width - tile.overlap) + tile.width,
  bottom: row * (tile.height - tile.overlap) + tile.height,
})

describe('spreading pieces over pages', () => {
  test.each([
    ['a4', false],
    ['letter', true],
  ] as const)(
    'on %s, lying %s: all are there, whole where they fit, none over another',
    (paper, landscape) => {
      const tile = tileOf(paper, landscape)
      fc.assert(
        fc.property(fc.array(anySize, { minLength: 1, maxLength: 7 }), (sizes) => {
          const items = sizes.map(([w, h]) => paperItem(rectangle(w, h)))
          const sheets = planSheets(items, tile)
          expect(sheets.flatMap((s) => s.placed)).toHaveLength(items.length)
          for (const sheet of sheets) expectWellLaid(sheet, tile)
        }),
        { seed: 9, numRuns: 40 },
      )
    },
  )

  function expectWellLaid(
    { placed, pages }: PrintSheet,
    tile: { width: number; height: number; overlap: number },
  ): void {
    const outlines = placed.map(({ item, move }) => pathMoved(item.outline, move))
    outlines.forEach((outline, i) => {
      const points = pathPoints({ ...outline, segments: outline.segments }, 0.5)
      const box = boxOfPoints(points)
      const own = pages
        .filter((p) => p.items.includes(placed[i]!.item))
        .map((p) => windowOf(p.column, p.row, tile))
      const fits = [box.right - box.left, box.bottom - box.top].sort((a, b) => a - b)
      const room = [tile.width - 14, tile.height - 14].sort((a, b) => a - b)
      if (fits[0]! < room[0]! && fits[1]! < room[1]!) expect(own).toHaveLength(1)
      // Every place of its border is on a page that is printed.
      for (const s of outline.segments)
        for (const share of [0, 0.2, 0.4, 0.6, 0.8]) {
          const p = { x: s.from.x + (s.to.x - s.from.x) * share, y: s.from.y + (s.to.y - s.from.y) * share }
          expect(own.some((w) => p.x >= w.left && p.x <= w.right && p.y >= w.top && p.y <= w.bottom)).toBe(
            true,
          )
        }
      outlines.forEach((other, k) => {
        if (k > i) for (const p of points) expect(pointInside(p, other)).toBe(false)
      })
    })
  }

  test('a metre of strap takes its own row of overlapping pages', () => {
    const [sheet] = planSheets([paperItem(rectangle(1000, 40))], tileOf('a4', true))
    expect([sheet!.columns, sheet!.rows, sheet!.pages.length]).toEqual([4, 1, 4])
  })
  test('what is a little too long for a page is shared between two, not left as a sliver on the second', () => {
    const tile = tileOf('a4', false)
    const [sheet] = planSheets([paperItem(rectangle(100, tile.height + 14))], tile)
    expect(sheet!.pages).toHaveLength(2)
    const [placed] = sheet!.placed
    const box = boxOfPoints(pathPoints(pathMoved(placed!.item.outline, placed!.move)))
    const cut = tile.height - tile.overlap / 2
    expect(cut - box.top).toBeGreaterThan(60)
    expect(box.bottom - cut).toBeGreaterThan(60)
  })
  test('small pieces lie in the gaps of large ones', () => {
    const ring = polygon(
      [
        [0, 0],
        [300, 0],
        [300, 400],
        [200, 400],
        [200, 60],
        [0, 60],
      ].map(([x, y]) => point(x!, y!)),
    )
    const sheets = planSheets(
      [paperItem(ring), paperItem(rectangle(120, 90)), paperItem(rectangle(60, 40))],
      tileOf('a4', false),
    )
    expect(sheets).toHaveLength(1)
  })
})

describe('on the pages', () => {
  test('words of joins and of pieces stay inside the page', () => {
    for (const { name, design } of everyDesign()) {
      const { sheets, tile } = planned(design)
      for (const { placed, pages, columns, rows } of sheets) {
        expect(pages.length, name).toBeLessThanOrEqual(columns * rows)
        for (const { item, move } of placed)
          for (const d of item.drawn)
            if (d.type === 'text') {
              const box = textSpan(d)
              const at = pathMoved(
                polygon([point(box.left, box.top), point(box.right, box.bottom), point(box.right, box.top)]),
                move,
              )
              const { left, top, right, bottom } = boxOfPoints(pathPoints(at))
              const on = pages.some((p) => {
                const w = windowOf(p.column, p.row, tile)
                return (
                  left >= w.left - 0.3 &&
                  right <= w.right + 0.3 &&
                  top >= w.top - 0.3 &&
                  bottom <= w.bottom + 0.3
                )
              })
              expect(on, `${name} ${item.piece.id}: ${d.text}`).toBe(true)
            }
      }
    }
  })
  test('pieces that are the same are printed once with their count', () => {
    for (const { design } of everyDesign()) {
      const { pieces } = derivedOf(design)
      const once = alikePieces(pieces)
      expect(once.reduce((sum, p) => sum + p.count, 0)).toBe(pieces.reduce((sum, p) => sum + p.count, 0))
    }
    const tote = derive(freshOf('tote', { handle: 'flat' }))
    expect(alikePieces(tote.pieces).length).toBeLessThan(tote.pieces.length)
  })
  test('a plain strap is its true ends and a measure', () => {
    const derived = derive(freshOf('flap-bag', { strap: 'shoulder' }))
    const piece = derived.pieces.find((p) => p.id === 'strap-long')!
    const length = Math.max(...spansOf(piece.cut))
    const { sheets } = planPrint(derived, 'a4', 'mm')
    const item = sheets.flatMap((s) => s.placed).find((p) => p.item.piece.id === 'strap-long')!.item
    const words = item.drawn.flatMap((d) => (d.type === 'text' ? [d.text] : [])).join(' ')
    const [, whole, left] = /cut ([\d.]+) mm long from end to end ([\d.]+) mm of it left out/
      .exec(words)!
      .map(Number) as [number, number, number]
    expect(whole).toBeCloseTo(length, 1)
    expect(Math.max(...spansOf(item.outline)) + left).toBeCloseTo(length, 0)
  })
  const spansOf = (path: Path): number[] => {
    const { left, right, top, bottom } = boxOfPoints(pathPoints(path))
    return [right - left, bottom - top]
  }
})

describe('names in any script', () => {
  test.each(['Łódź', 'Ωmega', 'Кошелёк', 'Œuvre ñ'])(
    '%s is written with letters that are there',
    async (name) => {
      const derived = derive({ ...freshOf('card-sleeve'), name })
      const document = await PDFDocument.load(await writePdf(derived, { paper: 'a4', unit: 'mm', fonts }))
      expect(document.getTitle()).toBe(name)
      const { Fonts } = await import('../src/exchange/pdf/fonts.js')
      expect((await Fonts.of(await PDFDocument.create(), fonts, [name])).lacking([name])).toEqual([])
    },
  )
  test('letters that no face has are said, not drawn as boxes', async () => {
    const { Fonts } = await import('../src/exchange/pdf/fonts.js')
    const faces = await Fonts.of(await PDFDocument.create(), fonts, ['日本 boat 🧵?'])
    expect(faces.lacking(['日本 boat 🧵'])).toEqual(['日', '本', '🧵'])
    expect(
      faces
        .runs('日本 boat 🧵', false)
        .map((r) => r.words)
        .join(''),
    ).toBe('?? boat ?')
  })
})

test.each(madeKinds)('%s: no two pieces of one name that differ', (id) => {
  const names = alikePieces(derive(freshOf(id)).pieces).map((p) => p.name)
  expect(new Set(names).size).toBe(names.length)
})

import { PDFDocument } from 'pdf-lib'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { USUAL_PRINT, wishProblem } from '@drumlin/core/exchange/paper'
import { previewPages, writePdf } from '@drumlin/core/exchange/pdf'
import { boxPage } from '../src/exchange/pdf/extras/box.js'
import { cornersOf, templatePages } from '../src/exchange/pdf/extras/templates.js'
import { tileOf } from '../src/exchange/pdf/paper.js'
import { planPrint } from '../src/exchange/pdf/pages.js'
import { boxesTouch, pathBox, pathMoved } from '../src/geometry/index.js'
import { everyDesign, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'
import { pdfFonts } from '../../cli/src/fonts.js'

const fonts = await pdfFonts()
const fold = derive(freshOf('bifold'))
const wish = { ...USUAL_PRINT, paper: 'a4' } as const
const seen = (more: object, derived = fold) =>
  previewPages(derived, { ...wish, ...more }, { unit: 'mm', small: 'a4', date: '2026-11-28' })

describe('copies of a piece on paper', () => {
  test('as many as are asked for, none on another, told with their number', () => {
    const { sheets } = planPrint(fold, { ...wish, copies: { 'foot-pocket': 3 } }, 'mm')
    const placed = sheets.flatMap((s) =>
      s.placed
        .filter(({ item }) => item.piece.id === 'foot-pocket')
        .map(({ item, move }) => ({ s, box: pathBox(pathMoved(item.outline, move)) })),
    )
    expect(placed.length).toBe(3)
    placed.forEach((a, i) =>
      placed.slice(0, i).forEach((b) => expect(a.s === b.s && boxesTouch(a.box, b.box)).toBe(false)),
    )
    expect(
      seen({ copies: { 'foot-pocket': 3 } })
        .map((p) => p.names)
        .join(' | '),
    ).toMatch(/Foot pocket × [23]/)
  })
  test('of pieces that are drawn alike it is enough to ask for one', () => {
    const tote = derive(freshOf('tote', { pocket: 'none' }))
    const alike = tote.pieces.filter((p) => ['facing-front', 'facing-back'].includes(p.id)).map((p) => p.id)
    expect(alike.length).toBe(2)
    for (const id of alike) {
      const names = seen({ copies: { [id]: 3 } }, tote)
        .map((p) => p.names)
        .join(' | ')
      expect(names).toMatch(
        /Band of the front and Band of the back × 3|(Band of the front and Band of the back.*){3}/,
      )
    }
  })
  test('one and no number are the same', () =>
    expect(seen({ copies: { 'foot-pocket': 1 } })).toEqual(seen({})))
  test.each([0, 21, 1.5])('%d copies: a sentence', (count) =>
    expect(wishProblem({ ...wish, copies: { back: count } })).toBe(
      `A piece is printed 1 to 20 times; ${count} is not.`,
    ),
  )
})

describe('templates of card', () => {
  const case8 = derive(freshOf('gusseted-case', { corner: 8 }))
  test('each corner of the pieces once, with the pieces that have it', () =>
    expect(cornersOf(case8)).toEqual([{ radius: 8, names: ['Back and flap'] }]))
  test('a thumb notch is no corner', () => {
    const notched = derive(freshOf('card-sleeve', { grip: 'notch', corner: 6 }))
    expect(cornersOf(notched).map((c) => c.radius)).toEqual([6])
  })
  test('what is laid in has its own size: a card of 85.60 × 53.98', () => {
    const [page] = templatePages(fold, tileOf('a4', false), 'mm')
    const words = page!.flatMap((d) => (d.type === 'text' ? [d.text] : []))
    expect(words).toContain('85.6 mm × 54.0 mm')
  })
  test('ticks of the rule are a pitch apart, the margin from its edge', () => {
    const [page] = templatePages(fold, tileOf('a4', false), 'mm')
    const ticks = page!.flatMap((d) => (d.type === 'stroke' && d.layer === 'marks' ? [pathBox(d.path)] : []))
    const at = ticks.map((b) => b.left)
    for (let i = 1; i < at.length; i += 1) expect(at[i]! - at[i - 1]!).toBeCloseTo(fold.design.iron.pitch, 6)
    const middle = (ticks[0]!.top + ticks[0]!.bottom) / 2
    expect(middle - 12).toBeCloseTo(Number(fold.design.params.margin), 6)
  })
  test('of every demo and kind, on the smallest paper: nothing runs off a page or lies on another', () => {
    for (const { name, design } of everyDesign()) {
      const tile = tileOf('letter', false)
      for (const page of templatePages(derivedOf(design), tile, 'in')) {
        const cut = page.flatMap((d) => (d.type === 'stroke' && d.layer === 'cut' ? [pathBox(d.path)] : []))
        for (const box of cut) {
          expect(box.right, name).toBeLessThanOrEqual(tile.width + 1e-9)
          expect(box.bottom, name).toBeLessThanOrEqual(tile.height + 1e-9)
        }
        cut.forEach((a, i) => cut.slice(0, i).forEach((b) => expect(boxesTouch(a, b), name).toBe(false)))
      }
    }
  })
})

describe('a page for the box', () => {
  test('says what it is, which draft, when, and how large; it shows every piece', () => {
    const page = seen({ box: true }).at(-1)!
    const words = page.texts.map((t) => t.text).join('\n')
    expect(page.names).toBe('For the box')
    for (const said of [fold.design.name, fold.design.draft, '2026-11-28', 'outside'])
      expect(words).toContain(said)
    for (const piece of fold.pieces.filter((p) => p.panel.role !== 'guide'))
      expect(words, piece.name).toContain(piece.name.split(' ')[0])
    expect(page.picture!.shot.width).toBe(900)
  })
  test('with few pieces or many all of it lies on the page', () => {
    const tile = tileOf('letter', false)
    for (const { name, design } of everyDesign().filter((_, i) => i % 6 === 0))
      for (const d of boxPage(derivedOf(design), tile, 'in', undefined).drawn)
        if (d.type === 'text') {
          expect(d.at.x, name).toBeGreaterThanOrEqual(0)
          expect(d.at.x, name).toBeLessThanOrEqual(tile.width)
          expect(d.at.y, name).toBeLessThanOrEqual(tile.height)
        }
  })
  test('both are pages of the file, after the pattern; the same design, the same bytes', async () => {
    const written = () =>
      writePdf(fold, {
        paper: 'a4',
        unit: 'mm',
        fonts: fonts,
        print: { ...wish, box: true, templates: true },
      })
    const [one, other, plain] = [
      await written(),
      await written(),
      await writePdf(fold, { paper: 'a4', unit: 'mm', fonts: fonts }),
    ]
    expect(Buffer.compare(Buffer.from(one), Buffer.from(other))).toBe(0)
    const count = async (bytes: Uint8Array) => (await PDFDocument.load(bytes)).getPageCount()
    expect((await count(one)) - (await count(plain))).toBe(2)
  })
})

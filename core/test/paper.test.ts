import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { drawnPages, planPrint, writeCalibration, writePdf } from '@drumlin/core/exchange/pdf'
import {
  CALIBRATION,
  type Paper,
  type PrintWish,
  type Printer,
  type PrinterError,
  USUAL_PRINT,
  barSaid,
  errorOf,
  paperOf,
  toFit,
  wishProblem,
} from '@drumlin/core/exchange/paper'
import { pdfFonts } from '../../cli/src/fonts.js'
import { pathBox, pathMoved } from '../src/geometry/index.js'
import { demoDesign } from './support/all.js'
import { freshOf } from './support/designs.js'
import { pdfLines } from './support/pdfRead.js'

const fonts = await pdfFonts()
const printerOf = (error: PrinterError): Printer => ({
  id: 'p',
  name: 'the printer in the shed',
  date: '2026-11-28',
  paper: 'A4',
  ...error,
})
/** What the printer makes of a place on its page, upright as it goes in. */
const printed = ({ across, along, skew }: PrinterError, p: { x: number; y: number }) => ({
  x: across * p.x + skew * p.y,
  y: along * p.y,
})
/** Wishes with everything else as usual. */
const wish = (paper: Paper, more: Partial<PrintWish> = {}): PrintWish => ({ ...USUAL_PRINT, paper, ...more })

/** How far what comes out of the printer is from what was asked for, at the worst, wherever the page lies; mm. */
async function offBy(
  design: Parameters<typeof derive>[0],
  asked: PrintWish,
  error: PrinterError,
): Promise<number> {
  const bytes = await writePdf(derive(design), { paper: 'a4', unit: 'mm', fonts, print: asked })
  const pages = (await pdfLines(bytes)).filter(({ lines }) =>
    lines.some((l) => Math.abs(l.weight - 0.5) < 1e-9),
  )
  let worst = 0
  for (const { width, height, lines } of pages) {
    const lying = width > height
    // Lying, the page goes in on its side: its width along the feed.
    const out = (p: { x: number; y: number }) => {
      if (!lying) return printed(error, p)
      const { x, y } = printed(error, { x: height - p.y, y: p.x })
      return { x: y, y: height - x }
    }
    // Page and sheet may lie turned against each other: what is between any places is what counts.
    const places = lines
      .filter((l) => Math.abs(l.weight - 0.5) < 1e-9)
      .flatMap((l) => l.onPage.map((p, i) => ({ out: out(p), asked: l.asked[i]! })))
    const far = (a: { x: number; y: number }, b: { x: number; y: number }) => Math.hypot(a.x - b.x, a.y - b.y)
    for (const from of [0, 0.3, 0.6, 0.9].map((share) => places[Math.floor(share * places.length)]!))
      for (const to of places)
        worst = Math.max(worst, Math.abs(far(from.out, to.out) - far(from.asked, to.asked)))
  }
  expect(pages.length).toBeGreaterThan(0)
  return worst
}

describe('pages put together again as another program reads them', () => {
  const tote = freshOf('tote')
  test.each(['upright', 'lying'] as const)(
    '%s: every cut line lies true, so what two pages share meets',
    async (way) => {
      expect(await offBy(tote, wish('a4', { way }), { across: 1, along: 1, skew: 0 })).toBeLessThan(0.01)
    },
  )
  test.each(['upright', 'lying'] as const)(
    '%s: from a printer too small and skewed they are off, made true for it they are not',
    async (way) => {
      const error = { across: 0.985, along: 0.987, skew: 0.003 }
      expect(await offBy(tote, wish('a4', { way }), error)).toBeGreaterThan(2)
      expect(await offBy(tote, wish('a4', { way, printer: printerOf(error) }), error)).toBeLessThan(0.05)
    },
  )
  test('what is printed stays inside the border that the printer can print', async () => {
    for (const across of [0.97, 1.03]) {
      const asked = wish('letter', { border: 6, printer: printerOf({ across, along: across, skew: 0 }) })
      const bytes = await writePdf(derive(tote), { paper: 'letter', unit: 'mm', fonts, print: asked })
      for (const { width, lines } of await pdfLines(bytes))
        for (const l of lines.filter((one) => one.weight < 0.5))
          for (const p of l.onPage.filter((q) => q.x < 0)) expect(p.x).toBeGreaterThan(width)
    }
  })
})

describe('any paper', () => {
  const bag = demoDesign('pilots-bag')
  const derived = derive(bag)
  test('larger paper takes fewer pages; all pieces are on them', () => {
    const pages = (['a4', 'a3', 'a0'] as const).map((paper) =>
      drawnPages(derived, planPrint(derived, wish(paper), 'mm'), wish(paper)),
    )
    const counts = pages.map((p) => p.length)
    expect(counts[1]!).toBeLessThan(counts[0]!)
    expect(counts[2]!).toBeLessThan(counts[1]!)
    const all = new Set(
      planPrint(derived, wish('a4'), 'mm').sheets.flatMap((s) => s.placed.map((p) => p.item.piece.id)),
    )
    for (const set of pages) expect(new Set(set.flatMap((p) => p.pieces))).toEqual(all)
  })
  test('a roll is one page, as long as what lies on it, whole straps among them', () => {
    const asked = wish({ width: 914, height: 0 })
    const plan = planPrint(derived, asked, 'mm')
    const [page, ...more] = drawnPages(derived, plan, asked)
    expect(more).toEqual([])
    const reach = Math.max(
      ...plan.sheets[0]!.placed.map(({ item, move }) => pathBox(pathMoved(item.outline, move)).bottom),
    )
    expect(page!.height).toBeGreaterThan(reach + 20)
    expect(page!.height).toBeLessThan(reach + 40)
    const longest = Math.max(
      ...plan.sheets[0]!.placed.map(({ item }) => {
        const b = pathBox(item.outline)
        return Math.max(b.right - b.left, b.bottom - b.top)
      }),
    )
    // Nothing is left out of a strap that a small sheet would shorten.
    const cut = Math.max(
      ...derived.pieces.map((p) => {
        const b = pathBox(p.cut)
        return Math.max(b.right - b.left, b.bottom - b.top)
      }),
    )
    expect(longest).toBeCloseTo(cut, 6)
  })
  test('only the pieces that are chosen', () => {
    const [one] = derived.pieces
    const plan = planPrint(derived, wish('a4', { pieces: [one!.id] }), 'mm')
    expect(plan.sheets.flatMap((s) => s.placed.map((p) => p.item.piece.id))).toEqual([one!.id])
  })
  test('what can’t be printed on is said', () => {
    expect(wishProblem(wish('a4'))).toBeUndefined()
    expect(wishProblem(wish({ width: 50, height: 100 }))).toMatch(/between 90 mm and 2000 mm wide; 50 mm/)
    expect(wishProblem(wish({ width: 300, height: 9000 }))).toMatch(/between 90 mm and 5000 mm long/)
    expect(wishProblem(wish('a4', { border: 80 }))).toMatch(/border is between/)
    expect(wishProblem(wish('a4', { overlap: Number.NaN }))).toMatch(/overlap/)
    expect(wishProblem(wish({ width: 100, height: 100 }, { overlap: 30 }))).toMatch(/less overlap/)
    expect(wishProblem(wish('a4', { pieces: [] }))).toMatch(/No piece is chosen/)
    expect(paperOf('tabloid')).toMatchObject({ width: 279.4, height: 431.8 })
  })
})

describe('what a printer makes of a page, from what is read off one', () => {
  test('by pencil: 147.75 and 197.4 mm are 98.5 % and 98.7 %', () => {
    expect(errorOf({ across: 147.75, along: 197.4 })).toEqual({ across: 0.985, along: 0.987, skew: 0 })
  })
  test('skew comes back from its diagonals, whatever the error', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.93, max: 1.07, noNaN: true }),
        fc.double({ min: 0.93, max: 1.07, noNaN: true }),
        fc.double({ min: -0.01, max: 0.01, noNaN: true }),
        (across, along, skew) => {
          const at = (x: number, y: number) => printed({ across, along, skew }, { x, y })
          const [w, h] = [CALIBRATION.across, CALIBRATION.along]
          const far = (a: { x: number; y: number }, b: { x: number; y: number }) =>
            Math.hypot(a.x - b.x, a.y - b.y)
          const found = errorOf({
            across: far(at(0, 0), at(w, 0)),
            along: h * along,
            falling: far(at(0, 0), at(w, h)),
            rising: far(at(w, 0), at(0, h)),
          }) as PrinterError
          expect(found.across).toBeCloseTo(across, 9)
          expect(found.along).toBeCloseTo(along, 9)
          expect(found.skew).toBeCloseTo(skew, 9)
        },
      ),
    ))
  test('bars of 0, 300 and no length are refused in words, and half a skew', () => {
    for (const across of [0, 300, Number.NaN, -150])
      expect(errorOf({ across, along: 200 })).toMatchObject({
        problem: expect.stringContaining('The bar across is 150 mm'),
      })
    expect(errorOf({ across: 150, along: 200, falling: 250 })).toMatchObject({
      problem: expect.stringContaining('both diagonals'),
    })
    expect(errorOf({ across: 150, along: 200, falling: 250, rising: 20 })).toMatchObject({
      problem: expect.stringContaining('rising'),
    })
  })
  test('a page printed to fit is told from a printer that errs', () => {
    expect(toFit({ across: 0.94, along: 0.941 })).toBe(true)
    expect(toFit({ across: 0.985, along: 0.987 })).toBe(false)
    expect(toFit({ across: 0.95, along: 0.99 })).toBe(false)
  })
  test('a bar ticked on paper says whether the print is true', () => {
    expect([barSaid(100), barSaid(99.8), barSaid(100.3)]).toEqual([undefined, undefined, undefined])
    expect(barSaid(98.5)).toMatch(/1.5 % too small: throw it away\. Measure the printer/)
    expect(barSaid(94)).toMatch(/fit to page/)
    expect(barSaid(0)).toMatch(/Read it again/)
  })
  test('the calibration sheet has its bars at their lengths', async () => {
    for (const paper of ['a4', 'letter'] as const) {
      const [page] = await pdfLines(await writeCalibration({ paper, unit: 'mm', fonts }))
      const lengths = page!.lines.map(({ onPage: [a, b] }) => Math.hypot(b!.x - a!.x, b!.y - a!.y))
      expect(lengths.filter((l) => Math.abs(l - CALIBRATION.across) < 0.001)).toHaveLength(1)
      expect(lengths.filter((l) => Math.abs(l - CALIBRATION.along) < 0.001)).toHaveLength(1)
      for (const l of page!.lines) for (const p of l.onPage) expect(p.y).toBeLessThan(page!.height - 5)
    }
  })
})

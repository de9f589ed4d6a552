import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import {
  type DieWish,
  USUAL_DIE,
  dieProblem,
  diePreview,
  diesOf,
  writeDieDxf,
  writeDieSvg,
} from '@drumlin/core/exchange/die'
import {
  boxWidth,
  pathBox,
  pathEnd,
  pathLength,
  pathNearest,
  pathPoints,
  pathStart,
  pointDistance,
} from '../src/geometry/index.js'
import { everyDesign, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'
import { drawingOf, panelOf } from './support/drawing.js'
import { some } from './support/long.js'

const box = derive(drawingOf([panelOf('rectangle', { width: 100, height: 60 })]))
const dieOf = (more: Partial<DieWish> = {}) => diesOf(box, { ...USUAL_DIE, ...more }, 'mm')[0]!
const pathsOf = (die: ReturnType<typeof dieOf>, layer: string) =>
  die.drawn.flatMap((d) => (d.type === 'stroke' && d.layer === layer ? [d.path] : []))

describe('a die to order', () => {
  test('its edge is the outline of the piece; rule for 320 mm round a rectangle of 100 × 60', () => {
    const die = dieOf()
    expect(pathsOf(die, 'cut')).toEqual([box.pieces[0]!.cut])
    expect(die.rule).toBeCloseTo(320, 6)
  })
  test('ground from outside, the middle of the rule lies half of it further out: 4 × 1.05 longer round', () =>
    expect(dieOf({ edge: 'inside' }).rule).toBeCloseTo(320 + 4 * 1.05, 6))
  test('four slots of the board with four gaps of 8 between them, as wide as the rule', () => {
    const slots = pathsOf(dieOf(), 'marks')
    expect(slots.length).toBe(4)
    // Each goes up one face and down the other, and has two ends.
    const round = slots.reduce((sum, s) => sum + pathLength(s), 0)
    expect((round - 4 * 2 * 1.05) / 2).toBeCloseTo(320 - 4 * 8, 0)
  })
  test('without gaps a slot is whole: its outer face and its inner one', () => {
    const [outer, inner] = pathsOf(dieOf({ gaps: 0 }), 'marks')
    expect([boxWidth(pathBox(outer!)), boxWidth(pathBox(inner!))]).toEqual([
      expect.closeTo(101.05, 6),
      expect.closeTo(98.95, 6),
    ])
  })
  test('no gap comes at a corner: they lie 8 wide in the middle of the four sides', () => {
    const corners = box.pieces[0]!.cut.segments.map((s) => s.from)
    const ends = pathsOf(dieOf(), 'marks').flatMap((slot) => [pathStart(slot), pathEnd(slot)])
    for (const end of ends)
      for (const corner of corners) expect(pointDistance(end, corner)).toBeGreaterThan(20)
  })
  test('holes and slots that are cut through are punches: those of a holder’s loop, one beside the edge told', () => {
    const holder = diesOf(derive(freshOf('moulded-holder')), USUAL_DIE, 'mm').find((d) => d.id === 'back')!
    expect(holder.punches).toBe(2)
    expect(pathsOf(holder, 'openings').length).toBe(2)
    const holed = (inward: number) => {
      const hole = {
        id: 'h',
        type: 'hole' as const,
        where: { type: 'place' as const, x: 50 - inward, y: 30 },
        text: '',
        angle: 0,
        length: 0,
        width: 0,
        punch: 3,
      }
      const panel = panelOf('rectangle', { width: 100, height: 60 }, { marks: [hole] })
      return diesOf(derive(drawingOf([panel])), USUAL_DIE, 'mm')[0]!
    }
    // 5 between two rules, half of it beside a punch, and the rule: 2.5 + 1.05 from its rim.
    expect(holed(4.9).troubles).toEqual([
      'A hole or slot lies too near the edge for a punch beside the rule: by hand.',
    ])
    expect([holed(5.2).troubles, holed(5.2).punches]).toEqual([[], 1])
  })
  test('a corner tighter than the rule bends, two rules near each other, and a hole beside one are told', () => {
    const round = (radius: number) =>
      diesOf(derive(drawingOf([panelOf('rounded', { width: 100, height: 60, radius })])), USUAL_DIE, 'mm')[0]!
    // 1.5 × 1.05
    expect(round(1).troubles.join(' ')).toMatch(
      /corner of 1\.0 mm is tighter than this rule bends \(1\.6 mm\)/,
    )
    expect(round(2).troubles).toEqual([])
    const slim = derive(drawingOf([panelOf('rectangle', { width: 100, height: 5 })]))
    expect(diesOf(slim, USUAL_DIE, 'mm')[0]!.troubles.join(' ')).toMatch(/5\.0 mm near each other/)
    expect(dieOf().troubles).toEqual([])
  })
  test.each([
    [{ rule: 0.1 }, /thickness of the rule is between 0\.45 mm and 3\.00 mm; 0\.10 mm is not/],
    [{ gaps: 13 }, /number of gaps is between 0 and 12; 13 is not/],
    [{ pieces: [] }, /No piece is chosen/],
  ])('%j is refused in words', (more, words) => expect(dieProblem({ ...USUAL_DIE, ...more })).toMatch(words))
  test('of every demo and kind: slots lie half a rule from its middle, none crosses the edge by more', () => {
    for (const { name, design } of some(everyDesign(), 2))
      for (const die of diesOf(derivedOf(design), USUAL_DIE, 'mm'))
        for (const slot of pathsOf(die, 'marks'))
          for (const p of pathPoints(slot, 0.5)) {
            const away = pathNearest(die.edge, p).distance
            expect(away, `${name} ${die.name}`).toBeLessThan(USUAL_DIE.rule * 1.2)
          }
  })
  test('any rule and any gaps: slots and gaps are the whole way round', () =>
    fc.assert(
      fc.property(
        fc.record({
          rule: fc.double({ min: 0.45, max: 2, noNaN: true }),
          gaps: fc.integer({ min: 1, max: 6 }),
          gapWide: fc.double({ min: 3, max: 12, noNaN: true }),
        }),
        (wish) => {
          const slots = pathsOf(dieOf(wish), 'marks')
          const round = slots.reduce((sum, s) => sum + pathLength(s), 0)
          const slotted = (round - slots.length * 2 * wish.rule) / 2
          // Where a gap ends at a corner, one face is cut there and the other is not.
          expect(Math.abs(slotted - (320 - wish.gaps * wish.gapWide))).toBeLessThan(wish.rule)
        },
      ),
      { seed: 3, numRuns: 40 },
    ))
  test('it is written as DXF and SVG: edge, slots and words each on a layer', () => {
    const bag = derive(freshOf('tote'))
    const dxf = writeDieDxf(bag, USUAL_DIE, 'mm')
    for (const layer of ['cut', 'marks', 'openings', 'label']) expect(dxf).toContain(`\n8\n${layer}\n`)
    const svg = writeDieSvg(bag, USUAL_DIE, 'mm')
    expect(svg).toContain('rule 1.05 mm, edge in its middle')
    const seen = diePreview(bag, USUAL_DIE, 'mm')
    expect(seen.dies.map((d) => d.name)).toContain('Front')
    expect(svg).toContain(`width="${Math.round(seen.width * 1000) / 1000}mm"`)
  })
})

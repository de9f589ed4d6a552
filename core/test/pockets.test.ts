import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import type { Term } from '@drumlin/core/working'
import { boxHeight, boxWidth, pathBox, pathNearest, pathPoints, pointInside } from '../src/geometry/index.js'
import { layersAt, sheetThickness, thicknessAt } from '../src/layup/index.js'
import { many } from './support/long.js'
import { freshOf, sizeOf } from './support/designs.js'
import { HALF_HOLE, finishedBox, pieceOf, plain } from './support/plain.js'

/** The value of an input of a size, by the way to it through the workings. */
function inputOf(derived: Derived, key: string, way: readonly string[]): number {
  let term: Term = derived.master.sizes.find((s) => s.size.key === key)!.size
  for (const name of way) if (term.kind === 'reckoned') term = term.inputs[name]!
  return term.value
}

const SCHOOLS = ['butted', 'lapped', 'overlap', 'slits'] as const
const anyPile = fc.record({
  pockets: fc.integer({ min: 1, max: 6 }),
  cardsPerPocket: fc.integer({ min: 1, max: 3 }),
  school: fc.constantFrom(...SCHOOLS),
  feet: fc.constantFrom('sewn', 'glued', 'both'),
  reveal: fc.integer({ min: 16, max: 36 }).map((n) => n / 2),
  lap: fc.integer({ min: 4, max: 60 }).map((n) => n / 2),
  shown: fc.integer({ min: 10, max: 40 }).map((n) => n / 2),
  topPocket: fc.constantFrom('full', 'clear'),
  tops: fc.constantFrom('raw', 'turned'),
  grip: fc.constantFrom('none', 'notch', 'slot'),
  hidden: fc.constantFrom('none', 'behind'),
  corner: fc.constantFrom(0, 4, 10),
})
const seeded = { seed: 23, numRuns: many(20, 50) }

describe('whatever pile of pockets', () => {
  test('every pocket, pouch and tape lies inside the inside', () =>
    fc.assert(
      fc.property(anyPile, (params) => {
        const [open] = derive(freshOf('bifold', params)).works
        const inside = open!.sheets.find((s) => s.sheet.id === 'inside-left')!
        for (const laid of open!.sheets.filter((s) => /^(pocket|pouch|stay|slits|backing)/.test(s.sheet.id)))
          for (const p of pathPoints(laid.placed, 0.1).filter((q) =>
            laid.sheet.clips.every((c) => (q.x - c.at.x) * c.inward.x + (q.y - c.at.y) * c.inward.y > 0),
          ))
            expect(
              pointInside(p, inside.placed) || pathNearest(inside.placed, p).distance < 1e-6,
              laid.sheet.id,
            ).toBe(true)
      }),
      seeded,
    ))
  test('cards go in between the stitches, and the uppermost stays under the edge', () =>
    fc.assert(
      fc.property(anyPile, (params) => {
        const { fits } = derive(freshOf('bifold', params)).master
        for (const fit of fits.filter((f) => f.rank === 'stop'))
          expect(fit.has.value, fit.id).toBeGreaterThanOrEqual(fit.needs.value - 1e-6)
      }),
      seeded,
    ))
  test('every card stands on the floor of its pocket and shows what it should', () =>
    fc.assert(
      fc.property(anyPile, (params) => {
        const derived = derive(freshOf('bifold', { ...params, tops: 'raw' }))
        const [open] = derived.works
        const sheet = (id: string) => open!.sheets.find((s) => s.part === 'whole' && s.sheet.id === id)!
        const shorten = sizeOf(derived, 'pocket.depth') - (53.98 - params.shown)
        expect(shorten).toBeCloseTo(0, 9)
        for (let i = 1; i <= params.pockets && params.school !== 'slits'; i += 1) {
          const [card, pocket] = [sheet(`cards-${i}-left`), sheet(`pocket-${i}-left`)]
          const shows = pocket.box.top - card.box.top
          expect(shows).toBeGreaterThanOrEqual(params.shown - 1e-6)
          expect(card.box.bottom).toBeLessThan(pocket.box.bottom)
          expect(card.box.left).toBeGreaterThan(3 + HALF_HOLE - 1e-6)
        }
      }),
      seeded,
    ))
  test('as many pieces are cut as lie in the work', () =>
    fc.assert(
      fc.property(anyPile, (params) => {
        const { pieces, works } = derive(freshOf('bifold', params))
        const lying = new Map<string, Set<string>>()
        for (const { sheet, part } of works[0]!.sheets)
          if (sheet.type === 'panel' && part === 'whole') {
            // Halves of one folded piece are one piece.
            const id = sheet.id.replace(/-(back|front)$/, '')
            const own = ['outside', 'inside'].includes(sheet.panelId) ? sheet.panelId : id
            lying.set(sheet.panelId, (lying.get(sheet.panelId) ?? new Set()).add(own))
          }
        for (const piece of pieces.filter((p) => p.panel.role !== 'guide'))
          expect([piece.id, lying.get(piece.id)?.size]).toEqual([piece.id, piece.count])
      }),
      seeded,
    ))
})

describe('the schools, by pencil, leather 1 mm', () => {
  test.each([
    ['butted', 5, 2 + 5],
    ['lapped', 5, 2 + 5],
    ['overlap', 3, 2 + 3],
    ['slits', 3, 2 + 1 + 3 * 2 * 0.2],
  ] as const)('%s, %i pockets: %f mm where all lie over one another', (school, pockets, max) => {
    const { works } = plain('bifold', { school, pockets, currency: 'none', topPocket: 'full', reveal: 8 })
    const all = [...Array(200).keys()].map((k) => thicknessAt(works[0]!, { x: 48, y: 5 + k * 0.4 }))
    expect(Math.max(...all)).toBeCloseTo(max, 6)
  })
  test('between two butted arms nothing is doubled; a lap of 6 doubles 6 mm', () => {
    const doubled = (school: string): number => {
      const derived = plain('bifold', { school, lap: 6, reveal: 12, pockets: 3 })
      const steps = [...Array(700).keys()].map((k) => ({ x: 1.5, y: 10 + k * 0.1 }))
      return (
        steps.filter(
          (p) =>
            layersAt(derived.works[0]!, p).filter((l) => l.laid.sheet.id.startsWith('pocket')).length === 2,
        ).length * 0.1
      )
    }
    expect(doubled('butted')).toBeLessThan(0.15)
    expect(doubled('lapped')).toBeCloseTo(12, 0)
  })
  test('a lap is never longer than the reveal', () =>
    expect(sizeOf(plain('bifold', { lap: 30, reveal: 9 }), 'pocket.lap')).toBe(9))
  test('slits stand a reveal apart, in the middle of the panel, well inside its seams', () => {
    const derived = plain('bifold', { school: 'slits', pockets: 3, reveal: 14 })
    const panel = derived.panels.find((p) => p.id === 'slit-panel')!
    const slits = (panel.marks ?? []).flatMap((m) => (m.type === 'slot' ? [m] : []))
    const ys = slits.map((m) => m.at.y)
    expect(ys[1]! - ys[0]!).toBeCloseTo(14, 9)
    expect(ys[2]! - ys[1]!).toBeCloseTo(14, 9)
    const width = boxWidth(pathBox(panel.outline))
    for (const { at, length } of slits) {
      expect(at.x).toBeCloseTo(width / 2, 9)
      expect((width - length) / 2).toBeGreaterThanOrEqual(3 + HALF_HOLE + 4 - 1e-9)
    }
    expect(boxWidth(finishedBox(derived, 'pouch'))).toBeLessThan(width - 2 * (3 + HALF_HOLE))
  })
  test('the guide steps down to each pocket’s top', () => {
    const derived = plain('bifold', { pockets: 4, reveal: 11 })
    const guide = derived.panels.find((p) => p.id === 'guide')!
    const steps = guide.edges.filter((e) => e.id.startsWith('step-'))
    const heights = steps.map((e) => guide.outline.segments[e.first]!.from.y)
    const tops = [1, 2, 3, 4].map(
      (i) => derived.works[0]!.sheets.find((s) => s.sheet.id === `pocket-${i}-left`)!.box.top,
    )
    heights.forEach((h, i) => expect(h).toBeCloseTo(tops[i]!, 6))
  })
  test('tape lies inside every turned top, and the border over it', () => {
    const derived = plain('bifold', { tops: 'turned', pockets: 2 })
    const [open] = derived.works
    const top = open!.sheets.find((s) => s.sheet.id === 'pocket-1-left')!.box.top
    const there = layersAt(open!, { x: 48, y: top + 4 }).map((l) => `${l.laid.sheet.id} ${l.laid.part}`)
    expect(there.filter((t) => /pocket-1|stay-1/.test(t))).toEqual([
      'pocket-1-left turn',
      'stay-1-left whole',
      'pocket-1-left whole',
    ])
  })
  test('a thumb slot is an oblong in the pocket’s own leather, under its top', () => {
    const derived = plain('bifold', { grip: 'slot' })
    for (const id of ['pocket', 'foot-pocket']) {
      const piece = pieceOf(derived, id)
      const slot = piece.panel.marks!.find((m) => m.id === 'thumb')!
      expect('at' in slot && pointInside(slot.at, piece.finished)).toBe(true)
      expect('at' in slot && slot.at.y).toBeLessThan(boxHeight(pathBox(piece.finished)) / 2)
    }
  })
  test('the same pile in the case: as deep and as wide as in the sleeve', () => {
    const [sleeve, spectacles] = ['card-sleeve', 'gusseted-case'].map((kind) => plain(kind, { pockets: 1 }))
    for (const key of ['pocket.width', 'pocket.depth'])
      expect(sizeOf(spectacles!, key)).toBeCloseTo(sizeOf(sleeve!, key), 9)
  })
  test.each([undefined, 0.3])('the pile rises over what really lies there, feet skived to %s', (foot) => {
    let shrunk = 0
    for (const pockets of [2, 3, 4, 5, 6])
      for (const topPocket of ['full', 'clear'])
        for (const reveal of [8, 11, 14]) {
          const design = freshOf('bifold', { school: 'butted', pockets, topPocket, reveal })
          const derived = derive({ ...design, skives: foot === undefined ? {} : { 'pocket.foot': foot } })
          const sheets = derived.works[0]!.sheets.filter((s) => /^(foot-)?pocket.*-left$/.test(s.sheet.id))
          const t = derived.design.leathers.pockets!.thickness
          const [top, foot0] = [
            Math.min(...sheets.map((s) => s.box.top)),
            Math.max(...sheets.map((s) => s.box.bottom)),
          ]
          const x = (sheets[0]!.box.left + sheets[0]!.box.right) / 2
          // By walking down the middle of the laid-up pile.
          let max = 0
          for (let y = top; y < foot0; y += 0.05)
            max = Math.max(
              max,
              sheets.reduce((sum, s) => sum + sheetThickness(s, { x, y }), 0),
            )
          const layers = inputOf(derived, 'pocket.width', ['between', 'room', 'rise', 'layers'])
          expect(layers, `${pockets} ${topPocket} ${reveal}`).toBeCloseTo(max / t - 1, 1)
          if (max / t < pockets - 0.01) shrunk += 1
        }
    expect(shrunk).toBeGreaterThan(3)
  })
})

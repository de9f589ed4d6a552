import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import type { DrawnPanel } from '@drumlin/core/drawn'
import { pathBox, pathLength } from '@drumlin/core/geometry'
import { MITRE, evaluate } from '../src/formulas/index.js'
import { pathArea, pathNearest, pathPoints } from '../src/geometry/index.js'
import { thicknessAt } from '../src/layup/index.js'
import { derived, drawingOf, layer, numberOf, panelOf, turned, withFate } from './support/drawing.js'

const square = (fate: DrawnPanel['edges'][number]['fate'], more: Partial<DrawnPanel> = {}) =>
  withFate(panelOf('rectangle', { width: 100, height: 60 }, more), fate)

describe('a turned edge, by pencil', () => {
  test('8 mm of 1.2 mm leather without core: cut 8 − 0.429 × 1.2 = 7.485 beyond, folded to 15.485 from the cut', () => {
    const d = derived(square(turned(8)))
    expect(numberOf(d, '.allowance')).toBeCloseTo(8 + (Math.PI / 2 - 2) * 1.2, 9)
    expect(numberOf(d, '.foldTo')).toBeCloseTo(16 + (Math.PI / 2 - 2) * 1.2, 9)
    const box = pathBox(d.pieces[0]!.cut)
    expect(box.right - box.left).toBeCloseTo(100 + 2 * numberOf(d, '.allowance'), 6)
  })
  test('over 1 mm of board with a round edge 0.571 mm more, with a square one 1 mm more', () => {
    const bare = numberOf(derived(square(turned(8))), '.allowance')
    const over = (core: string) =>
      numberOf(derived(square(turned(8, { core }), { layers: [layer('board')] })), '.allowance')
    expect(over('round') - bare).toBeCloseTo(Math.PI / 2 - 1, 9)
    expect(over('square') - bare).toBeCloseTo(1, 9)
  })
  test('skived evenly it is (1.2 + 0.25) / 2 thick at the fold, and as thick as the leather everywhere', () => {
    const d = derived(square(turned(8, { school: 'even' })))
    expect(numberOf(d, '.atFold')).toBeCloseTo(0.725, 9)
    for (const x of [-46, -44, -42.5])
      expect(thicknessAt(d.works[0]!, { x, y: 30 })).toBeCloseTo(1.2 + 0.25, 2)
    expect(thicknessAt(d.works[0]!, { x: 0, y: 30 })).toBe(1.2)
  })
  test('skived from the fold out it is twice the leather at the fold and once where it lands', () => {
    const d = derived(square(turned(8)))
    const at = (inside: number): number => thicknessAt(d.works[0]!, { x: -50 + inside, y: 30 })
    expect(at(0.1)).toBeGreaterThan(2.2)
    expect(at(7.9)).toBeLessThan(1.25)
  })
  test('what the maker writes over the working is what is cut', () => {
    const design = drawingOf([square(turned(8))], 1.2, { overrides: { 'panel.top.allowance': 10 } })
    const box = pathBox(derive(design).pieces[0]!.cut)
    expect(box.right - box.left).toBeCloseTo(120, 6)
  })
})

describe('corners of a turned edge', () => {
  test('square corners are cut off at 45°, one and a half times the leather from the corner', () => {
    const d = derived(square(turned(8)))
    const mitres = d.edges[0]!.treatments.filter((t) => t.sort === 'mitre')
    expect(mitres).toHaveLength(4)
    for (const m of mitres) {
      expect(m.root).toBeCloseTo(1.5 * 1.2, 9)
      // The cut passes the finished corner at that distance and nowhere nearer.
      expect(pathNearest(d.pieces[0]!.cut, m.at).distance).toBeCloseTo(1.8, 6)
    }
  })
  test('round 25 mm the edge is too much by π/2 × (2 w + B), lost in pleats of 2.5 mm', () => {
    const d = derived(withFate(panelOf('rounded', { width: 200, height: 120, radius: 25 }), turned(8)))
    const corners = d.edges[0]!.treatments.filter((t) => t.sort === 'pleats')
    expect(corners).toHaveLength(4)
    const excess = (Math.PI / 2) * (16 + (Math.PI / 2 - 2) * 1.2)
    expect(corners[0]!.numbers[0]!.value).toBeCloseTo(excess, 2)
    expect(corners[0]!.count).toBe(Math.ceil(excess / 2.5))
  })
  test('round 12 mm pleats would pile up: V cuts instead', () => {
    const d = derived(withFate(panelOf('rounded', { width: 200, height: 120, radius: 12 }), turned(8)))
    expect(new Set(d.edges[0]!.treatments.map((t) => t.sort))).toEqual(new Set(['v-cuts']))
  })
  test('an inward curve is snipped, and a hollow gentle enough is left alone', () => {
    const hollow = (rise: number): DrawnPanel => {
      const p = panelOf('rectangle', { width: 120, height: 80 })
      return withFate(
        { ...p, nodes: p.nodes.map((n, i) => (i === 1 ? { ...n, going: { type: 'arc', rise } } : n)) },
        turned(8),
        'side',
      )
    }
    const sorts = (rise: number): string[] => derived(hollow(rise)).edges[0]!.treatments.map((t) => t.sort)
    expect(sorts(-20)).toContain('snips')
    expect(sorts(-2)).not.toContain('snips')
  })
  test('where a slanting side runs in, the end of the turn is cut back to lie within it', () => {
    const p = panelOf('trapezium', { top: 100, foot: 160, height: 60 })
    const d = derived(withFate(p, turned(10), 'foot'))
    const box = pathBox(d.pieces[0]!.cut)
    const widest = Math.max(
      ...pathPoints(d.pieces[0]!.cut)
        .filter((q) => q.y > box.bottom - 0.01)
        .map((q) => q.x),
    )
    // Folded up by 10 the panel is 10 × 30 / 60 narrower on each side.
    expect(widest).toBeCloseTo(80 - numberOf(d, '.allowance') * 0.5, 2)
  })
})

describe('other fates', () => {
  test.each([
    ['trimmed flush', { type: 'trimmed', margin: 3, trim: 2, finish: 'burnished' }, 104],
    ['left long', { type: 'long', by: 15 }, 130],
    ['sewn', { type: 'sewn', margin: 3, finish: 'burnished' }, 100],
    ['bound in 0.8 mm', { type: 'bound', width: 6, binding: 0.8, margin: 4 }, 98.4],
    ['raw', { type: 'raw', finish: 'painted' }, 100],
  ] as const)('%s: the cut is as wide as it should be', (_, fate, width) => {
    const box = pathBox(derived(square(fate)).pieces[0]!.cut)
    expect(box.right - box.left).toBeCloseTo(width, 6)
  })
  test('a binding is as long as its edge and wide enough to wrap it', () => {
    const d = derived(square({ type: 'bound', width: 6, binding: 0.8, margin: 4 }))
    expect(numberOf(d, 'binding-top.width')).toBeCloseTo(
      12 + (Math.PI / 2 - 1) * 1.2 + (Math.PI / 2 - 2) * 0.8,
      9,
    )
    expect(numberOf(d, 'binding-top.length')).toBeCloseTo(320 + 15, 6)
    expect(d.pieces.find((p) => p.id === 'panel-binding-top')!.thickness).toBe(0.8)
  })
  test('a hem with two rows has a row beside either side of it', () => {
    const d = derived(
      withFate(
        panelOf('rectangle', { width: 100, height: 60 }),
        turned(18, { type: 'rolled', lines: 2, margin: 4 }),
        'top',
      ),
    )
    expect(d.runs.map((r) => [r.path.segments[0]!.from.y, r.path.segments[0]!.to.y])).toEqual([
      [4, 4],
      [14, 14],
    ])
  })
  test('an edge on a fold is drawn as a fold, not cut over size', () => {
    const d = derived(withFate(panelOf('rectangle', { width: 100, height: 60 }), { type: 'doubled' }, 'foot'))
    expect(d.pieces[0]!.marks.find((m) => m.type === 'fold')).toMatchObject({ note: 'cut on the fold' })
    expect(pathArea(d.pieces[0]!.cut)).toBeCloseTo(6000, 6)
  })
})

describe('findings', () => {
  const said = (...panels: DrawnPanel[]): string[] =>
    findingsOf(derived(...panels)).map((f) => sayFinding(f, 'mm').what)
  test('a turn wider than the panel is a stop, and the last good outline is still cut', () => {
    const strip = withFate(panelOf('rectangle', { width: 100, height: 20 }), turned(15))
    expect(said(strip)).toContainEqual(expect.stringMatching(/turned .* wider than the panel has room for/))
    expect(pathLength(derived(strip).pieces[0]!.cut)).toBeGreaterThan(200)
  })
  test('a turn its stitches would miss wants to be wider', () =>
    expect(said(square(turned(4, { lines: 1, margin: 3 })))).toContainEqual(
      expect.stringMatching(/4.0 mm wide and sewn 3.0 mm from its edge; 5.7 mm is wanted/),
    ))
  test('a skive no tool makes is found; a wide one is not', () => {
    const asked = (width: number) =>
      square(
        { type: 'raw', finish: 'left' },
        {
          skives: [
            { id: 's', name: 'skive', where: { type: 'edge', edge: 'side' }, width, start: 0.2, end: 1.2 },
          ],
        },
      )
    expect(said(asked(1))).toContainEqual(expect.stringMatching(/45° steep; no tool does that well/))
    expect(said(asked(8))).toEqual([])
  })
  test('a stitch line through leather thinner than it bears is found', () => {
    const thin = square(
      { type: 'sewn', margin: 3, finish: 'left' },
      {
        skives: [
          { id: 's', name: 'skive', where: { type: 'edge', edge: 'side' }, width: 6, start: 0.1, end: 0.3 },
        ],
      },
    )
    expect(said(thin)).toContainEqual(
      expect.stringMatching(/goes through a skive of the panel where 0.2 mm is left/),
    )
  })
})

test('the fold-to mark lands where the edge lands, for any rounded panel', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 300, noNaN: true }),
      fc.double({ min: 60, max: 300, noNaN: true }),
      fc.double({ min: 0, max: 25, noNaN: true }),
      fc.double({ min: 4, max: 14, noNaN: true }),
      fc.double({ min: 0.6, max: 3, noNaN: true }),
      (width, height, radius, w, t) => {
        const panel = withFate(panelOf('rounded', { width, height, radius }), turned(w))
        const d = derive(drawingOf([panel], t))
        const { turned: chains, cut, panel: finished } = d.edges[0]!
        const { landing, turn } = chains[0]!
        // The landing lies the turn's width inside the finished edge, and the cut line its allowance outside.
        for (const { at, on } of [
          ...pathPoints(landing!, 1).map((at) => ({ at, on: w })),
          ...pathPoints(cut, 1).map((at) => ({ at, on: turn.allowance.value })),
        ])
          expect(pathNearest(finished.outline, at).distance).toBeLessThan(on * Math.SQRT2 + 0.02)
        for (const at of pathPoints(landing!, 1))
          expect(pathNearest(finished.outline, at).distance).toBeGreaterThan(w - 0.02)
        expect(turn.foldTo.value).toBeCloseTo(turn.allowance.value + w, 9)
      },
    ),
    { seed: 5, numRuns: 40 },
  )
})

describe('corners of other angles than square', () => {
  test.each([60, 90, 120, 150])(
    'two strips meet over a corner of %i° with no overlap where it says',
    (degrees) => {
      const interior = (degrees * Math.PI) / 180
      // Beyond each edge a place x out and s along is folded to x − cost inside: on the bisector it meets its mirror image.
      const cost = 1.7
      const root = evaluate(MITRE, { cost, half: interior / 2 })
      const [out, along] = [root * Math.sin(interior / 2), -root * Math.cos(interior / 2)]
      const folded = { along, inside: out - cost }
      expect(folded.inside / folded.along).toBeCloseTo(Math.tan(interior / 2), 9)
    },
  )
})

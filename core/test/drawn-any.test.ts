import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { pieceDrawing } from '@drumlin/core/drawing'
import { addCopied, applyEdit } from '@drumlin/core/design'
import {
  type DrawnFate,
  type DrawnFold,
  type DrawnPanel,
  SHAPES,
  barePanel,
  copiedDrawn,
  drawnEdgeLength,
  drawnPanelSchema,
  layerRole,
  outlineOf,
  turnedDrawn,
  wholeDrawn,
} from '@drumlin/core/drawn'
import { writeDesign, readDesign } from '@drumlin/core/exchange/json'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { transect } from '@drumlin/core/layup'
import { writeDxf } from '@drumlin/core/exchange/dxf'
import { pathBox, pathNearest, pathPoints } from '../src/geometry/index.js'
import { drawingOf, layer, panelOf, turned } from './support/drawing.js'
import { many } from './support/long.js'

/** Evenly spread: a double of the library is a hair above nothing nearly always, and draws what has no area. */
const mm = (min: number, max: number) =>
  fc.integer({ min: Math.round(10 * min), max: Math.round(10 * max) }).map((v) => v / 10)

const anyFate: fc.Arbitrary<DrawnFate> = fc.oneof(
  fc.constantFrom('burnished', 'painted', 'left').map((finish) => ({ type: 'raw', finish }) as const),
  fc
    .record({
      width: mm(1, 40),
      school: fc.constantFrom('even', 'fold', 'feather'),
      core: fc.constantFrom('round', 'square'),
      lines: fc.constantFrom(0, 1, 2),
      margin: mm(0.5, 20),
    })
    .map(({ width, ...more }) => turned(width, more)),
  mm(5, 40).map((width) => turned(width, { type: 'rolled', lines: 2 })),
  fc
    .record({ width: mm(1, 20), binding: mm(0.2, 3), margin: mm(0.5, 12) })
    .map((b) => ({ type: 'bound', ...b }) as const),
  mm(0.5, 40).map((margin) => ({ type: 'sewn', margin, finish: 'left' }) as const),
  fc
    .record({ margin: mm(0.5, 30), trim: mm(0, 20) })
    .map((t) => ({ type: 'trimmed', finish: 'left', ...t }) as const),
  fc.constant({ type: 'doubled' } as const),
  mm(0, 100).map((by) => ({ type: 'long', by }) as const),
)

const anyFold = (i: number): fc.Arbitrary<DrawnFold> =>
  fc.record({
    id: fc.constant(`fold-${i}`),
    name: fc.constant(`fold ${i}`),
    at: fc.record({ x: mm(-60, 60), y: mm(0, 100) }),
    angle: fc.constantFrom(0, Math.PI / 2, 0.4),
    type: fc.constantFrom('book', 'wrapped', 'z', 'groove'),
    gap: mm(0, 12),
    turn: fc.constantFrom(Math.PI, Math.PI / 2, 0.6),
    rises: fc.constantFrom('mountain', 'valley'),
    drawn: fc.constantFrom('flat', 'outside', 'bend'),
    school: fc.constantFrom('figured', 'draped'),
    groove: fc.option(
      fc.record({ shape: fc.constantFrom('v', 'flat'), depth: mm(0, 3), opening: mm(0.2, 3) }),
      { nil: null },
    ),
  }) as fc.Arbitrary<DrawnFold>

const EDGES = ['one', 'two', 'three'] as const
const anyPanel: fc.Arbitrary<DrawnPanel> = fc
  .record({
    points: fc.array(
      fc.record({
        x: mm(0, 120),
        y: mm(0, 120),
        radius: mm(0, 20),
        edge: fc.constantFrom(...EDGES),
        going: fc.constantFrom('line', 'arc', 'curve'),
      }),
      { minLength: 3, maxLength: 7 },
    ),
    half: fc.boolean(),
    fates: fc.tuple(anyFate, anyFate, anyFate),
    folds: fc.oneof(fc.constant([]), fc.tuple(anyFold(1)), fc.tuple(anyFold(1), anyFold(2))),
    layers: fc.subarray(['lining', 'board', 'foam', 'reinforcement', 'interlining'] as const),
    skive: fc.record({ width: mm(0.5, 60), start: mm(0, 2), end: mm(0, 2) }),
    block: mm(0, 20),
    split: fc.option(mm(0.2, 3), { nil: null }),
  })
  .map(({ points, half, fates, folds, layers, skive, block, split }) => {
    // Points of one edge stand together.
    const sorted = EDGES.flatMap((edge) => points.filter((p) => p.edge === edge))
    const last = sorted.length - 1
    const nodes = sorted.map((p, i) => ({
      x: half && (i === 0 || i === last) ? 0 : p.x,
      y: p.y,
      radius: p.radius,
      edge: p.edge,
      going:
        p.going === 'arc'
          ? ({ type: 'arc', rise: (p.x - 60) / 4 } as const)
          : p.going === 'curve'
            ? ({ type: 'curve', c1: { x: p.x + 20, y: p.y }, c2: { x: p.x, y: p.y + 20 } } as const)
            : ({ type: 'line' } as const),
    }))
    return {
      ...barePanel({
        id: 'panel',
        name: 'Panel',
        role: 'outside',
        nodes,
        edges: EDGES.map((id, i) => ({ id, name: `edge ${id}`, fate: fates[i]! })),
        mirror: half ? { way: 'upright', at: 0 } : null,
      }),
      folds: [...folds],
      layers: layers.map((sort) => layer(sort)),
      skives: [{ id: 'skive', name: 'skive', where: { type: 'edge', edge: 'one' }, ...skive }],
      marks: [
        {
          id: 'notch',
          type: 'notch',
          where: { type: 'share', edge: 'two', share: 0.5, inset: 0 },
          text: 'a',
          angle: 0,
          length: 0,
          width: 0,
          punch: 0,
        },
      ],
      block,
      split,
    } satisfies DrawnPanel
  })

describe('whatever is drawn', () => {
  test('something is shown and everything wrong is said; nothing breaks and no number is none', () =>
    fc.assert(
      fc.property(anyPanel, mm(0.5, 3), (panel, thickness) => {
        const design = drawingOf([panel], thickness)
        const d = derive(design)
        expect(d.pieces.length).toBeGreaterThan(0)
        for (const { size } of d.master.sizes) expect(Number.isFinite(size.value), size.key).toBe(true)
        for (const piece of d.pieces) {
          const box = pathBox(piece.cut)
          expect([box.left, box.top, box.right, box.bottom].every(Number.isFinite), piece.id).toBe(true)
          expect(pieceDrawing(piece, design, 'mm').length).toBeGreaterThan(0)
        }
        for (const found of findingsOf(d)) expect(sayFinding(found, 'in').what).not.toMatch(/undefined|NaN/)
        for (const work of d.works) transect(work, { x: -150, y: 40 }, { x: 150, y: 50 }, true)
      }),
      { seed: 31, numRuns: many(20, 150) },
    ))
  test('it is saved and read back the same, and goes out as SVG and DXF', () =>
    fc.assert(
      fc.property(anyPanel, (panel) => {
        const design = drawingOf([panel])
        const read = readDesign(writeDesign(design))
        expect(read.ok && writeDesign(read.design)).toBe(writeDesign(design))
        const d = derive(design)
        expect(writeSvg(d)).not.toContain('NaN')
        expect(writeDxf(d)).not.toContain('NaN')
      }),
      { seed: 32, numRuns: 40 },
    ))
})

describe('a panel copied', () => {
  const called = { id: 'copy', name: 'Panel, once more' }
  const pointsOf = (panel: DrawnPanel) => pathPoints(outlineOf(panel).path, 0.1)
  const across = (panel: DrawnPanel): { left: number; right: number } => {
    const xs = wholeDrawn(panel).nodes.map((n) => n.x)
    return { left: Math.min(...xs), right: Math.max(...xs) }
  }
  /** How far the points of one lie from the outline of the other, turned over between its outermost points where asked. */
  const apart = (a: DrawnPanel, b: DrawnPanel, flip = false): number => {
    const { left, right } = across(a)
    const laid = pointsOf(a).map((p) => (flip ? { x: left + right - p.x, y: p.y } : p))
    // On the mean: the place nearest to a cusp is found to a tenth only.
    return laid.reduce((sum, p) => sum + pathNearest(outlineOf(b).path, p).distance, 0) / laid.length
  }
  test('is the same beside it; turned over it is its mirror image, and turned again itself, whatever is drawn', () => {
    let long = 0
    fc.assert(
      fc.property(anyPanel, (drawn) => {
        // Straight and sharp, so that both are the same to the hair; arcs and roundings are looked at below.
        const panel = {
          ...drawn,
          nodes: drawn.nodes.map((n) => ({ ...n, radius: 0, going: { type: 'line' as const } })),
          marks: [
            ...drawn.marks,
            {
              ...drawn.marks[0]!,
              id: 'far',
              where: { type: 'distance', edge: 'two', mm: 7, inset: 3 } as const,
            },
            { ...drawn.marks[0]!, id: 'place', where: { type: 'place', x: 31, y: 12 } as const, angle: 0.3 },
          ],
        }
        // What has no area is shown by a stand-in, which is not turned.
        const ring = wholeDrawn(panel).nodes
        const twice = ring.reduce((sum, p, i) => {
          const q = ring[(i + 1) % ring.length]!
          return sum + p.x * q.y - q.x * p.y
        }, 0)
        if (Math.abs(twice) < 100) return
        const [copy, over] = [copiedDrawn(panel, called), turnedDrawn(panel, called)]
        expect(drawnPanelSchema.safeParse(over).success).toBe(true)
        expect(apart(copy, panel)).toBeLessThan(0.01)
        expect(apart(over, wholeDrawn(panel), true)).toBeLessThan(0.05)
        const again = turnedDrawn(over, { id: 'panel', name: 'Panel' })
        expect(apart(again, wholeDrawn(panel))).toBeLessThan(0.05)
        const lengths = [panel, over].map((p) => drawnEdgeLength([p], { panel: p.id, edge: 'two' }) ?? 0)
        const sameLength =
          panel.mirror === null && lengths[0]! > 8 && Math.abs(lengths[0]! - lengths[1]!) < 0.01
        if (sameLength) long += 1
        for (const m of again.marks) {
          const first = panel.marks.find((x) => x.id === m.id)!.where
          if (m.where.type === 'share' && first.type === 'share')
            expect(m.where.share).toBeCloseTo(first.share, 3)
          // Of what is no outline, edges have no length that stays.
          if (m.where.type === 'distance' && first.type === 'distance' && sameLength)
            expect(m.where.mm).toBeCloseTo(first.mm, 1)
          if (m.where.type === 'place' && first.type === 'place') expect(m.where.x).toBeCloseTo(first.x, 2)
        }
        for (const [i, f] of again.folds.entries())
          expect(Math.sin(f.angle - panel.folds[i]!.angle)).toBeCloseTo(0, 3)
        expect(copy.lies.x).toBeGreaterThan(panel.lies.x)
      }),
      { seed: 8, numRuns: many(30, 80), endOnFailure: true },
    )
    expect(long).toBeGreaterThan(8)
  })

  test.each(SHAPES.map((s) => s.id))('%s: turned over, its rounded corners with it', (shape) => {
    const panel = panelOf(shape, {})
    const rounded = { ...panel, nodes: panel.nodes.map((n, i) => ({ ...n, radius: 3 + 2 * i })) }
    expect(apart(turnedDrawn(rounded, called), rounded, true)).toBeLessThan(0.05)
  })
  test('comes with its layers’ leathers, as one edit that is undone in one', () => {
    const panel = panelOf('rectangle', {}, { layers: [layer('lining')] })
    const base = drawingOf([panel])
    const role = layerRole(panel, panel.layers[0]!)
    const design = { ...base, leathers: { ...base.leathers, [role]: base.leathers.outside! } }
    const done = applyEdit(design, addCopied('copy it', design, panel, turnedDrawn(panel, called)))
    if (!done.ok) throw new Error('refused')
    expect(done.design.leathers['copy-lining']).toEqual(base.leathers.outside)
    expect(derive(done.design).panels.length).toBe(2 * derive(design).panels.length)
    const undone = applyEdit(done.design, done.inverse)
    expect(undone.ok && undone.design).toEqual(design)
  })
})

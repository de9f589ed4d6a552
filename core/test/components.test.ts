import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { applyEdit, changeDrawn, removeDrawn } from '@drumlin/core/design'
import { type DrawnPanel, drawnEdgeLength, movePoint, takenOver } from '@drumlin/core/drawn'
import { pathBox } from '@drumlin/core/geometry'
import { overlay, pathArea } from '../src/geometry/index.js'
import { demo, demoWith } from './support/designs.js'
import { derived, drawingOf, layer, numberOf, panelOf, turned, withFate } from './support/drawing.js'

describe('edges that have to match', () => {
  const a = panelOf('rectangle', { width: 100, height: 60 }, { id: 'a', name: 'A' })
  const b = panelOf('rectangle', { width: 80, height: 50 }, { id: 'b', name: 'B' })
  const tie = {
    id: 't',
    type: 'equal',
    first: { panel: 'a', edge: 'side' },
    second: { panel: 'b', edge: 'side' },
    when: 'move',
  } as const
  const length = (panels: readonly DrawnPanel[], id: string): number =>
    drawnEdgeLength(panels, { panel: id, edge: 'side' })!
  test('a change to one moves the other', () => {
    const design = drawingOf([a, b], 1.2, { ties: [tie] })
    const moved = applyEdit(design, changeDrawn('move', design, movePoint(a, 2, { x: 50, y: 73 })))
    if (!moved.ok) throw new Error(moved.why)
    expect(length(moved.design.drawn, 'a')).toBe(73)
    expect(length(moved.design.drawn, 'b')).toBeCloseTo(73, 3)
  })
  test('or warns, and the way out brings it there', () => {
    const d = derive(drawingOf([a, b], 1.2, { ties: [{ ...tie, when: 'warn' }] }))
    const found = findingsOf(d).find((f) => f.code === 'drawing-fault' && f.data.what === 'edges differ')!
    expect(sayFinding(found, 'mm').what).toBe(
      'The side of the b measures 50.0 mm, the side of the a 60.0 mm; they are to match.',
    )
    const [fix] = fixesOf(found, d)
    const edited = applyEdit(d.design, fix!.edit)
    expect(edited.ok && length(edited.design.drawn, 'b')).toBeCloseTo(60, 3)
  })
  test('drawn the same, a bulge comes over with its length', () => {
    const bulged = {
      ...a,
      nodes: a.nodes.map((n, i) => (i === 1 ? { ...n, going: { type: 'arc' as const, rise: 6 } } : n)),
    }
    const design = drawingOf([a, b], 1.2, { ties: [{ ...tie, type: 'same' }] })
    const edited = applyEdit(design, changeDrawn('bulge', design, bulged))
    expect(edited.ok && edited.design.drawn[1]!.nodes[1]!.going).toEqual({ type: 'arc', rise: 6 })
    expect(edited.ok && length(edited.design.drawn, 'b')).toBeCloseTo(length([bulged], 'a'), 6)
  })
})

describe('layers behind', () => {
  const base = withFate(panelOf('rounded', { width: 160, height: 100, radius: 15 }), turned(8))
  const box = (sort: Parameters<typeof layer>[0], more = {}, panel = base) =>
    pathBox(
      derived({ ...panel, layers: [layer(sort, more)] }).pieces.find((p) => p.id === `panel-${sort}`)!.cut,
    )
  const inset = (b: ReturnType<typeof box>): number => 80 - b.right
  test.each([
    ['lining', 2],
    ['reinforcement', 8.5],
    ['interlining', 8.5],
    // The core panel is cut the leather's thickness at the fold inside the finished edge.
    ['board', 1.2],
    ['foam', 1.2],
  ] as const)('a %s stops %f mm inside a turned edge', (sort, by) =>
    expect(inset(box(sort))).toBeCloseTo(by, 6),
  )
  test('an inset of the maker’s own counts all round', () =>
    expect(inset(box('lining', { inset: 5 }))).toBeCloseTo(5, 6))
  test('beside an edge trimmed flush a lining is trimmed with it', () =>
    expect(
      inset(box('lining', {}, withFate(base, { type: 'trimmed', margin: 3, trim: 2, finish: 'left' }))),
    ).toBeCloseTo(-2, 6))
  test('it follows when the panel changes', () => {
    const wide = withFate(panelOf('rounded', { width: 200, height: 100, radius: 15 }), turned(8))
    expect(box('lining', {}, wide).right - box('lining').right).toBeCloseTo(20, 6)
  })
  test('an inset that leaves nothing is said, and the rest stays', () => {
    const d = derived({ ...base, layers: [layer('lining', { inset: 60 }), layer('board')] })
    expect(d.pieces.map((p) => p.id)).toEqual(['panel', 'panel-board'])
    expect(findingsOf(d).map((f) => sayFinding(f, 'mm').what)).toContain(
      'Nothing is left of the lining: it stops 60.0 mm inside every edge.',
    )
  })
  test('no component is larger than its master, for any turn, width and skive', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 250, noNaN: true }),
        fc.double({ min: 4, max: 12, noNaN: true }),
        fc.constantFrom('even', 'fold', 'feather'),
        fc.constantFrom('lining', 'reinforcement', 'board', 'foam', 'interlining'),
        fc.boolean(),
        (size, width, school, sort, trims) => {
          const p = withFate(
            panelOf('rounded', { width: size, height: size, radius: 12 }),
            turned(width, { school }),
          )
          const mixed = trims
            ? withFate(p, { type: 'trimmed', margin: 3, trim: 2, finish: 'left' }, 'top')
            : p
          const d = derived({ ...mixed, layers: [layer(sort as 'lining')] })
          const [master, part] = [d.pieces[0]!.cut, d.pieces[1]!.cut]
          expect(Math.abs(pathArea(part))).toBeLessThanOrEqual(Math.abs(pathArea(master)) + 1e-6)
          const [outer, inner] = [pathBox(master), pathBox(part)]
          expect(inner.right).toBeLessThanOrEqual(outer.right + 1e-6)
          expect(inner.top).toBeGreaterThanOrEqual(outer.top - 1e-6)
        },
      ),
      { seed: 9, numRuns: 40 },
    ))
})

describe('marks', () => {
  const mark = (where: object, more: object = {}): DrawnPanel['marks'][number] =>
    ({
      id: 'm',
      type: 'notch',
      where,
      text: 'a',
      angle: 0,
      length: 0,
      width: 0,
      punch: 0,
      ...more,
    }) as DrawnPanel['marks'][number]
  const places = (...marks: DrawnPanel['marks'][number][]) =>
    derived(panelOf('rectangle', { width: 100, height: 60 }, { marks })).panels[0]!.marks!.map((m) =>
      [m.at.x, m.at.y].map((v) => Math.round(v * 1e6) / 1e6 + 0),
    )
  test('by distance, by share, facing another, and anywhere; a half drawing carries them on both sides', () => {
    expect(places(mark({ type: 'distance', edge: 'side', mm: 20, inset: 0 }))).toEqual([
      [50, 20],
      [-50, 20],
    ])
    expect(places(mark({ type: 'share', edge: 'top', share: 0.5, inset: 10 }))).toEqual([[0, 10]])
    expect(
      places(
        mark({ type: 'distance', edge: 'top', mm: 30, inset: 0 }),
        mark({ type: 'opposite', mark: 'm', edge: 'foot' }, { id: 'o' }),
      ),
    ).toEqual([
      [-20, 0],
      [-20, 60],
    ])
    expect(places(mark({ type: 'place', x: 7, y: 8 }, { type: 'hole', punch: 4 }))).toEqual([[7, 8]])
  })
  test('beyond a fold they move with the leather that is let in', () => {
    const fold = {
      id: 'f',
      name: 'fold',
      at: { x: 0, y: 30 },
      angle: 0,
      type: 'book',
      gap: 4,
      turn: Math.PI,
      rises: 'mountain',
      drawn: 'bend',
      school: 'figured',
      groove: null,
    } as const
    const d = derived(
      panelOf(
        'rectangle',
        { width: 100, height: 60 },
        { folds: [fold], marks: [mark({ type: 'place', x: 7, y: 50 })] },
      ),
    )
    expect(d.panels[0]!.marks![0]!.at.y).toBeCloseTo(50 + numberOf(d, 'f.letIn'), 9)
  })
})

describe('taken over from a kind', () => {
  test('every panel of the demo keeps its outline, its holes and its skives', () => {
    const before = demoWith({})
    for (const piece of before.pieces.filter((p) => p.panel.role !== 'guide')) {
      const design = { ...demo(), drawn: [takenOver(piece.panel, piece.thickness!)] }
      const after = derive(design).pieces.find((p) => p.id === piece.id)!
      expect(overlay(piece.finished, after.finished).distance, piece.id).toBeLessThan(1e-3)
      expect(after.holes.length, piece.id).toBe(piece.holes.length)
      expect(derive(design).runs.map((r) => [r.join.id, Math.round(r.thickest * 100)])).toEqual(
        before.runs.map((r) => [r.join.id, Math.round(r.thickest * 100)]),
      )
    }
  })
  test('given back it is the kind’s again', () => {
    const [outside] = demoWith({}).pieces
    const design = { ...demo(), drawn: [takenOver(outside!.panel, 1.4)] }
    const back = applyEdit(design, removeDrawn('give back', design, 'outside'))
    expect(back.ok && derive(back.design).pieces.map((p) => p.cut)).toEqual(
      demoWith({}).pieces.map((p) => p.cut),
    )
  })
  test('lined, the layer lies in the kind’s own work', () => {
    const [outside] = demoWith({}).pieces
    const design = { ...demo(), drawn: [{ ...takenOver(outside!.panel, 1.4), layers: [layer('foam')] }] }
    expect(derive(design).works[0]!.sheets.map((s) => s.sheet.id)).toContain('outside-left-foam')
  })
})

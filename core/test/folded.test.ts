import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { sizeRanges } from '@drumlin/core/derived'
import type { DrawnFold, DrawnPanel } from '@drumlin/core/drawn'
import { pathBox } from '@drumlin/core/geometry'
import { transect, laidUpOf } from '@drumlin/core/layup'
import { thicknessAt } from '../src/layup/index.js'
import { demoWith } from './support/designs.js'
import { derived, drawingOf, layer, numberOf, panelOf, withFate } from './support/drawing.js'

const foldAt = (x: number, more: Partial<DrawnFold> = {}): DrawnFold => ({
  id: `f${x}`,
  name: 'fold',
  at: { x, y: 30 },
  angle: Math.PI / 2,
  type: 'book',
  gap: 2,
  turn: Math.PI,
  rises: 'mountain',
  drawn: 'outside',
  school: 'figured',
  groove: null,
  ...more,
})
const cover = (folds: DrawnFold[], more: Partial<DrawnPanel> = {}): DrawnPanel =>
  panelOf('rectangle', { width: 200, height: 60 }, { folds, ...more })
const width = (panel: DrawnPanel): number => {
  const box = pathBox(derived(panel).pieces[0]!.cut)
  return box.right - box.left
}

describe('a book fold, by pencil: 1.2 mm leather over 2 mm', () => {
  test('uses up π × (1 + 0.6) = 5.03', () =>
    expect(numberOf(derived(cover([foldAt(0)])), 'f0.bend')).toBeCloseTo(Math.PI * 1.6, 9))
  test('drawn to its outside, two leaves of 100 are cut 200 + (π/2 − 1) × 2 − 0.429 × 1.2', () =>
    expect(width(cover([foldAt(0)]))).toBeCloseTo(200 + (Math.PI / 2 - 1) * 2 + (Math.PI / 2 - 2) * 1.2, 6))
  test('drawn to where the bend begins, the whole bend is let in; drawn flat, nothing', () => {
    expect(width(cover([foldAt(0, { drawn: 'bend' })]))).toBeCloseTo(200 + Math.PI * 1.6, 6)
    expect(width(cover([foldAt(0, { drawn: 'flat' })]))).toBeCloseTo(200, 9)
  })
  test('a lining inside it is shorter by π × the distance between the middles', () => {
    const d = derived(cover([foldAt(0)], { layers: [layer('lining', { inset: 0 })] }))
    const [outer, inner] = d.pieces.map((p) => pathBox(p.finished)).map((b) => b.right - b.left)
    expect(outer! - inner!).toBeCloseTo(Math.PI * (0.35 + 0.6), 6)
    expect(numberOf(d, 'f0.step')).toBeCloseTo(Math.PI * 0.95, 9)
  })
  test('in a valley the lining is the outer one and longer', () => {
    const d = derived(cover([foldAt(0, { rises: 'valley' })], { layers: [layer('lining', { inset: 0 })] }))
    const [panel, lining] = d.pieces.map((p) => pathBox(p.finished)).map((b) => b.right - b.left)
    expect(lining!).toBeGreaterThan(panel!)
  })
  test('marked on the work it is cut long at the far end, by the doubt and a spare', () => {
    const draped = cover([foldAt(0, { school: 'draped' })])
    expect(width(draped) - width(cover([foldAt(0)]))).toBeCloseTo(Math.PI * 1.2 * 0.25 + 3, 6)
    expect(derived(draped).pieces[0]!.marks.find((m) => m.type === 'fold')).toMatchObject({
      note: 'cut {3.9} long, mark on the work',
    })
  })
  test('an edge left long already is left long by both', () => {
    const long = (panel: DrawnPanel): number => width(withFate(panel, { type: 'long', by: 5 }))
    const draped = long(cover([foldAt(0, { school: 'draped' })]))
    expect(draped - long(cover([foldAt(0)]))).toBeCloseTo(Math.PI * 1.2 * 0.25 + 3, 6)
  })
  test('a fold that misses the panel is said', () =>
    expect(findingsOf(derived(cover([foldAt(150)]))).map((f) => sayFinding(f, 'mm').what)).toEqual([
      'The fold does not cross the panel.',
    ]))
})

describe('wrapped and Z', () => {
  const three = (type: DrawnFold['type'], rises: DrawnFold['rises'][] = ['mountain', 'mountain']) =>
    cover([
      foldAt(-40, { type, rises: rises[0]!, drawn: 'bend', gap: 1 }),
      foldAt(40, { type, rises: rises[1]!, drawn: 'bend', gap: 3 }),
    ])
  test('each wrap goes round all inside it: G = Σ contents + leaves', () => {
    const d = derived(three('wrapped'))
    expect(numberOf(d, 'f-40.bend')).toBeCloseTo(Math.PI * (0.5 + 0.6), 9)
    expect(numberOf(d, 'f40.bend')).toBeCloseTo(Math.PI * ((1 + 3 + 1.2) / 2 + 0.6), 9)
  })
  test('a Z fold holds only its own', () =>
    expect(numberOf(derived(three('z', ['mountain', 'valley'])), 'f40.bend')).toBeCloseTo(
      Math.PI * (1.5 + 0.6),
      9,
    ))
  test('closed: three leaves and what is laid in', () => {
    const d = derived(three('wrapped'))
    expect(numberOf(d, '.closed')).toBeCloseTo(3 * 1.2 + 4, 9)
    const closed = laidUpOf(d.works, 'closed')
    // Rolled up: the first leaf lies between the other two.
    expect(closed.sheets.filter((s) => s.sheet.type === 'panel').map((s) => s.sheet.id)[1]).toBe('panel.1')
    expect(thicknessAt(closed, { x: 95, y: 30 }, true)).toBeCloseTo(3.6 + 4, 1)
  })
})

describe('grooves', () => {
  const grooved = (more: Partial<DrawnFold>): DrawnPanel =>
    cover([
      foldAt(0, {
        type: 'groove',
        turn: Math.PI / 2,
        groove: { shape: 'v', depth: 0.4, opening: Math.PI / 2 },
        drawn: 'bend',
        gap: 0,
        ...more,
      }),
    ])
  test('a V pivots on what is left: π/2 × 0.5 × 0.8', () =>
    expect(numberOf(derived(grooved({})), 'f0.bend')).toBeCloseTo((Math.PI / 2) * 0.5 * 0.8, 9))
  test('a flat groove folds right over: π × (g/2 + d + k (t − d))', () =>
    expect(
      numberOf(
        derived(grooved({ turn: Math.PI, gap: 2, groove: { shape: 'flat', depth: 0.4, opening: 1 } })),
        'f0.bend',
      ),
    ).toBeCloseTo(Math.PI * (1 + 0.4 + 0.4), 9))
  test('folded farther than it opens it is a stop; cut too deep it wants a look', () => {
    expect(
      findingsOf(derived(grooved({ turn: Math.PI }))).map((f) => [f.rank, sayFinding(f, 'mm').what]),
    ).toContainEqual(['stop', 'The fold is folded 180°, but its V opens only 90°.'])
    expect(
      findingsOf(derived(grooved({ groove: { shape: 'v', depth: 0.6, opening: Math.PI / 2 } }))).map(
        (f) => f.rank,
      ),
    ).toEqual(['look'])
  })
  test('the section shows the V, and what lies over it does not sink in', () => {
    const d = derived({ ...grooved({}), layers: [layer('lining', { inset: 0 })] })
    const [panel, lining] = transect(d.works[0]!, { x: -10, y: 30 }, { x: 10, y: 30 }).layers
    const lowest = Math.min(...panel!.spans.flatMap((s) => s.top))
    expect(lowest).toBeCloseTo(0.8, 2)
    expect(Math.min(...lining!.spans.flatMap((s) => s.bottom))).toBeCloseTo(1.2, 6)
  })
})

describe('the transect', () => {
  test('a turned edge is seen going round: the bend reaches the finished edge', () => {
    const p = panelOf('rectangle', { width: 100, height: 60 })
    const edges = p.edges.map((e) => ({
      ...e,
      fate: {
        type: 'turned',
        width: 8,
        school: 'fold',
        atEdge: null,
        feather: 5,
        core: 'round',
        lines: 0,
        margin: 3,
      } as const,
    }))
    const section = transect(
      derived({ ...p, edges, layers: [layer('board')] }).works[0]!,
      { x: -60, y: 30 },
      { x: 60, y: 30 },
    )
    expect(section.layers.map((l) => l.name)).toEqual(['panel', 'board', 'panel, turned over'])
    expect(section.bends.map((b) => b.toward)).toEqual([-1, 1])
    for (const { at, toward, rings } of section.bends) {
      const radius = (rings[0]!.outer[1] - rings[0]!.outer[0]) / 2
      expect(at + toward * radius).toBeCloseTo(toward < 0 ? 10 : 110, 6)
      expect(rings[0]!.outer[1]).toBeCloseTo(1.2 + 1 + 1.2, 0)
    }
  })
  test('a closed fold is seen going round what lies in it', () => {
    const d = derived(cover([foldAt(0)], { layers: [layer('lining', { inset: 0 })] }))
    const closed = laidUpOf(d.works, 'closed')
    const { at, outward } = closed.layup.bends![0]!
    const section = transect(
      closed,
      { x: at.x - 20 * outward.x, y: 30 },
      { x: at.x + 8 * outward.x, y: 30 },
      true,
    )
    // Both leaves and the lining go round the 2 mm that are laid in.
    const heights = section.bends
      .map((b) => b.rings[0]!)
      .map((r) => [r.outer[1] - r.outer[0], r.inner[1] - r.inner[0]])
    expect(
      heights.map((h) => h.map((v) => Math.round(v * 1000) / 1000)).toSorted((a, b) => b[0]! - a[0]!),
    ).toEqual([
      [5.8, 3.4],
      [3.4, 2],
    ])
  })
  test('the demo’s closed wallet shows its covers going round', () => {
    const closed = laidUpOf(demoWith({}).works, 'closed')
    const { at } = closed.layup.bends![0]!
    const section = transect(closed, { x: at.x - 20, y: 80 }, { x: at.x + 5, y: 80 }, true)
    expect(section.bends.map((b) => b.rings[0]!.sheets[0])).toEqual(['outside-left', 'inside-left'])
  })
})

describe('as the hide comes', () => {
  test('a turn in leather of 1.0 to 1.4 mm is cut from the one to the other', () => {
    const p = panelOf('rectangle', { width: 100, height: 60 })
    const edges = p.edges.map((e) => ({
      ...e,
      fate: {
        type: 'turned',
        width: 8,
        school: 'fold',
        atEdge: null,
        feather: 5,
        core: 'round',
        lines: 0,
        margin: 3,
      } as const,
    }))
    const design = drawingOf([{ ...p, edges }])
    const outside = { ...design.leathers.outside!, weight: { low: 1, high: 1.4 } }
    const range = sizeRanges({ ...design, leathers: { ...design.leathers, outside } })['panel.top.allowance']!
    const at = (t: number): number => 8 + (Math.PI / 2 - 2) * t
    expect([range.from, range.to]).toEqual([expect.closeTo(at(1.4), 9), expect.closeTo(at(1), 9)])
  })
})

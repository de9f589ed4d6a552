import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  flipAbout,
  pathNearest,
  pathPoints,
  point,
  pointMoved,
  polygon,
  roundedPolygon,
  shift,
} from '../src/geometry/index.js'
import { type LaidUp, layUp, layersAt, thicknessAt, transect, withSkives } from '../src/layup/index.js'
import type { Band, Layup, Panel, PanelSheet, Sheet } from '../src/master/index.js'
import { demoWith, worked } from './support/designs.js'

const rectangle = (w: number, h: number) => polygon([point(0, 0), point(w, 0), point(w, h), point(0, h)])
const panel = (id: string, w: number, h: number, bands: readonly Band[] = []): Panel => ({
  id,
  name: id,
  role: id,
  count: 1,
  flipped: 0,
  outline: rectangle(w, h),
  edges: [],
  folds: [],
  bands,
  grain: 0,
  notes: [],
})
const sheet = (panelId: string, x: number, y: number, more: Partial<PanelSheet> = {}): Sheet => ({
  type: 'panel',
  id: panelId,
  name: panelId,
  panelId,
  grainUp: true,
  clips: [],
  move: shift(x, y),
  ...more,
})
const layup = (...sheets: Sheet[]): Layup => ({ id: 'open', name: 'laid open', carrier: 'back', sheets })

/** A back with a flap over its right half, feathered over 10 mm from full to nothing much. */
const feather: Band = {
  key: 'flap.edge',
  name: 'edge of the flap',
  planned: true,
  start: 1,
  end: 0.2,
  areas: [{ outline: rectangle(10, 40), from: point(10, 0), to: point(0, 0) }],
}
const panels = [panel('back', 100, 40), panel('flap', 50, 40, [feather])]
const work: LaidUp = layUp(
  layup(sheet('back', 0, 0), sheet('flap', 50, 0)),
  worked(panels, { back: 1.5, flap: 1 }),
)

describe('thickness at a place', () => {
  test('one layer, two layers, and the slope between', () => {
    expect(thicknessAt(work, point(20, 20))).toBe(1.5)
    expect(thicknessAt(work, point(80, 20))).toBe(2.5)
    expect(thicknessAt(work, point(55, 20))).toBeCloseTo(1.5 + 0.6, 9)
    expect(thicknessAt(work, point(50.0001, 20))).toBeCloseTo(1.7, 3)
    expect(thicknessAt(work, point(120, 20))).toBe(0)
  })
  test('layers come lowest first', () =>
    expect(layersAt(work, point(80, 20)).map((l) => l.laid.sheet.id)).toEqual(['back', 'flap']))
  test('a clip counts only its own side', () => {
    const clipped = layUp(
      layup(sheet('back', 0, 0, { clips: [{ at: point(30, 0), inward: point(-1, 0) }] })),
      worked(panels, { back: 1.5 }),
    )
    expect([29, 31].map((x) => thicknessAt(clipped, point(x, 5)))).toEqual([1.5, 0])
  })
  test('a sheet turned over has its bands turned over with it', () => {
    const turned = layUp(layup(sheet('flap', 0, 0, { move: flipAbout(25) })), worked(panels, { flap: 1 }))
    expect(thicknessAt(turned, point(45, 20))).toBeCloseTo(0.6, 9)
    expect(thicknessAt(turned, point(5, 20))).toBe(1)
  })
  test('contents lie in it only where they are asked for', () => {
    const card: Sheet = {
      type: 'content',
      id: 'card',
      name: 'card',
      move: shift(10, 5),
      clips: [],
      outline: rectangle(20, 10),
      thickness: 0.76,
    }
    const loaded = layUp(layup(sheet('back', 0, 0), card), worked(panels, { back: 1.5 }))
    expect(thicknessAt(loaded, point(15, 10))).toBe(1.5)
    expect(thicknessAt(loaded, point(15, 10), true)).toBeCloseTo(2.26, 9)
  })
  test('agrees with counting fine polygons by hand on ten thousand places of the demo, borders left out', () => {
    const derived = demoWith({})
    const open = derived.works[0]!
    const rings = open.sheets.map((s) => pathPoints(s.placed, 1e-4))
    const inRing = (x: number, y: number, ring: readonly { x: number; y: number }[]): boolean => {
      let turns = 0
      ring.forEach((a, i) => {
        const b = ring[(i + 1) % ring.length]!
        const side = (b.x - a.x) * (y - a.y) - (x - a.x) * (b.y - a.y)
        if (a.y <= y && b.y > y && side > 0) turns += 1
        if (a.y > y && b.y <= y && side < 0) turns -= 1
      })
      return turns !== 0
    }
    const middle = open.sheets[0]!.sheet.clips[0]!.at.x
    let [differences, counted] = [0, 0]
    for (let i = 0; i < 10_000; i += 1) {
      const p = point(((i * 7919) % 21_000) / 100 - 2 + 0.0037, ((i * 104_729) % 9_400) / 100 - 5 + 0.0053)
      if (Math.abs(p.x - middle) < 0.01 || open.sheets.some((s) => pathNearest(s.placed, p).distance < 0.01))
        continue
      const expected = open.sheets.flatMap((s, k) => {
        const half = s.sheet.clips.length === 0 || s.sheet.id.endsWith('left') === p.x < middle
        return s.sheet.type === 'panel' && half && inRing(p.x, p.y, rings[k]!) ? [s.sheet.id] : []
      })
      const found = layersAt(open, p).map((l) => l.laid.sheet.id)
      counted += 1
      if (found.join() !== expected.join()) differences += 1
    }
    expect(differences).toBe(0)
    expect(counted).toBeGreaterThan(9_500)
  })
})

describe('skives by wish', () => {
  test('a level band is brought to the wish, a sloping one ends at it, others stay', () => {
    const level: Band = { ...feather, key: 'flap.rim', start: 1, end: 1, planned: false }
    const [, flap] = withSkives([panels[0]!, panel('flap', 50, 40, [level, feather])], {
      'flap.rim': 0.5,
      'flap.edge': 0.3,
    })
    expect(flap!.bands.map((b) => [b.start, b.end, b.planned])).toEqual([
      [0.5, 0.5, true],
      [1, 0.3, true],
    ])
    expect(withSkives(panels, {})).toEqual(panels)
  })
  test('a wish named like something every object has is not taken for one', () => {
    const odd: Band = { ...feather, key: 'toString' }
    expect(withSkives([panel('flap', 50, 40, [odd])], {})[0]!.bands[0]!.end).toBe(0.2)
  })
})

describe('the transect', () => {
  const cut = transect(work, point(-10, 20), point(110, 20))
  test('is as long as its line and as thick as the work', () => {
    expect(cut.length).toBe(120)
    expect(cut.thickest).toBeCloseTo(2.5, 3)
  })
  test('each layer lies on those below: the flap starts at 0.2 and is full 10 mm on', () => {
    const [back, flap] = cut.layers
    expect([back!.spans[0]!.start, back!.spans.at(-1)!.end]).toEqual([10, 110])
    expect(flap!.spans[0]).toMatchObject({ start: 60, end: 70 })
    expect(flap!.spans[0]!.bottom[0]).toBeCloseTo(1.5, 6)
    expect(flap!.spans[0]!.top[0] - 1.5).toBeCloseTo(0.2, 3)
    expect(flap!.spans[0]!.top[1] - 1.5).toBeCloseTo(1, 3)
  })
  test('walked the other way it is the same section turned round', () => {
    const back = transect(work, point(110, 20), point(-10, 20))
    expect(back.steps.map((s) => s.total.map((t) => t.toFixed(3)).reverse()).reverse()).toEqual(
      cut.steps.map((s) => s.total.map((t) => t.toFixed(3))),
    )
  })
  test('a line of no length cuts nothing', () =>
    expect(transect(work, point(5, 5), point(5, 5)).layers).toEqual([]))
  test('anywhere across the demo its totals are the thickness there', () => {
    const open = demoWith({}).works[0]!
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 203, noNaN: true }),
        fc.double({ min: 1, max: 203, noNaN: true }),
        (x0, x1) => {
          const [from, to] = [point(x0, -6), point(x1, 90)]
          const section = transect(open, from, to)
          for (const step of section.steps.filter((s) => s.end - s.start > 0.01)) {
            const share = (step.start + step.end) / 2 / section.length
            const there = thicknessAt(
              open,
              pointMoved(point((to.x - from.x) * share, (to.y - from.y) * share), shift(from.x, from.y)),
            )
            expect((step.total[0] + step.total[1]) / 2).toBeCloseTo(there, 2)
          }
        },
      ),
      { seed: 17, numRuns: 40 },
    )
  })
  test('a rounded corner is met where the arc is', () => {
    const rounded = {
      ...panels[0]!,
      outline: roundedPolygon(
        [point(0, 0), point(100, 0), point(100, 40), point(0, 40)].map((p) => ({ ...p, radius: 10 })),
      ).path,
    }
    const section = transect(
      layUp(layup(sheet('back', 0, 0)), worked([rounded], { back: 1 })),
      point(-5, 2),
      point(50, 2),
    )
    expect(section.layers[0]!.spans[0]!.start - 5).toBeCloseTo(10 - Math.sqrt(100 - 64), 6)
  })
})

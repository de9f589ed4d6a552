import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import {
  type DrawnPanel,
  SHAPES,
  drawnEdgeLength,
  drawnFromPath,
  fromPoints,
  fromReadings,
  insertPoint,
  moveHandle,
  movePoint,
  outlineOf,
  partEdge,
  readingsAt,
  readingsProblem,
  removePoint,
  setGoing,
  setRadius,
  snapPoint,
  wholeDrawn,
} from '@drumlin/core/drawn'
import { pathBox, pathLength } from '@drumlin/core/geometry'
import { overlay, pathArea, pathNearest, pathPoints } from '../src/geometry/index.js'
import { edgeBroughtTo } from '../src/drawn/index.js'
import { derived, panelOf, turned, withFate } from './support/drawing.js'

const path = (panel: DrawnPanel) => outlineOf(panel).path

describe('shapes with measures', () => {
  test.each(SHAPES.map((s) => [s.label, s] as const))('%s measures what was asked', (_, shape) => {
    const values = Object.fromEntries(shape.fields.map((f) => [f.id, f.value]))
    const box = pathBox(path(panelOf(shape.id, values)))
    const width = values.width ?? values.across ?? Math.max(values.top ?? 0, values.foot ?? 0)
    expect(box.right - box.left).toBeCloseTo(width, 3)
    expect(box.bottom - box.top).toBeCloseTo(values.height ?? values.length ?? values.across!, 3)
    expect(findingsOf(derived(panelOf(shape.id, values)))).toEqual([])
  })
  test('a circle of 80 mm is 251.33 mm round', () =>
    expect(pathLength(path(panelOf('circle', { across: 80 })))).toBeCloseTo(80 * Math.PI, 3))
  test('readings from the top down: straight between them, or one smooth side through them all', () => {
    const readings = [
      { down: 10, width: 100 },
      { down: 40, width: 130 },
      { down: 90, width: 120 },
    ]
    for (const smooth of [false, true]) {
      const p = { ...panelOf('rectangle', {}), ...fromReadings(readings, smooth) }
      for (const r of readings)
        expect(pathNearest(path(p), { x: r.width / 2, y: r.down - 10 }).distance).toBeLessThan(1e-3)
    }
    expect(readingsProblem([readings[1]!, readings[0]!], 'mm')).toMatch(
      /Reading 2 lies at 10\.0 mm, not farther down/,
    )
    expect(readingsProblem([readings[0]!], 'in')).toMatch(/At least two readings/)
  })
  test('points clicked, whole or half', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 60, y: 0 },
      { x: 50, y: 40 },
      { x: 0, y: 40 },
    ]
    const area = (half: number | null) =>
      Math.abs(pathArea(path({ ...panelOf('rectangle', {}), ...fromPoints(points, half) })))
    expect(area(null)).toBeCloseTo(2200, 6)
    expect(area(0)).toBeCloseTo(4400, 6)
  })
})

describe('drawing', () => {
  const flap = panelOf('flap', {})
  test('the halves agree to 1e-9, whatever is moved', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        (i, dx, dy) => {
          const n = flap.nodes[i]!
          const points = pathPoints(path(movePoint(flap, i, { x: n.x + dx, y: n.y + dy })))
          const mirrored = {
            closed: true,
            segments: path(movePoint(flap, i, { x: n.x + dx, y: n.y + dy })).segments,
          }
          for (const p of points)
            expect(pathNearest(mirrored, { x: -p.x, y: p.y }).distance).toBeLessThan(1e-9)
        },
      ),
      { seed: 3, numRuns: 25 },
    ))
  test('the ends of a half stay on its axis', () =>
    expect(movePoint(flap, 0, { x: 12, y: -5 }).nodes[0]).toMatchObject({ x: 0, y: -5 }))
  test('a point put in changes no shape; taken out again it is gone', () => {
    const { panel, index } = insertPoint(flap, { x: 100, y: 130 })
    expect(panel.nodes).toHaveLength(flap.nodes.length + 1)
    expect(overlay(path(flap), path(panel)).distance).toBeLessThan(1e-3)
    expect(removePoint(panel, index)!.nodes).toHaveLength(flap.nodes.length)
    expect(removePoint(flap, 0)).toBeUndefined()
  })
  test('a line becomes an arc or a curve, and a line again', () => {
    const arc = setGoing(flap, 1, 'arc')
    expect(path(arc).segments.some((s) => s.type === 'arc')).toBe(true)
    const curve = setGoing(flap, 1, 'curve')
    expect(overlay(path(flap), path(curve)).distance).toBeLessThan(1e-3)
    const bent = moveHandle(curve, 1, 'c1', { x: 130, y: 30 })
    expect(overlay(path(flap), path(bent)).distance).toBeGreaterThan(1)
    expect(path(setGoing(bent, 1, 'line'))).toEqual(path(flap))
  })
  test('a corner between a line and a curve is rounded by its radius; one that does not fit is said and left', () => {
    const p = panelOf('rectangle', { width: 100, height: 60 })
    const round = setRadius(setGoing(p, 2, 'arc'), 1, 10)
    expect(path(round).segments.filter((s) => s.type === 'arc').length).toBeGreaterThan(2)
    const no = setRadius(p, 1, 70)
    expect(outlineOf(no).unrounded).toEqual([1, 1])
    expect(findingsOf(derived(no)).map((f) => sayFinding(f, 'mm').what)).toContain(
      'The corner at point 2 can’t be rounded by 70.0 mm.'.replace('’', "'"),
    )
  })
  test('an edge parted at a point is two edges of the same fate', () => {
    const { panel, index } = insertPoint(withFate(flap, turned(8)), { x: 120, y: 40 })
    const parted = partEdge(panel, index)
    expect(parted.edges.map((e) => e.id)).toEqual(['top', 'side', 'side-2', 'foot'])
    expect(new Set(parted.edges.map((e) => e.fate.type))).toEqual(new Set(['turned']))
  })
  test('drawn whole it is the same outline', () => {
    for (const shape of ['flap', 'rounded', 'circle', 'strap-round']) {
      const half = panelOf(shape, {})
      expect(overlay(path(half), path(wholeDrawn(half))).distance).toBeLessThan(1e-3)
      expect(new Set(wholeDrawn(half).edges.map((e) => e.id)).size).toBe(wholeDrawn(half).edges.length)
    }
  })
  test('drawn whole, the points of an edge that crossed the axis are one run of the list', () => {
    for (const shape of ['flap', 'rounded', 'strap-round']) {
      const { nodes } = wholeDrawn(panelOf(shape, {}))
      const runs = nodes.filter((n, i) => i === 0 || n.edge !== nodes[i - 1]!.edge)
      expect(runs.length).toBe(new Set(nodes.map((n) => n.edge)).size)
    }
  })
  test('drawn whole, the edge that crossed the axis can be brought to a length', () => {
    const whole = wholeDrawn(panelOf('flap', {}))
    const ref = { panel: whole.id, edge: whole.edges[0]!.id }
    const before = drawnEdgeLength([whole], ref)!
    const after = edgeBroughtTo(whole, ref.edge, before + 6)
    expect(drawnEdgeLength([after], ref)).toBeCloseTo(before + 6, 1)
    expect(
      after.nodes.filter((n, i) => n.x === whole.nodes[i]!.x && n.y === whole.nodes[i]!.y).length,
    ).toBeGreaterThan(1)
  })
  test('lengths and angle while moving', () => {
    const r = readingsAt(panelOf('rectangle', { width: 80, height: 30 }), 1)
    expect([r.before, r.after, (r.angle! * 180) / Math.PI].map((v) => Math.round(v! * 1e6) / 1e6)).toEqual([
      40, 30, 90,
    ])
  })
  test('what a point snaps to is said in words', () => {
    const p = panelOf('rectangle', { width: 80, height: 30 })
    const at = (x: number, y: number, neighbours: { name: string; path: ReturnType<typeof path> }[] = []) =>
      snapPoint(p, { x, y }, { index: 2, neighbours, pitch: 4, within: 1 })
    expect(at(40.4, 22)).toEqual({ at: { x: 40, y: 22 }, said: ['plumb with point 2'] })
    expect(at(25, 0.5).said).toEqual(['level with point 1'])
    expect(at(0.6, 20).said).toEqual(['on the centre line'])
    expect(at(48.1, 8.8)).toMatchObject({ said: ['3 whole pitches from point 2'] })
    expect(
      at(60.2, 20, [{ name: 'Front', path: path(panelOf('rectangle', { width: 120, height: 60 })) }]),
    ).toMatchObject({ at: { x: 60, y: 20 }, said: ['on the edge of the front'] })
  })
  test('an outline that crosses itself is a stop, where it crosses', () => {
    const bow = {
      ...panelOf('rectangle', {}),
      ...fromPoints(
        [
          { x: 0, y: 0 },
          { x: 60, y: 40 },
          { x: 60, y: 0 },
          { x: 0, y: 40 },
        ],
        null,
      ),
    }
    const found = findingsOf(derived(bow)).find((f) => f.code === 'drawing-fault')!
    expect(found.rank).toBe('stop')
    expect(found.places[0]!.at).toEqual({ x: 30, y: 20 })
  })
})

test('an outline from a path names its edges by the way they face', () => {
  const drawn = drawnFromPath(path(panelOf('trapezium', {})))
  expect(drawn.edges.map((e) => e.id).toSorted()).toEqual(['foot', 'left', 'right', 'top'])
})

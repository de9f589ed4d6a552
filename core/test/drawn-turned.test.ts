import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { applyEdit, editUpToDate } from '@drumlin/core/design'
import { type DrawnPanel, lieBeside, lieOf, outlineOf, turnedInPlace } from '@drumlin/core/drawn'
import { boxCentre, pathBox, pathMoved, point, pointDistance, pointMoved } from '../src/geometry/index.js'
import { drawingOf, panelOf } from './support/drawing.js'

const QUARTER = Math.PI / 2
const back = panelOf('rectangle', { width: 200, height: 120 }, { id: 'back', name: 'back' })
const pocket = (lies: Partial<DrawnPanel['lies']> = {}): DrawnPanel =>
  panelOf(
    'rectangle',
    { width: 100, height: 60 },
    { id: 'pocket', name: 'pocket', lies: { x: 40, y: 20, turn: 0, grainUp: true, ...lies } },
  )
const middleOf = (panel: DrawnPanel) => pointMoved(boxCentre(pathBox(outlineOf(panel).path)), lieOf(panel))
const boxIn = (panels: readonly DrawnPanel[], id: string) => {
  const { master, panels: made } = derive(drawingOf(panels))
  const sheet = master.layups[0]!.sheets.find((s) => s.type === 'panel' && s.panelId === id)!
  return pathBox(pathMoved(made.find((p) => p.id === id)!.outline, sheet.move))
}

describe('a drawn panel turned in the work', () => {
  test('a quarter round about its middle: 100 × 60 with its middle at 40, 50 stands from 10, 0 to 70, 100', () => {
    const turned = { ...pocket(), lies: turnedInPlace(pocket(), QUARTER) }
    const { left, top, right, bottom } = boxIn([back, turned], 'pocket')
    expect([left, top, right, bottom].map((n) => Math.round(n * 1000) / 1000)).toEqual([10, 0, 70, 100])
  })
  test('wherever it lies, it stays there however it is turned, and goes back', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -900, max: 900, noNaN: true }),
        (from, to, x) => {
          const before = pocket({ x, turn: from })
          const after = { ...before, lies: turnedInPlace(before, to) }
          expect(pointDistance(middleOf(before), middleOf(after))).toBeLessThan(0.002)
          expect(after.lies.turn).toBe(to)
          const again = turnedInPlace(after, from)
          expect(pointDistance(point(again.x, again.y), point(x, before.lies.y))).toBeLessThan(0.003)
        },
      ),
    ))
  test('what reached over the side of the back lies on it wholly once it is turned upright', () => {
    const flat = pocket({ x: 70, y: 20 })
    const upright = { ...flat, lies: turnedInPlace(flat, QUARTER) }
    expect(boxIn([back, flat], 'pocket').right).toBeCloseTo(120, 3)
    const { right, left } = boxIn([back, upright], 'pocket')
    expect([left, right].map((n) => Math.round(n * 1000) / 1000)).toEqual([40, 100])
  })
  test('the work lies in the coordinates of the panel that carries it, wherever that lies', () => {
    const moved = { ...back, lies: { ...back.lies, x: 70, y: -10, turn: 0.4 } }
    const { left, top, right, bottom } = boxIn([moved, pocket()], 'back')
    expect([left, top, right, bottom].map((n) => Math.round(n * 1000) / 1000)).toEqual([-100, 0, 100, 120])
    const beside = pathBox(pathMoved(outlineOf(pocket()).path, lieBeside(pocket(), moved)))
    const box = boxIn([moved, pocket()], 'pocket')
    expect(box.left).toBeCloseTo(beside.left, 6)
    expect(box.bottom).toBeCloseTo(beside.bottom, 6)
  })
  test('what an older Drumlin wrote of it lies as it was drawn, in its log too', () => {
    const { turn: _, ...older } = back.lies
    const edit = editUpToDate({
      name: 'draw',
      changes: [{ path: ['drawn'], value: [{ ...back, lies: older }] }],
    })
    const edited = applyEdit(drawingOf([back]), edit)
    expect(edited.ok && edited.design.drawn[0]!.lies).toEqual({ ...older, turn: 0 })
  })
})

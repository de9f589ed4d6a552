import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { pathBox, pathMoved, point, pointDistance, pointMoved } from '@drumlin/core/geometry'
import { arrangeInRows, nearestPlace, placesOf } from '@drumlin/core/reckon'
import { demo, freshOf } from './support/designs.js'

describe('pieces in rows', () => {
  const bag = derive(freshOf('flap-bag'))
  const laid = (width: number) => arrangeInRows(bag.pieces, (p) => p.cut, width, 12, 'lie')
  const boxes = (width: number) =>
    laid(width).placed.map(({ item, move }) => pathBox(pathMoved(item.cut, move)))

  test('none lies over another, all within the sheet, whatever its width', () => {
    for (const width of [240, 430, 800, 1500]) {
      const { width: w, height } = laid(width)
      const all = boxes(width)
      all.forEach((a, i) => {
        expect(a.left).toBeGreaterThan(-1e-6)
        expect([a.right <= w + 1e-6, a.bottom <= height + 1e-6]).toEqual([true, true])
        for (const b of all.slice(i + 1))
          expect(a.right < b.left || b.right < a.left || a.bottom < b.top || b.bottom < a.top).toBe(true)
      })
    }
  })
  test('a strap longer than everything else lies along the top, its top to the right', () => {
    const { placed, height } = laid(800)
    const strap = placed.findIndex(({ item }) => item.id === 'strap-long')
    const box = boxes(800)[strap]!
    expect([strap, box.top]).toEqual([0, 0])
    expect(box.right - box.left).toBeGreaterThan(5 * (box.bottom - box.top))
    expect(height).toBeLessThan(arrangeInRows(bag.pieces, (p) => p.cut, 800, 12).height)
    const { item, move } = placed[strap]!
    const own = pathBox(item.cut)
    expect(pointMoved(point(own.left, own.top), move).x).toBeGreaterThan(
      pointMoved(point(own.left, own.bottom), move).x,
    )
  })
})

describe('places a rule is laid to', () => {
  const { pieces } = derive(demo())
  const { placed } = arrangeInRows(pieces, (p) => p.cut, 430, 12)
  const [first] = placed

  test('a corner, a hole, or where one points when nothing is near', () => {
    const { item, move } = first!
    const hole = pointMoved(item.holes[0]!.at, move)
    expect(nearestPlace(placed, { x: hole.x + 0.3, y: hole.y - 0.2 }, 1)).toEqual(hole)
    const far = point(-500, -500)
    expect(nearestPlace(placed, far, 5)).toBe(far)
    // Just out of reach is out of reach.
    expect(nearestPlace(placed, { x: hole.x, y: hole.y - 60 }, 0.5)).toEqual({ x: hole.x, y: hole.y - 60 })
  })
  test('none is nearer than the one that is found, asked of every piece', () => {
    for (let i = 0; i < 200; i += 1) {
      const at = point((i * 37) % 430, (i * 53) % 300)
      const found = nearestPlace(placed, at, 40)
      const all = placed.flatMap(({ item, move }) =>
        placesOf(item).map((p) => pointDistance(pointMoved(p, move), at)),
      )
      const least = Math.min(...all)
      expect(pointDistance(found, at)).toBeCloseTo(least < 40 ? least : 0, 9)
    }
  })
  test('the width of the outside is measured between its corners as its working says it', () => {
    const outside = pieces.find((p) => p.id === 'outside')!
    const xs = placesOf({ ...outside, holes: [] }).map((p) => p.x)
    const box = pathBox(outside.cut)
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(box.right - box.left, 6)
  })
})

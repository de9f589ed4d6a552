import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { pictureOf } from '@drumlin/core/space'
import { courseAt, courseOf, coursed, pathLength, point, point3Distance } from '../src/geometry/index.js'
import { onStage, placeInSpace } from '../src/space/index.js'
import { BARE, bagOf, sizeOf } from './support/bags.js'
import { SHADE } from '../src/space/shade.js'
import { demo, demoWith, freshOf } from './support/designs.js'

const near = (a: { x: number; y: number }, x: number, y: number): void => {
  expect(a.x).toBeCloseTo(x, 9)
  expect(a.y).toBeCloseTo(y, 9)
}

describe('a course', () => {
  test('straight, a quarter turn towards the flesh, straight again', () => {
    const course = courseOf([
      { length: 100 },
      { length: 10 * (Math.PI / 2), turn: Math.PI / 2 },
      { length: 50 },
    ])
    const walk = coursed(course)
    expect(pathLength(course)).toBeCloseTo(150 + 5 * Math.PI, 9)
    near(courseAt(walk, 100).at, 100, 0)
    near(courseAt(walk, 100 + 5 * Math.PI).at, 110, -10)
    near(courseAt(walk, 150 + 5 * Math.PI).at, 110, -60)
  })
  test('goes on straight beyond its ends', () => {
    const walk = coursed(courseOf([{ length: 10 }, { length: 0, turn: Math.PI / 2 }, { length: 10 }]))
    near(courseAt(walk, -5).at, -5, 0)
    near(courseAt(walk, 25).at, 10, -15)
  })
  test('a half turn of a book fold comes back two radii below', () => {
    const walk = coursed(courseOf([{ length: 90 }, { length: 3 * Math.PI, turn: Math.PI }, { length: 90 }]))
    near(courseAt(walk, 180 + 3 * Math.PI).at, 0, -6)
  })
  test('is as long as its stretches, however it turns', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            length: fc.double({ min: 0.1, max: 200, noNaN: true }),
            turn: fc.double({ min: -3, max: 3, noNaN: true }),
          }),
          {
            minLength: 1,
            maxLength: 8,
          },
        ),
        (stretches) => {
          const sum = stretches.reduce((all, s) => all + s.length, 0)
          expect(pathLength(courseOf(stretches))).toBeCloseTo(sum, 6)
        },
      ),
      { seed: 11, numRuns: 200 },
    ))
})

describe('a wallet in space', () => {
  const distances = (opened: number) => {
    const wallet = derive(demo())
    const stage = onStage(wallet.master, wallet.works[0]!, opened)
    const outside = stage.filter((s) => s.laid.sheet.type === 'panel' && s.laid.sheet.panelId === 'outside')
    const placeOf = (x: number) => {
      const one = outside.find((s) => s.laid.sheet.type === 'panel')!
      return placeInSpace(one.parts, point(x, 40)).at
    }
    const wide = sizeOf(wallet, 'outside.width')
    return point3Distance(placeOf(2), placeOf(wide - 2))
  }
  test('open, its ends lie its whole width apart; shut, as far as the fold is thick', () => {
    expect(distances(1)).toBeGreaterThan(190)
    expect(distances(0)).toBeLessThan(15)
    expect(distances(0.5)).toBeGreaterThan(distances(0.2))
  })
})

describe('the picture', () => {
  test('every piece of leather of every kind is in it, none of its places broken', () => {
    for (const kind of [
      'tote',
      'flap-bag',
      'portfolio',
      'briefcase',
      'rucksack',
      'sheath',
      'bifold',
      'wrap-wallet',
      'strap-wallet',
      'gusseted-case',
      'moulded-holder',
      'narrow-strap',
      'card-sleeve',
    ]) {
      const work = derive(freshOf(kind))
      for (const opened of [0, 0.5]) {
        const picture = pictureOf(work, work.works[0]!, opened)
        const shown = new Set(picture.sheets.map((s) => s.panelId))
        const laid = new Set(
          work.works[0]!.sheets.flatMap((s) =>
            s.sheet.type === 'panel' && s.thickness > 0 ? [s.sheet.panelId] : [],
          ),
        )
        // Keepers and what is only laid out beside the work have no place in it.
        const missing = [...laid].filter(
          (id) => !shown.has(id) && !['keeper', 'tab', 'strap-short'].includes(id),
        )
        expect([kind, missing]).toEqual([kind, []])
        for (const { mesh, id } of picture.sheets) {
          expect(mesh.positions.length, `${kind} ${id}`).toBeGreaterThan(0)
          expect(mesh.positions.every(Number.isFinite), `${kind} ${id}`).toBe(true)
          expect(mesh.normals.length).toBe(mesh.positions.length)
        }
        expect(picture.stitches.every(Number.isFinite)).toBe(true)
      }
    }
  })
  test('the faces of a flat panel add up to its area, on the grain side', () => {
    const bag = bagOf('tote', { ...BARE, body: 'wrap', seam: 'raw' })
    const front = pictureOf(bag, bag.works[0]!, 1).sheets.find((s) => s.id === 'front')!
    const { positions, grain } = front.mesh
    let area = 0
    for (let i = 0; i < grain; i += 3) {
      const at = (k: number) => ({
        x: positions[3 * (i + k)]!,
        y: positions[3 * (i + k) + 1]!,
        z: positions[3 * (i + k) + 2]!,
      })
      const [a, b, c] = [at(0), at(1), at(2)]
      area += Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y)) / 2
    }
    const [w, h] = [sizeOf(bag, 'bag.wide') + 8, sizeOf(bag, 'bag.high') + 4]
    const corners = 2 * (1 - Math.PI / 4) * 34 ** 2
    expect(area / (w * h - corners)).toBeCloseTo(1, 2)
  })
  test('stitches of seams that end up inside are left out, those of raw edges are not', () => {
    const count = (seam: string) => {
      const bag = bagOf('tote', { ...BARE, body: 'wrap', seam })
      return pictureOf(bag, bag.works[0]!, 0).stitches.length
    }
    expect(count('turned')).toBe(0)
    expect(count('raw')).toBeGreaterThan(1000)
  })
  test('straps are a group of their own, and hardware stands on the outermost leather', () => {
    const bag = derive(freshOf('flap-bag'))
    const picture = pictureOf(bag, bag.works[0]!, 0)
    expect(picture.sheets.filter((s) => s.group === 'straps').map((s) => s.panelId)).toContain('strap-long')
    expect(picture.hardware.map((h) => h.sort)).toContain('ring')
    for (const { out, up } of picture.hardware) {
      expect(Math.hypot(out.x, out.y, out.z)).toBeCloseTo(1, 9)
      expect(Math.abs(out.x * up.x + out.y * up.y + out.z * up.z)).toBeLessThan(0.2)
    }
  })
})

describe('cut edges', () => {
  test('are drawn as they are finished, turned ones as grain, and no other face with them', () => {
    const shades = (edge: 'burnished' | 'painted'): number[] => {
      const derived = demoWith({ 'params.finish': edge })
      const picture = pictureOf(derived, derived.works[0]!, 1)
      const mesh = picture.sheets.find((s) => s.panelId === 'outside')!.mesh
      expect(mesh.shades).toHaveLength(mesh.positions.length / 3)
      expect([...mesh.shades.slice(0, mesh.grain)].every((s) => s === 1)).toBe(true)
      return [...new Set([...mesh.shades.slice(mesh.grain)].map((s) => Number(s.toFixed(2))))].sort()
    }
    const [burnished, painted] = [shades('burnished'), shades('painted')]
    expect(burnished).toContain(SHADE.burnished)
    expect(burnished).not.toContain(SHADE.painted)
    expect(painted).toContain(SHADE.painted)
    expect(painted).not.toContain(SHADE.burnished)
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Derived, derive, gapsOf, pictureOf } from '@drumlin/core'
import {
  courseAt,
  courseOf,
  coursed,
  pathLength,
  point,
  point3Distance,
  pointMoved,
} from '../src/geometry/index.js'
import { type OnStage, onStage, placeInSpace } from '../src/space/index.js'
import { BARE, bagOf, sizeOf } from './support/bags.js'
import { demo, freshOf, withValues } from './support/designs.js'

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

const BODIES = ['wrap', 'wrap-three', 'tapered', 'set-in', 'boxed', 'boxed-folded'] as const
const room = (bag: Derived) => bag.master.room!

/** From the middle of a bag along a direction: how far the leather of a sheet lies off, its thickness taken off. */
function wallAt(
  stage: readonly OnStage[],
  sheet: string,
  pick: (p: { x: number; y: number; z: number }) => number,
  at: (p: { x: number; y: number; z: number }) => boolean,
): number {
  const one = stage.find((s) => s.laid.sheet.id === sheet)!
  const { outline, thickness } = one.laid
  const xs = outline.segments.map((s) => s.from.x)
  const ys = outline.segments.map((s) => s.from.y)
  const found: number[] = []
  for (let i = 1; i < 60; i += 1)
    for (let k = 1; k < 60; k += 1) {
      const p = point(
        Math.min(...xs) + (i / 60) * (Math.max(...xs) - Math.min(...xs)),
        Math.min(...ys) + (k / 60) * (Math.max(...ys) - Math.min(...ys)),
      )
      const host = pointMoved(p, one.toHost)
      const { at: place } = placeInSpace(one.parts, host, one.off(host) - thickness / 2)
      if (at(place)) found.push(pick(place))
    }
  return Math.max(...found)
}

describe('the finished bag in space', () => {
  const kindFor = (body: string): string => (body === 'set-in' || body === 'tapered' ? 'flap-bag' : 'tote')

  test.each(BODIES.flatMap((body) => (['turned', 'raw'] as const).map((seam) => [body, seam] as const)))(
    '%s, sewn %s: every seam meets, stitch line on stitch line',
    (body, seam) => {
      const bag = bagOf('tote', { ...BARE, body, seam })
      for (const gap of gapsOf(bag.master, bag.runs, bag.works[0]!, 1)) {
        // What is bent outside its stitch line, and sharp bends, stand off by less than the leather is thick.
        expect(gap.most, gap.name).toBeLessThan(1.8)
        expect(gap.pairs.length).toBe(bag.runs.find((r) => r.join.id === gap.run)!.holes.length)
      }
    },
  )
  test.each([0, 0.3, 0.7, 1])(
    'sides that fold meet front and back however far they are open: %s',
    (opened) => {
      for (const body of ['folded', 'bellows']) {
        const bag = bagOf('portfolio', { ...BARE, body, pleats: 3 })
        for (const gap of gapsOf(bag.master, bag.runs, bag.works[0]!, opened))
          expect(gap.most).toBeLessThan(1e-6)
      }
    },
  )
  test('folded flat, front and back lie on each other', () => {
    const bag = bagOf('portfolio', { ...BARE, body: 'folded' })
    const stage = onStage(bag.master, bag.works[0]!, 0)
    const top = (sheet: string) => {
      const one = stage.find((s) => s.laid.sheet.id === sheet)!
      return placeInSpace(one.parts, point(60, 0)).at
    }
    expect(Math.abs(top('front').z - top('back').z)).toBeLessThan(1e-9)
  })
  test.each(BODIES.filter((b) => b !== 'tapered'))(
    '%s: the room between the walls is what is said, to half a millimetre',
    (body) => {
      for (const seam of ['turned', 'raw'] as const) {
        const bag = bagOf(kindFor(body), {
          ...BARE,
          flap: kindFor(body) === 'tote' ? 'none' : 'one',
          body,
          seam,
          wide: 240,
          high: 200,
          deep: 90,
          radius: 20,
        })
        const stage = onStage(bag.master, bag.works[0]!, 1)
        const { wide, high, deep } = room(bag)
        const mid = { x: wide.value / 2, y: high.value / 2 }
        const oneSheet = stage.some((s) => s.laid.sheet.id === 'body')
        const inMiddle = (p: { x: number; y: number; z: number }): boolean =>
          Math.abs(p.x) < mid.x * 0.6 && Math.abs(p.y - mid.y) < mid.y * 0.4
        const front = oneSheet ? 'body' : 'front'
        const depth = wallAt(
          stage,
          front,
          (p) => p.z,
          (p) => inMiddle(p) && p.z > 0,
        )
        expect(2 * depth, `${body} ${seam} depth`).toBeCloseTo(deep.value, 0)
        expect(Math.abs(2 * depth - deep.value), `${body} ${seam}`).toBeLessThan(0.5)
        const side =
          { 'set-in': 'side-right', wrap: 'gusset', 'wrap-three': 'gusset-right' }[body as string] ?? front
        const width = wallAt(
          stage,
          side,
          (p) => p.x,
          (p) => Math.abs(p.z) < deep.value * 0.3 && p.x > mid.x * 0.7 && Math.abs(p.y - mid.y) < mid.y * 0.4,
        )
        expect(Math.abs(2 * width - wide.value), `${body} ${seam} width`).toBeLessThan(0.5)
      }
    },
  )
  test('its volume by slices through the walls is width × height × depth, less what the corners cut off', () => {
    const bag = bagOf('tote', {
      ...BARE,
      body: 'wrap',
      seam: 'turned',
      wide: 240,
      high: 200,
      deep: 90,
      radius: 20,
    })
    const stage = onStage(bag.master, bag.works[0]!, 1)
    const gusset = stage.find((s) => s.laid.sheet.id === 'gusset')!
    const [t, level] = [gusset.laid.thickness, sizeOf(bag, 'bag.deep') / 2 + 8]
    const length = sizeOf(bag, 'gusset.length')
    // The inner face of the gusset encloses an area; the fronts stand the depth apart.
    const places = Array.from({ length: 400 }, (_, i) => {
      const p = point(((i + 0.5) * length) / 400, level)
      return placeInSpace(gusset.parts, p, gusset.off(p) - t / 2).at
    })
    const loop = [...places]
    let area = 0
    loop.forEach((a, i) => {
      const b = loop[(i + 1) % loop.length]!
      area += (a.x * b.y - b.x * a.y) / 2
    })
    const { wide, high, deep } = room(bag)
    const inner = 20 - t / 2 + gusset.off(point(0, 0))
    const said = wide.value * high.value - 2 * (1 - Math.PI / 4) * inner ** 2
    // Half a millimetre in each direction is what a maker could measure.
    const play = 0.5 * (wide.value + 2 * high.value)
    expect(Math.abs(Math.abs(area) - said)).toBeLessThan(play)
    expect((Math.abs(area) * deep.value) / 1e6).toBeGreaterThan(4)
  })
  test('a number written over the gusset’s length shows: the seam stands open, and is found', () => {
    const design = withValues(freshOf('tote'), { 'params.body': 'wrap', 'params.pocket': 'none' })
    const whole = sizeOf(derive(design), 'gusset.length')
    const longer = derive({ ...design, overrides: { 'gusset.length': whole + 30 } })
    const gap = gapsOf(longer.master, longer.runs, longer.works[0]!, 0).find((g) => g.run === 'front-seam')!
    expect(gap.most).toBeGreaterThan(10)
  })
  test('bends as the pieces say, whatever sizes are asked for', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...BODIES),
        fc.constantFrom('turned', 'raw'),
        fc.integer({ min: 120, max: 500 }),
        fc.integer({ min: 120, max: 500 }),
        fc.integer({ min: 40, max: 200 }),
        fc.integer({ min: 0, max: 60 }),
        (body, seam, wide, high, deep, radius) => {
          const bag = bagOf('tote', { ...BARE, body, seam, wide, high, deep, topDeep: deep + 30, radius })
          for (const gap of gapsOf(bag.master, bag.runs, bag.works[0]!, 1)) expect(gap.most).toBeLessThan(2)
        },
      ),
      { seed: 5, numRuns: 30 },
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

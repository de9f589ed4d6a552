import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { gapsOf } from '@drumlin/core/space'
import { point, pointMoved } from '../src/geometry/index.js'
import { type OnStage, onStage, placeInSpace } from '../src/space/index.js'
import { BARE, bagOf, sizeOf } from './support/bags.js'
import { freshOf, withValues } from './support/designs.js'

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
        expect(gap.max, gap.name).toBeLessThan(1.8)
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
          expect(gap.max).toBeLessThan(1e-6)
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
    expect(gap.max).toBeGreaterThan(10)
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
          for (const gap of gapsOf(bag.master, bag.runs, bag.works[0]!, 1)) expect(gap.max).toBeLessThan(2)
        },
      ),
      { seed: 5, numRuns: 30 },
    ))
})

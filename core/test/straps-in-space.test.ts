import { describe, expect, test } from 'vitest'
import { type Picture, pictureOf } from '@drumlin/core/space'
import { courseOf, point, polygon, STAY } from '../src/geometry/index.js'
import { meshOf } from '../src/space/mesh.js'
import { readyParts } from '../src/space/place.js'
import { BARE, bagOf, sizeOf } from './support/bags.js'

const cornersOf = ({ mesh }: Picture['sheets'][number]) =>
  Array.from({ length: mesh.positions.length / 3 }, (_, i) => ({
    x: mesh.positions[3 * i]!,
    y: mesh.positions[3 * i + 1]!,
    z: mesh.positions[3 * i + 2]!,
  }))
const spread = (values: readonly number[]) => ({ min: Math.min(...values), max: Math.max(...values) })

describe('straps in the round', () => {
  const bag = bagOf('rucksack', { ...BARE, strap: 'pair', strapPad: 'pad', closure: 'strap', top: 'rolled' })
  const shut = pictureOf(bag, bag.works[0]!, 0)
  const all = (id: string) => shut.sheets.filter((s) => s.id === id)

  test('a pair hangs on both sides, one the other’s mirror image, each with its buckle', () => {
    for (const id of ['strap-long', 'strap-short']) {
      const [one, other] = all(id).map((s) => spread(cornersOf(s).map((p) => p.x)))
      expect(all(id)).toHaveLength(2)
      expect(one!.min).toBeCloseTo(-other!.max, 3)
      expect(one!.max).toBeCloseTo(-other!.min, 3)
    }
    const buckles = shut.hardware.filter((h) => h.sort === 'buckle')
    expect(buckles.map((b) => Math.sign(b.at.x)).toSorted()).toEqual([-1, 1])
  })
  test('each strap lies between two pads', () => {
    for (const id of ['pad', 'pad-under']) expect(all(id)).toHaveLength(2)
    // Its sides are sewn through both, the strap's edges through all three, of each of the two straps.
    const pads = bag.runs.filter((r) => r.join.id.startsWith('pad-'))
    expect(pads.map((r) => [r.join.id, r.times, r.holes[0]!.sheets.length])).toEqual([
      ['pad-strap-1', 2, 3],
      ['pad-strap-2', 2, 3],
      ['pad-right', 2, 2],
      ['pad-left', 2, 2],
    ])
    expect(bag.pieces.find((p) => p.id === 'pad')!.holes).toHaveLength(
      pads.reduce((sum, r) => sum + r.holes.length, 0),
    )
    const without = bagOf('rucksack', { ...BARE, strap: 'pair', strapPad: 'none' })
    expect(pictureOf(without, without.works[0]!, 0).sheets.map((s) => s.id)).not.toContain('pad')
  })
  test('both are sewn: twice the stitches of one', () => {
    const runs = bag.runs.filter((r) => /^(strap-|pad)/.test(r.join.course.sheet))
    const stitches = runs.reduce((sum, r) => sum + (r.holes.length - 1) * r.holes[0]!.sheets.length, 0)
    // On every layer, above and below, on two straps; six numbers a stitch.
    expect(shut.strapStitches.length / 6).toBe(stitches * 2 * 2)
  })
  test('a closing strap without a flap goes over the mouth and past its loop; open, it stands up', () => {
    const [strap] = all('closing-strap')
    const ends = cornersOf(strap!)
    const loop = spread(cornersOf(all('closing-loop')[0]!).map((p) => p.y))
    const inFront = ends.filter((p) => p.z > sizeOf(bag, 'bag.out.deep') / 2 - 1)
    expect(spread(inFront.map((p) => p.y)).min).toBeLessThan(loop.min - 20)
    const top = spread(cornersOf(all('body')[0]!).map((p) => p.y)).max
    expect(spread(ends.map((p) => p.y)).max).toBeLessThan(top + 12)
    const open = pictureOf(bag, bag.works[0]!, 1).sheets.find((s) => s.id === 'closing-strap')!
    expect(spread(cornersOf(open).map((p) => p.y)).max).toBeGreaterThan(top + 100)
  })
  test('it is as long as the way it goes, by pencil', () => {
    // 45 sewn on, 4 under the rolled band, over the mouth, down to the loop, 16 of loop and 35 beyond.
    const band = bag.design.params.topBand as number
    const down = Math.min(90, (sizeOf(bag, 'bag.high') as number) / 2)
    expect(sizeOf(bag, 'closing.length')).toBeCloseTo(
      45 + band + 4 + sizeOf(bag, 'bag.out.deep') + down + 16 + 35,
      6,
    )
  })
})

describe('a piece that lies on others', () => {
  const [part] = readyParts({
    sheet: 'a',
    seamOffset: 0,
    parts: [
      {
        clips: [],
        from: point(0, 0),
        along: point(1, 0),
        course: courseOf([{ length: 200 }]),
        frame: { origin: { x: 0, y: 0, z: 0 }, along: { x: 1, y: 0, z: 0 }, rise: { x: 0, y: 0, z: 1 } },
      },
    ],
  })
  const laid = (off: (x: number) => number) =>
    meshOf([part!], {
      outline: polygon([point(0, 0), point(100, 0), point(100, 60), point(0, 60)]),
      move: STAY,
      clips: [],
      thickness: () => 2,
      off: (p) => off(p.x),
      edge: () => 0.5,
      follows: true,
    })
  test('is not broken up where nothing bends below it: two faces a side and two an edge', () => {
    expect(laid(() => 1.5).positions.length / 9).toBe(12)
    expect(laid((x) => 0.02 * x).positions.length / 9).toBe(12)
  })
  test('follows a ridge within a tenth of a millimetre', () => {
    const ridge = (x: number): number => Math.max(0, 20 - Math.abs(x - 50)) * 0.1
    const { positions, grain } = laid(ridge)
    for (let i = 0; i < grain; i += 3) {
      const at = (axis: number): number =>
        [0, 1, 2].reduce((sum, k) => sum + positions[3 * (i + k) + axis]!, 0) / 3
      // Half its thickness above its own middle.
      expect(Math.abs(at(2) - (ridge(at(0)) + 1))).toBeLessThan(0.1)
    }
    expect(grain / 3).toBeGreaterThan(2)
  })
})

import { describe, expect, test } from 'vitest'
import { type Derived, derive, packedRooms, thingsInside } from '@drumlin/core/derived'
import { namesInside, pictureOf } from '@drumlin/core/space'
import { pathBox, point } from '../src/geometry/index.js'
import { onStage, placeInSpace } from '../src/space/index.js'
import { acrossBreaks, overFrom, woundAt } from '../src/space/wound.js'
import { everyDesign, derivedOf } from './support/all.js'
import { BARE, bagOf, sizeOf } from './support/bags.js'
import { freshOf } from './support/designs.js'
import { some } from './support/long.js'

type Mesh = ReturnType<typeof pictureOf>['sheets'][number]['mesh']
const corners = ({ positions }: Mesh) =>
  Array.from({ length: positions.length / 3 }, (_, i) => ({
    x: positions[3 * i] ?? 0,
    y: positions[3 * i + 1] ?? 0,
    z: positions[3 * i + 2] ?? 0,
  }))
const shown = (derived: Derived, opened: number) =>
  pictureOf(derived, derived.works[0]!, opened, thingsInside(derived, opened))

/** A body's volume from its faces, as they look out. */
const volume = ({ positions, normals }: Mesh): number => {
  let sum = 0
  for (let i = 0; i < positions.length; i += 9) {
    const [a, b, c] = [0, 3, 6].map((k) => [positions[i + k]!, positions[i + k + 1]!, positions[i + k + 2]!])
    const [u, v] = [b!, c!].map((p) => p.map((q, k) => q - a![k]!))
    const n = [
      u![1]! * v![2]! - u![2]! * v![1]!,
      u![2]! * v![0]! - u![0]! * v![2]!,
      u![0]! * v![1]! - u![1]! * v![0]!,
    ]
    const way = Math.sign(n.reduce((s, q, k) => s + q * normals[i + k]!, 0))
    sum += (way * n.reduce((s, q, k) => s + q * a![k]!, 0)) / 6
  }
  return sum
}

describe('what is carried, seen through the leather', () => {
  test('of every demo and kind: all of it is there, and nothing where it was not asked for', () => {
    for (const { name, design } of some(everyDesign(), 2)) {
      const derived = derivedOf(design)
      const [open] = derived.works
      if (!open) continue
      const count = namesInside(derived.master, open, thingsInside(derived, 0)).reduce(
        (sum, n) => sum + n.count,
        0,
      )
      for (const opened of [0, 1]) {
        const { things } = shown(derived, opened)
        expect(things.length, name).toBe(count)
        for (const thing of things) {
          expect(thing.mesh.positions.every(Number.isFinite), `${name} ${thing.name}`).toBe(true)
          expect(thing.mesh.outline.length, `${name} ${thing.name}`).toBeGreaterThan(0)
        }
      }
      expect(pictureOf(derived, open, 0).things).toEqual([])
    }
  })
  test('in a bag whose walls stand straight each is as large as it is, and stands within the room', () => {
    const demos = everyDesign().map(({ design }) => derivedOf(design))
    let seen = 0
    for (const derived of demos) {
      const { room } = derived.master
      if (!room || room.leans || room.second) continue
      const [packed] = packedRooms(derived)
      shown(derived, 0).things.forEach(({ mesh }, i) => {
        const { wide, high, deep } = packed!.packing.packed[i]!
        expect(volume(mesh) / (wide * high * deep)).toBeCloseTo(1, 4)
        if (!packed!.packing.fits) return
        seen += 1
        for (const { x, y, z } of corners(mesh)) {
          expect(Math.abs(x)).toBeLessThan(room.wide.value / 2 + 0.01)
          expect(Math.abs(z)).toBeLessThan(room.deep.value / 2 + 0.01)
          expect(y).toBeGreaterThan(room.floor - 0.01)
        }
      })
    }
    expect(seen).toBeGreaterThan(3)
  })
  test('between walls that lean together at the foot it is pressed, and stays between them', () => {
    const pad = { id: 'pad', name: 'pad', wide: 150, high: 120, deep: 12, grams: 200, upright: true }
    const fresh = freshOf('portfolio', { ...BARE, body: 'folded', deep: 40 })
    const derived = derive({ ...fresh, contents: [{ thing: pad, count: 1 }] })
    for (const opened of [0, 0.5, 1]) {
      const { things } = shown(derived, opened)
      expect(things.map((t) => t.name)).toEqual(['pad'])
      for (const { x, y, z } of things.flatMap((t) => corners(t.mesh))) {
        expect(Math.abs(x)).toBeLessThan(derived.master.room!.wide.value / 2)
        const gap = derived.master.room!.leans!.to(opened, y)
        expect(2 * Math.abs(z)).toBeLessThanOrEqual(Math.max(0.21, gap) + 0.01)
      }
    }
  })
  test('cards push up what lies over them by what they are thick', () => {
    const fold = derive(freshOf('bifold'))
    const [open] = fold.works
    const level = (filled: boolean) => {
      const stage = onStage(fold.master, open!, 1, filled)
      const top = stage.findLast((s) => s.laid.sheet.id.startsWith('pocket'))!
      return top.off({ x: (top.laid.box.left + top.laid.box.right) / 2, y: top.laid.box.bottom - 25 })
    }
    const cards = open!.sheets.filter((s) => s.sheet.type === 'content' && /card/.test(s.sheet.name))
    expect(level(true) - level(false)).toBeGreaterThan(Math.min(...cards.map((c) => c.thickness)))
  })
})

describe('straps and handles in the round', () => {
  const bag = bagOf('flap-bag', { ...BARE, strap: 'shoulder', strapWide: 25 })
  const picture = pictureOf(bag, bag.works[0]!, 0)

  test('both parts are turned back at their ends: nothing of them is missing', () => {
    for (const id of ['strap-long', 'strap-short']) {
      const stage = onStage(bag.master, bag.works[0]!, 0).find((s) => s.laid.sheet.id === id)!
      const length = sizeOf(bag, id === 'strap-long' ? 'strap.long' : 'strap.short')
      let [far, before] = [0, placeInSpace(stage.parts, point(12.5, 0.5)).at]
      for (let y = 1; y < length; y += 0.5) {
        const { at } = placeInSpace(stage.parts, point(12.5, y))
        far += Math.hypot(at.x - before.x, at.y - before.y, at.z - before.z)
        before = at
      }
      // Walked along, it is as long as it is cut: it tears nowhere, and lies nowhere twice.
      expect(Math.abs(far / (length - 1) - 1), id).toBeLessThan(0.01)
    }
  })
  test('the buckle hangs in the bend of the short part, flat as the strap', () => {
    const [buckle] = picture.hardware.filter((h) => h.sort === 'buckle')
    const short = picture.sheets.find((s) => s.id === 'strap-short')!
    const near = corners(short.mesh).map((p) =>
      Math.hypot(p.x - buckle!.at.x, p.y - buckle!.at.y, p.z - buckle!.at.z),
    )
    expect(Math.min(...near)).toBeLessThan(buckle!.across)
    const { out, up } = buckle!
    expect(Math.abs(out.x * up.x + out.y * up.y + out.z * up.z)).toBeLessThan(0.1)
  })
  test('two keepers go round both parts of a strap, as wide as the strap and no wider than their room', () => {
    const keepers = picture.sheets.filter((s) => s.id === 'keeper')
    expect(keepers).toHaveLength(2)
    const pair = bagOf('rucksack', { ...BARE, strap: 'pair' })
    expect(pictureOf(pair, pair.works[0]!, 0).sheets.filter((s) => s.id === 'keeper')).toHaveLength(4)
    for (const { mesh } of keepers) {
      const z = corners(mesh).map((p) => p.z)
      const across = Math.max(...z) - Math.min(...z)
      expect(across).toBeGreaterThan(25)
      expect(across).toBeLessThan(25 + 8)
    }
  })
  test.each(['flat', 'doubled', 'rolled'])('a %s handle goes over from its ends without a tear', (handle) => {
    const tote = bagOf('tote', { ...BARE, handle, handles: 2 })
    const stage = onStage(tote.master, tote.works[0]!, 0).find((s) => s.laid.sheet.id === 'handle-front')!
    const length = sizeOf(tote, 'handle.length')
    const box = pathBox(stage.laid.outline)
    // It leaves its ends at the slant of its arc, which is no tear: half its width from the middle up to 1 mm.
    for (const share of [0.2, 0.5, 0.8]) {
      const r = box.top + share * (box.bottom - box.top)
      let before = placeInSpace(stage.parts, point(1, r)).at
      for (let x = 1.25; x < length - 1; x += 0.25) {
        const { at } = placeInSpace(stage.parts, point(x, r))
        expect(Math.hypot(at.x - before.x, at.y - before.y, at.z - before.z), `${x}`).toBeLessThan(1.2)
        before = at
      }
    }
  })
  test('leather round a cord is as wide as it is cut, and its edges lie together', () => {
    const wound = { radius: 5, angle: 2.2, straight: 4, ends: { length: 100, flat: 4, ramp: 10 } }
    const edge = wound.radius * wound.angle + wound.straight + 6
    let [far, before] = [0, woundAt(wound, 50, -edge).at]
    for (let r = -edge + 0.05; r <= edge; r += 0.05) {
      const { at } = woundAt(wound, 50, r)
      far += Math.hypot(at.x - before.x, at.y - before.y)
      before = at
    }
    expect(far).toBeCloseTo(2 * edge, 0)
    // 5 sin 2.2 + 4 cos 2.2 from the middle, at either edge: by pencil 1.69 mm.
    expect(woundAt(wound, 50, edge).at.x).toBeCloseTo(1.688, 3)
    expect(woundAt(wound, 2, 7).at.x).toBe(7)
    expect(woundAt(wound, 2, 7).at.y).toBeCloseTo(0, 9)
    expect([overFrom(wound.ends, 0), overFrom(wound.ends, 9), overFrom(wound.ends, 50)]).toEqual([0, 0.5, 1])
    expect(acrossBreaks(wound)).toContain(wound.radius * wound.angle + wound.straight)
  })
})

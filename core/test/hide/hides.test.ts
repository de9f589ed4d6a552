import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { regionArea } from '@drumlin/core/geometry'
import {
  extentOf,
  hideArea,
  hideThickness,
  outlineOfWidths,
  readHides,
  thicknessOver,
} from '@drumlin/core/hide'
import {
  GROUND_PARTS,
  STARTER_STORES,
  hideSchema,
  readStoresData,
  sheetGround,
  typicalGround,
  usualZones,
} from '@drumlin/core/stores'
import { hideOf, rectangle } from '../support/hides.js'

const DM2 = 10_000

describe('parts as they usually come', () => {
  test('each has the area it is scaled to, lies from nothing on, and its zones are on it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GROUND_PARTS),
        fc.integer({ min: 4, max: 300 }),
        fc.constantFrom('left' as const, 'right' as const),
        (part, area, half) => {
          const ground = typicalGround(part, area, half)
          const hide = hideOf({ part, ...ground })
          expect(hideSchema.safeParse(hide).success).toBe(true)
          // Corners are rounded to a tenth of a millimetre.
          expect(Math.abs(hideArea(hide) / DM2 - area)).toBeLessThan(0.004 * area + 0.05)
          const { left, top, bottom } = extentOf(hide.outline)
          expect([left, top].map((v) => Math.abs(v) < 0.11)).toEqual([true, true])
          if (ground.backbone !== null) expect(ground.backbone).toBeGreaterThanOrEqual(top)
          if (ground.backbone !== null) expect(ground.backbone).toBeLessThanOrEqual(bottom)
        },
      ),
    )
  })
  test('the belly lies below the backbone of a left side and above that of a right one', () => {
    const [left, right] = [typicalGround('side', 200, 'left'), typicalGround('side', 200, 'right')]
    expect(left.backbone).toBe(0)
    expect(right.backbone).toBeCloseTo(Math.max(...right.outline.map((p) => p.y)), 1)
    const zone = (g: typeof left) => g.zones.find((z) => z.sort === 'stretchy')!.outline.map((p) => p.y)
    expect(Math.min(...zone(left))).toBeGreaterThan(500)
    expect(Math.max(...zone(right))).toBeLessThan(right.backbone! - 500)
  })
})

describe('a hide that was measured or traced', () => {
  test('has the zones that are usual in its part, drawn to its size; none without a backbone', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('side' as const, 'shoulder' as const, 'bend' as const, 'skin' as const),
        fc.integer({ min: 30, max: 250 }),
        (part, area) => {
          // Of a hide as it usually comes the zones come out as they were.
          const was = typicalGround(part, area)
          const is = usualZones(part, was)
          expect(is.zones.map((z) => z.sort)).toEqual(was.zones.map((z) => z.sort))
          is.zones.forEach((z, i) =>
            z.outline.forEach((p, k) => {
              const q = was.zones[i]!.outline[k]!
              expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThan(1)
            }),
          )
        },
      ),
    )
    expect(usualZones('side', { ...typicalGround('side', 100), backbone: null })).toEqual({
      zones: [],
      band: 0,
    })
    const right = typicalGround('side', 100, 'right')
    expect(Math.max(...usualZones('side', right).zones[2]!.outline.map((p) => p.y))).toBeLessThan(
      right.backbone! / 1.5,
    )
  })
})

describe('measured across the backbone', () => {
  test('two widths make a trapeze: 0 and 1000 mm along, 300 and 500 to one edge', () => {
    const made = outlineOfWidths([
      { along: 1000, above: 0, below: 500 },
      { along: 0, above: 0, below: 300 },
    ])
    expect(made.ok && regionArea([made.outline])).toBeCloseTo(((300 + 500) / 2) * 1000, 6)
    expect(made.ok && made.backbone).toBe(0)
  })
  test('with the backbone in its middle, it lies as far down as the widest above it', () => {
    const made = outlineOfWidths([
      { along: 0, above: 200, below: 210 },
      { along: 600, above: 320, below: 300 },
    ])
    expect(made.ok && made.backbone).toBe(320)
  })
  test.each([
    ['one width', [{ along: 0, above: 0, below: 300 }], /two widths/],
    [
      'twice the same place',
      [
        { along: 5, above: 0, below: 3 },
        { along: 5, above: 0, below: 4 },
      ],
      /same place/,
    ],
    [
      'nothing',
      [
        { along: 0, above: 0, below: 0 },
        { along: 9, above: 0, below: 0 },
      ],
      /every width is 0/,
    ],
  ])('%s is refused in words', (_, widths, words) => {
    const made = outlineOfWidths(widths)
    expect(!made.ok && made.why).toMatch(words)
  })
})

describe('thickness between spots', () => {
  const hide = hideOf({
    spots: [
      { at: { x: 100, y: 100 }, thickness: 1.8 },
      { at: { x: 900, y: 100 }, thickness: 2.6 },
    ],
  })
  test('on a spot it is what was measured, half way the middle, and never beyond either', () => {
    expect(hideThickness(hide, { x: 100, y: 100 })).toBe(1.8)
    expect(hideThickness(hide, { x: 500, y: 100 })).toBeCloseTo(2.2, 9)
    fc.assert(
      fc.property(fc.integer({ min: -500, max: 1500 }), fc.integer({ min: -500, max: 900 }), (x, y) => {
        const t = hideThickness(hide, { x, y })!
        expect(t).toBeGreaterThanOrEqual(1.8)
        expect(t).toBeLessThanOrEqual(2.6)
      }),
    )
  })
  test('over a piece it has ends and a middle; without spots nothing is known', () => {
    const over = thicknessOver(hide, rectangle(200, 100, 100, 50))!
    expect(over.min).toBeLessThan(over.mean)
    expect(over.mean).toBeLessThan(over.max)
    expect(thicknessOver(hideOf(), rectangle(10, 10))).toBeUndefined()
  })
})

describe('kept and read', () => {
  test('parts of a leather that an older Drumlin kept are hides now, as large as they were', () => {
    const [leather] = STARTER_STORES.leathers
    const old = {
      ...STARTER_STORES,
      version: 4,
      hides: undefined,
      leathers: [{ ...leather, parts: [{ part: 'shoulder', area: 92, price: 64, currency: 'EUR' }] }],
    }
    delete (old as { hides?: unknown }).hides
    const { hides, leathers } = readStoresData(old)
    expect(hides).toHaveLength(1)
    expect(hides[0]).toMatchObject({ of: leather!.id, part: 'shoulder', price: 64 })
    expect(hideArea(hides[0]!) / DM2).toBeCloseTo(92, 0)
    expect(leathers[0]).not.toHaveProperty('parts')
  })
  test('a file of one hide, of several, or of stores', () => {
    const hide = hideOf()
    const count = (data: unknown): number => {
      const read = readHides(JSON.stringify(data))
      return read.ok ? read.hides.length : -1
    }
    expect(count(hide)).toBe(1)
    expect(count([hide, { ...hide, id: 'b' }])).toBe(2)
    expect(count({ ...STARTER_STORES, hides: [hide] })).toBe(1)
  })
  test.each([
    ['no JSON', 'x', /not JSON/],
    ['nothing in it', '[]', /no hide in it/],
    [
      'an outline that crosses itself',
      JSON.stringify(
        hideOf({
          outline: [
            { x: 0, y: 0 },
            { x: 9, y: 9 },
            { x: 9, y: 0 },
            { x: 0, y: 9 },
          ],
        }),
      ),
      /outline.*crosses itself/,
    ],
    [
      'a sheet without a width',
      JSON.stringify({ ...hideOf(), ...sheetGround(900, 0) }),
      /holds no area|crosses itself/,
    ],
  ])('%s is refused in words', (_, text, words) => {
    const read = readHides(text)
    expect(!read.ok && read.why).toMatch(words)
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { regionArea, regionBoth, regionGrown } from '@drumlin/core/geometry'
import { judgeOf, laidThere, layOut } from '@drumlin/core/hide'
import {
  askedOf,
  demandOf,
  demands,
  flawRegion,
  hideOf,
  hides,
  outlineOf,
  outside,
  rectangle,
  sharedWithin,
  wantedFrom,
} from '../support/hides.js'
import { many } from '../support/long.js'

/** With DRUMLIN_LONG=1 a thousand of them. */
const LAYOUTS = many(60, 1000)
/** An area below this is a line that touches, mm². */
const TOUCHES = 0.6

describe('laid out on random hides', () => {
  test(`${LAYOUTS} layouts, counted by other means: nothing overlaps or leaves its hide, and every rule holds`, () => {
    let [laidPieces, left] = [0, 0]
    fc.assert(
      fc.property(
        // Mostly one hide, at times two side by side.
        fc.oneof(
          { arbitrary: hides.map((h) => [h]), weight: 7 },
          { arbitrary: fc.tuple(hides, hides), weight: 1 },
        ),
        demands,
        fc.integer({ min: 0, max: 6 }),
        (all, asks, gap) => {
          const own = all.map((h, i) => ({ ...h, id: `hide-${i + 1}` }))
          const wanted = wantedFrom(asks)
          const laid = layOut(askedOf({ hides: own, wanted, gap }), 3)
          laidPieces += laid.lying.length
          left += laid.left.length
          expect(laid.lying.length + laid.left.length).toBe(wanted.length)
          for (const [i, one] of laid.lying.entries()) {
            const hide = own.find((h) => h.id === one.hide)!
            const w = wanted.find((x) => x.id === one.id)!
            const outline = outlineOf(wanted, one)
            expect(outside(outline, hide.outline), `${one.id} leaves the hide`).toBeLessThan(TOUCHES)
            for (const other of laid.lying.slice(i + 1))
              if (other.hide === one.hide)
                expect(
                  sharedWithin(outline, outlineOf(wanted, other), gap),
                  `${one.id} and ${other.id}`,
                ).toBeLessThan(TOUCHES)
            // The arrow runs along the backbone, or across it where that is allowed.
            const grain = (w.over ? Math.PI - w.demand.grain : w.demand.grain) + one.turn
            const [along, across] = [Math.abs(Math.sin(grain)), Math.abs(Math.cos(grain))]
            const off =
              w.demand.lies === 'along'
                ? along
                : w.demand.lies === 'across'
                  ? across
                  : Math.min(along, across)
            expect(off, `${one.id} lies askew`).toBeLessThan(1e-6)
            const { shows, bears, thinned, seen } = w.demand
            const skived = thinned.length > 0
            if (shows || bears)
              for (const z of hide.zones)
                if (z.sort === 'wrinkled' || z.sort === 'stretchy')
                  expect(
                    regionArea(regionBoth([outline], [z.outline])),
                    `${one.id} on ${z.sort}`,
                  ).toBeLessThan(TOUCHES)
            const shown = seen.map((ring) => laidThere(ring, w.over, one))
            for (const flaw of hide.flaws) {
              const region = flawRegion(flaw)
              const [whole, visible] = [
                regionArea(regionBoth([outline], region)),
                regionArea(regionBoth(shown, region)),
              ]
              const minds =
                flaw.sort === 'hole'
                  ? whole
                  : flaw.sort === 'flesh cut'
                    ? skived
                      ? whole
                      : 0
                    : flaw.sort === 'stain'
                      ? shows
                        ? visible
                        : 0
                      : bears
                        ? whole
                        : shows
                          ? visible
                          : 0
              expect(minds, `${one.id} over a ${flaw.sort}`).toBeLessThan(TOUCHES)
            }
          }
        },
      ),
      { numRuns: LAYOUTS, seed: 20 },
    )
    // Most of what is asked comes out: otherwise nothing was tested.
    expect(laidPieces).toBeGreaterThan(4 * left)
  })
  test('what was laid is judged to lie well; both of a pair as far from the backbone', () => {
    fc.assert(
      fc.property(hides, demands, (hide, asks) => {
        const asked = askedOf({ hides: [hide], wanted: wantedFrom(asks) })
        const { lying } = layOut(asked, 6)
        expect(judgeOf({ ...asked, lying }).all()).toEqual([])
      }),
      { numRuns: 60, seed: 7 },
    )
  })
  test('the same asked gives the same layout, another seed may give another', () => {
    const wanted = wantedFrom([
      demandOf(rectangle(120, 80), { count: 6 }),
      demandOf(rectangle(60, 40), { key: 'b', count: 5 }),
    ])
    const once = layOut(askedOf({ wanted }), 120)
    expect(layOut(askedOf({ wanted }), 120)).toEqual(once)
  })
})

describe('judged where they lie', () => {
  const one = demandOf(rectangle(100, 60), { key: 'a', name: 'A' })
  const two = demandOf(rectangle(80, 80), { key: 'b', name: 'B' })
  test('near is told exactly where two come nearer than the knife’s room, counted by other means', () => {
    const wanted = wantedFrom([one, two])
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.integer({ min: 0, max: 3 }),
        (x, y, q) => {
          const lying = [
            { id: 'job/a#1', hide: 'hide', turn: 0, x: 150, y: 120 },
            {
              id: 'job/b#1',
              hide: 'hide',
              turn: [0, Math.PI / 2, Math.PI, -Math.PI / 2][q]!,
              x: x + 100,
              y: y + 100,
            },
          ]
          const told = judgeOf(askedOf({ wanted, lying }))
            .of(lying[1]!)
            .some((f) => f.what === 'near')
          const [a, b] = [outlineOf(wanted, lying[0]!), outlineOf(wanted, lying[1]!)]
          const clearly = regionArea(regionBoth(regionGrown([a], 2.8), [b])) > 1
          const apart = regionArea(regionBoth(regionGrown([a], 4.5), [b])) === 0
          if (clearly) expect(told).toBe(true)
          if (apart) expect(told).toBe(false)
        },
      ),
      { numRuns: many(150, 400) },
    )
  })
  test('off the hide, at an angle, on a flaw, on a poor part, unlike its twin, of another thickness', () => {
    const wanted = wantedFrom([demandOf(rectangle(100, 60), { count: 2, flipped: 1, lies: 'along' })])
    const hide = hideOf({
      backbone: 0,
      zones: [{ sort: 'wrinkled', outline: rectangle(200, 500, 800, 0) }],
      flaws: [{ sort: 'scar', shape: { type: 'circle', at: { x: 300, y: 250 }, radius: 5 } }],
      spots: [{ at: { x: 100, y: 100 }, thickness: 1.2 }],
    })
    const what = (x: number, y: number, turn = 0) =>
      judgeOf(askedOf({ hides: [hide], wanted, lying: [{ id: 'job/piece#2', hide: 'hide', turn, x, y }] }))
        .all()
        .map((f) => f.what)
    expect(what(950, 100)).toContain('off')
    expect(what(500, 100, Math.PI / 2)).toContain('angle')
    expect(what(250, 220)).toContain('flaw')
    expect(what(820, 100)).toContain('zone')
    expect(what(500, 100)).toContain('thickness')
    const twins = [
      { id: 'job/piece#1', hide: 'hide', turn: -Math.PI, x: 400, y: 90 },
      { id: 'job/piece#2', hide: 'hide', turn: 0, x: 500, y: 400 },
    ]
    const pair = judgeOf(askedOf({ hides: [hide], wanted, lying: twins }))
      .all()
      .find((f) => f.what === 'pair')
    // The first lies 30 to 90 mm down, its twin 400 to 460: 370 mm, and 150 are allowed.
    expect(pair?.what === 'pair' && pair.by).toBeCloseTo(220, 6)
  })
  test('a piece let go near another comes to lie at knife room; farther away it stays', () => {
    const wanted = wantedFrom([one, two])
    const lying = [{ id: 'job/a#1', hide: 'hide', turn: 0, x: 150, y: 120 }]
    const judge = judgeOf(askedOf({ wanted, lying }))
    const held = { id: 'job/b#1', hide: 'hide', turn: 0, x: 256, y: 130 }
    expect(judge.snapped(held, 8).x).toBeCloseTo(253, 1)
    expect(judge.snapped({ ...held, x: 249 }, 8).x).toBeCloseTo(253, 1)
    expect(judge.snapped({ ...held, x: 300, y: 200 }, 8)).toMatchObject({ x: 300, y: 200 })
    expect(judge.of({ ...held, x: 253.01 })).toEqual([])
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { kindIds } from '../src/kinds/index.js'
import { freshOf } from './support/designs.js'
import {
  flipAbout,
  flipAboutLevel,
  line,
  moveBack,
  moveThen,
  offsetSidesMaybe,
  pathArea,
  pathBox,
  pathLength,
  point,
  pointMoved,
  polygon,
  shift,
  STAY,
} from '../src/geometry/index.js'
import {
  type FoldedPanel,
  foldedMove,
  foldsOf,
  isTurnedOver,
  stripBend,
  stripSheet,
  stripsOf,
} from '../src/kinds/parts/folding.js'
import {
  allRound,
  finishedFate,
  levelBand,
  plainPanel,
  rectangleShape,
  rimBand,
  withNotch,
} from '../src/kinds/parts/shape.js'
import { contentSheet, panelSheet, pileMoved, pileTurnedOver } from '../src/kinds/parts/sheets.js'
import { clipAt, clipMoved } from '../src/master/index.js'

const anyStrips = fc
  .array(fc.record({ flat: fc.integer({ min: 20, max: 120 }), bend: fc.integer({ min: 1, max: 20 }) }), {
    minLength: 2,
    maxLength: 6,
  })
  .chain((parts) => fc.record({ parts: fc.constant(parts), stays: fc.nat(parts.length - 1) }))
  .map(({ parts, stays }): FoldedPanel => ({
    panelId: 'body',
    name: 'body',
    stays,
    strips: stripsOf(
      parts.map((_, i) => `strip ${i}`),
      parts.map((p) => p.flat),
      parts.slice(0, -1).map((p) => p.bend),
    ),
  }))

describe('a panel folded up', () => {
  test('three strips of 50, 80 and 40 with bends of 6 and 8: where each begins', () =>
    expect(stripsOf(['a', 'b', 'c'], [50, 80, 40], [6, 8]).map((s) => [s.from, s.to])).toEqual([
      [0, 50],
      [56, 136],
      [144, 184],
    ]))
  test('folded, neighbouring strips meet at one line: the bend between them is used up', () =>
    fc.assert(
      fc.property(anyStrips, (folded) => {
        folded.strips.slice(1).forEach((strip, i) => {
          const above = pointMoved(point(0, folded.strips[i]!.to), foldedMove(folded, i))
          const below = pointMoved(point(0, strip.from), foldedMove(folded, i + 1))
          expect(above.y).toBeCloseTo(below.y, 9)
        })
      }),
      { seed: 5, numRuns: 60 },
    ))
  test('every other strip lies turned over, the one that stays does not move', () =>
    fc.assert(
      fc.property(anyStrips, (folded) => {
        expect(foldedMove(folded, folded.stays)).toEqual(STAY)
        folded.strips.forEach((_, i) => {
          const turned = foldedMove(folded, i).d < 0
          expect(turned).toBe(isTurnedOver(folded, i))
          expect(stripSheet(folded, i, true).grainUp).toBe(!turned)
        })
      }),
      { seed: 6, numRuns: 60 },
    ))
  test('the clips of a strip keep just its flat part', () =>
    fc.assert(
      fc.property(anyStrips, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (folded, share) => {
        folded.strips.forEach(({ from, to }, i) => {
          const sheet = stripSheet(folded, i, false)
          const kept = (y: number): boolean => {
            const p = pointMoved(point(3, y), sheet.move)
            return sheet.clips.every(
              ({ at, inward }) => (p.x - at.x) * inward.x + (p.y - at.y) * inward.y > 0,
            )
          }
          expect(kept(from + share * (to - from))).toBe(true)
          if (i > 0) expect(kept(from - 0.5)).toBe(false)
          if (i < folded.strips.length - 1) expect(kept(to + 0.5)).toBe(false)
        })
      }),
      { seed: 7, numRuns: 60 },
    ))
  test('a bend runs off from where the upper strip ends', () => {
    const folded: FoldedPanel = {
      panelId: 'body',
      name: 'body',
      stays: 1,
      strips: stripsOf(['flap', 'back'], [40, 60], [10]),
    }
    expect(stripBend(folded, 0)).toMatchObject({ sheets: ['body.1', 'body.2'], at: { y: 50 } })
    expect(foldsOf(folded, 0, 80)).toMatchObject([
      { from: { x: 0, y: 45 }, to: { x: 80, y: 45 }, width: 10, rises: 'mountain' },
    ])
  })
  test('turning over twice about one line changes nothing', () => {
    const once = flipAboutLevel(31)
    expect(pointMoved(pointMoved(point(4, 7), once), once)).toEqual({ x: 4, y: 7 })
  })
})

describe('which way a fold is said to rise', () => {
  /** At a bend of the closed work: grain outside is a mountain, grain inside a valley, whichever side is looked at. */
  const laid = (kind: string) => {
    const { master, panels } = derive(freshOf(kind))
    return master.layups.flatMap(({ sheets, bends = [] }) =>
      bends.flatMap(({ sheets: [a, b] }) => {
        const upper = sheets.findLast((s) => s.id === a || s.id === b)!
        const panel = upper.type === 'panel' && panels.find((p) => p.id === upper.panelId)
        return panel
          ? panel.folds.map((f) => [f.name, f.rises, upper.grainUp ? 'mountain' : 'valley'] as const)
          : []
      }),
    )
  }
  test.each(kindIds())('%s: as it lies when closed', (kind) => {
    for (const [name, said, is] of laid(kind)) expect([name, said]).toEqual([name, is])
  })
  test('folds are looked at in four kinds', () => {
    expect(kindIds().filter((kind) => laid(kind).length > 0)).toEqual([
      'bifold',
      'strap-wallet',
      'wrap-wallet',
      'gusseted-case',
    ])
  })
})

describe('piles of sheets', () => {
  const pile = [
    panelSheet('low', 'low', 'a', shift(0, 0), true),
    contentSheet('card', 'card', polygon([point(0, 0), point(9, 0), point(9, 5)]), 1, STAY),
    panelSheet('high', 'high', 'b', shift(5, 5), false, [clipAt(point(7, 0), point(1, 0))]),
  ]
  test('turned over, the lowest lies uppermost and shows its other side', () => {
    const over = pileTurnedOver(pile, flipAbout(50))
    expect(over.map((s) => s.id)).toEqual(['high', 'card', 'low'])
    expect(over.map((s) => s.type === 'panel' && s.grainUp)).toEqual([true, false, false])
    expect(over[0]!.clips[0]).toEqual({ at: { x: 93, y: 0 }, inward: { x: -1, y: 0 } })
  })
  test('moved, a sheet goes with its clips', () => {
    const moved = pileMoved(pile, shift(10, 20))
    expect(pointMoved(point(0, 0), moved[2]!.move)).toEqual({ x: 15, y: 25 })
    expect(moved[2]!.clips[0]!.at).toEqual({ x: 17, y: 20 })
    const back = clipMoved(moved[2]!.clips[0]!, moveBack(shift(10, 20)))
    expect(back.at).toEqual({ x: 7, y: 0 })
    expect(moveThen(shift(10, 20), moveBack(shift(10, 20)))).toEqual(STAY)
  })
})

describe('shapes', () => {
  const fate = finishedFate('burnished', 2, (e) => e === 'foot')
  test('corners are never rounded more than there is room for', () => {
    for (const radius of [0, 3, 20, 400]) {
      const { outline } = rectangleShape(40, 20, allRound(radius), fate)
      expect(pathBox(outline)).toMatchObject({ left: 0, right: 40, top: 0, bottom: 20 })
    }
  })
  test('only the edges named are cut over size', () =>
    expect(
      rectangleShape(40, 20, {}, fate).edges.map((e) => [e.id, e.fate.type === 'raw' && e.fate.trim]),
    ).toEqual([
      ['top', 0],
      ['right', 0],
      ['foot', 2],
      ['left', 0],
    ]))
  test('a bite 20 across and 10 deep takes half a circle of 157 mm² out of the panel', () => {
    const whole = rectangleShape(60, 40, {}, fate)
    const bitten = withNotch(whole, 'top', 20, 10)
    expect(pathArea(whole.outline) - pathArea(bitten.outline)).toBeCloseTo((Math.PI * 100) / 2, 6)
    expect(bitten.edges.map((e) => [e.id, e.first, e.last])).toEqual([
      ['top', 0, 2],
      ['right', 3, 3],
      ['foot', 4, 4],
      ['left', 5, 5],
    ])
  })
  test('a shallow bite is part of a larger circle, and its ends lie on the edge', () => {
    const bitten = withNotch(rectangleShape(60, 40, {}, fate), 'foot', 30, 5, { bite: 'cut', after: 'rest' })
    expect(bitten.edges.map((e) => e.id)).toEqual(['top', 'right', 'foot', 'cut', 'rest', 'left'])
    const bite = bitten.outline.segments[3]!
    expect([bite.from.y, bite.to.y]).toEqual([40, 40])
    expect(pathBox({ segments: [bite], closed: false }).top).toBeCloseTo(35, 9)
    expect(pathLength(bitten.outline)).toBeGreaterThan(200)
  })
  test('an edge that is not straight takes no bite', () => {
    const whole = rectangleShape(60, 40, allRound(5), fate)
    expect(withNotch(whole, 'top-left', 5, 2).outline).toBe(whole.outline)
    expect(withNotch(whole, 'nowhere', 5, 2).edges).toBe(whole.edges)
  })
  test('a rim is a strip 8 mm wide along its edges, left as thick as the leather', () => {
    const shape = rectangleShape(60, 40, {}, fate)
    const [rim] = rimBand('rim', 'rim', shape, ['right', 'foot'], 1.2)
    expect(rim).toMatchObject({ start: 1.2, end: 1.2, planned: false })
    expect(Math.abs(pathArea(rim!.areas[0]!.outline))).toBeCloseTo(8 * (60 + 40) - 64, 6)
    expect(rimBand('rim', 'rim', shape, ['nowhere'], 1.2)).toEqual([])
  })
  test('a level band is planned only where it is thinner than the leather', () => {
    const areas = [polygon([point(0, 0), point(1, 0), point(1, 1)])]
    expect(levelBand('k', 'n', 1, 0.5, areas, true).planned).toBe(true)
    expect(levelBand('k', 'n', 1, 1, areas, true).planned).toBe(false)
  })
  test('a plain panel is one piece with nothing on it', () =>
    expect(plainPanel({ id: 'a', name: 'A', role: 'r', ...rectangleShape(9, 9, {}, fate) })).toMatchObject({
      count: 1,
      flipped: 0,
      folds: [],
      bands: [],
      notes: [],
    }))
})

describe('a side that grows beside one that stays', () => {
  // A plate with its upper right corner cut off: the right side grows, the cut and the others stay.
  const plate = (cut: number) =>
    polygon([point(0, 0), point(60 - cut, 0), point(60, cut), point(60, 40), point(0, 40)])
  test.each([4, 10, 25])('with %i mm cut off the corner the cut runs on to the grown side', (cut) => {
    const grown = offsetSidesMaybe(plate(cut), [0, 0, 6, 0, 0])!
    expect(pathBox(grown.path).right).toBeCloseTo(66, 6)
    // The strip that is added begins where the cut, drawn on, meets it: 6 mm lower.
    expect(pathArea(grown.path) - pathArea(plate(cut))).toBeCloseTo(6 * (40 - cut) - 18, 4)
  })
  test('both ends may be cut, and both sides grow', () => {
    const ears = polygon([
      point(10, 0),
      point(50, 0),
      point(60, 10),
      point(60, 30),
      point(50, 40),
      point(10, 40),
      point(0, 30),
      point(0, 10),
    ])
    const grown = offsetSidesMaybe(ears, [0, 0, 5, 0, 0, 0, 5, 0])!
    expect(pathBox(grown.path)).toMatchObject({ left: -5, right: 65 })
    expect(pathArea(grown.path) - pathArea(ears)).toBeCloseTo(2 * (5 * 20 - 25), 4)
    expect(grown.path.segments.every((s) => s.type === line(point(0, 0), point(1, 0)).type)).toBe(true)
  })
})

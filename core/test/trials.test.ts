import { describe, expect, test } from 'vitest'
import { couponPlan } from '@drumlin/core/coupons'
import { derive } from '@drumlin/core/derived'
import {
  leatherAt,
  leatherUsed,
  lessonsOf,
  readStoresData,
  reckonedThickness,
  trialProblem,
  withGood,
  withLessons,
} from '@drumlin/core/stores'
import { couponDrawing } from '../src/coupons/index.js'
import { STARTER_STORES, storesSchema } from '../src/stores/index.js'
import { drawingOf, leatherOf, numberOf, panelOf, turned, withFate } from './support/drawing.js'

const leather = (trials: ReturnType<typeof leatherOf>['trials'], thickness = 1.5) =>
  leatherOf(thickness, { trials })

describe('test pieces', () => {
  test('a strip folded a half turn round 3 mm that used up 12.0 puts k at (12/π − 3) / 1.5', () => {
    const { neutral } = lessonsOf(leather([{ type: 'fold', angle: Math.PI, radius: 3, used: 12 }]))
    expect(neutral).toEqual({
      value: expect.closeTo((12 / Math.PI - 3) / 1.5, 9),
      error: expect.closeTo(0.15 / (Math.PI * 1.5), 9),
      count: 1,
    })
  })
  test('a border cut 9.5 beyond that landed at 10 cost −0.5: k = (2 − 0.5/1.5) / π', () => {
    const { turn } = lessonsOf(leather([{ type: 'turn', added: 9.5, core: 0, landed: 10 }]))
    expect(turn!.value).toBeCloseTo((2 - 0.5 / 1.5) / Math.PI, 9)
  })
  test('more pieces are surer: the error is spread and reading over the root of their number', () => {
    const left = [0.2, 0.3, 0.4].map((l) => ({ type: 'skive' as const, wanted: 0, left: l }))
    expect(lessonsOf(leather(left)).atEdge).toEqual({
      value: expect.closeTo(0.3, 9),
      error: expect.closeTo(Math.sqrt((0.1 ** 2 + 0.03 ** 2) / 3), 9),
      count: 3,
    })
  })
  test('thread used against the formula: 20 stitches at 3 mm through 3 mm take 120 + 3 + 120', () => {
    const row = { type: 'thread' as const, stitches: 20, pitch: 3, stack: 3, used: 243 * 1.1 }
    expect(lessonsOf(leather([row])).threadFactor!.value).toBeCloseTo(1.1, 9)
  })
  test('what was learnt is reckoned with everywhere', () => {
    const learnt = withLessons(
      leather([
        { type: 'turn', added: 9.5, core: 0, landed: 10 },
        { type: 'skive', wanted: 0, left: 0.4 },
      ]),
    )
    const panel = withFate(panelOf('rectangle', {}), turned(8, { school: 'even' }))
    const d = derive(drawingOf([panel], 1.5, { leathers: { outside: learnt } }))
    expect(numberOf(d, '.atFold')).toBeCloseTo((1.5 + 0.4) / 2, 9)
    expect(numberOf(d, '.turnCost')).toBeCloseTo((Math.PI * learnt.turn - 2) * 0.95, 9)
  })
  test('thread follows its factor', () => {
    const sewn = withFate(panelOf('rectangle', {}), { type: 'sewn', margin: 3, finish: 'left' })
    const thread = (threadFactor: number) =>
      derive(drawingOf([sewn], 1.5, { leathers: { outside: leatherOf(1.5, { threadFactor }) } })).runs[0]!
        .thread.value
    expect(thread(1.2) / thread(1)).toBeCloseTo(1.2, 9)
  })
  test.each([
    [{ type: 'fold', angle: Math.PI, radius: 3, used: 20 }, /2.24 of the thickness/],
    [{ type: 'thread', stitches: 20, pitch: 3, stack: 3, used: 800 }, /3.29 times what the formula says/],
    [{ type: 'skive', wanted: 0, left: 3 }, /More is left than the leather is thick/],
  ] as const)('a measurement that can’t be right is refused in words', (trial, words) =>
    expect(trialProblem(leather([]), trial, 'mm')).toMatch(words),
  )
  test('the sheet asks for what the leather is expected to do now', () => {
    const plan = couponPlan(leatherOf(1.5), STARTER_STORES.irons[1]!)
    expect(plan.foldUses).toBeCloseTo(Math.PI * 3.75, 9)
    expect(plan.turnAdded).toBeCloseTo(10 + (Math.PI / 2 - 2) * 1.5, 9)
    const words = couponDrawing(leatherOf(1.5), STARTER_STORES.irons[1]!, 'mm').flatMap((d) =>
      d.type === 'text' ? [d.text] : [],
    )
    expect(words).toContain('60.0 mm less both legs is used up; 11.8 mm is expected.')
  })
})

describe('the thickness to reckon with', () => {
  const thick = { weight: { low: 1.2, high: 1.6 }, measured: [1.3, 1.5, 1.7], thickness: 2 }
  test.each([
    ['low', 1.2],
    ['middle', 1.4],
    ['measured', 1.5],
    ['own', 2],
  ] as const)('%s: %f', (use, mm) => expect(reckonedThickness({ ...thick, use })).toBeCloseTo(mm, 9))
  test('measured without a spot is the middle', () =>
    expect(reckonedThickness({ ...thick, measured: [], use: 'measured' })).toBeCloseTo(1.4, 9))
  test('a thickness written over is the maker’s own from then on', () => {
    const [first] = STARTER_STORES.leathers
    const written = withGood(STARTER_STORES, 'leathers', { ...first!, thickness: 1.7 }).leathers[0]!
    expect([written.use, written.thickness]).toEqual(['own', 1.7])
    const sold = withGood(STARTER_STORES, 'leathers', { ...first!, weight: { low: 2, high: 3 } }).leathers[0]!
    expect([sold.use, sold.thickness]).toEqual(['middle', 2.5])
  })
  test('stores of version 1 are brought up and reckon as before', () => {
    const old = {
      ...STARTER_STORES,
      version: 1,
      leathers: STARTER_STORES.leathers.map(
        ({ id, name, tannage, temper, weight, neutral, give, bears, swatch }) => ({
          id,
          name,
          tannage,
          temper,
          weight,
          thickness: 1.33,
          neutral,
          give,
          bears,
          swatch,
        }),
      ),
    }
    const now = readStoresData(old)
    expect(storesSchema.safeParse(now).success).toBe(true)
    expect(now.leathers.map((l) => [l.thickness, l.turn, l.use])).toEqual(
      now.leathers.map((l) => [1.33, l.neutral, 'own']),
    )
  })
})

describe('a leather reckoned at another thickness', () => {
  const shoulder = STARTER_STORES.leathers.find((l) => l.id === 'veg-shoulder-25')!
  test('split to 0.9 it bears less under a stitch, so that a skive to 0.6 is sound; what was written stays', () => {
    expect(shoulder.bears).toBeCloseTo(0.8, 9)
    expect(leatherAt(shoulder, 0.9).bears).toBeCloseTo(0.35, 9)
    expect(leatherAt({ ...shoulder, bears: 0.7 }, 0.9).bears).toBe(0.7)
    expect(leatherUsed(leatherAt(shoulder, 0.9), shoulder.use)).toEqual(shoulder)
  })
})

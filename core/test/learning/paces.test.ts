import { describe, expect, it } from 'vitest'
import {
  type Figures,
  type Learnable,
  PACE_GROUPS,
  barsOf,
  differing,
  figuresOf,
  groupOf,
  lessonsOf,
  pacesOf,
  spreadOf,
  stretchBy,
  threadFactors,
  wasteBy,
  withFigures,
} from '@drumlin/core/learning'
import { type Sort, SORTS } from '@drumlin/core/steps'
import { demoDesign } from '../support/all.js'
import { random } from '../support/random.js'

const WORK: readonly Sort[] = [
  'cut',
  'skive',
  'glue',
  'strike',
  'sew',
  'edge',
  'finish',
  'fit',
  'mark',
  'set',
]
const IDS = [...new Set(WORK.map((s) => groupOf(s).id))]

/** A made-up maker whose true paces are known: days differ, hands differ, and somebody comes to the door. */
function maker(seed: number, makings: number, doors: number, figures: Figures = {}) {
  const next = random(seed)
  const gauss = (): number => Math.sqrt(-2 * Math.log(next() + 1e-12)) * Math.cos(2 * Math.PI * next())
  const truth = new Map(IDS.map((id) => [id, Math.exp(0.5 * gauss())]))
  const [setUp, first] = [1 + 3 * next(), 1 + 0.6 * next()]
  const observed = Array.from({ length: makings }, (_, m): Learnable => {
    const [day, isFirst] = [0.08 * gauss(), m % 3 === 0]
    const steps = Array.from({ length: 18 }, () => {
      const sort = WORK[Math.floor(next() * WORK.length)]!
      const work = 2 + 40 * next() * next()
      const own = (isFirst ? first : 1) * (setUp + truth.get(groupOf(sort).id)! * work)
      const visit = next() < doors ? 5 + 40 * next() : 0
      return { sort, planned: 2 + work, setUp: 2, actual: own * Math.exp(day + 0.15 * gauss()) + visit }
    })
    return { first: isFirst, steps, figures }
  })
  return { truth, setUp, first, observed }
}

describe('made-up makers whose true paces are known', () => {
  it.each([
    [8, 0],
    [8, 0.1],
    [24, 0],
    [24, 0.1],
    [24, 0.2],
  ])(
    'of %d makings, %d of the steps interrupted, within the stated spread 19 times in 20',
    (makings, doors) => {
      let [inside, told, width] = [0, 0, 0]
      for (let run = 0; run < 40; run += 1) {
        const { truth, setUp, first, observed } = maker(run * 7919 + makings, makings, doors)
        const paces = pacesOf(observed, 2)
        const all = [
          ...[...paces.groups].map(([id, s]) => [s, truth.get(id)!] as const),
          ...(paces.setUp ? [[paces.setUp, setUp] as const] : []),
          ...(paces.first ? [[paces.first, first] as const] : []),
        ]
        for (const [s, is] of all) {
          told += 1
          width += Math.log(s.high / s.low) / 2
          if (s.low <= is && is <= s.high) inside += 1
        }
      }
      expect(told).toBeGreaterThan(300)
      // 19 of 20, less what 400 draws scatter by.
      expect(inside / told).toBeGreaterThan(0.935)
      // It is also told closely enough to be worth something.
      expect(width / told).toBeLessThan(makings > 20 ? 0.16 : 0.3)
    },
  )

  it('steps that were only ticked off teach nothing', () => {
    const { observed } = maker(23, 12, 0)
    const hurried = observed.map((o, i) => ({
      ...o,
      steps: o.steps.map((s, k) => ((i + k) % 4 === 0 ? { ...s, actual: 0.1 } : s)),
    }))
    const timed = hurried.map((o) => ({ ...o, steps: o.steps.filter((s) => s.actual > 0.1) }))
    expect(pacesOf(hurried, 2)).toEqual(pacesOf(timed, 2))
  })

  it('fewer than three makings teach nothing', () => {
    const { observed } = maker(5, 2, 0)
    const paces = pacesOf(observed, 2)
    expect([paces.groups.size, paces.setUp, paces.first]).toEqual([0, undefined, undefined])
    expect(pacesOf([], 2).groups.size).toBe(0)
  })
})

describe('what is proposed', () => {
  const design = demoDesign('deckhands-fold')
  const now = figuresOf(design)
  it('is what differs by more than it may be off; taken, nothing is left to propose', () => {
    const { observed, truth } = maker(11, 30, 0.05, now)
    const { proposals } = lessonsOf(observed, now)
    const sewing = proposals.find((p) => p.id === 'sewing')!
    const stitch = sewing.changes.find((c) => c.path.at(-1) === 'stitchSeconds')!
    expect(stitch.now).toBe(design.habits.stitchSeconds)
    expect(stitch.then / stitch.now / truth.get('sewing')!).toBeCloseTo(1, 0.5)
    // A pace is so much the smaller.
    const edges = proposals.find((p) => p.id === 'edges')!.changes[0]!
    expect(edges.now / edges.then / truth.get('edges')!).toBeCloseTo(1, 0.5)
    const taken = Object.fromEntries(
      proposals.flatMap((p) => p.changes.map((c) => [c.path.join('.'), c.then])),
    )
    const after = lessonsOf(observed, { ...now, ...taken })
    expect(after.proposals.filter((p) => p.id !== 'setUp')).toEqual([])
  })

  it('makings that were planned with other figures are laid beside those of now', () => {
    const { observed } = maker(17, 24, 0, now)
    const before = lessonsOf(observed, now).paces.groups.get('sewing')!
    const slower = { ...now, 'habits.stitchSeconds': 70, 'habits.cornerSeconds': 40, 'habits.runMinutes': 4 }
    const doubled = lessonsOf(observed, slower).paces.groups.get('sewing')!
    expect(doubled.value).toBeCloseTo(before.value / 2, 2)
  })

  it('is put into a design where it fits, and nowhere else', () => {
    const own = { 'habits.stitchSeconds': 29, 'habits.cutPace': 1e9, 'machine.speed': 300 }
    expect(differing(design, own).map((c) => c.path.join('.'))).toEqual([
      'habits.stitchSeconds',
      'machine.speed',
    ])
    const put = withFigures(design, own)
    expect([put.habits.stitchSeconds, put.habits.cutPace, put.machine.speed]).toEqual([
      29,
      design.habits.cutPace,
      300,
    ])
    expect(differing(put, own)).toEqual([])
  })

  it('every sort of step goes at one pace, and no other', () => {
    const sorts = PACE_GROUPS.flatMap((g) => g.sorts)
    expect(new Set(sorts).size).toBe(sorts.length)
    expect([...sorts].sort()).toEqual(Object.keys(SORTS).sort())
  })
})

describe('a few readings', () => {
  it('tell their middle and how far it may be off; one that is far from all others counts nothing', () => {
    const spread = spreadOf([1.01, 0.99, 1.02, 1.0, 0.98, 3])!
    expect(spread.value).toBeCloseTo(1, 6)
    // t of 4 degrees 2.776 × 0.0158 / √5
    expect(spread.high - spread.value).toBeCloseTo(0.0196, 3)
    expect(spreadOf([2])).toMatchObject({ value: 2, low: -Infinity, high: Infinity, makings: 1 })
    expect(spreadOf([])).toBeUndefined()
  })

  it('thread left over is the factor of its leather: tails take what they took', () => {
    // 10 m reckoned, 8 of them the row at factor 1; 9.2 taken: the row took 7.2.
    const found = threadFactors([{ leather: 'calf', reckoned: 10_000, row: 8000, factor: 1, taken: 9200 }])
    expect(found.get('calf')!.value).toBeCloseTo(0.9, 9)
  })

  it('waste, stretch and the test bar by what was measured', () => {
    const cut = [
      { part: 'side', kind: 'tote', used: 100, pieces: 60 },
      { part: 'side', kind: 'tote', used: 100, pieces: 64 },
    ]
    expect(wasteBy(cut).get('side, tote')!.value).toBeCloseTo(0.38, 9)
    const straps = [{ leather: 'shoulder', way: 'along' as const, reckoned: 1000, measured: 1018 }]
    expect(stretchBy(straps).get('shoulder|along')!.value).toBeCloseTo(0.018, 9)
    expect(barsOf([{ along: 99, across: 100 }])!.along.value).toBeCloseTo(0.99, 9)
  })
})

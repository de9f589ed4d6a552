import { describe, expect, test } from 'vitest'
import { arcOver } from '../src/kinds/bags/bodies/arches.js'
import { sayFinding } from '@drumlin/core/check'
import { BARE, bagOf, codesOf, edgesOf, findingOf, panelOf, sizeOf, spanOf } from './support/bags.js'

/** Body 1.8 mm, gusset 1.4 mm, both with half their thickness inside the neutral layer. */
const [BODY, GUSSET] = [1.8, 1.4]
const plain = (kind: string, params: Record<string, unknown>) => bagOf(kind, { ...BARE, ...params })

describe('a gusset in one strip', () => {
  const d = plain('tote', {
    body: 'wrap',
    seam: 'turned',
    wide: 280,
    high: 220,
    deep: 80,
    radius: 30,
    allowance: 8,
  })
  const [w, h] = [sizeOf(d, 'bag.wide'), sizeOf(d, 'bag.high')]

  test('is as long as two sides and the foot, less what two corners cut off: 2H + B − (4 − π)R', () =>
    expect(sizeOf(d, 'gusset.length')).toBeCloseTo(2 * h + w - (4 - Math.PI) * 30, 9))
  test('is as wide as the bag is deep, and an allowance on either side', () => {
    expect(spanOf(d, 'gusset').high).toBeCloseTo(sizeOf(d, 'bag.deep') + 16, 6)
    expect(spanOf(d, 'gusset').wide).toBeCloseTo(sizeOf(d, 'gusset.length'), 6)
  })
  test('front and back have an allowance at sides and foot and none at the top', () => {
    expect(spanOf(d, 'front').wide).toBeCloseTo(w + 16, 6)
    expect(spanOf(d, 'front').high).toBeCloseTo(h + 8, 6)
  })
  test('is as long as the edge it is sewn to, and both seams have as many holes', () => {
    for (const run of ['front-seam', 'back-seam']) {
      const { here, there } = edgesOf(d, run)
      expect(there).toBeCloseTo(here, 3)
    }
    expect(d.runs[0]!.holes).toHaveLength(d.runs[1]!.holes.length)
  })
  test('is snipped at its corners, and V cuts are made in the panels, short of the stitches', () => {
    const cuts = (id: string) => panelOf(d, id).marks!.filter((m) => m.type === 'cuts')
    // A corner of 30: gaps of 2.5 mm would take 6 snips, facets that stand off no more than 0.2 mm take 7, on both edges.
    expect(cuts('gusset').flatMap((m) => (m.type === 'cuts' ? m.paths : []))).toHaveLength(7 * 4)
    expect(cuts('front').flatMap((m) => (m.type === 'cuts' ? m.paths : []))).toHaveLength(7 * 2)
  })
  test('its notches fall on both edges: corners and the middle of the foot', () => {
    const letters = d.pieces.find((p) => p.id === 'gusset')!.marks.filter((m) => m.type === 'notch')
    expect(letters).toHaveLength(10)
    expect(d.pieces.find((p) => p.id === 'front')!.marks.filter((m) => m.type === 'notch')).toHaveLength(5)
  })
  test('cut shorter at each corner it is eased in, and the zip says so', () => {
    const eased = plain('tote', { body: 'wrap', cornerEase: 1 })
    const { here, there } = edgesOf(eased, 'front-seam')
    expect(here - there).toBeCloseTo(2, 3)
    expect(codesOf(eased)).not.toContain('edges-apart')
  })
  test('its ends can be left long, to be cut on the work', () => {
    const long = plain('tote', { body: 'wrap', ends: 'long' })
    const piece = long.pieces.find((p) => p.id === 'gusset')!
    const xs = piece.cut.segments.map((s) => s.from.x)
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(sizeOf(long, 'gusset.length') + 30, 6)
  })
  test('skived allowances are said along both of its edges', () => {
    const skived = plain('tote', { body: 'wrap', seamSkive: 'half' })
    expect(panelOf(skived, 'gusset').skives!.map((s) => [s.chain[0], s.start])).toEqual([
      ['back-side', GUSSET / 2],
      ['front-side', GUSSET / 2],
    ])
  })
  test('a second row lies 3 mm out in the allowance', () => {
    const two = plain('tote', { body: 'wrap', rows: 2, allowance: 8 })
    expect(two.runs.map((r) => r.join.id)).toEqual([
      'front-seam',
      'front-seam-second',
      'back-seam',
      'back-seam-second',
    ])
    const [first, second] = two.runs
    expect(second!.length - first!.length).toBeCloseTo(3 * Math.PI, 3)
  })
})

describe('a gusset in three', () => {
  const d = plain('tote', { body: 'wrap-three', wide: 280, high: 220, deep: 80, radius: 30 })
  test('two sides lap 12 mm over the foot; laid out they are as long as one strip would be', () => {
    const [side, foot] = [spanOf(d, 'gusset-side').wide, spanOf(d, 'gusset-foot').wide]
    expect(2 * side + foot - 2 * 12).toBeCloseTo(sizeOf(d, 'gusset.length'), 6)
    expect(panelOf(d, 'gusset-side').count).toBe(2)
  })
  test('at the laps the seam goes through three layers, elsewhere through two', () => {
    const run = d.runs.find((r) => r.join.id === 'front-seam')!
    const stacks = [...new Set(run.holes.map((h) => Math.round(h.stack * 10) / 10))].toSorted()
    expect(stacks).toEqual([BODY + GUSSET, BODY + 2 * GUSSET].map((t) => Math.round(t * 10) / 10))
  })
})

describe('a tapering gusset', () => {
  const taper = (deep: number, topDeep: number) =>
    plain('tote', { body: 'tapered', wide: 280, high: 220, deep, topDeep, radius: 40, seam: 'raw' })
  test.each([
    ['deep at the top', 60, 120],
    ['slim at the top', 120, 60],
  ])('%s: its edges are as long as the panels’, though its middle is shorter', (_, deep, top) => {
    const d = taper(deep, top)
    const { here, there } = edgesOf(d, 'front-seam')
    expect(there).toBeCloseTo(here, 1)
    const around = 2 * sizeOf(d, 'bag.high') + sizeOf(d, 'bag.wide') - (4 - Math.PI) * 40
    expect(sizeOf(d, 'gusset.length')).toBeLessThan(around)
    expect(around - sizeOf(d, 'gusset.length')).toBeLessThan(10)
  })
  test('as deep as asked at the top and at the foot', () => {
    const d = taper(60, 120)
    const points = panelOf(d, 'gusset').outline.segments.map((s) => s.from)
    const atEnd = points.filter((p) => p.x < 2).map((p) => p.y)
    expect(Math.max(...atEnd) - Math.min(...atEnd)).toBeCloseTo(120 + 2 * 4, 0)
  })
  test('straight where top and foot are alike', () => {
    const d = taper(80, 80)
    const other = plain('tote', { body: 'wrap', wide: 280, high: 220, deep: 80, radius: 40, seam: 'raw' })
    // The foot of the tapering one is as deep between its stitch lines as the straight one.
    expect(sizeOf(d, 'bag.deep')).toBeCloseTo(sizeOf(other, 'bag.deep'), 9)
  })
})

describe('sides set in', () => {
  test('raw: the body is longer than the side’s stitch line by half its thickness round each corner', () => {
    const d = plain('tote', { body: 'set-in', seam: 'raw', wide: 280, high: 220, deep: 80, radius: 20 })
    const [deep, high] = [sizeOf(d, 'bag.deep'), sizeOf(d, 'bag.high')]
    const around = 2 * high + deep - (4 - Math.PI) * 20
    expect(sizeOf(d, 'gusset.length')).toBeCloseTo(around + Math.PI * 0.5 * BODY, 9)
    const { here, there } = edgesOf(d, 'seam-right')
    expect(there - here).toBeCloseTo(Math.PI * 0.5 * BODY, 2)
    expect(codesOf(d)).not.toContain('edges-apart')
  })
  test('grooved: two depths of the groove and a quarter turn on what is left, at each corner', () => {
    const d = plain('briefcase', { flap: 'one', grooves: 'grooved', wide: 380, high: 270, deep: 90 })
    const [deep, high] = [sizeOf(d, 'bag.deep'), sizeOf(d, 'bag.high')]
    const groove = 0.55 * BODY
    const corner = 2 * groove + (Math.PI / 2) * 0.5 * (BODY - groove)
    expect(sizeOf(d, 'gusset.length')).toBeCloseTo(2 * high + deep + 2 * corner, 9)
    expect(panelOf(d, 'body').bands.filter((b) => b.hollow)).toHaveLength(2)
  })
})

describe('boxed corners', () => {
  const d = plain('tote', { body: 'boxed', wide: 230, high: 205, deep: 90, allowance: 8 })
  const bend = (Math.PI / 2) * 0.5 * BODY
  test('the square is half the depth, the panel that much wider and higher', () => {
    expect(sizeOf(d, 'boxed.square')).toBeCloseTo((90 + bend) / 2, 9)
    expect(sizeOf(d, 'boxed.wide')).toBeCloseTo(230 + bend + (90 + bend), 9)
    expect(sizeOf(d, 'boxed.high')).toBeCloseTo(205 + bend / 2 + (90 + bend) / 2, 9)
  })
  test('both edges of every seam are alike, the T seam as long as the depth in its two halves', () => {
    for (const run of d.runs) {
      const { here, there } = edgesOf(d, run.join.id)
      expect(there).toBeCloseTo(here, 6)
    }
    const t = d.runs.filter((r) => r.join.id.startsWith('t-front')).map((r) => r.length)
    expect(t[0]! + t[1]!).toBeCloseTo(sizeOf(d, 'bag.deep'), 6)
  })
  test('folded at the foot there is no seam there and no allowance: the cut-out is that much lower', () => {
    const folded = plain('tote', { body: 'boxed-folded', wide: 230, high: 205, deep: 90, allowance: 8 })
    expect(folded.runs.map((r) => r.join.id)).not.toContain('foot-seam')
    expect(spanOf(folded, 'body').high).toBeCloseTo(2 * sizeOf(folded, 'boxed.high'), 6)
    expect(spanOf(d, 'front').high).toBeCloseTo(sizeOf(d, 'boxed.high') + 8, 6)
  })
  test('the inner corners are snipped towards the stitches and stop short of them', () => {
    const cuts = panelOf(d, 'front').marks!.flatMap((m) => (m.type === 'cuts' ? m.paths : []))
    expect(cuts).toHaveLength(2)
    const [from, to] = [cuts[0]!.segments[0]!.from, cuts[0]!.segments[0]!.to]
    expect(Math.abs(to.x - from.x)).toBeCloseTo(8 - 1.5, 6)
    expect(Math.abs(to.y - from.y)).toBeCloseTo(8 - 1.5, 6)
  })
})

describe('sides that fold', () => {
  test('folded flat: two leaves as wide as half the depth over the sine of half the angle', () => {
    const d = plain('portfolio', { body: 'folded', deep: 30, pleatAngle: 120 })
    const deep = sizeOf(d, 'bag.deep')
    expect(sizeOf(d, 'fan.leaf')).toBeCloseTo(deep / (2 * Math.sin(Math.PI / 3)), 9)
    expect(panelOf(d, 'side').folds.map((f) => f.rises)).toEqual(['valley'])
  })
  test('bellows of three pleats: six leaves, folds in turn in and out', () => {
    const d = plain('portfolio', { body: 'bellows', pleats: 3, deep: 60, pleatAngle: 90 })
    expect(sizeOf(d, 'fan.leaf')).toBeCloseTo(sizeOf(d, 'bag.deep') / (6 * Math.sin(Math.PI / 4)), 9)
    expect(panelOf(d, 'side').folds.map((f) => f.rises)).toEqual([
      'valley',
      'mountain',
      'valley',
      'mountain',
      'valley',
    ])
    // Six leaves of 1.4 and five gaps of half a millimetre.
    expect(sizeOf(d, 'fan.closed')).toBeCloseTo(6 * GUSSET + 2.5, 9)
  })
  test('the side’s edges are as long as the panels’ sides', () => {
    const d = plain('portfolio', { body: 'bellows', pleats: 2 })
    for (const run of ['front-right', 'front-left', 'back-right', 'back-left']) {
      const { here, there } = edgesOf(d, run)
      expect(there).toBeCloseTo(here, 6)
    }
  })
  test('a divider down a fold is refused, with a way out', () => {
    const d = bagOf('flap-bag', { body: 'folded', divider: 'one' })
    const found = findingOf(d, 'concern')
    expect(found && sayFinding(found, 'mm').what).toMatch(
      /A divider can’t be sewn down the middle of a side that folds/,
    )
  })
})

test('an arc over a chord is as long as it was asked to be, whatever both are', () => {
  for (const chord of [10, 60, 300])
    for (const share of [1.001, 1.02, 1.3, Math.PI / 2, 2, 3]) {
      const length = chord * share
      const angle = arcOver(length, chord)
      const radius = length / angle
      expect(2 * radius * Math.sin(angle / 2)).toBeCloseTo(chord, 6)
    }
  // No longer than its chord it is all but straight.
  expect(arcOver(100, 100)).toBeLessThan(0.05)
  expect(arcOver(90, 100)).toBeLessThan(0.05)
})

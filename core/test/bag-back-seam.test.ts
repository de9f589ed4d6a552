import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { boxHeight, boxWidth, pathBox } from '@drumlin/core/geometry'
import { stepsOf } from '@drumlin/core/steps'
import { coverings, sewingOrder } from '../src/stitch/index.js'
import { anyDesign, everyDesign, derivedOf } from './support/all.js'
import { freshOf, sizeOf } from './support/designs.js'
import { many } from './support/long.js'

const mixed = (kind: string, more: Readonly<Record<string, unknown>> = {}) =>
  derive(
    freshOf(kind, {
      body: 'wrap',
      seam: 'turned',
      backSeam: 'raw',
      allowance: 8,
      margin: 4,
      trim: 1.5,
      ...more,
    }),
  )

describe('front turned, back with raw edges out', () => {
  const derived = mixed('flap-bag')
  const panel = (id: string) => derived.panels.find((p) => p.id === id)!
  const wide = sizeOf(derived, 'bag.wide')

  test('each panel has its own allowance, and the gusset one on either side', () => {
    expect(boxWidth(pathBox(panel('front').outline))).toBeCloseTo(wide + 2 * 8, 6)
    expect(boxWidth(pathBox(panel('back').outline))).toBeCloseTo(wide + 2 * 4, 6)
    expect(boxHeight(pathBox(panel('gusset').outline))).toBeCloseTo(sizeOf(derived, 'bag.deep') + 8 + 4, 6)
    const cut = pathBox(derived.pieces.find((p) => p.id === 'back')!.cut)
    expect(boxWidth(cut)).toBeCloseTo(wide + 2 * (4 + 1.5), 6)
  })

  test('what lies over the back seam and is sewn inside can’t be reached: whenever there is no order, that is told', () => {
    const any = fc.sample(anyDesign('flap-bag'), { seed: 2, numRuns: many(24, 120) }).map((design) => ({
      ...design,
      params: { ...design.params, body: 'wrap', seam: 'turned', backSeam: 'raw' },
      added: {},
    }))
    let told = 0
    for (const design of any) {
      const one = derivedOf(design)
      const stuck = sewingOrder(one.runs, one.works).stuck.length > 0
      if (stuck) told += 1
      else expect(stepsOf(one).circles).toEqual([])
    }
    expect(told).toBeGreaterThan(many(0, 4))
  })

  test('the depth is that of half a turned and half a raw seam', () => {
    const deep = (params: Readonly<Record<string, unknown>>) =>
      sizeOf(derive(freshOf('flap-bag', { body: 'wrap', ...params })), 'bag.deep')
    const [turned, raw] = [deep({ seam: 'turned' }), deep({ seam: 'raw' })]
    expect(sizeOf(derived, 'bag.deep')).toBeCloseTo((turned + raw) / 2, 6)
  })

  test.each(['flap-bag', 'portfolio', 'rucksack'])(
    'of a %s: the front is turned before the back is sewn on',
    (kind) => {
      const { steps, circles } = stepsOf(mixed(kind))
      expect(circles).toEqual([])
      const at = (id: string) => steps.findIndex((s) => s.rows.some((r) => r.task === id))
      expect(at('sew:front-seam')).toBeLessThan(at('turn-out'))
      expect(at('turn-out')).toBeLessThan(at('glue:back-seam'))
    },
  )

  test.each([
    { flap: 'one' },
    { lining: 'lined' },
    { body: 'tapered' },
    { outer: 'tapered' },
    { divider: 'one' },
  ])('with %o its seams meet with as many holes', (more) => {
    const bag = mixed('flap-bag', more)
    expect(
      findingsOf(bag).filter((f) => ['edges-apart', 'unequal-holes', 'edge-fault'].includes(f.code)),
    ).toEqual([])
    for (const id of ['front-seam', 'back-seam']) {
      const run = bag.runs.find((r) => r.join.id === id)!
      expect(run.other!.holes.length).toBe(run.holes.length)
    }
  })

  test('it is turned through the open back', () => {
    const [through, mouth] = [
      mixed('flap-bag'),
      derive(freshOf('flap-bag', { body: 'wrap', seam: 'turned' })),
    ]
    expect(through.master.turning!.opening.value).toBeGreaterThan(mouth.master.turning!.opening.value)
  })
})

test('nothing inside a bag lies over a seam that closes it', () => {
  const bags = everyDesign().filter(({ design }) => derivedOf(design).master.room)
  const ways = ['tote', 'flap-bag', 'portfolio', 'briefcase', 'rucksack'].flatMap((kind) =>
    ['wrap', 'tapered', 'set-in', 'boxed', 'folded'].flatMap((body) =>
      [
        { pocket: 'flat' },
        { slip: 'pad' },
        { organiser: 'covered' },
        { base: 'overlapping', pocket: 'flat' },
      ].map((more) => ({
        name: `${kind} ${body} ${JSON.stringify(more)}`,
        design: freshOf(kind, { body, ...more }),
      })),
    ),
  )
  const covered = [...bags, ...ways].flatMap(({ name, design }) => {
    const { runs, works } = derivedOf(design)
    return coverings(runs, works)
      .filter((c) => c.run.join.closes === true && c.before.length > 0)
      .map((c) => `${name}: ${c.run.join.id} under ${c.by.join(' and ')}`)
  })
  expect(covered).toEqual([])
})

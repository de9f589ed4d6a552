import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive, hangingOf, packingOf } from '@drumlin/core/derived'
import { type Design, applyEdit, setField } from '@drumlin/core/design'
import { type Carried } from '../src/whole/index.js'
import { BARE, bagDesign, bagOf, codesOf, findingOf, sizeOf, thingOf, withLeather } from './support/bags.js'
import { freshOf, withValues } from './support/designs.js'

const one = (id: string, count = 1): Carried => ({ thing: thingOf(id), count })
const carrying = (design: Design, contents: readonly Carried[]): Design => {
  const edited = applyEdit(design, setField('put in', ['contents'], [...contents]))
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}

describe('how it hangs', () => {
  test('two handles alike: level, with whatever stands in the middle of it', () => {
    const [hang] = hangingOf(derive(carrying(bagDesign('tote', {}), [one('bottle')])))
    expect(hang!.name).toBe('handles')
    expect(Math.abs(hang!.tilt)).toBeLessThan(3)
    expect(hang!.contents).toBe(780)
  })
  test('leather weighs its area times its thickness and density', () => {
    const bag = bagOf('tote', { ...BARE, body: 'boxed', handle: 'flat', handleFix: 'sewn' })
    const [hang] = hangingOf(bag)
    const body = bag.pieces.filter((p) => ['front', 'back'].includes(p.id))
    // Chrome tanned, 0.8 g/cm³; the handles are left out: they hold, and don't hang.
    const grams = body.reduce((sum, p) => {
      const points = p.finished.segments.map((s) => s.from)
      const area = points.reduce((a, q, i) => {
        const r = points[(i + 1) % points.length]!
        return a + (q.x * r.y - r.x * q.y) / 2
      }, 0)
      return sum + (Math.abs(area) * 1.8 * 0.8) / 1000
    }, 0)
    expect(hang!.leather).toBeCloseTo(grams, 0)
  })
  test('one handle on the back leans, and says so', () => {
    const bag = bagOf('tote', {
      ...BARE,
      body: 'wrap',
      deep: 200,
      high: 120,
      handle: 'flat',
      handles: 1,
      handleSpan: 100,
    })
    const [hang] = hangingOf(bag)
    expect(hang!.tilt).toBeGreaterThan(20)
    expect(sayFinding(findingOf(bag, 'hangs-level')!, 'mm').what).toMatch(/leans \d+° to the front/)
  })
  test('the heavy thing is put nearest the back, and a bag on a strap leans the less for it', () => {
    const design = bagDesign('flap-bag', {
      ...BARE,
      flap: 'one',
      strap: 'shoulder',
      wide: 300,
      high: 230,
      deep: 100,
    })
    const packing = packingOf(derive(carrying(design, [one('notebook-a5'), one('computer-13')])))!
    const at = (id: string): number => packing.packed.find((p) => p.thing.id === id)!.z
    expect(at('computer-13')).toBeLessThan(at('notebook-a5'))
  })
})

describe('what is found in bags', () => {
  test('a corner too tight for its allowance, and the radius that would do', () => {
    const bag = bagOf('tote', { ...BARE, body: 'wrap', seam: 'turned', radius: 6, allowance: 10 })
    const found = findingOf(bag, 'corner-tight')!
    // 1.5 mm left uncut at a snip of leather that stretches 12 %: 12.5 mm.
    expect(found.data.min).toBeCloseTo(12.5, 9)
    const [fix] = fixesOf(found, bag)
    expect(fix!.label).toBe('Corner radius 13.0 mm')
  })
  test('a single top too wide for a soft leather sags; doubled it does not', () => {
    const wide = bagOf('tote', { ...BARE, body: 'boxed', wide: 420, top: 'single' })
    const found = findingsOf(wide).find((f) => f.key === 'concern:top-sags')!
    expect(sayFinding(found, 'mm').what).toMatch(/stands up over about 270\.0 mm/)
    const doubled = bagOf('tote', { ...BARE, body: 'boxed', wide: 420, top: 'doubled' })
    expect(findingsOf(doubled).map((f) => f.key)).not.toContain('concern:top-sags')
  })
  test('a gusset written longer than its edge is a stop, given back it is gone', () => {
    const design = bagDesign('tote', { ...BARE, body: 'wrap' })
    const figured = sizeOf(derive(design), 'gusset.length')
    const longer = derive({ ...design, overrides: { 'gusset.length': figured + 25 } })
    const found = findingOf(longer, 'edges-apart')!
    expect(sayFinding(found, 'mm').what).toMatch(/is 25\.0 mm too long/)
    const edited = applyEdit(longer.design, fixesOf(found, longer)[0]!.edit)
    expect(edited.ok && codesOf(derive(edited.design))).not.toContain('edges-apart')
  })
  test('a little longer than its edge is eased in, and nothing is said', () => {
    const design = bagDesign('tote', { ...BARE, body: 'wrap' })
    const figured = sizeOf(derive(design), 'gusset.length')
    expect(codesOf(derive({ ...design, overrides: { 'gusset.length': figured + 2 } }))).not.toContain(
      'edges-apart',
    )
  })
  test('an allowance too small where three layers meet', () => {
    const thin = bagOf('tote', { ...BARE, body: 'wrap', seam: 'turned', lining: 'lined', allowance: 5 })
    expect(sayFinding(findingOf(thin, 'allowance-small')!, 'mm').what).toMatch(/5\.0 mm of allowance/)
    const wide = bagOf('tote', { ...BARE, body: 'wrap', seam: 'turned', lining: 'lined', allowance: 9 })
    expect(codesOf(wide)).not.toContain('allowance-small')
  })
  test('both of a pair cut with the same hand, where one would have to be turned over', () => {
    const pile = derive(withValues(freshOf('bifold'), { 'params.school': 'overlap' }))
    expect(codesOf(pile)).not.toContain('same-hand')
    const once = pile.panels.map((p) => ({ ...p, flipped: 0 }))
    expect(
      findingsOf({ ...pile, panels: once })
        .filter((f) => f.code === 'same-hand')
        .map((f) => f.key),
    ).toContain('same-hand:pocket')
  })
  test('glue that would run into a slot', () => {
    const bag = bagOf('tote', { ...BARE, body: 'wrap', seam: 'raw', margin: 6 })
    const panels = bag.panels.map((p) =>
      p.id === 'front'
        ? {
            ...p,
            marks: [
              { type: 'slot' as const, id: 'slit', at: { x: 3, y: 60 }, angle: 0, length: 10, punch: 3 },
            ],
          }
        : p,
    )
    const found = findingsOf({ ...bag, panels }).find((f) => f.code === 'glue-in-mouth')!
    expect(sayFinding(found, 'mm').what).toMatch(/would run into the slot on the front/)
  })
  test('a base panel that laps up needs a body in one piece, and says which', () => {
    const bag = bagOf('tote', { body: 'boxed', base: 'overlapping' })
    const found = findingsOf(bag).find((f) => f.key === 'concern:base-needs-one-piece')!
    expect(fixesOf(found, bag)).toHaveLength(1)
  })
})

describe('what is easily forgotten', () => {
  const tips = (params: Record<string, unknown>) =>
    findingsOf(bagOf('flap-bag', params))
      .filter((f) => f.rank === 'tip' && f.code === 'concern')
      .map((f) => f.key)
  test('raw edges: inner arrises are not bevelled; turned: hardware scratches on the way through', () => {
    expect(tips({ seam: 'raw' })).toEqual(['concern:bevel-inside'])
    expect(tips({ seam: 'turned' })).toEqual(['concern:hardware-scratches'])
    expect(tips({ ...BARE, flap: 'one', seam: 'turned' })).toEqual([])
  })
})

describe('a sheath, by pencil', () => {
  const sheath = (params: Record<string, unknown> = {}) => bagOf('sheath', params)
  test('as wide as the tool, play on both sides and a welt on both sides', () => {
    const d = sheath({ wide: 34, play: 1.5, welt: 10, deep: 120 })
    expect(sizeOf(d, 'sheath.mouth')).toBeCloseTo(34 + 3 + 20, 9)
    expect(sizeOf(d, 'sheath.length')).toBeCloseTo(120 + 1.5 + 10, 9)
  })
  test('as many layers of welt as the tool is thick', () => {
    for (const [thick, layers] of [
      [2.5, 1],
      [4, 2],
      [7, 3],
    ] as const)
      expect(sizeOf(sheath({ thick }), 'welt.layers')).toBe(layers)
  })
  test('the seam goes through front, back and all layers of the welt', () => {
    const d = sheath({ thick: 4 })
    const run = d.runs.find((r) => r.join.id === 'edge')!
    expect(run.thickest).toBeCloseTo(4 * 2.6, 6)
  })
  test('a loop in one with the back comes round the belt and is sewn down', () => {
    const d = sheath({ loop: 'fold', rise: 60, beltThick: 4 })
    expect(sizeOf(d, 'loop.length')).toBeCloseTo(120 + Math.PI * (2 + 0.5 * 2.6) + 16, 9)
  })
  test('hung below where the tool balances it is a stop, and a higher loop is the way out', () => {
    const d = sheath({ balance: 220, deep: 120, rise: 60 })
    const found = findingsOf(d).find((f) => f.key === 'concern:balance-above')!
    expect(found.rank).toBe('stop')
    const edited = applyEdit(d.design, fixesOf(found, d)[0]!.edit)
    expect(edited.ok && findingsOf(derive(edited.design)).some((f) => f.key === found.key)).toBe(false)
  })
  test('a welt that does not reach past the stitches is a stop', () => {
    const d = sheath({ welt: 6, margin: 4 })
    expect(findingsOf(d).some((f) => f.key === 'fit:welt-holds')).toBe(true)
  })
  test('the caution about blades is always said', () =>
    expect(findingsOf(sheath()).some((f) => f.key === 'concern:sheath-caution')).toBe(true))
})

describe('a thicker leather', () => {
  test('leaves the room inside as it is and makes the outside larger by twice as much', () => {
    const [thin, thick] = [1.4, 2.0].map((t) =>
      derive(
        withLeather(bagDesign('tote', { ...BARE, body: 'wrap', seam: 'turned' }), 'body', { thickness: t }),
      ),
    )
    expect(sizeOf(thick!, 'bag.in.deep')).toBeCloseTo(sizeOf(thin!, 'bag.in.deep'), 9)
    expect(sizeOf(thick!, 'bag.out.deep') - sizeOf(thin!, 'bag.out.deep')).toBeCloseTo(1.2, 9)
  })
})

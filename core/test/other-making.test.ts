import { describe, expect, test } from 'vitest'
import { sortOf } from '@drumlin/core/added'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Design, putOn, setField } from '@drumlin/core/design'
import { pathBox, pathLength } from '@drumlin/core/geometry'
import { edgeChain } from '@drumlin/core/master'
import { gapsOf, pictureOf } from '@drumlin/core/space'
import { stepsOf } from '@drumlin/core/steps'
import { STARTER_STORES } from '../src/stores/index.js'
import { done, freshOf } from './support/designs.js'

const sizeOf = ({ master }: Derived, key: string): number =>
  master.sizes.find(({ size }) => size.key === key)!.size.value
const said = (derived: Derived): string[] => findingsOf(derived).map((f) => sayFinding(f, 'mm').what)
const panelIn = (derived: Derived, id: string) => derived.panels.find((p) => p.id === id)!
function put(
  design: Design,
  sort: string,
  on: string,
  values: Readonly<Record<string, unknown>>,
  edge = 'top',
) {
  const after = done(
    design,
    putOn(design, sortOf(sort), panelIn(derive(design), on), STARTER_STORES, { edge }),
  )
  const id = Object.keys(after.added).at(-1)!
  return Object.entries(values).reduce(
    (so, [path, value]) => done(so, setField('test', ['added', id, ...path.split('.')], value)),
    after,
  )
}
const orderOf = (derived: Derived): string[] =>
  stepsOf(derived).steps.flatMap((s) => s.rows.map((r) => r.task))
const marksOf = (derived: Derived, panelId: string) =>
  derived.pieces.find((p) => p.panel.id === panelId)!.marks

describe('a pouch that is sewn flat and formed then', () => {
  const pouch = derive(freshOf('moulded-holder', { formed: 'sewn', wide: 60, high: 105, deep: 6, edge: 4 }))
  test('either side goes over half the thing: (60 + 6 − 0.858 × 4) × 1.03 and two flanges', () => {
    expect(sizeOf(pouch, 'flange')).toBeCloseTo(6.6, 2)
    expect(sizeOf(pouch, 'pocket.wide')).toBeCloseTo(
      (66 - (4 - Math.PI) * 4) * 1.03 + 2 * sizeOf(pouch, 'flange'),
      9,
    )
    expect(panelIn(pouch, 'front').outline.segments).toHaveLength(
      panelIn(pouch, 'back').outline.segments.length,
    )
    expect(pathLength(panelIn(pouch, 'front').outline)).toBeCloseTo(
      pathLength(panelIn(pouch, 'back').outline),
      9,
    )
  })
  test('sewn, formed, then its edges; nothing is trimmed to a line', () => {
    const order = orderOf(pouch)
    const at = (id: string): number => order.findIndex((t) => t.startsWith(id))
    expect(at('sew:outer')).toBeGreaterThan(-1)
    expect(at('form:outer')).toBeGreaterThan(at('sew:outer'))
    expect(at('edge:front:right')).toBeGreaterThan(at('form:outer'))
    expect(order.some((t) => t.startsWith('trim:front') || t === 'form:front')).toBe(false)
  })
  test('a deep thing is told to want its front formed first, and the way out is taken', () => {
    const deep = derive(freshOf('moulded-holder', { formed: 'sewn', deep: 30, edge: 4 }))
    const told = findingsOf(deep).find((f) => f.key.includes('too-deep-for-a-pouch'))!
    expect(fixesOf(told, deep).map((f) => f.label)).toEqual(['The front formed first'])
    expect(said(pouch).some((w) => w.includes('deep for a pouch'))).toBe(false)
  })
  test('in the round its sides stand out by half the thing, front and back', () => {
    const { sheets } = pictureOf(pouch, pouch.works[0]!, 0)
    const reach = (id: string): number[] => {
      const { positions } = sheets.find((s) => s.id === id)!.mesh
      const z = Array.from({ length: positions.length / 3 }, (_, i) => positions[3 * i + 2]!)
      return [Math.min(...z), Math.max(...z)]
    }
    const [back, front] = [reach('back'), reach('front')]
    expect(front[1]! - back[0]!).toBeCloseTo(sizeOf(pouch, 'closed'), 1)
  })
})

describe('a case stands filled', () => {
  const filled = derive(freshOf('gusseted-case'))
  test('its gussets are sewn to back and front: no seam of theirs gapes', () => {
    for (const opened of [0, 0.5, 1])
      expect(gapsOf(filled.master, filled.runs, filled.works[0]!, opened).filter((g) => g.open)).toEqual([])
    // The halves of a gusset begin and end where back and front do.
    const { sheets } = pictureOf(filled, filled.works[0]!, 0)
    const box = (id: string) => {
      const { positions } = sheets.find((s) => s.id === id)!.mesh
      const of = (k: number) => Array.from({ length: positions.length / 3 }, (_, i) => positions[3 * i + k]!)
      return [0, 1, 2].map((k) => [Math.min(...of(k)), Math.max(...of(k))] as const)
    }
    const [front, half] = [box('front'), box('gusset-left-front')]
    expect(Math.abs(half[0]![0] - front[0]![0])).toBeLessThan(3)
    expect(half[2]![1]).toBeLessThan(front[2]![1] + 0.5)
    expect(Math.abs(half[1]![1] - front[1]![1])).toBeLessThan(6)
    // The flap lies outside the front.
    expect(box('back')[2]![1]).toBeGreaterThan(front[2]![1])
  })
})

describe('a sheath for a tool with a guard, its welt running out', () => {
  const sheath = derive(
    freshOf('sheath', { guard: 60, guardDeep: 6, welts: 'out', thick: 6, tipThick: 2, deep: 120 }),
  )
  test('the mouth takes the guard: 60 + 2 × 1.5 + 2 × (4 + 3), more than 34 + 3 + 20', () => {
    expect(sizeOf(sheath, 'sheath.mouth')).toBeCloseTo(77, 9)
    expect(sizeOf(derive(freshOf('sheath', { guard: 30 })), 'sheath.mouth')).toBeCloseTo(57, 9)
  })
  test('3 layers at the mouth, 1 at the tip: 2 run out at 120 × (6 − 2.6) / (6 − 2)', () => {
    expect(sizeOf(sheath, 'welt.layers')).toBe(3)
    expect(sizeOf(sheath, 'welt.short')).toBe(2)
    expect(sizeOf(sheath, 'welt.runsTo')).toBeCloseTo(102, 9)
    expect(panelIn(sheath, 'welt').count).toBe(1)
    expect([panelIn(sheath, 'welt-short').count, panelIn(sheath, 'welt-short').flipped]).toEqual([4, 2])
  })
  test('beside the guard the welt leaves 63 of room, 7.5 down from the mouth', () => {
    const xs = panelIn(sheath, 'welt')
      .outline.segments.filter((s) => s.from.y === 0)
      .map((s) => s.from.x)
    expect([...new Set(xs.map((x) => Math.round(x * 10) / 10))].toSorted((a, b) => a - b)).toEqual([
      0, 7, 70, 77,
    ])
  })
  test('thin ends between whole layers are no weak place, and no edge of the seam', () => {
    expect(said(sheath).filter((w) => w.includes('welt that runs out'))).toEqual([])
  })
})

describe('tops turned over leather, allowances of boxed corners', () => {
  test.each(['feather', 'fold', 'even'] as const)(
    'in the %s school: a strip for each pocket, clear of the seams',
    (topSkive) => {
      const sleeve = derive(
        freshOf('card-sleeve', { tops: 'stiffened', topSkive, pockets: 2, sides: 'both' }),
      )
      const strip = panelIn(sleeve, 'stay')
      expect([strip.count, strip.role]).toEqual([4, 'pockets'])
      // Reveal 12: so much shows of a pocket; it ends just above the next.
      expect(pathBox(strip.outline).bottom).toBeCloseTo(11, 9)
      const seam = sleeve.runs.find((r) => r.join.id === 'outer')!
      expect(seam.holes.some((h) => h.sheets.some((s) => s.startsWith('stay')))).toBe(false)
      expect(findingsOf(sleeve).filter((f) => f.rank === 'stop')).toEqual([])
      const turn = sleeve.edges.find((e) => e.panel.id === 'pocket')!.turned[0]!
      expect(turn.turn.fate.school).toBe(topSkive)
    },
  )
  test('a boxed tote with its allowances skived: its side seam is one leather thick, not two', () => {
    const thick = (seamSkive: string): number =>
      derive(freshOf('tote', { seam: 'turned', seamSkive, top: 'single' })).runs.find(
        (r) => r.join.id === 'side-left',
      )!.holes[3]!.stack
    expect(thick('half')).toBeCloseTo(thick('none') / 2, 9)
  })
})

describe('borders, locks, stops', () => {
  const tote = freshOf('tote', { handle: 'none', closure: 'none' })
  test('a border comes out even: whole stamps between corners left free', () => {
    const derived = derive(put(tote, 'border', 'front', { 'params.inset': 14, 'params.stamp': 7 }))
    const along = pathLength(edgeChain(panelIn(derived, 'front'), ['top'])) - 28
    expect(sizeOf(derived, 'added-1.count')).toBe(Math.round(along / 7))
    expect(sizeOf(derived, 'added-1.pitch')).toBeCloseTo(along / Math.round(along / 7), 9)
    expect(said(derived).some((w) => w.includes('border'))).toBe(false)
    expect(orderOf(derived).findIndex((t) => t === 'stamp:added-1')).toBeGreaterThan(-1)
  })
  test('in a seam, under a patch, on a skive and under a rivet it is told', () => {
    const border = (inset: number, edge: string) =>
      put(tote, 'border', 'front', { 'params.inset': inset }, edge)
    expect(
      said(derive(border(6, 'left'))).some((w) => w.includes('border on the front runs into a seam')),
    ).toBe(true)
    const under = put(border(14, 'top'), 'patch', 'front', { inward: 5 })
    expect(said(derive(under)).some((w) => w.includes('comes to lie under the patch'))).toBe(true)
    const thin = put(border(14, 'top'), 'skive', 'front', { 'params.width': 16 })
    expect(said(derive(thin)).some((w) => w.includes('runs into the skive'))).toBe(true)
    const held = put(border(14, 'top'), 'rivet', 'front', { inward: 14 })
    expect(said(derive(held)).some((w) => w.includes('runs into the rivet'))).toBe(true)
  })
  test('the plate of a tuck lock lies over an opening; a tongue tells what its mouth does not take', () => {
    const plate = derive(
      put(tote, 'lock', 'front', { inward: 60, 'params.part': 'plate', 'params.open': 24 }),
    )
    expect(panelIn(plate, 'front').marks).toContainEqual(
      expect.objectContaining({ type: 'slot', length: 24, punch: 6 }),
    )
    const tongue = (mouth: number) =>
      said(derive(put(tote, 'lock', 'front', { 'params.part': 'tongue', 'params.mouth': mouth }))).filter(
        (w) => w.includes('mouth of the tongue'),
      )
    expect([tongue(5).length, tongue(1).length]).toEqual([0, 1])
  })
  test('where a seam stops short of its end both pieces are notched', () => {
    const bag = freshOf('flap-bag')
    const stops = (design: Design) =>
      derive(design)
        .pieces.flatMap((p) => marksOf(derive(design), p.panel.id))
        .filter((m) => m.type === 'notch' && m.letters === 'stop').length
    expect(stops(bag)).toBe(0)
    const short = { ...bag, sewing: { ...bag.sewing, runs: { 'front-seam': { startBy: 20 } } } }
    expect(stops(short)).toBeGreaterThanOrEqual(2)
  })
  test('a handle between rings shows where its ends meet: in its middle, and half a handle from either ring', () => {
    const derived = derive(freshOf('briefcase', { handle: 'ring' }))
    const lines = (panelIn(derived, 'handle').marks ?? [])
      .filter((m) => m.type === 'lines')
      .map((m) => m.at.x)
    const [arc, length] = [sizeOf(derived, 'handle.arc'), pathBox(panelIn(derived, 'handle').outline).right]
    const turn = (length - 2 * arc) / 4
    expect(lines[0]).toBeCloseTo(length / 2, 9)
    expect(lines[2]! - lines[1]!).toBeCloseTo(arc + 2 * turn, 9)
  })
  test('butted pockets say that a gap opens, and how not', () => {
    const butted = derive(freshOf('bifold', { school: 'butted' }))
    const gap = findingsOf(butted).find((f) => f.key.includes('butted-gap'))!
    expect([gap.rank, fixesOf(gap, butted)[0]!.label]).toEqual(['tip', 'T pockets, lapped'])
    expect(said(derive(freshOf('bifold'))).some((w) => w.includes('only meet'))).toBe(false)
  })
})

import { HABITS } from '../src/sewing/index.js'
import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { figuresOf } from '@drumlin/core/overview'
import { explainLine } from '@drumlin/core/working'
import { pathLength, point, polygon } from '../src/geometry/index.js'
import { edgeChain } from '../src/master/index.js'
import { bandLength, cornersOf, punchBlows, skiveMinutes } from '../src/make/index.js'
import { demoDesign } from './support/all.js'
import { demoWith, freshOf } from './support/designs.js'

const strip = (w: number, h: number) => polygon([point(0, 0), point(w, 0), point(w, h), point(0, h)])

const timeOf = (derived: Derived) => figuresOf(derived).time

describe('how long it takes', () => {
  test('a strip is as long as its longer side, however it lies', () => {
    expect(bandLength(strip(80, 8))).toBeCloseTo(80, 9)
    expect(bandLength(strip(8, 80))).toBeCloseTo(80, 9)
    expect(bandLength(strip(20, 20))).toBeCloseTo(20, 9)
  })
  test('90 mm skived 0.5 mm deep on four pieces: 4 × (½ + 1 × 1.5) = 8 minutes', () =>
    expect(skiveMinutes(90, 0.5, 4, HABITS.usual)).toBeCloseTo(8, 9))
  const derived = demoWith({})
  const time = timeOf(derived)
  const part = (key: string) => time.parts.find((p) => p.key === `time.${key}`)!
  test('sewing: blows at 25 s, stitches at 35 s, corners at 20 s more, two minutes a run', () => {
    const holes = derived.runs.reduce((n, r) => n + r.holes.length, 0)
    const blows = derived.runs.reduce((n, r) => n + punchBlows(r), 0)
    const corners = derived.runs.reduce((n, r) => n + cornersOf(r), 0)
    expect(part('sew').value).toBeCloseTo((blows * 25 + (holes - 8) * 35 + corners * 20) / 60 + 16, 9)
  })
  test('a bifold is an evening’s sewing, a one-piece briefcase by hand about two days', () => {
    const hours = (name: string, key: string): number => {
      const { parts, total } = timeOf(derive(demoDesign(name)))
      return [...parts, total].find((p) => p.key === key)!.value / 60
    }
    expect(hours('deckhands-fold', 'time.sew')).toBeGreaterThan(2)
    expect(hours('deckhands-fold', 'time.sew')).toBeLessThan(4)
    // Two days at the bench, of six to eight hours each, patterns and laying out with them.
    expect(hours('harbour-office-case', 'time.total')).toBeGreaterThan(12)
    expect(hours('harbour-office-case', 'time.total')).toBeLessThan(17)
  })
  test('cutting: all the way round every piece of leather, and a minute each; the guide is not counted', () => {
    const round = derived.pieces
      .filter((p) => p.panel.role !== 'guide')
      .reduce((sum, p) => sum + p.count * pathLength(p.cut), 0)
    expect(part('cut').value).toBeCloseTo(Math.round(round) / 200 + 8, 9)
  })
  test('no edge is turned, so nothing is counted for turning; with turned tops there is', () => {
    expect(part('turn').value).toBe(0)
    const turned = timeOf(demoWith({ 'params.tops': 'turned' }))
    expect(turned.parts.find((p) => p.key === 'time.turn')!.value).toBeGreaterThan(5)
  })
  test('gluing: each coated edge once, what has to slide round the fold left out', () => {
    const glue = derived.master.joins.flatMap((j) => j.glue)
    expect(glue.some((g) => (g.endFree ?? 0) > 5)).toBe(true)
    const all = glue.reduce((sum, g) => {
      const sheet = derived.works[0]!.sheets.find((s) => s.sheet.id === g.sheet)!.sheet
      const panel = derived.panels.find((p) => sheet.type === 'panel' && p.id === sheet.panelId)!
      return sum + pathLength(edgeChain(panel, g.chain)) - (g.startFree ?? 0) - (g.endFree ?? 0)
    }, 0)
    expect(part('glue').value).toBeCloseTo(8 + Math.round(all) / 400, 6)
  })
  test('the parts make the whole, and each can show its working', () => {
    expect(time.total.value).toBeCloseTo(
      time.parts.reduce((sum, p) => sum + p.value, 0),
      9,
    )
    for (const one of [...time.parts, time.total])
      expect(explainLine(one, 'mm')).not.toMatch(/NaN|undefined|\{/)
  })
  test('what lies hidden under the next pocket is not finished: more pockets cost little at the edges', () => {
    const edges = (pockets: number): number =>
      timeOf(demoWith({ 'params.pockets': pockets })).parts.find((p) => p.key === 'time.edges')!.value
    // Two more tops of 96 mm on either side, 50 mm a minute, and the seams get a little longer.
    expect(edges(5) - edges(3)).toBeLessThan((4 * 96) / 50 + 6)
  })
})

describe('figures', () => {
  test('cloth and tape are pieces, but not leather', () => {
    const [slits, tees] = ['slits', 'butted'].map((school) =>
      figuresOf(demoWith({ 'params.school': school })),
    )
    expect(slits!.pieces).toBe(2 + 2 + 6)
    expect(slits!.area).toBeLessThan(tees!.area)
  })
  test('a drawing by hand without a panel has figures too: nothing of anything', () => {
    const none = figuresOf(derive(freshOf('by-hand')))
    expect([none.width, none.area, none.holes, none.empty, none.full, none.weight.value]).toEqual([
      0, 0, 0, 0, 0, 0,
    ])
  })
  test('leather twice as thick weighs about twice as much', () => {
    const thick = (t: number) =>
      figuresOf(
        demoWith({
          'leathers.outside.thickness': t,
          'leathers.inside.thickness': t,
          'leathers.pockets.thickness': t,
        }),
      ).weight.value
    expect(thick(1.6) / thick(0.8)).toBeGreaterThan(1.9)
    expect(thick(1.6) / thick(0.8)).toBeLessThan(2.15)
  })
})

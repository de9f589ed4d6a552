import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { drawnSpan } from '../src/drawing/index.js'
import { coverPages } from '../src/exchange/pdf/cover/index.js'
import { planPrint } from '../src/exchange/pdf/pages.js'
import { demoDesign, everyDesign, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'
import { planned } from './support/print.js'

describe('the cover', () => {
  const long = 'W'.repeat(40) + ' ' + 'mooring-line '.repeat(3)
  test.each(everyDesign())('of $name stays on its pages, with its longest name', ({ design }) => {
    const derived = derive({ ...design, name: long.trim().slice(0, 80), draft: 'x'.repeat(40) })
    for (const unit of ['mm', 'in'] as const) {
      const { sheets, tile } = planned(design)
      const pages = coverPages(derived, sheets, {
        tile,
        pages: tile,
        paper: 'A4',
        unit,
        date: '2026-01-01',
        lacking: ['日'],
      })
      const said = pages.flat().flatMap((d) => (d.type === 'text' ? [d.text] : []))
      for (const heading of ['Cut', 'Sheets', 'Lines', 'Take care', 'Letters'])
        expect(said).toContain(heading)
      for (const { left, top, right, bottom } of pages.map(drawnSpan)) {
        expect(Math.min(left, top)).toBeGreaterThan(-0.5)
        expect(right).toBeLessThan(tile.width + 0.5)
        expect(bottom).toBeLessThan(tile.height + 0.5)
      }
    }
  })
  test('numbers every page of the map, however many there are', () => {
    const { sheets, tile } = planPrint(derive(demoDesign('landing-rucksack')), 'letter', 'mm')
    const derived = derive(demoDesign('landing-rucksack'))
    const pages = coverPages(derived, sheets, {
      tile,
      pages: tile,
      paper: 'x',
      unit: 'mm',
      date: undefined,
      lacking: [],
    })
    const count = sheets.reduce((sum, s) => sum + s.pages.length, 0)
    const said = pages.flat().flatMap((d) => (d.type === 'text' && d.size === 2.6 ? [d.text] : []))
    expect(said).toEqual(Array.from({ length: count }, (_, i) => String(i + 1)))
  })
  test('lists the stops that are open, and no iron where a machine sews', () => {
    const fresh = freshOf('bifold')
    const words = (design: Design): string => {
      const derived = derivedOf(design)
      const { sheets, tile } = planPrint(derived, 'a4', 'mm')
      return coverPages(derived, sheets, {
        tile,
        pages: tile,
        paper: 'A4',
        unit: 'mm',
        date: undefined,
        lacking: [],
      })
        .flat()
        .flatMap((d) => (d.type === 'text' ? [d.text] : []))
        .join(' ')
    }
    const machine = words({ ...fresh, sewing: { ...fresh.sewing, holes: 'machine' } })
    expect(machine).toContain('By machine')
    expect(machine).not.toMatch(/iron|pitch|stitch holes/)
    expect(words(fresh)).toMatch(/\d holes with the .* iron/)
    const stopped = words({ ...fresh, overrides: { 'outside.height': 60 } })
    expect(stopped).toContain('Stops, still open')
  })
})

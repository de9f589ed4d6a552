import { DESIGN_VERSION } from '../src/design/index.js'
import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { pieceDrawing } from '@drumlin/core/drawing'
import { readDesign, writeDesign } from '@drumlin/core/exchange/json'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { summary } from '@drumlin/core/overview'
import { statesOf, survey } from '@drumlin/core/relief'
import { readStoresData } from '@drumlin/core/stores'
import { writeDxf } from '@drumlin/core/exchange/dxf'
import { kindIds } from '../src/kinds/index.js'
import { demoText, freshOf } from './support/designs.js'

const folder = fileURLToPath(new URL('../../demo', import.meta.url))
const index = JSON.parse(readFileSync(`${folder}/index.json`, 'utf8')) as { designs: string[] }
const names = index.designs.map((file) => file.replace('.drumlin.json', ''))

function open(name: string): Design {
  const read = readDesign(demoText(name))
  if (!read.ok) throw new Error(JSON.stringify(read.issue))
  return read.design
}

describe('the examples', () => {
  test('every file that lies there is on the list, and every kind has one', () => {
    expect(index.designs.toSorted()).toEqual(readdirSync(`${folder}/designs`).toSorted())
    expect(new Set(names.map((n) => open(n).kind))).toEqual(new Set(kindIds()))
  })
  test('their leathers are the ones on the demo shelves', () => {
    const stores = readStoresData(JSON.parse(readFileSync(`${folder}/stores.json`, 'utf8')))
    for (const name of names)
      for (const leather of Object.values(open(name).leathers))
        expect(stores.leathers.map((l) => l.id)).toContain(leather.id)
  })
  test.each(names)('%s is written as it was read, byte for byte', (name) =>
    expect(writeDesign(open(name))).toBe(demoText(name)),
  )
  test.each(names)('%s has no stop, its numbers hold, its files can be written', (name) => {
    const derived = derive(open(name))
    expect(findingsOf(derived).filter((f) => f.rank === 'stop')).toEqual([])
    expect(JSON.stringify(summary(derived))).not.toMatch(/null|NaN/)
    expect(writeSvg(derived, 'mm')).toContain('<svg')
    expect(writeDxf(derived, 'mm')).toContain('LWPOLYLINE')
  })
  test.each(names)('%s can be looked at in every state, empty and full', (name) => {
    const derived = derive(open(name))
    for (const { layup } of statesOf(derived))
      for (const contents of [false, true]) {
        const shown = survey(derived, { state: layup.id, contents, step: 1, interval: 0.5 })
        expect(shown.spots[0]!.height).toBeGreaterThan(0.5)
        expect(shown.atThickest.length).toBeGreaterThan(0)
        expect(shown.contours.length).toBeGreaterThan(0)
        expect(shown.seams.map((s) => s.run)).toEqual(derived.runs.map((r) => r.join.id))
      }
  })
})

describe('labels', () => {
  const labels = (kind: string, piece: string) => {
    const derived = derive(freshOf(kind))
    const found = derived.pieces.find((p) => p.id === piece)!
    return pieceDrawing(found, { name: 'Job', draft: 'first' }, 'mm').flatMap((d) =>
      d.type === 'text' ? [d] : [],
    )
  }
  test('a narrow upright piece carries its label along it, a wide one across', () => {
    const angle = (kind: string, piece: string) => labels(kind, piece).find((t) => t.layer === 'label')!.angle
    expect(angle('narrow-strap', 'tongue')).toBeCloseTo(-Math.PI / 2, 9)
    expect(angle('strap-wallet', 'strap')).toBeCloseTo(-Math.PI / 2, 9)
    expect(angle('card-sleeve', 'back')).toBe(0)
  })
  test('along it the lines stand within the width of the piece', () => {
    const all = labels('narrow-strap', 'tongue').filter((t) => t.layer === 'label')
    const xs = all.map((t) => t.at.x)
    expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan(30)
    expect(new Set(all.map((t) => t.at.y)).size).toBe(1)
  })
  test('seven holes of one size say it once', () => {
    const said = labels('narrow-strap', 'tongue').filter((t) => /2\.0 mm/.test(t.text) && t.layer === 'marks')
    expect(said.map((t) => t.text)).toEqual(['7 × 2.0 mm'])
  })
})

describe('a bifold saved before there were other schools', () => {
  const { feet, tops, grip, pouch, lining, divider, cutAway, hidden, coins, lap, ...before } = open(
    'deckhands-fold',
  ).params as Record<string, unknown>
  const now = open('deckhands-fold')
  const { divider: d, lining: l, ...leathers } = now.leathers
  const old = { ...now, version: 3, params: before, leathers }
  test('opens, and comes out hole for hole as it was', () => {
    const read = readDesign(JSON.stringify(old))
    if (!read.ok) throw new Error(JSON.stringify(read.issue))
    expect(read.design.version).toBe(DESIGN_VERSION)
    expect(read.design.params).toMatchObject({
      feet,
      tops,
      grip,
      pouch,
      lining,
      divider,
      cutAway,
      hidden,
      coins,
      lap: before.reveal,
    })
    expect(lap).toBe(before.reveal)
    expect([d?.id, l?.id]).toEqual([leathers.inside!.id, leathers.pockets!.id])
    expect(derive(read.design).runs.map((r) => r.holes)).toEqual(derive(now).runs.map((r) => r.holes))
  })
  test('without its inside it is refused for the inside, not for what came later', () => {
    const { inside: _, ...rest } = leathers
    const read = readDesign(JSON.stringify({ ...old, leathers: rest }))
    expect(read.ok).toBe(false)
    expect(JSON.stringify(read)).toContain('inside')
  })
})

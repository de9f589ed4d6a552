import { describe, expect, test } from 'vitest'
import { sayFinding } from '@drumlin/core/check'
import { compareDecisions } from '@drumlin/core/compare'
import { derive, zipFor } from '@drumlin/core/derived'
import { pieceDrawing } from '@drumlin/core/drawing'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { laidUpOf } from '@drumlin/core/layup'
import { figuresOf, summary } from '@drumlin/core/overview'
import { alongRun } from '@drumlin/core/relief'
import { writeDxf } from '@drumlin/core/exchange/dxf'
import { BARE, bagDesign, bagOf, findingOf, hardwareOf } from './support/bags.js'

const flapBag = bagOf('flap-bag')
const runOf = (id: string) => flapBag.runs.find((r) => r.join.id === id)!

describe('a seam of edges that lie apart', () => {
  test('is as thick as both of what it holds, all along it', () => {
    const run = runOf('front-seam')
    const profile = alongRun(run, laidUpOf(flapBag.works, run.join.layup))
    // Front of 1.8 and gusset of 1.4; nothing else lies in it.
    for (const [, thickness] of profile.points.slice(2, -2)) expect(thickness).toBeCloseTo(3.2, 6)
  })
  test('takes thread for both', () => {
    const run = runOf('front-seam')
    const stitches = run.stitches
    const pitch = run.length / stitches
    const min = 2 * stitches * (pitch + 3.2)
    expect(run.thread.value).toBeGreaterThan(min)
    expect(run.thread.value).toBeLessThan(min * 1.2 + 600)
  })
  test('is zipped with notches on both edges, hole against hole', () => {
    const zip = zipFor(flapBag, runOf('front-seam'))
    const notches = (side: { marks: readonly { sort: string; label: string }[] }) =>
      side.marks.filter((m) => m.sort === 'notch').map((m) => m.label)
    expect(notches(zip.front)).toHaveLength(5)
    expect(notches(zip.back!)).toEqual(expect.arrayContaining(notches(zip.front)))
    expect(zip.extra).toEqual([])
    expect(zip.teeth.every((t) => !t.slanted)).toBe(true)
  })
  test('each side apart: counts that differ are found, as for any other seam', () => {
    const design = bagDesign('tote', { ...BARE, body: 'wrap', seam: 'raw' })
    const longer = derive({
      ...design,
      sewing: { ...design.sewing, holes: 'apart' },
      overrides: { 'gusset.length': 960 },
    })
    const found = findingOf(longer, 'unequal-holes')!
    expect(sayFinding(found, 'mm').what).toMatch(/holes on the front, \d+ on the gusset/)
  })
  test('by machine the line is drawn on both pieces and no hole is', () => {
    const design = bagDesign('tote', { ...BARE, body: 'wrap', seam: 'raw' })
    const machine = derive({ ...design, sewing: { ...design.sewing, holes: 'machine' } })
    for (const id of ['front', 'gusset']) {
      const piece = machine.pieces.find((p) => p.id === id)!
      expect(piece.holes).toEqual([])
      expect(piece.marks.some((m) => m.type === 'stitchLine')).toBe(true)
    }
  })
})

describe('a bag on paper', () => {
  const svg = writeSvg(flapBag, 'mm')
  test('all its pieces are there by name, with leather and count', () => {
    for (const name of ['Front', 'Back and flap', 'Gusset', 'Divider', 'Strap, long part', 'Keeper'])
      expect(svg).toContain(name)
  })
  test('snips and V cuts are cut lines, in the layer of what is cut', () => {
    const turned = bagOf('tote', { ...BARE, body: 'wrap', seam: 'turned', radius: 30 })
    const front = turned.pieces.find((p) => p.id === 'front')!
    const drawn = pieceDrawing(front, turned.design, 'mm')
    const cuts = drawn.filter((d) => d.type === 'stroke' && d.layer === 'cut')
    // The outline itself, and seven V cuts at either corner.
    expect(cuts).toHaveLength(1 + 14)
  })
  test('a rivet is a circle as large as it is with its hole and its name', () => {
    const riveted = bagOf('tote', { ...BARE, body: 'boxed', handle: 'flat', handleFix: 'riveted' })
    const front = riveted.pieces.find((p) => p.id === 'front')!
    const drawn = pieceDrawing(front, riveted.design, 'mm')
    const words = drawn.flatMap((d) => (d.type === 'text' ? [d.text] : []))
    // Four alike are named once.
    expect(words.filter((w) => w.includes('rivet'))).toEqual(['4 × rivet of the handle of the front'])
    const circles = drawn.filter(
      (d) =>
        d.type === 'stroke' &&
        (d.layer === 'marks' || d.layer === 'openings') &&
        d.path.segments.every((s) => s.type === 'arc'),
    )
    // Rim and hole of each of the four.
    expect(circles).toHaveLength(8)
  })
  test('DXF takes all of it', () => {
    const dxf = writeDxf(flapBag, 'mm')
    expect(dxf).toContain('LWPOLYLINE')
    expect(dxf.match(/\bCUT\b|cut/g)!.length).toBeGreaterThan(10)
  })
})

describe('what is said of a bag', () => {
  test('its size is that of the finished thing, not of the pieces laid out', () => {
    const figures = figuresOf(flapBag)
    const { wide, high, deep } = flapBag.master.outside!
    expect(figures.width).toBe(wide.value)
    expect(figures.height).toBe(high.value)
    expect(figures.empty).toBe(deep.value)
    expect(figures.holes).toBe(flapBag.runs.reduce((sum, r) => sum + r.holes.length, 0))
  })
  test('it weighs more than its front and less than a chair', () => {
    const { weight } = figuresOf(flapBag)
    expect(weight.value).toBeGreaterThan(100)
    expect(weight.value).toBeLessThan(1500)
  })
  test('as plain data its hardware stands with stack, post and step', () => {
    const plain = summary(bagOf('flap-bag', { closure: 'lock' }))
    const lock = plain.fittings!.find((f) => f.id === 'closure-front')!
    expect(lock).toMatchObject({ hardware: 'turning lock, 34 × 22 mm', stack: 1.8, post: 5 })
    expect(JSON.stringify(plain)).not.toMatch(/NaN|null/)
  })
  test('work without hardware says nothing of it', () =>
    expect(summary(bagOf('tote', { ...BARE, body: 'wrap' }))).not.toHaveProperty('fittings'))
  test('other hardware is a decision that changed, by name', () => {
    const before = bagDesign('flap-bag', { closure: 'snap' })
    const after = {
      ...before,
      hardware: { ...before.hardware, snap: { ...hardwareOf('snap-12'), name: 'large snap' } },
    }
    expect(JSON.stringify(compareDecisions(before, after, 'mm'))).toContain('large snap')
  })
})

import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { type Design, applyEdit, layPieces, leaveHide, putAside, takeHide } from '@drumlin/core/design'
import { readDxfPaths } from '@drumlin/core/exchange/dxf'
import { isOurDesign, writeDesign, readDesign } from '@drumlin/core/exchange/json'
import { plansOf, writePlanDxf, writePlanJson, writePlanSvg } from '@drumlin/core/exchange/plan'
import { pathBox, regionArea } from '@drumlin/core/geometry'
import { demandsOf, groupsOf, laidDesign, wantedOf, withHides } from '@drumlin/core/hide'
import { typicalGround } from '@drumlin/core/stores'
import { demo, freshOf, sizeOf } from '../support/designs.js'
import { everyDesign, derivedOf } from '../support/all.js'
import { demandOf, hideOf, rectangle } from '../support/hides.js'

const fold = derive(demo())
const demandNamed = (key: string, of = fold) => demandsOf(of).find((d) => d.key === key)!

describe('what pieces of a design ask for', () => {
  test('every piece of every demo and kind asks, with an outline as large as what is cut', () => {
    for (const { name, design } of everyDesign()) {
      const derived = derivedOf(design)
      const asks = demandsOf(derived)
      for (const p of derived.pieces) {
        const ask = asks.find((d) => d.key === p.id)
        expect(ask === undefined, `${name}: ${p.name}`).toBe(p.work.stock === undefined || p.count === 0)
        if (ask) expect(ask.count).toBe(p.count)
      }
      for (const d of asks) expect(regionArea([d.outline]), `${name}: ${d.name}`).toBeGreaterThan(20)
    }
  })
  test('the outside of a wallet is seen all over; under its pockets the inside is not', () => {
    const outside = demandNamed('outside')
    const { panel } = fold.pieces.find((p) => p.id === 'outside')!
    const whole = Math.abs(regionArea([outside.outline]))
    expect(regionArea(outside.seen)).toBeGreaterThan(0.9 * whole)
    expect(panel.id).toBe('outside')
    const inside = demandNamed('inside')
    // Two halves of card pockets cover most of it; the note pocket shows between and above.
    expect(regionArea(inside.seen)).toBeLessThan(0.6 * regionArea([inside.outline]))
  })
  test('what bears a pull lies along the backbone; board asks nothing of it', () => {
    const asks = demandsOf(derive(freshOf('flap-bag', { strap: 'shoulder', base: 'board' })))
    const strap = asks.find((d) => d.key === 'strap-long')!
    expect([strap.lies, strap.bears]).toEqual(['along', true])
    expect(strap.strap!.long).toBeGreaterThan(6 * strap.strap!.wide)
    const board = asks.filter((d) => !d.leather)
    expect(board.length).toBeGreaterThan(0)
    for (const d of board) expect([d.lies, d.shows]).toEqual(['any', false])
  })
  test('mirrored pairs know each other, and several copies are told apart', () => {
    const all = wantedOf('job', [demandOf(rectangle(10, 10), { count: 2, flipped: 1 })], 2)
    expect(all.map((w) => [w.id, w.over, w.mate])).toEqual([
      ['job/piece#1', true, 'job/piece#2'],
      ['job/piece#2', false, 'job/piece#1'],
      ['job/piece#3', true, 'job/piece#4'],
      ['job/piece#4', false, 'job/piece#3'],
    ])
  })
  test('the length of an edge of the outline is that of the piece that is cut', () => {
    const xs = demandNamed('outside').outline.map((p) => p.x)
    const cut = Math.max(...xs) - Math.min(...xs)
    expect(cut).toBeGreaterThanOrEqual(sizeOf(fold, 'outside.width') - 0.2)
  })
})

const calf = (design: Design) =>
  hideOf({
    id: 'calf',
    name: 'Calf',
    of: design.leathers.outside!.id,
    part: 'shoulder',
    ...typicalGround('shoulder', 60),
  })
const goat = (design: Design) =>
  hideOf({
    id: 'goat',
    name: 'Goat',
    of: design.leathers.inside!.id,
    part: 'skin',
    ...typicalGround('skin', 40),
  })
const done = (edited: ReturnType<typeof applyEdit>): Design => {
  if (!edited.ok) throw new Error(edited.why)
  return edited.design
}

describe('laid and kept with the design', () => {
  const ready = derive(withHides(fold, [derive(demo())], [calf(fold.design), goat(fold.design)]))
  const { design, materials } = laidDesign(ready, 40)
  const laid = derivedOf(design)
  test('all of it comes out, of both materials, with the other design cut along', () => {
    expect(materials.map((m) => m.laid.left)).toEqual([[], []])
    expect(findingsOf(laid).filter((f) => f.code === 'lies-badly' || f.code === 'no-place-on-hide')).toEqual(
      [],
    )
  })
  test('it is kept in the file and read again the same', () => {
    const text = writeDesign(design)
    const read = readDesign(text)
    expect(read.ok && read.design.cutting).toEqual(design.cutting)
    expect(isOurDesign(new TextEncoder().encode(text))).toBe(true)
  })
  test('a piece moved onto another is found; taken off it has no place, and leaving it out is a way', () => {
    const ids = groupsOf(laid)
      .find((g) => g.of === goat(design).of)!
      .asked.lying.map((l) => l.id)
    const [a, b] = ids as [string, string]
    const over = done(
      applyEdit(
        design,
        layPieces(design, 'on it', { [a]: { ...design.cutting.lying[a]!, ...place(design, b) } }),
      ),
    )
    const found = findingsOf(derive(over)).find((f) => f.code === 'lies-badly')!
    expect(found.rank).toBe('stop')
    expect(sayFinding(found, 'mm').what).toMatch(/lie over one another, or nearer than 3\.0 mm/)
    const off = done(applyEdit(design, layPieces(design, 'off', { [a]: undefined })))
    const missing = findingsOf(derive(off)).find((f) => f.code === 'no-place-on-hide')!
    expect(sayFinding(missing, 'mm').what).toMatch(/^1 piece has no place/)
    expect(fixesOf(missing, derive(off)).map((f) => f.label)).toEqual(['Leave them out of this cutting'])
    const aside = done(applyEdit(design, putAside(design, 'aside', [a], true)))
    expect(aside.cutting.lying[a]).toBeUndefined()
    expect(findingsOf(derive(aside)).some((f) => f.code === 'no-place-on-hide')).toBe(false)
  })
  test('a hide that is left takes what lay on it with it; one of the same id gives way', () => {
    const left = done(applyEdit(design, leaveHide(design, 'goat')))
    expect(Object.values(left.cutting.lying).every((l) => l.hide === 'calf')).toBe(true)
    const again = done(applyEdit(left, takeHide(left, { ...calf(design), name: 'Calf, measured' })))
    expect(again.cutting.hides.map((h) => h.name)).toEqual(['Calf, measured'])
  })
  test('thinner than it is reckoned with it is told, and what was measured can be reckoned with', () => {
    const { thickness } = design.leathers.outside!
    const spots = [{ at: { x: 100, y: 100 }, thickness: thickness - 0.5 }]
    const thin = done(applyEdit(design, takeHide(design, { ...calf(design), spots })))
    const found = findingsOf(derive(thin)).find((f) => f.code === 'lies-badly')!
    expect(found.key).toMatch(/^lies-badly:thickness/)
    const fix = fixesOf(found, derive(thin)).find((f) => f.label.startsWith('Reckon'))!
    expect(done(applyEdit(thin, fix.edit)).leathers.outside!.thickness).toBeCloseTo(thickness - 0.5, 2)
  })
  test('the plan numbers every piece once, with sizes from the butt and the backbone', () => {
    const plans = plansOf(laid)
    expect(plans.flatMap((p) => p.pieces)).toHaveLength(Object.keys(design.cutting.lying).length)
    for (const { pieces, long, wide } of plans) {
      expect(pieces.map((p) => p.number)).toEqual(pieces.map((_, i) => i + 1))
      for (const p of pieces) {
        expect(p.along + p.long).toBeLessThanOrEqual(long + 0.01)
        expect(p.across).toBeLessThanOrEqual(wide)
      }
    }
  })
  test('as DXF it reads back with every outline at 1:1; from the flesh side it is mirrored', () => {
    const [plain, mirrored] = [writePlanDxf(laid, false), writePlanDxf(laid, true)]
    for (const layer of ['hide', 'cut', 'backbone', 'zones', 'holes', 'notches'])
      expect(plain).toContain(`\n${layer}\n`)
    expect(mirrored).not.toBe(plain)
    const sizes = (text: string): string[] => {
      const read = readDxfPaths(text)
      if (!read.ok) throw new Error(read.why)
      return read.found.closed
        .map(({ path }) => pathBox(path))
        .map((b) => `${(b.right - b.left).toFixed(1)} × ${(b.bottom - b.top).toFixed(1)}`)
        .sort()
    }
    const pieces = plansOf(laid).flatMap((p) => p.pieces)
    for (const p of pieces) expect(sizes(plain)).toContain(`${p.long.toFixed(1)} × ${p.wide.toFixed(1)}`)
    expect(sizes(mirrored)).toEqual(sizes(plain))
  })
  test('as SVG each hide is a group, its layers in it; as data the same pieces', () => {
    const svg = writePlanSvg(laid, false)
    expect(svg).toContain('id="calf.cut"')
    expect(svg).toContain('id="goat.hide"')
    expect(svg.match(/<path/g)!.length).toBeGreaterThan(Object.keys(design.cutting.lying).length)
    const data = JSON.parse(writePlanJson(laid)) as { hides: { pieces: unknown[] }[] }
    expect(data.hides.flatMap((h) => h.pieces)).toHaveLength(Object.keys(design.cutting.lying).length)
  })
})

const place = (design: Design, id: string) => {
  // The other way round it would lie beside that, not on it.
  const lies = design.cutting.lying[id]!
  return { ...lies, x: lies.x + 5, y: lies.y + 5 }
}

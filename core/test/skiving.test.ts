import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { applyEdit } from '@drumlin/core/design'
import type { DrawnPanel } from '@drumlin/core/drawn'
import { skivingsOf } from '@drumlin/core/edges'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { writeCoupons, writePdf } from '@drumlin/core/exchange/pdf'
import { pdfFonts } from '../../cli/src/fonts.js'
import { couponDrawing } from '../src/coupons/index.js'
import { pieceDrawing, stipple } from '../src/drawing/index.js'
import { pathNearest, point, pointInside, polygon } from '../src/geometry/index.js'
import { thicknessAt } from '../src/layup/index.js'
import { STARTER_STORES } from '../src/stores/index.js'
import { derived, drawingOf, layer, panelOf, turned, withFate } from './support/drawing.js'

const base = panelOf('rectangle', { width: 100, height: 60 })
const skived = (skive: Partial<DrawnPanel['skives'][number]>): DrawnPanel => ({
  ...base,
  skives: [
    {
      id: 's',
      name: 'skive',
      where: { type: 'edge', edge: 'side' },
      width: 10,
      start: 0.4,
      end: 1.2,
      ...skive,
    },
  ],
})

describe('skives', () => {
  test('along an edge: 0.4 at the edge, 0.8 half-way, 1.2 from 10 mm in, on both halves', () => {
    const { works } = derived(skived({}))
    for (const [inside, mm] of [
      [0.001, 0.4],
      [5, 0.8],
      [10.1, 1.2],
      [40, 1.2],
    ] as const)
      for (const way of [-1, 1])
        expect(thicknessAt(works[0]!, point(way * (50 - inside), 30))).toBeCloseTo(mm, 2)
  })
  test('a band across the panel: level in it, whole beside it', () => {
    const band = skived({
      where: { type: 'band', from: point(10, 60), to: point(10, 0) },
      width: 12,
      start: 0.6,
      end: 0.6,
    })
    const { works } = derived(band)
    expect([3, 5, 15, 17].map((x) => thicknessAt(works[0]!, point(x, 30)))).toEqual([1.2, 0.6, 0.6, 1.2])
  })
  test('a sloping band is thin on the left of its line and thick on its right', () => {
    const { works } = derived(
      skived({
        where: { type: 'band', from: point(10, 60), to: point(10, 0) },
        width: 10,
        start: 0.4,
        end: 1.2,
      }),
    )
    expect(thicknessAt(works[0]!, point(5.01, 30))).toBeCloseTo(0.4, 2)
    expect(thicknessAt(works[0]!, point(10, 30))).toBeCloseTo(0.8, 2)
  })
  test('split whole: 0.8 everywhere, said on the piece and on its label', () => {
    const d = derived({ ...base, split: 0.8, block: 6 })
    expect(thicknessAt(d.works[0]!, point(0, 30))).toBe(0.8)
    const words = pieceDrawing(d.pieces[0]!, d.design, 'mm').flatMap((w) =>
      w.type === 'text' ? [w.text] : [],
    )
    expect(words).toContain('split to 0.8 mm')
    expect(words).toContain('rough block, 6.0 mm bigger: cut to size after')
  })
})

describe('what makes a skive', () => {
  const tools = (width: number, start: number): string[] => {
    const [one] = skivingsOf(derived(skived({ width, start })).edges[0]!)
    return one!.tools.filter((t) => t.not === undefined).map((t) => t.tool)
  }
  test('10 mm down to 0.4: knife, edge tool and machine; the slope is atan(0.8 / 10)', () => {
    const [one] = skivingsOf(derived(skived({})).edges[0]!)
    expect(one!.slope).toBeCloseTo(Math.atan(0.08), 9)
    expect(tools(10, 0.4)).toEqual(['knife', 'edge tool', 'bell-knife machine'])
  })
  test.each([
    [20, 0.4, ['knife', 'bell-knife machine']],
    [2, 0.4, ['knife', 'edge tool']],
    [10, 0.2, ['knife', 'edge tool']],
    [1, 0.1, []],
  ])('%f mm wide down to %f: %j', (width, start, able) => expect(tools(width, start)).toEqual(able))
  test('a band away from any edge is the knife’s', () => {
    const band = skived({ where: { type: 'band', from: point(10, 60), to: point(10, 0) } })
    const [one] = skivingsOf(derived(band).edges[0]!)
    expect(one!.tools.filter((t) => !t.not).map((t) => t.tool)).toEqual(['knife'])
  })
  test('a turned edge says what its school asks for', () => {
    const widths = (school: string): number =>
      skivingsOf(derived(withFate(base, turned(8, { school }))).edges[0]!)[0]!.width
    const across = 16 + (Math.PI / 2 - 2) * 1.2
    expect(widths('fold')).toBeCloseTo(across / 2, 6)
    expect(widths('feather')).toBe(5)
    expect(widths('even')).toBeCloseTo(16 + (Math.PI / 2 - 2) * 0.725, 6)
  })
})

describe('ways out are tried on the real drawing', () => {
  test('a turn too narrow for its stitches is widened, and then nothing is found', () => {
    const d = derived(withFate(base, turned(4, { lines: 1, margin: 3 })))
    const found = findingsOf(d).find((f) => f.code === 'turn-too-narrow')!
    const [fix] = fixesOf(found, d)
    expect(fix!.label).toMatch(/^Turn it over 5\.\d mm$/)
    const edited = applyEdit(d.design, fix!.edit)
    expect(edited.ok && findingsOf(derive(edited.design)).map((f) => f.code)).not.toContain('turn-too-narrow')
  })
  test('a margin too small gets one of its own, written over the working', () => {
    const d = derived(withFate(base, { type: 'sewn', margin: 1, finish: 'burnished' }))
    const found = findingsOf(d).find((f) => f.code === 'margin-too-small')!
    const [fix] = fixesOf(found, d)
    const edited = applyEdit(d.design, fix!.edit)
    expect(edited.ok && Object.keys(edited.design.overrides)).toEqual(['panel-top-1.margin'])
    expect(edited.ok && findingsOf(derive(edited.design)).map((f) => f.code)).not.toContain(
      'margin-too-small',
    )
  })
  test('every finding of a bad drawing is said whole, in mm and inches', () => {
    const bad = {
      ...withFate(base, turned(40, { lines: 2, margin: 30 })),
      folds: [
        {
          id: 'f',
          name: 'fold',
          at: point(0, 30),
          angle: 0,
          type: 'groove',
          gap: 0,
          turn: 3,
          rises: 'mountain',
          drawn: 'flat',
          school: 'figured',
          groove: { shape: 'v', depth: 1.1, opening: 1 },
        } as const,
      ],
      layers: [layer('board', { inset: 50 })],
      skives: skived({ width: 0.6, start: 0 }).skives,
    }
    const found = findingsOf(derived(bad))
    expect(new Set(found.map((f) => f.code)).size).toBeGreaterThanOrEqual(4)
    for (const f of found)
      for (const unit of ['mm', 'in'] as const) {
        const { what, why } = sayFinding(f, unit)
        expect(`${what} ${why}`).not.toMatch(/undefined|NaN|\{|\}/)
        expect(what.endsWith('.')).toBe(true)
      }
  })
})

describe('drawn for the bench', () => {
  const piece = (panel: DrawnPanel) => derived(panel).pieces[0]!
  const layers = (panel: DrawnPanel): Set<string> =>
    new Set(pieceDrawing(piece(panel), { name: 'x', draft: 'y' }, 'mm').map((d) => d.layer))
  test('a turned edge has its finished line, fold-to line, glue and skive; a raw one has none of them', () => {
    for (const name of ['finished', 'fold-to', 'glue', 'skive']) {
      expect(layers(withFate(base, turned(8)))).toContain(name)
      expect(layers(base)).not.toContain(name)
    }
  })
  test('every mark the maker sets is drawn, at true size', () => {
    const marks = ['notch', 'centre', 'slot', 'hole', 'text', 'up', 'grain', 'window'].map(
      (type, i) =>
        ({
          id: type,
          type,
          where: { type: 'place', x: 5 * i, y: 20 },
          text: 'a',
          angle: 0,
          length: 20,
          width: 4,
          punch: 4,
        }) as DrawnPanel['marks'][number],
    )
    const drawn = pieceDrawing(piece({ ...base, marks }), { name: 'x', draft: 'y' }, 'mm')
    const words = drawn.flatMap((d) => (d.type === 'text' ? [d.text] : []))
    for (const word of ['a', 'centre', 'slot 20.0 mm, punch 4.0 mm', '4.0 mm', 'up', 'glue window'])
      expect(words).toContain(word)
    const hole = drawn.filter(
      (d) => d.type === 'stroke' && d.layer === 'openings' && d.path.segments[0]!.type === 'arc',
    )
    expect(hole.length).toBeGreaterThan(0)
  })
  test('glue dots lie in the glue and nowhere else', () => {
    const [outer, inner] = [
      polygon([point(0, 0), point(40, 0), point(40, 40), point(0, 40)]),
      polygon([point(8, 8), point(32, 8), point(32, 32), point(8, 32)]),
    ]
    const dots = stipple(outer, inner)
    expect(dots.length).toBeGreaterThan(100)
    for (const p of dots) {
      expect(pointInside(p, outer) || pathNearest(outer, p).distance < 1e-6).toBe(true)
      expect(pointInside(p, inner) && pathNearest(inner, p).distance > 1e-6).toBe(false)
    }
  })
  test('the pattern and the test pieces print, the same bytes each time', async () => {
    const fonts = await pdfFonts()
    const options = { paper: 'a4', unit: 'mm', fonts } as const
    const d = derive(
      drawingOf([
        withFate(base, turned(8)),
        panelOf('flap', {}, { id: 'flap', lies: { x: 200, y: 0, turn: 0, grainUp: true } }),
      ]),
    )
    const sheet = () => writeCoupons(STARTER_STORES.leathers[0]!, STARTER_STORES.irons[0]!, options)
    // Nothing is written beyond the printable width of A4, 190 mm, as far as letters of that size run.
    for (const d of couponDrawing(STARTER_STORES.leathers[0]!, STARTER_STORES.irons[0]!, 'mm'))
      if (d.type === 'text') expect(d.at.x + d.text.length * d.size * 0.45, d.text).toBeLessThan(190)
    expect(Buffer.from(await sheet()).equals(Buffer.from(await sheet()))).toBe(true)
    expect((await writePdf(d, options)).length).toBeGreaterThan(5000)
    expect(writeSvg(d)).toContain('class="fold-to"')
  })
})

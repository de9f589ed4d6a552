import { PDFDocument } from 'pdf-lib'
import { SaxesParser } from 'saxes'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { applyEdit, rename } from '@drumlin/core/design'
import { readDesign, writeDesign } from '@drumlin/core/exchange/json'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { parseLength } from '@drumlin/core/measure'
import { writeDxf } from '@drumlin/core/exchange/dxf'
import { writePdf } from '@drumlin/core/exchange/pdf'
import { demo } from './support/designs.js'
import { pdfFonts } from '../../cli/src/fonts.js'

/** Letters of any script, and everything that is none. */
const anyName = fc
  .string({ unit: 'binary', minLength: 1, maxLength: 60 })
  .map((s) => `a${s}`)
  .filter((s) => s.length <= 80)
// eslint-disable-next-line no-control-regex
const STEERING = /[\u0000-\u001f\u007f-\u009f\u2028\u2029]/

const named = (name: string) => {
  const edited = applyEdit(demo(), rename(name))
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}

/** The title of an SVG by a strict reader; throws where it is not well formed. */
function titleOf(svg: string): string {
  let [title, inside] = ['', false]
  const parser = new SaxesParser()
  parser.on('error', (error) => {
    throw error
  })
  parser.on('opentag', ({ name }) => (inside = name === 'title' && title === ''))
  parser.on('text', (text) => inside && (title += text))
  parser.on('closetag', () => (inside = false))
  parser.write(svg).close()
  return title
}

/** Groups of a DXF as pairs; throws where a code is none. */
function groupsOf(dxf: string): [string, string][] {
  const lines = dxf.trimEnd().split(/\r\n|\r|\n/)
  return lines.flatMap((code, i): [string, string][] => {
    if (i % 2 === 1) return []
    if (!/^\s*\d+\s*$/.test(code)) throw new Error(`line ${i + 1}: ${JSON.stringify(code)} is no group code`)
    return [[code.trim(), lines[i + 1] ?? '']]
  })
}

describe('a name of any letters, and of none', () => {
  const plain = groupsOf(writeDxf(derive(demo())))
  test('stands on one line in the design, in well-formed XML and in a DXF of the same groups', () => {
    fc.assert(
      fc.property(anyName, (name) => {
        const design = named(name)
        expect(design.name).not.toMatch(STEERING)
        expect(readDesign(writeDesign(design))).toMatchObject({ ok: true, design: { name: design.name } })
        const derived = derive(design)
        expect(titleOf(writeSvg(derived))).toBe(design.name)
        const groups = groupsOf(writeDxf(derived))
        expect(groups.map(([code]) => code)).toEqual(plain.map(([code]) => code))
      }),
      { numRuns: 40 },
    )
  })

  test('can’t put anything into a drawing', () => {
    const design = named('Fold\n0\nLINE\n8\ncut\n10\n0\r\n</title><script>%%c^J\u0000\ud800')
    expect(design.name).toBe('Fold 0 LINE 8 cut 10 0 </title><script>%%c^J')
    expect(titleOf(writeSvg(derive(design)))).toBe(design.name)
    const groups = groupsOf(writeDxf(derive(design)))
    expect(groups.filter(([code, value]) => code === '0' && value === 'LINE')).toEqual(
      plain.filter(([code, value]) => code === '0' && value === 'LINE'),
    )
    expect(groups.some(([, value]) => /%%|\^(?! )/.test(value))).toBe(false)
  })

  test('is the title of the PDF, in any script', async () => {
    const name = 'Паромщик — 渡し舟 — \u0627\u0644\u0639\u0628\u0627\u0631\u0629 🧵'
    const bytes = await writePdf(derive(named(name)), {
      paper: 'a4',
      unit: 'mm',
      date: '2026-11-27',
      fonts: await pdfFonts(),
    })
    expect((await PDFDocument.load(bytes)).getTitle()).toBe(name)
  })

  test('of nothing but what is no letter is refused', () => {
    expect(applyEdit(demo(), rename('\u0000\n\u2028'))).toEqual({
      ok: false,
      where: 'name',
      why: 'it is empty',
    })
  })
})

test('a number in another base is not taken as nought times something', () => {
  for (const text of ['0x10', '3 + 0xff', '0X1']) expect(parseLength(text).ok).toBe(false)
  for (const text of ['10x2', '0 x 10', '2.0x3', '30x10']) expect(parseLength(text).ok).toBe(true)
})

import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, toBuy } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { pieceDrawing } from '@drumlin/core/drawing'
import { fieldsOf, kindOf, sentenceParts } from '@drumlin/core/kinds'
import { explainLine } from '@drumlin/core/working'
import { coverPages } from '../src/exchange/pdf/cover/index.js'
import { everyDesign, madeKinds, derivedOf } from './support/all.js'
import { freshOf, variantsOf } from './support/designs.js'
import { planned } from './support/print.js'
import { some } from './support/long.js'

/** Slips of the pen that a reader stumbles over. */
const SLIPS: readonly (readonly [string, RegExp])[] = [
  ['a word said twice', /\b(the|a|an|of|to|in|is|and|for)\s+\1\b/i],
  [
    'one of several',
    /(^|[^\d.,/×])1 (pages|runs|holes|pieces|cards|notes|sheets|layers|lengths|steps|stops|corners of)\b/,
  ],
  ['digits nobody can measure', /\d\.\d{5,}/],
  ['a number run into a word', /[a-z]{3,}\d+\.\d|\bboard\d/],
  ['thread in millimetres', /\d{4,}\.\d mm of thread/],
  ['no number at all', /NaN|undefined|Infinity|\[object/],
  ['a space before punctuation', / [.,;:](?!\d)(\s|$)/],
  ['a gap left unfilled', /\{\w+\}/],
]
const slipsIn = (said: readonly string[]): string[] =>
  said.flatMap((s) => SLIPS.filter(([, pattern]) => pattern.test(s)).map(([name]) => `${name}: ${s}`))

const UNITS = ['mm', 'in'] as const

/** Everything a design says, in a unit. */
function saidBy(derived: Derived, unit: (typeof UNITS)[number]): string[] {
  const { master, pieces } = derived
  return [
    ...findingsOf(derived).flatMap((f) => Object.values(sayFinding(f, unit))),
    ...pieces.map((p) => p.name),
    ...master.fits.flatMap((f) => [f.what, f.why]),
    ...toBuy(derived).flatMap((b) => [b.what, b.note]),
    ...master.sizes.map(({ size }) => size.label),
  ]
}

describe('every sentence, read for slips', () => {
  test.each(everyDesign())('of $name, on screen and on paper', ({ design }) => {
    const derived = derivedOf(design)
    const { sheets, tile } = planned(design)
    for (const unit of UNITS) {
      const paper = coverPages(derived, sheets, {
        tile,
        pages: tile,
        paper: 'A4',
        unit,
        date: '2026-01-01',
        lacking: [],
      })
        .flat()
        .flatMap((d) => (d.type === 'text' ? [d.text] : []))
      const drawn = derived.pieces.flatMap((p) =>
        pieceDrawing(p, design, unit).flatMap((d) => (d.type === 'text' ? [d.text] : [])),
      )
      expect(slipsIn([...saidBy(derived, unit), ...paper, ...drawn])).toEqual([])
    }
  })
  test.each(madeKinds)('of a %s with each of its choices', (id) => {
    const said = some(variantsOf(freshOf(id)), 24).flatMap((design: Design, i) =>
      saidBy(derivedOf(design), UNITS[i % 2]!),
    )
    expect([...new Set(slipsIn(said))]).toEqual([])
    expect(
      slipsIn(
        fieldsOf(kindOf(id)).flatMap((f) => [
          f.label,
          ...(f.type === 'choice' ? f.choices.flatMap((c) => [c.label, c.why]) : []),
        ]),
      ),
    ).toEqual([])
  })
  test.each(madeKinds)('of a %s as its sentences stand with every choice, phrases left out', (id) => {
    const kind = kindOf(id)
    const fields = fieldsOf(kind)
    const sentences = [...kind.brief, ...Object.values(kind.sentences).flat()]
    const said = [freshOf(id), ...variantsOf(freshOf(id))].flatMap(({ params }) =>
      sentences.map((s) =>
        sentenceParts(s, fields, params)
          .map((part) => ('field' in part ? '9' : part.words))
          .join(''),
      ),
    )
    const odd = /[.,;:]\s*[.,;:]| {2}|\s[.,;:]|^\s*[.,;:]|\(\)/
    expect([...new Set(said.filter((s) => odd.test(s)))]).toEqual([])
  })
  test('the labels of workings too', () => {
    for (const { design } of everyDesign())
      for (const { size } of derivedOf(design).master.sizes)
        expect(slipsIn([explainLine(size, 'mm').split(' = ')[0]!])).toEqual([])
  })
})

import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'
import { run } from '../src/run.js'

const file = (path: string): string => fileURLToPath(new URL(`../../demo/${path}`, import.meta.url))
const [fold, tote, stores] = [
  file('designs/deckhands-fold.drumlin.json'),
  file('designs/galley-tote.drumlin.json'),
  file('stores.json'),
]
const scratch = mkdtempSync(join(tmpdir(), 'drumlin-lay-'))
const out = (name: string): string => join(scratch, name)

interface Plan {
  readonly hides: { readonly hide: string; readonly pieces: { readonly name: string }[] }[]
}
const planIn = (name: string): Plan => JSON.parse(readFileSync(out(name), 'utf8')) as Plan

describe('lay', () => {
  test('two designs on the hides of a stores file: what came out, and the plan as data', async () => {
    const words = ['lay', tote, fold, '--hide', stores, '--effort', '40', '--out', out('plan.json')]
    const { code, out: text } = await run(words)
    expect(code).toBe(0)
    expect(text).toMatch(/^Heron goat: 8 of 8 laid$/m)
    expect(planIn('plan.json').hides.flatMap((h) => h.pieces)).toHaveLength(17)
    const once = readFileSync(out('plan.json'), 'utf8')
    await run([...words.slice(0, -1), out('again.json')])
    expect(readFileSync(out('again.json'), 'utf8')).toBe(once)
  })
  test.each([
    ['pdf', '%PDF-'],
    ['svg', '<?xml'],
    ['dxf', '999'],
  ])('without --hide the design’s own hides count; the plan as %s', async (to, start) => {
    const { code } = await run(['lay', tote, '--effort', '4', '--mirrored', '--out', out(`plan.${to}`)])
    expect(code).toBe(0)
    expect(readFileSync(out(`plan.${to}`), 'utf8').slice(0, start.length)).toBe(start)
  })
  test('where something has no place it says what, and ends with 1', async () => {
    const { hides } = JSON.parse(readFileSync(stores, 'utf8')) as {
      hides: { of: string; outline: unknown }[]
    }
    const hide = {
      ...hides.find((h) => h.of === 'tarn-calf-14')!,
      zones: [],
      flaws: [],
      band: 0,
      outline: [
        { x: 0, y: 0 },
        { x: 150, y: 0 },
        { x: 150, y: 60 },
        { x: 0, y: 60 },
      ],
    }
    writeFileSync(out('small.json'), JSON.stringify(hide))
    const { code, out: text } = await run([
      'lay',
      fold,
      '--hide',
      out('small.json'),
      '--effort',
      '4',
      '--out',
      out('b.json'),
    ])
    expect(code).toBe(1)
    expect(text).toMatch(/Tarn calf: 0 of 1 laid; no place for outside#1/)
    expect(text).toMatch(/Heron goat: no hide of it/)
  })
  test.each([
    [['lay'], 'lay needs a design file'],
    [['lay', fold], 'lay needs --out'],
    [['lay', fold, '--out', out('plan.txt')], '--out must end in .pdf, .svg, .dxf, .json'],
    [['lay', fold, '--out', out('a.svg'), '--effort', '0'], '--effort must be a whole number'],
    [['lay', fold, '--out', out('a.svg'), '--paper', 'b5'], '--paper must be one of'],
    [['lay', fold, '--out', out('a.svg')], 'no hide is of what is cut'],
    [['lay', fold, '--hide', fold, '--out', out('a.svg')], 'it is missing'],
    [['lay', fold, '--hide', out('none.json'), '--out', out('a.svg')], 'cannot be read (ENOENT)'],
  ])('%j is refused in one line', async (words, why) => {
    const { code, error } = await run(words)
    expect(code).toBe(2)
    expect(error).toContain(why)
    expect(error).not.toContain('\n')
  })
})

import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'
import { run } from '../src/run.js'

const demo = fileURLToPath(new URL('../../demo/designs/deckhands-fold.drumlin.json', import.meta.url))
const scratch = mkdtempSync(join(tmpdir(), 'drumlin-cli-'))
const out = (name: string): string => join(scratch, name)
function thicker(): string {
  const design = JSON.parse(readFileSync(demo, 'utf8')) as { params: { reveal: number } }
  design.params.reveal = 13
  writeFileSync(out('thick.json'), JSON.stringify(design))
  return out('thick.json')
}

describe('derive', () => {
  test('prints everything that follows, with its working', async () => {
    const { code, out: text } = await run(['derive', demo])
    const derived = JSON.parse(text!) as {
      sizes: { key: string; value: number; working: string }[]
      runs: { holes: number }[]
    }
    expect(code).toBe(0)
    expect(derived.sizes.find((s) => s.key === 'outside.width')).toMatchObject({
      value: 208.245525,
      working: 'outside width 208.2 = 204.4 + 3.8 round the fold',
    })
    expect(derived.runs).toHaveLength(8)
  })
})

describe('check', () => {
  test('ends with 0 where nothing stops, with 1 where something does', async () => {
    expect(await run(['check', demo])).toEqual({ code: 0, out: 'Nothing found.\n' })
    const stopped = await run(['check', thicker()])
    expect(stopped.code).toBe(1)
    expect(stopped.out).toMatch(/^STOP {2}A hole falls/)
  })
})

describe('export', () => {
  test('the design comes out byte for byte', async () => {
    expect((await run(['export', demo, '--to', 'json', '--out', out('a.json')])).code).toBe(0)
    expect(readFileSync(out('a.json'), 'utf8')).toBe(readFileSync(demo, 'utf8'))
  })
  test.each([
    ['pdf', '%PDF-'],
    ['svg', '<?xml'],
  ])('a %s is one', async (form, start) => {
    expect((await run(['export', demo, '--to', form, '--out', out(`a.${form}`)])).code).toBe(0)
    expect(
      readFileSync(out(`a.${form}`))
        .subarray(0, 5)
        .toString(),
    ).toBe(start)
  })
})

describe('reckon', () => {
  test('one formula from the bench, with its working', async () => {
    const { code, out: text } = await run([
      'reckon',
      'turned-edge',
      '--width',
      '8',
      '--thickness',
      '1.2',
      '--core',
      '0',
    ])
    expect(code).toBe(0)
    expect(text).toMatch(
      /^cost of the turn −0\.5 = \(π\/2 − 1\) × 0\.0 core \+ \(π × 0\.5 − 2\) × 1\.2\ncut beyond the finished edge 7\.5 = 8\.0 turn \+ \(−0\.5\) round the bend\n/,
    )
  })
  test('as JSON, in full; lengths as makers write them', async () => {
    const { out: text } = await run([
      'reckon',
      'stitch-count',
      '--json',
      '--length',
      '7 3/8 in',
      '--pitch',
      '3.85',
    ])
    const read = JSON.parse(text!) as {
      inputs: { length: number }
      answers: { label: string; value: number }[]
    }
    expect(read.inputs.length).toBeCloseTo(187.325, 9)
    expect(read.answers[0]).toMatchObject({ label: 'stitches', value: 49 })
  })
  test('the list names every reckoner and what it asks', async () => {
    const { out: text } = await run(['reckon', '--list'])
    expect(text).toContain('turned-edge  §4 Turned edge')
    const json = JSON.parse((await run(['reckon', '--list', '--json'])).out!) as {
      id: string
      inputs: { id: string; unit: string }[]
    }[]
    expect(json.length).toBeGreaterThan(45)
    expect(json.find((e) => e.id === 'keeper')!.inputs.map((i) => i.id)).toContain('overlap')
  })
})

describe('what it can’t do it says in one line and ends with 2, and writes nothing', () => {
  test.each([
    [[], /a command is needed/],
    [['fold'], /unknown command fold/],
    [['derive'], /derive needs a design file/],
    [['derive', 'a', 'b'], /takes one design file, got 2/],
    [['derive', demo, '--fast'], /unknown option --fast/],
    [['derive', 'nowhere.json'], /nowhere\.json cannot be read \(ENOENT\)/],
    [['check', fileURLToPath(import.meta.url)], /not a Drumlin file: it stops making sense at line 1/],
    [
      ['export', demo, '--to', 'dwg', '--out', out('no')],
      /--to must be one of pdf, svg, dxf, json, data, tables, not dwg/,
    ],
    [['export', demo, '--to', 'pdf'], /export needs --out PATH/],
    [
      ['export', demo, '--to', 'pdf', '--out', out('no'), '--paper', 'a5'],
      /--paper must be one of a4, letter, .*WIDTHxHEIGHT in mm, not a5/,
    ],
    [['export', demo, '--to', 'pdf', '--to', 'svg', '--out', out('no')], /--to is given twice/],
    [['reckon'], /reckon needs a name/],
    [['reckon', 'hat'], /the pocket book has no hat/],
    [['reckon', 'turned-edge', '--width', 'wide'], /--width: “wide” was not understood/],
    [['reckon', 'turned-edge', '--width', '9000'], /--width: turned width goes from 0 to 5000, not 9000/],
    [['reckon', 'turned-edge', '--colour', 'red'], /unknown option --colour/],
    [['export', demo, '--to', 'svg', '--out', out('no/such/place')], /cannot be written \(ENOENT\)/],
  ])('%j', async (words, error) => {
    const result = await run(words)
    expect(result.code).toBe(2)
    expect(result.error).toMatch(error)
    expect(result.error).not.toContain('\n')
    expect(existsSync(out('no'))).toBe(false)
  })
})

describe('a bag', () => {
  const bag = fileURLToPath(new URL('../../demo/designs/harbour-office-case.drumlin.json', import.meta.url))

  test('derives with its hardware: stack, post and the seam it comes before, and what to buy', async () => {
    const { code, out: text } = await run(['derive', bag])
    expect(code).toBe(0)
    const derived = JSON.parse(text!) as {
      fittings: { id: string; stack?: number; post?: number; before?: string }[]
      toBuy: { what: string; count: number }[]
    }
    const lock = derived.fittings.find((f) => f.id === 'closure-front')!
    expect(lock).toMatchObject({ stack: 2.6, post: 5, before: 'seam of the right side' })
    expect(derived.toBuy.find((row) => row.what.startsWith('bag foot'))!.count).toBe(4)
  })
  test('is checked: nothing stops it', async () => {
    const { code, out: text } = await run(['check', bag])
    expect(code).toBe(0)
    expect(text).not.toMatch(/^STOP/m)
  })
  test('goes out as SVG and PDF, with its hardware drawn', async () => {
    const [svg, pdf] = [out('case.svg'), out('case.pdf')]
    expect((await run(['export', bag, '--to', 'svg', '--out', svg])).code).toBe(0)
    expect(readFileSync(svg, 'utf8')).toContain('lock on the front')
    expect((await run(['export', bag, '--to', 'pdf', '--out', pdf])).code).toBe(0)
    expect(readFileSync(pdf).subarray(0, 5).toString()).toBe('%PDF-')
  })
})

describe('pack', () => {
  const instance = (pieces: object[]): string => {
    const file = out('strip.json')
    writeFileSync(file, JSON.stringify({ name: 'strip', sheet: { width: 60, length: 400 }, gap: 2, pieces }))
    return file
  }
  const flap = {
    id: 'flap',
    outline: [
      [0, 0],
      [50, 0],
      [50, 28],
      [0, 28],
    ],
    count: 4,
    turns: [0, 90],
  }
  test('lays every piece on the strip and says where, with what finds no room', async () => {
    const wide = {
      id: 'wide',
      outline: [
        [0, 0],
        [70, 0],
        [70, 61],
        [0, 61],
      ],
      count: 1,
      turns: [0, 180],
    }
    const {
      code,
      out: text,
      error,
    } = await run(['pack', instance([flap, wide]), '--seconds', '0.4', '--seed', '3'])
    expect(error).toBeUndefined()
    expect(code).toBe(0)
    const answer = JSON.parse(text!) as {
      placed: { id: string; x: number; turn: number }[]
      unplaced: string[]
    }
    expect(answer.unplaced).toEqual(['wide'])
    expect(answer.placed.map((p) => p.id)).toEqual(['flap', 'flap', 'flap', 'flap'])
    // One after the other at the worst: 28 mm each with 2 mm for the knife between.
    const right = Math.max(...answer.placed.map((p) => p.x + (p.turn === 90 ? 0 : 50)))
    expect(right).toBeGreaterThan(101.99)
    expect(right).toBeLessThan(118.01)
  })
  test.each([
    [['pack'], 'pack needs an instance file'],
    [['pack', 'a.json', '--seconds', '0'], '--seconds must be above 0'],
    [['pack', 'a.json', '--seed', '1.5'], '--seed must be a whole number'],
    [['pack', out('none.json')], 'cannot be read (ENOENT)'],
    [['pack', demo], 'sheet: '],
  ])('is refused on one line: %#', async (words, why) => {
    const { code, error } = await run(words)
    expect(code).toBe(2)
    expect(error).toContain(why)
    expect(error).not.toContain('\n')
  })
})

import { DESIGN_VERSION } from '../src/design/index.js'
import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { readDesign, readSentence, writeDesign } from '@drumlin/core/exchange/json'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { writePdf } from '@drumlin/core/exchange/pdf'
import { pdfFonts } from '../../cli/src/fonts.js'
import { demo, demoText, demoWith, sizeOf } from './support/designs.js'

const read = (text: string): string => {
  const result = readDesign(text)
  return result.ok ? 'read' : readSentence(result.issue)
}
const changed = (change: (plain: Record<string, unknown>) => void): string => {
  const plain = JSON.parse(demoText()) as Record<string, unknown>
  change(plain)
  return JSON.stringify(plain)
}

describe('a design file', () => {
  test('comes back byte for byte', () => expect(writeDesign(demo())).toBe(demoText()))
  test.each([
    ['cut off', demoText().slice(0, 300), /stops making sense at (line \d+|its end)/],
    ['something else', '{"format":"a list"}', /does not hold a Drumlin design \(its format says “a list”\)/],
    ['a number', '42', /does not hold a Drumlin design/],
    [
      'newer',
      changed((d) => (d.version = 99)),
      /saved by a newer Drumlin \(form 99; this one reads up to 15\).*left as it is/,
    ],
    ['older than any', changed((d) => (d.version = 0)), /form 0, which this Drumlin no longer reads/],
    ['with half a version', changed((d) => (d.version = '2')), /version: a whole number is needed/],
    [
      'with a wrong field',
      changed((d) => ((d.params as Record<string, unknown>).reveal = 'wide')),
      /refused: params\.reveal: a number is needed/,
    ],
    [
      'without a leather',
      changed((d) => delete (d.leathers as Record<string, unknown>).inside),
      /leathers\.inside: a leather for the inside is needed/,
    ],
    ['with a stranger in it', changed((d) => (d.colour = 'red')), /colour: not known here/],
    ['of an unknown kind', changed((d) => (d.kind = 'hat')), /kind: /],
  ])('%s is refused whole, saying where', (_, text, words) => expect(read(text)).toMatch(words))
  test('of version 1 is brought up to date and reckons the same', () => {
    const old = changed((d) => {
      d.version = 1
      for (const later of ['draft', 'awl', 'skives', 'lengths', 'habits', 'overruled']) delete d[later]
    })
    const result = readDesign(old)
    if (!result.ok) throw new Error(readSentence(result.issue))
    expect(result.design.version).toBe(DESIGN_VERSION)
    expect(derive(result.design).runs.map((r) => r.thread.value)).toEqual(
      derive(demo()).runs.map((r) => r.thread.value),
    )
  })
})

/** Debian tools read our files back; where they are missing the reason is said and the test left out. */
const has = (tool: string): boolean => existsSync(`/usr/bin/${tool}`)
const scratch = mkdtempSync(join(tmpdir(), 'drumlin-'))
async function pdf(paper: 'a4' | 'letter', derived = demoWith({})): Promise<string> {
  const path = join(scratch, `${paper}.pdf`)
  writeFileSync(path, await writePdf(derived, { paper, unit: 'mm', fonts: await pdfFonts() }))
  return path
}
const tool = (name: string, ...args: string[]): string =>
  execFileSync(name, args, { encoding: 'utf8', maxBuffer: 64e6 })
/** Straight strokes of a page as poppler sees them: lengths in mm. */
function strokes(path: string, page: number): number[] {
  const out = join(scratch, 'page.svg')
  tool('pdftocairo', '-svg', '-noshrink', '-f', String(page), '-l', String(page), path, out)
  const paths = [
    ...readFileSync(out, 'utf8').matchAll(
      /<path[^>]* d="M ([-\d.]+) ([-\d.]+) L ([-\d.]+) ([-\d.]+) ?"[^>]*transform="matrix\(([-\d.]+), ?([-\d.]+), ?([-\d.]+), ?([-\d.]+)/g,
    ),
  ]
  return paths.map(([, ...n]) => {
    const [x0, y0, x1, y1, a, b, c, d] = n.map(Number) as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ]
    return (Math.hypot(a * (x1 - x0) + c * (y1 - y0), b * (x1 - x0) + d * (y1 - y0)) / 72) * 25.4
  })
}

describe.skipIf(!has('pdftocairo'))(
  'the PDF, read by poppler (left out where poppler-utils is not installed)',
  () => {
    test.each([
      ['a4', 210, 297],
      ['letter', 215.9, 279.4],
    ] as const)('%s has its true size, and both test bars', async (paper, width, height) => {
      const path = await pdf(paper)
      const [, w, h] = /Page size:\s+([\d.]+) x ([\d.]+) pts/.exec(tool('pdfinfo', path))!.map(Number) as [
        number,
        number,
        number,
      ]
      expect(
        [w, h]
          .map((v) => (v / 72) * 25.4)
          .sort((a, b) => a - b)
          .map((v) => Math.round(v * 10) / 10),
      ).toEqual([width, height])
      const lengths = strokes(path, 1)
      for (const bar of [100, 101.6])
        expect(Math.min(...lengths.map((l) => Math.abs(l - bar)))).toBeLessThan(0.1)
    })
    test('text is text: name, count, leather, job', async () => {
      const words = tool('pdftotext', '-layout', await pdf('a4'), '-')
      for (const word of [
        'Deckhand’s fold',
        'cut 2, 1 turned over',
        'Heron goat, 0.9 mm',
        '100 mm',
        '4 in',
        'mountain',
        'page 1 of 2',
        'stitch holes, true size and slant',
      ])
        expect(words).toContain(word)
    })
    test('the outside is on paper as long and as tall as its working says', async () => {
      const derived = demoWith({})
      const out = join(scratch, 'pieces.svg')
      tool('pdftocairo', '-svg', '-noshrink', '-f', '2', '-l', '2', await pdf('a4', derived), out)
      const outlines = [
        ...readFileSync(out, 'utf8').matchAll(/stroke-width:0\.5;[^>]*? d="([^"]+)"[^>]*?matrix\(([-\d.]+)/g),
      ]
      const sizes = outlines.map(([, d, scale]) => {
        const numbers = d!.match(/-?\d+(?:\.\d+)?/g)!.map((n) => ((Number(n) * Number(scale)) / 72) * 25.4)
        const [xs, ys] = [numbers.filter((_, i) => i % 2 === 0), numbers.filter((_, i) => i % 2 === 1)]
        // It may lie on its side on the page.
        const [height, width] = [xs, ys].map((v) => Math.max(...v) - Math.min(...v)).sort((a, b) => a - b)
        return { width: width!, height: height! }
      })
      const [wanted, tall] = ['outside.width', 'outside.height'].map((key) => sizeOf(derived, key)) as [
        number,
        number,
      ]
      const nearest = sizes.reduce((a, b) =>
        Math.abs(b.width - wanted) < Math.abs(a.width - wanted) ? b : a,
      )
      expect(Math.abs(nearest.width - wanted)).toBeLessThan(0.1)
      expect(Math.abs(nearest.height - tall)).toBeLessThan(0.1)
    })
    test('fonts are embedded', async () =>
      expect(tool('pdffonts', await pdf('a4'))).not.toMatch(/ no +(yes|no) +(yes|no) +\d/))
    test('the same design gives the same bytes', async () => {
      const first = readFileSync(await pdf('a4'))
      expect(readFileSync(await pdf('a4')).equals(first)).toBe(true)
    })
    test('a wallet too wide for the page is tiled, and the overlap is marked on both pages', async () => {
      const wide = await pdf('a4', demoWith({ 'params.pockets': 6, 'params.cardsPerPocket': 3 }))
      const words = tool('pdftotext', wide, '-')
      const joins = words.match(/[A-Z] (row|column) \d, 1\|2 [ab]/g) ?? []
      expect(joins.length).toBeGreaterThan(0)
      for (const mark of new Set(joins)) expect(joins.filter((j) => j === mark)).toHaveLength(2)
    })
  },
)

describe('the SVG', () => {
  const svg = writeSvg(demoWith({}))
  test('is in mm, with named layers, true arcs and text as text', () => {
    expect(svg).toMatch(/width="[\d.]+mm" height="[\d.]+mm" viewBox="0 0 [\d.]+ [\d.]+"/)
    for (const layer of ['cut', 'holes', 'fold', 'glue', 'skive', 'notches', 'label'])
      expect(svg).toMatch(new RegExp(`<g id="[a-z-]+\\.${layer}" class="${layer}" stroke="#`))
    expect(svg).toMatch(/A6 6 0 0 1/)
    expect(svg).toContain('>Foot pocket</text>')
    // A group for each piece, by its name.
    expect(svg).toContain('<g id="foot-pocket"><title>Foot pocket</title>')
  })
  test.skipIf(!has('rsvg-convert'))(
    'is drawn by another reader at its size in mm (left out where librsvg2-bin is not installed)',
    () => {
      const path = join(scratch, 'demo.svg')
      writeFileSync(path, svg)
      const png = execFileSync('rsvg-convert', ['-d', '254', '-p', '254', path], { maxBuffer: 64e6 })
      const width = Number(/width="([\d.]+)mm"/.exec(svg)![1])
      expect(Math.abs(png.readUInt32BE(16) - width * 10)).toBeLessThan(2)
    },
  )
  test('names with signs in them stay names', () =>
    expect(writeSvg(derive({ ...demo(), name: 'A & B <1>' }))).toContain('A &amp; B &lt;1&gt;'))
})

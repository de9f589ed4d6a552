import {
  type Design,
  derive,
  outlineProblem,
  readDesign,
  readSentence,
  scaledPath,
  thinnedOutline,
  unworkable,
  writeDesign,
  writeSvg,
} from '@drumlin/core'
import { readDxfPaths, writeDxf } from '@drumlin/core/dxf'
import { readSvgPaths } from '@drumlin/core/svg-read'
import type { Chance } from './random.js'

export interface FileCase {
  readonly form: 'design' | 'svg' | 'dxf'
  readonly how: string
  readonly text: string
}

const NUMBERS = [
  'NaN',
  '1e400',
  '1e9',
  '-1',
  '0',
  '',
  '1,5',
  '0x10',
  '1e-300',
  '99999999999999999999',
  '50%',
  '2em',
  '5cm',
  'null',
  '--3',
]

/** Somewhere in a text something else. */
function scratched(c: Chance, text: string): string {
  const at = c.below(text.length)
  switch (c.below(6)) {
    case 0:
      return text.slice(0, at)
    case 1:
      return text.slice(0, at) + String.fromCharCode(c.below(0x2100)) + text.slice(at + 1)
    case 2:
      return text.slice(0, at) + text.slice(at + c.below(200))
    case 3:
      return text.slice(0, at) + text.slice(at, at + 300).repeat(1 + c.below(20)) + text.slice(at)
    case 4: {
      const numbers = [...text.matchAll(/-?\d+(?:\.\d+)?/g)]
      if (numbers.length === 0) return text
      const hit = c.of(numbers)
      return text.slice(0, hit.index) + c.of(NUMBERS) + text.slice(hit.index + hit[0].length)
    }
    default:
      return `\uFEFF${text}`
  }
}

const STRANGE: readonly unknown[] = [
  null,
  '',
  -1,
  1e308,
  [],
  {},
  true,
  'x'.repeat(100_000),
  [[[[]]]],
  'NaN',
  0,
  { __proto__: 1 },
]

/** A design with something in it that does not belong there. */
function strangeDesign(c: Chance, design: Design): string {
  const copy = JSON.parse(JSON.stringify(design)) as Record<string, unknown>
  let target: Record<string, unknown> = copy
  for (;;) {
    const keys = Object.keys(target)
    if (keys.length === 0) break
    const key = c.of(keys)
    const inner = target[key]
    if (typeof inner === 'object' && inner !== null && c.below(3) > 0) {
      target = inner as Record<string, unknown>
      continue
    }
    if (c.below(4) === 0) delete target[key]
    else if (Array.isArray(inner) && c.below(2) === 0)
      target[key] = Array.from({ length: 2000 }, () => inner[0] ?? 1)
    else target[key] = c.of(STRANGE)
    break
  }
  if (c.below(10) === 0) copy[c.of(['__proto__', 'constructor', 'extra', 'x'.repeat(5000)])] = 1
  return JSON.stringify(copy)
}

const shape = (c: Chance): string => {
  const n = (): string => (c.below(12) === 0 ? c.of(NUMBERS) : (c.share() * 200).toFixed(2))
  const extra = c.of([
    '',
    '',
    '',
    ` transform="rotate(${n()})"`,
    ` transform="matrix(1 0 0 1 ${n()} ${n()})"`,
    ' style="display:none"',
    ' visibility="hidden"',
    ` style="transform: scale(${n()})"`,
    ' display="none"',
    ` id="${'x'.repeat(c.below(3) * 900)}"`,
  ])
  return c.of([
    `<rect x="${n()}" y="${n()}" width="${n()}" height="${n()}"${extra}/>`,
    `<circle cx="${n()}" cy="${n()}" r="${n()}"${extra}/>`,
    `<ellipse rx="${n()}" ry="${n()}"${extra}/>`,
    `<line x1="${n()}" y1="${n()}" x2="${n()}" y2="${n()}"${extra}/>`,
    `<polygon points="${n()},${n()} ${n()},${n()} ${n()},${n()}"${extra}/>`,
    `<path d="M${n()} ${n()}L${n()} ${n()}A${n()} ${n()} 0 ${c.below(3)} 1 ${n()} ${n()}C${n()} ${n()} ${n()} ${n()} ${n()} ${n()}z"${extra}/>`,
  ])
}

function strangeSvg(c: Chance): { how: string; text: string } {
  const many = (most: number): number => Math.floor(most ** c.share())
  const body = (): string => Array.from({ length: 1 + c.below(6) }, () => shape(c)).join('')
  const root = (
    inner: string,
    head = c.of([
      '',
      'width="100mm" height="100mm" viewBox="0 0 100 100"',
      'width="10cm"',
      'width="50%" viewBox="0 0 5 5"',
      'viewBox="0 0 0 0"',
      'width="2em" viewBox="a"',
    ]),
  ): string => `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`
  switch (c.below(9)) {
    case 0: {
      const n = many(120_000)
      return { how: `${n} groups deep`, text: root('<g>'.repeat(n) + body() + '</g>'.repeat(n)) }
    }
    case 1: {
      const n = many(40_000)
      return {
        how: `${n} loose lines`,
        text: root(
          Array.from({ length: n }, (_, i) => `<line x1="${i}" y1="0" x2="${i + 1}" y2="0"/>`).join(''),
        ),
      }
    }
    case 2: {
      const n = many(400_000)
      return { how: `${n} subpaths`, text: root(`<path d="${'M0 0h1'.repeat(n)}"/>`) }
    }
    case 3: {
      const n = many(1_000_000)
      return { how: `${n} commands`, text: root(`<path d="M0 0${'h1'.repeat(n)}v9z"/>`) }
    }
    case 4:
      return {
        how: 'a drawing in it',
        text: root(
          `<svg x="5" ${c.of(['width="50" height="50" viewBox="0 0 10 10"', 'viewBox="0 0 10 20"', 'width="50%" height="1"', ''])}>${body()}</svg>`,
        ),
      }
    case 5:
      return {
        how: 'a style sheet',
        text: root(
          `<style>${c.of(['.a{transform:scale(2)}', '.a{fill:red}', '*{display:none}', '.b{visibility:hidden}'])}</style>${body()}`,
        ),
      }
    case 6:
      return {
        how: 'entities',
        text: `<!DOCTYPE svg [<!ENTITY a "${'b'.repeat(50)}"><!ENTITY c "&a;&a;&a;">]>${root(`<text>&c;</text>${body()}`)}`,
      }
    default:
      return { how: 'shapes', text: root(body()) }
  }
}

const pairs = (...groups: readonly (number | string)[]): string => groups.join('\n')

function entity(c: Chance, depth: number): string {
  const n = (): string => (c.below(15) === 0 ? c.of(NUMBERS) : (c.share() * 200).toFixed(3))
  const stray = c.below(6) === 0 ? `\n${c.of([999, 5, 330, 1071, 147, -5, 12345])}\n${n()}` : ''
  const flat = c.below(20) === 0 ? `\n${pairs(210, n(), 220, n(), 230, n())}` : ''
  const one = c.of([
    pairs(0, 'LINE', 8, 'a', 10, n(), 20, n(), 11, n(), 21, n()),
    pairs(0, 'ARC', 8, 'a', 10, n(), 20, n(), 40, n(), 50, n(), 51, n()),
    pairs(0, 'ARC', 8, 'a', 40, n(), 50, n(), 51, n()),
    pairs(0, 'CIRCLE', 8, 'a', 10, n(), 20, n(), 40, n()),
    pairs(
      0,
      'LWPOLYLINE',
      8,
      'a',
      90,
      c.of([3, 4, 1e9, -1]),
      70,
      c.below(2),
      10,
      n(),
      20,
      n(),
      10,
      n(),
      20,
      n(),
      42,
      n(),
      10,
      n(),
      20,
      n(),
    ),
    pairs(
      0,
      'POLYLINE',
      8,
      'a',
      66,
      1,
      70,
      c.below(130),
      0,
      'VERTEX',
      5,
      'A1',
      10,
      n(),
      20,
      n(),
      0,
      'VERTEX',
      10,
      n(),
      20,
      n(),
      ...(c.below(3) ? [0, 'SEQEND'] : []),
    ),
    pairs(
      0,
      'ELLIPSE',
      8,
      'a',
      10,
      n(),
      20,
      n(),
      11,
      n(),
      21,
      n(),
      40,
      '0.5',
      41,
      c.of(['0', '1e6', '-7']),
      42,
      c.of(['6.283', '1e6', '3']),
    ),
    pairs(
      0,
      'SPLINE',
      8,
      'a',
      70,
      8,
      71,
      c.of([3, 2, 9]),
      72,
      8,
      73,
      4,
      ...[0, 0, 0, 0, 1, 1, 1, 1].flatMap((k) => [40, k]),
      ...[1, 2, 3, 4].flatMap(() => [10, n(), 20, n()]),
    ),
    pairs(
      0,
      'INSERT',
      2,
      c.of(['A', 'B', `L${depth + 1}`, 'none', '__proto__']),
      10,
      n(),
      20,
      n(),
      41,
      c.of(['1', '0', '-2']),
    ),
    pairs(
      0,
      c.of(['TEXT', 'HATCH', 'DIMENSION', '3DSOLID', 'x'.repeat(300)]),
      8,
      'a',
      1,
      'words',
      10,
      n(),
      20,
      n(),
    ),
  ])
  return one + stray + flat
}

function strangeDxf(c: Chance): { how: string; text: string } {
  const body = (depth: number, n: number): string =>
    Array.from({ length: n }, () => entity(c, depth)).join('\n')
  const block = (name: string, inner: string): string =>
    pairs(0, 'BLOCK', 2, name, 10, 0, 20, 0, inner, 0, 'ENDBLK')
  const levels = c.below(3) === 0 ? c.below(9) : 0
  const ten = (name: string): string =>
    Array.from({ length: 10 }, () => pairs(0, 'INSERT', 2, name, 10, 0, 20, 0)).join('\n')
  const blocks = [
    block('A', c.below(4) === 0 ? pairs(0, 'INSERT', 2, 'A', 10, 0, 20, 0) : body(99, 2)),
    block('B', pairs(0, 'LINE', 10, 0, 20, 0, 11, 1, 21, 1)),
    ...Array.from({ length: levels }, (_, i) =>
      block(`L${i + 1}`, i + 1 < levels ? ten(`L${i + 2}`) : body(99, 1)),
    ),
  ]
  const text = [
    pairs(0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, c.of([4, 0, 1, 99])),
    pairs(0, 'ENDSEC', 0, 'SECTION', 2, 'BLOCKS', ...blocks, 0, 'ENDSEC'),
    pairs(0, 'SECTION', 2, 'ENTITIES', body(0, 1 + c.below(8)), 0, 'ENDSEC', 0, 'EOF'),
    '',
  ].join('\n')
  return { how: `${levels} levels of blocks`, text }
}

/** A file that somebody could hand in, or that broke on the way. */
export function anyFile(c: Chance, designs: readonly Design[]): FileCase {
  const design = c.of(designs)
  const scratch = c.below(2) === 0
  switch (c.below(6)) {
    case 0:
      return { form: 'design', how: 'scratched', text: scratched(c, writeDesign(design)) }
    case 1:
      return { form: 'design', how: 'strange', text: strangeDesign(c, design) }
    case 2:
      return { form: 'svg', how: 'ours, scratched', text: scratched(c, writeSvg(derive(design))) }
    case 3: {
      const { how, text } = strangeSvg(c)
      return { form: 'svg', how, text: scratch ? scratched(c, text) : text }
    }
    case 4:
      return { form: 'dxf', how: 'ours, scratched', text: scratched(c, writeDxf(derive(design))) }
    default: {
      const { how, text } = strangeDxf(c)
      return { form: 'dxf', how, text: scratch ? scratched(c, text) : text }
    }
  }
}

const LIMIT = 2000
const LONGEST = 500
const UNSAID = /undefined|\[object|NaN\b(?!”)|Cannot read|is not a function|Maximum call/

/** What is wrong with how a file was taken; undefined where it was read or refused in a sentence, in time. */
export function readWrong({ form, text }: FileCase): string | undefined {
  const started = performance.now()
  let said: string
  try {
    said = form === 'design' ? ofDesign(text) : ofDrawing(form, text)
  } catch (error) {
    return error instanceof Error ? (error.stack ?? error.message) : String(error)
  }
  const took = performance.now() - started
  if (took > LIMIT) return `took ${Math.round(took)} ms`
  if (said.length > LONGEST) return `said ${said.length} characters: ${said.slice(0, 100)}`
  return UNSAID.test(said) ? `said ${said}` : undefined
}

function ofDesign(text: string): string {
  const read = readDesign(text)
  return read.ok ? (unworkable(() => derive(read.design)) ?? '') : readSentence(read.issue)
}

function ofDrawing(form: 'svg' | 'dxf', text: string): string {
  const read = form === 'svg' ? readSvgPaths(text) : readDxfPaths(text)
  if (!read.ok) return read.why
  const problem = outlineProblem(read.found)
  if (problem !== undefined) return problem
  for (const outline of read.found.closed.slice(0, 20)) {
    const path = scaledPath(outline, read.found.unit ?? 1)
    if (!path.segments.every((s) => Number.isFinite(s.from.x + s.from.y + s.to.x + s.to.y)))
      throw new Error('an outline that is no number was taken')
    thinnedOutline(path)
  }
  return read.found.notes.join(' ')
}

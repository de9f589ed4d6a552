import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { type DrawnPanel, drawnFromPath, barePanel, outlineOf } from '@drumlin/core/drawn'
import { outlineProblem, scaledPath, unitFromBar } from '@drumlin/core/exchange/outlines'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { pathLength } from '@drumlin/core/geometry'
import { readDxfPaths, writeDxf } from '@drumlin/core/exchange/dxf'
import { readSvgPaths } from '@drumlin/core/exchange/svg-read'
import type { FoundResult } from '../src/exchange/outlines/index.js'
import { pathArea } from '../src/geometry/index.js'
import { demo } from './support/designs.js'
import { drawingOf, panelOf, turned, withFate } from './support/drawing.js'

const found = (result: FoundResult) => {
  if (!result.ok) throw new Error(result.why)
  return result.found
}
const refused = (result: FoundResult): string => (result.ok ? 'read' : result.why)
const svg = (inner: string, head = 'width="100mm" height="50mm" viewBox="0 0 100 50"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`
const round = (mm: number): number => Math.round(mm * 1e3) / 1e3

describe('SVG read', () => {
  test.each([
    ['rect', '<rect x="10" y="10" width="40" height="20"/>', 120],
    ['rounded rect', '<rect width="40" height="20" rx="5"/>', 80 + 10 * Math.PI],
    ['circle', '<circle cx="20" cy="20" r="10"/>', 20 * Math.PI],
    ['polygon', '<polygon points="0,0 30,0 30,40"/>', 120],
    ['path with arcs', '<path d="M0 10A10 10 0 0 1 20 10A10 10 0 0 1 0 10z"/>', 20 * Math.PI],
    ['path, relative', '<path d="m5 5h30v20h-30z"/>', 100],
    [
      'moved, turned, enlarged',
      '<g transform="translate(3 4) rotate(30)"><rect width="10" height="10" transform="scale(2)"/></g>',
      80,
    ],
  ])('%s, exactly', (_, shape, length) => {
    const { closed, unit } = found(readSvgPaths(svg(shape)))
    expect(unit).toBe(1)
    expect(pathLength(closed[0]!.path)).toBeCloseTo(length, 6)
  })
  test('circles stay arcs, ellipses become curves', () => {
    const types = (shape: string) =>
      new Set(found(readSvgPaths(svg(shape))).closed[0]!.path.segments.map((s) => s.type))
    expect(types('<circle r="10"/>')).toEqual(new Set(['arc']))
    expect(types('<ellipse rx="20" ry="10"/>')).toEqual(new Set(['cubic']))
    expect(types('<circle r="10" transform="scale(2 1)"/>')).toEqual(new Set(['cubic']))
  })
  test('units of the file count; where it is silent there are none', () => {
    const unit = (head: string) => found(readSvgPaths(svg('<rect width="10" height="10"/>', head))).unit
    expect(unit('width="10cm" height="5cm" viewBox="0 0 50 25"')).toBeCloseTo(2, 12)
    expect(unit('width="4in" viewBox="0 0 4 2"')).toBeCloseTo(25.4, 12)
    expect(unit('width="400" height="200" viewBox="0 0 400 200"')).toBeUndefined()
    expect(unit('')).toBeUndefined()
  })
  test('a bar of known length sets the scale', () => {
    const { open, closed } = found(
      readSvgPaths(svg('<line x1="0" y1="0" x2="200" y2="0"/><rect width="300" height="100"/>', '')),
    )
    const per = unitFromBar(open[0]!, 50)
    expect(pathLength(scaledPath(closed[0]!, per))).toBeCloseTo(200, 9)
  })
  test('loose lines that meet are one outline; hidden ones are none', () => {
    const loose =
      '<path d="M0 0H30"/><path d="M30 20V0"/><path d="M30 20H0V0"/><defs><rect width="90" height="90"/></defs><rect display="none" width="90" height="90"/>'
    expect(found(readSvgPaths(svg(loose))).closed.map((c) => pathLength(c.path))).toEqual([100])
  })
  test.each([
    ['no closed path', svg('<line x2="5" y2="5"/>'), undefined, /only 1 open line/],
    ['nothing in it', svg('<text>hello</text>'), undefined, /Nothing that could be an outline/],
    [
      'a number that is none',
      svg('<rect width="abc" height="3"/>'),
      /Line 1, <rect>: “abc” is not a number: width/,
      undefined,
    ],
    [
      'a path that stops making sense',
      svg('<path id="flap" d="M0 0L5 x"/>'),
      /<path> “flap”: its outline stops making sense/,
      undefined,
    ],
    ['not XML', '<svg><g></svg>', /can’t be read. Line 1: unexpected close tag. Save/, undefined],
    ['not SVG', '<html></html>', /not an SVG file/, undefined],
    ['too large', svg(' '.repeat(5_000_001)), /5.0 million characters/, undefined],
  ])('%s: a plain sentence', (_, text, why, problem) => {
    const result = readSvgPaths(text)
    if (why) expect(refused(result)).toMatch(why)
    else expect(outlineProblem(found(result))).toMatch(problem!)
  })
})

const dxf = (entities: string, units = 4): string =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${units}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`
const lwpolyline = (points: readonly (readonly [number, number, number])[], closed = 1): string =>
  `0\nLWPOLYLINE\n8\n0\n90\n${points.length}\n70\n${closed}\n${points.map(([x, y, b]) => `10\n${x}\n20\n${y}\n42\n${b}\n`).join('')}`

describe('DXF read', () => {
  test('bulges are arcs; half circles at both ends of a slot', () => {
    const slot = lwpolyline([
      [0, 0, 0],
      [30, 0, 1],
      [30, 10, 0],
      [0, 10, 1],
    ])
    const { closed, unit } = found(readDxfPaths(dxf(slot)))
    expect(unit).toBe(1)
    expect(pathLength(closed[0]!.path)).toBeCloseTo(60 + 10 * Math.PI, 9)
    expect(Math.abs(pathArea(closed[0]!.path))).toBeCloseTo(300 + 25 * Math.PI, 9)
  })
  test('lines and arcs that meet make one outline', () => {
    const entity = (type: string, codes: string): string => `0\n${type}\n8\n0\n${codes}`
    const shape =
      entity('LINE', '10\n0\n20\n0\n11\n40\n21\n0\n') +
      entity('ARC', '10\n40\n20\n10\n40\n10\n50\n270\n51\n90\n') +
      entity('LINE', '10\n40\n20\n20\n11\n0\n21\n20\n') +
      entity('LINE', '10\n0\n20\n20\n11\n0\n21\n0\n')
    expect(found(readDxfPaths(dxf(shape))).closed.map((c) => round(pathLength(c.path)))).toEqual([
      round(100 + 10 * Math.PI),
    ])
  })
  test('inches are inches, and a silent file is asked about', () => {
    const box = lwpolyline([
      [0, 0, 0],
      [4, 0, 0],
      [4, 2, 0],
      [0, 2, 0],
    ])
    expect(found(readDxfPaths(dxf(box, 1))).unit).toBe(25.4)
    expect(found(readDxfPaths(dxf(box, 0))).unit).toBeUndefined()
  })
  test.each([
    ['binary or something else', 'AutoThing Binary', /not a DXF text file/],
    [
      'a coordinate that is none',
      dxf(
        lwpolyline([
          [0, 0, 0],
          [NaN, 3, 0],
          [2, 2, 0],
        ]),
      ),
      /not a number/,
    ],
    ['too large', `0\n${'x'.repeat(5_000_000)}`, /million characters/],
  ])('%s: a plain sentence', (_, text, why) => expect(refused(readDxfPaths(text))).toMatch(why))
})

describe('there and back', () => {
  const panels = [
    withFate(panelOf('flap', {}, { id: 'flap', name: 'Flap' }), turned(8)),
    withFate(panelOf('rounded', {}, { id: 'front', name: 'Front' }), {
      type: 'trimmed',
      margin: 3,
      trim: 2,
      finish: 'left',
    }),
    panelOf('circle', {}, { id: 'base', name: 'Base' }),
  ]
  const designs = [
    ['the demo', demo()],
    ['drawn by hand', drawingOf(panels)],
  ] as const
  test.each(designs)('%s: every cut line comes back to 0.01 mm from SVG and DXF', (_, design) => {
    const d = derive(design)
    for (const result of [readSvgPaths(writeSvg(d)), readDxfPaths(writeDxf(d))]) {
      const lengths = found(result).closed.map((c) => pathLength(c.path))
      for (const piece of d.pieces) {
        const own = pathLength(piece.cut)
        expect(Math.min(...lengths.map((l) => Math.abs(l - own))), piece.id).toBeLessThan(0.01)
      }
    }
  })
  test('an outline read is a drawing of the same length', () => {
    for (const piece of derive(drawingOf(panels)).pieces) {
      const drawn: DrawnPanel = barePanel({
        id: 'x',
        name: 'x',
        role: 'outside',
        ...drawnFromPath(piece.cut),
      })
      expect(pathLength(outlineOf(drawn).path)).toBeCloseTo(pathLength(piece.cut), 2)
    }
  })

  const python = ['/usr/bin/python3', 'python3'].find(
    (p) => spawnSync(p, ['-c', 'import ezdxf']).status === 0,
  )
  test.skipIf(python === undefined)(
    'another program reads the DXF clean, in mm, with the same lengths (needs python3-ezdxf)',
    () => {
      const d = derive(drawingOf(panels))
      const file = join(mkdtempSync(join(tmpdir(), 'drumlin-dxf-')), 'pattern.dxf')
      writeFileSync(file, writeDxf(d))
      const script = `
import ezdxf, ezdxf.path, sys
doc = ezdxf.readfile(sys.argv[1])
print(len(doc.audit().errors), doc.units)
total = 0.0
for e in doc.modelspace().query('*[layer=="cut"]'):
    p = ezdxf.path.make_path(e)
    pts = list(p.flattening(0.0005))
    total += sum(a.distance(b) for a, b in zip(pts, pts[1:]))
print(total)
`
      const [audit, total] = execFileSync(python!, ['-c', script, file], { encoding: 'utf8' })
        .trim()
        .split('\n')
      expect(audit).toBe('0 4')
      const cuts = d.pieces.reduce((sum, p) => sum + pathLength(p.cut), 0)
      const snips = d.edges
        .flatMap((w) => w.treatments)
        .filter((t) => t.sort !== 'pleats')
        .flatMap((t) => t.cuts)
      expect(Number(total)).toBeCloseTo(cuts + snips.reduce((sum, c) => sum + pathLength(c), 0), 1)
    },
  )
})

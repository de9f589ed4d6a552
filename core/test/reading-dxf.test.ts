import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import type { FoundResult } from '@drumlin/core/exchange/outlines'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { readDxfPaths, writeDxf } from '@drumlin/core/exchange/dxf'
import { readSvgPaths } from '@drumlin/core/exchange/svg-read'
import { demo } from './support/designs.js'
import { sizes, why } from './support/found.js'

const pairs = (...groups: readonly (string | number)[]): string => groups.join('\n')
const dxf = (entities: string, blocks = '', tables = ''): string =>
  [
    pairs(0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC'),
    ...(tables ? [pairs(0, 'SECTION', 2, 'TABLES', tables, 0, 'ENDSEC')] : []),
    ...(blocks ? [pairs(0, 'SECTION', 2, 'BLOCKS', blocks, 0, 'ENDSEC')] : []),
    pairs(0, 'SECTION', 2, 'ENTITIES', entities, 0, 'ENDSEC', 0, 'EOF'),
    '',
  ].join('\n')
const circle = pairs(0, 'CIRCLE', 8, 'a', 10, 5, 20, 5, 40, 5)
const block = (name: string, inner: string): string =>
  pairs(0, 'BLOCK', 2, name, 10, 0, 20, 0, inner, 0, 'ENDBLK')
const put = (name: string): string => pairs(0, 'INSERT', 2, name, 10, 0, 20, 0)

describe('a DXF is read right or refused', () => {
  test('a group code nobody knows after a point is passed over', () => {
    const box = pairs(
      0,
      'LWPOLYLINE',
      8,
      'a',
      90,
      4,
      70,
      1,
      10,
      0,
      20,
      0,
      91,
      7,
      10,
      9,
      20,
      0,
      147,
      5,
      10,
      9,
      20,
      4,
      12345 % 9999,
      1,
      10,
      0,
      20,
      4,
    )
    expect(sizes(readDxfPaths(dxf(box)))).toEqual([[9, 4]])
  })
  test('corners with names of their own are all taken, in whatever order their groups stand', () => {
    const vertex = (x: number, y: number): string =>
      pairs(0, 'VERTEX', 5, 'A1', 330, 'B2', 100, 'AcDbEntity', 8, 'a', 20, y, 10, x)
    const line = pairs(
      0,
      'POLYLINE',
      66,
      1,
      70,
      1,
      vertex(0, 0),
      vertex(9, 0),
      vertex(9, 4),
      vertex(0, 4),
      0,
      'SEQEND',
    )
    expect(sizes(readDxfPaths(dxf(line)))).toEqual([[9, 4]])
    expect(sizes(readDxfPaths(dxf(line.replace(/\n0\nSEQEND$/, ''))))).toEqual([[9, 4]])
  })
  test('an ellipse of angles far round is the ellipse', () => {
    const ellipse = (from: number, to: number): string =>
      pairs(0, 'ELLIPSE', 10, 0, 20, 0, 11, 10, 21, 0, 40, 0.5, 41, from, 42, to)
    for (const turns of [0, 1e6 * 2 * Math.PI])
      expect(sizes(readDxfPaths(dxf(ellipse(turns, turns + 2 * Math.PI))))).toEqual([[20, 10]])
    expect(readDxfPaths(dxf(ellipse(1e6, 3e6))).ok).toBe(true)
  })
  test('a block within twelve is put in place', () => {
    const levels = Array.from({ length: 10 }, (_, i) =>
      block(`L${i}`, i < 9 ? put(`L${i + 1}`) : circle),
    ).join('\n')
    expect(sizes(readDxfPaths(dxf(put('L0'), levels)))).toEqual([[10, 10]])
  })
  test('what is hidden is left out, and told', () => {
    const tables = pairs(0, 'TABLE', 2, 'LAYER', 0, 'LAYER', 2, 'off', 70, 0, 62, -7, 0, 'ENDTAB')
    const off = circle.replace('\na\n', '\noff\n')
    const result = readDxfPaths(
      dxf(
        `${off}\n${pairs(0, 'CIRCLE', 8, 'a', 60, 1, 10, 0, 20, 0, 40, 3)}\n${pairs(0, 'CIRCLE', 8, 'a', 10, 0, 20, 0, 40, 2)}`,
        '',
        tables,
      ),
    )
    expect(sizes(result)).toEqual([[4, 4]])
    expect(result.ok && result.found.notes.join()).toContain('layers that are off')
  })

  test.each([
    [
      'a vertex count of a milliard',
      dxf(pairs(0, 'LWPOLYLINE', 90, 1e9, 10, 0, 20, 0, 10, 1, 20, 0)),
      /it says that it has 1000000000 corners and has 2/,
    ],
    ['no centre', dxf(pairs(0, 'ARC', 8, 'a', 40, 5, 50, 0, 51, 90)), /Line \d+, ARC: it has no x/],
    [
      'a decimal comma',
      dxf(pairs(0, 'CIRCLE', 10, '1,5', 20, 0, 40, 5)),
      /Line 18: “1,5” is not a number: the x of the CIRCLE. Decimals have to be written with a point/,
    ],
    ['a huge number', dxf(pairs(0, 'CIRCLE', 10, 1e300, 20, 0, 40, 5)), /too large/],
    ['a plane that leans', dxf(pairs(0, 'CIRCLE', 10, 0, 20, 0, 40, 5, 210, 0, 220, 1, 230, 0)), /leans/],
    ['a block of itself', dxf(put('A'), block('A', put('A'))), /The block “A” stands in itself/],
    [
      'seven levels of ten',
      dxf(
        put('L0'),
        Array.from({ length: 7 }, (_, i) =>
          block(`L${i}`, Array.from({ length: 10 }, () => (i < 6 ? put(`L${i + 1}`) : circle)).join('\n')),
        ).join('\n'),
      ),
      /more than 50000 lines once its blocks are put down/,
    ],
    [
      'blocks too deep',
      dxf(
        put('L0'),
        Array.from({ length: 20 }, (_, i) => block(`L${i}`, i < 19 ? put(`L${i + 1}`) : circle)).join('\n'),
      ),
      /more than 12 deep/,
    ],
    ['a block that is not there', dxf(put('__proto__')), /the block “__proto__” is not in the file/],
    ['rows of a block', dxf(pairs(put('A'), 70, 5), block('A', circle)), /rows and columns/],
    ['cut short', dxf(circle).replace(/0\nEOF\n$/, ''), /cut short/],
    [
      'a line that is no code',
      dxf(circle).replace('\n40\n', '\nforty\n'),
      /a group code, a whole number, should stand here, not “forty”/,
    ],
    [
      'knots that are missing',
      dxf(
        pairs(
          0,
          'SPLINE',
          70,
          8,
          71,
          3,
          10,
          0,
          20,
          0,
          10,
          1,
          20,
          0,
          10,
          2,
          20,
          0,
          10,
          3,
          20,
          1,
          40,
          0,
          40,
          1,
        ),
      ),
      /need 8 knots/,
    ],
  ])('%s: refused, naming line and entity', (_, text, words) => {
    expect(why(readDxfPaths(text))).toMatch(words)
    expect(why(readDxfPaths(text)).length).toBeLessThan(400)
  })
})

test('what Drumlin writes it reads back, whole', () => {
  const d = derive(demo())
  const cut = (result: FoundResult) => sizes(result).filter(([w, h]) => w > 50 && h > 30).length
  expect(cut(readSvgPaths(writeSvg(d)))).toBeGreaterThanOrEqual(d.pieces.length - 1)
  expect(cut(readDxfPaths(writeDxf(d)))).toBeGreaterThanOrEqual(d.pieces.length - 1)
})

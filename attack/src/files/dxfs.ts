import type { Chance } from '../random.js'
import { NUMBERS } from './scratched.js'

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

/** A drawing with blocks in blocks, counts that are not true and groups that do not belong. */
export function strangeDxf(c: Chance): { how: string; text: string } {
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

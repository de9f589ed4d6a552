import { describe, expect, test } from 'vitest'
import { readSvgPaths } from '@drumlin/core/exchange/svg-read'
import { sizes, why } from './support/found.js'

const svg = (inner: string, head = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`

describe('an SVG is read right or refused', () => {
  test.each([
    ['cm', '<rect width="5cm" height="25.4mm"/>', [[188.976, 96]]],
    ['px and bare numbers', '<rect width="50px" height="25"/>', [[50, 25]]],
    [
      'a drawing in it',
      '<svg x="5" width="50" height="20" viewBox="0 0 10 4"><rect width="10" height="4"/></svg>',
      [[50, 20]],
    ],
    [
      'a drawing in it that keeps its proportions',
      '<svg width="50" height="50" viewBox="0 0 10 4"><rect width="10" height="4"/></svg>',
      [[50, 20]],
    ],
    [
      'nested transforms',
      '<g transform="scale(2)"><g transform="translate(3 4) rotate(90)"><rect width="10" height="4"/></g></g>',
      [[8, 20]],
    ],
    ['a skew', '<rect width="10" height="10" transform="skewX(45)"/>', [[20, 10]]],
  ] as const)('%s', (_, inner, expected) => expect(sizes(readSvgPaths(svg(inner)))).toEqual(expected))

  test.each([
    ['per cent', '<rect width="50%" height="10"/>', /Line 1, <rect>: width is “50%”; per cent depends/],
    ['em', '<circle r="2em"/>', /r is “2em”/],
    [
      'a transform in a style',
      '<path id="flap" style="transform: scale(2)" d="M0 0h9v9z"/>',
      /<path> “flap”: its style says “transform: scale\(2\)”/,
    ],
    [
      'a transform origin',
      '<rect width="1" height="1" transform="rotate(9)" transform-origin="5 5"/>',
      /transform-origin/,
    ],
    [
      'a style sheet that moves',
      '<style>.a{transform:scale(2)}</style><rect class="a" width="1" height="1"/>',
      /style sheet says “transform: scale\(2\)”/,
    ],
    [
      'a style sheet that hides',
      '<style>.a{ display : none }</style><rect width="1" height="1"/>',
      /style sheet says “display: none”/,
    ],
    [
      'a stretched drawing',
      '<svg width="50" height="50" viewBox="0 0 10 4" preserveAspectRatio="none"><rect width="1" height="1"/></svg>',
      /stretching/,
    ],
    [
      'a transform nobody knows',
      '<rect width="1" height="1" transform="wobble(3)"/>',
      /its transform “wobble\(3\)” can’t be followed/,
    ],
    ['a matrix of five', '<rect width="1" height="1" transform="matrix(1 0 0 1 5)"/>', /transform/],
    ['no radius', '<circle cx="4"/>', /<circle>: r is missing/],
    ['a huge number', '<rect width="1e300" height="4"/>', /too large/],
    ['a number that is none', '<rect width="0x10" height="4"/>', /“0x10” is not a number|width is “0x10”/],
    ['a decimal comma', '<rect width="1,5" height="4"/>', /point/],
    ['odd points', '<polygon points="1,2 3"/>', /each needs two/],
  ])('%s: refused, naming the element', (_, inner, words) =>
    expect(why(readSvgPaths(svg(inner)))).toMatch(words),
  )

  test('what is not seen is not taken', () => {
    const hidden =
      '<g display="none"><rect width="9" height="9"/></g><rect style="display:none" width="8" height="8"/>'
    const unseen =
      '<g visibility="hidden"><rect width="7" height="7"/><rect visibility="visible" width="3" height="3"/></g>'
    expect(sizes(readSvgPaths(svg(hidden + unseen)))).toEqual([[3, 3]])
  })
  test('mm by width and viewBox; a drawing without one is 96 units to the inch', () => {
    const unit = (head: string): number | undefined => {
      const read = readSvgPaths(svg('<rect width="10" height="10"/>', head))
      return read.ok ? read.found.unit : undefined
    }
    expect(unit('width="100mm" height="50mm" viewBox="0 0 200 100"')).toBe(0.5)
    expect(unit('width="100mm"')).toBeCloseTo(25.4 / 96, 9)
    expect(unit('width="100mm" height="100mm" viewBox="0 0 200 100"')).toBe(0.5)
    expect(
      why(readSvgPaths(svg('', 'width="100mm" height="9mm" viewBox="0 0 10 10" preserveAspectRatio="none"'))),
    ).toMatch(/stretching/)
  })

  test.each([
    [
      '20,000 loose lines',
      () =>
        svg(
          Array.from(
            { length: 20_000 },
            (_, i) => `<line x1="${i}" y1="0" x2="${i + 1}" y2="${i % 2}"/>`,
          ).join(''),
        ),
      /No closed outline/,
    ],
    [
      '20,000 lines that end in one place',
      () => svg('<line x1="0" y1="0" x2="1" y2="0"/>'.repeat(20_000)),
      /read|closed/,
    ],
    ['400,000 subpaths', () => svg(`<path d="${'M0 0h1'.repeat(400_000)}"/>`), /holds more than/],
    ['a million commands', () => svg(`<path d="M0 0${'h1'.repeat(1_000_000)}v9z"/>`), /holds more than/],
    ['100,000 groups', () => svg('<g>'.repeat(100_000)), /stands in more than 200 groups/],
    [
      'an element of two million letters',
      () => svg(`<path id="${'x'.repeat(2_000_000)}" d="M0 0h1 q"/>`),
      /its outline stops making sense/,
    ],
    [
      'entities within entities',
      () => `<!DOCTYPE svg [<!ENTITY a "b">]>${svg('<text>&a;</text>')}`,
      /an entity/,
    ],
  ])('%s', (_, text, words) => {
    const said = why(readSvgPaths(text()))
    expect(said).toMatch(words)
    expect(said.length).toBeLessThan(400)
  })
})

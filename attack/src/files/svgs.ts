import type { Chance } from '../random.js'
import { NUMBERS } from './scratched.js'

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

/** A drawing with too much in it, or with something that is not plain SVG. */
export function strangeSvg(c: Chance): { how: string; text: string } {
  const many = (max: number): number => Math.floor(max ** c.share())
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

import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { kindIds, kindOf } from '@drumlin/core/kinds'
import { withLengths } from '@drumlin/core/measure'
import { bagDesign } from './support/bags.js'
import { freshOf } from './support/designs.js'

const root = fileURLToPath(new URL('../../', import.meta.url))

/** Words that are of millimetres whoever reads them: names of goods, examples of what can be typed, marks of files and of paper. */
const OF_MILLIMETRES = [
  /^core\/src\/stores\//,
  /^core\/src\/measure\/(weight|length|pitch)\.ts/,
  /^core\/src\/exchange\/(svg\/write|pdf\/cover\/head)\.ts/,
  /^core\/src\/coupons\/drawing\.ts/,
  /^core\/src\/devices\/reading\.ts/,
  // A thread is sold by its thickness in millimetres, a paper of one’s own is asked for in them; bars and crosses on paper are of them.
  /^core\/src\/check\/threadUnsuited\.ts/,
  /^core\/src\/exchange\/(paper\/sizes|pdf\/calibration|pdf\/pages)\.ts/,
  // How near an outline was followed, and a fault that no maker sees.
  /^core\/src\/(exchange\/outlines\/thinned|geometry\/rounded)\.ts/,
  // What writes millimetres for who reads them.
  /^core\/src\/(measure\/print|check\/stackTooThick)\.ts/,
  // A stiffness is told in newtons and millimetres.
  /^core\/src\/(pocketbook\/hardware|whole\/turnable)\.ts/,
]

/** Every piece of text in a file that tells a number of millimetres. */
function fixedIn(name: string): string[] {
  const source = ts.createSourceFile(name, readFileSync(root + name, 'utf8'), ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const visit = (node: ts.Node): void => {
    const isText = ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
    if (isText && /\d ?mm\b/.test(node.text)) found.push(`${name}: ${node.text}`)
    if (ts.isTemplateHead(node) || ts.isTemplateMiddle(node) || ts.isTemplateTail(node))
      if (/\d ?mm\b/.test(node.text) || (!ts.isTemplateHead(node) && /^ ?mm\b/.test(node.text)))
        found.push(`${name}: …${node.text}`)
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

describe('lengths are told in the maker’s units', () => {
  test('no words in the core tell a number of millimetres of themselves', () => {
    const files = readdirSync(`${root}core/src`, { recursive: true })
      .map((name) => `core/src/${String(name)}`)
      .filter((name) => name.endsWith('.ts') && !OF_MILLIMETRES.some((known) => known.test(name)))
    expect(files.length).toBeGreaterThan(500)
    expect(files.flatMap(fixedIn)).toEqual([])
  })
  test('what a leather is for says its thickness in ounces to who reads ounces', () => {
    const said = kindIds().flatMap((id) => kindOf(id).roles.map((role) => withLengths(role.why, 'in')))
    expect(said.filter((why) => /\bmm\b|[{}]/.test(why))).toEqual([])
    expect(said).toContain('the body of the wallet; 3.0 oz to 4.0 oz holds its shape')
    expect(withLengths(kindOf('bifold').roles[0]!.why, 'mm')).toContain('1.2 mm to 1.6 mm holds its shape')
  })
  test('so do a kind’s warnings and their ways out', () => {
    const close = derive(freshOf('narrow-strap', { spacing: 5, hole: 3 }))
    const tear = findingsOf(close).find((f) => f.about === 'holes-tear')!
    expect(sayFinding(tear, 'in').what).toMatch(/^Less than 1\/8 in of leather/)
    expect(sayFinding(tear, 'mm').what).toMatch(/^Less than 3\.0 mm of leather/)
    const thick = derive(bagDesign('tote', { handle: 'ring', handleFill: 8 }))
    const filler = findingsOf(thick).find((f) => f.about === 'handle-filler-thick')!
    expect(fixesOf(filler, thick, 'in').map((f) => f.label)).toContain('A filler of 1/16 in')
  })
})

import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { describe, expect, test } from 'vitest'
import { formulaOf } from '../src/formulas/index.js'
import * as formulas from '../src/formulas/index.js'

const source = fileURLToPath(new URL('../src/', import.meta.url))
const files = readdirSync(source, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))

/** Calls that take a formula, and which of their arguments it is. */
const TAKERS: Readonly<Record<string, number>> = { size: 2, outcome: 2, part: 2, answer: 1, step: 2 }

/** Every text that an expression can come to; undefined where the code alone doesn't say. */
function textsOf(node: ts.Node, tree: ts.SourceFile): readonly string[] | undefined {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return [node.text]
  if (ts.isParenthesizedExpression(node)) return textsOf(node.expression, tree)
  if (ts.isConditionalExpression(node)) {
    const [yes, no] = [textsOf(node.whenTrue, tree), textsOf(node.whenFalse, tree)]
    return yes && no && [...yes, ...no]
  }
  if (ts.isTemplateExpression(node))
    return node.templateSpans.reduce<readonly string[] | undefined>(
      (all, span) => joined(joined(all, textsOf(span.expression, tree)), [span.literal.text]),
      [node.head.text],
    )
  if (ts.isBinaryExpression(node) && node.operatorToken.kind === ts.SyntaxKind.PlusToken)
    return joined(textsOf(node.left, tree), textsOf(node.right, tree))
  return ts.isIdentifier(node) ? constantOf(node.text, tree) : undefined
}
const joined = (a: readonly string[] | undefined, b: readonly string[] | undefined) =>
  a && b && a.flatMap((one) => b.map((other) => one + other))

function constantOf(name: string, tree: ts.SourceFile): readonly string[] | undefined {
  const known = (formulas as Record<string, unknown>)[name]
  if (typeof known === 'string') return [known]
  let found: readonly string[] | undefined
  const visit = (node: ts.Node): void => {
    if (ts.isVariableDeclaration(node) && node.name.getText() === name && node.initializer)
      found = textsOf(node.initializer, tree)
    ts.forEachChild(node, visit)
  }
  visit(tree)
  return found
}

/** Texts in the place of a formula: `formula: …`, or an argument of what takes one; how many the code alone doesn't say. */
function formulasIn(file: string): { readonly said: readonly string[]; readonly unsaid: number } {
  const tree = ts.createSourceFile(file, readFileSync(source + file, 'utf8'), ts.ScriptTarget.Latest, true)
  const said: string[] = []
  let unsaid = 0
  const take = (node: ts.Node): void => {
    const texts = textsOf(node, tree)
    if (texts) said.push(...texts)
    else unsaid += 1
  }
  const visit = (node: ts.Node): void => {
    if (ts.isPropertyAssignment(node) && node.name.getText() === 'formula') take(node.initializer)
    if (ts.isCallExpression(node)) {
      const at = TAKERS[node.expression.getText().split('.').pop()!.replace(/\(.*/, '')]
      if (at !== undefined && node.arguments[at]) take(node.arguments[at])
    }
    ts.forEachChild(node, visit)
  }
  visit(tree)
  return { said, unsaid }
}

describe('every formula that stands in the code can be followed', () => {
  const found = files.map((file) => ({ file, ...formulasIn(file) }))
  const all = found.flatMap(({ file, said }) => said.map((words) => ({ file, words })))
  test('nearly all of them are read: only those are not that are put together as they are needed', () => {
    expect(all.length).toBeGreaterThan(220)
    expect(found.reduce((sum, { unsaid }) => sum + unsaid, 0)).toBeLessThan(30)
  })
  test.each(all)('$file: $words', ({ words }) => expect(() => formulaOf(words)).not.toThrow())
  test.each(Object.entries(formulas).filter(([, value]) => typeof value === 'string'))('%s', (_, words) =>
    expect(() => formulaOf(words as string)).not.toThrow(),
  )
})

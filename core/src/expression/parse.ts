import { firstOf, nth, required } from '../lists/index.js'
import { type Token, tokensOf } from './tokens.js'
import type { Expression, NamedFunction } from './tree.js'

/**
 * Reads the words of a formula: `2 × {half} + {fold} round the fold`. Words after a number say what it is; those after a
 * colon, a semicolon or a last comma say why. What the words can reckon is written in ARCHITECTURE.md, “Formulas”.
 *
 * `functions` are those that words can call by a phrase. Throws a SyntaxError, with the words, where they can't be followed.
 */
export const parse = (words: string, functions: readonly NamedFunction[]): Expression =>
  new Reader(tokensOf(words), functions, words).whole()

const LISTS = {
  'the larger of': 'largest',
  'the largest of': 'largest',
  'the smaller of': 'smallest',
  'the smallest of': 'smallest',
} as const

/** What may be said of a sum behind a comma. */
const BOUNDS = { 'at least': 'largest', 'no nearer than': 'largest', 'at most': 'smallest' } as const

class Reader {
  private at = 0
  /** How many lists are being read: in one, “and” comes before its last member and belongs to no remark. */
  private lists = 0

  constructor(
    private readonly tokens: readonly Token[],
    private readonly functions: readonly NamedFunction[],
    private readonly words: string,
  ) {}

  whole(): Expression {
    const read = this.bounded()
    if (this.at < this.tokens.length && !this.onlyWordsLeft()) this.fail('the end of the sum')
    return read
  }

  /** A sum with what is said of it behind commas. */
  private bounded(): Expression {
    let read = this.sum()
    for (;;) {
      const said = this.oneOf(BOUNDS, ',')
      if (said) read = { op: said, among: [read, this.sum()] }
      else {
        const rounded = this.functions.find(
          ({ phrase }) => firstOf(phrase).length === 0 && this.sees(',', ...nth(phrase, 1)),
        )
        if (!rounded) return read
        this.at += 1 + nth(rounded.phrase, 1).length
        this.remark()
        read = { op: 'apply', named: rounded, to: [read] }
      }
    }
  }

  private sum(): Expression {
    const terms: Expression[] = []
    const minus = this.takes('−')
    const first = this.product()
    terms.push(minus ? { op: 'minus', of: first } : first)
    for (;;) {
      if (this.takes('+')) terms.push(this.product())
      else if (this.takes('−')) terms.push({ op: 'minus', of: this.product() })
      else return terms.length === 1 ? firstOf(terms) : { op: 'sum', among: terms }
    }
  }

  private product(): Expression {
    const factors = [this.factor()]
    for (;;) {
      if (this.takes('×')) factors.push(this.factor())
      else if (this.takes('/')) factors.push({ op: 'reciprocal', of: this.factor() })
      else return factors.length === 1 ? firstOf(factors) : { op: 'product', among: factors }
    }
  }

  /** One number, with the words that say what it is. */
  private factor(): Expression {
    let read = this.unmarked()
    if (this.takes('²')) read = { op: 'power', of: read, exponent: 2 }
    else if (this.takes('³')) read = { op: 'power', of: read, exponent: 3 }
    this.remark()
    return read
  }

  private unmarked(): Expression {
    const token = this.tokens[this.at]
    if (token?.type === 'number' || token?.type === 'input') {
      this.at += 1
      return token.type === 'number'
        ? { op: 'number', value: token.value }
        : { op: 'input', name: token.name }
    }
    if (this.takes('π')) return { op: 'number', value: Math.PI }
    if (this.takes('(')) {
      const outer = this.lists
      this.lists = 0
      const read = this.bounded()
      this.lists = outer
      if (!this.takes(')')) this.fail('the end of the brackets')
      return read
    }
    const list = this.oneOf(LISTS)
    return list ? { op: list, among: this.list() } : this.applied()
  }

  private list(): readonly Expression[] {
    this.lists += 1
    const members = [this.sum()]
    while (this.takes(',') || this.takes('and')) members.push(this.sum())
    this.lists -= 1
    if (members.length < 2) this.fail('another member of the list')
    return members
  }

  /** A function called by its phrase. */
  private applied(): Expression {
    const found = this.functions.find(
      ({ phrase }) => firstOf(phrase).length > 0 && this.sees(...firstOf(phrase)),
    )
    if (!found) return this.fail('a number')
    const [first, ...rest] = found.phrase
    this.at += required(first, 'first').length
    const to = [this.argument(rest.length === 0)]
    for (const words of rest) {
      if (!this.takes(...words)) this.fail(`“${words.join(' ')}”`)
      to.push(this.argument(false))
    }
    return { op: 'apply', named: found, to }
  }

  /** A number of a function: with its own remark only where nothing of the phrase comes after it. */
  private argument(last: boolean): Expression {
    return last ? this.factor() : this.unmarked()
  }

  private sees(...words: readonly string[]): boolean {
    return words.every((word, i) => {
      const token = this.tokens[this.at + i]
      return (token?.type === 'sign' || token?.type === 'word') && token.text === word
    })
  }

  private takes(...words: readonly string[]): boolean {
    if (!this.sees(...words)) return false
    this.at += words.length
    return true
  }

  private oneOf<T>(choices: Readonly<Record<string, T>>, ...before: readonly string[]): T | undefined {
    for (const [words, meant] of Object.entries(choices))
      if (this.takes(...before, ...words.split(' '))) return meant
    return undefined
  }

  private remark(): void {
    while (this.tokens[this.at]?.type === 'word' && !(this.lists > 0 && this.sees('and'))) this.at += 1
  }

  private onlyWordsLeft(): boolean {
    return this.sees(',') && this.tokens.slice(this.at + 1).every((t) => t.type === 'word')
  }

  private fail(wanted: string): never {
    const left = this.tokens
      .slice(this.at)
      .map((t) => ('text' in t ? t.text : 'name' in t ? `{${t.name}}` : t.value))
    throw new SyntaxError(`wants ${wanted} before “${left.join(' ')}” in “${this.words}”`)
  }
}

import { type Parsed, refused, understood } from './result.js'
import { type Token, tokens, twoSigns } from './tokens.js'
import { INCH, type Units, lengthUnitMaybe, systemOf } from './units.js'

/** A value on its way to being a length: `bare` numbers take the default unit once they are added or finished. */
interface Quantity {
  readonly value: number
  readonly bare: boolean
}

class Misread extends Error {
  constructor(
    readonly code: 'NOT_UNDERSTOOD' | 'UNIT_UNKNOWN' | 'UNITS_DO_NOT_FIT' | 'NOT_FINITE',
    readonly near: string,
  ) {
    super(code)
  }
}

/** Reads sum := term (+|- term)*, term := factor (*|/ factor)*, factor := [-] number [unit] | ( sum ) [unit]. */
class Reader {
  private position = 0
  constructor(
    private readonly all: readonly Token[],
    private readonly text: string,
    private readonly defaultUnit: number,
  ) {}

  read(): number {
    const result = this.sum()
    const left = this.all[this.position]
    if (left) throw new Misread('NOT_UNDERSTOOD', left.text)
    return this.asLength(result)
  }

  private asLength(quantity: Quantity): number {
    return quantity.bare ? quantity.value * this.defaultUnit : quantity.value
  }

  private takeOperator(...wanted: string[]): string | undefined {
    const token = this.all[this.position]
    if (token?.type !== 'operator' || !wanted.includes(token.text)) return undefined
    this.position += 1
    return token.text
  }

  private sum(): Quantity {
    let left = this.term()
    for (let sign = this.takeOperator('+', '-'); sign; sign = this.takeOperator('+', '-')) {
      const right = this.term()
      const factor = sign === '+' ? 1 : -1
      left =
        left.bare && right.bare
          ? { value: left.value + factor * right.value, bare: true }
          : { value: this.asLength(left) + factor * this.asLength(right), bare: false }
    }
    return left
  }

  private term(): Quantity {
    let left = this.factor()
    for (let sign = this.takeOperator('*', '/'); sign; sign = this.takeOperator('*', '/')) {
      const right = this.factor()
      left = sign === '*' ? this.times(left, right) : this.over(left, right)
    }
    return left
  }

  private times(left: Quantity, right: Quantity): Quantity {
    if (!left.bare && !right.bare) throw new Misread('UNITS_DO_NOT_FIT', this.text)
    return { value: left.value * right.value, bare: left.bare && right.bare }
  }

  private over(left: Quantity, right: Quantity): Quantity {
    if (right.value === 0) throw new Misread('NOT_FINITE', this.text)
    if (!right.bare) throw new Misread('UNITS_DO_NOT_FIT', this.text)
    return { value: left.value / right.value, bare: left.bare }
  }

  private factor(): Quantity {
    if (this.takeOperator('-')) {
      const { value, bare } = this.factor()
      return { value: -value, bare }
    }
    if (this.takeOperator('(')) {
      const inner = this.sum()
      if (!this.takeOperator(')')) throw new Misread('NOT_UNDERSTOOD', this.text)
      return this.withUnit(inner)
    }
    const token = this.all[this.position]
    if (token?.type !== 'number') throw new Misread('NOT_UNDERSTOOD', token?.text ?? this.text)
    if (!Number.isFinite(token.value)) throw new Misread('NOT_FINITE', token.text)
    this.position += 1
    return this.withUnit({ value: token.value, bare: true })
  }

  private withUnit(quantity: Quantity): Quantity {
    const token = this.all[this.position]
    if (token?.type !== 'unit') return quantity
    const unit = lengthUnitMaybe(token.text)
    if (unit === undefined) throw new Misread('UNIT_UNKNOWN', token.text)
    if (!quantity.bare) throw new Misread('UNITS_DO_NOT_FIT', this.text)
    this.position += 1
    return { value: quantity.value * unit, bare: false }
  }
}

const BASED = /(?<![\d.,])0[xX][\dA-Fa-f]+/
const EXAMPLE = '97 + 2*3, 2 7/16 in or 85.6 mm'

/**
 * Reads a length as makers write it: `85.6`, `8,5 cm`, `2 7/16 in`, `2-7/16"`, `97 + 2*3`. Bare numbers are in
 * `unit`. Gives millimetres.
 */
export function parseLength(text: string, unit: Units = 'mm'): Parsed<number> {
  if (text.trim() === '') return refused('EMPTY', text, text, EXAMPLE)
  // Nought times ten is a number of another base, mistyped: nobody means nothing by it.
  const based = BASED.exec(text)
  if (based) return refused('NOT_UNDERSTOOD', text, based[0].trim(), EXAMPLE)
  const both = twoSigns(text)
  if (both) return refused('TWO_SIGNS', text, both, EXAMPLE)
  const read = tokens(text)
  if ('stoppedAt' in read) return refused('NOT_UNDERSTOOD', text, read.stoppedAt, EXAMPLE)
  try {
    return understood(new Reader(read, text.trim(), systemOf(unit) === 'in' ? INCH : 1).read())
  } catch (error) {
    if (error instanceof Misread) return refused(error.code, text, error.near, EXAMPLE)
    throw error
  }
}

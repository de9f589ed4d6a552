/** A formula as a value: what it reckons with numbers that are given to it by name. Angles are in radians. */
export type Expression =
  | { readonly op: 'number'; readonly value: number }
  | { readonly op: 'input'; readonly name: string }
  | { readonly op: 'sum' | 'product' | 'largest' | 'smallest'; readonly among: readonly Expression[] }
  | { readonly op: 'minus' | 'reciprocal'; readonly of: Expression }
  | { readonly op: 'power'; readonly of: Expression; readonly exponent: 2 | 3 }
  | { readonly op: 'apply'; readonly named: NamedFunction; readonly to: readonly Expression[] }

/** A function of numbers that words can call by a phrase: `sine of {angle}`. */
export interface NamedFunction {
  /** The words before each of its numbers, and after the last where there are any. */
  readonly phrase: readonly (readonly string[])[]
  readonly value: (...numbers: readonly number[]) => number
}

/** Numbers by the name that a formula calls them by. */
export type Values = Readonly<Record<string, number>>

/** What the formula comes to. Throws where a number that it names is not given. */
export function valueOf(expression: Expression, values: Values): number {
  switch (expression.op) {
    case 'number':
      return expression.value
    case 'input':
      return named(expression.name, values)
    case 'sum':
      return expression.among.reduce((sum, one) => sum + valueOf(one, values), 0)
    case 'product':
      return expression.among.reduce((product, one) => product * valueOf(one, values), 1)
    case 'largest':
      return Math.max(...expression.among.map((one) => valueOf(one, values)))
    case 'smallest':
      return Math.min(...expression.among.map((one) => valueOf(one, values)))
    case 'minus':
      return -valueOf(expression.of, values)
    case 'reciprocal':
      return 1 / valueOf(expression.of, values)
    case 'power':
      return valueOf(expression.of, values) ** expression.exponent
    case 'apply':
      return expression.named.value(...expression.to.map((one) => valueOf(one, values)))
  }
}

function named(name: string, values: Values): number {
  const value = values[name]
  if (value === undefined) throw new Error(`the formula names {${name}}, which it is not given`)
  return value
}

/** Names of all numbers that it reckons with, each once, in their order. */
export function inputsOf(expression: Expression): readonly string[] {
  const names = new Set<string>()
  const walk = (one: Expression): void => {
    if (one.op === 'input') names.add(one.name)
    else if (one.op === 'apply') one.to.forEach(walk)
    else if ('among' in one) one.among.forEach(walk)
    else if ('of' in one) walk(one.of)
  }
  walk(expression)
  return [...names]
}

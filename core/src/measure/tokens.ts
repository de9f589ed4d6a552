/** The words a written length is made of. */
export type Token =
  | { readonly type: 'number'; readonly value: number; readonly text: string }
  | { readonly type: 'unit'; readonly text: string }
  | { readonly type: 'operator'; readonly text: '+' | '-' | '*' | '/' | '(' | ')' }

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const ALIASES: Readonly<Record<string, Token & { type: 'operator' }>> = {
  '×': { type: 'operator', text: '*' },
  '·': { type: 'operator', text: '*' },
  x: { type: 'operator', text: '*' },
  '÷': { type: 'operator', text: '/' },
  '−': { type: 'operator', text: '-' },
  '–': { type: 'operator', text: '-' },
}

// "2 7/16", "2-7/16" and "7/16": a whole number and a fraction written as one measure. The hyphen must touch both.
const FRACTION = /^(?:(\d+)(?:\s+|-))?(\d+)\/(\d+)(?![\d.])/
const DECIMAL = /^(?:\d+(?:[.,]\d+)?|[.,]\d+)/
const WORD = /^[a-zA-Z]+|^["″”]/

function readFraction(rest: string): { token: Token; length: number } | undefined {
  const match = FRACTION.exec(rest)
  if (!match) return undefined
  const [text, whole, top, bottom] = match
  const value = Number(whole ?? 0) + Number(top) / Number(bottom)
  return { token: { type: 'number', value, text }, length: text.length }
}

function readOne(rest: string): { token: Token; length: number } | undefined {
  const fraction = readFraction(rest)
  if (fraction) return fraction
  const decimal = DECIMAL.exec(rest)
  if (decimal) {
    const text = decimal[0]
    return { token: { type: 'number', value: Number(text.replace(',', '.')), text }, length: text.length }
  }
  const head = rest[0]!
  if ('+-*/()'.includes(head)) return { token: { type: 'operator', text: head as '+' }, length: 1 }
  const word = WORD.exec(rest)?.[0]
  const spelled = word ?? head
  const alias = Object.hasOwn(ALIASES, spelled) ? ALIASES[spelled] : undefined
  if (alias) return { token: alias, length: spelled.length }
  return word ? { token: { type: 'unit', text: word.toLowerCase() }, length: word.length } : undefined
}

/** A number with a point and a comma: which of them parts the thousands isn't known. */
const BOTH_SIGNS = /\d{1,3}(?:[.,]\d{3})*[.,]\d+/g
export const twoSigns = (text: string): string | undefined =>
  text.match(BOTH_SIGNS)?.find((number) => number.includes('.') && number.includes(','))

/** Splits what a maker wrote into tokens; gives back the text it stopped at where it meets something strange. */
export function tokens(text: string): readonly Token[] | { readonly stoppedAt: string } {
  const spelled = text.replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
  const found: Token[] = []
  let rest = spelled.trimStart()
  while (rest !== '') {
    const next = readOne(rest)
    if (!next) return { stoppedAt: rest }
    found.push(next.token)
    rest = rest.slice(next.length).trimStart()
  }
  return found
}

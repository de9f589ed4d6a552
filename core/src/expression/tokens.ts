import { required } from '../lists/index.js'
/** A piece of the words of a formula: a number, the name of an input, a sign, or a word. */
export type Token =
  | { readonly type: 'number'; readonly value: number }
  | { readonly type: 'input'; readonly name: string }
  | { readonly type: 'sign'; readonly text: string }
  | { readonly type: 'word'; readonly text: string }

const PIECE =
  /(?<number>\d+(?:\.\d+)?)|\{(?<input>\w+)(?: by name)?\}|(?<sign>[π+−×/()√²³,])|(?<word>[\p{L}’][\p{L}\d’'-]*)|\s+/gu

/** Where the words give a reason and say nothing more about the number. */
const REASON = /[:;]/

/** The pieces of the words up to their reason. Throws where there is a sign that is none of the language. */
export function tokensOf(words: string): readonly Token[] {
  const end = words.search(REASON)
  const said = end < 0 ? words : words.slice(0, end)
  const tokens: Token[] = []
  let read = 0
  for (const match of said.matchAll(PIECE)) {
    if (match.index !== read) break
    read += match[0].length
    const { number, input, sign, word } = required(match.groups, 'groups')
    if (number !== undefined) tokens.push({ type: 'number', value: Number(number) })
    else if (input !== undefined) tokens.push({ type: 'input', name: input })
    else if (sign !== undefined) tokens.push({ type: 'sign', text: sign })
    else if (word !== undefined) tokens.push({ type: 'word', text: word })
  }
  if (read < said.length) throw new SyntaxError(`“${said.slice(read)}” says nothing in “${words}”`)
  return tokens
}

import { isUnits } from '@drumlin/core/measure'
import { shortly } from './words.js'

/** Why words don’t say how measures are told; nothing where they do. */
export const unitsProblem = (text: string): string | undefined =>
  isUnits(text)
    ? undefined
    : `--unit must be one of mm, in, or four of them in a row for length, thickness, area and thread, not ${shortly(text)}`

/** One line that says why what was asked can’t be done. */
export interface Wrong {
  readonly wrong: string
}

export const wrong = (text: string): Wrong => ({ wrong: `drumlin: ${text} (try: drumlin --help)` })

export interface Words {
  readonly files: readonly string[]
  readonly options: Readonly<Record<string, string>>
}

/** Splits `--name value` pairs from the rest; gives the reason where one is unknown, twice there or without its value. */
export function sorted(words: readonly string[], known: readonly string[]): Words | string {
  const files: string[] = []
  const options: Record<string, string> = {}
  for (let i = 0; i < words.length; i += 1) {
    const word = words[i]!
    if (!word.startsWith('-')) {
      files.push(word)
      continue
    }
    const [name, inline] = [word.replace(/=.*$/s, ''), /=(.*)$/s.exec(word)?.[1]]
    if (!known.includes(name)) return `unknown option ${shortly(name)}`
    if (Object.hasOwn(options, name)) return `${shortly(name)} is given twice`
    const value = inline ?? words[(i += 1)]
    if (value === undefined || value === '') return `${name} needs a value`
    options[name] = value
  }
  return { files, options }
}

/** The one file a command takes. */
export function one(command: string, what: string, words: Words): Wrong | string {
  if (words.files.length === 0) return wrong(`${command} needs ${/^[aeiou]/.test(what) ? 'an' : 'a'} ${what}`)
  if (words.files.length > 1) return wrong(`${command} takes one ${what}, got ${words.files.length}`)
  return words.files[0]!
}

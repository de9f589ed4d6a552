/** What the checker of a form says is wrong at one place. */
interface Issue {
  readonly code?: string | undefined
  readonly message: string
  readonly path: readonly PropertyKey[]
  readonly input?: unknown
  readonly expected?: unknown
  readonly minimum?: unknown
  readonly maximum?: unknown
  readonly origin?: unknown
  readonly values?: readonly unknown[]
  readonly keys?: readonly string[]
}

const SORTS: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'words',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a record',
  record: 'a record',
}

/** What is wrong with a value, in words that can stand behind its name. */
export function problemWords(issue: Issue): string {
  const { code, message, minimum, maximum, origin } = issue
  // What the form says in words of its own is said so.
  if (!/^(Invalid|Too small|Too big|Unrecognized)/.test(message)) return message
  const counted = origin === 'string' ? ' characters' : origin === 'array' ? ' in the list' : ''
  switch (code) {
    case 'invalid_type':
      return /received undefined/.test(message)
        ? 'it is missing'
        : `${SORTS[String(issue.expected)] ?? 'something else'} is needed`
    case 'too_small':
      return origin === 'string' && minimum === 1
        ? 'it is empty'
        : `at least ${String(minimum)}${counted} is needed`
    case 'too_big':
      return `at most ${String(maximum)}${counted} can be taken`
    case 'not_multiple_of':
      return 'it falls between the steps that can be taken'
    case 'invalid_value':
      return `one of ${(issue.values ?? []).slice(0, 12).map(String).join(', ')} is needed`
    case 'invalid_format':
      return `${message.replace(/^Invalid string: /, '')} is needed`
    case 'unrecognized_keys':
      return `${issue.keys?.[0]?.slice(0, 40) ?? 'something'} is not known here`
    default:
      return message.replace(/^(Invalid input|Invalid string|Too small|Too big): /, '')
  }
}

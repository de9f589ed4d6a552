/** What a browser's own errors mean, by name: many come without a message. */
const MEANT: Readonly<Record<string, string>> = {
  QuotaExceededError: 'the storage that the browser gives this page is full',
  InvalidStateError: 'the browser has closed its storage',
  SecurityError: 'the browser does not let this page keep data',
  AbortError: 'the browser broke off',
  TimeoutError: 'the server did not answer in time',
  NotAllowedError: 'the browser does not allow it',
  DataCloneError: 'it can’t be kept by the browser',
  ConstraintError: 'something of that name is kept already',
  UnknownError: 'the browser could not read or write its storage on the disk',
}

/** What a maker can do about it. */
const HELPS: Readonly<Record<string, string>> = {
  QuotaExceededError:
    'Keep the file, then make room: remove jobs or kept drafts that are done with, or other sites’ data in the browser’s settings.',
  InvalidStateError: 'Keep the file, then load this page again.',
  UnknownError: 'Keep the file, see whether the disk is full, then load this page again.',
  NotAllowedError: 'Allow this page to keep data in the browser’s settings; a private window may not.',
  NoAnswer: 'Keep the file; if it stays so, close other tabs of Drumlin and load this page again.',
}

/** Why something could not be done, and what helps: a value, so that it is there even where the browser gave no words. */
export interface Failure {
  readonly why: string
  readonly help: string
}

const nameIn = (error: unknown): string =>
  typeof error === 'object' && error !== null && typeof (error as { name?: unknown }).name === 'string'
    ? (error as { name: string }).name
    : ''

/** An error as something to be said. */
export const failureOf = (error: unknown): Failure => ({
  why: reasonOf(error),
  help: HELPS[nameIn(error)] ?? 'Keep the file before you close this page.',
})

/** Why something failed, in words that can stand in a sentence; never empty. */
export function reasonOf(error: unknown): string {
  if (typeof error === 'object' && error !== null) {
    const name = nameIn(error)
    const { message } = error as { message?: unknown }
    const meant = MEANT[name]
    if (meant) return meant
    if (typeof message === 'string' && message.trim() !== '') return message
    if (name !== '') return name
  }
  const said = String(error).trim()
  return said === '' || said === '[object Object]' ? 'the browser gave no reason' : said
}

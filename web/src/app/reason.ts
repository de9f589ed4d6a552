/** What a browser's own errors mean, by name: many come without a message. */
const MEANT: Readonly<Record<string, string>> = {
  QuotaExceededError: 'the storage that the browser gives this page is full',
  InvalidStateError: 'the browser has closed its storage',
  AbortError: 'the browser broke off',
  NotAllowedError: 'the browser does not allow it',
  DataCloneError: 'it can’t be kept by the browser',
}

/** Why something failed, in words that can stand in a sentence; never empty. */
export function reasonOf(error: unknown): string {
  if (typeof error === 'object' && error !== null) {
    const { name, message } = error as { name?: unknown; message?: unknown }
    const meant = typeof name === 'string' ? MEANT[name] : undefined
    if (meant) return meant
    if (typeof message === 'string' && message.trim() !== '') return message
    if (typeof name === 'string' && name !== '') return name
  }
  const said = String(error).trim()
  return said === '' || said === '[object Object]' ? 'the browser gave no reason' : said
}

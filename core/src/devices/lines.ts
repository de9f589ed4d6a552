/** Longer than any line a device sends: what comes without an end is no text of one. */
const LONGEST = 200

/** What came of a device so far: whole lines, and what has no end yet. */
export interface Heard {
  readonly lines: readonly string[]
  readonly rest: string
  /** How much was thrown away because no line is so long. */
  readonly lost: number
}

export const NOTHING_HEARD = ''

/** Lines of what a device sends in pieces as they happen to come: ended by a return, a line feed or both. */
export function heard(rest: string, more: string): Heard {
  const parts = (rest + more).split(/\r\n|\r|\n/)
  const open = parts.pop() ?? ''
  const lines = parts.map((l) => l.trim()).filter((l) => l !== '')
  return open.length > LONGEST ? { lines, rest: '', lost: open.length } : { lines, rest: open, lost: 0 }
}

/** Something in a drawing file that can't be taken rightly; the message is the sentence the maker reads. */
export class Unreadable extends Error {}

/** The most strokes and pieces of strokes that a drawing is read with. */
export const MOST_STROKES = 50_000
export const MOST_PIECES = 200_000
/** A coordinate beyond this, in the file's units, is a mistake of whoever wrote it. */
const FARTHEST = 1e7

/** What is said of a drawing with too much in it. */
export const tooMuch = (): Unreadable =>
  new Unreadable(
    `It holds more than ${MOST_STROKES.toLocaleString('en')} lines, or ${MOST_PIECES.toLocaleString('en')} pieces of lines. Keep only the outline in it and save it again.`,
  )

/** Words of a file as they can stand in a sentence: short, on one line. */
export const quoted = (text: string, max = 40): string => {
  // eslint-disable-next-line no-control-regex
  const plain = text.replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g, ' ').trim()
  return `“${plain.length > max ? `${plain.slice(0, max)}…` : plain}”`
}

const NUMBER = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?$/

/** A number as files write it, wholly; undefined where the text is anything else. */
export const strictNumber = (text: string): number | undefined => {
  const trimmed = text.trim()
  const value = NUMBER.test(trimmed) ? Number(trimmed) : NaN
  return Number.isFinite(value) ? value : undefined
}

/** A coordinate within reason. Throws `Unreadable`; `what` and `where` say what it is of. */
export function coordinate(text: string, what: string, where: string): number {
  const value = strictNumber(text)
  if (value === undefined) {
    const comma = /^[+-]?\d+,\d+$/.test(text.trim()) ? ' Decimals have to be written with a point.' : ''
    throw new Unreadable(`${where}: ${quoted(text)} is not a number: ${what}.${comma}`)
  }
  if (Math.abs(value) > FARTHEST) throw new Unreadable(`${where}: ${quoted(text)} is too large: ${what}.`)
  return value
}

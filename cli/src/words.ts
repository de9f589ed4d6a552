/** What was typed as it can stand in a message: on one line and not the whole of a long one. */
export function shortly(text: string, max = 80): string {
  // eslint-disable-next-line no-control-regex
  const plain = text.replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g, ' ')
  return plain.length > max ? `${plain.slice(0, max / 2)}…${plain.slice(-max / 4)}` : plain
}

/** A number as one writes it: digits, one point or comma, an exponent; NaN for anything else. */
export const strictly = (text: string): number =>
  /^[+-]?(?:\d+[.,]?\d*|[.,]\d+)(?:[eE][+-]?\d+)?$/.test(text.trim())
    ? Number(text.trim().replace(',', '.'))
    : NaN

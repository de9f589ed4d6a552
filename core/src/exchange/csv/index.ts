/** A cell of RFC 4180; a formula of a table program is no formula here. */
function cell(value: string | number): string {
  const text = String(value)
  const plain = /^[=+\-@\t\r]/.test(text) && typeof value === 'string' ? `'${text}` : text
  return /[",\n\r]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain
}

/** Rows as CSV, each ended as RFC 4180 wants it. */
export const csvOf = (all: readonly (readonly (string | number)[])[]): string =>
  `${all.map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`

/** What stands in a table on the screen, row by row: its head first. Cells that only hold buttons say nothing. */
export function tableRows(table: HTMLTableElement): string[][] {
  return [...table.rows]
    .map((row) => [...row.cells].map(cellText))
    .filter((row) => row.some((text) => text !== ''))
}

function cellText(cell: HTMLTableCellElement): string {
  const fields = [...cell.querySelectorAll('input')].map((f) => f.value)
  const said = (cell.innerText || cell.textContent || '').replace(/\s+/g, ' ').trim()
  return fields.length > 0 ? [...fields, said].filter(Boolean).join(' ') : said
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

/** The rows for the clipboard: cells apart by tabs for a table program, and as a table for a text. */
export function tableForms(rows: readonly (readonly string[])[]): { plain: string; html: string } {
  const cells = (row: readonly string[], tag: 'th' | 'td'): string =>
    row.map((text) => `<${tag}>${escaped(text)}</${tag}>`).join('')
  return {
    plain: rows.map((row) => row.join('\t')).join('\n'),
    html: `<table>${rows.map((row, i) => `<tr>${cells(row, i === 0 ? 'th' : 'td')}</tr>`).join('')}</table>`,
  }
}

import firstSteps from '../../../docs/first-steps.md?raw'
import formulas from '../../../docs/formulas.md?raw'
import glossary from '../../../docs/glossary.md?raw'
import hides from '../../../docs/hides.md?raw'
import ledger from '../../../docs/ledger.md?raw'
import making from '../../../docs/making.md?raw'
import devices from '../../../docs/devices.md?raw'
import paper from '../../../docs/paper.md?raw'
import parts from '../../../docs/parts.md?raw'
import settings from '../../../docs/settings.md?raw'
import { Marked } from 'marked'
import { anchorOf, wordAnchor } from './anchors.js'

/** The makers' docs as they ship with the app, read without a network. */
export const PAGES = [
  { id: 'first-steps', label: 'First steps', text: firstSteps },
  { id: 'parts', label: 'Parts', text: parts },
  { id: 'hides', label: 'Hides', text: hides },
  { id: 'making', label: 'Making', text: making },
  { id: 'ledger', label: 'Price and Ledger', text: ledger },
  { id: 'paper', label: 'Paper and files', text: paper },
  { id: 'devices', label: 'Devices', text: devices },
  { id: 'words', label: 'Words', text: glossary },
  { id: 'formulas', label: 'Formulas', text: formulas },
  { id: 'settings', label: 'Settings', text: settings },
] as const
export type PageId = (typeof PAGES)[number]['id']

const drawings: Readonly<Record<string, string>> = import.meta.glob('../../../docs/drawings/*.svg', {
  eager: true,
  query: '?url',
  import: 'default',
})

export interface HelpPage {
  readonly html: string
  readonly headings: readonly { readonly anchor: string; readonly text: string }[]
}

/** A page as HTML, with its headings as anchors and its drawings from the build. */
export function helpPage(id: PageId): HelpPage {
  const headings: { anchor: string; text: string }[] = []
  const marked = new Marked({
    renderer: {
      heading({ tokens, depth, text }) {
        const anchor = anchorOf(text)
        if (depth === 2) headings.push({ anchor, text })
        return `<h${depth} id="${anchor}" tabindex="-1">${this.parser.parseInline(tokens)}</h${depth}>`
      },
      // A word of the glossary can be led to; each of several that share a meaning.
      listitem({ tokens, text }) {
        const words = /^\*\*(.+?)\*\*/.exec(text)?.[1]?.split(', ') ?? []
        const anchors = words.map((w) => `<span id="${wordAnchor(w)}" tabindex="-1"></span>`)
        return `<li>${anchors.join('')}${this.parser.parse(tokens)}</li>`
      },
      image({ href, text }) {
        const url = drawings[`../../../docs/${href}`] ?? href
        return `<img src="${url}" alt="${text}">`
      },
    },
  })
  const page = PAGES.find((p) => p.id === id) ?? PAGES[0]
  return { html: marked.parse(page.text, { async: false }), headings }
}

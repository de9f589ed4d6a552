import firstSteps from '../../../docs/first-steps.md?raw'
import formulas from '../../../docs/formulas.md?raw'
import glossary from '../../../docs/glossary.md?raw'
import settings from '../../../docs/settings.md?raw'
import { Marked } from 'marked'

/** The makers' docs as they ship with the app, read without a network. */
export const PAGES = [
  { id: 'first-steps', label: 'First steps', text: firstSteps },
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

/** What a heading is reached by: its section where it has one, else its words. */
export const anchorOf = (heading: string): string =>
  /^§(\d+)/.exec(heading)?.[1] ??
  heading
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')

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
      image({ href, text }) {
        const url = drawings[`../../../docs/${href}`] ?? href
        return `<img src="${url}" alt="${text}">`
      },
    },
  })
  const page = PAGES.find((p) => p.id === id) ?? PAGES[0]
  return { html: marked.parse(page.text, { async: false }), headings }
}

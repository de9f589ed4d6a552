import glossary from '../../../docs/glossary.md?raw'

/** What the glossary says of each word: `- **word, other word**: meaning`, without the marks of emphasis. */
const MEANINGS: ReadonlyMap<string, string> = new Map(
  [...glossary.matchAll(/^- \*\*(.+?)\*\*(?:: |, )?([\s\S]*?)(?=\n- |\n\n|$(?![\s\S]))/gm)].flatMap(
    ([, words = '', said = '']) => {
      const plain = said.replace(/[*]/g, '').replace(/\s+/g, ' ').trim()
      const text = plain.charAt(0).toUpperCase() + plain.slice(1)
      return words.split(', ').map((word) => [word, text] as const)
    },
  ),
)

/** The meaning of a word of ours, as the glossary gives it; undefined for a word that is not in it. */
export const meaningOf = (word: string): string | undefined => MEANINGS.get(word)

/** What a heading is reached by: its section where it has one, else its words. */
export const anchorOf = (heading: string): string =>
  /^§(\d+)/.exec(heading)?.[1] ??
  heading
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')

/** What a word of the glossary is reached by. */
export const wordAnchor = (word: string): string => `word-${anchorOf(word)}`

import type { Reckoned, Term } from '../working/index.js'

/** Which quick reckoner, and which of its answers, gives a number; and where its inputs stand in that number's working. */
export interface Use {
  readonly entry: string
  readonly answer: string
  /** By input id: the names of inputs from the working down, parted by dots. */
  readonly from: Readonly<Record<string, string>>
}

const DIFFERENCE = { inside: 'ti', outside: 'to', between: 'notes' }
const inDifference = (prefix: string): Record<string, string> =>
  Object.fromEntries(Object.entries(DIFFERENCE).map(([id, name]) => [id, `${prefix}${name}`]))
const BETWEEN = { card: 'card', rise: 'room.rise', stretch: 'room.stretch' }
const TURN = { width: 'width', thickness: 'cost.thickness', core: 'cost.core', k: 'cost.k' }

/** By the key of the working; a star stands for the panel and the edge or fold. */
const USES: readonly (Use & { readonly key: RegExp })[] = [
  { key: /^fold\.difference$/, entry: 'fold-difference', answer: 'in full', from: inDifference('middles.') },
  {
    key: /^fold\.taken$/,
    entry: 'fold-difference',
    answer: 'cut longer by',
    from: { ...inDifference('difference.middles.'), share: 'share' },
  },
  {
    key: /^fold\.insideBend$/,
    entry: 'book-fold',
    answer: 'used up by the fold',
    from: { gap: 'gap', thickness: 'thickness', k: 'k' },
  },
  {
    key: /^pocket\.sideRoom$/,
    entry: 'pocket-width',
    answer: 'room a side',
    from: { rise: 'rise', stretch: 'stretch' },
  },
  { key: /^pocket\.between$/, entry: 'pocket-width', answer: 'between the stitches', from: BETWEEN },
  {
    key: /^pocket\.width$/,
    entry: 'pocket-width',
    answer: 'panel',
    from: {
      ...Object.fromEntries(Object.entries(BETWEEN).map(([id, path]) => [id, `between.${path}`])),
      margin: 'margin',
      hole: 'hole',
    },
  },
  { key: /\.allowance$/, entry: 'turned-edge', answer: 'cut beyond the finished edge', from: TURN },
  {
    key: /\.foldTo$/,
    entry: 'turned-edge',
    answer: 'fold-to line, from the cut edge',
    from: {
      width: 'width',
      ...Object.fromEntries(
        Object.entries(TURN)
          .filter(([id]) => id !== 'width')
          .map(([id, path]) => [id, `allowance.${path}`]),
      ),
    },
  },
]

/** Where the pocket book answers for a computed number, if it does. */
export const usedFor = (key: string): Use | undefined => USES.find((u) => u.key.test(key))

/** The numbers of a working that its quick reckoner asks for, by input id; what is not there keeps its usual value. */
export function prefilled(reckoned: Reckoned): Readonly<Record<string, number>> {
  const use = usedFor(reckoned.key)
  if (!use) return {}
  const find = (path: string): Term | undefined =>
    path
      .split('.')
      .reduce<Term | undefined>(
        (term, name) => (term?.kind === 'reckoned' ? term.inputs[name] : undefined),
        reckoned,
      )
  return Object.fromEntries(
    Object.entries(use.from).flatMap(([id, path]) => {
      const term = find(path)
      return term ? [[id, Math.round(term.value * 1000) / 1000]] : []
    }),
  )
}

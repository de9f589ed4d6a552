import { ENTRIES } from './entries.js'
import type { Entry } from './entry.js'

/** Sections of docs/formulas.md as makers meet them, from the leather to the last fitting. */
const ORDER = [
  { title: 'Leather and thread by their labels', sections: ['§1'] },
  { title: 'Leather to buy', sections: ['§14'] },
  { title: 'How leather bends', sections: ['§0'] },
  { title: 'Folds', sections: ['§2', '§3'] },
  { title: 'Card pockets', sections: ['§9'] },
  { title: 'Edges', sections: ['§4'] },
  { title: 'Grooves', sections: ['§5'] },
  { title: 'Gussets and bag seams', sections: ['§8'] },
  { title: 'Straps and handles', sections: ['§10'] },
  { title: 'Holes', sections: ['§7'] },
  { title: 'Thread', sections: ['§6', '§19'] },
  { title: 'Wet moulding', sections: ['§11'] },
  { title: 'Hardware', sections: ['§12'] },
  { title: 'Turning inside out', sections: ['§13'] },
] as const

export interface Group {
  readonly title: string
  readonly entries: readonly Entry[]
}

/** The quick reckoners in the order of the work. */
export const GROUPS: readonly Group[] = ORDER.map(({ title, sections }) => ({
  title,
  entries: ENTRIES.filter((e) => (sections as readonly string[]).includes(e.section)),
}))

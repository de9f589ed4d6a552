import { defineKind } from './kind.js'
import { settings } from '../settings/index.js'

/** Nothing given: every panel is drawn by hand. */
export const byHand = defineKind({
  id: 'by-hand',
  name: 'Drawing by hand',
  about: 'every panel drawn: from shapes, readings, points or a file',
  settings: settings({}),
  roles: [
    { id: 'outside', label: 'Outside', why: 'what shows and carries; panels, flaps, straps', usual: 1.4 },
    { id: 'inside', label: 'Inside', why: 'pockets and dividers; lighter than the outside', usual: 0.9 },
  ],
  brief: [],
  sentences: {},
  master: () => ({ panels: [], layups: [], joins: [], matches: [], fits: [], carries: [], sizes: [] }),
})

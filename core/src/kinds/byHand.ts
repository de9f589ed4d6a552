import { z } from 'zod'
import type { Kind } from './kind.js'

/** Nothing given: every panel is drawn by hand. */
export const byHand: Kind<Record<string, never>> = {
  id: 'by-hand',
  name: 'Drawing by hand',
  about: 'every panel drawn: from shapes, readings, points or a file',
  params: z.strictObject({}),
  defaults: {},
  roles: [
    { id: 'outside', label: 'Outside', why: 'what shows and carries; panels, flaps, straps', usual: 1.4 },
    { id: 'inside', label: 'Inside', why: 'pockets and dividers; lighter than the outside', usual: 0.9 },
  ],
  fields: [
    {
      type: 'leather',
      id: 'leather-outside',
      label: 'leather of the outside',
      path: ['leathers', 'outside'],
      role: 'outside',
    },
    {
      type: 'leather',
      id: 'leather-inside',
      label: 'leather of the inside',
      path: ['leathers', 'inside'],
      role: 'inside',
    },
  ],
  brief: [],
  sentences: {},
  master: () => ({ panels: [], layups: [], joins: [], matches: [], fits: [], carries: [], sizes: [] }),
}

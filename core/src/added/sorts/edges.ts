import { length, settings } from '../../settings/index.js'
import { type AddedSort, defineSort } from '../sort.js'

const SKIVE = settings({
  width: length('width of the skive', 1, 120, 8),
  start: length('left at the edge', 0.1, 8, 0.8, { step: 0.05 }),
  end: length('left where the skive ends', 0.1, 8, 8, { step: 0.05 }),
})

/** A skive along an edge: so thin at the edge, so thick where it ends. */
export const skive: AddedSort = defineSort({
  id: 'skive',
  name: 'skive',
  about: 'thinned along an edge, by width and by what is left at both sides of it',
  takes: 'edge',
  sided: false,
  settings: SKIVE,
  leathers: [],
  says: ['It is {width} wide; {start} is left at the edge and {end}, or the whole leather, where it ends.'],
  make: ({ id, name, p, edge, thickness }) => ({
    host: (panel) => ({
      ...panel,
      skives: [
        ...(panel.skives ?? []),
        {
          key: `${panel.id}.${id}`,
          name: name.toLowerCase(),
          chain: [edge],
          width: p.width,
          start: Math.min(p.start, thickness),
          end: Math.min(p.end, thickness),
        },
      ],
    }),
  }),
})

const LONG = settings({ by: length('how much longer', 1, 200, 15, { step: 1 }) })

/** An edge left long and cut on the work: for those who fold it round, mark it and cut. */
export const long: AddedSort = defineSort({
  id: 'long',
  name: 'edge left long',
  about: 'left longer than figured: laid round on the work, marked with a square and cut there',
  takes: 'edge',
  sided: false,
  settings: LONG,
  leathers: [],
  says: [
    'It is cut {by} longer, laid round what it covers, marked along a square and cut to length on the work.',
  ],
  make: ({ p, edge }) => ({
    host: (panel) => ({
      ...panel,
      edges: panel.edges.map((e) => (e.id === edge ? { ...e, fate: { type: 'long', by: p.by } } : e)),
    }),
  }),
})

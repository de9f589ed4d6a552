import { firstOf } from '../lists/index.js'
import { setField } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import { sewingOrder } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import { placeOnSheet } from './places.js'

/** Seams that no order of sewing leaves open to the needle. */
export const coveredBeforeSewn = check({
  code: 'covered-before-sewn',
  screen: 'seams',
  find: (derived) =>
    sewingOrder(derived.runs, derived.works).stuck.map(({ run, by }) => ({
      key: `covered-before-sewn:${run.join.id}`,
      rank: 'stop' as const,
      // Seams that wait for each other are one trouble: told by the one under most.
      cause: { id: 'order', severity: by.length },
      run: run.join.id,
      places: placeOnSheet(derived, run.join, run.join.course.sheet, firstOf(run.holes).at),
      about: run.join.name,
      data: { covers: by.length, by: by.join(', ') },
    })),
  say: ({ about, data }) => ({
    what:
      data.covers === 1
        ? `The ${about} can’t be reached: ${data.by} lies over it, and is held by a seam that has to come first.`
        : `The ${about} can’t be reached: ${data.by} lie over it, and are held by seams that have to come first.`,
    why: 'Whichever is sewn first covers the other. Glue one of them, or let the run end before the other piece begins.',
  }),
  // Feet that are glued need not be reached; what is sewn to a lining does not go through the front.
  fixes: (_finding, { kind }): Fix[] => {
    const ways = [
      { id: 'feet', value: 'glued', label: 'glue the feet of the pockets' },
      { id: 'lining', value: 'lined', label: 'a lining, sewn to before it is glued in' },
    ]
    return fieldsOf(kind).flatMap((field) => {
      const way = ways.find((w) => w.id === field.id)
      return way
        ? [
            {
              label: way.label.charAt(0).toUpperCase() + way.label.slice(1),
              edit: setField(way.label, field.path, way.value),
            },
          ]
        : []
    })
  },
})

import { type Derived, onlyLayers } from '../derived/index.js'
import { laidUpOf } from '../layup/index.js'
import { nth } from '../lists/index.js'
import type { Join } from '../master/index.js'
import { check } from './finding.js'
import { placeOnSheet } from './places.js'

/** Whether a join should hold more than the piece it is sewn on: others, its other edge, or its own turned border. */
const holdsMore = ({ works }: Derived, { through, mate, course, layup }: Join): boolean =>
  through.length > 1 ||
  mate !== undefined ||
  laidUpOf(works, layup).sheets.some((s) => s.part === 'turn' && s.sheet.id === course.sheet)

/** A seam under which only one of the layers lies that it should hold together. */
export const holdsOneLayer = check({
  code: 'holds-one-layer',
  screen: 'seams',
  find: (derived) =>
    derived.runs.flatMap((run) => {
      const { join } = run
      if (join.decor || !holdsMore(derived, join)) return []
      const [only] = onlyLayers(derived, run)
      if (only === undefined) return []
      return [
        {
          key: `holds-one-layer:${join.id}`,
          rank: 'look' as const,
          run: join.id,
          places: placeOnSheet(derived, join, join.course.sheet, nth(run.holes, 0).at),
          about: join.name,
          data: { layer: only },
        },
      ]
    }),
  say: ({ about, data }) => ({
    what: `Only the ${data.layer} lies under the ${about}: it holds nothing.`,
    why: 'What it should be sewn to ends before it. Make that larger, or bring the two nearer together.',
  }),
  fixes: () => [],
})

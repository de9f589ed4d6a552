import { dropWishes } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import { check } from './finding.js'

/** Ids of runs the maker decided something for, of which the design has none any more. */
function goneRuns({ design, master, runs }: Derived): string[] {
  const { sewing } = design
  const merged = sewing.merges.map((m) => m.then)
  const known = new Set([
    ...runs.map((r) => r.join.id),
    ...master.joins.map((j) => j.id),
    ...merged.filter((id) =>
      runs.some((r) => sewing.merges.some((m) => m.then === id && m.first === r.join.id)),
    ),
  ])
  const wished = [
    ...Object.keys(sewing.runs),
    ...Object.keys(sewing.splits),
    ...sewing.merges.flatMap((m) => [m.first, m.then]),
    ...sewing.lines.map((l) => l.id),
  ]
  return [...new Set(wished)].filter((id) => !known.has(id))
}

/** Wishes that wait for a run the design no longer has. */
export const wishGone = check({
  code: 'wish-gone',
  screen: 'seams',
  find: (derived) => {
    const gone = goneRuns(derived)
    return gone.length === 0
      ? []
      : [
          {
            key: 'wish-gone',
            rank: 'tip' as const,
            places: [],
            about: 'runs that are gone',
            data: { count: gone.length, gone: gone.join(' ') },
          },
        ]
  },
  say: ({ data }) => ({
    what:
      data.count === 1
        ? 'Something was decided for a run that is no longer there.'
        : `Something was decided for ${data.count} runs that are no longer there.`,
    why: 'It is kept in case the run comes back with its piece; forget it if it will not.',
  }),
  fixes: ({ data }, { design }) => [{ label: 'Forget it', edit: dropWishes(design, data.gone.split(' ')) }],
})

import { firstOf } from '../lists/index.js'
import { setSchool, wishRuns } from '../design/index.js'
import { printLength } from '../measure/index.js'
import { tiedRun, zipFor } from '../derived/index.js'
import { type Fix, check } from './finding.js'
import { isSecondTwin, placeOnSheet, runNamed } from './places.js'

/** The two edges of a seam have holes of their own, and not as many: the last ones find no mate. */
export const unequalHoles = check({
  code: 'unequal-holes',
  screen: 'seams',
  find: (derived) => {
    const told = new Set<string>()
    return derived.runs.flatMap((run) => {
      if (isSecondTwin(run.join, told) || told.has(run.join.id)) return []
      // Holes that go through all layers meet of themselves.
      if (!run.other && !tiedRun(derived, run)) return []
      const zip = zipFor(derived, run)
      if (!zip.back || zip.extra.length === 0) return []
      told.add(run.join.id)
      // A tie is told from the first of its two runs.
      for (const other of derived.runs)
        if (other.join.course.sheet === zip.back.sheet && !run.other) told.add(other.join.id)
      const first = firstOf(zip.extra)
      const at = (first.on === 'front' ? zip.front : zip.back).holes[first.hole]?.at
      const onFront = first.on === 'front' || run.other !== undefined
      return [
        {
          key: `unequal-holes:${run.join.id}`,
          rank: 'stop' as const,
          run: run.join.id,
          places: at && onFront ? placeOnSheet(derived, run.join, run.join.course.sheet, at) : [],
          hole: first.hole,
          about: run.other && run.join.twin ? (run.join.pairName ?? run.join.name) : run.join.name,
          data: {
            front: { name: zip.front.name, holes: zip.front.holes.length },
            back: { name: zip.back.name, holes: zip.back.holes.length },
            many: zip.extra.length,
            more: first.on === 'front' ? zip.front.name : zip.back.name,
            from: first.between[0],
            to: first.between[1],
          },
        },
      ]
    })
  },
  say: ({ about, data }) => ({
    what: `${data.front.holes} holes on the ${data.front.name}, ${data.back.holes} on the ${data.back.name} (${about}): ${data.many === 1 ? 'one' : data.many} too many on the ${data.more}${data.many === 1 ? `, between ${data.from} and ${data.to}` : ''}.`,
    why: 'Sewn hole to hole the edges creep past each other and the last holes are left over.',
  }),
  fixes: ({ run }, derived, _tryOut, unit): Fix[] => {
    const own = runNamed(derived, run)
    if (!own.other) return []
    const ids = [own.join.id, ...(own.join.twin ? [own.join.twin] : [])]
    const zip = zipFor(derived, own)
    const spread = `ease the ${own.join.name} evenly`
    const corners = `ease the ${own.join.name} in at the corners`
    const rounded = own.path.segments.some((s) => s.type !== 'line')
    return [
      ...(zip.ease === undefined || zip.ease.share <= zip.ease.limit
        ? [
            {
              label: `Give both as many holes, ${zip.ease ? `easing in ${printLength(zip.ease.by, unit)} evenly` : 'evenly spread'}`,
              edit: wishRuns(spread, ids, { ease: 'spread' }),
            },
          ]
        : []),
      ...(rounded
        ? [
            {
              label: 'Give both as many holes, the ease in the corners',
              edit: wishRuns(corners, ids, { ease: 'corners' }),
            },
          ]
        : []),
      {
        label: 'Punch through all layers at once',
        edit:
          own.ways.wish.holes === undefined
            ? setSchool('punch through all layers at once', 'through')
            : wishRuns('punch through all layers at once', ids, { holes: 'through' }),
      },
    ]
  },
})

import { firstOf } from '../lists/index.js'
import { type Path, flipAbout, pathBox, pathMoved, isNear, pathPoints, boxCentre } from '../geometry/index.js'
import { check } from './finding.js'

/** An outline differs from its mirror image by more than this, mm. */
const SYMMETRIC = 0.3

const isSymmetric = (outline: Path): boolean => {
  const mirrored = pathMoved(outline, flipAbout(boxCentre(pathBox(outline)).x))
  return pathPoints(mirrored, 1).every((p) => isNear(outline, p, SYMMETRIC))
}

/** Both of a pair cut with the same hand, where the work takes a left one and a right one. */
export const sameHand = check({
  code: 'same-hand',
  find: ({ panels, works }) =>
    panels.flatMap((panel) => {
      if (panel.count < 2 || panel.flipped > 0) return []
      const hands = (works[0]?.sheets ?? []).flatMap(({ sheet, part }) => {
        if (part !== 'whole' || sheet.type !== 'panel' || sheet.panelId !== panel.id) return []
        const { a, b, c, d } = sheet.move
        return [a * d - b * c > 0 === sheet.grainUp]
      })
      if (!hands.includes(true) || !hands.includes(false) || isSymmetric(panel.outline)) return []
      return [
        {
          key: `same-hand:${panel.id}`,
          rank: 'stop' as const,
          places: [{ panelId: panel.id, at: firstOf(panel.outline.segments).from }],
          about: panel.name,
          data: { count: panel.count },
        },
      ]
    }),
  say: ({ about, data }) => ({
    what: `All ${data.count} of ${about} would be cut with the same hand.`,
    why: 'The work takes a left one and a right one: turn the pattern over for half of them.',
  }),
  fixes: () => [],
})

import { putAside } from '../design/index.js'
import { type Group, extentOf, groupsOf, hideSize, laidThere, pieceName, turnsOf } from '../hide/index.js'
import { regionArea } from '../geometry/index.js'
import { printArea } from '../measure/index.js'
import { check } from './finding.js'

/** No more names than this are told. */
const TOLD = 6

const told = (names: readonly string[]): string =>
  names.length > TOLD
    ? `${names.slice(0, TOLD).join(', ')} and ${names.length - TOLD} more`
    : names.join(', ')

/** Pieces that no hide of their material is large enough for, whichever way they may lie. */
function tooLarge({ wanted, hides, asked }: Group, id: string): boolean {
  const one = wanted.find((w) => w.id === id)
  if (!one) return false
  return !turnsOf(one, asked.anyAngle).some((turn) => {
    const { left, top, right, bottom } = extentOf(
      laidThere(one.demand.outline, one.over, { turn, x: 0, y: 0 }),
    )
    return hides.some((h) => {
      const { long, wide } = hideSize(h)
      return right - left <= long && bottom - top <= wide
    })
  })
}

/** Pieces for which no place was found on the hides, once others lie there. */
export const noPlaceOnHide = check({
  code: 'no-place-on-hide',
  screen: 'hide',
  find: (derived) => {
    if (derived.design.cutting.hides.length === 0) return []
    return groupsOf(derived).flatMap((group) => {
      const { asked, wanted } = group
      if (asked.lying.length === 0) return []
      const lies = new Set([...asked.lying.map((l) => l.id), ...asked.aside])
      const left = wanted.filter((w) => !lies.has(w.id))
      if (left.length === 0) return []
      const large = left.filter((w) => tooLarge(group, w.id))
      return [
        {
          key: `no-place-on-hide:${group.of}`,
          rank: 'look' as const,
          places: [],
          about: group.material,
          data: {
            material: group.material,
            area: left.reduce((sum, w) => sum + regionArea([w.demand.outline]), 0),
            ids: left.map((w) => w.id),
            names: left.map((w) => pieceName(w, wanted)),
            large: large.map((w) => pieceName(w, wanted)),
          },
        },
      ]
    })
  },
  say: ({ data: { material, names, large, area } }, unit) => ({
    what: `${names.length} ${names.length === 1 ? 'piece has' : 'pieces have'} no place on the hides of ${material}: ${told(names)}; ${printArea(area, unit)} of leather are missing, without waste.${
      large.length > 0 ? ` No hide is large enough for ${told(large)}.` : ''
    }`,
    why: 'Take another hide, join what is too long, or leave them out.',
  }),
  fixes: ({ data: { ids, material } }, { design }) => [
    {
      label: 'Leave them out of this cutting',
      edit: putAside(design, `leave out what has no place on ${material}`, ids, true),
    },
  ],
})

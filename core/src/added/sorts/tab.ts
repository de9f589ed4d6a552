import { BOOK_FOLD } from '../../formulas/index.js'
import { moveThen, point } from '../../geometry/index.js'
import { clipMoved } from '../../master/index.js'
import { foldedInTwo, lineSeam, needed, plainPanel, present, rectangleShape } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import { given } from '../../working/index.js'
import { type Spot, lyingAt } from '../place.js'
import { type AddedSort, type Laid, defineSort } from '../sort.js'
import { FINISH, cutEdge } from './common.js'

const SETTINGS = settings(
  {
    wide: length('width of the tab', 6, 80, 20),
    end: length('length of its ends', 10, 120, 28),
    held: choice('how its ends are held', 'sewn', [
      ['sewn', 'sewn in two rows along the pull', 'none across it, where it would tear'],
      ['riveted', 'riveted', 'put the rivets on it where you want them'],
    ]),
    margin: length('rows from its edges', 1, 12, 3),
    finish: FINISH,
  },
  { inPlay: { margin: (p) => p.held === 'sewn' } },
)

/** Its two leaves, the fold at the place. Lengths mm. */
const folded = (spot: Spot, wide: number, end: number, length: number, side: 'grain' | 'flesh'): Laid[] => {
  const there = lyingAt(spot, wide / 2, side)
  return foldedInTwo(length, end).map(({ suffix, move, clips }) => ({
    suffix,
    move: moveThen(move, there),
    clips: clips.map((c) => clipMoved(c, there)),
  }))
}

/** A tab folded round a ring, both ends on the same piece. */
export const tab: AddedSort = defineSort({
  id: 'tab',
  name: 'tab with a ring',
  about: 'a strip folded round a ring, its ends sewn or riveted down',
  takes: 'spot',
  sided: true,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'tab' }],
  hardware: 'ring',
  usual: { inward: 10 },
  says: [
    'It is {wide} wide, its ends {end} long; they are {held}[, {margin} from its edges]; its edges are {finish}.',
  ],
  make: ({ id, name, p, side, reckon, leathers, hardware }) => {
    const [leather, ring] = [leathers[id], hardware[id]]
    const size = reckon(
      {
        key: `${id}.length`,
        label: 'tab round its ring, both ends',
        formula: `2 × {end} + ${BOOK_FOLD}`,
        source: '§10',
      },
      {
        end: given('end', p.end),
        gap: given('ring', ring?.bar ?? 0, 'thickness'),
        k: given('neutral-axis factor', leather?.neutral ?? 0.5, 'share'),
        thickness: given('leather', leather?.thickness ?? 0, 'thickness'),
      },
    )
    const panel = plainPanel({
      id,
      name,
      role: id,
      pull: Math.PI / 2,
      folds: [
        {
          id: 'ring',
          name: 'fold round the ring',
          from: point(0, size.value / 2),
          to: point(p.wide, size.value / 2),
          width: Math.max(0, size.value - 2 * p.end),
          rises: 'mountain',
        },
      ],
      ...rectangleShape(p.wide, size.value, {}, () => cutEdge(p.finish)),
    })
    const inset = Math.min(p.margin, p.wide / 4)
    return {
      pieces: [
        {
          panel,
          side,
          lies: (spot) => folded(spot, p.wide, p.end, size.value, side),
          joins: ({ own, host, id: seam, name: called, behind }) =>
            p.held === 'riveted'
              ? []
              : [inset, p.wide - inset].map((x, i) =>
                  lineSeam({
                    id: `${seam}-${i + 1}`,
                    name: `${called}, row ${i + 1}`,
                    sheet: own,
                    points: [point(x, size.value - p.end + inset), point(x, size.value - 2)],
                    through: [own, `${own}-under`, host, ...behind],
                    back: [1, 1],
                    free: true,
                  }),
                ),
        },
      ],
      holding: { through: 'none', first: true },
      sizes: [{ panelId: id, size }],
      fits: ring
        ? [
            {
              id: `through-${id}`,
              rank: 'stop',
              what: `the ${name.toLowerCase()} through the ${ring.name}`,
              panelId: id,
              at: point(p.wide / 2, p.end),
              why: 'it does not go through: take a wider ring, or a narrower tab',
              keys: [],
              needs: needed(reckon, `fit.${id}`, 'wide', p.wide, '§21'),
              has: present(reckon, `fit.${id}.has`, 'clear width', given('clear width', ring.across), '§21'),
            },
          ]
        : [],
    }
  },
})

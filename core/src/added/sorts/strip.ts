import { point } from '../../geometry/index.js'
import { clipAt, clipMoved } from '../../master/index.js'
import { lineSeam, plainPanel, rectangleShape } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import { given } from '../../working/index.js'
import { lyingAt } from '../place.js'
import { type AddedSort, defineSort } from '../sort.js'
import { FINISH, cutEdge } from './common.js'

const SETTINGS = settings({
  wide: length('width of the strap', 6, 100, 20),
  free: length('length of its free part', 10, 1500, 90, { step: 1 }),
  end: length('length of its held end', 8, 120, 25),
  held: choice('how its end is held', 'sewn', [
    ['sewn', 'sewn', 'two rows along the pull, and one across at the very end'],
    ['riveted', 'riveted', 'put the rivets on it where you want them'],
  ]),
  tip: choice('its free end', 'round', [
    ['round', 'round', 'put a snap on it, or holes for a stud'],
    ['straight', 'cut straight', 'goes into a buckle or a clamp'],
  ]),
  margin: length('rows from its edges', 1, 12, 3),
  finish: FINISH,
})

/** A strap that is held at one end: over the mouth inside, round a rolled thing, for a latch. */
export const strip: AddedSort = defineSort({
  id: 'strip',
  name: 'strap',
  about:
    'held at one end: over the mouth inside, round what is rolled, for a latch; put a snap on its free end',
  takes: 'spot',
  sided: true,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'strap' }],
  usual: { inward: 30, size: ['wide', 'end'] },
  says: [
    'It is {wide} wide; its end, {end} long, is {held}, and {free} of it are free.',
    'The free end is {tip}; rows {margin} from its edges, which are {finish}.',
  ],
  make: ({ id, name, p, side, reckon }) => {
    const long = reckon(
      {
        key: `${id}.length`,
        label: 'length of the strap',
        formula: '{end} held + {free} free',
        source: '§10',
      },
      { end: given('held end', p.end), free: given('free part', p.free) },
    )
    const round = p.tip === 'round' ? p.wide / 2 - 0.5 : 0
    const panel = plainPanel({
      id,
      name,
      role: id,
      pull: Math.PI / 2,
      ...rectangleShape(p.wide, long.value, { footLeft: round, footRight: round }, () => cutEdge(p.finish)),
    })
    const inset = Math.min(p.margin, p.wide / 4, p.end / 4)
    const [left, right, top, foot] = [inset, p.wide - inset, inset, p.end - inset]
    return {
      pieces: [
        {
          panel,
          side,
          within: true,
          // Only its end lies there for good: what is free is not sewn in with anything it hangs over.
          lies: (spot) => {
            const move = lyingAt(spot, p.wide / 2, side)
            const part = (way: 1 | -1) => [clipMoved(clipAt(point(0, p.end), point(0, way)), move)]
            return [
              { suffix: '', move, clips: part(-1) },
              { suffix: '-free', move, clips: part(1), loose: true },
            ]
          },
          joins: ({ own, host, id: seam, name: called, behind }) =>
            p.held === 'riveted'
              ? []
              : [
                  lineSeam({
                    id: seam,
                    name: `end of the ${called}`,
                    sheet: own,
                    points: [point(left, foot), point(left, top), point(right, top), point(right, foot)],
                    through: [own, host, ...behind],
                    back: [2, 2],
                  }),
                ],
        },
      ],
      sizes: [{ panelId: id, size: long }],
    }
  },
})

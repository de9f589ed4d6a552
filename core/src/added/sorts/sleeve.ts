import { boxHeight, boxWidth, moveThen, pathBox, point } from '../../geometry/index.js'
import { type Concern, type Panel, clipMoved } from '../../master/index.js'
import { foldedInTwo, lineSeam, plainPanel, rectangleShape } from '../../kinds/index.js'
import { count, length, settings } from '../../settings/index.js'
import { given } from '../../working/index.js'
import { type Spot, lyingAt } from '../place.js'
import { type AddedSort, type AskedBy, type Laid, defineSort } from '../sort.js'
import { FINISH } from './common.js'

const SETTINGS = settings({
  long: length('length of the sleeve', 20, 300, 90, { step: 1 }),
  layers: count('layers of the strap that it goes round', 1, 6, 2),
  filler: length('filler between them', 0, 15, 0, { step: 0.5 }),
  flange: length('from the strap’s edge to the sleeve’s', 3, 15, 5),
  margin: length('seam from the sleeve’s edge', 1, 8, 2.5),
  trim: length('cut over size and trimmed after sewing', 0, 5, 1.5),
  finish: FINISH,
})

type Asked = AskedBy<typeof SETTINGS>

/** What is reckoned of it: what it goes round, and how far that is from edge to edge. */
function numbersOf({ id, p, host, thickness, reckon, leathers }: Asked) {
  const leather = leathers[id]
  const box = pathBox(host.outline)
  const across = Math.min(boxWidth(box), boxHeight(box))
  const inside = reckon(
    {
      key: `${id}.inside`,
      label: 'thickness that the sleeve goes round',
      formula: '{layers} × {t} + {filler} filler',
      source: '§10',
      quantity: 'thickness',
    },
    {
      layers: given('layers', p.layers, 'count'),
      t: given('strap', thickness, 'thickness'),
      filler: given('filler', p.filler, 'thickness'),
    },
  )
  const wide = reckon(
    {
      key: `${id}.around`,
      label: 'round the strap, from edge to edge',
      formula:
        '2 × ({strap} wide + {flange}) + π × ({inside} / 2 + {k} × {t}) round its edge + {inside} where it closes',
      source: '§10',
    },
    {
      strap: given('strap', across),
      flange: given('past it', p.flange),
      inside,
      k: given('neutral-axis factor', leather?.neutral ?? 0.5, 'share'),
      t: given('sleeve', leather?.thickness ?? 0, 'thickness'),
    },
  )
  return { inside, wide, leaf: across + p.flange }
}
type Numbers = ReturnType<typeof numbersOf>

/** The sleeve as it is cut, folded along its middle. */
function sleevePanel({ id, name, p, host }: Asked, { wide, leaf }: Numbers): Panel {
  const edge = { type: 'raw', finish: p.finish, trim: p.trim } as const
  return plainPanel({
    id,
    name,
    role: id,
    folds: [
      {
        id: 'round',
        name: 'fold round the strap',
        from: point(0, wide.value / 2),
        to: point(p.long, wide.value / 2),
        width: Math.max(0, wide.value - 2 * leaf),
        rises: 'mountain',
      },
    ],
    notes: [`round the ${host.name.toLowerCase()}, last of all on it`],
    ...rectangleShape(p.long, wide.value, {}, (e) =>
      e === 'top' || e === 'foot' ? edge : { type: 'raw', finish: p.finish, trim: 0 },
    ),
  })
}

/** Its two leaves, one on either side of the strap. */
function leavesAt(spot: Spot, { p }: Asked, { wide, leaf }: Numbers): Laid[] {
  const there = lyingAt(spot, p.long / 2, 'grain')
  return foldedInTwo(wide.value, leaf).map(({ suffix, move, clips }) => ({
    suffix,
    move: moveThen(move, there),
    clips: clips.map((c) => clipMoved(c, there)),
    ...(suffix === '' ? {} : { beneath: true }),
  }))
}

/** One that is longer than what it goes round. */
function tooLong({ id, name, p, host, spots }: Asked): Concern[] {
  const box = pathBox(host.outline)
  const [first] = spots
  if (!first || p.long <= Math.max(boxWidth(box), boxHeight(box))) return []
  return [
    {
      id: `${id}-long`,
      rank: 'look',
      panelId: host.id,
      at: first.at,
      what: `The ${name.toLowerCase()} is longer than the ${host.name.toLowerCase()}`,
      why: 'It would stand out over its ends. Make it shorter, or put it on something longer.',
    },
  ]
}

/** A sleeve sewn round a handle or a strap, its edges sewn together beside it and trimmed. */
export const sleeve: AddedSort = defineSort({
  id: 'sleeve',
  name: 'sleeve',
  about: 'wrapped round a handle or a strap, its edges sewn together beside it and trimmed',
  takes: 'rim',
  sided: false,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'sleeve' }],
  says: [
    'It is {long} long and goes round {layers} layers, a filler of {filler} between them.',
    'Its edges reach {flange} past the strap’s and are sewn {margin} in, cut {trim} over size and {finish}.',
  ],
  make: (asked) => {
    const { id, p } = asked
    const numbers = numbersOf(asked)
    const { inside, wide } = numbers
    const y = wide.value - p.margin
    return {
      pieces: [
        {
          panel: sleevePanel(asked, numbers),
          side: 'grain',
          over: true,
          lies: (spot) => leavesAt(spot, asked, numbers),
          joins: ({ own, host: on, id: seam, name: called }) => [
            lineSeam({
              id: seam,
              name: `seam of the ${called}`,
              sheet: own,
              points: [point(2, y), point(p.long - 2, y)],
              through: [own, `${own}-under`],
              back: [2, 2],
              round: [on],
              free: true,
            }),
          ],
        },
      ],
      sizes: [inside, wide].map((size) => ({ panelId: id, size })),
      concerns: tooLong(asked),
    }
  },
})

import { type Point, moveThen, point, shift } from '../../geometry/index.js'
import {
  type Clip,
  type EdgeSkive,
  type Join,
  type Panel,
  type PanelMark,
  clipAt,
  clipMoved,
} from '../../master/index.js'
import { lineSeam, plainPanel, rectangleShape } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import { given } from '../../working/index.js'
import { type Spot, lyingAt } from '../place.js'
import { type AddedSort, type AskedBy, type Laid, type Names, defineSort } from '../sort.js'
import { FINISH, cutEdge } from './common.js'

/** Of the end that is sewn down so much is skived. */
const SKIVED = 0.8

const SETTINGS = settings(
  {
    wide: length('width of the loop', 4, 120, 25),
    room: length('width of what goes through', 4, 150, 40),
    thick: length('thickness of what goes through', 0.5, 30, 4),
    ends: choice('how its ends are held', 'laid', [
      ['laid', 'laid on and sewn', 'nothing is cut; the ends are seen'],
      ['slots', 'put through slots and sewn behind', 'only the loop is seen'],
    ]),
    end: length('length of its ends', 8, 80, 18),
    thinned: choice('its ends', 'left', [
      ['left', 'as thick as they are', 'nothing to skive'],
      ['half', 'skived to half at their cut edge', 'they lie flat and don’t press through'],
    ]),
    punch: length('width of the slots’ round ends', 1, 12, 3.5),
    margin: length('rows from its edges', 1, 12, 3),
    finish: FINISH,
  },
  { inPlay: { punch: (p) => p.ends === 'slots' } },
)

/** Slots are so much longer than the loop is wide, and the loop so much longer than a tight one, mm. */
const [SLOT_EASE, EASE] = [1, 4] as const
const LEFT = 0.5

/** How the loop lies: its length, from end to end of what shows, and its ends, mm. */
interface Lies {
  readonly long: number
  readonly gap: number
  readonly end: number
  readonly slots: boolean
}

/** The loop and its upper end, and its other end as far on as what goes through asks; laid flat, the arch is foreshortened. */
function laidLoop({ long, gap, end, slots }: Lies): Laid[] {
  const from = (y: number): Clip => clipAt(point(0, y), point(0, 1))
  const to = (y: number): Clip => clipAt(point(0, y), point(0, -1))
  const foot = shift(0, 2 * end + gap - long)
  const footOf = (clip: Clip): Clip => clipMoved(clip, foot)
  const lower: Laid = { suffix: '-foot', move: foot, clips: [footOf(from(long - end))] }
  if (!slots) return [{ suffix: '', move: shift(0, 0), clips: [to(end + gap)] }, lower]
  return [
    { suffix: '', move: shift(0, 0), clips: [from(end), to(end + gap)] },
    { suffix: '-top', move: shift(0, 0), clips: [to(end)], beneath: true, turned: true },
    { ...lower, beneath: true, turned: true },
  ]
}

type Asked = AskedBy<typeof SETTINGS>

/** What is reckoned of it: from end to end of what shows, and its whole length. */
function numbersOf({ id, p, reckon, leathers }: Asked) {
  const leather = leathers[id]
  const apart = reckon(
    {
      key: `${id}.apart`,
      label: 'from end to end of the loop',
      formula: '{room} wide + {ease} to slide',
      source: '§10',
    },
    { room: given('what goes through', p.room), ease: given('ease', EASE) },
  )
  const long = reckon(
    {
      key: `${id}.length`,
      label: 'length of the loop',
      formula: '{apart} + 2 × {thick} + π × {k} × {t} round the corners + 2 × {end}',
      source: '§10',
    },
    {
      apart,
      thick: given('thickness of what goes through', p.thick),
      k: given('neutral-axis factor', leather?.neutral ?? 0.5, 'share'),
      t: given('leather', leather?.thickness ?? 0, 'thickness'),
      end: given('ends', p.end),
    },
  )
  return { apart, long }
}
type Numbers = ReturnType<typeof numbersOf>

/** The loop as it is cut, its ends skived where so wanted. */
function loopPanel({ id, name, p, leathers }: Asked, { long }: Numbers): Panel {
  const thickness = leathers[id]?.thickness ?? 0
  const skive = (edge: string): EdgeSkive => ({
    key: `${id}.${edge}`,
    name: 'end of the loop',
    chain: [edge],
    width: p.end * SKIVED,
    start: thickness * LEFT,
    end: thickness,
  })
  return plainPanel({
    id,
    name,
    role: id,
    pull: Math.PI / 2,
    ...(p.thinned === 'half' ? { skives: [skive('top'), skive('foot')] } : {}),
    ...rectangleShape(p.wide, long.value, {}, () => cutEdge(p.finish)),
  })
}

/** At either end two rows along the pull and one across at the very end. */
function seamsOf({ own, host, id, name, behind }: Names, { p }: Asked, { long }: Numbers): Join[] {
  const inset = Math.min(p.margin, p.wide / 4, p.end / 4)
  const rows = (end: number, loose: number): Point[] => [
    point(inset, loose),
    point(inset, end),
    point(p.wide - inset, end),
    point(p.wide - inset, loose),
  ]
  const ends = [
    ['-1', 'upper', p.ends === 'slots' ? `${own}-top` : own, inset, p.end - inset],
    ['-2', 'lower', `${own}-foot`, long.value - inset, long.value - p.end + inset],
  ] as const
  return ends.map(([suffix, which, sheet, end, loose]) =>
    lineSeam({
      id: `${id}${suffix}`,
      name: `${which} end of the ${name}`,
      sheet,
      points: rows(end, loose),
      through: [sheet, host, ...behind],
      back: [2, 2],
    }),
  )
}

/** The slots that its ends go through. */
const slotsAt = ({ at, right, down }: Spot, mark: string, { p }: Asked, { apart }: Numbers): PanelMark[] =>
  [p.end, p.end + apart.value].map((y, i) => ({
    type: 'slot',
    id: i === 0 ? mark : `${mark}-2`,
    at: point(at.x + down.x * y, at.y + down.y * y),
    angle: Math.atan2(right.y, right.x),
    length: Math.max(p.wide + SLOT_EASE, p.punch),
    punch: p.punch,
  }))

/** A loop for a belt, a strap, a pen or a tongue: a strip held at both ends. */
export const loop: AddedSort = defineSort({
  id: 'loop',
  name: 'loop',
  about: 'a strip held at both ends: a belt, a strap, a pen or a tongue goes through',
  takes: 'spot',
  sided: true,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'loop' }],
  usual: { inward: 15, size: ['wide', 'room', 'end'] },
  says: [
    'It is {wide} wide, for what is {room} wide and {thick} thick.',
    'Its ends are {end} long, {ends}[, the slots punched {punch} round], {thinned}; rows {margin} from its edges, which are {finish}.',
  ],
  make: (asked) => {
    const { id, p, side } = asked
    const numbers = numbersOf(asked)
    const { apart, long } = numbers
    const slots = p.ends === 'slots'
    const lies = { long: long.value, gap: apart.value, end: p.end, slots }
    return {
      pieces: [
        {
          panel: loopPanel(asked, numbers),
          side,
          within: true,
          lies: (spot) => {
            const there = lyingAt(spot, p.wide / 2, side)
            return laidLoop(lies).map((laid) => ({
              ...laid,
              move: moveThen(laid.move, there),
              clips: laid.clips.map((c) => clipMoved(c, there)),
            }))
          },
          joins: (names) => seamsOf(names, asked, numbers),
        },
      ],
      marks: slots ? (spot, mark) => slotsAt(spot, mark, asked, numbers) : undefined,
      sizes: [apart, long].map((size) => ({ panelId: id, size })),
    }
  },
})

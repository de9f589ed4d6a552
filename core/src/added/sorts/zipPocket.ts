import { type Point, flipAboutLevel, moveThen, point } from '../../geometry/index.js'
import { type Fit, type Join, type Panel, clipAt, clipMoved } from '../../master/index.js'
import { lineSeam, needed, plainPanel, present, rectangleShape } from '../../kinds/index.js'
import { length, settings } from '../../settings/index.js'
import { type Hardware, ZIP_TAPE } from '../../stores/index.js'
import { given } from '../../working/index.js'
import { type Spot, below, lyingAt } from '../place.js'
import { type AddedSort, type AskedBy, type Laid, type Names, defineSort } from '../sort.js'
import { cutEdge } from './common.js'

const SETTINGS = settings({
  opening: length('length of the opening', 40, 500, 140, { step: 1 }),
  window: length('width of the opening', 6, 30, 12),
  deep: length('depth of the pocket below the opening', 30, 400, 100, { step: 1 }),
  beside: length('pocket wider than the opening on either side', 12, 60, 18),
  frame: length('seam from the opening', 1.5, 12, 3),
  margin: length('side seams of the pocket from its edge', 2, 12, 5),
})

/** Judgement values of the bench, mm. */
const BENCH = {
  /** The pocket stands so far above the seam over the opening. */
  above: 8,
  /** The zip’s stops lie so far inside the opening. */
  stops: 3,
  /** So much of the tape is left beyond the seam. */
  tape: 2,
  /** A slider is so much wider than the teeth. */
  slider: 4,
  /** Side seams begin so far below the top, and end so far above the fold. */
  ends: [3, 2],
} as const

type Asked = AskedBy<typeof SETTINGS>

/** What is reckoned of it: its width, one leaf, both with the fold between them, and the zip. */
function numbersOf({ id, p, reckon, leathers }: Asked) {
  const leather = leathers[id]
  const wide = reckon(
    {
      key: `${id}.wide`,
      label: 'width of the pocket',
      formula: '{opening} + 2 × {beside} on either side',
      source: '§9',
    },
    { opening: given('opening', p.opening), beside: given('beside', p.beside) },
  )
  const leaf = reckon(
    {
      key: `${id}.leaf`,
      label: 'from the pocket’s top to its fold',
      formula: '{window} / 2 + {frame} to the seam + {above} above it + {deep} below the opening',
      source: '§9',
    },
    {
      window: given('opening, wide', p.window),
      frame: given('seam', p.frame),
      above: given('above', BENCH.above),
      deep: given('deep', p.deep),
    },
  )
  const long = reckon(
    {
      key: `${id}.length`,
      label: 'pocket in one piece, folded at its foot',
      formula: '2 × {leaf} + π × {k} × {t} round the fold',
      source: '§3',
    },
    {
      leaf,
      k: given('neutral-axis factor', leather?.neutral ?? 0.5, 'share'),
      t: given('leather', leather?.thickness ?? 0, 'thickness'),
    },
  )
  const ends = reckon(
    {
      key: `${id}.zip`,
      label: 'zip from stop to stop',
      formula: '{opening} − 2 × {ends} at the ends',
      source: '§20',
    },
    { opening: given('opening', p.opening), ends: given('ends', BENCH.stops) },
  )
  return { wide, leaf, long, ends }
}
type Numbers = ReturnType<typeof numbersOf>

/** The middle of the opening, down from the pocket’s own top, mm. */
const openingAt = ({ p }: Asked): number => p.window / 2 + p.frame + BENCH.above

/** The pocket as it is cut, folded at its foot. */
function pocketPanel({ id, name }: Asked, { wide, leaf, long }: Numbers): Panel {
  const middle = long.value / 2
  return plainPanel({
    id,
    name: `Pocket of the ${name.toLowerCase()}`,
    role: id,
    folds: [
      {
        id: 'foot',
        name: 'fold at the foot',
        from: point(0, middle),
        to: point(wide.value, middle),
        width: long.value - 2 * leaf.value,
        rises: 'valley',
      },
    ],
    ...rectangleShape(wide.value, long.value, {}, () => cutEdge('left')),
  })
}

/** The leaf next to the host, and the other folded up behind it. */
function leavesAt(spot: Spot, asked: Asked, { wide, leaf, long }: Numbers): Laid[] {
  const there = lyingAt(below(spot, -openingAt(asked)), wide.value / 2, 'flesh')
  const clips = [clipMoved(clipAt(point(0, leaf.value), point(0, -1)), there)]
  return [
    { suffix: '', move: there, clips },
    { suffix: '-back', move: moveThen(flipAboutLevel(long.value / 2), there), clips, turned: true },
  ]
}

/** The frame round the opening, through zip and pocket; and the sides of the pocket, through its leaves alone. */
function seamsOf({ own, host, id, name, behind }: Names, asked: Asked, { wide, leaf }: Numbers): Join[] {
  const { p } = asked
  const middle = openingAt(asked)
  const [across, up] = [p.opening / 2 + p.frame, p.window / 2 + p.frame]
  const corner = (right: 1 | -1, down: 1 | -1): Point =>
    point(wide.value / 2 + right * across, middle + down * up)
  const first = corner(-1, -1)
  const frame = lineSeam({
    id,
    name: `frame of the ${name}`,
    sheet: own,
    points: [first, corner(1, -1), corner(1, 1), corner(-1, 1), first],
    through: [own, host, ...behind],
    tapes: [{ name: 'tape of the zip', thickness: ZIP_TAPE }],
    back: [2, 1],
  })
  const side = (x: number, i: number): Join =>
    lineSeam({
      id: `${id}-side-${i + 1}`,
      name: `${i === 0 ? 'left' : 'right'} side of the ${name}`,
      sheet: own,
      points: [point(x, BENCH.ends[0]), point(x, leaf.value - BENCH.ends[1])],
      through: [own, `${own}-back`],
      away: true,
      back: [1, 2],
      free: true,
    })
  return [frame, ...[p.margin, wide.value - p.margin].map(side)]
}

/** Whether the seam finds the zip’s tape, and its teeth and slider find room in the opening. */
function fitsOf(asked: Asked, zip: Hardware, { wide }: Numbers): Fit[] {
  const { id, name, p, reckon } = asked
  const at = { panelId: id, at: point(wide.value / 2, openingAt(asked)), keys: [] }
  return [
    {
      id: `tape-${id}`,
      rank: 'stop',
      what: `the seam of the ${name.toLowerCase()} on the tape of the ${zip.name}`,
      ...at,
      why: 'the needle misses the tape: a narrower opening, a seam nearer to it, or a wider zip',
      needs: reckon(
        {
          key: `fit.${id}.tape`,
          label: 'needs',
          formula: '{window} opening + 2 × ({frame} to the seam + {hold} of tape beyond it)',
          source: '§20',
        },
        {
          window: given('opening, wide', p.window),
          frame: given('seam', p.frame),
          hold: given('tape', BENCH.tape),
        },
      ),
      has: present(reckon, `fit.${id}.tape.has`, 'tape', given('tape', zip.across), '§20'),
    },
    {
      id: `teeth-${id}`,
      rank: 'look',
      what: `the teeth of the ${zip.name} in the opening`,
      ...at,
      why: 'the slider rubs on the leather: a wider opening',
      needs: needed(reckon, `fit.${id}.teeth`, 'teeth and a slider’s room', zip.bar + BENCH.slider, '§20'),
      has: present(reckon, `fit.${id}.teeth.has`, 'opening', given('opening, wide', p.window), '§20'),
    },
  ]
}

/** A zip in an opening, a folded pocket hanging behind it. */
export const zipPocket: AddedSort = defineSort({
  id: 'zip-pocket',
  name: 'zipped pocket',
  about: 'a zip in an opening of the piece, a folded pocket hanging behind it',
  takes: 'spot',
  sided: false,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'pocket' }],
  hardware: [{ suffix: '', sort: 'zip' }],
  usual: { inward: 60, size: ['opening', 'deep', 'beside'] },
  says: [
    'The opening is {opening} long and {window} wide, sewn {frame} from it through zip and pocket.',
    'The pocket hangs {deep} below it and is {beside} wider on either side; its sides are sewn {margin} in.',
  ],
  make: (asked) => {
    const { id, p, hardware } = asked
    const numbers = numbersOf(asked)
    const { wide, leaf, long, ends } = numbers
    const zip = hardware[id]
    return {
      pieces: [
        {
          panel: pocketPanel(asked, numbers),
          side: 'flesh',
          within: true,
          lies: (spot) => leavesAt(spot, asked, numbers),
          joins: (names) => seamsOf(names, asked, numbers),
        },
      ],
      holding: { through: 'none', before: '', length: ends },
      marks: ({ at, right }, mark) => [
        {
          type: 'slot',
          id: mark,
          at,
          angle: Math.atan2(right.y, right.x),
          length: p.opening,
          punch: p.window,
        },
      ],
      sizes: [wide, leaf, long, ends].map((size) => ({ panelId: id, size })),
      fits: zip ? fitsOf(asked, zip, numbers) : [],
    }
  },
})

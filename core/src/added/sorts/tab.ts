import { BOOK_FOLD } from '../../formulas/index.js'
import { moveThen, point } from '../../geometry/index.js'
import { type Fit, type Join, type Panel, type PanelMark, clipMoved } from '../../master/index.js'
import { foldedInTwo, lineSeam, needed, plainPanel, present, rectangleShape } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import type { Hardware } from '../../stores/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { type Spot, lyingAt } from '../place.js'
import { type AddedSort, type AskedBy, type Laid, type Names, defineSort } from '../sort.js'
import { FINISH, cutEdge } from './common.js'

/** What a tab can be folded round, each with hardware of its own. */
const HANGS = [
  { suffix: '', sort: 'ring', when: (p: { readonly holds: string }) => p.holds === 'ring' },
  { suffix: '-hook', sort: 'hook', when: (p: { readonly holds: string }) => p.holds === 'hook' },
  { suffix: '-buckle', sort: 'buckle', when: (p: { readonly holds: string }) => p.holds === 'buckle' },
] as const

const SETTINGS = settings(
  {
    wide: length('width of the tab', 6, 80, 20),
    end: length('length of its ends', 10, 120, 28),
    holds: choice('what it holds', 'ring', [
      ['ring', 'a ring', 'a strap or a hook goes into it'],
      ['hook', 'a swivel hook', 'it lets go of what it holds'],
      ['buckle', 'a buckle', 'a strap is pulled through it'],
    ]),
    tongue: choice('slot for a tongue', 'slot', [
      ['slot', 'with a slot for its tongue', 'a buckle with a tongue'],
      ['none', 'without a slot', 'a buckle whose bar lies in the middle'],
    ]),
    held: choice('how its ends are held', 'sewn', [
      ['sewn', 'sewn in two rows along the pull', 'none across it, where it would tear'],
      ['riveted', 'riveted', 'put the rivets on it where you want them'],
    ]),
    margin: length('rows from its edges', 1, 12, 3),
    finish: FINISH,
  },
  { inPlay: { margin: (p) => p.held === 'sewn', tongue: (p) => p.holds === 'buckle' } },
)

/** The slot for a tongue reaches so far past the fold on either side, mm. */
const TONGUE = 8

/** Its two leaves, the fold at the place. Lengths mm. */
const folded = (spot: Spot, wide: number, end: number, length: number, side: 'grain' | 'flesh'): Laid[] => {
  const there = lyingAt(spot, wide / 2, side)
  return foldedInTwo(length, end).map(({ suffix, move, clips }) => ({
    suffix,
    move: moveThen(move, there),
    clips: clips.map((c) => clipMoved(c, there)),
    turned: suffix === '-under',
  }))
}

type Asked = AskedBy<typeof SETTINGS>

/** What it is folded round. */
const heldBy = ({ id, p, hardware }: Asked): Hardware | undefined =>
  hardware[p.holds === 'ring' ? id : `${id}-${p.holds}`]

/** From end to end, laid flat. */
const lengthOf = (asked: Asked): Reckoned => {
  const { id, p, reckon, leathers } = asked
  return reckon(
    {
      key: `${id}.length`,
      label: 'tab round what it holds, both ends',
      formula: `2 × {end} + ${BOOK_FOLD}`,
      source: '§10',
    },
    {
      end: given('end', p.end),
      gap: given('what it holds', heldBy(asked)?.bar ?? 0, 'thickness'),
      k: given('neutral-axis factor', leathers[id]?.neutral ?? 0.5, 'share'),
      thickness: given('leather', leathers[id]?.thickness ?? 0, 'thickness'),
    },
  )
}

/** The slot in its fold that a buckle’s tongue goes through. */
function tongueSlot(asked: Asked, length: number, bend: number): PanelMark[] {
  const { p } = asked
  if (p.holds !== 'buckle' || p.tongue !== 'slot') return []
  return [
    {
      type: 'slot',
      id: 'tongue',
      at: point(p.wide / 2, length / 2),
      angle: Math.PI / 2,
      length: bend + 2 * TONGUE,
      punch: Math.min(p.wide / 3, (heldBy(asked)?.bar ?? 3) + 1),
    },
  ]
}

/** The tab as it is cut, folded across its middle. */
function tabPanel(asked: Asked, length: number): Panel {
  const { id, name, p } = asked
  const bend = Math.max(0, length - 2 * p.end)
  return plainPanel({
    id,
    name,
    role: id,
    pull: Math.PI / 2,
    folds: [
      {
        id: 'ring',
        name: 'fold',
        from: point(0, length / 2),
        to: point(p.wide, length / 2),
        width: bend,
        rises: 'mountain',
      },
    ],
    marks: tongueSlot(asked, length, bend),
    ...rectangleShape(p.wide, length, {}, () => cutEdge(p.finish)),
  })
}

/** Two rows along the pull, none across it. */
function rowsOf({ own, host, id, name, behind }: Names, { p }: Asked, length: number): Join[] {
  if (p.held === 'riveted') return []
  const inset = Math.min(p.margin, p.wide / 4)
  return [inset, p.wide - inset].map((x, i) =>
    lineSeam({
      id: `${id}-${i + 1}`,
      name: `${name}, row ${i + 1}`,
      sheet: own,
      points: [point(x, length - p.end + inset), point(x, length - 2)],
      through: [own, `${own}-under`, host, ...behind],
      back: [1, 1],
      free: true,
    }),
  )
}

/** Whether it goes through what it holds. */
const fitsOf = ({ id, name, p, reckon }: Asked, ring: Hardware): Fit[] => [
  {
    id: `through-${id}`,
    rank: 'stop',
    what: `the ${name.toLowerCase()} through the ${ring.name}`,
    panelId: id,
    at: point(p.wide / 2, p.end),
    why: 'it does not go through: take a wider one, or a narrower tab',
    keys: [],
    needs: needed(reckon, `fit.${id}`, 'wide', p.wide, '§21'),
    has: present(reckon, `fit.${id}.has`, 'clear width', given('clear width', ring.across), '§21'),
  },
]

/** A tab folded round a ring, both ends on the same piece. */
export const tab: AddedSort = defineSort({
  id: 'tab',
  name: 'tab',
  about: 'a strip folded round a ring, a hook or a buckle, its ends sewn or riveted down',
  takes: 'spot',
  sided: true,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'tab' }],
  hardware: HANGS,
  usual: { inward: 10 },
  says: [
    'It holds {holds}[, {tongue}]. It is {wide} wide, its ends {end} long; they are {held}[, {margin} from its edges]; its edges are {finish}.',
  ],
  make: (asked) => {
    const { id, p, side } = asked
    const size = lengthOf(asked)
    const ring = heldBy(asked)
    return {
      pieces: [
        {
          panel: tabPanel(asked, size.value),
          side,
          lies: (spot) => folded(spot, p.wide, p.end, size.value, side),
          joins: (names) => rowsOf(names, asked, size.value),
        },
      ],
      holding: { through: 'none', suffix: p.holds === 'ring' ? '' : `-${p.holds}`, before: '-1' },
      sizes: [{ panelId: id, size }],
      fits: ring ? fitsOf(asked, ring) : [],
    }
  },
})

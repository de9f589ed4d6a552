import type { Glue, Join } from '../../master/index.js'
import { edgeSeam } from '../parts/seams.js'
import { type Pile, firstTop, pileJoins, pileSides, sideGlue } from '../pockets/index.js'
import { type Sleeve, far, near } from './sleeve.js'

type Side = 'left' | 'right'

/** Sides of the compartment that stay open. */
const openSides = ({ p }: Sleeve): readonly Side[] =>
  p.centre === 'three' ? ['left', 'right'] : p.centre === 'side' ? ['right'] : []

/** One half: what of it lies in its own seams. */
interface Half {
  readonly id: 'near' | 'far'
  readonly covers: readonly string[]
  readonly pile: Pile | undefined
}

const halvesOf = (s: Sleeve): readonly Half[] => [
  { id: 'near', covers: ['back', ...(s.lined ? ['lining'] : [])], pile: near(s) },
  {
    id: 'far',
    covers: ['back-far', ...(s.lined ? ['lining-far'] : [])],
    pile: s.both ? far(s) : undefined,
  },
]

/** A side of the backs in the frame of a pile: the far one is turned over. */
const inPile = (id: Half['id'], side: Side): Side =>
  id === 'near' ? side : side === 'left' ? 'right' : 'left'

/** From the top down a side to its first hole, so that the top of the uppermost pocket falls between two holes, mm. */
function firstHole({ stack, p }: Sleeve): number {
  const { margin, pitch } = stack.start
  const min = Math.max(margin.value, p.corner)
  const first = firstTop(stack)
  return Math.max(margin.value, first - (Math.floor((first - min) / pitch.value - 0.5) + 0.5) * pitch.value)
}

/** From the last hole down an open side to where it ends, mm: the joining seam has the corner. */
function lastHole(s: Sleeve): number {
  const { margin, pitch } = s.stack.start
  const start = firstHole(s)
  const room = s.height.value - (s.p.corner > 0 ? s.p.corner + pitch.value / 2 : margin.value + pitch.value)
  const steps = Math.max(1, Math.floor((room - start) / pitch.value))
  return s.height.value - s.p.corner - (start + steps * pitch.value)
}

/** Glue of a pile along one side. */
const glued = (s: Sleeve, { id, pile }: Half, side: Side, foot: boolean): Glue[] =>
  pile ? sideGlue(s.stack, pile, inPile(id, side), foot) : []

/** Sewn on each half before they are joined: its open sides, and with a lining the top between them. */
function halfJoins(s: Sleeve): Join[] {
  const open = openSides(s)
  const rounded = s.p.corner > 0
  const { margin, pitch } = s.stack.start
  const [above, below] = [firstHole(s) - s.p.corner, lastHole(s)]
  const top = rounded ? ['top', 'top-right'] : ['top']
  const across = open.includes('left')
    ? { chain: ['left', ...(rounded ? ['top-left'] : []), ...top, 'right'], trims: [below, below] as const }
    : {
        chain: [...top, 'right'],
        trims: [rounded ? pitch.value / 2 : margin.value + pitch.value, below] as const,
      }
  const runs =
    open.length === 0
      ? []
      : s.lined
        ? [{ id: '', said: open.length === 2 ? 'top and sides' : 'top and side', sides: open, ...across }]
        : open.map((side) => ({
            id: `-${side}`,
            said: `${side} side`,
            sides: [side],
            chain: [side],
            trims: side === 'right' ? ([above, below] as const) : ([below, above] as const),
          }))
  return halvesOf(s).flatMap((half) => {
    const sheets = half.pile ? pileSides(s.stack, half.pile).map((one) => one.sheet) : []
    // A back by itself has nothing to be sewn to there.
    if (half.covers.length + sheets.length < 2) return []
    return runs.map(({ id, said, sides, chain, trims }) =>
      edgeSeam({
        id: `half-${half.id}${id}`,
        name: `${said} of the ${half.id} half`,
        sheet: half.id === 'near' ? 'back' : 'back-far',
        chain,
        margin,
        trims,
        through: [...half.covers, ...sheets],
        ...(s.both || s.lined
          ? {
              twin: `half-${half.id === 'near' ? 'far' : 'near'}${id}`,
              pairName: `${said} of both halves`,
            }
          : {}),
        glue: [
          ...half.covers.map((sheet) => ({ sheet, chain, limit: margin.value })),
          ...sides.flatMap((side) => glued(s, half, side, false)),
        ],
      }),
    )
  })
}

/** What joins everything: round the foot and the sides that are not open. */
function outerJoin(s: Sleeve): Join {
  const { p, stack } = s
  const { margin, pitch } = stack.start
  const open = openSides(s)
  const closed = (['right', 'left'] as const).filter((side) => !open.includes(side))
  const rounded = p.corner > 0
  const foot = rounded ? ['foot-right', 'foot', 'foot-left'] : ['foot']
  const chain = [
    ...(closed.includes('right') ? ['right'] : []),
    ...foot,
    ...(closed.includes('left') ? ['left'] : []),
  ]
  const above = firstHole(s) - p.corner
  const corner = rounded ? pitch.value / 2 : margin.value
  const end = (side: Side): number => (closed.includes(side) ? above : corner)
  const covers = [
    ...(s.centre ? ['back-far'] : []),
    ...(s.lined ? (s.centre ? ['lining-far', 'lining'] : ['lining']) : []),
    'back',
  ]
  const piles = [near(s), ...(s.both ? [far(s)] : [])]
  const halves = halvesOf(s)
  return edgeSeam({
    id: 'outer',
    name: open.length === 0 ? 'outer seam' : 'seam that joins both halves',
    sheet: 'back',
    chain,
    margin,
    trims: [end('right'), end('left')],
    through: [...covers, ...piles.flatMap((pile) => pileSides(stack, pile).map((i) => i.sheet))],
    glue: [
      ...covers.map((sheet) => ({ sheet, chain, limit: margin.value })),
      ...(closed.length > 0
        ? halves.flatMap((half) => closed.flatMap((side) => glued(s, half, side, side === 'left')))
        : piles.flatMap((pile) =>
            pileSides(stack, pile)
              .filter((one) => one.front)
              .map(({ sheet }): Glue => ({ sheet, chain: ['foot'], limit: margin.value })),
          )),
    ],
  })
}

/** Everything sewn of a sleeve: its pockets, each half where it stays open, then both together. */
export const sleeveJoins = (s: Sleeve): Join[] => [
  ...[near(s), ...(s.both ? [far(s)] : [])].flatMap((pile) => pileJoins(s.stack, pile, 'open')),
  ...halfJoins(s),
  outerJoin(s),
]

import { firstOf } from '../../lists/index.js'
import { moveBack, point, pointMoved } from '../../geometry/index.js'
import type { Concern, Join, Master } from '../../master/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import type { Materials } from '../kind.js'
import { type Bag, LEFT_OUT, bagOf, isBoxed, isFan, isSetIn } from './bag.js'
import { boardBase, feet, lappedNeedsTwo, overlappingBase } from './parts/base.js'
import { boxedBody } from './bodies/boxed.js'
import { outerCompartment } from './parts/compartment.js'
import { divider } from './parts/divider.js'
import { fanBody } from './bodies/fan.js'
import { handles } from './parts/handles.js'
import { innerPocket } from './parts/innerPocket.js'
import { linings, organiser } from './parts/inside.js'
import { bagLayup, bagMatches } from './lay.js'
import type { BagParams } from './params.js'
import { insideSizes, roomOf, turningOf } from './room.js'
import { type Body, type Part, part, ridingOf, together } from './assembly.js'
import { setInBody } from './bodies/setIn.js'
import { shoulderPair, shoulderStrap } from './parts/straps.js'
import { closure } from './parts/closure.js'
import { sewnFlap, topEdges } from './parts/top.js'
import { wrapBody } from './bodies/wrap.js'

/** The slip of a back pad: narrower than the back, mm, and as high as a share of it. */
const SLIP = { narrower: 8, share: 0.72 } as const
/** A pocket ends this far above a row through the base panel, mm: else the row would go through it too. */
const ABOVE_LAP = 14

const bodyOf = (bag: Bag): Body =>
  isBoxed(bag.p)
    ? boxedBody(bag)
    : isFan(bag.p)
      ? fanBody(bag)
      : isSetIn(bag.p)
        ? setInBody(bag)
        : wrapBody(bag)

/** Body and all that is put on it, in the order it is sewn. */
function partsOf(bag: Bag): Part {
  const { p } = bag
  const body = bodyOf(bag)
  const sewn = p.flap === 'sewn' ? sewnFlap(bag, body) : undefined
  const { joins: seams, ...rest } = body
  const joins = seams.map((join) => ({
    ...join,
    closes: true,
    ...(p.seam === 'turned' && join.hidden !== false ? { hidden: true } : {}),
  }))
  const flap = sewn ? sewn.flap : body.flap
  const lined = linings(bag, body)
  const [front, back] = [lined.inner(body.front), lined.inner(body.back)]
  const outer = outerCompartment(bag, body)
  const closed = closure(
    bag,
    outer && flap && outer.covers(p.flapLength) ? { ...body, front: outer.face } : body,
    flap,
  )
  // Sewn on from outside before the lining goes in, which hides the thread.
  const outside = [
    handles(bag, body, flap),
    p.strap === 'shoulder' ? shoulderStrap(bag, body) : part({}),
    p.strap === 'pair' ? shoulderPair(bag, body) : part({}),
    closed,
    outer?.part ?? part({}),
  ]
  const before = together([
    lined.part,
    topEdges(bag, body),
    p.slip === 'pad'
      ? innerPocket(bag, back, 'slip', 'Pad slip', {
          wide: body.back.wide - SLIP.narrower,
          high: body.back.high * SLIP.share,
          full: 0,
        })
      : part({}),
    p.pocket === 'none'
      ? part({})
      : innerPocket(bag, p.slip === 'pad' ? front : back, 'pocket', 'Inner pocket', {
          wide: p.pocketWide,
          high: p.pocketHigh,
          asked: true,
          full: p.pocket === 'full' ? p.fullness : 0,
          // A row of the base panel would go through the pocket too.
          above: p.base === 'overlapping' || p.base === 'lapped' ? p.baseLap + ABOVE_LAP : 0,
        }),
    p.organiser === 'covered' ? organiser(bag, front, loopAt(body, closed)) : part({}),
    p.divider === 'none' ? part({}) : divider(bag, body),
    part({ joins: body.flat ?? [] }),
    p.base === 'overlapping' ? overlappingBase(bag, body) : part({}),
    p.base === 'lapped' && !body.flat ? lappedNeedsTwo(body) : part({}),
    sewn ? sewn.part : part({}),
    ...outside,
    p.base === 'board' || p.base === 'cushioned' ? boardBase(bag) : part({}),
    p.feet === 'feet' ? feet(bag, body) : part({}),
  ])
  const all = together([part({ ...rest, joins: [] }), before, part({ joins })])
  // A closing strap that reaches over the top is sewn on once its hem is.
  const hidden = outside.flatMap((q) => q.joins).filter((j) => flap || j.course.sheet !== 'closing-strap')
  return withBands(withLinings(all, new Set(hidden)))
}

/** How far down the front the loop of a closing strap lies; without one nothing is in the way. */
function loopAt({ front }: Body, closed: Part): number {
  const loop = closed.onto.find((o) => o.sheet.id === 'closing-loop')
  return loop ? pointMoved({ x: loop.sheet.move.e, y: loop.sheet.move.f }, moveBack(front.move)).y : Infinity
}

/** What is easily forgotten where edges meet and where a bag is turned. */
function finishing(bag: Bag, { panels, fittings }: Part): Concern[] {
  const { p } = bag
  const [first] = panels
  if (!first) return []
  const at = { panelId: first.id, at: firstOf(first.outline.segments).from }
  return [...withoutSecond(bag, at), ...easilyForgotten(p, at, fittings)]
}

/** Two rows were asked for, but there is no room for the second in the allowance. */
function withoutSecond({ p, second, margin }: Bag, at: Pick<Concern, 'panelId' | 'at'>): Concern[] {
  if (p.seam !== 'turned' || p.rows !== 2 || second !== undefined) return []
  const min = p.rowApart + LEFT_OUT
  return [
    {
      ...at,
      id: 'no-second-row',
      rank: 'look',
      what: 'There is no second row: {apart} out it would lie too near the cut edge of allowances of {allowance}',
      lengths: { apart: p.rowApart, allowance: margin.value },
      why: 'A row needs leather outside it, or it tears out.',
      remedy: { field: 'allowance', value: min, said: 'allowances wide enough for it' },
    },
  ]
}

function easilyForgotten(
  p: Bag['p'],
  at: Pick<Concern, 'panelId' | 'at'>,
  fittings: Part['fittings'],
): Concern[] {
  if (p.seam === 'raw')
    return [
      {
        ...at,
        id: 'bevel-inside',
        rank: 'tip',
        what: 'Bevel only the outer arrises of the seamed edges',
        why: 'Their inner ones meet once they are sewn: bevelled before, they leave a groove all along the edge.',
      },
    ]
  const hard = fittings.some((f) => f.role === 'buckle' || f.role === 'lock' || f.role === 'ring')
  return hard
    ? [
        {
          ...at,
          id: 'hardware-scratches',
          rank: 'tip',
          what: 'Buckles, rings and locks lie inside while the bag is sewn and turned',
          why: 'They scratch the grain on the way through: wrap them, or hang the straps afterwards.',
        },
      ]
    : []
}

/** A single edge of leather stands up over so many times its thickness (J); docs/formulas.md §20. */
const STANDS = { soft: 150, medium: 220, firm: 400 } as const

/** A wide open top in a single layer sags. */
function sagging({ p, body }: Bag, { panels }: Part): Concern[] {
  const min = Math.round(STANDS[body.temper] * body.thickness)
  const [first] = panels
  if (!first || p.top !== 'single' || p.flap !== 'none' || p.closure === 'zip' || p.wide <= min) return []
  return [
    {
      id: 'top-sags',
      rank: 'look',
      panelId: first.id,
      at: point(p.wide / 2, 4),
      what: `The top is single and {wide} wide; ${body.name}, ${body.temper}, stands up over about {min}`,
      lengths: { wide: p.wide, min },
      why: 'A wider mouth sags and gapes. Double it with a band, or roll it.',
      remedy: { field: 'top', value: 'doubled', said: 'a top doubled with a band' },
    },
  ]
}

/** Two handles are taken together: it hangs from all their ends. */
function bothHandles(hanging: Part['hanging']): Part['hanging'] {
  const pair = hanging.filter((h) => h.name.startsWith('handle'))
  if (pair.length < 2) return hanging
  return [
    ...hanging.filter((h) => !pair.includes(h)),
    { name: 'handles', points: pair.flatMap((h) => h.points) },
  ]
}

/** A lining lies under the hardware of what it lines, and in its seams but those sewn before it goes in. */
function withLinings(all: Part, before: ReadonlySet<Join>): Part {
  const lining = new Map(
    all.onto.filter((o) => o.sheet.panelId.endsWith('-lining')).map((o) => [o.on, o.sheet.id]),
  )
  if (lining.size === 0) return all
  return {
    ...all,
    fittings: all.fittings.map((fitting) => ({
      ...fitting,
      through: fitting.through.flatMap((layer) => {
        const behind = lining.get(layer.sheet)
        return behind === undefined ? [layer] : [layer, { sheet: behind, times: 1 }]
      }),
    })),
    joins: all.joins.map((join) => {
      const behind = before.has(join) ? [] : join.through.flatMap((id) => lining.get(id) ?? [])
      return { ...join, through: [...join.through, ...behind] }
    }),
  }
}

/** A band behind the top lies in whatever is sewn through what it doubles: each counts it where it really lies. */
function withBands(all: Part): Part {
  const bands = all.onto.filter((o) => o.sheet.panelId.startsWith('facing-'))
  if (bands.length === 0) return all
  return {
    ...all,
    joins: all.joins.map((join) => {
      const behind = bands
        .filter((o) => join.through.includes(o.on) && !join.through.includes(o.sheet.id))
        .map((o) => o.sheet.id)
      return behind.length > 0 ? { ...join, through: [...join.through, ...behind] } : join
    }),
  }
}

/** The depth outside, with what stands on the front. */
function wholeDepth({ p, s, outcome }: Bag, { panels }: Part): Reckoned {
  if (!panels.some((q) => q.id === 'outer-front')) return s.outDeep
  return outcome('bag.out.all', 'depth outside with the outer compartment', '{deep} + {outer}', '§20', {
    deep: s.outDeep,
    outer: given('outer compartment', p.outerDeep),
  })
}

/** Everything a bag is made of: its body and what is put on it. */
export function bagMaster(p: BagParams, materials: Materials, reckon: Reckon): Master {
  const bag = bagOf(p, materials, reckon)
  const all = partsOf(bag)
  const layup = bagLayup(all)
  const riding = ridingOf(all)
  return {
    panels: all.panels,
    layups: [layup],
    joins: all.joins,
    matches: bagMatches(all, layup),
    fits: all.fits,
    concerns: [...all.concerns, ...sagging(bag, all), ...finishing(bag, all)],
    carries: [],
    sizes: [...all.sizes, ...insideSizes(bag, all)],
    standing: (opened) => ({ stood: all.stood(opened), riding }),
    fittings: all.fittings,
    corners: all.corners,
    hanging: bothHandles(all.hanging),
    strapRuns: all.strapRuns,
    room: roomOf(bag, all),
    ...(p.seam === 'turned' ? { turning: turningOf(bag, all) } : {}),
    outside: { wide: bag.s.outWide, high: bag.s.outHigh, deep: wholeDepth(bag, all) },
  }
}

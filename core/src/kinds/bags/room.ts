import { firstOf } from '../../lists/index.js'
import type { MasterSize, Room, Turning } from '../../master/index.js'
import type { Leather } from '../../stores/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { leatherOf } from '../kind.js'
import { type Bag, basePile, isBackRaw, isBoxed, isFan } from './bag.js'
import type { Part } from './assembly.js'
import { fanOf } from './bodies/fanSide.js'
import { ZIP_ENDS } from './mouth.js'

const insideOf = (bag: Bag, key: 'wide' | 'high' | 'deep', label: string): Reckoned => {
  const { p, s, outcome, adds } = bag
  // Worked backwards from the size between stitch lines, so that a number written over that shows here.
  const add = adds[`${key}In`]
  const base = key === 'high' ? basePile(p) : 0
  return outcome(
    `bag.in.${key}`,
    `${label} inside`,
    `{size} between the stitch lines − {add}${base > 0 ? ' − {base} base' : ''}`,
    '§20',
    { size: s[key], add, base: given('base', base, 'thickness') },
  )
}

/** The finished sizes inside. */
export const insideSizes = (bag: Bag, { panels }: Part): MasterSize[] =>
  (
    [
      ['wide', 'width'],
      ['high', 'height'],
      ['deep', 'depth'],
    ] as const
  ).map(([key, label]) => ({ panelId: firstOf(panels).id, size: insideOf(bag, key, label), of: 'inside' }))

/** Front and back that stand apart on folded sides lean from each other at the foot. */
function fanLeans(bag: Bag): NonNullable<Room['leans']> {
  const { lean } = fanOf(bag)
  return { from: 'middle', to: (opened, up) => 2 * up * Math.tan(lean * opened) }
}

/** The room inside and its mouth: a taper is as deep as its slimmer end lets a thing stand. */
export function roomOf(bag: Bag, { panels, rooms: [second] }: Part): Room {
  const { p, outcome } = bag
  const wide = insideOf(bag, 'wide', 'width')
  const high = insideOf(bag, 'high', 'height')
  const whole = insideOf(bag, 'deep', 'depth')
  const min = p.body === 'tapered' ? Math.min(p.deep, p.topDeep) : isFan(p) ? p.deep / 2 : p.deep
  const deep =
    min === p.deep
      ? whole
      : outcome(
          'room.deep',
          'depth a thing can have',
          isFan(p) ? '{deep} / 2: halfway between foot and top' : '{min} at the slimmer end',
          '§20',
          { deep: whole, min: given('slimmer end', min) },
        )
  const zip = p.closure === 'zip'
  const mouthWide = outcome(
    'mouth.wide',
    'mouth, width',
    zip ? '{wide} inside − 2 × {ends} at the zip’s ends' : '{wide} inside',
    '§20',
    { wide, ends: given('ends', ZIP_ENDS) },
  )
  const top = p.body === 'tapered' ? p.topDeep : p.deep
  const mouthDeep = outcome(
    'mouth.deep',
    'mouth, depth it opens to',
    zip
      ? '{top} depth at the top, as far as the bands give way'
      : '{top} depth at the top, walls pushed apart',
    '§20',
    { top: given('depth', zip ? top : Math.max(top, p.deep + 10)) },
  )
  return {
    wide,
    high,
    deep,
    mouthWide,
    mouthDeep,
    ease: p.ease,
    floor: basePile(p),
    ...(isFan(p) ? { leans: fanLeans(bag) } : {}),
    dividers:
      p.divider === 'one' && !isFan(p)
        ? { count: 1, thickness: leatherOf(bag.materials, 'inner').thickness }
        : { count: 0, thickness: 0 },
    settings: {
      wide: { fields: ['wide'], share: 1 },
      high: { fields: ['high'], share: 1 },
      deep: { fields: p.body === 'tapered' ? ['deep', 'topDeep'] : ['deep'], share: isFan(p) ? 0.5 : 1 },
    },
    panelId: firstOf(panels).id,
    ...(second ? { second } : {}),
  }
}

const FIRMNESS = { soft: 1, medium: 3, firm: 15 } as const
/** How much a leather resists being folded, against others: by its temper and the cube of its thickness. */
const stiffness = ({ temper, thickness }: Leather): number => FIRMNESS[temper] * thickness ** 3

/** With the back still open it is turned through that. */
const openBack = ({ s, outcome }: Bag): Reckoned =>
  outcome(
    'turning.opening',
    'round the open back',
    '2 × ({wide} + {high}): the back is sewn on afterwards',
    '§20',
    {
      wide: s.wide,
      high: s.high,
    },
  )

/** What turning a bag depends on: it goes through its own mouth. */
export function turningOf(bag: Bag, { panels }: Part): Turning {
  const { p, s, outcome } = bag
  // Only what is turned counts: a boxed bag has no gusset. Of two leathers the one that resists more.
  const turned = panels.some((q) => q.role === 'gusset') && stiffness(bag.gusset) > stiffness(bag.body)
  const firm = turned ? 'gusset' : 'body'
  const girth = outcome(
    'turning.girth',
    'round the body, and across its foot',
    '2 × {high} + 2 × {wide} + {deep}',
    '§20',
    { high: s.high, wide: s.wide, deep: s.deep },
  )
  const opening = isBackRaw(p)
    ? openBack(bag)
    : outcome('turning.opening', 'round the mouth', '2 × ({wide} + {deep})', '§20', {
        wide: s.wide,
        deep: given('depth of the mouth', p.body === 'tapered' ? p.topDeep : p.deep),
      })
  return {
    role: firm,
    girth,
    opening,
    panelId: firstOf(panels).id,
    inside: [
      ...(isBoxed(p)
        ? ['front', 'back']
        : panels.filter((q) => q.role === 'body' || q.role === 'gusset').map((q) => q.name.toLowerCase())),
      ...(p.flap === 'one' ? ['flap, rolled up inside'] : []),
    ],
  }
}

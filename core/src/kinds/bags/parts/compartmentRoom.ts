import { type Point, point } from '../../../geometry/index.js'
import type { Room } from '../../../master/index.js'
import { given } from '../../../working/index.js'
import type { Bag } from '../bag.js'
import type { Profile } from '../bodies/profile.js'

/** A second compartment as far as what goes into it depends on it. */
interface Sized {
  readonly bag: Bag
  readonly profile: Profile
}

/** The room inside it: what goes in stands between its gusset's walls, and halfway down where that runs out to nothing. */
export function roomIn({ bag, profile }: Sized, above: number): NonNullable<Room['second']> {
  const { p, outcome, gusset, body } = bag
  const t = given('gusset', gusset.thickness, 'thickness')
  const tapers = p.outer === 'tapered'
  const wide = outcome('in.wide', 'width inside', '{span} between its seams − 2 × {t} gusset', '§20', {
    span: given('width', profile.span),
    t,
  })
  const high = outcome('in.high', 'height inside', '{rise} above its seam − {t} gusset', '§20', {
    rise: given('height', profile.rise),
    t,
  })
  const deep = outcome(
    'in.deep',
    'depth a thing can have',
    tapers ? '{deep} / 2: halfway between foot and top' : '{deep} of its gusset',
    '§20',
    { deep: given('depth', p.outerDeep) },
  )
  const mouth = outcome('mouth.deep', 'mouth, depth it opens to', '{deep} of its gusset at the top', '§20', {
    deep: given('depth', p.outerDeep),
  })
  return {
    wide,
    high,
    deep,
    mouthWide: wide,
    mouthDeep: mouth,
    ease: p.ease,
    floor: 0,
    ...(tapers
      ? { leans: { from: 'back' as const, to: (_: number, up: number) => (p.outerDeep * up) / profile.rise } }
      : {}),
    dividers: { count: 0, thickness: 0 },
    settings: {
      wide: { fields: ['outerWide'], share: 1, besides: 2 * gusset.thickness },
      high: { fields: ['outerHigh'], share: 1, besides: gusset.thickness },
      deep: { fields: ['outerDeep'], share: tapers ? 0.5 : 1 },
    },
    panelId: 'outer-front',
    above,
    before: body.thickness,
  }
}

/** There is less room on the front than was asked for. */
export function tooSmall({ bag: { p }, profile }: Sized) {
  const at: Point = point(profile.span / 2, 10)
  const less = (asked: number, has: number): boolean => asked - has > 0.5
  return [
    ...(less(p.outerWide, profile.span)
      ? [
          {
            id: 'outer-narrower',
            rank: 'look' as const,
            panelId: 'outer-front',
            at,
            what: 'The outer compartment is made {has} wide, not {asked}',
            lengths: { has: profile.span, asked: p.outerWide },
            why: 'The front has no more room beside its own seams.',
            remedy: {
              field: 'outerWide',
              value: Math.floor(profile.span),
              said: 'a narrower outer compartment',
            },
          },
        ]
      : []),
    ...(less(p.outerHigh, profile.rise)
      ? [
          {
            id: 'outer-lower',
            rank: 'look' as const,
            panelId: 'outer-front',
            at,
            what: 'The outer compartment is made {has} high, not {asked}',
            lengths: { has: profile.rise, asked: p.outerHigh },
            why: 'The front has no more room above its foot.',
            remedy: {
              field: 'outerHigh',
              value: Math.floor(profile.rise),
              said: 'a lower outer compartment',
            },
          },
        ]
      : []),
  ]
}

import type { Leather } from '../../stores/index.js'
import { type Reckoned, type Term, given } from '../../working/index.js'
import type { sizeBy } from '../parts/basics.js'
import type { BagParams } from './params.js'

/** What seams and leather add to the room inside, and to the sizes between the stitch lines outside, mm. */
export interface Adds {
  readonly wideIn: Reckoned
  readonly highIn: Reckoned
  readonly deepIn: Reckoned
  readonly wideOut: Reckoned
  readonly highOut: Reckoned
  readonly deepOut: Reckoned
}

export interface AddsAsked {
  readonly p: BagParams
  readonly size: ReturnType<typeof sizeBy>
  readonly body: Leather
  readonly gusset: Leather
  readonly margin: number
  /** Thickness of a lining, 0 for none. */
  readonly lining: number
  /** How a turned seam's allowances lie, radians from the panel. */
  readonly alpha: number
}

type Formula = readonly [formula: string, compute: (v: Readonly<Record<string, number>>) => number]
type Formulas = Readonly<Record<keyof Adds, Formula>>

const LABELS: Readonly<Record<keyof Adds, string>> = {
  wideIn: 'leather and seams, width inside',
  highIn: 'leather and seams, height inside',
  deepIn: 'leather and seams, depth inside',
  wideOut: 'leather and seams, width outside',
  highOut: 'leather and seams, height outside',
  deepOut: 'leather and seams, depth outside',
}

const leatherInputs = ({ body, gusset, lining, margin }: AddsAsked) => ({
  t: given('body', body.thickness, 'thickness'),
  k: given('neutral share of the body', body.neutral, 'share'),
  tg: given('gusset', gusset.thickness, 'thickness'),
  lining: given('lining', lining, 'thickness'),
  margin: given('margin', margin),
})

/** Only what a formula names goes with it. */
function reckonAll(asked: AddsAsked, formulas: Formulas, inputs: Readonly<Record<string, Term>>): Adds {
  const made = Object.entries(formulas).map(([side, [formula, compute]]) => {
    const own = Object.fromEntries(Object.entries(inputs).filter(([name]) => formula.includes(`{${name}}`)))
    return [side, asked.size(`bag.adds.${side}`, LABELS[side as keyof Adds], formula, '§20', own, compute)]
  })
  return Object.fromEntries(made) as Adds
}

const v0 = (v: Readonly<Record<string, number>>, name: string): number => v[name]!

/** What seams and leather add to the sizes between stitch lines, inside and outside; docs/formulas.md §20. */
export function addsOf(asked: AddsAsked, seams: 'boxed' | 'fan' | 'turned' | 'set-in' | 'round'): Adds {
  const inputs = leatherInputs(asked)
  if (seams === 'boxed') return reckonAll(asked, BOXED, inputs)
  if (seams === 'fan') {
    const none = given('front and back meet there', 0)
    return reckonAll(asked, asked.p.seam === 'raw' ? FAN_RAW : FAN_TURNED, { ...inputs, none })
  }
  if (seams === 'turned') return turnedAdds(asked, inputs)
  const k = given('neutral share of what is turned out', asked.gusset.neutral, 'share')
  const flange = asked.size(
    'bag.flange',
    'where a border turns out',
    '(2 − π × {k}) × {tg}',
    '§20',
    { k, tg: inputs.tg },
    (v) => (2 - Math.PI * v.k) * v.tg,
  )
  return reckonAll(asked, seams === 'set-in' ? SET_IN : ROUND, { ...inputs, flange })
}

const BOXED: Formulas = {
  wideIn: [
    'π / 2 × {k} × {t} at sharp bends + 2 × {lining} lining',
    (v) => (Math.PI / 2) * v0(v, 'k') * v0(v, 't') + 2 * v0(v, 'lining'),
  ],
  deepIn: [
    'π / 2 × {k} × {t} at sharp bends + 2 × {lining} lining',
    (v) => (Math.PI / 2) * v0(v, 'k') * v0(v, 't') + 2 * v0(v, 'lining'),
  ],
  highIn: [
    'π / 4 × {k} × {t} at a sharp bend + {lining} lining',
    (v) => (Math.PI / 4) * v0(v, 'k') * v0(v, 't') + v0(v, 'lining'),
  ],
  wideOut: [
    '2 × {t} − π / 2 × {k} × {t} at sharp bends',
    (v) => 2 * v0(v, 't') - (Math.PI / 2) * v0(v, 'k') * v0(v, 't'),
  ],
  deepOut: [
    '2 × {t} − π / 2 × {k} × {t} at sharp bends',
    (v) => 2 * v0(v, 't') - (Math.PI / 2) * v0(v, 'k') * v0(v, 't'),
  ],
  highOut: [
    '{t} − π / 4 × {k} × {t} at a sharp bend',
    (v) => v0(v, 't') - (Math.PI / 4) * v0(v, 'k') * v0(v, 't'),
  ],
}

const NONE: Formula = ['{none}', () => 0]
const FAN_TURNED: Formulas = {
  wideIn: NONE,
  highIn: NONE,
  deepIn: ['2 × {lining} lining', (v) => 2 * v0(v, 'lining')],
  wideOut: NONE,
  highOut: NONE,
  deepOut: ['2 × {t}', (v) => 2 * v0(v, 't')],
}
const FAN_RAW: Formulas = {
  ...FAN_TURNED,
  wideOut: ['2 × {margin} to the raw edges', (v) => 2 * v0(v, 'margin')],
  highOut: ['{margin} to the raw edge', (v) => v0(v, 'margin')],
}

/** Raw edges out: the piece that turns a flange loses its own thickness, the other stands a bend further out. */
const SET_IN: Formulas = {
  wideIn: ['2 × {tg} + 2 × {lining} lining', (v) => 2 * v0(v, 'tg') + 2 * v0(v, 'lining')],
  deepIn: [
    '2 × {lining} lining − {flange} where the border turns out',
    (v) => 2 * v0(v, 'lining') - v0(v, 'flange'),
  ],
  highIn: [
    '{lining} lining − {flange} / 2 where the border turns out',
    (v) => v0(v, 'lining') - v0(v, 'flange') / 2,
  ],
  wideOut: ['2 × {margin} to the raw edges', (v) => 2 * v0(v, 'margin')],
  deepOut: ['{flange} where the border turns out + 2 × {t}', (v) => v0(v, 'flange') + 2 * v0(v, 't')],
  highOut: ['{flange} / 2 where the border turns out + {t}', (v) => v0(v, 'flange') / 2 + v0(v, 't')],
}
const ROUND: Formulas = {
  ...SET_IN,
  highIn: ['{tg} + {lining} lining', (v) => v0(v, 'tg') + v0(v, 'lining')],
  highOut: ['{margin} to the raw edge', (v) => v0(v, 'margin')],
}

/** A turned seam rolls: the walls stand outside the stitch lines; docs/formulas.md §8 [8.05]. */
function turnedAdds(asked: AddsAsked, inputs: ReturnType<typeof leatherInputs>): Adds {
  const { body, gusset, p, size, alpha } = asked
  const roll = (key: string, label: string, leather: Leather): Reckoned =>
    size(
      `bag.roll.${key}`,
      `${label} rolls out at both turned seams`,
      '2 × {t} × (1 + cosine of {alpha} + sine of {alpha} − (π − {alpha} in radians) × {k})',
      '§8',
      {
        t: given('leather', leather.thickness, 'thickness'),
        k: given('neutral share', leather.neutral, 'share'),
        alpha: given('allowances', alpha, 'angle'),
      },
      (v) => 2 * v.t * (1 + Math.cos(v.alpha) + Math.sin(v.alpha) - (Math.PI - v.alpha) * v.k),
    )
  const base = p.body === 'set-in' ? body : gusset
  const low: Leather = { ...base, neutral: gusset.neutral }
  return reckonAll(asked, TURNED, {
    ...inputs,
    tb: given('foot', base.thickness, 'thickness'),
    side: roll('side', 'the side', gusset),
    face: roll('face', 'the face', body),
    foot: roll('foot', 'the foot', low),
  })
}
const TURNED: Formulas = {
  wideIn: [
    '2 × {tg} + 2 × {lining} lining − {side} rolled out',
    (v) => 2 * v0(v, 'tg') + 2 * v0(v, 'lining') - v0(v, 'side'),
  ],
  deepIn: [
    '2 × {t} + 2 × {lining} lining − {face} rolled out',
    (v) => 2 * v0(v, 't') + 2 * v0(v, 'lining') - v0(v, 'face'),
  ],
  highIn: [
    '{tb} + {lining} lining − {foot} / 2 rolled out',
    (v) => v0(v, 'tb') + v0(v, 'lining') - v0(v, 'foot') / 2,
  ],
  wideOut: ['{side} rolled out at both seams', (v) => v0(v, 'side')],
  deepOut: ['{face} rolled out at both seams', (v) => v0(v, 'face')],
  highOut: ['{foot} / 2 rolled out at the foot', (v) => v0(v, 'foot') / 2],
}

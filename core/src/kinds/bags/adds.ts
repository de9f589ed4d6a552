import { SEAMS_ROLL } from '../../formulas/index.js'
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

type Formulas = Readonly<Record<keyof Adds, string>>

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
  k: given('neutral-axis factor of the body', body.neutral, 'share'),
  tg: given('gusset', gusset.thickness, 'thickness'),
  lining: given('lining', lining, 'thickness'),
  margin: given('margin', margin),
})

function reckonAll(asked: AddsAsked, formulas: Formulas, inputs: Readonly<Record<string, Term>>): Adds {
  const made = Object.entries(formulas).map(([side, formula]) => [
    side,
    asked.size<string>(`bag.adds.${side}`, LABELS[side as keyof Adds], formula, '§20', inputs),
  ])
  return Object.fromEntries(made) as Adds
}

/** What seams and leather add to the sizes between stitch lines, inside and outside; docs/formulas.md §20. */
export function addsOf(
  asked: AddsAsked,
  seams: 'boxed' | 'fan' | 'turned' | 'set-in' | 'round' | 'mixed',
): Adds {
  const inputs = leatherInputs(asked)
  if (seams === 'boxed') return reckonAll(asked, BOXED, inputs)
  if (seams === 'fan') {
    return reckonAll(asked, asked.p.seam === 'raw' ? FAN_RAW : FAN_TURNED, inputs)
  }
  if (seams === 'turned') return turnedAdds(asked, inputs)
  const k = given('neutral-axis factor of what is turned out', asked.gusset.neutral, 'share')
  const flange = asked.size('bag.flange', 'where a border turns out', '(2 − π × {k}) × {tg}', '§20', {
    k,
    tg: inputs.tg,
  })
  if (seams === 'mixed')
    return reckonAll(asked, MIXED, { ...inputs, flange, face: rollOf(asked, 'face', 'the face', asked.body) })
  return reckonAll(asked, seams === 'set-in' ? SET_IN : ROUND, { ...inputs, flange })
}

const BOXED: Formulas = {
  wideIn: 'π / 2 × {k} × {t} at sharp bends + 2 × {lining} lining',
  deepIn: 'π / 2 × {k} × {t} at sharp bends + 2 × {lining} lining',
  highIn: 'π / 4 × {k} × {t} at a sharp bend + {lining} lining',
  wideOut: '2 × {t} − π / 2 × {k} × {t} at sharp bends',
  deepOut: '2 × {t} − π / 2 × {k} × {t} at sharp bends',
  highOut: '{t} − π / 4 × {k} × {t} at a sharp bend',
}

const NONE = '0: front and back meet there'
const FAN_TURNED: Formulas = {
  wideIn: NONE,
  highIn: NONE,
  deepIn: '2 × {lining} lining',
  wideOut: NONE,
  highOut: NONE,
  deepOut: '2 × {t}',
}
const FAN_RAW: Formulas = {
  ...FAN_TURNED,
  wideOut: '2 × {margin} to the raw edges',
  highOut: '{margin} to the raw edge',
}

/** Raw edges out: the piece that turns a flange loses its own thickness, the other stands a bend further out. */
const SET_IN: Formulas = {
  wideIn: '2 × {tg} + 2 × {lining} lining',
  deepIn: '2 × {lining} lining − {flange} where the border turns out',
  highIn: '{lining} lining − {flange} / 2 where the border turns out',
  wideOut: '2 × {margin} to the raw edges',
  deepOut: '{flange} where the border turns out + 2 × {t}',
  highOut: '{flange} / 2 where the border turns out + {t}',
}
const ROUND: Formulas = {
  ...SET_IN,
  highIn: '{tg} + {lining} lining',
  highOut: '{margin} to the raw edge',
}

/** Front turned, back with raw edges out: the walls stand inside the back's stitch lines, and half of each seam adds to the depth. */
const MIXED: Formulas = {
  ...ROUND,
  deepIn: '{t} + 2 × {lining} lining − {face} / 2 rolled out at the front − {flange} / 2 at the back',
  deepOut: '{face} / 2 rolled out at the front + {flange} / 2 where the border turns out + {t}',
}

const rollOf = ({ size, alpha }: AddsAsked, key: string, label: string, leather: Leather): Reckoned =>
  size(`bag.roll.${key}`, `${label} rolls out at both turned seams`, SEAMS_ROLL, '§8', {
    thickness: given('leather', leather.thickness, 'thickness'),
    k: given('neutral-axis factor', leather.neutral, 'share'),
    angle: given('allowances', alpha, 'angle'),
  })

/** A turned seam rolls: the walls stand outside the stitch lines; docs/formulas.md §8 [8.05]. */
function turnedAdds(asked: AddsAsked, inputs: ReturnType<typeof leatherInputs>): Adds {
  const { body, gusset, p } = asked
  const roll = (key: string, label: string, leather: Leather) => rollOf(asked, key, label, leather)
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
  wideIn: '2 × {tg} + 2 × {lining} lining − {side} rolled out',
  deepIn: '2 × {t} + 2 × {lining} lining − {face} rolled out',
  highIn: '{tb} + {lining} lining − {foot} / 2 rolled out',
  wideOut: '{side} rolled out at both seams',
  deepOut: '{face} rolled out at both seams',
  highOut: '{foot} / 2 rolled out at the foot',
}

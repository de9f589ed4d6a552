import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { setField } from '@drumlin/core/design'
import { thicknessAt } from '@drumlin/core/layup'
import { leatherAt } from '../src/stores/index.js'
import { boxCentre } from '@drumlin/core/geometry'
import type { Term } from '@drumlin/core/working'
import { done, freshOf } from './support/designs.js'

/** A kind with pockets of 0.9 and a front pocket of so much. */
const fronted = (
  kind: string,
  front: 'same' | 'own',
  thickness: number,
  more: Readonly<Record<string, unknown>> = {},
) => {
  const fresh = freshOf(kind, { pockets: 3, school: 'butted', front, ...more })
  return derive(
    done(
      fresh,
      setField('thick', ['leathers', 'front-pocket'], leatherAt(fresh.leathers['front-pocket']!, thickness)),
    ),
  )
}

/** The gap in the fold, out of the workings that it is in. */
function gapIn(derived: Derived): number {
  const found = (term: Term): number | undefined => {
    if (term.kind === 'given') return undefined
    if (term.key === 'fold.gap') return term.value
    return Object.values(term.inputs)
      .map(found)
      .find((v) => v !== undefined)
  }
  return derived.master.sizes.map(({ size }) => found(size)).find((v) => v !== undefined)!
}

describe('the front pocket in a leather of its own', () => {
  test.each(['bifold', 'card-sleeve', 'gusseted-case'])(
    'of a %s: its piece, its thickness, nothing else',
    (kind) => {
      const [own, same] = [
        fronted(kind, 'own', 1.4, { pockets: 2 }),
        fronted(kind, 'same', 1.4, { pockets: 2 }),
      ]
      const role = (d: typeof own) => d.panels.find((p) => p.id === 'foot-pocket')!.role
      expect([role(own), role(same)]).toEqual(['front-pocket', 'pockets'])
      const [laid] = own.works[0]!.sheets.filter(
        (s) => s.sheet.type === 'panel' && s.sheet.panelId === 'foot-pocket',
      )
      const at = boxCentre(laid!.box)
      const more = 1.4 - own.design.leathers.pockets!.thickness
      expect(thicknessAt(own.works[0]!, at) - thicknessAt(same.works[0]!, at)).toBeCloseTo(
        (kind === 'card-sleeve' ? 2 : 1) * more,
        6,
      )
      expect(own.panels.filter((p) => p.role === 'front-pocket').map((p) => p.id)).toEqual(['foot-pocket'])
    },
  )
  test('the fold of a bifold has room for it: once for each half', () => {
    // T pockets: the front one alone lies at the fold.
    const gap = (thickness: number) => gapIn(fronted('bifold', 'own', thickness))
    expect(gap(1.4) - gap(0.9)).toBeCloseTo(2 * 0.5, 9)
    expect(gap(0.9)).toBeCloseTo(gapIn(fronted('bifold', 'same', 1.4)), 9)
    const coins = (t: number) => gapIn(fronted('bifold', 'own', t, { coins: 'right' }))
    expect(coins(1.4) - coins(0.9)).toBeCloseTo(0.5, 9)
  })
  test('a panel of slits has no front pocket and asks for none', () => {
    const slits = fronted('bifold', 'own', 1.4, { school: 'slits' })
    expect(slits.panels.some((p) => p.role === 'front-pocket')).toBe(false)
    expect(slits.kind.roles.find((r) => r.id === 'front-pocket')!.when!(slits.design.params)).toBe(false)
  })
})

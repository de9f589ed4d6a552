import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { freshOf } from './support/designs.js'

const stops = (derived: Derived): string[] =>
  findingsOf(derived).flatMap((f) => (f.rank === 'stop' ? [sayFinding(f, 'mm').what] : []))
const overOf = ({ master }: Derived) => master.sizes.find(({ size }) => size.key === 'flap.over')!.size

describe('a flap that is folded in grooves', () => {
  const bodies = [
    ['briefcase', { flap: 'one' }],
    ['flap-bag', { flap: 'one' }],
    ['flap-bag', { flap: 'sewn' }],
    ['tote', { body: 'boxed', flap: 'one' }],
    ['portfolio', { flap: 'one' }],
  ] as const
  test.each(bodies)(
    '%s %o: both folds are thinned right across, and nothing else changes',
    (kind, params) => {
      const [round, grooved] = (['none', 'grooved'] as const).map((flapGrooves) =>
        derive(freshOf(kind, { ...params, flapGrooves })),
      )
      expect(stops(grooved!)).toEqual(stops(round!))
      const panel = grooved!.panels.find((p) => p.folds.some((f) => f.id === 'flap-1'))!
      const bands = panel.bands.filter((b) => b.key.startsWith('flap-groove'))
      expect(bands).toHaveLength(2)
      expect(bands.every((b) => b.hollow)).toBe(true)
      const { thickness } = grooved!.design.leathers[panel.role]!
      for (const b of bands) expect(b.start).toBeCloseTo(thickness * 0.45, 9)
      expect(round!.panels.flatMap((p) => p.bands.filter((b) => b.key.startsWith('flap-groove')))).toEqual([])
      // The tighter bends reach less far out: over the top it is longer from fold to fold, or as long.
      const folds = panel.folds.filter((f) => f.id.startsWith('flap-'))
      expect(folds.map((f) => f.width)[0]).toBeCloseTo(
        2 * 0.55 * thickness +
          folds[0]!.angle! * 0.45 * thickness * grooved!.design.leathers[panel.role]!.neutral,
        6,
      )
    },
  )
  test('by pencil: 2 mm leather, k 0.4, goes over the top in a square corner', () => {
    const flat = overOf(derive(freshOf('briefcase', { flap: 'one', flapGrooves: 'grooved' })))
    const { inputs } = flat as unknown as { inputs: Record<string, { value: number }> }
    const sum =
      Math.max(2 * inputs.bend!.value, inputs.apart!.value + inputs.t!.value + inputs.room!.value) -
      2 * inputs.radius!.value +
      2 * inputs.bend!.value
    expect(flat.value).toBeCloseTo(sum, 1)
  })
})

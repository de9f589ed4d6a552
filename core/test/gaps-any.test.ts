import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { gapsOf } from '@drumlin/core/space'
import { everyDesign, derivedOf } from './support/all.js'
import { bagDesign } from './support/bags.js'

const BODIES = ['wrap', 'wrap-three', 'tapered', 'set-in', 'boxed', 'folded', 'bellows'] as const
const CARRIED = [
  { handle: 'flat', handles: 2, flap: 'none', top: 'doubled' },
  { flap: 'none', top: 'banded', handle: 'none' },
  { handle: 'doubled', flap: 'sewn', divider: 'one' },
  { handle: 'ring', flap: 'one', organiser: 'covered' },
  { handle: 'flat', flap: 'one', strap: 'pair', strapPad: 'pad' },
] as const

const openSeams = ({ master, runs, works }: Derived): string[] =>
  [0, 1].flatMap((opened) =>
    gapsOf(master, runs, works[0]!, opened)
      .filter((gap) => gap.open)
      .map((gap) => `${gap.run} ${gap.max.toFixed(1)}`),
  )

describe('seams that are sound meet in the round', () => {
  test('of every demo and every kind as it first comes', () => {
    for (const { name, design } of everyDesign()) expect(openSeams(derivedOf(design)), name).toEqual([])
  })
  test.each(BODIES)('of a %s body, whatever it is carried by, raw or turned in one row or two', (body) => {
    for (const seam of ['raw', 'turned'] as const)
      for (const rows of seam === 'turned' ? [1, 2] : [1])
        for (const carried of CARRIED) {
          const bag = derive(bagDesign('flap-bag', { body, seam, rows, ...carried }))
          expect(openSeams(bag), JSON.stringify({ seam, rows, ...carried })).toEqual([])
        }
  })
  test('what stands apart is found', () => {
    const bag = derive(bagDesign('tote', { body: 'wrap' }))
    const away = {
      ...bag.master,
      standing: (opened: number) => {
        const standing = bag.master.standing!(opened)
        return {
          ...standing,
          stood: standing.stood.map((s) =>
            s.sheet === 'front'
              ? {
                  ...s,
                  parts: s.parts.map((p) => ({
                    ...p,
                    frame: { ...p.frame, origin: { ...p.frame.origin, z: p.frame.origin.z + 12 } },
                  })),
                }
              : s,
          ),
        }
      },
    }
    expect(openSeams({ ...bag, master: away }).filter((s) => s.startsWith('front-seam'))).not.toEqual([])
  })
})

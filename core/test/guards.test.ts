import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { type Design, applyEdit } from '@drumlin/core/design'
import { bagDesign } from './support/bags.js'
import { freshOf } from './support/designs.js'

const CASES: readonly (readonly [string, Design, RegExp])[] = [
  [
    'holes of a shoulder strap that reach into its turn-back',
    bagDesign('flap-bag', {
      strap: 'shoulder',
      carried: 500,
      strapShort: 300,
      strapHoles: 13,
      strapSpacing: 40,
    }),
    /^The first adjustment hole lies \d+\.\d mm nearer to the bar than the turn-back leaves room for\.$/,
  ],
  [
    'a pocket that the bag has no room for',
    bagDesign('tote', { wide: 100, high: 140, deep: 40, pocket: 'flat', pocketWide: 180, pocketHigh: 90 }),
    /^The inner pocket is made \d+\.\d mm wide and 90\.0 mm high, not 180\.0 mm by 90\.0 mm\.$/,
  ],
  [
    'a pocket that is too wide and too high',
    bagDesign('tote', { wide: 100, high: 110, deep: 40, pocket: 'flat', pocketWide: 180, pocketHigh: 130 }),
    /^The inner pocket is made \d+\.\d mm wide and \d+\.\d mm high, not 180\.0 mm by 130\.0 mm\.$/,
  ],
  [
    'a cap wider than the handle it is set on',
    bagDesign('tote', { handle: 'flat', handleFix: 'riveted', handleWide: 8 }),
    /^Room for a cap of the .* on the handle: 8\.0 mm, needed 11\.0 mm\.$/,
  ],
  [
    'a form rounded further than it is deep',
    freshOf('moulded-holder', { deep: 8, edge: 12 }),
    /^The edge of the form is rounded 12\.0 mm; 8\.0 mm deep, less the leather at its foot, it leaves room for 5\.\d mm\.$/,
  ],
]

describe('what can’t be made is said where it is asked, and its fix makes it', () => {
  test.each(CASES)('%s', (_, design, words) => {
    const derived = derive(design)
    const found = findingsOf(derived).find((f) => words.test(sayFinding(f, 'mm').what))!
    expect(found.rank).not.toBe('tip')
    const [fix] = fixesOf(found, derived)
    const edited = applyEdit(design, fix!.edit)
    expect(edited.ok).toBe(true)
    const after = edited.ok ? findingsOf(derive(edited.design)) : []
    expect(after.map((f) => f.key)).not.toContain(found.key)
  })
})

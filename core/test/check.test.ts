import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, overruledFor, sayFinding } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { applyEdit, giveBack, heed, overrule } from '@drumlin/core/design'
import { demo, demoWith } from './support/designs.js'

const codes = (derived: Derived): string[] => [...new Set(findingsOf(derived).map((f) => f.code))]
const found = (derived: Derived, code: string) => {
  const finding = findingsOf(derived).find((f) => f.code === code)
  if (!finding) throw new Error(`${code} was not found, but ${codes(derived).join()}`)
  return finding
}
/** Takes the first fix and gives what the design then is. */
function fixed(derived: Derived, code: string): Derived {
  const [fix] = fixesOf(found(derived, code), derived)
  const edited = applyEdit(derived.design, fix!.edit)
  if (!edited.ok) throw new Error(edited.why)
  return derive(edited.design)
}

test('the demo as it ships needs no look', () => expect(findingsOf(demoWith({}))).toEqual([]))

describe.each([
  [
    'stack-too-thick',
    'tip',
    demoWith({ 'leathers.outside.thickness': 1.8 }),
    /^4\.05 mm under the outer seam, left; the No\. 9 iron reaches 4\.0 mm\.$/,
  ],
  ['stack-too-thick', 'stop', demoWith({ 'leathers.outside.thickness': 2.2, 'awl.reach': 4.2 }), /4\.45 mm/],
  [
    'hole-near-step',
    'stop',
    demoWith({ 'params.reveal': 13 }),
    /^A hole falls 0\.\d\d mm from the edge of the card pocket 2 \(seam beside the fold, both sides\)/,
  ],
  [
    'margin-too-small',
    'look',
    demoWith({ 'params.margin': 1.9 }),
    /runs 1\.9 mm from the edge; 2\.1 mm is wanted/,
  ],
  ['margin-too-small', 'stop', demoWith({ 'params.margin': 1.5, 'iron.slotLength': 3 }), /2\.1 mm is wanted/],
  [
    'fold-without-allowance',
    'stop',
    demoWith({}, { 'fold.difference': 0 }),
    /^The outside has 0\.0 mm for the fold; the working says 6\.4 mm\.$/,
  ],
  [
    'fold-without-allowance',
    'look',
    demoWith({}, { 'fold.taken': 0.5 }),
    /has 0\.5 mm for the fold; the working says 3\.8 mm/,
  ],
  [
    'run-too-long',
    'look',
    demoWith({ 'habits.comfortable': 900 }),
    /^The outer seam, left takes 1\.\d\d m of thread in one length; 0\.90 m is comfortable\.$/,
  ],
  [
    'fit',
    'stop',
    demoWith({}, { 'pocket.width': 90 }),
    /^Room for a card between the stitches: 82\.8 mm, needed 86\.4 mm\.$/,
  ],
  [
    'fit',
    'look',
    demoWith({ 'params.shown': 3 }),
    /^Room for a finger on a card: 3\.0 mm, needed 5\.0 mm\.$/,
  ],
  [
    'skive-too-thin',
    'look',
    demoWith({ skives: { 'pocket.arms': 0.2 } }),
    /arms of the card pockets would be 0\.2 mm; Heron goat bears 0\.35 mm/,
  ],
])('%s (%s)', (code, rank, derived, words) => {
  test('is found at its place and said in words', () => {
    const finding = found(derived, code)
    expect(finding.rank).toBe(rank)
    expect(sayFinding(finding, 'mm').what).toMatch(words)
    expect(sayFinding(finding, 'in').why.length).toBeGreaterThan(20)
    expect(finding.places.length).toBeGreaterThan(0)
    for (const place of finding.places) expect(derived.pieces.some((p) => p.id === place.panelId)).toBe(true)
  })
  test('its fix takes it away and brings no stop', () => {
    const after = fixed(derived, code)
    expect(codes(after)).not.toContain(code)
    expect(findingsOf(after).filter((f) => f.rank === 'stop')).toEqual([])
  })
  test('its fix can be undone to the letter', () => {
    const [fix] = fixesOf(found(derived, code), derived)
    const done = applyEdit(derived.design, fix!.edit)
    const undone = done.ok && applyEdit(done.design, done.inverse)
    expect(undone && undone.ok && undone.design).toEqual(derived.design)
  })
})

test('a run for which no room is left is said, not dropped', () => {
  const derived = demoWith({ 'params.pockets': 2, 'params.margin': 10 }, { 'pocket.width': 30 })
  expect(found(derived, 'no-room').rank).toBe('stop')
  expect(fixesOf(found(derived, 'no-room'), derived).map((f) => f.label)).toEqual(['Margin 3.0 mm again'])
  // With the margin as usual nothing that was moved takes the room, so nothing is offered.
  const narrow = demoWith({ 'params.pockets': 2 }, { 'pocket.width': 12 })
  expect(fixesOf(found(narrow, 'no-room'), narrow)).toEqual([])
})

test('skiving by hand shows in the stack: arms at 0.45 bring 3.65 down by 0.45', () => {
  const run = demoWith({ skives: { 'pocket.arms': 0.45 } }).runs.find((r) => r.join.id === 'outer-left')!
  expect(run.thickest).toBeCloseTo(1.4 + 0.9 + 0.45 + 0.9, 9)
  expect(
    Math.min(...run.holes.filter((h) => h.sheets.includes('pocket-1-left')).map((h) => h.stack)),
  ).toBeCloseTo(1.4 + 0.9 + 0.45, 9)
})

test('an overruled finding stays, under its reason, until it is heeded again', () => {
  const thick = demoWith({ 'leathers.outside.thickness': 1.8 })
  const finding = found(thick, 'stack-too-thick')
  const aside = applyEdit(thick.design, overrule(thick.design, finding.key, 'the awl does it'))
  if (!aside.ok) throw new Error(aside.why)
  expect(overruledFor(derive(aside.design), found(derive(aside.design), 'stack-too-thick'))).toBe(
    'the awl does it',
  )
  const again = applyEdit(aside.design, heed(aside.design, finding.key))
  expect(again.ok && again.design.overruled).toEqual([])
})

test('giving back a number that was never written over changes nothing', () => {
  const edited = applyEdit(demo(), giveBack('fold', ['fold.difference']))
  expect(edited.ok && edited.design).toEqual(demo())
})

test('every fix that is offered takes its finding away or makes it milder, in the maker’s units', () => {
  const worst = demoWith({
    'params.reveal': 13,
    'params.shown': 3,
    'leathers.outside.thickness': 2.6,
    'habits.comfortable': 900,
  })
  for (const finding of findingsOf(worst))
    for (const { label, edit } of fixesOf(finding, worst, 'in')) {
      // Irons keep their names, whatever the unit.
      expect(label.replace(/[\d.]+ mm iron/, 'iron')).not.toMatch(/\d mm/)
      const edited = applyEdit(worst.design, edit)
      const left = edited.ok ? findingsOf(derive(edited.design)).find((f) => f.key === finding.key) : finding
      expect(left?.rank).not.toBe(finding.rank)
    }
})

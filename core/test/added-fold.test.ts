import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { type Derived, derive, toBuy } from '@drumlin/core/derived'
import { sortOf } from '@drumlin/core/added'
import { type Design, putOn, setField } from '@drumlin/core/design'
import { pictureOf } from '@drumlin/core/space'
import { stepsOf } from '@drumlin/core/steps'
import { boxCentre, pathBox } from '../src/geometry/index.js'
import { STARTER_STORES } from '../src/stores/index.js'
import { done, freshOf } from './support/designs.js'

const bifold = freshOf('bifold')

/** Something on the outside of a bifold, so far down from its top and aside of its middle. */
function onOutside(sort: string, values: Readonly<Record<string, unknown>> = {}, design = bifold): Design {
  const panel = derive(design).panels.find((p) => p.id === 'outside')!
  const on = done(design, putOn(design, sortOf(sort), panel, STARTER_STORES, { edge: 'top' }))
  const id = Object.keys(on.added).at(-1)!
  return Object.entries(values).reduce(
    (so, [path, value]) => done(so, setField('test', ['added', id, ...path.split('.')], value)),
    on,
  )
}
const holesOf = ({ pieces }: Derived, id: string) => pieces.find((p) => p.id === id)!.holes
const first = (derived: Derived, task: RegExp): number =>
  stepsOf(derived).steps.findIndex((s) => s.rows.some((r) => task.test(r.task)))

describe('across the fold of an outside, which lies in halves in the work', () => {
  const bare = derive(bifold)
  const patched = derive(onOutside('patch', { inward: 30 }))

  test('a patch is sewn on while the outside lies by itself, before it is sewn in', () => {
    const [run] = patched.runs.filter((r) => r.join.id.startsWith('added-1'))
    expect(run!.join.layup).toBe('alone-outside')
    expect(first(patched, /^sew:added-1/)).toBeLessThan(first(patched, /^sew:outer-left/))
    expect(findingsOf(patched).map((f) => f.key)).not.toContain('held-by-nothing:added-1')
  })
  test('all its holes stand on the outside once, besides those of its seams, and on the patch', () => {
    const [run] = patched.runs.filter((r) => r.join.id.startsWith('added-1'))
    expect(holesOf(patched, 'outside').length).toBe(holesOf(bare, 'outside').length + run!.holes.length)
    expect(holesOf(patched, 'added-1').length).toBe(run!.holes.length)
  })
  test('lies over both halves of the closed work, and its stitches are seen there', () => {
    const closed = patched.works.find((w) => w.layup.id === 'closed')!
    const over = closed.sheets.filter((s) => s.sheet.type === 'panel' && s.sheet.panelId === 'added-1')
    expect(over.map((s) => s.sheet.clips.length > 0)).toEqual([true, true])
    const stitches = (derived: Derived) => pictureOf(derived, derived.works[0]!, 1).stitches.length
    expect(stitches(patched)).toBeGreaterThan(stitches(bare) + 6 * 20)
  })
  test('a rivet in the length that the fold takes up is bought and marked', () => {
    const derived = derive(onOutside('rivet', { inward: 40 }))
    expect(derived.fittings.map((f) => f.fitting.sheet)).toEqual(['outside-alone'])
    expect(toBuy(derived, 'mm').some((b) => /rivet/.test(JSON.stringify(b)))).toBe(true)
    const outside = derived.pieces.find((p) => p.id === 'outside')!
    const middle = boxCentre(pathBox(outside.finished)).x
    const marks = outside.marks.flatMap((m) => (m.type === 'set' ? [m.mark.at.x] : []))
    expect(marks.some((x) => Math.abs(x - middle) < 1e-6)).toBe(true)
  })
  test('two rivets whose caps meet are told, and too near an edge, on the outside', () => {
    const near = derive(onOutside('rivet', { inward: 44 }, onOutside('rivet', { inward: 40 })))
    expect(findingsOf(near).some((f) => f.code === 'hardware-meets')).toBe(true)
    const [close] = findingsOf(derive(onOutside('rivet', { inward: 4 }))).filter(
      (f) => f.code === 'hardware-close',
    )
    expect(close!.places[0]!.panelId).toBe('outside')
  })
  test('on one half it is set through the work as it lies open', () => {
    const derived = derive(onOutside('rivet', { inward: 40, aside: 40 }))
    expect(derived.fittings.map((f) => f.fitting.sheet)).toEqual(['outside-right'])
    expect(derived.works.some((w) => w.layup.alone)).toBe(false)
  })
})

import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive, mergesFor, seamPlan, zipFor } from '@drumlin/core/derived'
import { applyEdit, splitRuns, wishRuns } from '@drumlin/core/design'
import type { RunWish } from '@drumlin/core/sewing'
import { pathLength, pointDistance, pointInside } from '../src/geometry/index.js'
import { demo, demoWith, freshOf, withValues } from './support/designs.js'

const OUTER = 'outer-left'
const runOf = (derived: Derived, id: string) => derived.runs.find((r) => r.join.id === id)!
/** The demo with a wish for one run. */
const wishing = (wish: RunWish, id = OUTER): Derived => {
  const edited = applyEdit(demo(), wishRuns('test', [id], wish))
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return derive(edited.design)
}
const plain = runOf(demoWith({}), OUTER)

describe('a run as the maker wants it', () => {
  test('turned round it has the same holes, last first', () => {
    const turned = runOf(wishing({ reversed: true }), OUTER)
    turned.holes.forEach((h, i) => expect(pointDistance(h.at, plain.holes.at(-1 - i)!.at)).toBeLessThan(1e-4))
  })
  test('its start moved 5 mm in it is 5 mm shorter; moved 4 mm out it goes on straight', () => {
    expect(runOf(wishing({ startBy: 5 }), OUTER).length).toBeCloseTo(plain.length - 5, 6)
    const longer = runOf(wishing({ startBy: -4 }), OUTER)
    expect(longer.length).toBeCloseTo(plain.length + 4, 6)
    expect(longer.holes[0]!.at.x).toBeCloseTo(plain.holes[0]!.at.x, 6)
    expect(longer.holes[0]!.at.y).toBeCloseTo(plain.holes[0]!.at.y - 4, 6)
  })
  test('with nothing left between its ends it is said to have no room, and nothing breaks', () => {
    const none = wishing({ startBy: 90, endBy: 90 })
    expect(runOf(none, OUTER)).toBeUndefined()
    expect(findingsOf(none).map((f) => f.code)).toContain('no-room')
  })
  test('every other hole: the pitch is twice the iron’s', () => {
    const every = runOf(wishing({ every: 2 }), OUTER)
    expect(every.ways.pitch).toBeCloseTo(2 * plain.ways.pitch, 9)
    expect(every.holes.length).toBeLessThan(plain.holes.length / 2 + 2)
  })
  test('a second row 4 mm further in keeps that distance from the first all the way', () => {
    const both = wishing({ second: 4 })
    const [first, second] = [runOf(both, OUTER), runOf(both, `${OUTER}~2`)]
    // Down the straight side the rows are 4 mm apart; first and last holes hang on their own line.
    expect(second.holes[3]!.at.x - first.holes[3]!.at.x).toBeCloseTo(4, 6)
    expect(second.join.name).toBe('outer seam, left, second row')
    expect(second.join.twin).toBeUndefined()
  })
  test('a layer left out is not sewn through', () => {
    const less = runOf(wishing({ without: ['pocket-3-left'] }), OUTER)
    expect(less.join.through).toEqual(plain.join.through.filter((id) => id !== 'pocket-3-left'))
    const all = (run: typeof plain) => run.holes.reduce((sum, h) => sum + h.stack, 0)
    expect(all(less)).toBeLessThan(all(plain) - 10)
  })
  test('each part of a parted run leaves out what it leaves out, and no more', () => {
    const design = demo()
    const edited = applyEdit(design, splitRuns(design, 'part', [OUTER], 0.5))
    if (!edited.ok) throw new Error(edited.why)
    const wished = applyEdit(edited.design, wishRuns('leave', [OUTER], { without: ['inside-left'] }))
    const [a, b] = [OUTER, `${OUTER}/2`].map((id) => runOf(derive(wished.ok ? wished.design : design), id))
    expect(a!.join.through).not.toContain('inside-left')
    expect(b!.join.through).toContain('inside-left')
  })
  test('a second row that has no room is said, and taken back', () => {
    const derived = wishing({ second: -6 })
    expect(runOf(derived, `${OUTER}~2`)?.holes.some((h) => h.stack > 0) ?? false).toBe(false)
    const found = findingsOf(derived).find((f) => f.run === `${OUTER}~2`)!
    expect(found.rank).toBe('stop')
    expect(fixesOf(found, derived).map((f) => f.label)).toContain('Sew it in one row')
  })
  test('an end over the edge twice takes two loops more: 2 × (2 × 3 + 2 × mean), and its waste', () => {
    const mean = plain.holes.reduce((sum, h) => sum + h.stack, 0) / plain.holes.length
    const looped = runOf(wishing({ over: { start: 0, end: 2 } }), OUTER)
    // The last hole lies 3 mm from the foot.
    expect(looped.thread.value - plain.thread.value).toBeCloseTo(2 * (2 * 3 + 2 * mean) * 1.06, 1)
  })
  test('another iron for one run changes that run and no other', () => {
    const finer = { ...demo().iron, id: 'finer', name: 'finer', pitch: 2.5 }
    const derived = wishing({ iron: finer })
    expect(runOf(derived, OUTER).holes.length).toBeGreaterThan(plain.holes.length + 8)
    expect(runOf(derived, 'outer-right').holes).toHaveLength(plain.holes.length)
  })
  test('parted, its parts share a hole and have together every hole of the whole', () => {
    const design = demo()
    const edited = applyEdit(design, splitRuns(design, 'part', [OUTER, 'outer-right'], 0.4))
    if (!edited.ok) throw new Error(edited.why)
    const derived = derive(edited.design)
    const [a, b] = [runOf(derived, OUTER), runOf(derived, `${OUTER}/2`)]
    expect(a.holes.length + b.holes.length).toBe(plain.holes.length + 1)
    expect(a.holes.at(-1)!.at).toEqual(b.holes[0]!.at)
    expect(a.length + b.length).toBeCloseTo(plain.holes.at(-1)!.distance, 6)
    expect(a.join.twin).toBe('outer-right')
    expect(b.join.twin).toBe('outer-right/2')
    const shared = seamPlan(derived).rows.find((r) => r.run === a)!.meetings
    expect(shared).toMatchObject([{ sort: 'shared', punched: 'once' }])
  })
  test('two runs whose ends meet are sewn in one, the meeting hole once; it is said which could be', () => {
    const parted = applyEdit(demo(), splitRuns(demo(), 'part', [OUTER], 0.5))
    if (!parted.ok) throw new Error(parted.why)
    const derived = derive(parted.design)
    expect(mergesFor(derived, runOf(derived, OUTER)).map((r) => r.join.id)).toContain(`${OUTER}/2`)
    const whole = derive(
      withValues(parted.design, { 'sewing.merges': [{ first: OUTER, then: `${OUTER}/2` }] }),
    )
    const one = runOf(whole, OUTER)
    expect(one.holes).toHaveLength(plain.holes.length)
    one.holes.forEach((h, i) => expect(pointDistance(h.at, plain.holes[i]!.at)).toBeLessThan(1e-9))
    expect(pathLength(one.path)).toBeCloseTo(plain.holes.at(-1)!.distance, 6)
    expect(one.join.backstitches).toEqual(plain.join.backstitches)
  })
  test('runs far apart are not put together, whatever a file says', () => {
    const derived = derive(
      withValues(demo(), { 'sewing.merges': [{ first: 'foot-1-left', then: 'outer-right' }] }),
    )
    expect(derived.runs).toHaveLength(8)
  })
  test('put first in the order it stands first, as far as it can be reached', () => {
    const plan = seamPlan(derive(withValues(demo(), { 'sewing.order': ['inner-right', 'inner-left'] })))
    const numbers = Object.fromEntries(plan.rows.map((r) => [r.run.join.id, r.number]))
    expect(numbers['inner-right']).toBeLessThan(numbers['inner-left']!)
    // The feet are covered by the next pocket, which the inner seam holds: they stay before it.
    expect(numbers['foot-1-right']).toBeLessThan(numbers['inner-right']!)
  })
})

describe('lines that hold nothing', () => {
  const line = {
    id: 'line-1',
    name: 'line on the outside',
    layup: 'open',
    sheet: 'outside-left',
    chain: ['top'],
    margin: 6,
  }
  test('a decorative line lies so far in, goes through one piece, and holds no other', () => {
    const derived = derive(withValues(demo(), { 'sewing.lines': [line] }))
    const run = runOf(derived, 'line-1')
    for (const h of run.holes)
      expect(h.at.y).toBeCloseTo(
        6 + derived.works[0]!.sheets.find((s) => s.sheet.id === 'outside-left')!.box.top,
        6,
      )
    expect(run.join.through).toEqual(['outside-left'])
    expect(zipFor(derived, run).back).toBeUndefined()
  })
  test('one for a piece that is gone is left out and said, and can be forgotten', () => {
    const derived = derive(withValues(demo(), { 'sewing.lines': [{ ...line, sheet: 'no-such' }] }))
    const gone = findingsOf(derived).find((f) => f.code === 'wish-gone')!
    expect(sayFinding(gone, 'mm').what).toContain('no longer there')
    const [fix] = fixesOf(gone, derived)
    const edited = applyEdit(derived.design, fix!.edit)
    expect(edited.ok && edited.design.sewing.lines).toEqual([])
  })
})

describe('sewn by machine', () => {
  const derived = wishing({ holes: 'machine', pitch: 4 })
  const run = runOf(derived, OUTER)
  test('needle and bobbin thread by the formula of a balanced lockstitch', () => {
    const n = run.stitches + 4
    const mean = run.holes.reduce((sum, h) => sum + h.stack, 0) / run.holes.length
    const each = (n * (run.sides[0]!.pitch + mean) + 2 * 150) * 1.06
    expect(run.locked!.needle.value).toBeCloseTo(each, 6)
    expect(run.thread.value).toBeCloseTo(2 * each, 6)
  })
  test('its line is drawn, its holes are not', () => {
    const inside = derived.pieces.find((p) => p.id === 'inside')!
    const byHand = demoWith({}).pieces.find((p) => p.id === 'inside')!
    expect(inside.marks.filter((m) => m.type === 'stitchLine')).toHaveLength(1)
    expect(inside.holes.length).toBe(byHand.holes.length - plain.holes.length)
  })
  test('work too thick for the foot or the needle is a stop', () => {
    const low = derive(withValues(derived.design, { 'machine.reach': 2, 'machine.lift': 30 }))
    const found = findingsOf(low).find((f) => f.code === 'stack-too-thick' && f.run === OUTER)!
    expect(found.rank).toBe('stop')
    expect(sayFinding(found, 'mm').what).toContain(low.design.machine.name)
  })
})

describe('a hole template', () => {
  const derived = wishing({ template: true })
  const piece = derived.pieces.find((p) => p.id === `template-${OUTER}`)!
  test('is a card with every hole of the run inside it, hole for hole', () => {
    expect(piece.holes).toHaveLength(plain.holes.length)
    piece.holes.forEach((h, i) => {
      expect(pointDistance(h.at, plain.holes[i]!.at)).toBeLessThan(1e-9)
      expect(pointInside(h.at, piece.cut)).toBe(true)
    })
    expect(piece.material).toBe('card')
  })
  test('of two that mirror each other one serves both', () => {
    const edited = applyEdit(demo(), wishRuns('test', [OUTER, 'outer-right'], { template: true }))
    expect(edited.ok && derive(edited.design).pieces.filter((p) => p.id.startsWith('template'))).toHaveLength(
      1,
    )
  })
})

describe('what is found along the lines', () => {
  const codes = (derived: Derived): string[] => findingsOf(derived).map((f) => f.code)
  test('a run that starts beside the leather', () => {
    const derived = wishing({ startBy: -30 })
    const found = findingsOf(derived).find((f) => f.code === 'run-line')!
    expect(found.rank).toBe('stop')
    expect(sayFinding(found, 'mm').what).toMatch(/\d+ holes of the outer seam, left lie beside the leather/)
    expect(fixesOf(found, derived).map((f) => f.label)).toEqual(['Start and end it where it was'])
  })
  test('a pitch the iron does not step; stepping it puts all of the difference into the last stitches', () => {
    const tight = demoWith({ 'habits.play': 0.002 })
    expect(codes(tight)).toContain('pitch-off')
    expect(codes(demoWith({}))).not.toContain('pitch-off')
    const stepped = runOf(demoWith({ 'sewing.stepping': 'stepped' }), OUTER).sides[0]!
    expect(stepped.pitch).toBe(demo().iron.pitch)
    expect(stepped.last!.stitches).toBe(5)
    expect(Math.abs(stepped.last!.pitch - stepped.pitch)).toBeGreaterThan(0.05)
  })
  test('a row across the pull of a strap, and two along it instead', () => {
    const strap = derive(freshOf('narrow-strap'))
    const found = findingsOf(strap).find((f) => f.code === 'across-pull')!
    expect(sayFinding(found, 'mm').what).toContain('across the pull')
    const [fix] = fixesOf(found, strap)
    const edited = applyEdit(strap.design, fix!.edit)
    if (!edited.ok) throw new Error(edited.why)
    const mended = derive(edited.design)
    const rows = mended.runs.filter((r) => r.join.id.startsWith(found.run!))
    expect(rows).toHaveLength(2)
    for (const row of rows) {
      expect(row.holes.at(-1)!.at.x).toBeCloseTo(row.holes[0]!.at.x, 6)
      expect(row.holes.length).toBeGreaterThanOrEqual(4)
    }
    expect(findingsOf(mended).some((f) => f.key === found.key)).toBe(false)
  })
  test('thread that does not suit its stitch, and what would', () => {
    const heavy = demoWith({ 'thread.tex': 900 })
    const found = findingsOf(heavy).find((f) => f.code === 'thread-unsuited')!
    expect(sayFinding(found, 'mm').why).toContain('too heavy')
    expect(fixesOf(found, heavy)).toHaveLength(1)
  })
})

describe('punched through all layers', () => {
  test('every hole of every example comes out where it goes in: nothing is slanted, nothing left over', () => {
    for (const kind of ['bifold', 'gusseted-case', 'card-sleeve'])
      for (const holes of ['through', 'machine']) {
        const derived = derive(withValues(freshOf(kind), { 'sewing.holes': holes }))
        for (const run of derived.runs) {
          const zip = zipFor(derived, run)
          expect(zip.extra).toEqual([])
          expect(zip.teeth.some((t) => t.slanted)).toBe(false)
          expect(zip.ease).toBeUndefined()
        }
      }
  })
})

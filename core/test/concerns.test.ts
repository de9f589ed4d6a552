import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { applyEdit } from '@drumlin/core/design'
import { sewingOrder } from '../src/stitch/index.js'
import { freshOf, withValues } from './support/designs.js'
import { plain } from './support/plain.js'

/** Kind, settings, the finding they lead to, and whether a fix is offered. */
const CASES: readonly (readonly [string, Readonly<Record<string, unknown>>, string, boolean])[] = [
  ['bifold', { school: 'slits', pouch: 'none' }, 'concern:slit-without-pouch', true],
  ['bifold', { tops: 'turned', grip: 'notch' }, 'concern:notch-in-turned-top', true],
  ['bifold', { school: 'overlap', pockets: 5 }, 'concern:overlap-thick', true],
  ['bifold', { lining: 'lined', foldShare: 0.2 }, 'concern:leaves-in-the-fold', true],
  ['card-sleeve', { school: 'slits', pouch: 'none' }, 'concern:slit-without-pouch', true],
  ['card-sleeve', { shown: 3 }, 'fit:card-grip', true],
  ['strap-wallet', { overlap: 20, cards: 16, notes: 60 }, 'concern:strap-hangs', false],
  ['strap-wallet', { flap: 22, lower: 30 }, 'fit:flap-over', true],
  ['moulded-holder', { edge: 0.5 }, 'fit:edge-radius', true],
  ['moulded-holder', { high: 60, shown: 55 }, 'fit:held', true],
  ['moulded-holder', { high: 50, shown: 0, belt: 60 }, 'fit:slots-apart', false],
  ['gusseted-case', { high: 30, deep: 60, pockets: 0 }, 'concern:gusset-too-deep', false],
  ['gusseted-case', { flap: 90, pockets: 0 }, 'concern:snap-at-foot', true],
  ['gusseted-case', { flap: 21 }, 'fit:flap-over', true],
  ['gusseted-case', { wide: 60 }, 'fit:pockets-on-back', true],
  ['gusseted-case', { pockets: 3, high: 40 }, 'concern:pockets-too-high', false],
  ['narrow-strap', { holes: 6 }, 'concern:holes-even', true],
  ['narrow-strap', { spacing: 4, hole: 2 }, 'concern:holes-tear', true],
  ['narrow-strap', { wideEnd: 14, narrowEnd: 20 }, 'concern:widens', true],
  ['narrow-strap', { hole: 1, prong: 2 }, 'fit:prong-in-hole', true],
  ['narrow-strap', { short: 130, holes: 11 }, 'fit:holes-behind-bar', false],
]

describe('what a kind warns of', () => {
  test.each(CASES)('%s with %o: %s', (kind, params, key, mendable) => {
    const derived = derive(freshOf(kind, params))
    const finding = findingsOf(derived).find((f) => f.key === key)
    expect(
      finding,
      `among ${findingsOf(derived)
        .map((f) => f.key)
        .join(', ')}`,
    ).toBeDefined()
    for (const unit of ['mm', 'in'] as const) {
      const { what, why } = sayFinding(finding!, unit)
      expect(what).toMatch(/^[A-Z0-9].*\.$/)
      expect(why).toMatch(/^[A-Z].*[.?]$/)
      expect(`${what}${why}`).not.toMatch(/undefined|NaN/)
    }
    expect(derived.pieces.some((p) => finding!.places.every(({ panelId }) => panelId === p.id))).toBe(true)
    const fixes = fixesOf(finding!, derived)
    expect(fixes.length > 0).toBe(mendable)
    for (const { edit } of fixes) {
      const done = applyEdit(derived.design, edit)
      expect(done.ok && findingsOf(derive(done.design)).some((f) => f.key === key)).toBe(false)
    }
  })
  test('as they first come, none of them says anything but looks and tips', () => {
    for (const [kind] of CASES)
      expect(findingsOf(derive(freshOf(kind))).filter((f) => f.code === 'concern')).toEqual([])
  })
})

describe('nothing left to trim', () => {
  const sleeve = (trim: number) =>
    findingsOf(derive(freshOf('card-sleeve', { trim }))).filter((f) => f.code === 'no-trim')
  test('six layers ending together, cut to size, are a tip; with a millimetre to spare they are not', () => {
    expect(sleeve(0).map((f) => [f.rank, f.data.layers])).toEqual([['tip', 6]])
    expect(sleeve(1)).toEqual([])
    const derived = derive(freshOf('card-sleeve', { trim: 0 }))
    expect(fixesOf(sleeve(0)[0]!, derived).map((f) => f.label)).toEqual([
      'Cut 1.0 mm extra and trim after sewing',
    ])
  })
})

describe('the order of sewing', () => {
  test.each([
    'card-sleeve',
    'strap-wallet',
    'wrap-wallet',
    'moulded-holder',
    'gusseted-case',
    'narrow-strap',
  ])('%s: every run can be reached, and none covers one that comes after it', (kind) => {
    const { runs, works } = derive(freshOf(kind))
    const { order, stuck } = sewingOrder(runs, works)
    expect(stuck).toEqual([])
    expect(order.map((c) => c.run.join.id).toSorted()).toEqual(runs.map((r) => r.join.id).toSorted())
    order.forEach((c, i) => {
      const later = order.slice(i).map((o) => o.run.join.id)
      for (const before of c.before) expect(later).toContain(before)
    })
  })
  test('in the case the gussets go to the back first; the front, which can fold away, does not cover them', () => {
    const { runs, works } = derive(freshOf('gusseted-case'))
    const at = (id: string): number => sewingOrder(runs, works).order.findIndex((c) => c.run.join.id === id)
    expect(at('pile')).toBeLessThan(at('foot'))
    expect(at('bridge-left')).toBeLessThan(at('foot'))
  })
  test('feet on both faces of a single back can’t all be sewn: glued they need not be', () => {
    const derived = derive(freshOf('card-sleeve', { centre: 'none' }))
    const stuck = findingsOf(derived).filter((f) => f.code === 'covered-before-sewn')
    expect(stuck.length).toBeGreaterThan(0)
    expect(sayFinding(stuck[0]!, 'mm').what).toMatch(/^The foot of pocket 1.* can’t be reached/)
    const [glue] = fixesOf(stuck[0]!, derived)
    expect(glue!.label).toBe('Glue the feet of the pockets')
    const done = applyEdit(derived.design, glue!.edit)
    const left = done.ok ? findingsOf(derive(done.design)) : stuck
    expect(left.filter((f) => f.rank === 'stop')).toEqual([])
  })
  test('two seams each under the other’s leather are stuck, and it is said', () => {
    const derived = derive(freshOf('bifold'))
    const [a, b] = ['foot-1-left', 'outer-left'].map((id) => derived.runs.find((r) => r.join.id === id)!)
    // As if the outside were sewn with the foot of the first pocket, and that pocket only with the outside.
    const through = (run: typeof a, ids: readonly string[]) => ({
      ...run!,
      join: { ...run!.join, through: ids },
    })
    const knotted = [
      through(a, ['inside-left', 'outside-left']),
      through(b, ['inside-left', 'pocket-1-left']),
    ]
    const { stuck } = sewingOrder(
      knotted.map((r, i) => (i === 0 ? r : { ...r, holes: a!.holes })),
      derived.works,
    )
    expect(stuck.map((c) => c.run.join.id)).toEqual(['foot-1-left', 'outer-left'])
  })
})

describe('a hole beside a step', () => {
  test('a seam that comes up again on the other side meets a pocket twice, and says so once', () => {
    const derived = derive(
      withValues(freshOf('card-sleeve', { reveal: 13, pockets: 2 }), { 'habits.stepClearance': 1.4 }),
    )
    const near = findingsOf(derived).filter((f) => f.code === 'hole-near-step' && f.run === 'outer')
    expect(new Set(near.map((f) => f.key)).size).toBe(near.length)
    for (const finding of near) expect(finding.places.length).toBeGreaterThanOrEqual(2)
    expect(near.length).toBeGreaterThan(0)
  })
})

test('no kind’s seam is thinner than its two outermost leathers', () => {
  for (const kind of ['card-sleeve', 'strap-wallet', 'moulded-holder', 'gusseted-case'])
    for (const run of plain(kind).runs.filter((r) => r.join.through.length > 1))
      expect(Math.max(...run.holes.map((h) => h.stack)), `${kind} ${run.join.id}`).toBeGreaterThanOrEqual(
        1 - 1e-9,
      )
})

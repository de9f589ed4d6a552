import { describe, expect, test } from 'vitest'
import { SORTS, sortOf } from '@drumlin/core/added'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive, toBuy } from '@drumlin/core/derived'
import { type Design, putOn, setField } from '@drumlin/core/design'
import { boxHeight, boxWidth, pathBox } from '@drumlin/core/geometry'
import { stepsOf } from '@drumlin/core/steps'
import { STARTER_STORES } from '../src/stores/index.js'
import { done, freshOf } from './support/designs.js'

function put(design: Design, sort: string, on: string, values: Readonly<Record<string, unknown>> = {}) {
  const panel = derive(design).panels.find((p) => p.id === on)!
  const after = done(design, putOn(design, sortOf(sort), panel, STARTER_STORES))
  const id = Object.keys(after.added).at(-1)!
  return Object.entries(values).reduce(
    (so, [path, value]) => done(so, setField('test', ['added', id, ...path.split('.')], value)),
    after,
  )
}
const size = (derived: Derived, key: string) =>
  derived.master.sizes.find((s) => s.size.key === key)!.size.value
const run = (derived: Derived, id: string) => derived.runs.find((r) => r.join.id === id)!
const said = (derived: Derived) =>
  findingsOf(derived)
    .map((f) => sayFinding(f, 'mm').what)
    .join('\n')
/** Sheets of the laid-out work, lowest first, as far as they belong to these. */
const lying = (derived: Derived, like: RegExp) =>
  derived.works[0]!.sheets.filter((s) => s.part === 'whole' && like.test(s.sheet.id)).map((s) => s.sheet.id)
const place = (derived: Derived, task: string) =>
  stepsOf(derived).steps.findIndex((s) => s.rows.some((r) => r.task === task))
const tote = freshOf('tote')

describe('a loop', () => {
  const laid = derive(put(tote, 'loop', 'front', { inward: 100 }))
  const { thickness, neutral } = laid.design.leathers['added-1']!
  test('is as long as what goes through it, its ends, and its own corners', () => {
    // 40 + 4 to slide; 2 × 4 up and down, 2 × 18 of ends.
    expect(size(laid, 'added-1.apart')).toBe(44)
    expect(size(laid, 'added-1.length')).toBeCloseTo(44 + 8 + 36 + Math.PI * neutral * thickness, 9)
  })
  test('its ends lie 44 apart on the work, one layer under each', () => {
    const middle = (id: string) => {
      const all = run(laid, id).holes.map((h) => h.at.y)
      return (Math.min(...all) + Math.max(...all)) / 2
    }
    expect(middle('added-1-seam-2') - middle('added-1-seam-1')).toBeCloseTo(44 + 18, 6)
    expect(run(laid, 'added-1-seam-1').thickest).toBeCloseTo(
      thickness + laid.design.leathers.body!.thickness,
      6,
    )
  })
  test('through slots its ends lie behind, and are sewn there', () => {
    const slots = derive(put(tote, 'loop', 'front', { inward: 100, 'params.ends': 'slots' }))
    expect(lying(slots, /^(added-1.*|front)$/)).toEqual(['added-1-foot', 'added-1-top', 'front', 'added-1'])
    const marks = slots.panels.find((p) => p.id === 'front')!.marks!.filter((m) => m.type === 'slot')
    expect(marks.map((m) => m.length)).toEqual([26, 26])
    expect(Math.abs(marks[1]!.at.y - marks[0]!.at.y)).toBeCloseTo(44, 9)
    expect(run(slots, 'added-1-seam-1').join.through).toEqual(['added-1-top', 'front'])
  })
  test('its ends skived to half', () => {
    const thin = derive(put(tote, 'loop', 'front', { inward: 100, 'params.thinned': 'half' }))
    const { skives } = thin.panels.find((p) => p.id === 'added-1')!
    expect(skives!.map((s) => [s.chain, s.start, s.end])).toEqual([
      [['top'], thickness / 2, thickness],
      [['foot'], thickness / 2, thickness],
    ])
  })
  test('longer than what it is put on: told by how much', () => {
    const wallet = freshOf('bifold')
    expect(said(derive(put(wallet, 'loop', 'outside', { 'params.room': 120 })))).toMatch(
      /The loop reaches [\d.]+ mm past the edge/,
    )
  })
})

describe('a strap held at one end', () => {
  const strap = put(tote, 'strip', 'front', { inward: 60, 'params.free': 120 })
  test('its end and its free part, sewn in no line across the pull but at its very end', () => {
    const derived = derive(strap)
    expect(size(derived, 'added-1.length')).toBe(25 + 120)
    expect(said(derived)).not.toContain('goes across the pull')
  })
  test('a snap on its free end goes through the strap alone', () => {
    const snapped = derive(put(strap, 'snap', 'added-1', { inward: 130 }))
    const { fitting } = snapped.fittings.find((f) => f.fitting.id === 'added-2')!
    // It hangs free there: nothing of the front lies under it for good.
    expect([fitting.sheet, fitting.through.map((t) => t.sheet)]).toEqual(['added-1-free', ['added-1-free']])
    expect(fitting.count).toBe(1)
    expect(said(snapped)).not.toContain('The snap lies under')
  })
})

describe('a sleeve', () => {
  const sleeve = derive(put(tote, 'sleeve', 'handle', { 'params.long': 80 }))
  test('goes round the strap and its layers, and closes beside it', () => {
    const { thickness, neutral } = sleeve.design.leathers['added-1']!
    const strap = sleeve.design.leathers.straps!.thickness
    const inside = 2 * strap
    expect(size(sleeve, 'added-1.inside')).toBeCloseTo(inside, 9)
    const handle = sleeve.panels.find((p) => p.id === 'handle')!
    const around =
      2 * (boxHeight(pathBox(handle.outline)) + 5) + Math.PI * (inside / 2 + neutral * thickness) + inside
    expect(size(sleeve, 'added-1.around')).toBeCloseTo(around, 9)
  })
  test('is sewn over the rows of the handle, which come first and don’t go through it', () => {
    expect(run(sleeve, 'handle-front-edge-1').join.through.filter((s) => s.startsWith('added'))).toEqual([])
    expect(run(sleeve, 'added-1-seam').join.through).toEqual(['added-1', 'added-1-under'])
    expect(place(sleeve, 'sew:handle-front-edge-1')).toBeLessThan(place(sleeve, 'sew:added-1-seam'))
    const cut = pathBox(sleeve.pieces.find((p) => p.id === 'added-1')!.cut)
    // Over size along both edges that are sewn together.
    expect(boxHeight(cut)).toBeCloseTo(size(sleeve, 'added-1.around') + 2 * 1.5, 6)
  })
})

describe('a lash tab', () => {
  test('has two slots for its strap with leather round them', () => {
    const derived = derive(put(tote, 'lash', 'front', { inward: 100 }))
    const panel = derived.panels.find((p) => p.id === 'added-1')!
    // 20 + 2 long; 16 + 4 + 2 × 10 wide, 22 + 2 × 10 high.
    expect([boxWidth(pathBox(panel.outline)), boxHeight(pathBox(panel.outline))]).toEqual([40, 42])
    const slots = panel.marks!.filter((m) => m.type === 'slot')
    expect(slots.map((m) => [m.length, m.punch])).toEqual([
      [22, 4],
      [22, 4],
    ])
    expect(panel.marks!.some((m) => m.type === 'up')).toBe(true)
  })
})

describe('a zipped pocket', () => {
  const zipped = put(tote, 'zip-pocket', 'front', { inward: 80 })
  const derived = derive(zipped)
  test('its piece is folded at the foot behind the opening', () => {
    expect(size(derived, 'added-1.wide')).toBe(140 + 2 * 18)
    // 6 + 3 + 8 above the opening’s middle, 100 below it.
    expect(size(derived, 'added-1.leaf')).toBe(117)
    expect(lying(derived, /^(added-1.*|front)$/)).toEqual(['added-1-back', 'added-1', 'front'])
  })
  test('the zip is set, the frame sewn through pocket and front, then the sides with the front folded away', () => {
    expect(run(derived, 'added-1-seam').join.through).toEqual(['added-1', 'front'])
    expect(run(derived, 'added-1-seam-side-1').join.through).toEqual(['added-1', 'added-1-back'])
    const order = ['set:added-1', 'sew:added-1-seam', 'sew:added-1-seam-side-1'].map((t) => place(derived, t))
    expect(order).toEqual(order.toSorted((a, b) => a - b))
    expect(order[0]).toBeGreaterThan(-1)
    expect(said(derived)).not.toContain('can’t be reached')
  })
  test('a seam that misses the tape is told', () => {
    // 32 of tape; 26 + 2 × (4 + 2) would be 38.
    const wide = put(tote, 'zip-pocket', 'front', { inward: 80, 'params.window': 26, 'params.frame': 4 })
    expect(said(derive(wide))).toContain('on the tape')
    expect(said(derived)).not.toContain('on the tape')
  })
})

describe('what covers prongs', () => {
  test('is as large as the lock and what is past it, and comes on after', () => {
    const derived = derive(put(tote, 'lock', 'front', { inward: 120, 'params.cover': 'sewn' }))
    const cover = pathBox(derived.panels.find((p) => p.id === 'added-1-cover')!.outline)
    // 34 × 22, and 10 on every side.
    expect([boxWidth(cover), boxHeight(cover)]).toEqual([54, 42])
    expect(place(derived, 'set:added-1')).toBeLessThan(place(derived, 'sew:added-1-seam'))
    const { fitting } = derived.fittings.find((f) => f.fitting.id === 'added-1')!
    expect(fitting.through.map((t) => t.sheet)).toEqual(['front'])
  })
})

describe('a tab', () => {
  test('round a swivel hook or a buckle is as long as their bars ask', () => {
    for (const [holds, role] of [
      ['hook', 'added-1-hook'],
      ['buckle', 'added-1-buckle'],
    ] as const) {
      const derived = derive(put(tote, 'tab', 'front', { inward: 60, 'params.holds': holds }))
      const { thickness, neutral } = derived.design.leathers['added-1']!
      const { bar, sort } = derived.design.hardware[role]!
      expect(sort).toBe(holds)
      expect(size(derived, 'added-1.length')).toBeCloseTo(
        2 * 28 + Math.PI * (bar / 2 + neutral * thickness),
        9,
      )
      expect(derived.fittings.find((f) => f.fitting.id === 'added-1')!.hardware.sort).toBe(holds)
      const slots = derived.panels
        .find((p) => p.id === 'added-1')!
        .marks?.filter((m) => m.type === 'slot').length
      expect(slots ?? 0).toBe(holds === 'buckle' ? 1 : 0)
    }
  })
})

test('every sort says what it is in a line, and no two are called alike', () => {
  expect(new Set(SORTS.map((s) => s.name)).size).toBe(SORTS.length)
  expect(SORTS.every((s) => s.about.length > 10 && !s.about.endsWith('.'))).toBe(true)
})

describe('on a piece that does not lie in the work laid open', () => {
  /** A strap that binds the closed wallet, and two pieces that lie nowhere in the work. */
  const PIECES = [
    ['strap-wallet', 'strap', { strapFix: 'through' }],
    ['narrow-strap', 'keeper', {}],
    ['wrap-wallet', 'band', {}],
  ] as const
  const on = (kind: string, panel: string, params: object, sort: string, values = {}): Derived =>
    derive(put(freshOf(kind, { ...params }), sort, panel, values))

  test.each(PIECES)(
    'of a %s, its %s: a tab is put on it once, with its holes on both',
    (kind, panel, params) => {
      const derived = on(kind, panel, params, 'tab', { 'params.wide': 6, 'params.margin': 1.5 })
      const sewn = derived.runs.filter((r) => r.join.id.startsWith('added-'))
      expect(sewn.map((r) => r.join.id)).toEqual(['added-1-seam-1', 'added-1-seam-2'])
      const holes = (id: string) => derived.pieces.find((p) => p.id === id)!.holes.length
      const all = sewn.reduce((sum, r) => sum + r.holes.length, 0)
      // Both leaves of the tab are one piece: each row is on it twice.
      expect(holes('added-1')).toBe(2 * all)
      expect(holes(panel)).toBe(
        sewn.flatMap((r) => r.holes.filter((h) => h.sheets.includes(`${panel}-alone`))).length,
      )
      expect(stepsOf(derived).circles).toEqual([])
    },
  )
  test.each(PIECES)('of a %s, its %s: a rivet is reckoned, bought and marked', (kind, panel, params) => {
    const derived = on(kind, panel, params, 'rivet', { inward: 3 })
    const [rivet] = derived.fittings.filter((f) => f.fitting.id === 'added-1')
    const { role } = derived.panels.find((p) => p.id === panel)!
    expect(rivet!.stack!.value).toBeCloseTo(derived.design.leathers[role]!.thickness, 6)
    expect(toBuy(derived).some((b) => b.what === rivet!.hardware.name)).toBe(true)
    expect(derived.pieces.find((p) => p.id === panel)!.marks.some((m) => m.type === 'set')).toBe(true)
    expect(derived.works.map((w) => w.layup.name)).toContain(
      `the ${derived.panels.find((p) => p.id === panel)!.name.toLowerCase()} by itself`,
    )
  })
  test('a rivet on a tab on it goes through all that lies there', () => {
    const tabbed = put(freshOf('strap-wallet', { strapFix: 'through' }), 'tab', 'strap', {
      'params.held': 'riveted',
    })
    const derived = derive(put(tabbed, 'rivet', 'added-1', { inward: 12 }))
    const [rivet] = derived.fittings.filter((f) => f.fitting.id === 'added-2')
    expect(rivet!.fitting.through.map((t) => t.sheet)).toContain('strap-alone')
    expect(derived.works.filter((w) => w.layup.id.startsWith('alone-'))).toHaveLength(1)
  })
})

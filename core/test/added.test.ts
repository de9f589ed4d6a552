import { describe, expect, test } from 'vitest'
import { SORTS, offeredFor, sortOf } from '@drumlin/core/added'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { type Design, putOn, setField, takeOff } from '@drumlin/core/design'
import {
  boxCentre,
  boxGrown,
  boxWidth,
  pathBox,
  pathNearest,
  point,
  pointDistance,
} from '@drumlin/core/geometry'
import { kindIds } from '@drumlin/core/kinds'
import { thicknessAt } from '@drumlin/core/layup'
import { takenOn } from '@drumlin/core/overview'
import type { Panel, PanelMark } from '@drumlin/core/master'
import { stepsOf } from '@drumlin/core/steps'
import { STARTER_STORES, leatherAt } from '../src/stores/index.js'
import { done, freshOf } from './support/designs.js'
import { vanished } from './support/vanished.js'

const panelIn = ({ panels }: Derived, id: string): Panel => panels.find((p) => p.id === id)!
/** A part put on a panel, with values at places of it. */
function put(
  design: Design,
  sort: string,
  on: string,
  values: Readonly<Record<string, unknown>> = {},
  edge?: string,
): Design {
  const panel = panelIn(derive(design), on)
  const after = done(design, putOn(design, sortOf(sort), panel, STARTER_STORES, { edge }))
  const id = Object.keys(after.added).at(-1)!
  return Object.entries(values).reduce(
    (so, [path, value]) => done(so, setField('test', ['added', id, ...path.split('.')], value)),
    after,
  )
}
const marksOn = (derived: Derived, id: string): readonly PanelMark[] => panelIn(derived, id).marks ?? []
const said = (derived: Derived): string[] => findingsOf(derived).map((f) => sayFinding(f, 'mm').what)
const box = (derived: Derived, id: string) => pathBox(panelIn(derived, id).outline)

const tote = freshOf('tote')

describe('everything on a piece of every kind, and something on every piece', () => {
  for (const kind of kindIds())
    test(kind, () => {
      const bare = freshOf(kind)
      const { panels } = derive(bare)
      panels.forEach((panel, i) => {
        // All of it on the first piece, on the others one after the other.
        const offered = offeredFor(panel).filter((_, k, all) => i === 0 || k === i % all.length)
        for (const sort of offered) {
          const design = done(bare, putOn(bare, sort, panel, STARTER_STORES))
          const derived = derive(design)
          expect(vanished(derived), `${sort.id} on ${panel.id}`).toEqual([])
          expect(derived.pieces.length, `${sort.id} on ${panel.id}`).toBeGreaterThanOrEqual(panels.length)
        }
      })
      expect(panels.length === 0 || panels.some((p) => offeredFor(p).length === SORTS.length)).toBe(true)
    })
})

describe('where it lies', () => {
  test('so far in from the edge and aside of its middle, on the laid-out work and in pairs', () => {
    const derived = derive(put(tote, 'patch', 'front', { inward: 40, aside: 25, both: 'mirrored' }))
    const front = box(derived, 'front')
    const [open] = derived.works
    const lie = open!.sheets.filter((s) => s.sheet.type === 'panel' && s.sheet.panelId === 'added-1')
    const from = lie.map((s) => boxCentre(s.box)).map((c) => [c.x - boxCentre(front).x, c.y - front.top])
    expect(from.toSorted(([a], [b]) => a! - b!)).toEqual([
      [expect.closeTo(-25, 6), expect.closeTo(40 + 15, 6)],
      [expect.closeTo(25, 6), expect.closeTo(40 + 15, 6)],
    ])
    expect(panelIn(derived, 'added-1').count).toBe(2)
  })
  test('the work is as much thicker there as the piece is', () => {
    const before = derive(tote)
    const derived = derive(put(tote, 'patch', 'front', { inward: 100 }))
    const at = point(boxCentre(box(derived, 'front')).x, box(derived, 'front').top + 110)
    const t = derived.design.leathers['added-1']!.thickness
    expect(thicknessAt(derived.works[0]!, at)).toBeCloseTo(thicknessAt(before.works[0]!, at) + t, 9)
  })
  test('a later one lies on an earlier one, and goes with it', () => {
    const both = put(put(tote, 'patch', 'front'), 'slot', 'added-1', { inward: 8 })
    expect(marksOn(derive(both), 'added-1')).toMatchObject([{ type: 'slot', length: 26, punch: 4 }])
    const without = done(both, takeOff(both, 'added-1'))
    expect([without.added, without.leathers]).toEqual([{}, tote.leathers])
  })
  test('a piece that is made no more: it is kept and told', () => {
    const design = put(tote, 'patch', 'pocket')
    const gone = done(design, setField('none', ['params', 'pocket'], 'none'))
    expect(said(derive(gone)).join()).toContain('The patch has no place: there is no piece “pocket” now')
  })
  test('past the edge of what it is put on: told by how much', () => {
    // 50 wide, its middle 10 from the end of the edge: 15 past it.
    const half = boxWidth(box(derive(tote), 'front')) / 2
    const derived = derive(put(tote, 'patch', 'front', { aside: half - 10 }))
    expect(said(derived).join()).toContain('The patch reaches 15.0 mm past the edge of the front')
  })
})

describe('where it is first put', () => {
  test('clear of the holes and the hardware that are there, where it has room', () => {
    const now = derive(tote)
    const taken = takenOn(now, 'front')
    const edit = putOn(tote, sortOf('pocket'), panelIn(now, 'front'), STARTER_STORES, { taken })
    const at = done(tote, edit)
    const pocket = boxGrown(derive(at).works[0]!.sheets.find((s) => s.sheet.id === 'added-1')!.box, 3.9)
    const inside = (p: { x: number; y: number }) =>
      p.x > pocket.left && p.x < pocket.right && p.y > pocket.top && p.y < pocket.bottom
    expect(taken.length).toBeGreaterThan(50)
    // The front lies at the origin of the laid-out work.
    expect(taken.filter(inside)).toEqual([])
    expect(at.added['added-1']!.inward).toBeGreaterThan(30)
  })
})

describe('what it is', () => {
  test('a patch is sewn all round, so far in from its edge, through both pieces', () => {
    const derived = derive(put(tote, 'patch', 'front', { 'params.margin': 4, inward: 60 }))
    const run = derived.runs.find((r) => r.join.id === 'added-1-seam')!
    const placed = derived.works[0]!.sheets.find((s) => s.sheet.id === 'added-1')!.placed
    for (const h of run.holes) expect(pathNearest(placed, h.at).distance).toBeCloseTo(4, 6)
    expect(run.join.through).toEqual(['added-1', 'front'])
    const there = derived.pieces.find((p) => p.id === 'front')!
    for (const h of run.holes)
      expect(Math.min(...there.holes.map((o) => pointDistance(o.at, h.at)))).toBeLessThan(1e-6)
  })
  test('a lined pocket: room between its seams, its lining behind it, its top turned first', () => {
    const derived = derive(
      put(tote, 'pocket', 'front', { 'params.lined': 'lined', 'params.top': 'turned', inward: 60 }),
    )
    const size = (key: string) => derived.master.sizes.find((s) => s.size.key === key)!.size.value
    // 110 − 2 × 3, 90 − 3; the lining goes up to half the turn of 10.
    expect([size('added-1.room'), size('added-1.depth')]).toEqual([104, 87])
    expect(box(derived, 'added-1-lining').bottom).toBeCloseTo(85, 6)
    const order = derived.works[0]!.sheets.filter((s) => s.part === 'whole').map((s) => s.sheet.id)
    expect(order.slice(order.indexOf('front'), order.indexOf('front') + 3)).toEqual([
      'front',
      'added-1-lining',
      'added-1',
    ])
    const { steps } = stepsOf(derived)
    const first = (what: string) => steps.findIndex((s) => s.rows.some((r) => r.task.includes(what)))
    expect(first('sew:added-1-top')).toBeLessThan(first('sew:added-1-seam'))
  })
  test.each([
    // 110 less a margin of 3 for every side that is sewn; what is sewn is as long as those sides and the foot.
    ['top', 104, ['left', 'right', 'foot']],
    ['left', 107, ['right', 'foot']],
    ['right', 107, ['left', 'foot']],
    ['sides', 110, ['foot']],
  ] as const)('a pocket open at %s: its room, and holes along what is sewn alone', (open, room, sewn) => {
    const derived = derive(
      put(tote, 'pocket', 'front', { 'params.open': open, 'params.corner': 0, inward: 60 }),
    )
    expect(derived.master.sizes.find((s) => s.size.key === 'added-1.room')!.size.value).toBe(room)
    const pocket = derived.pieces.find((p) => p.id === 'added-1')!
    const { left, right, bottom } = box(derived, 'added-1')
    const near = {
      left: (x: number, y: number) => x - left < 4 && y < bottom - 20,
      right: (x: number, y: number) => right - x < 4 && y < bottom - 20,
      foot: (_: number, y: number) => bottom - y < 4,
    }
    for (const side of ['left', 'right', 'foot'] as const)
      expect(
        pocket.holes.some(({ at }) => near[side](at.x, at.y)),
        side,
      ).toBe((sewn as readonly string[]).includes(side))
    expect(said(derived).filter((s) => /pocket/i.test(s) && /crosses|can’t/.test(s))).toEqual([])
    // Edges nobody sews down are finished before the pocket is sewn on: their face to the body can't be reached after.
    const { steps, circles } = stepsOf(derived)
    expect(circles).toEqual([])
    const tasks = steps.flatMap((s) => s.rows.map((r) => r.task))
    const last = tasks.findLastIndex((task) => task.startsWith('edge:added-1:'))
    expect(last).toBeGreaterThan(-1)
    expect(last).toBeLessThan(tasks.indexOf('sew:added-1-seam'))
  })
  test('a tab: twice its ends and the bend round the ring; two layers under its rows', () => {
    const derived = derive(put(tote, 'tab', 'front', { inward: 40 }))
    const { neutral, thickness } = derived.design.leathers['added-1']!
    const { bar } = derived.design.hardware['added-1']!
    const length = 2 * 28 + Math.PI * (bar / 2 + neutral * thickness)
    expect(box(derived, 'added-1').bottom).toBeCloseTo(length, 6)
    const row = derived.runs.find((r) => r.join.id === 'added-1-seam-1')!
    const front = derived.design.leathers.body!.thickness
    expect(row.thickest).toBeCloseTo(2 * thickness + front, 6)
  })
  test('a riveted tab without a rivet is held by nothing, and that is told until it has one', () => {
    const open = put(tote, 'tab', 'front', { inward: 60, 'params.held': 'riveted' })
    expect(said(derive(open))).toContain('Nothing holds the tab.')
    const riveted = put(open, 'rivet', 'front', { inward: 75, 'params.head': 'flesh' })
    expect(said(derive(riveted))).not.toContain('Nothing holds the tab.')
    // Which side its head is on stands wherever it is named.
    const set = derive(riveted).fittings.find((f) => f.fitting.id === 'added-2')!
    expect(set.fitting.name).toBe('rivet, head on the flesh side')
    expect(set.fitting.through.map((t) => t.sheet)).toEqual(['front', 'added-1-under', 'added-1'])
  })
  test('a rivet goes through all that lies there, with a washer cut from an offcut', () => {
    const riveted = put(put(tote, 'patch', 'front', { inward: 100 }), 'rivet', 'front', {
      inward: 115,
      'params.washer': 'one',
    })
    const set = derive(riveted).fittings.find((f) => f.fitting.id === 'added-2')!
    expect(set.fitting.through.map((t) => t.sheet)).toEqual(['added-2-washer', 'front', 'added-1'])
    const leather = (role: string) => riveted.leathers[role]!.thickness
    expect(set.stack!.value).toBeCloseTo(2 * leather('body') + leather('added-1'), 6)
  })
  test('a rivet on a snap: the caps lie over each other by so much', () => {
    // A snap of 12.5 stands 16 under the top edge of the doubled tote; a 9 mm rivet 10 under it: 6 apart, 10.75 wanted.
    const snap = derive(tote).master.fittings!.find((f) => f.id === 'closure-front')!
    const inward = snap.at.y - box(derive(tote), 'front').top
    const at = (more: number) => said(derive(put(tote, 'rivet', 'front', { inward: inward + more }))).join()
    expect(at(-6)).toContain('lie 4.8 mm over each other')
    expect(at(13)).not.toContain('over each other')
  })
  test('pins go through every layer at one place', () => {
    const wallet = freshOf('card-sleeve')
    const [host] = derive(wallet).panels
    const derived = derive(put(wallet, 'holes', host!.id, { inward: 5, 'params.reach': 'all' }))
    const [open] = derived.works
    const places = open!.sheets.flatMap((s) =>
      s.part === 'whole' && s.sheet.type === 'panel'
        ? marksOn(derived, s.sheet.panelId)
            .filter((m) => m.type === 'hole' && m.id.startsWith('added-1'))
            .map((m) => [s.sheet.move.a * m.at.x + s.sheet.move.c * m.at.y + s.sheet.move.e, m.at.y])
        : [],
    )
    expect(places.length).toBeGreaterThan(1)
    for (const [x] of places) expect(x).toBeCloseTo(places[0]![0]!, 6)
  })
  test('an overlay takes the outline of the end it covers; what lies under it is cut flat', () => {
    const strap = done(freshOf('narrow-strap'), setField('turned', ['params', 'edges'], 'turned'))
    const bare = derive(strap)
    const tongue = panelIn(bare, 'tongue')
    const edge = tongue.edges.find((e) => e.id.startsWith('tip'))!
    const derived = derive(put(strap, 'overlay', 'tongue', { 'params.reach': 20 }, edge.id))
    const [over, under] = [panelIn(derived, 'added-1'), panelIn(derived, 'tongue')]
    for (const e of over.edges.filter((one) => one.id !== 'inner')) {
      const there = under.edges.find((one) => one.id === e.id)!
      expect(there.fate.type).toBe('raw')
    }
    expect(under.edges.filter((e) => e.fate.type === 'turned').length).toBeGreaterThan(0)
    expect(under.edges.length).toBe(tongue.edges.length + 2)
  })
  test('a skive by its width and what is left at both sides', () => {
    const thick = done(tote, setField('thick', ['leathers', 'body'], leatherAt(tote.leathers.body!, 2)))
    const derived = derive(put(thick, 'skive', 'front', { 'params.start': 1, 'params.end': 2 }, 'right'))
    const laid = derived.works[0]!.sheets.find((s) => s.sheet.id === 'front')!
    const right = box(derived, 'front').right
    const at = (inward: number) =>
      thicknessAt({ ...derived.works[0]!, sheets: [laid] }, point(right - inward, 100))
    // 2 → 1 over 8 mm: 1.5 in its middle.
    expect([at(0.001), at(4), at(8.1)].map((t) => Math.round(t * 1000) / 1000)).toEqual([1, 1.5, 2])
  })
  test('a stamp is stamped there, before the piece is held to anything', () => {
    const { steps } = stepsOf(derive(put(tote, 'stamp', 'front')))
    const first = (what: string) => steps.findIndex((s) => s.rows.some((r) => r.task.startsWith(what)))
    expect(first('stamp:front')).toBeGreaterThan(-1)
    expect(first('stamp:front')).toBeLessThan(first('sew:'))
  })
  test('an edge left long is cut longer and told so', () => {
    const derived = derive(put(tote, 'long', 'front', { 'params.by': 12 }, 'top'))
    const cut = pathBox(derived.pieces.find((p) => p.id === 'front')!.cut)
    expect(box(derived, 'front').top - cut.top).toBeCloseTo(12, 6)
  })
})

import { describe, expect, test } from 'vitest'
import { compareDecisions, comparePieces, sayFate } from '@drumlin/core/compare'
import { derive } from '@drumlin/core/derived'
import {
  type Edit,
  addDrawn,
  addLayer,
  applyEdit,
  changeDrawn,
  mergedEdits,
  mergedInverses,
  removeDrawn,
  removeLayer,
  takeDesign,
  tieEdges,
  untie,
} from '@drumlin/core/design'
import { type DrawnPanel, gripPlace, gripsAt, moveGrip, movePoint, setGoing } from '@drumlin/core/drawn'
import { writeDesign } from '@drumlin/core/exchange/json'
import { drawingOf, layer, leatherOf, panelOf, turned, withFate } from './support/drawing.js'

const flap = panelOf('flap', {}, { id: 'flap', name: 'Flap' })
const done = (design: ReturnType<typeof drawingOf>, edit: Edit) => {
  const edited = applyEdit(design, edit)
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited
}

describe('edits of a drawing', () => {
  const design = drawingOf([flap])
  test('every one can be taken back, to the byte', () => {
    const strap = panelOf('strap-round', {}, { id: 'strap', name: 'Strap' })
    const tie = {
      id: 't',
      type: 'equal',
      first: { panel: 'flap', edge: 'side' },
      second: { panel: 'strap', edge: 'side' },
      when: 'move',
    } as const
    const edits = [
      (d: typeof design) => addDrawn('add', d, strap),
      (d: typeof design) => tieEdges('tie', d, tie),
      (d: typeof design) => changeDrawn('move', d, movePoint(d.drawn[0]!, 2, { x: 118, y: 95 })),
      (d: typeof design) => addLayer('line', d, d.drawn[0]!, layer('lining'), leatherOf(0.6)),
      (d: typeof design) => addLayer('board', d, d.drawn[0]!, layer('board'), undefined),
      (d: typeof design) => removeLayer('unline', d, d.drawn[0]!, 'lining'),
      (d: typeof design) => untie('untie', d, 't'),
      (d: typeof design) => removeDrawn('remove', d, 'strap'),
      (d: typeof design) => removeDrawn('remove', d, 'flap'),
    ]
    const states = [design]
    const inverses: Edit[] = []
    for (const edit of edits) {
      const step = done(states[states.length - 1]!, edit(states[states.length - 1]!))
      states.push(step.design)
      inverses.push(step.inverse)
    }
    expect(states[states.length - 1]!.drawn).toEqual([])
    expect(Object.keys(states[states.length - 1]!.leathers)).toEqual(['outside', 'inside'])
    for (let i = inverses.length - 1; i >= 0; i -= 1)
      expect(writeDesign(done(states[i + 1]!, inverses[i]!).design)).toBe(writeDesign(states[i]!))
  })
  test('a panel taken away takes its ties and the leathers of its layers along', () => {
    const lined = done(design, addLayer('line', design, flap, layer('lining'), leatherOf(0.6))).design
    expect(lined.leathers['flap-lining']!.thickness).toBe(0.6)
    const gone = done(lined, removeDrawn('remove', lined, 'flap')).design
    expect(gone.leathers['flap-lining']).toBeUndefined()
  })
  test('edits of one gesture become one that goes forward and back as a whole', () => {
    const first = done(design, changeDrawn('move', design, movePoint(flap, 2, { x: 110, y: 90 })))
    const then = done(first.design, { name: 'count', changes: [{ path: ['drawn', 0, 'count'], value: 2 }] })
    const both = mergedEdits(changeDrawn('move', design, movePoint(flap, 2, { x: 110, y: 90 })), {
      name: 'count',
      changes: [{ path: ['drawn', 0, 'count'], value: 2 }],
    })
    expect(writeDesign(done(design, both).design)).toBe(writeDesign(then.design))
    expect(writeDesign(done(then.design, mergedInverses(first.inverse, then.inverse)).design)).toBe(
      writeDesign(design),
    )
  })
})

describe('grips', () => {
  const arced = setGoing(flap, 1, 'arc')
  test('an arc is held by its rise, a curve by its two handles, a line by nothing', () => {
    expect(gripsAt(flap, 1).map((g) => g.sort)).toEqual([])
    expect(gripsAt(flap, 2).map((g) => g.name)).toEqual(['handle after point 3', 'handle before point 4'])
    expect(gripsAt(arced, 1).map((g) => g.name)).toEqual(['rise of the arc after point 2'])
    expect(gripsAt(flap, 0)).toEqual([])
  })
  test('moved it lies where it was put', () => {
    for (const [panel, index, sort] of [
      [flap, 2, 'c1'],
      [flap, 2, 'c2'],
      [flap, 1, 'node'],
    ] as const) {
      const moved = moveGrip(panel, { sort, index }, { x: 101, y: 88 })
      expect(gripPlace(moved, { sort, index })).toEqual({ x: 101, y: 88 })
    }
    const risen = moveGrip(arced, { sort: 'rise', index: 1 }, { x: 127.3, y: 60 })
    expect(risen.nodes[1]!.going).toEqual({ type: 'arc', rise: 7.3 })
    expect(gripPlace(risen, { sort: 'rise', index: 1 })).toEqual({ x: 127.3, y: 45 })
  })
})

describe('two drafts laid over each other', () => {
  const before = drawingOf([withFate(flap, turned(8))])
  test('where the outline went, and by how much', () => {
    const now = done(
      before,
      changeDrawn('move', before, movePoint(before.drawn[0]!, 3, { x: 0, y: 160 })),
    ).design
    const [change] = comparePieces(derive(before), derive(now))
    expect(change).toMatchObject({ panelId: 'flap', change: 'both' })
    expect(change!.change === 'both' && change!.distance).toBeGreaterThan(9)
  })
  test('which decisions, in the maker’s words', () => {
    const [panel] = before.drawn
    const changed: DrawnPanel = {
      ...withFate(panel!, { type: 'bound', width: 6, binding: 0.8, margin: 4 }, 'top'),
      count: 2,
      layers: [layer('board')],
      marks: [
        {
          id: 'n',
          type: 'notch',
          where: { type: 'share', edge: 'top', share: 0.5, inset: 0 },
          text: 'b',
          angle: 0,
          length: 0,
          width: 0,
          punch: 0,
        },
      ],
    }
    const now = done(before, changeDrawn('all of it', before, changed)).design
    expect(compareDecisions(before, now, 'mm')).toEqual([
      { label: 'Flap, top edge', before: 'turned 8.0 mm', now: 'bound 6.0 mm' },
      { label: 'Flap, layer board', before: 'none', now: 'added' },
      { label: 'Flap, mark b', before: 'none', now: 'added' },
      { label: 'Flap, count', before: '1', now: '2' },
    ])
    expect(compareDecisions(now, { ...now, drawn: [] }, 'mm')).toEqual([
      { label: 'Flap, drawn by hand', before: 'drawn', now: 'not there' },
    ])
    const back = done(now, takeDesign('back', now, before)).design
    expect(writeDesign(back)).toBe(writeDesign(before))
  })
  test.each([
    [{ type: 'raw', finish: 'left' }, 'left raw'],
    [{ type: 'trimmed', margin: 3, trim: 2, finish: 'burnished' }, 'sewn 3.0 mm in, trimmed 2.0 mm'],
    [{ type: 'long', by: 12 }, 'left 12.0 mm long'],
    [{ type: 'doubled' }, 'on a fold'],
    [turned(18, { type: 'rolled', lines: 2, margin: 4 }), 'rolled 18.0 mm, 2 rows 4.0 mm in'],
  ] as const)('a fate is said in few words', (fate, words) => expect(sayFate(fate, 'mm')).toBe(words))
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Design,
  type Edit,
  addLine,
  applyEdit,
  mergeRuns,
  orderRuns,
  overrideNumber,
  overrule,
  rebaseEdits,
  rename,
  setField,
  splitRuns,
} from '@drumlin/core/design'
import { isSame, merged } from '../src/merge/index.js'
import { demoDesign as designOf } from './support/all.js'

const base = designOf('deckhands-fold')
const after = (design: Design, edit: Edit): Design => {
  const edited = applyEdit(design, edit)
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}
const both = (mine: Edit, theirs: Edit, from = base) => rebaseEdits(from, after(from, theirs), [mine])

describe('two hands on one design', () => {
  test('lists that are written whole keep what both put in', () => {
    const { design, over } = both(overrule(base, 'a', 'mine'), overrule(base, 'b', 'theirs'))
    expect(design.overruled.map((o) => o.finding).toSorted()).toEqual(['a', 'b'])
    expect(over).toEqual([])
    const merges = both(mergeRuns(base, 'm', 'one', 'two'), mergeRuns(base, 't', 'three', 'four')).design
    expect(merges.sewing.merges.map((m) => m.first).toSorted()).toEqual(['one', 'three'])
  })
  test('what one took away and the other left alone is gone; what the other changed is said', () => {
    const from = after(
      after(base, overrule(base, 'a', 'x')),
      overrule(after(base, overrule(base, 'a', 'x')), 'b', 'y'),
    )
    const gone: Edit = { name: 'heed', changes: [{ path: ['overruled'], value: from.overruled.slice(1) }] }
    expect(both(gone, overrule(from, 'c', 'z'), from).design.overruled.map((o) => o.finding)).toEqual([
      'b',
      'c',
    ])
    const changed = both(gone, overrule(from, 'a', 'another reason'), from)
    expect(changed.over).toEqual(['heed'])
  })
  test('two lines of one name can’t both stand: the second is refused, and says so', () => {
    const line = { id: 'line-1', name: 'along the top', panel: 'outside', edge: 'top', inset: 5 } as never
    const other = { ...(line as object), inset: 9 } as never
    const from = (edit: Edit) =>
      ({ ...base, sewing: { ...base.sewing, lines: edit.changes[0]!.value } }) as Design
    const theirs = from(addLine(base, other))
    const { dropped, design } = rebaseEdits(base, theirs, [addLine(base, line)])
    expect(dropped).toHaveLength(1)
    expect(design.sewing.lines).toEqual(theirs.sewing.lines)
  })
  test('both moved in the order of sewing: the later stands and is named', () => {
    const { over } = both(orderRuns('mine first', ['b', 'a']), orderRuns('theirs first', ['a', 'b']))
    expect(over).toEqual([])
    const from = after(base, orderRuns('as it was', ['a', 'b', 'c']))
    const moved = both(orderRuns('mine', ['c', 'a', 'b']), orderRuns('theirs', ['b', 'a', 'c']), from)
    expect([moved.design.sewing.order, moved.over]).toEqual([['c', 'a', 'b'], ['mine']])
  })
  test('a place that both wrote stands as the later wrote it and is named; another field of the same thing is kept', () => {
    const mine = setField('reveal 13', ['params', 'reveal'], 13)
    expect(both(mine, setField('reveal 14', ['params', 'reveal'], 14)).over).toEqual(['reveal 13'])
    const calf = base.leathers.outside!
    const two = both(
      setField('give', ['leathers', 'outside'], { ...calf, name: 'Mine' }),
      setField('price', ['leathers', 'outside'], { ...calf, use: 'own', thickness: 1.7 }),
    )
    expect(two.design.leathers.outside).toMatchObject({ name: 'Mine', thickness: 1.7 })
    expect(two.over).toEqual([])
  })
  test('splits of one run by both are not mixed', () => {
    const from = after(base, splitRuns(base, 's', ['left'], 0.5))
    const { dropped } = both(
      splitRuns(from, 'mine', ['left'], 0.3),
      splitRuns(from, 'theirs', ['left'], 0.8),
      from,
    )
    expect(dropped.map((d) => d.name)).toEqual(['mine'])
  })
  test('a panel is found again by its name where another was taken away before it', () => {
    const drawn = designOf('chart-pouch')
    expect(drawn.drawn.length).toBeGreaterThan(1)
    const last = drawn.drawn.length - 1
    const mine: Edit = { name: 'rename', changes: [{ path: ['drawn', last, 'name'], value: 'Renamed' }] }
    const now = { ...drawn, drawn: drawn.drawn.slice(1) } as Design
    const { steps } = rebaseEdits(drawn, now, [mine])
    expect(steps[0]?.edit.changes.map((c) => c.path)).toEqual([['drawn', last - 1, 'name']])
  })
  test('several edits follow one another; one that does not fit leaves the others', () => {
    const edits = [
      rename('Mine'),
      setField('bad', ['params', 'reveal'], 9999),
      overrideNumber('w', 'inside.width', 150),
    ]
    const now = after(base, setField('reveal 14', ['params', 'reveal'], 14))
    const { design, dropped } = rebaseEdits(base, now, edits)
    expect(dropped.map((d) => d.name)).toEqual(['bad'])
    expect([design.name, design.params.reveal, design.overrides['inside.width']]).toEqual(['Mine', 14, 150])
  })
})

const items = fc.uniqueArray(
  fc.record({ id: fc.stringMatching(/^[a-f]$/), v: fc.integer({ min: 0, max: 3 }) }),
  {
    selector: (i) => i.id,
  },
)
test('of lists of named things nothing is lost in silence, whatever two made of them', () => {
  fc.assert(
    fc.property(items, items, items, (was, mine, theirs) => {
      const out = merged(was, mine, theirs)
      if (!out) return
      const by = (list: readonly { id: string }[], id: string) => list.find((i) => i.id === id)
      const list = out.value as typeof was
      for (const id of 'abcdef') {
        const [w, m, t, o] = [by(was, id), by(mine, id), by(theirs, id), by(list, id)]
        if (isSame(w, m)) expect(out.over || isSame(o, t)).toBe(true)
        else if (isSame(w, t) || isSame(m, t)) expect(out.over || isSame(o, m)).toBe(true)
        else expect(out.over).toBe(true)
        if (!out.over) expect(o === undefined).toBe((w && (!m || !t)) || (!m && !t) ? true : false)
      }
    }),
    { numRuns: 2000 },
  )
})

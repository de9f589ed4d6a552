import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { addDrawn, freshDesign } from '@drumlin/core/design'
import { pieceOutline } from '@drumlin/core/drawing'
import { SHAPES, barePanel, movePoint } from '@drumlin/core/drawn'
import { STARTER_STORES } from '@drumlin/core/stores'
import { keptRows, largestRows } from '../src/draft/arrange.js'
import { firstCut } from '../src/draft/cut.js'
import { freshId, idOf, useDrawn } from '../src/drawing/drawn.js'
import { tableForms } from '../src/output/table.js'
import { FATES, choiceOf, fateFor } from '../src/drawing/fates.js'
import { useJob } from '../src/job/job.js'
import { arrowStep } from '../src/sheet/arrows.js'
import { type JobRecord, database } from '../src/storage/db.js'
import { readJob } from '../src/storage/jobs.js'
import { createJob, listJobs } from '../src/storage/records.js'

const [calf, goat] = STARTER_STORES.leathers
const flap = barePanel({
  id: 'flap',
  name: 'Flap',
  role: 'outside',
  ...SHAPES.find((s) => s.id === 'flap')!.make({ width: 240, height: 150, side: 90 }),
})
const design = {
  ...freshDesign({
    id: 'drawing',
    name: 'Drawing',
    kind: 'by-hand',
    leathers: { outside: calf!, inside: goat! },
    iron: STARTER_STORES.irons[0]!,
    awl: STARTER_STORES.awls[0]!,
    thread: STARTER_STORES.threads[0]!,
    machine: STARTER_STORES.machines[0]!,
  }),
  drawn: [flap],
}

describe('drawing on the bench', () => {
  beforeEach(async () => {
    setActivePinia(createPinia())
    const db = await database()
    for (const store of ['jobs', 'edits'] as const) await db.clear(store)
    await createJob(design, false, 1)
  })

  test('a whole drag is one step of undo, there and back', async () => {
    const job = useJob()
    await job.open('drawing')
    const { panel, change } = useDrawn(() => 'flap')
    for (const x of [118, 114, 110])
      expect(change('move point 3', movePoint(panel.value!, 2, { x, y: 95 }), 'drag 1')).toBeUndefined()
    await job.idle()
    await vi.waitFor(() => expect(job.undoName).toBe('move point 3'))
    await job.undo()
    expect(panel.value!.nodes[2]).toMatchObject({ x: 120, y: 90 })
    await job.redo()
    expect(panel.value!.nodes[2]).toMatchObject({ x: 110, y: 95 })
  })
  test('a change the design won’t have is refused in words, and nothing is lost', async () => {
    const job = useJob()
    await job.open('drawing')
    const { change, take } = useDrawn(() => 'flap')
    expect(change('wide', { ...flap, nodes: flap.nodes.map((n) => ({ ...n, x: 9e9 })) })).toMatch(
      /^drawn\.0\.nodes/,
    )
    expect(take(addDrawn('again', design, flap))).toMatch(/stands twice/)
    expect(job.design!.drawn).toEqual([flap])
  })
  test('a design kept by an older Drumlin opens', async () => {
    const { drawn: _drawn, ties: _ties, ...two } = { ...design, id: 'old', version: 2 }
    await (
      await database()
    ).put('jobs', {
      id: 'old',
      design: two as never,
      cursor: 0,
      head: 0,
      version: 1,
      example: false,
      updated: 2,
    })
    expect((await readJob('old'))!.design.version).toBe(15)
    expect((await listJobs()).map((j) => [j.id, (j.raw as JobRecord).design.drawn?.length ?? 0])).toEqual([
      ['old', 0],
      ['drawing', 1],
    ])
  })
})

describe('what the screen offers', () => {
  test.each(FATES.map((f) => [f.label, f.value] as const))('%s is kept and known again', (_, value) => {
    const fate = fateFor(value, { type: 'sewn', margin: 4.5, finish: 'left' })
    expect(choiceOf(fate)).toBe(value)
    if ('margin' in fate && fate.type !== 'bound') expect(fate.margin).toBe(4.5)
    const made = derive({ ...design, drawn: [{ ...flap, edges: flap.edges.map((e) => ({ ...e, fate })) }] })
    expect(made.pieces[0]!.id).toBe('flap')
  })
  test('ids are free and made of small letters', () => {
    expect(idOf('Back & flap, left')).toBe('back-flap-left')
    expect(idOf('…')).toBe('panel')
    expect(freshId('fold', [{ id: 'fold' }, { id: 'fold-2' }])).toBe('fold-3')
  })
  test('arrows move by one, a tenth, ten', () => {
    const step = (key: string, more = {}) => arrowStep({ key, shiftKey: false, altKey: false, ...more })
    expect(step('ArrowUp')).toEqual({ x: 0, y: -1 })
    expect(step('ArrowRight', { shiftKey: true })).toEqual({ x: 0.1, y: 0 })
    expect(step('ArrowDown', { altKey: true })).toEqual({ x: 0, y: 10 })
    expect(step('ArrowLeft')).toEqual({ x: -1, y: 0 })
    expect(step('Enter')).toBeUndefined()
  })
})

describe('while a point is held', () => {
  const d = derive(design)
  const rows = largestRows(d.pieces, d.design, { width: 900, height: 500 })
  test('pieces stay where they lie; a new one lies below', () => {
    const wider = derive({
      ...design,
      drawn: [movePoint(flap, 1, { x: 160, y: 0 }), { ...flap, id: 'second' }],
    })
    const kept = keptRows(wider.pieces, rows)
    expect(kept.placed[0]!.move).toEqual(rows.placed[0]!.move)
    expect(kept.placed[1]!.move.f).toBeGreaterThan(rows.height)
    expect(kept.placed.map((p) => pieceOutline(p.item).segments.length > 0)).toEqual([true, true])
  })
  test('a closed fold is first looked at across its bend', () => {
    const fold = {
      id: 'f',
      name: 'fold',
      at: { x: 0, y: 60 },
      angle: 0,
      type: 'book',
      gap: 3,
      turn: Math.PI,
      rises: 'mountain',
      drawn: 'outside',
      school: 'figured',
      groove: null,
    } as const
    const folded = derive({ ...design, drawn: [{ ...flap, folds: [fold] }] })
    const { from, to } = firstCut(folded, 'closed')
    expect(from.x).toBeCloseTo(to.x, 9)
    expect(Math.abs(from.y - to.y)).toBeCloseTo(42, 9)
    expect(firstCut(folded, 'open').from.x).toBeCloseTo(firstCut(folded, 'open').to.x, 9)
  })
})

describe('a table for the clipboard', () => {
  test('cells apart by tabs, and as a table with its first row as head', () => {
    const { plain, html } = tableForms([
      ['run', 'holes'],
      ['side & <foot>', '12'],
    ])
    expect(plain).toBe('run\tholes\nside & <foot>\t12')
    expect(html).toBe(
      '<table><tr><th>run</th><th>holes</th></tr><tr><td>side &amp; &lt;foot&gt;</td><td>12</td></tr></table>',
    )
  })
})

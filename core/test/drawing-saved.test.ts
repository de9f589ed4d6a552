import { DESIGN_VERSION } from '../src/design/index.js'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { applyEdit, editUpToDate } from '@drumlin/core/design'
import { type DrawnFold, tieNames } from '@drumlin/core/drawn'
import { readDesignData, readDesign, readSentence, writeDesign } from '@drumlin/core/exchange/json'
import { demo, withValues } from './support/designs.js'
import { drawingOf, layer, panelOf, turned, withFate } from './support/drawing.js'

const flap = panelOf('flap', {}, { id: 'flap', name: 'Flap' })

describe('what is saved', () => {
  /** As much of a saved design as the tests break. */
  interface Loose {
    readonly drawn: {
      role: string
      nodes: { edge: string; x: number }[]
      layers: unknown[]
      edges: unknown[]
    }[]
  }
  const text = (change: (d: Loose) => unknown): string => {
    const plain = JSON.parse(writeDesign(drawingOf([flap]))) as Loose
    change(plain)
    return JSON.stringify(plain)
  }
  const said = (json: string): string => {
    const read = readDesign(json)
    return read.ok ? 'read' : readSentence(read.issue)
  }
  test('a drawing comes back byte for byte', () => {
    const read = readDesign(writeDesign(drawingOf([withFate(flap, turned(9))])))
    expect(read.ok && writeDesign(read.design)).toBe(writeDesign(drawingOf([withFate(flap, turned(9))])))
  })
  test.each<[string, (d: Loose) => unknown, RegExp]>([
    [
      'a point on an edge nobody knows',
      (d: Loose) => (d.drawn[0]!.nodes[1]!.edge = 'nowhere'),
      /drawn\.0\.nodes\.1\.edge: no edge “nowhere”/,
    ],
    ['the same panel twice', (d: Loose) => d.drawn.push(d.drawn[0]!), /drawn\.1\.id: “flap” stands twice/],
    [
      'a role without leather',
      (d: Loose) => (d.drawn[0]!.role = 'velvet'),
      /a leather for the Flap \(role “velvet”\) is needed/,
    ],
    [
      'a layer without leather',
      (d: Loose) => d.drawn[0]!.layers.push({ ...layer('lining') }),
      /a leather for the lining of the flap/,
    ],
    ['an edge twice', (d: Loose) => d.drawn[0]!.edges.push(d.drawn[0]!.edges[0]), /“top” stands twice/],
    ['a coordinate off any hide', (d: Loose) => (d.drawn[0]!.nodes[0]!.x = 1e6), /drawn\.0\.nodes\.0\.x/],
    ['one point only', (d: Loose) => d.drawn[0]!.nodes.splice(1), /drawn\.0\.nodes/],
  ])('%s is refused, saying where', (_, change, words) => expect(said(text(change))).toMatch(words))
  test('what an older Drumlin kept is brought up when it is read, and its log still undoes', () => {
    const now = demo()
    const {
      use: _use,
      measured: _m,
      turn: _t,
      threadFactor: _f,
      atEdge: _a,
      stretch: _s,
      trials: _tr,
      ...old
    } = now.leathers.outside!
    const {
      drawn: _d,
      ties: _ti,
      ...two
    } = { ...now, version: 2, leathers: { ...now.leathers, outside: old } }
    const read = readDesignData(two)
    if (!read.ok) throw new Error(JSON.stringify(read.issue))
    const up = read.design
    expect(up.version).toBe(DESIGN_VERSION)
    expect(derive(up).pieces.map((p) => p.cut)).toEqual(derive(now).pieces.map((p) => p.cut))
    const kept = editUpToDate({ name: 'calf', changes: [{ path: ['leathers', 'outside'], value: old }] })
    expect(applyEdit(up, kept).ok).toBe(true)
    const whole = editUpToDate({
      name: 'back',
      changes: [
        { path: ['leathers'], value: { ...now.leathers, outside: old } },
        { path: ['name'], value: 'x' },
      ],
    })
    expect(applyEdit(up, whole).ok).toBe(true)
  })
  test('a fold that version 7 called a hill is a mountain, and an edit of it still undoes', () => {
    const fold: DrawnFold = {
      id: 'f',
      name: 'fold',
      at: { x: 30, y: 30 },
      angle: 0,
      type: 'book',
      gap: 2,
      turn: Math.PI,
      rises: 'mountain',
      drawn: 'flat',
      school: 'figured',
      groove: null,
    }
    const now = drawingOf([{ ...flap, folds: [fold] }])
    const hill = [{ ...flap, folds: [{ ...fold, rises: 'hill' }] }]
    const read = readDesignData({ ...now, version: 7, drawn: hill })
    if (!read.ok) throw new Error(JSON.stringify(read.issue))
    expect(read.design.drawn).toEqual(now.drawn)
    const kept = editUpToDate({ name: 'fold', changes: [{ path: ['drawn'], value: hill }] })
    const applied = applyEdit(now, kept)
    expect(applied.ok && applied.design.drawn).toEqual(now.drawn)
  })
  test('the thickness of a leather follows the maker’s choice', () => {
    const [low, own] = ['low', 'own'].map(
      (use) => withValues(demo(), { 'leathers.outside.use': use }).leathers.outside!,
    )
    expect([low!.thickness, own!.thickness]).toEqual([1.3, 1.4])
  })
  test('ties name the edges they tie, while those are there', () => {
    const tie = {
      id: 't',
      type: 'equal',
      first: { panel: 'flap', edge: 'side' },
      second: { panel: 'flap', edge: 'gone' },
      when: 'warn',
    } as const
    expect(tieNames([flap], tie)).toBeUndefined()
    expect(tieNames([flap], { ...tie, second: { panel: 'flap', edge: 'foot' } })).toEqual({
      first: 'side of the flap',
      second: 'foot of the flap',
    })
  })
})

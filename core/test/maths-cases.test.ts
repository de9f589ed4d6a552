import { describe, expect, test } from 'vitest'
import { point, polygon, shift } from '../src/geometry/index.js'
import { layUp, thicknessAt } from '../src/layup/index.js'
import type { Panel } from '../src/master/index.js'
import { worked } from './support/designs.js'
import { type Numbers, RECKONED } from './support/maths.js'
import file from './maths-cases.json' with { type: 'json' }

type Case = {
  readonly id: string
  readonly title: string
  readonly inputs: Numbers
  readonly expected: Readonly<Record<string, number | number[]>>
  readonly tol_abs: Numbers
}

/** Laid up below, rather than reckoned. */
const LAID_UP = ['9.05', '9.07']

/** The expected values are written to six decimals. */
const WRITTEN = 5e-7

const cases = file.cases as unknown as Case[]
describe('the worked cases of the formulas', () => {
  test('all of them are reckoned', () =>
    expect(cases.map((c) => c.id).filter((id) => !(id in RECKONED) && !LAID_UP.includes(id))).toEqual([]))
  test.each(cases.filter((c) => c.id in RECKONED).map((c) => [c.id, c.title, c] as const))(
    '%s %s',
    (id, _, one) => {
      const reckoned = RECKONED[id]!(one.inputs)
      for (const [name, wanted] of Object.entries(one.expected)) {
        const [got, want] = [reckoned[name], wanted].map((v) => (Array.isArray(v) ? v : [v]) as number[])
        expect(got, name).toHaveLength(want!.length)
        got!.forEach((value, i) =>
          expect(Math.abs(value - want![i]!), name).toBeLessThanOrEqual((one.tol_abs[name] ?? 0) + WRITTEN),
        )
      }
    },
  )
})

/** A pocket of the case, `top` over the floor: arms of `tab` height reach the sides, its body hangs `depth` deep. */
function pocket(id: string, tab: number, depth: number): Panel {
  const corners = [
    [0, 0],
    [90, 0],
    [90, tab],
    [80, tab],
    [80, depth],
    [10, depth],
    [10, tab],
    [0, tab],
  ] as const
  return {
    id,
    name: id,
    role: 'pockets',
    count: 1,
    flipped: 0,
    outline: polygon(corners.map(([x, y]) => point(x, y))),
    edges: [],
    folds: [],
    bands: [],
    grain: 0,
    notes: [],
  }
}

describe('four stacked pockets laid up', () => {
  test.each([
    ['9.05', 'butted'],
    ['9.07', 'full width'],
  ])('%s: thickness at the edge and in the middle, %s', (id) => {
    const { inputs: i, expected } = cases.find((c) => c.id === id)!
    const full = id === '9.07'
    const back: Panel = {
      ...pocket('back', 100, 100),
      role: 'back',
      outline: polygon([point(0, 0), point(90, 0), point(90, 100), point(0, 100)]),
    }
    const panels = [
      back,
      ...[0, 1, 2, 3].map((n) => pocket(`p${n}`, n === 3 || full ? i.P! : i.r!, n === 3 ? 48 : i.P!)),
    ]
    const sheets = panels.map(
      (panel, n) =>
        ({
          type: 'panel',
          id: panel.id,
          name: panel.id,
          panelId: panel.id,
          grainUp: true,
          clips: [],
          move: shift(0, n === 0 ? 0 : 100 - (i.top! - (n - 1) * i.r!)),
        }) as const,
    )
    const work = layUp(
      { id: 'open', name: 'open', carrier: 'back', sheets },
      worked(panels, { back: i.tbk!, pockets: i.t! }),
    )
    const at = (x: number) => (i.y as unknown as number[]).map((y) => thicknessAt(work, point(x, 100 - y)))
    for (const [place, x] of [
      ['edge', 3],
      ['centre', 45],
    ] as const)
      expect(at(x).map((t) => Math.round(t * 1e6) / 1e6)).toEqual(expected[place])
  })
})

import { describe, expect, test } from 'vitest'
import {
  arcPerStitch,
  bookFold,
  equalisedStitches,
  foldDifference,
  narrowestPocket,
  saddleStitchThread,
  sideRoom,
  topCardHeight,
} from '../src/formulas/index.js'
import { point, polygon, shift } from '../src/geometry/index.js'
import { layUp, thicknessAt } from '../src/layup/index.js'
import type { Panel } from '../src/master/index.js'
import { OUNCE, pitchOfSpi, threadDiameter } from '../src/measure/index.js'
import file from './maths-cases.json' with { type: 'json' }

type Numbers = Readonly<Record<string, number>>
type Case = {
  readonly id: string
  readonly title: string
  readonly inputs: Numbers
  readonly expected: Readonly<Record<string, number | number[]>>
}

/** n stitches over a stack of one thickness. */
const uniform = (n: number, thickness: number): number[] => Array.from({ length: n + 1 }, () => thickness)
const stepped = [...uniform(14, 3), ...uniform(14, 5.2), ...uniform(20, 6.4)]
const thread = (i: Numbers, stacks: number[]): number =>
  saddleStitchThread({ stitches: i.n!, pitch: i.p!, stacks, backstitches: 0, ends: 2, tail: i.tail! })

const RECKONED: Readonly<Record<string, (i: Numbers) => Numbers>> = {
  '1.01': (i) => ({ mm: i.oz! * OUNCE }),
  '1.03': (i) => ({ pitch: pitchOfSpi(i.spi!) }),
  '1.05': (i) => ({ d: threadDiameter(i.tex!, i.density_g_cm3!, i.packing!) }),
  '1.07': (i) => ({ d: threadDiameter(i.tex!, i.density_g_cm3!, i.packing!) }),
  '2.01': (i) => ({ L: bookFold(i.g!, i.t!, i.k!) }),
  '2.03': (i) => ({
    dL: foldDifference({
      inner: { thickness: i.t_inner!, neutral: i.k! },
      outer: { thickness: i.t_outer!, neutral: i.k! },
      between: i.between!,
    }),
  }),
  '6.01': (i) => ({ L: thread(i, uniform(i.n!, i.T!)) }),
  '6.03': (i) => ({ L: thread(i, stepped) }),
  '7.01': (i) => ({ n: equalisedStitches(i.L!, i.p!), pitch: i.L! / equalisedStitches(i.L!, i.p!) }),
  '7.05': (i) => ({
    arc: arcPerStitch(i.R!, i.p!),
    count: ((Math.PI / 2) * i.R!) / arcPerStitch(i.R!, i.p!),
  }),
  '9.01': (i) => ({
    W: narrowestPocket((i.card as unknown as number[])[0]!, (i.card as unknown as number[])[1]!, i.cards!),
  }),
  '9.03': (i) => ({ a: sideRoom(i.rise!, i.delta!), W: 85.6 + 2 * sideRoom(i.rise!, i.delta!) }),
  '9.09': (i) => ({
    top_card: topCardHeight(i.m!, i.r!, i.card!),
    top_edge: i.front_pocket! + (i.m! - 1) * i.r!,
    shown: topCardHeight(i.m!, i.r!, i.card!) - (i.front_pocket! + (i.m! - 1) * i.r!),
  }),
}

const cases = file.cases as unknown as Case[]
describe('the worked cases of the formulas', () => {
  test.each(cases.filter((c) => c.id in RECKONED).map((c) => [c.id, c.title, c] as const))(
    '%s %s',
    (id, _, one) => {
      const reckoned = RECKONED[id]!(one.inputs)
      for (const [name, value] of Object.entries(one.expected))
        expect(reckoned[name], name).toBeCloseTo(value as number, 4)
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
    const work = layUp({ id: 'open', name: 'open', carrier: 'back', sheets }, panels, {
      back: i.tbk!,
      pockets: i.t!,
    })
    const at = (x: number) => (i.y as unknown as number[]).map((y) => thicknessAt(work, point(x, 100 - y)))
    for (const [place, x] of [
      ['edge', 3],
      ['centre', 45],
    ] as const)
      expect(at(x).map((t) => Math.round(t * 1e6) / 1e6)).toEqual(expected[place])
  })
})

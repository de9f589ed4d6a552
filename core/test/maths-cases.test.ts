import { worked } from './support/designs.js'
import { describe, expect, test } from 'vitest'
import * as f from '../src/formulas/index.js'
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
  readonly tol_abs: Numbers
}

/** n stitches over a stack of one thickness. */
const uniform = (n: number, thickness: number): number[] => Array.from({ length: n + 1 }, () => thickness)
const stepped = [...uniform(14, 3), ...uniform(14, 5.2), ...uniform(20, 6.4)]
const thread = (i: Numbers, stacks: number[]): number =>
  f.saddleStitchThread({ stitches: i.n!, pitch: i.p!, stacks, backstitches: 0, ends: 2, tail: i.tail! })

const fold = (i: Numbers) => ({ width: i.w ?? 0, atFold: i.t_f!, core: i.c!, neutral: i.k! })
const list = (value: unknown): number[] => value as number[]

const RECKONED: Readonly<
  Record<string, (i: Numbers) => Readonly<Record<string, number | readonly number[]>>>
> = {
  '1.01': (i) => ({ mm: i.oz! * OUNCE }),
  '1.03': (i) => ({ pitch: pitchOfSpi(i.spi!) }),
  '1.05': (i) => ({ d: threadDiameter(i.tex!, i.density_g_cm3!, i.packing!) }),
  '1.07': (i) => ({ d: threadDiameter(i.tex!, i.density_g_cm3!, i.packing!) }),
  '2.01': (i) => ({ L: f.bookFold(i.g!, i.t!, i.k!) }),
  '2.03': (i) => ({
    dL: f.foldDifference({
      inner: { thickness: i.t_inner!, neutral: i.k! },
      outer: { thickness: i.t_outer!, neutral: i.k! },
      between: i.between!,
    }),
  }),
  '2.05': (i) => ({ L: f.nestedFolds(i.g!, list(i.t), i.k!) }),
  '2.07': (i) => ({ k: f.neutralFromStiffness(i.Ec_over_Et!) }),
  '3.01': (i) => {
    const { widths, gaps, bundle } = f.rollFold({
      flat: i.flat!,
      thickness: i.t!,
      contents: list(i.contents),
      neutral: i.k!,
      runOut: i.first_edge_extension!,
    })
    return { width: widths, gap: gaps, bundle_thickness: bundle }
  },
  '3.03': (i) => ({ room: f.rollRunOut(i.c1!, i.c2!, i.t!) }),
  '3.05': (i) => ({
    width: f.heldPanel(i.W!, i.G_right!, i.G_left!, i.t!, i.k!),
    d_width_per_mm_gap: f.heldPanel(i.W!, 1, 0, i.t!, i.k!) - f.heldPanel(i.W!, 0, 0, i.t!, i.k!),
  }),
  '4.01': (i) => ({ e: f.turnAllowance(fold(i)) }),
  '4.03': (i) => ({ e: i.w! + f.turnCostSquare(fold(i)) }),
  '4.05': (i) => {
    const turn = { ...fold(i), radius: i.R!, angle: i.theta! }
    return {
      excess: f.cornerExcess(turn),
      pleats: Math.ceil(f.cornerExcess(turn) / i.per_pleat!),
      bunching: f.cornerBunching(turn),
    }
  },
  '4.07': (i) => ({ m0: f.mitreDistance(fold(i)), overlap: f.mitreOverlap(fold(i), i.m!) }),
  '5.01': (i) => ({
    theta_max: i.angle!,
    BA: f.vGrooveBend(i.theta!, i.t!, i.d!, i.k!),
    outer_radius: i.t! - i.d!,
    plain_BA_r0: f.bendAllowance(i.theta!, 0, i.t!, i.k!),
  }),
  '5.03': (i) => ({ ratio: f.grooveStiffness(i.t!, i.d!) }),
  '6.01': (i) => ({ L: thread(i, uniform(i.n!, i.T!)) }),
  '6.03': (i) => ({ L: thread(i, stepped) }),
  '6.05': (i) => f.lockstitch(i.n!, i.p!, i.T!, i.lambda!),
  '6.07': (i) => ({ loop: f.proudLoop(i.p!, i.T!, i.d_thread!) }),
  '7.01': (i) => ({ n: f.equalisedStitches(i.L!, i.p!), pitch: i.L! / f.equalisedStitches(i.L!, i.p!) }),
  '7.03': (i) => {
    const [only] = f.phaseIntervals(
      Array.from({ length: i.N! }, (_, n) => i.j0! + n * i.r!),
      i.p!,
      i.q!,
    )
    return { intervals: [only!.from, only!.to], best_clearance: (only!.to - only!.from) / 2 + i.q! }
  },
  '7.05': (i) => ({
    arc: f.arcPerStitch(i.R!, i.p!),
    count: ((Math.PI / 2) * i.R!) / f.arcPerStitch(i.R!, i.p!),
  }),
  '7.07': (i) => ({ q: f.edgeDistance(i.d_hole!, i.bevel!, i.F!, i.t!, i.tau!) }),
  '7.09': (i) => ({ delta: f.nudge(i.L!, i.p!).change, m: f.nudge(i.L!, i.p!).stitches }),
  '8.01': (i) => ({ L: f.gussetStrip(i.H!, i.B!, i.R!) }),
  '8.03': (i) => {
    const { count, root } = f.snips({
      radius: i.R!,
      allowance: i.sa!,
      angle: i.theta!,
      strain: i.strain_max!,
      widestGap: i.max_gap!,
      facet: i.facet_sagitta!,
    })
    return { root, n: count }
  },
  '8.05': (i) => ({ ...f.seamRoll(i.t!, i.k!, i.alpha!) }),
  '8.07': (i) => {
    const at = [0, 30, 60, 90].map((degrees) =>
      f.taperedPoint(
        { radius: i.R!, height: i.H!, top: i.D_top!, bottom: i.d_bottom! },
        (degrees * Math.PI) / 180,
      ),
    )
    return { c: at.map((p) => p.along), y: at.map((p) => p.half) }
  },
  '8.09': (i) => {
    const { strip, closed, depth } = f.bellows(i.n!, i.leaf_flat!, i.t!, i.gap!, i.k!)
    return { strip, closed, leaf_depth: depth }
  },
  '8.11': (i) => {
    const { depth, width, height } = f.boxedCorner(i.W!, i.H!, i.c!, 0, 0.5)
    return { depth, width, height, T: depth }
  },
  '8.13': (i) => {
    const { outside, inside } = f.boxedCorner(300, 200, i.c!, i.t!, i.k!)
    return { outside, inside }
  },
  '8.15': (i) => ({ W: f.flangedGusset(i.depth_out!, i.flange_out!, i.r_in!, i.t!, i.k!) }),
  '9.01': (i) => ({ W: f.narrowestPocket(list(i.card)[0]!, list(i.card)[1]!, i.cards!) }),
  '9.03': (i) => ({ a: f.sideRoom(i.rise!, i.delta!), W: 85.6 + 2 * f.sideRoom(i.rise!, i.delta!) }),
  '9.09': (i) => {
    const [card, edge] = [i.card!, i.front_pocket!].map((top) => f.topCardHeight(i.m!, i.r!, top))
    return { top_card: card!, top_edge: edge!, shown: card! - edge! }
  },
  '10.01': (i) => ({ L: f.handleArc(i.chord!, i.rise!, i.t!, i.k!) }),
  '10.03': (i) => ({ L: f.keeperLength(i.w!, i.T!, i.ease_w!, i.ease_T!, i.t_k!, i.k!) }),
  '10.05': (i) => ({ extra: f.turnBack(i.bar!, i.t!, i.k!, i.lap!) }),
  '10.07': (i) => ({ L: f.pipedCover(i.cord!, i.t!, i.k!, i.Ds!) }),
  '11.01': (i) => ({
    extra: f.mouldingExtra({
      height: i.h!,
      slope: i.slope!,
      topRadius: i.R_top!,
      footRadius: i.R_foot!,
      thickness: i.t!,
      neutral: i.k!,
    }),
  }),
  '11.03': (i) => ({
    x:
      f.mouldingExtra({
        height: i.h!,
        slope: i.slope!,
        topRadius: 0,
        footRadius: 0,
        thickness: 0,
        neutral: 0.5,
      }) / 2,
  }),
  '12.01': (i) => ({ a: f.domeShank(i.d!, i.D_head!, i.h_head!) }),
  '12.03': (i) => ({ a: f.curlLength(i.D_tube!, i.D_flange!) }),
  '13.01': (i) => {
    const { stiffness, radius, strain, pull } = f.turning({
      modulus: i.E!,
      poisson: i.nu!,
      thickness: i.t!,
      girth: i.girth!,
      opening: i.opening_perimeter!,
    })
    return { D: stiffness, r: radius, strain, pull }
  },
  '14.01': (i) => ({ m2: (i.sqft! * f.SQUARE_FOOT_DM2) / 100, dm2: i.sqft! * f.SQUARE_FOOT_DM2 }),
  '14.03': (i) => {
    const dm2 = f.areaToBuy(i.net_dm2!, i.eta_nest!, i.eta_quality!, i.edge_loss!)
    return { dm2, sqft: dm2 / f.SQUARE_FOOT_DM2 }
  },
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

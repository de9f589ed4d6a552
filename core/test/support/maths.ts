import * as f from '../../src/formulas/index.js'
import { OUNCE, pitchOfSpi } from '../../src/measure/index.js'
import { book, degreesOf } from './book.js'
import { BAGS_AND_HARDWARE } from './mathsMore.js'

export type Numbers = Readonly<Record<string, number>>
const uniform = (n: number, thickness: number): number[] => Array.from({ length: n + 1 }, () => thickness)
const stepped = [...uniform(14, 3), ...uniform(14, 5.2), ...uniform(20, 6.4)]
const thread = (i: Numbers, stacks: number[]): number =>
  f.saddleStitchThread({ stitches: i.n!, pitch: i.p!, stacks, backstitches: 0, ends: 2, tail: i.tail! })
const list = (value: unknown): number[] => value as number[]
const turned = (i: Numbers) => book('turned-edge', { width: i.w!, thickness: i.t_f!, core: i.c!, k: i.k! })
const folded = (i: Numbers, contents: number[]) =>
  book('roll-fold', {
    panels: contents.length + 1,
    flat: i.flat!,
    thickness: i.t!,
    runOut: i.first_edge_extension!,
    k: i.k!,
    ...Object.fromEntries([0, 1, 2, 3, 4].map((n) => [`c${n + 1}`, contents[n] ?? 0])),
  })

/** By case: what it comes to. */
export type Reckoned = Readonly<
  Record<string, (i: Numbers) => Readonly<Record<string, number | readonly number[]>>>
>

/** What each case asks of the pocket book, or of what is reckoned in code. */
export const RECKONED: Reckoned = {
  '1.01': (i) => ({ mm: i.oz! * OUNCE }),
  '1.03': (i) => ({ pitch: pitchOfSpi(i.spi!) }),
  '1.05': (i) => ({ d: f.threadDiameter(i.tex!, i.density_g_cm3!, i.packing!) }),
  '1.07': (i) => ({ d: f.threadDiameter(i.tex!, i.density_g_cm3!, i.packing!) }),
  '2.01': (i) => ({ L: f.bookFold(i.g!, i.t!, i.k!) }),
  '2.03': (i) => ({
    dL: book('fold-difference', { inside: i.t_inner!, outside: i.t_outer!, between: i.between!, k: i.k! })[
      'in full'
    ]!,
  }),
  '2.05': (i) => {
    const [t1, t2, t3] = list(i.t)
    const made = book('nested-layers', { gap: i.g!, t1: t1!, t2: t2!, t3: t3!, k: i.k! })
    return { L: [made.inner!, made.middle!, made.outer!] }
  },
  '2.07': (i) => ({ k: f.evaluate(f.NEUTRAL_FROM_STIFFNESS, { ratio: i.Ec_over_Et! }) }),
  '3.01': (i) => {
    const contents = list(i.contents)
    const made = folded(i, contents)
    return {
      width: [...contents, 0].map((_, n) => made[`panel ${n + 1}`]!),
      gap: contents.map((_, n) => made[`gap in fold ${n + 1}`]!),
      bundle_thickness: made.bundle!,
    }
  },
  '3.03': (i) => ({ room: book('roll-run-out', { c1: i.c1!, c2: i.c2!, thickness: i.t! }).room! }),
  '3.05': (i) => {
    const held = (width: number, ga: number, gb: number) =>
      f.evaluate(f.HELD_PANEL, { width, ga, gb, thickness: i.t!, k: i.k! })
    return {
      width: held(i.W!, i.G_right!, i.G_left!),
      d_width_per_mm_gap: held(i.W!, 1, 0) - held(i.W!, 0, 0),
    }
  },
  '4.01': (i) => ({ e: turned(i)['cut beyond the finished edge']! }),
  '4.03': (i) => ({ e: turned(i)['the same over a square core']! }),
  '4.05': (i) => {
    const made = book('round-corner', {
      radius: i.R!,
      angle: degreesOf(i.theta!),
      width: i.w!,
      thickness: i.t_f!,
      core: i.c!,
      pleat: i.per_pleat!,
      k: i.k!,
    })
    return {
      excess: made['edge too much']!,
      pleats: made.pleats!,
      bunching: made['layers where there was one']!,
    }
  },
  '4.07': (i) => {
    const made = book('mitre', { thickness: i.t_f!, core: i.c!, at: i.m!, k: i.k! })
    return { m0: made['no overlap at']!, overlap: made.overlap! }
  },
  '5.01': (i) => {
    const groove = book('v-groove', { thickness: i.t!, depth: i.d!, angle: degreesOf(i.theta!), k: i.k! })
    return {
      theta_max: i.angle!,
      BA: groove['used up']!,
      outer_radius: groove['outer radius']!,
      plain_BA_r0: f.bendAllowance(i.theta!, 0, i.t!, i.k!),
    }
  },
  '5.03': (i) => ({ ratio: f.evaluate(f.GROOVE_STIFFNESS, { thickness: i.t!, depth: i.d! }) }),
  '6.01': (i) => ({ L: thread(i, uniform(i.n!, i.T!)) }),
  '6.03': (i) => ({ L: thread(i, stepped) }),
  '6.05': (i) => {
    const { needle, bobbin } = book('lockstitch', {
      stitches: i.n!,
      pitch: i.p!,
      thickness: i.T!,
      lock: i.lambda!,
    })
    return { needle: needle!, bobbin: bobbin! }
  },
  '6.07': (i) => ({
    loop: f.evaluate(f.PROUD_LOOP, { pitch: i.p!, thickness: i.T!, thread: i.d_thread! }),
  }),
  '7.01': (i) => {
    const { stitches, pitch } = book('stitch-count', { length: i.L!, pitch: i.p! })
    return { n: stitches!, pitch: pitch! }
  },
  '7.03': (i) => {
    const [only] = f.phaseIntervals(
      Array.from({ length: i.N! }, (_, n) => i.j0! + n * i.r!),
      i.p!,
      i.q!,
    )
    return { intervals: [only!.from, only!.to], best_clearance: (only!.to - only!.from) / 2 + i.q! }
  },
  '7.05': (i) => {
    const made = book('curve-stitch', { radius: i.R!, pitch: i.p! })
    return { arc: made['curve used by a stitch']!, count: made['stitches on a quarter']! }
  },
  '7.07': (i) => ({
    q: f.evaluate(f.EDGE_DISTANCE, {
      hole: i.d_hole!,
      bevel: i.bevel!,
      force: i.F!,
      thickness: i.t!,
      shear: i.tau!,
    }),
  }),
  '7.09': (i) => {
    const { change, stitches } = book('side-nudge', { length: i.L!, pitch: i.p! })
    return { delta: change!, m: stitches! }
  },
  ...BAGS_AND_HARDWARE,
}

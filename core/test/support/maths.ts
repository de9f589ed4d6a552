import * as f from '../../src/formulas/index.js'
import { OUNCE, pitchOfSpi } from '../../src/measure/index.js'
import { book, degreesOf } from './book.js'

export type Numbers = Readonly<Record<string, number>>
/** n stitches over a stack of one thickness. */
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

/** What each case asks of the pocket book, or of what is reckoned in code. */
export const RECKONED: Readonly<
  Record<string, (i: Numbers) => Readonly<Record<string, number | readonly number[]>>>
> = {
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
    const made = book('lockstitch', { stitches: i.n!, pitch: i.p!, thickness: i.T!, lock: i.lambda! })
    return { needle: made.needle!, bobbin: made.bobbin! }
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
  '8.05': (i) => {
    const made = book('seam-roll', { thickness: i.t!, k: i.k!, angle: degreesOf(i.alpha!) })
    return {
      reach: made['reaches past the seam']!,
      height: made['stands over it']!,
      shift: made['seam moves by']!,
    }
  },
  '8.07': (i) => {
    const at = [0, 30, 60, 90].map((angle) =>
      book('tapered-gusset', { radius: i.R!, height: i.H!, top: i.D_top!, bottom: i.d_bottom!, angle }),
    )
    return { c: at.map((p) => p['along the middle']!), y: at.map((p) => p['half width']!) }
  },
  '8.09': (i) => {
    const made = book('bellows', { valleys: i.n!, leaf: i.leaf_flat!, thickness: i.t!, gap: i.gap!, k: i.k! })
    return {
      strip: made['strip between flanges']!,
      closed: made.closed!,
      leaf_depth: made['depth of a leaf']!,
    }
  },
  '8.11': (i) => {
    const made = book('boxed-corner', { width: i.W!, height: i.H!, square: i.c! })
    return { depth: made.depth!, width: made['width left']!, height: made['height left']!, T: made.depth! }
  },
  '8.13': (i) => {
    const made = book('boxed-corner', { square: i.c!, thickness: i.t!, k: i.k! })
    return { outside: made['outside depth']!, inside: made['inside depth']! }
  },
  '8.15': (i) => ({
    W: f.evaluate(f.FLANGED_GUSSET, {
      depth: i.depth_out!,
      flange: i.flange_out!,
      radius: i.r_in!,
      thickness: i.t!,
      k: i.k!,
    }),
  }),
  '9.01': (i) => {
    const [card = 0, thick = 0] = list(i.card)
    return { W: f.evaluate(f.NARROWEST, { card, thick, cards: i.cards! }) }
  },
  '9.03': (i) => {
    const made = book('pocket-width', { card: 85.6, rise: i.rise!, stretch: i.delta! })
    return { a: made['room a side']!, W: made['between the stitches']! }
  },
  '9.09': (i) => {
    const made = book('top-card', { pockets: i.m!, reveal: i.r!, card: i.card!, depth: i.front_pocket! })
    return {
      top_card: made['top of the uppermost card']!,
      top_edge: made['top edge of the pockets']!,
      shown: made.shown!,
    }
  },
  '10.01': (i) => ({
    L: book('handle', { chord: i.chord!, rise: i.rise!, thickness: i.t!, k: i.k! })['without attachments']!,
  }),
  '10.03': (i) => ({
    L: f.evaluate(f.KEEPER, {
      width: i.w!,
      straps: i.T!,
      easeWidth: i.ease_w!,
      easeThick: i.ease_T!,
      thickness: i.t_k!,
      k: i.k!,
    }),
  }),
  '10.05': (i) => ({ extra: book('turn-back', { gap: i.bar!, thickness: i.t!, k: i.k!, lap: i.lap! }).add! }),
  '10.07': (i) => ({
    L: book('rolled-handle', { cord: i.cord!, thickness: i.t!, k: i.k!, below: i.Ds! })[
      'row to row with flanges'
    ]!,
  }),
  '11.01': (i) => ({
    extra: f.evaluate(f.MOULDING, {
      height: i.h!,
      slope: i.slope!,
      topRadius: i.R_top!,
      footRadius: i.R_foot!,
      thickness: i.t!,
      k: i.k!,
    }),
  }),
  '11.03': (i) => ({
    x:
      f.evaluate(f.MOULDING, {
        height: i.h!,
        slope: i.slope!,
        topRadius: 0,
        footRadius: 0,
        thickness: 0,
        k: 0.5,
      }) / 2,
  }),
  '12.01': (i) => ({ a: f.evaluate(f.DOME_SHANK, { shank: i.d!, head: i.D_head!, height: i.h_head! }) }),
  '12.03': (i) => ({ a: f.evaluate(f.CURL, { tube: i.D_tube!, flange: i.D_flange! }) }),
  '13.01': (i) => {
    if (f.POISSON !== i.nu) throw new Error('the case thins across otherwise')
    const made = book('turning', {
      modulus: i.E!,
      thickness: i.t!,
      girth: i.girth!,
      opening: i.opening_perimeter!,
    })
    return {
      D: made['stiffness of a strip 1 mm wide, N mm']!,
      r: made['fold radius']!,
      strain: made.strain!,
      pull: made['pull, N']!,
    }
  },
  '14.01': ({ sqft }) => ({ m2: (sqft! * f.SQUARE_FOOT_DM2) / 100, dm2: sqft! * f.SQUARE_FOOT_DM2 }),
  '14.03': (i) => {
    const made = book('hide-area', {
      net: i.net_dm2!,
      nesting: i.eta_nest!,
      quality: i.eta_quality!,
      edge: i.edge_loss!,
    })
    return { dm2: made['buy, dm²']!, sqft: made['buy, sq ft']! }
  },
}

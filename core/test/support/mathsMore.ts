import * as f from '../../src/formulas/index.js'
import { book, degreesOf } from './book.js'
import type { Reckoned } from './maths.js'

const list = (value: unknown): number[] => value as number[]

/** Gussets, pockets, straps, moulding, hardware, turning and area: sections 8 to 14. */
export const BAGS_AND_HARDWARE: Reckoned = {
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
  '9.01': ({ card: of, cards }) => {
    const [card = 0, thick = 0] = list(of)
    return { W: f.evaluate(f.NARROWEST, { card, thick, cards: cards! }) }
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

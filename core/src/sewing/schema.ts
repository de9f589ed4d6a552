import { z } from 'zod'
import { ironSchema, wordsSchema } from '../stores/index.js'

/** How holes are made: through all layers at once, each side on its own and mirrored, or by the machine's needle. */
const HOLE_SCHOOLS = ['through', 'apart', 'machine'] as const
export type HoleSchool = (typeof HOLE_SCHOOLS)[number]

/** How a pitch is brought to a whole number: spread over the side, or the iron's own up to the last few stitches. */
const STEPPINGS = ['evened', 'stepped'] as const
export type Stepping = (typeof STEPPINGS)[number]

/** Where the longer of two edges is eased in. */
const EASES = ['spread', 'corners'] as const
export type Ease = (typeof EASES)[number]

const ends = (most: number) =>
  z.strictObject({ start: z.number().int().min(0).max(most), end: z.number().int().min(0).max(most) })

/** Backstitches go by halves: one and a half so that both ends look alike. */
const halves = (most: number) =>
  z.strictObject({
    start: z.number().multipleOf(0.5).min(0).max(most),
    end: z.number().multipleOf(0.5).min(0).max(most),
  })

/** What the maker decided about one run; what is left out is as Drumlin proposes. Lengths in mm. */
export const runWishSchema = z.strictObject({
  holes: z.enum(HOLE_SCHOOLS).optional(),
  stepping: z.enum(STEPPINGS).optional(),
  iron: ironSchema.optional(),
  /** The pitch of this run where it is not the iron's or the machine's own. */
  pitch: z.number().min(1).max(12).optional(),
  reversed: z.literal(true).optional(),
  /** How much further in it starts and ends; negative where it reaches further out. */
  startBy: z.number().min(-60).max(600).optional(),
  endBy: z.number().min(-60).max(600).optional(),
  back: halves(6).optional(),
  over: ends(2).optional(),
  shows: z.enum(['above', 'below']).optional(),
  /** Sewn through every other hole. */
  every: z.literal(2).optional(),
  /** A second row so far from the first; further in from the edge where positive. */
  second: z.number().min(-40).max(40).optional(),
  /** A row across the pull taken apart into two along it. */
  along: z.literal(true).optional(),
  /** Sheets this run leaves out, though they lie under it. */
  without: z.array(z.string().min(1).max(120)).max(60).optional(),
  ease: z.enum(EASES).optional(),
  /** A card strip with its holes is cut as a guide. */
  template: z.literal(true).optional(),
})
export type RunWish = z.infer<typeof runWishSchema>

const runId = z.string().min(1).max(120)

/** A line of stitches that holds nothing: along edges of a placed panel, so far in. */
export const decorSchema = z.strictObject({
  id: z.string().regex(/^line-[0-9]{1,4}$/, 'line- and a number'),
  name: wordsSchema(80),
  layup: z.string().min(1).max(120),
  sheet: runId,
  /** Neighbouring edges in the order of the outline. */
  chain: z.array(z.string().min(1).max(120)).min(1).max(60),
  margin: z.number().min(0.5).max(200),
})
export type Decor = z.infer<typeof decorSchema>

/** What the maker decided about the sewing. */
export const sewingSchema = z.strictObject({
  holes: z.enum(HOLE_SCHOOLS),
  stepping: z.enum(STEPPINGS),
  runs: z.record(runId, runWishSchema),
  /** Where a run is parted, as shares of its length; each falls on the nearest hole. */
  splits: z.record(runId, z.array(z.number().gt(0).lt(1)).min(1).max(8)),
  /** Runs sewn in one: the second goes on where the first ends. */
  merges: z.array(z.strictObject({ first: runId, then: runId })).max(40),
  lines: z.array(decorSchema).max(40),
  /** Runs the maker wants sewn earlier than they stand, first of all the first. */
  order: z.array(runId).max(400),
})
export type Sewing = z.infer<typeof sewingSchema>

export const PLAIN_SEWING: Sewing = {
  holes: 'through',
  stepping: 'evened',
  runs: {},
  splits: {},
  merges: [],
  lines: [],
  order: [],
}

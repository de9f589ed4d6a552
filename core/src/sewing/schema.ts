import { z } from 'zod'
import { type Field, type ParamsOf, choice } from '../settings/index.js'
import { ironSchema, wordsSchema } from '../stores/index.js'

/** What is decided for all runs; each may have its own. */
const ALL_RUNS = {
  holes: choice('how holes are made', 'through', [
    ['through', 'through all layers at once', 'fast, and they always meet; the back looks different'],
    ['apart', 'each side apart and mirrored', 'both faces perfect; the counts have to agree exactly'],
    ['machine', 'by the machine', 'its needle makes them; only the line is drawn'],
  ]),
  stepping: choice('how a side comes to whole stitches', 'evened', [
    ['evened', 'evened out over each side', 'no stitch differs enough to show'],
    [
      'stepped',
      'stepped with the iron, the last stitches evened out',
      'the iron’s own pitch wherever it is looked at',
    ],
  ]),
}
export type HoleSchool = ParamsOf<typeof ALL_RUNS>['holes']
export type Stepping = ParamsOf<typeof ALL_RUNS>['stepping']

/** The same as settings of the design. */
export const RUN_FIELDS: readonly Field[] = [
  ALL_RUNS.holes.field('holeSchool', ['sewing', 'holes']),
  ALL_RUNS.stepping.field('stepping', ['sewing', 'stepping']),
]

/** Where the longer of two edges is eased in. */
const EASES = ['spread', 'corners'] as const
export type Ease = (typeof EASES)[number]

const ends = (max: number) =>
  z.strictObject({ start: z.number().int().min(0).max(max), end: z.number().int().min(0).max(max) })

/** Backstitches go by halves: one and a half so that both ends look alike. */
const halves = (max: number) =>
  z.strictObject({
    start: z.number().multipleOf(0.5).min(0).max(max),
    end: z.number().multipleOf(0.5).min(0).max(max),
  })

/** What the maker decided about one run; what is left out is as Drumlin proposes. Lengths in mm. */
export const runWishSchema = z.strictObject({
  holes: ALL_RUNS.holes.schema.optional(),
  stepping: ALL_RUNS.stepping.schema.optional(),
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
  holes: ALL_RUNS.holes.schema,
  stepping: ALL_RUNS.stepping.schema,
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
  holes: ALL_RUNS.holes.usual,
  stepping: ALL_RUNS.stepping.usual,
  runs: {},
  splits: {},
  merges: [],
  lines: [],
  order: [],
}

import { z } from 'zod'
import { DESIGN_VERSION, type Design, OLDEST_VERSION, designSchema, upToDate } from '../design/index.js'
import { idSchema, wordsSchema } from '../stores/index.js'
import { EMPTY_RECORD, daySchema, recordSchema } from './record.js'

export const MAKING_FORMAT = 'drumlin.making'
export const MAKING_VERSION = 2

const day = daySchema
/** Milliseconds of the machine's clock. */
const moment = z.number().int().min(0)
/** A day and a half at one step is a forgotten clock. */
export const MOST_MINUTES = 2160

/** Something written down at a step while it was done. */
const noteSchema = z.strictObject({
  at: moment,
  sort: z.enum(['note', 'not so']),
  text: wordsSchema(2000),
})

/** How far a step is. Minutes are what it really took, at the bench. */
const doneSchema = z.strictObject({
  done: z.boolean(),
  minutes: z.number().min(0).max(MOST_MINUTES),
  at: moment.optional(),
  notes: z.array(noteSchema).max(200),
  /** Photographs of it, by id. */
  photos: z.array(idSchema).max(60),
})
export type StepDone = z.infer<typeof doneSchema>

/** A wait that runs on while other steps are done. */
const timerSchema = z.strictObject({
  step: z.string().min(1).max(400),
  says: z.string().max(400),
  until: moment,
  rung: z.boolean(),
})
export type Timer = z.infer<typeof timerSchema>

/** The clock of the step that is being done: since when it runs, when it was last seen running, what it had before. */
const clockSchema = z.strictObject({
  step: z.string().min(1).max(400),
  before: z.number().min(0),
  since: moment.optional(),
  seen: moment.optional(),
})
export type BenchClock = z.infer<typeof clockSchema>

/** One time a design is made: its draft as it was then, how many, for whom, by when, and how far it is. */
export const makingSchema = z.strictObject({
  format: z.literal(MAKING_FORMAT),
  version: z.literal(MAKING_VERSION),
  id: idSchema,
  /** It belongs to the examples, not to the maker’s own books. */
  example: z.boolean(),
  /** The job it was made from. */
  job: idSchema,
  design: designSchema,
  count: z.number().int().min(1).max(200),
  forWhom: wordsSchema(120).or(z.literal('')),
  due: day.optional(),
  begun: day,
  steps: z.record(z.string().min(1).max(400), doneSchema),
  /** Last calls that were answered: “step < what”. */
  ticks: z.array(z.string().max(820)).max(2000),
  /** Steps put off by the maker: not before that day. */
  notBefore: z.record(z.string().min(1).max(400), day),
  timers: z.array(timerSchema).max(100),
  clock: clockSchema.optional(),
  record: recordSchema,
})
export type Making = z.infer<typeof makingSchema>

/** A design to be made so many times. */
export const makingOf = (
  design: Design,
  asked: Pick<Making, 'id' | 'count' | 'forWhom' | 'begun'> & Partial<Pick<Making, 'due' | 'example'>>,
): Making => ({
  format: MAKING_FORMAT,
  version: MAKING_VERSION,
  example: false,
  job: design.id,
  design,
  steps: {},
  ticks: [],
  notBefore: {},
  timers: [],
  record: EMPTY_RECORD,
  ...asked,
})

/** A making of any version, its design brought up to the form of today. Throws what the schema says where it does not hold. */
export function readMakingData(data: unknown): Making {
  const found = data as Plain
  const design = found.design as Plain | undefined
  const version = design?.version
  const older = design && typeof version === 'number' && version >= OLDEST_VERSION && version < DESIGN_VERSION
  return makingSchema.parse({
    ...found,
    ...(found.version === 1 ? { version: MAKING_VERSION, example: false, record: EMPTY_RECORD } : {}),
    ...(older ? { design: upToDate(design, version) } : {}),
  })
}
type Plain = Record<string, unknown>

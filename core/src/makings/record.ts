import { z } from 'zod'
import { dayNumber } from '../schedule/index.js'
import { SORTS, type Sort } from '../steps/index.js'
import { idSchema, trialSchema, wordsSchema } from '../stores/index.js'

export const daySchema = z.string().refine((d) => dayNumber(d) !== undefined, 'a day such as 2027-03-28')
const text = (most: number) => wordsSchema(most).or(z.literal(''))
const money = z.number().min(0).max(10_000_000)
const currency = z.string().regex(/^[A-Z]{3}$/, 'three capital letters such as EUR')
const area = z.number().min(0).max(1e9)

/** What goes wrong, by sort. */
export const MISTAKES = [
  'measuring',
  'cutting',
  'skiving',
  'gluing',
  'holes',
  'sewing',
  'hardware',
  'edges',
  'dye and finish',
  'order of work',
  'supplies',
  'something else',
] as const
export type Mistake = (typeof MISTAKES)[number]

/** In what a material is counted: pieces, thread by the millimetre, sheets by area, what is spread by weight. */
export const takeSchema = z.strictObject({
  what: z.string().min(1).max(200),
  unit: z.enum(['pieces', 'mm', 'dm²', 'g']),
  amount: z.number().min(0).max(1e9),
})

/** A step as it was planned when the making was begun, so that what it took can be laid beside it whatever the program says later. */
const plannedStepSchema = z.strictObject({
  id: z.string().min(1).max(400),
  sort: z.enum(Object.keys(SORTS) as [Sort, ...Sort[]]),
  says: z.string().max(400),
  minutes: z.number().min(0).max(1e6),
  /** Of these, the laying out of its tools. */
  setUp: z.number().min(0).max(60),
  takes: z.array(takeSchema).max(60),
})
export type PlannedStep = z.infer<typeof plannedStepSchema>

/** A note for next time; where it names a setting, what that should be. */
const nextSchema = z.strictObject({
  id: idSchema,
  text: wordsSchema(600),
  set: z
    .strictObject({
      path: z.array(z.string().min(1).max(80)).min(1).max(6),
      says: z.string().max(200),
      value: z.union([z.number(), z.string().max(200), z.boolean()]),
    })
    .optional(),
  done: z.boolean(),
})
export type NextTime = z.infer<typeof nextSchema>

/** What is written down of a making besides its steps. */
export const recordSchema = z.strictObject({
  client: idSchema.optional(),
  /** Wishes as agreed, and what was changed of them, by day. */
  wishes: z.array(z.strictObject({ day: daySchema, text: wordsSchema(1000) })).max(60),
  /** Leather as it really was: batch, and thickness as measured, mm. */
  leathers: z
    .array(
      z.strictObject({
        role: z.string().min(1).max(80),
        batch: text(80),
        measured: z.array(z.number().min(0.2).max(10)).max(24),
      }),
    )
    .max(20),
  /** Colour with its mix, coats. */
  edge: text(400),
  /** Block or mould that was used. */
  form: text(200),
  /** Hides that were cut: mm², price in their currency. */
  hides: z
    .array(
      z.strictObject({
        hide: idSchema,
        name: z.string().max(80),
        of: z.string().max(80),
        part: z.string().max(40),
        used: area,
        pieces: area,
        price: money,
        currency,
      }),
    )
    .max(60),
  /** Thread: what was reckoned, the part of it that the leather’s factor scales, with which factor; what was cut and what was left, mm. */
  threads: z
    .array(
      z.strictObject({
        name: z.string().max(120),
        leather: z.string().max(80),
        reckoned: z.number().min(0).max(1e7),
        row: z.number().min(0).max(1e7),
        factor: z.number().min(0.5).max(2),
        cut: z.number().min(0).max(1e7).optional(),
        left: z.number().min(0).max(1e7).optional(),
      }),
    )
    .max(12),
  mistakes: z
    .array(
      z.strictObject({
        id: idSchema,
        day: daySchema,
        sort: z.enum(MISTAKES),
        text: wordsSchema(1000),
        mended: text(1000),
        step: z.string().max(400).optional(),
      }),
    )
    .max(100),
  /** Photographs besides those of the steps, and words to any of them. */
  photos: z.array(idSchema).max(200),
  captions: z.record(idSchema, z.string().max(300)),
  /** Final sizes: reckoned and as measured; mm or grams. */
  sizes: z
    .array(
      z.strictObject({
        what: z.string().min(1).max(120),
        quantity: z.enum(['length', 'thickness', 'grams']),
        reckoned: z.number().min(0).max(1e6),
        measured: z.number().min(0).max(1e6).optional(),
        /** A strap, whose leather lengthened along or across the backbone. */
        strap: z.strictObject({ leather: z.string().max(80), way: z.enum(['along', 'across']) }).optional(),
      }),
    )
    .max(60),
  /** The test bar of the print as it was read, mm of 100. */
  bar: z.strictObject({ along: z.number().min(50).max(150), across: z.number().min(50).max(150) }).optional(),
  /** Test pieces measured on the work, by leather. */
  trials: z.array(z.strictObject({ leather: z.string().max(80), trial: trialSchema })).max(60),
  currency: currency.optional(),
  asked: money.optional(),
  deposit: money.optional(),
  paid: money.optional(),
  paidOn: daySchema.optional(),
  /** What the materials cost, once it was priced. */
  materials: money.optional(),
  /** Who has it. */
  has: text(160),
  /** How it wears, by day. */
  wear: z.array(z.strictObject({ day: daySchema, text: wordsSchema(1000) })).max(60),
  /** It was asked how it wears; that is asked once. */
  wearAsked: z.boolean(),
  next: z.array(nextSchema).max(60),
  finished: daySchema.optional(),
  plan: z.array(plannedStepSchema).max(600),
})
export type MakingRecord = z.infer<typeof recordSchema>

export const EMPTY_RECORD: MakingRecord = {
  wishes: [],
  leathers: [],
  edge: '',
  form: '',
  hides: [],
  threads: [],
  mistakes: [],
  photos: [],
  captions: {},
  sizes: [],
  trials: [],
  has: '',
  wear: [],
  wearAsked: false,
  next: [],
  plan: [],
}

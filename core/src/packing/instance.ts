import { z } from 'zod'
import { pathCrossesItself, polygon } from '../geometry/index.js'
import type { Shape } from './board.js'
import type { StripAsked, StripLaid } from './strip.js'

/** So much is laid out at once at most, and a strip is no larger, mm. */
const MOST = { pieces: 500, corners: 2000, size: 100_000 } as const

const mm = z.number().min(-MOST.size).max(MOST.size)
const schema = z.object({
  name: z.string().max(200),
  sheet: z.object({
    width: z.number().positive().max(MOST.size),
    length: z.number().positive().max(MOST.size),
  }),
  gap: z.number().min(0).max(100),
  seconds: z.number().positive().max(3600).optional(),
  seed: z.number().int().min(0).max(4294967295).optional(),
  pieces: z
    .array(
      z.object({
        id: z.string().min(1).max(200),
        outline: z
          .array(z.tuple([mm, mm]))
          .min(3)
          .max(MOST.corners),
        count: z.number().int().min(1).max(MOST.pieces),
        turns: z.array(z.number().min(-360).max(360)).min(1).max(16),
      }),
    )
    .min(1),
})

/** Pieces for a strip of a width: as short as it can be, no longer than `sheet.length`. Lengths mm, turns degrees. */
export type Instance = z.infer<typeof schema>

/** What was read, or a sentence that says what is wrong and where. */
export type InstanceRead =
  { readonly ok: true; readonly instance: Instance } | { readonly ok: false; readonly why: string }

const refused = (why: string): InstanceRead => ({ ok: false, why })

/** Reads an instance from JSON. */
export function readInstance(text: string): InstanceRead {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return refused('it is not JSON')
  }
  const read = schema.safeParse(data)
  if (!read.success) {
    const [issue] = read.error.issues
    return refused(`${issue?.path.join('.') || 'it'}: ${issue?.message ?? 'cannot be read'}`)
  }
  const { pieces } = read.data
  const count = pieces.reduce((sum, p) => sum + p.count, 0)
  if (count > MOST.pieces)
    return refused(`pieces: ${count} in all; up to ${MOST.pieces} are laid out at once`)
  const twice = pieces.find((p, i) => pieces.findIndex((q) => q.id === p.id) !== i)
  if (twice) return refused(`pieces: two are called “${twice.id}”`)
  const crossed = pieces.find((p) => pathCrossesItself(polygon(p.outline.map(([x, y]) => ({ x, y })))))
  if (crossed) return refused(`pieces: the outline of “${crossed.id}” crosses itself`)
  return { ok: true, instance: read.data }
}

const RIGHT_ANGLE = 90
const radians = (degrees: number): number => ((degrees / RIGHT_ANGLE) * Math.PI) / 2

const shapeOf = ({ outline, turns }: Instance['pieces'][number]): Shape => ({
  outline: outline.map(([x, y]) => ({ x, y })),
  turns: turns.map(radians),
})

/** How far a shape reaches across the strip at its flattest turn, mm. */
function flattest({ outline, turns }: Shape): number {
  return Math.min(
    ...turns.map((t) => {
      const across = outline.map(({ x, y }) => x * Math.sin(t) + y * Math.cos(t))
      return Math.max(...across) - Math.min(...across)
    }),
  )
}

/** An instance as it is packed, without what is too wide at every turn. */
export function askedOf(
  instance: Instance,
  seed: number,
): { readonly asked: StripAsked; readonly tooWide: readonly string[] } {
  const { pieces, sheet, gap } = instance
  const shapes = pieces.map(shapeOf)
  const fits = shapes.map((s) => flattest(s) <= sheet.width + 1e-6)
  const copies = (keep: boolean): number[] =>
    pieces.flatMap((p, i) => (fits[i] === keep ? new Array<number>(p.count).fill(i) : []))
  return {
    asked: { width: sheet.width, gap, shapes, things: copies(true), seed },
    tooWide: copies(false).map((i) => pieces[i]?.id ?? ''),
  }
}

/** Where each piece lies: its outline turned about the origin by `turn` degrees, then moved; and what found no room. */
export interface Answer {
  readonly placed: readonly {
    readonly id: string
    readonly x: number
    readonly y: number
    readonly turn: number
  }[]
  readonly unplaced: readonly string[]
}

/** A layout as an answer to the instance; what reaches beyond the sheet's length is unplaced. */
export function answerOf(
  instance: Instance,
  things: readonly number[],
  laid: StripLaid,
  tooWide: readonly string[],
): Answer {
  const { board, layout } = laid
  const placed: Answer['placed'][number][] = []
  const unplaced = [...tooWide]
  things.forEach((shape, i) => {
    const piece = instance.pieces[shape]
    const turn = layout.turn[i] ?? 0
    const [x, y] = [layout.x[i] ?? 0, layout.y[i] ?? 0]
    if (!piece) return
    const right = x + (board.boxes[4 * (shape * board.angles.length + turn) + 2] ?? 0)
    if (right > instance.sheet.length + 1e-6) unplaced.push(piece.id)
    else
      placed.push({
        id: piece.id,
        x: fine(x),
        y: fine(y),
        turn: piece.turns.find((t) => same(radians(t), board.angles[turn] ?? 0)) ?? 0,
      })
  })
  return { placed, unplaced }
}

/** To a hundred-thousandth of a millimetre. */
const fine = (value: number): number => Math.round(value * 1e5) / 1e5
const same = (a: number, b: number): boolean => Math.abs(Math.sin((a - b) / 2)) < 1e-9

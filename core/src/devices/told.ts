import { z } from 'zod'

const entry = z.object({
  /** Whether the device said it, was told it, or the hand did something to it. */
  by: z.enum(['device', 'told', 'hand']),
  text: z.string(),
})
const mischief = z.object({ id: z.string(), label: z.string(), on: z.boolean() })
const common = {
  id: z.string(),
  name: z.string(),
  /** What it last got and said, the latest last. */
  log: z.array(entry),
  mischief: z.array(mischief),
}

/** A caliper, a thickness gauge or a scale: what lies in it, and how it tells that. */
const teller = z.object({
  ...common,
  sort: z.literal('teller'),
  what: z.enum(['length', 'weight']),
  /** What really lies between its jaws or on its pan, mm or grams. */
  real: z.number(),
  most: z.number(),
  unit: z.enum(['mm', 'in', 'g', 'oz']),
  units: z.array(z.enum(['mm', 'in', 'g', 'oz'])),
  /** Shown on its display now. */
  display: z.string(),
  held: z.boolean(),
})

const cutter = z.object({
  ...common,
  sort: z.literal('cutter'),
  bed: z.object({ wide: z.number(), long: z.number() }),
  /** What is in each holder, from the first. */
  holders: z.array(z.enum(['pen', 'knife', 'nothing'])),
  /** Lines it has drawn or cut, seconds it took, and how many complaints it has. */
  lines: z.number(),
  seconds: z.number(),
  complaints: z.array(z.string()),
})

const printer = z.object({
  ...common,
  sort: z.literal('printer'),
  /** How large it prints, across and along, and how far it leans: shares. */
  across: z.number(),
  along: z.number(),
  skew: z.number(),
  pages: z.number(),
})

const camera = z.object({
  ...common,
  sort: z.literal('camera'),
  scene: z.string(),
  scenes: z.array(z.object({ id: z.string(), label: z.string() })),
})

/** How a device at the bench stands. */
export const deviceSchema = z.discriminatedUnion('sort', [teller, cutter, printer, camera])
export const devicesSchema = z.array(deviceSchema)
export type Device = z.infer<typeof deviceSchema>
export type DeviceOf<S extends Device['sort']> = Extract<Device, { sort: S }>

const place = z.object({ x: z.number(), y: z.number() })

/** What a cutter has drawn, as the tip of its tool went, mm on its bed, y away from who stands before it. */
export const cutDrawingSchema = z.array(
  z.object({
    holder: z.number(),
    tool: z.enum(['pen', 'knife', 'nothing']),
    force: z.number(),
    points: z.array(place),
  }),
)
export type CutDrawing = z.infer<typeof cutDrawingSchema>

/** A page as it comes out of a printer, mm from its upper left. */
export const printedPageSchema = z.object({
  width: z.number(),
  height: z.number(),
  lines: z.array(z.object({ weight: z.number(), points: z.array(place) })),
  words: z.array(z.object({ at: place, size: z.number(), text: z.string() })),
})
export type PrintedPage = z.infer<typeof printedPageSchema>

/** What a hand does to a device: a button pressed, a switch set, something laid into it. */
export const handSchema = z.discriminatedUnion('act', [
  z.object({ act: z.literal('press'), button: z.string() }),
  z.object({ act: z.literal('lay'), value: z.number() }),
  z.object({ act: z.literal('set'), setting: z.string(), value: z.string() }),
  z.object({ act: z.literal('mischief'), id: z.string(), on: z.boolean() }),
])
export type Hand = z.infer<typeof handSchema>

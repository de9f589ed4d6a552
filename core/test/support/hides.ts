import fc from 'fast-check'
import type { Demand } from '@drumlin/core/design'
import { type Point, regionArea, regionBoth, regionGrown, regionWithout } from '@drumlin/core/geometry'
import { type LayAsked, type Lying, type Wanted, laidThere, wantedOf } from '@drumlin/core/hide'
import { type Hide, type HideFlaw, sheetGround, typicalGround } from '@drumlin/core/stores'

export const rectangle = (w: number, h: number, x = 0, y = 0): Point[] => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
]

export const hideOf = (more: Partial<Hide> = {}): Hide => ({
  id: 'hide',
  name: 'Hide',
  of: 'calf',
  part: 'sheet',
  batch: '',
  price: 100,
  currency: 'EUR',
  ...sheetGround(1000, 500),
  flaws: [],
  spots: [],
  ...more,
})

export const demandOf = (outline: readonly Point[], more: Partial<Demand> = {}): Demand => ({
  key: 'piece',
  name: 'Piece',
  of: 'calf',
  material: 'Calf',
  swatch: '#cccccc',
  leather: true,
  thickness: 2,
  outline,
  block: false,
  count: 1,
  flipped: 0,
  grain: 0,
  lies: 'either',
  shows: true,
  bears: false,
  seen: [outline],
  thinned: [],
  ...more,
})

/** Pieces as makers cut them: rectangles, trapezes, tongues and angles. */
const outlines = fc
  .record({ w: fc.integer({ min: 30, max: 260 }), h: fc.integer({ min: 25, max: 180 }), cut: fc.nat(3) })
  .map(({ w, h, cut }): Point[] => {
    if (cut === 1)
      return [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w * 0.8, y: h },
        { x: w * 0.2, y: h },
      ]
    if (cut === 2)
      return [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w, y: h * 0.4 },
        { x: w * 0.4, y: h * 0.4 },
        { x: w * 0.4, y: h },
        { x: 0, y: h },
      ]
    if (cut === 3)
      return Array.from({ length: 14 }, (_, i) => ({
        x: (w / 2) * (1 + Math.cos((i / 7) * Math.PI)),
        y: (h / 2) * (1 + Math.sin((i / 7) * Math.PI)),
      }))
    return rectangle(w, h)
  })

export const demands = fc
  .array(
    fc.record({
      outline: outlines,
      lies: fc.constantFrom('along' as const, 'across' as const, 'either' as const),
      shows: fc.boolean(),
      bears: fc.boolean(),
      skived: fc.boolean(),
      grain: fc.constantFrom(0, Math.PI / 2, -Math.PI / 2),
      pair: fc.boolean(),
      count: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((all) =>
    all.map(({ outline, pair, count, skived, ...more }, i) =>
      demandOf(outline, {
        key: `p${i}`,
        name: `Piece ${i}`,
        count: pair ? 2 : count,
        flipped: pair ? 1 : 0,
        seen: i % 2 === 0 ? [outline] : [outline.map((p) => ({ x: p.x * 0.5, y: p.y * 0.5 }))],
        thinned: skived ? [outline] : [],
        ...more,
      }),
    ),
  )

const flaws = fc.array(
  fc.record({
    sort: fc.constantFrom(
      'hole' as const,
      'scar' as const,
      'brand' as const,
      'flesh cut' as const,
      'stain' as const,
    ),
    x: fc.integer({ min: 40, max: 900 }),
    y: fc.integer({ min: 20, max: 500 }),
    radius: fc.integer({ min: 2, max: 30 }),
    line: fc.boolean(),
  }),
  { maxLength: 6 },
)

const flawOf = ({
  sort,
  x,
  y,
  radius,
  line,
}: {
  sort: HideFlaw['sort']
  x: number
  y: number
  radius: number
  line: boolean
}): HideFlaw => ({
  sort,
  shape: line
    ? { type: 'line', from: { x, y }, to: { x: x + 3 * radius, y: y + radius }, width: 3 }
    : { type: 'circle', at: { x, y }, radius },
})

/** Hides of any part that pieces could come out of, with flaws. */
export const hides = fc
  .record({
    part: fc.constantFrom(
      'side' as const,
      'shoulder' as const,
      'double shoulder' as const,
      'bend' as const,
      'skin' as const,
      'belly' as const,
    ),
    half: fc.constantFrom('left' as const, 'right' as const),
    area: fc.integer({ min: 30, max: 140 }),
    flaws,
  })
  .map(({ part, half, area, flaws: marked }) =>
    hideOf({ part, ...typicalGround(part, area, half), flaws: marked.map(flawOf) }),
  )

export const wantedFrom = (all: readonly Demand[], copies = 1): Wanted[] => wantedOf('job', all, copies)

/** Where each piece lies, as an outline on its hide. */
export const outlineOf = (wanted: readonly Wanted[], lying: Lying): Point[] => {
  const w = wanted.find((one) => one.id === lying.id)!
  return laidThere(w.demand.outline, w.over, lying)
}

/** A circle or a line as an outline, by other means than the core's. */
export function flawRegion({ shape }: HideFlaw): readonly (readonly Point[])[] {
  if (shape.type === 'outline') return [shape.outline]
  if (shape.type === 'circle')
    return [
      Array.from({ length: 48 }, (_, i) => ({
        x: shape.at.x + shape.radius * Math.cos((i / 24) * Math.PI),
        y: shape.at.y + shape.radius * Math.sin((i / 24) * Math.PI),
      })),
    ]
  const { from, to, width } = shape
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const [nx, ny] = [(-(to.y - from.y) / length) * (width / 2), ((to.x - from.x) / length) * (width / 2)]
  return [
    [
      { x: from.x + nx, y: from.y + ny },
      { x: to.x + nx, y: to.y + ny },
      { x: to.x - nx, y: to.y - ny },
      { x: from.x - nx, y: from.y - ny },
    ],
  ]
}

/** How much two outlines share once one is grown by almost the knife’s room, mm². */
export const sharedWithin = (a: readonly Point[], b: readonly Point[], gap: number): number =>
  regionArea(regionBoth(gap > 0.1 ? regionGrown([a], gap - 0.1) : [a], [b]))

/** How much of an outline lies outside another, mm². */
export const outside = (a: readonly Point[], within: readonly Point[]): number =>
  regionArea(regionWithout([a], [within]))

/** What is asked where nothing else is said: one sheet of 1000 × 500, 3 mm for the knife. */
export const askedOf = (more: Partial<LayAsked>): LayAsked => ({
  hides: [hideOf()],
  wanted: [],
  gap: 3,
  anyAngle: false,
  lying: [],
  locked: [],
  aside: [],
  seed: 1,
  ...more,
})

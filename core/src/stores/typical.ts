import { ringArea } from './ring.js'
import type { GroundPart, Hide, HideZone } from './hides.js'

/** A part of a hide as it usually comes: x from the butt, y from the backbone, in shares of its length (J). */
interface Typical {
  readonly outline: readonly (readonly [number, number])[]
  readonly zones: readonly {
    readonly sort: HideZone['sort']
    readonly outline: readonly (readonly [number, number])[]
  }[]
  /** Both halves, the backbone down the middle. */
  readonly double?: true
  /** The edge that is rarely used, mm. */
  readonly band: number
}

const rectangle = (
  left: number,
  top: number,
  right: number,
  bottom: number,
): readonly (readonly [number, number])[] => [
  [left, top],
  [right, top],
  [right, bottom],
  [left, bottom],
]

const SIDE: Typical = {
  outline: [
    [0, 0.02],
    [0.03, 0],
    [0.97, 0],
    [1, 0.05],
    [0.99, 0.18],
    [0.94, 0.26],
    [0.91, 0.36],
    [0.94, 0.5],
    [0.91, 0.6],
    [0.84, 0.6],
    [0.79, 0.48],
    [0.7, 0.45],
    [0.55, 0.465],
    [0.4, 0.455],
    [0.27, 0.44],
    [0.21, 0.5],
    [0.16, 0.61],
    [0.08, 0.61],
    [0.06, 0.5],
    [0.06, 0.38],
    [0.02, 0.26],
    [0, 0.14],
  ],
  zones: [
    { sort: 'best', outline: rectangle(0.03, 0, 0.62, 0.26) },
    { sort: 'wrinkled', outline: rectangle(0.84, 0, 1, 0.34) },
    { sort: 'stretchy', outline: rectangle(0, 0.38, 1, 0.65) },
  ],
  band: 15,
}

const SHOULDER: Typical = {
  outline: [
    [0, 0],
    [0.94, 0],
    [1, 0.08],
    [0.97, 0.28],
    [0.86, 0.45],
    [0.84, 0.68],
    [0.8, 0.86],
    [0.62, 0.88],
    [0.5, 0.74],
    [0, 0.72],
  ],
  zones: [
    { sort: 'wrinkled', outline: rectangle(0.68, 0, 1, 0.5) },
    { sort: 'stretchy', outline: rectangle(0, 0.6, 1, 0.9) },
  ],
  band: 12,
}

const TYPICAL: Readonly<Record<Exclude<GroundPart, 'scrap' | 'sheet'>, Typical>> = {
  side: SIDE,
  back: {
    outline: [
      [0, 0.02],
      [0.03, 0],
      [0.97, 0],
      [1, 0.05],
      [0.99, 0.18],
      [0.95, 0.28],
      [0.88, 0.35],
      [0.06, 0.36],
      [0.02, 0.26],
      [0, 0.14],
    ],
    zones: [
      { sort: 'best', outline: rectangle(0.03, 0, 0.62, 0.26) },
      { sort: 'wrinkled', outline: rectangle(0.84, 0, 1, 0.36) },
    ],
    band: 12,
  },
  butt: {
    outline: [
      [0, 0.03],
      [0.05, 0],
      [1, 0],
      [1, 0.58],
      [0.1, 0.58],
      [0.03, 0.42],
      [0, 0.22],
    ],
    zones: [{ sort: 'best', outline: rectangle(0.04, 0, 1, 0.45) }],
    band: 10,
  },
  bend: {
    outline: [
      [0, 0.03],
      [0.05, 0],
      [1, 0],
      [1, 0.48],
      [0.08, 0.48],
      [0.02, 0.34],
      [0, 0.18],
    ],
    zones: [{ sort: 'best', outline: rectangle(0.04, 0, 1, 0.4) }],
    band: 10,
  },
  shoulder: SHOULDER,
  'double shoulder': { ...SHOULDER, double: true },
  belly: {
    outline: [
      [0.02, 0],
      [0.97, 0],
      [1, 0.06],
      [0.96, 0.16],
      [0.88, 0.2],
      [0.8, 0.12],
      [0.6, 0.105],
      [0.4, 0.1],
      [0.26, 0.1],
      [0.18, 0.19],
      [0.08, 0.21],
      [0.02, 0.14],
      [0, 0.06],
    ],
    zones: [{ sort: 'stretchy', outline: rectangle(-0.01, -0.01, 1.01, 0.22) }],
    band: 12,
  },
  skin: {
    outline: [
      [0, 0],
      [0.02, 0.12],
      [0.08, 0.22],
      [0.05, 0.37],
      [0.12, 0.42],
      [0.22, 0.34],
      [0.4, 0.32],
      [0.6, 0.32],
      [0.74, 0.34],
      [0.82, 0.42],
      [0.89, 0.4],
      [0.87, 0.25],
      [0.93, 0.14],
      [1, 0.09],
      [1, 0],
    ],
    zones: [
      { sort: 'best', outline: rectangle(0.08, 0, 0.72, 0.2) },
      { sort: 'wrinkled', outline: rectangle(0.87, 0, 1, 0.3) },
      { sort: 'stretchy', outline: rectangle(0, 0.29, 1, 0.45) },
    ],
    double: true,
    band: 10,
  },
}

type Point = Hide['outline'][number]

/** Left and right halves of a hide differ by which way the belly lies from the backbone, seen on the grain. */
export type Half = 'left' | 'right'

/** A sheet is half again as long as it is wide where nobody says. */
const SHEET_LONG = 1.5
const DM2 = 10_000

/** The outline, backbone, zones and edge of a part as it usually comes. `area` in dm². */
export function typicalGround(
  part: GroundPart,
  area: number,
  half: Half = 'left',
): Pick<Hide, 'outline' | 'backbone' | 'zones' | 'band'> {
  if (part === 'sheet' || part === 'scrap') {
    const wide = Math.sqrt((area * DM2) / SHEET_LONG)
    return sheetGround(SHEET_LONG * wide, wide)
  }
  const { outline, zones, double, band } = TYPICAL[part]
  const both = (points: readonly (readonly [number, number])[]): Point[] => {
    const one = points.map(([x, y]) => ({ x, y }))
    if (!double) return one
    const half = one.filter((p) => p.y > 0)
    return [...half, ...half.map((p) => ({ x: p.x, y: -p.y })).toReversed()]
  }
  const unit = both(outline)
  const scale = Math.sqrt((area * DM2) / ringArea(unit))
  const left = Math.min(...unit.map((p) => p.x))
  const top = double ? Math.min(...unit.map((p) => p.y)) : 0
  const high = Math.max(...unit.map((p) => p.y)) - top
  const placed = (p: Point): Point => {
    const y = (p.y - top) * scale
    return { x: round((p.x - left) * scale), y: round(!double && half === 'right' ? high * scale - y : y) }
  }
  return {
    outline: unit.map(placed),
    backbone: placed({ x: 0, y: 0 }).y,
    zones: zones.flatMap(({ sort, outline: at }) => {
      const one = at.map(([x, y]) => ({ x, y }))
      const apart = double && one.every((p) => p.y > 0)
      const all = apart ? [one, one.map((p) => ({ x: p.x, y: -p.y }))] : [both(at)]
      return all.map((points) => ({ sort, outline: points.map(placed) }))
    }),
    band,
  }
}

/**
 * Zones and edge as they usually are in a part, drawn to the size of a hide that was measured or traced; none without a backbone,
 * since nothing is known then of where the butt lies.
 */
export function usualZones(
  part: GroundPart,
  { outline, backbone }: Pick<Hide, 'outline' | 'backbone'>,
): Pick<Hide, 'zones' | 'band'> {
  if (backbone === null || part === 'sheet' || part === 'scrap') return { zones: [], band: 0 }
  const is = boxOf(outline)
  const below = is.bottom - backbone < backbone - is.top
  const usual = typicalGround(part, 100, below ? 'right' : 'left')
  const was = boxOf(usual.outline)
  const [wide, high] = [
    (is.right - is.left) / (was.right - was.left),
    (is.bottom - is.top) / (was.bottom - was.top),
  ]
  const placed = ({ x, y }: Point): Point => ({
    x: round(is.left + (x - was.left) * wide),
    y: round(is.top + (y - was.top) * high),
  })
  return {
    zones: usual.zones.map(({ sort, outline: at }) => ({ sort, outline: at.map(placed) })),
    band: usual.band,
  }
}

const boxOf = (points: readonly Point[]) => ({
  left: Math.min(...points.map((p) => p.x)),
  right: Math.max(...points.map((p) => p.x)),
  top: Math.min(...points.map((p) => p.y)),
  bottom: Math.max(...points.map((p) => p.y)),
})

/** A rectangle without backbone: a sheet of board or cloth, or an offcut measured with a rule, mm. */
export const sheetGround = (
  long: number,
  wide: number,
): Pick<Hide, 'outline' | 'backbone' | 'zones' | 'band'> => ({
  outline: [
    { x: 0, y: 0 },
    { x: round(long), y: 0 },
    { x: round(long), y: round(wide) },
    { x: 0, y: round(wide) },
  ],
  backbone: null,
  zones: [],
  band: 0,
})

const round = (mm: number): number => Math.round(mm * 10) / 10

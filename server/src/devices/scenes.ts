type Colour = readonly [number, number, number]
interface Place {
  readonly x: number
  readonly y: number
}

/** What lies before the camera: the colour of each place of its picture. */
export interface Scene {
  readonly id: string
  readonly label: string
  readonly colour: (x: number, y: number) => Colour
}

/** From a place of the picture to the table, mm: a table seen from its near side, not straight from above. */
export function toTable(x: number, y: number): Place {
  const [u, v] = [x - 600, y - 450]
  const near = 1 + v * 0.00034
  return { x: (u * 1.35) / near, y: (v * 1.5) / near }
}

/** Where a place of the table comes to lie in the picture. */
export function toPicture({ x, y }: Place): Place {
  const v = y / (1.5 - y * 0.00034)
  return { x: (x * (1 + v * 0.00034)) / 1.35 + 600, y: v + 450 }
}

/** A side of a hide, roughly, mm on the table: its backbone runs along the upper edge. */
export const HIDE_OUTLINE: readonly Place[] = [
  { x: -610, y: -330 },
  { x: 480, y: -340 },
  { x: 610, y: -250 },
  { x: 560, y: -90 },
  { x: 640, y: 60 },
  { x: 520, y: 120 },
  { x: 430, y: 300 },
  { x: 60, y: 350 },
  { x: -260, y: 310 },
  { x: -330, y: 160 },
  { x: -520, y: 190 },
  { x: -640, y: 60 },
  { x: -580, y: -120 },
]
/** A sheet of A4 on it, its long side first. */
export const SHEET: readonly Place[] = [
  { x: -120, y: -60 },
  { x: 177, y: -60 },
  { x: 177, y: 150 },
  { x: -120, y: 150 },
]
const FLAWS: readonly (Place & { readonly r: number })[] = [
  { x: 330, y: 60, r: 14 },
  { x: -380, y: -200, r: 9 },
]
const WALLET: readonly Place[] = [
  { x: -230, y: -110 },
  { x: 230, y: -110 },
  { x: 230, y: 190 },
  { x: -230, y: 190 },
]

function inside({ x, y }: Place, corners: readonly Place[]): boolean {
  let within = false
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) within = !within
  })
  return within
}

/** Grain and shade, the same for the same place. */
const grain = (x: number, y: number): number =>
  8 * Math.sin(x * 0.031 + 3 * Math.sin(y * 0.017)) + 5 * Math.sin(y * 0.21 + x * 0.07)
const shaded = ([r, g, b]: Colour, by: number): Colour =>
  [r, g, b].map((c) => Math.max(0, Math.min(255, Math.round(c + by)))) as unknown as Colour

const TABLE: Colour = [92, 80, 68]
const LEATHER: Colour = [176, 122, 74]
const PAPER: Colour = [240, 239, 234]
const SCAR: Colour = [96, 62, 40]
const THREAD: Colour = [233, 221, 190]

function hideColour(x: number, y: number): Colour {
  const at = toTable(x, y)
  if (inside(at, SHEET)) return PAPER
  if (!inside(at, HIDE_OUTLINE)) return shaded(TABLE, grain(at.x * 4, at.y) / 2)
  const flawed = FLAWS.some((f) => Math.hypot(f.x - at.x, f.y - at.y) < f.r)
  return shaded(flawed ? SCAR : LEATHER, grain(at.x, at.y) - Math.max(0, at.y) * 0.06)
}

/** Stitches along a closed wallet, 4 mm apart, 8 mm in from its edge. */
function stitched({ x, y }: Place): boolean {
  const edge = Math.min(Math.abs(Math.abs(x) - 222), Math.abs(y + 102), Math.abs(y - 182))
  const within = Math.abs(x) <= 223 && y >= -103 && y <= 183
  const along = Math.abs(Math.abs(x) - 222) < 2 ? y : x
  return within && edge < 1.4 && ((along % 8) + 8) % 8 < 5.5
}

function walletColour(x: number, y: number): Colour {
  const at = toTable(x, y)
  if (!inside(at, WALLET)) return shaded(TABLE, grain(at.x * 4, at.y) / 2)
  return stitched(at) ? THREAD : shaded(LEATHER, grain(at.x, at.y) - 22)
}

export const SCENES: readonly Scene[] = [
  { id: 'hide', label: 'a side of leather with a sheet of A4 on it', colour: hideColour },
  { id: 'wallet', label: 'a finished wallet', colour: walletColour },
]

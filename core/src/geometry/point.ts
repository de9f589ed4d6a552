/** A place on the sheet in mm; x grows to the right, y grows downwards as on the screen. */
export interface Point {
  readonly x: number
  readonly y: number
}

/** Two places nearer than this are one, in mm: a hundredth of what a fresh blade could show. */
export const SAME_PLACE = 1e-6

export const point = (x: number, y: number): Point => ({ x, y })
export const pointAdd = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y })
export const pointSubtract = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y })
export const pointScale = (a: Point, factor: number): Point => ({ x: a.x * factor, y: a.y * factor })
export const pointDot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y
/** Positive where b lies clockwise of a on the screen. */
export const pointCross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x
// Not Math.hypot: it guards against overflow no pattern can reach and takes ten times as long.
export const pointLength = (a: Point): number => Math.sqrt(a.x * a.x + a.y * a.y)
export const pointDistance = (a: Point, b: Point): number => {
  const [dx, dy] = [a.x - b.x, a.y - b.y]
  return Math.sqrt(dx * dx + dy * dy)
}
export const pointsMeet = (a: Point, b: Point, within = SAME_PLACE): boolean => pointDistance(a, b) <= within
export const pointBetween = (a: Point, b: Point, share: number): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
})
/** Unit vector along a; throws for a vector of no length. */
export function pointUnit(a: Point): Point {
  const length = pointLength(a)
  if (length === 0) throw new RangeError('a vector of no length has no direction')
  return { x: a.x / length, y: a.y / length }
}
/** A quarter turn clockwise on the screen: the right-hand side of one who walks along a. */
export const pointRight = (a: Point): Point => ({ x: -a.y, y: a.x })

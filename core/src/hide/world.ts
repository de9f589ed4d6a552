import type { Point } from '../geometry/index.js'
import { nth } from '../lists/index.js'
import type { Hide } from '../stores/index.js'

/** A hide where it lies beside others while they are laid out together: moved by so much, mm. */
export interface HideAt {
  readonly hide: Hide
  readonly x: number
  readonly y: number
  readonly left: number
  readonly right: number
}

/** Hides side by side, their backbones in one line, mm. */
export interface World {
  readonly hides: readonly HideAt[]
  readonly length: number
  readonly width: number
  /** Where the backbones lie, y. */
  readonly level: number
}

/** Between two hides, mm: no piece may lie across it. */
const BETWEEN = 60

export interface Extent {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** The box round places. */
export function extentOf(points: readonly Point[]): Extent {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const { x, y } of points) {
    left = Math.min(left, x)
    right = Math.max(right, x)
    top = Math.min(top, y)
    bottom = Math.max(bottom, y)
  }
  return { left, top, right, bottom }
}

/** Puts hides side by side in their order. */
export function worldOf(hides: readonly Hide[]): World {
  const boxes = hides.map((h) => extentOf(h.outline))
  const above = hides.map((h, i) => (h.backbone === null ? 0 : h.backbone - nth(boxes, i).top))
  const level = Math.max(0, ...above)
  let x = 0
  const at = hides.map((hide, i): HideAt => {
    const box = nth(boxes, i)
    const one = {
      hide,
      x: x - box.left,
      y: level - nth(above, i) - box.top,
      left: x,
      right: x + box.right - box.left,
    }
    x = one.right + BETWEEN
    return one
  })
  const bottoms = at.map(({ y }, i) => y + nth(boxes, i).bottom)
  return { hides: at, length: Math.max(0, x - BETWEEN), width: Math.max(0, ...bottoms), level }
}

/** The hide on which a place of the world lies, by how far along it is. */
export const hideAlong = (world: World, x: number): HideAt | undefined =>
  world.hides.find((h) => x >= h.left - BETWEEN / 2 && x <= h.right + BETWEEN / 2)

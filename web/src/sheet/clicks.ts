import type { Point } from '@drumlin/core/geometry'

/** Farther than this it was a drag, pixels. */
const STILL = 4

/** Clicks on a sheet that are no drag of it and do not take hold of anything: told with the place of the sheet. */
export function useClicks(toSheet: (x: number, y: number) => Point, place: (at: Point) => void) {
  let down: Point | undefined
  return {
    pressed: (event: PointerEvent): void => {
      const holds = (event.target as Element).closest('[data-handle]')
      down = holds ? undefined : { x: event.clientX, y: event.clientY }
    },
    clicked: (event: MouseEvent): void => {
      if (down && Math.hypot(event.clientX - down.x, event.clientY - down.y) <= STILL)
        place(toSheet(event.clientX, event.clientY))
    },
  }
}

import type { WebGLRenderer } from 'three'

/** A picture that takes longer than this to draw is drawn coarser while it moves, ms; never coarser than such a share. */
const SMOOTH = 20
const COARSEST = 0.4
/** So long after the last step it is sharp again, ms. */
const REST = 250

/** How many dots a picture is drawn with: a machine too slow for all of them sees fewer while it moves, and all at rest. */
export interface Sharpness {
  readonly resize: (wide: number, high: number) => void
  /** It begins to move, or goes on moving. */
  readonly move: () => void
  /** It stopped moving. */
  readonly rest: () => void
  /** Finds out soon how fast this machine draws. */
  readonly gaugeSoon: () => void
  readonly dispose: () => void
}

/** `draw` draws one picture with the work turned by so much, radians. */
export function sharpnessOf(renderer: WebGLRenderer, draw: (turned: number) => void): Sharpness {
  let size = { wide: 1, high: 1 }
  let moving = 1
  let coarse = false
  let resting: ReturnType<typeof setTimeout> | undefined
  let gauging: ReturnType<typeof setTimeout> | undefined

  const dots = (share: number): void => {
    coarse = share < 1
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio) * share)
    renderer.setSize(size.wide, size.high, false)
  }
  const timed = (count: number): number => {
    const gl = renderer.getContext()
    const pixel = new Uint8Array(4)
    const before = performance.now()
    for (let i = 0; i < count; i += 1) {
      draw((i * 0.5) / count)
      // Reading a pixel back waits until the picture is really drawn.
      gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, pixel)
    }
    return (performance.now() - before) / count
  }
  const gauge = (): void => {
    if (coarse) return
    const ms = timed(2)
    draw(0)
    moving = ms > SMOOTH ? Math.max(COARSEST, Math.sqrt(SMOOTH / ms)) : 1
  }
  const sharp = (): void => {
    if (!coarse) return
    dots(1)
    draw(0)
  }
  return {
    resize: (wide, high) => {
      size = { wide, high }
      dots(1)
    },
    move: () => {
      clearTimeout(resting)
      if (moving < 1 && !coarse) dots(moving)
    },
    rest: () => {
      clearTimeout(resting)
      resting = setTimeout(sharp, REST)
    },
    gaugeSoon: () => {
      clearTimeout(gauging)
      gauging = setTimeout(gauge, REST)
    },
    dispose: () => {
      clearTimeout(resting)
      clearTimeout(gauging)
    },
  }
}

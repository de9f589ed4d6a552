import type { Point } from '@drumlin/core/geometry'

/** How far an arrow key moves a handle: 1 mm, with Shift a tenth, with Alt ten; undefined for other keys. */
export function arrowStep({
  key,
  shiftKey,
  altKey,
}: Pick<KeyboardEvent, 'key' | 'shiftKey' | 'altKey'>): Point | undefined {
  const size = shiftKey ? 0.1 : altKey ? 10 : 1
  switch (key) {
    case 'ArrowLeft':
      return { x: -size, y: 0 }
    case 'ArrowRight':
      return { x: size, y: 0 }
    case 'ArrowUp':
      return { x: 0, y: -size }
    case 'ArrowDown':
      return { x: 0, y: size }
    default:
      return undefined
  }
}

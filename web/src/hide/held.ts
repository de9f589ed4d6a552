import type { Point } from '@drumlin/core/geometry'
import type { Hide } from '@drumlin/core/stores'

/** A flaw or a zone whose places are taken hold of. */
export interface Held {
  readonly of: 'flaw' | 'zone'
  readonly i: number
}

/** The places of what is held, in order. */
export function placesHeld(hide: Hide, { of, i }: Held): readonly Point[] {
  if (of === 'zone') return hide.zones[i]?.outline ?? []
  const shape = hide.flaws[i]?.shape
  if (!shape) return []
  if (shape.type === 'circle') return [shape.at]
  return shape.type === 'line' ? [shape.from, shape.to] : shape.outline
}

/** The hide with one of those places elsewhere. */
export function withPlace(hide: Hide, { of, i }: Held, k: number, at: Point): Partial<Hide> {
  const put = (points: readonly Point[]): Point[] => points.map((p, n) => (n === k ? at : p))
  if (of === 'zone')
    return { zones: hide.zones.map((z, n) => (n === i ? { ...z, outline: put(z.outline) } : z)) }
  return {
    flaws: hide.flaws.map((f, n) => {
      if (n !== i) return f
      const { shape } = f
      if (shape.type === 'circle') return { ...f, shape: { ...shape, at } }
      if (shape.type === 'line') return { ...f, shape: { ...shape, [k === 0 ? 'from' : 'to']: at } }
      return { ...f, shape: { ...shape, outline: put(shape.outline) } }
    }),
  }
}

import { pathData } from './pathData.js'
import type { Drawn, LayerName } from './primitives.js'

/** Strokes of one layer, weight and dash, as one SVG path. */
export interface StrokeGroup {
  readonly key: string
  readonly layer: LayerName
  readonly d: string
  readonly weight: number
  readonly dash: string | undefined
  readonly round: boolean
}
export type TextDrawn = Drawn & { type: 'text' }

/** A drawing gathered into few elements, so that a sheet of hundreds of holes still moves freely. */
export function gathered(all: readonly Drawn[]): { strokes: StrokeGroup[]; texts: TextDrawn[] } {
  const groups = new Map<string, { first: Drawn; data: string[] }>()
  const texts: TextDrawn[] = []
  for (const one of all) {
    if (one.type === 'text') {
      texts.push(one)
      continue
    }
    const weight = one.type === 'stroke' ? one.weight : one.diameter
    const key = `${one.layer} ${one.type} ${weight} ${one.type === 'stroke' ? (one.dash ?? []).join() : ''}`
    const group = groups.get(key) ?? { first: one, data: [] }
    group.data.push(
      one.type === 'stroke'
        ? pathData(one.path)
        : one.points.map((p) => `M${p.x.toFixed(2)} ${p.y.toFixed(2)}h0`).join(''),
    )
    groups.set(key, group)
  }
  const strokes = [...groups].map(([key, { first, data }]): StrokeGroup => ({
    key,
    layer: first.layer,
    d: data.join(''),
    round: first.type === 'dots',
    weight: first.type === 'stroke' ? first.weight : first.type === 'dots' ? first.diameter : 0,
    dash: first.type === 'stroke' && first.dash ? first.dash.join(' ') : undefined,
  }))
  return { strokes, texts }
}

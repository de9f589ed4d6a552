import type { Path, Point } from '../geometry/index.js'

/** The layers of a drawn piece, and of a hide under it, from the lowest to the uppermost; also the layer names of exported files. */
export const LAYERS = [
  'zones',
  'hide',
  'backbone',
  'flaws',
  'glue',
  'skive',
  'finished',
  'fold',
  'fold-to',
  'marks',
  'openings',
  'holes',
  'notches',
  'grain',
  'cut',
  'label',
] as const
export type LayerName = (typeof LAYERS)[number]

/**
 * The ink of each layer on paper and in files. Form tells lines apart; colour only helps, and turns to greys whose order
 * is that of importance on a black-and-white printer.
 */
export const INKS: Readonly<Record<LayerName, string>> = {
  hide: '#1f2d33',
  zones: '#9aa6a6',
  backbone: '#2f5d50',
  flaws: '#b4431f',
  cut: '#1f2d33',
  finished: '#1f2d33',
  holes: '#1f2d33',
  label: '#1f2d33',
  fold: '#2f6690',
  'fold-to': '#2f6690',
  marks: '#2f5d50',
  openings: '#2f5d50',
  notches: '#7a4e7e',
  grain: '#5b6a6e',
  skive: '#9aa6a6',
  glue: '#8c9a9b',
}
/** Words in the colour of a light layer would be too faint to read. */
export const wordInk = (layer: LayerName): string =>
  layer === 'skive' || layer === 'glue' || layer === 'zones' ? '#5b6a6e' : INKS[layer]

/** One stroke, cluster of dots or line of text, in mm, that every writer draws the same way. */
export type Drawn =
  | {
      readonly type: 'stroke'
      readonly layer: LayerName
      readonly path: Path
      readonly weight: number
      readonly dash?: readonly number[]
    }
  | {
      readonly type: 'dots'
      readonly layer: LayerName
      readonly points: readonly Point[]
      readonly diameter: number
    }
  | {
      readonly type: 'text'
      readonly layer: LayerName
      readonly at: Point
      readonly text: string
      /** Height of the type, mm. */
      readonly size: number
      /** Radians, clockwise. */
      readonly angle: number
      readonly anchor: 'start' | 'middle' | 'end'
      readonly bold?: boolean
    }

export const stroke = (layer: LayerName, path: Path, weight: number, dash?: readonly number[]): Drawn => ({
  type: 'stroke',
  layer,
  path,
  weight,
  ...(dash ? { dash } : {}),
})

export const text = (
  layer: LayerName,
  at: Point,
  words: string,
  size: number,
  anchor: 'start' | 'middle' | 'end' = 'middle',
  bold = false,
  angle = 0,
): Drawn => ({
  type: 'text',
  layer,
  at,
  text: words,
  size,
  angle,
  anchor,
  bold,
})

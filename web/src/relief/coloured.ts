import type { Survey } from '@drumlin/core/relief'
import { bandColour, bandOf } from './ramp.js'

/** A map's bands of colour as a picture, a dot a cell, in a data URL; empty where the browser draws none. */
export function colouredMap(
  { columns, rows, heights }: Survey['map'],
  interval: number,
  bands: number,
): string {
  const element = document.createElement('canvas')
  element.width = columns
  element.height = rows
  const pen = element.getContext('2d')
  if (!pen) return ''
  const image = pen.createImageData(columns, rows)
  const colours = Array.from({ length: bands }, (_, i) => {
    const hex = bandColour(i, bands)
    return [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))
  })
  heights.forEach((height, i) => {
    const colour = height > 0 ? colours[Math.min(bands - 1, bandOf(height, interval))] : undefined
    if (colour) image.data.set([...colour, 255], i * 4)
  })
  pen.putImageData(image, 0, 0)
  return element.toDataURL()
}

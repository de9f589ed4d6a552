import { z } from 'zod'
import { oneLine } from '../measure/index.js'

export const mm = (least: number, most: number) => z.number().min(least).max(most)
/** Words a maker writes: on one line, of any script, trimmed, from `least` to `most` characters. */
export const words = (most: number, least = 1) =>
  z.string().transform(oneLine).pipe(z.string().trim().min(least).max(most))
export const name = words(80)
export const id = z.string().regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'small letters, digits and hyphens')
export const colour = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'a colour such as #c9d7d1')

import { z } from 'zod'
import { oneLine } from '../measure/index.js'

export const mm = (min: number, max: number) => z.number().min(min).max(max)
/** Words a maker writes: on one line, of any script, trimmed, from `least` to `most` characters. */
export const words = (max: number, min = 1) =>
  z.string().transform(oneLine).pipe(z.string().trim().min(min).max(max))
export const name = words(80)
export const id = z.string().regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'small letters, digits and hyphens')
export const colour = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'a colour such as #c9d7d1')

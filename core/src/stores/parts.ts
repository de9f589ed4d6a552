import { z } from 'zod'

export const mm = (least: number, most: number) => z.number().min(least).max(most)
export const name = z.string().trim().min(1).max(80)
export const id = z.string().regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'small letters, digits and hyphens')
export const colour = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'a colour such as #c9d7d1')

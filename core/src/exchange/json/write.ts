import type { Design } from '../../design/index.js'

/** Keys in a fixed order at every level, so that the same design is the same bytes. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted)
  if (value === null || typeof value !== 'object') return value
  const entries = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
  return Object.fromEntries(entries.map(([key, inner]) => [key, sorted(inner)]))
}

/** Any plain value as normalised JSON text. */
export const normalised = (value: unknown): string => `${JSON.stringify(sorted(value), null, 2)}\n`

/** A design as the text of a `.drumlin.json` file. */
export const writeDesign = (design: Design): string => normalised(design)

/** Whether a file holds a design of ours. */
export const isOurDesign = (bytes: Uint8Array): boolean =>
  /"format":\s*"drumlin\.design"/.test(new TextDecoder().decode(bytes))

import type { Design } from '@drumlin/core/design'
import type { Chance } from '../random.js'

const STRANGE: readonly unknown[] = [
  null,
  '',
  -1,
  1e308,
  [],
  {},
  true,
  'x'.repeat(100_000),
  [[[[]]]],
  'NaN',
  0,
  { __proto__: 1 },
]

/** A design with something in it that does not belong there. */
export function strangeDesign(c: Chance, design: Design): string {
  const copy = JSON.parse(JSON.stringify(design)) as Record<string, unknown>
  let target: Record<string, unknown> = copy
  for (;;) {
    const keys = Object.keys(target)
    if (keys.length === 0) break
    const key = c.of(keys)
    const inner = target[key]
    if (typeof inner === 'object' && inner !== null && c.below(3) > 0) {
      target = inner as Record<string, unknown>
      continue
    }
    if (c.below(4) === 0) delete target[key]
    else if (Array.isArray(inner) && c.below(2) === 0)
      target[key] = Array.from({ length: 2000 }, () => inner[0] ?? 1)
    else target[key] = c.of(STRANGE)
    break
  }
  if (c.below(10) === 0) copy[c.of(['__proto__', 'constructor', 'extra', 'x'.repeat(5000)])] = 1
  return JSON.stringify(copy)
}

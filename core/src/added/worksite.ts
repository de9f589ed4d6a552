import { STAY, pointMoved } from '../geometry/index.js'
import { panelSheet } from '../kinds/index.js'
import { type Layup, type PanelSheet, clipsHave, liesIn, sheetsOf } from '../master/index.js'
import { keptOf } from './past.js'
import type { Spot } from './place.js'
import type { Asked, Brought, Lying } from './sort.js'

/** Where a part is put on: every state of the work, and the id of the one it is made fast in. */
export interface Worksite {
  readonly layups: readonly Layup[]
  readonly at: string | undefined
}

/** Whether what is put on a piece there lies on one part of it, where the piece lies in parts. */
export function isOnOnePart(sheet: PanelSheet, spot: Spot, pieces: readonly Lying[]): boolean {
  if (sheet.clips.length === 0) return true
  return [spot.at, ...pieces.flatMap((lying) => keptOf(lying, spot))].every((at) =>
    clipsHave(sheet.clips, pointMoved(at, sheet.move)),
  )
}

/**
 * The state that a part is made fast in: the work laid open where its piece lies there, and the part on one part of it;
 * otherwise the piece by itself, a state of the work next to the first.
 */
export function worksiteOf(
  layups: readonly Layup[],
  { host, spots }: Asked,
  { pieces = [], holding }: Brought,
): Worksite {
  const first = layups.find((l) => liesIn(l, host.id))
  if (host.role === 'guide' || (pieces.length === 0 && !holding)) return { layups, at: first?.id }
  const [open, ...others] = layups
  const own = open ? sheetsOf(open, host.id) : []
  if (own.length > 0 && spots.every((spot) => own.some((sheet) => isOnOnePart(sheet, spot, pieces))))
    return { layups, at: open?.id }
  const known = others.find((l) => l.alone && liesIn(l, host.id))
  if (!open || known) return { layups, at: known?.id }
  const name = host.name.toLowerCase()
  const alone: Layup = {
    id: `alone-${host.id}`,
    name: `the ${name} by itself`,
    carrier: host.id,
    sheets: [panelSheet(`${host.id}-alone`, name, host.id, STAY, true)],
    alone: true,
  }
  return { layups: [open, alone, ...others], at: alone.id }
}

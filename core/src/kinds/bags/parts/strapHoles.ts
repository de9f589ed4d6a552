import type { Point } from '../../../geometry/index.js'
import type { Concern } from '../../../master/index.js'

/** Leather left between a turn-back and the first adjustment hole, mm. */
const CLEAR = 4

/** Adjustment holes of a strap: how far the usual one lies from the bar, how far the strap is turned back there, mm. */
interface StrapHoles {
  readonly panelId: string
  readonly at: Point
  readonly usual: number
  readonly back: number
  readonly holes: number
  readonly spacing: number
  /** The setting that says how many there are. */
  readonly field: string
}

/** Holes that reach back into the turn-back, or past the end of the strap; as many as there is room for is offered. */
export function holesOff(strap: StrapHoles): Concern[] {
  const { panelId, at, usual, back, holes, spacing, field } = strap
  const room = usual - back - CLEAR
  const over = ((holes - 1) / 2) * spacing - room
  if (over <= 1e-6) return []
  const max = Math.max(1, Math.floor(1 + (2 * room) / spacing))
  const odd = max % 2 === 0 ? max - 1 : max
  return [
    {
      id: 'holes-off-strap',
      rank: 'stop',
      panelId,
      at,
      what: 'The first adjustment hole lies {over} nearer to the bar than the turn-back leaves room for',
      why: 'It would be punched through the turn-back, or beside the strap. Fewer holes, nearer to each other, or a shorter buckle piece.',
      lengths: { over },
      ...(room > 0 && odd < holes
        ? { remedy: { field, value: odd, said: `${odd === 1 ? 'one hole' : `${odd} holes`}` } }
        : {}),
    },
  ]
}

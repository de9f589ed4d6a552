import { type Hide, leatherAt } from '../stores/index.js'
import type { Asks, Cutting } from './cutting.js'
import type { Change, Edit } from './edit.js'
import type { Design } from './schema.js'

const at = (path: Change['path'], value: unknown): Change => ({ path: ['cutting', ...path], value })
const one = (name: string, path: Change['path'], value: unknown): Edit => ({
  name,
  changes: [at(path, value)],
})

/** A hide of the shelf, copied into the design to be cut from; one of the same id gives way. */
export const takeHide = ({ cutting }: Design, hide: Hide): Edit =>
  one(
    `cut from ${hide.name}`,
    ['hides'],
    cutting.hides.some((h) => h.id === hide.id)
      ? cutting.hides.map((h) => (h.id === hide.id ? hide : h))
      : [...cutting.hides, hide],
  )

/** A hide no longer cut from: what lay on it lies nowhere. */
export const leaveHide = ({ cutting }: Design, id: string): Edit => ({
  name: `leave ${cutting.hides.find((h) => h.id === id)?.name ?? 'a hide'}`,
  changes: [
    at(
      ['hides'],
      cutting.hides.filter((h) => h.id !== id),
    ),
    at(['lying'], Object.fromEntries(Object.entries(cutting.lying).filter(([, l]) => l.hide !== id))),
  ],
})

/** Pieces laid on hides, in place of all that lay there of the same ids. */
export const layPieces = (
  { cutting }: Design,
  name: string,
  lying: Readonly<Record<string, Cutting['lying'][string] | undefined>>,
): Edit =>
  one(
    name,
    ['lying'],
    Object.fromEntries(
      Object.entries({ ...cutting.lying, ...lying }).filter((entry) => entry[1] !== undefined),
    ),
  )

/** One piece laid, moved, turned or locked; taken off where undefined. */
export const layPiece = (name: string, piece: string, lying: Cutting['lying'][string] | undefined): Edit =>
  one(name, ['lying', piece], lying)

/** Pieces left out, or taken in again. */
export function putAside({ cutting }: Design, name: string, pieces: readonly string[], aside: boolean): Edit {
  const others = cutting.aside.filter((id) => !pieces.includes(id))
  const lying = Object.fromEntries(Object.entries(cutting.lying).filter(([id]) => !pieces.includes(id)))
  return {
    name,
    changes: [
      at(['aside'], aside ? [...others, ...pieces] : others),
      ...(aside ? [at(['lying'], lying)] : []),
    ],
  }
}

/** What a piece of a design asks for otherwise than follows; as it follows where undefined. */
export const askOf = (name: string, design: string, panel: string, asks: Asks | undefined): Edit =>
  one(name, ['asks', `${design}/${panel}`], asks)

/** Another design cut along with this one; no longer where there are no copies. */
export const cutAlso = ({ cutting }: Design, also: Cutting['also'][number], copies: number): Edit => {
  const there = cutting.also.some((a) => a.design === also.design)
  const now = { ...also, copies }
  const others = cutting.also.filter((a) => a.design !== also.design)
  const next = there ? cutting.also.map((a) => (a.design === also.design ? now : a)) : [...others, now]
  return one(
    copies > 0 ? `cut ${copies} of ${also.name} as well` : `leave ${also.name}`,
    ['also'],
    copies > 0 ? next : others,
  )
}

/** Thickness is told to a twentieth of a millimetre, as gauges show it. */
export const asGauged = (mm: number): number => Math.round(mm * 20) / 20

/** A leather of the design reckoned with as thick as it was measured on the hide; undefined where it is none of its roles. */
export function leatherAsMeasured({ leathers }: Design, role: string, mean: number): Edit | undefined {
  const leather = leathers[role]
  return (
    leather && {
      name: `${leather.name} as measured on the hide`,
      changes: [{ path: ['leathers', role], value: leatherAt(leather, asGauged(mean)) }],
    }
  )
}

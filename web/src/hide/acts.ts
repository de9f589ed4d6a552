import { layPiece, layPieces, putAside } from '@drumlin/core/design'
import type { Point } from '@drumlin/core/geometry'
import { type Lying, type Wanted, extentOf, laidThere, pieceName, tidy } from '@drumlin/core/hide'
import { useJob } from '../job/job.js'
import type { Laying } from './laying.js'

const fine = (mm: number): number => Math.round(mm * 1000) / 1000

/** What the maker does with pieces on a hide by hand; each a step of the log. */
export function usePieceActs(laying: Laying) {
  const job = useJob()
  const group = () => laying.group.value!
  const named = (w: Wanted): string => pieceName(w, group().wanted)
  const lyingOf = (id: string): Lying | undefined => group().asked.lying.find((l) => l.id === id)
  const isLocked = (id: string): boolean => group().asked.locked.includes(id)

  function put(name: string, { id, hide, turn, x, y }: Lying, locked = isLocked(id)): void {
    const at = { hide, turn, x: fine(x), y: fine(y), ...(locked ? { locked } : {}) }
    laying.edit(layPiece(name, id, at))
  }
  /** A piece that is not locked, where it lies. */
  const free = (w: Wanted): Lying | undefined => (isLocked(w.id) ? undefined : lyingOf(w.id))

  const move = (w: Wanted, to: Lying): void => put(`move the ${named(w)}`, to)
  function nudge(w: Wanted, by: Point): void {
    const lying = free(w)
    if (lying) put(`nudge the ${named(w)}`, { ...lying, x: lying.x + by.x, y: lying.y + by.y })
  }
  /** A quarter turn about its own middle. */
  function turn(w: Wanted): void {
    const lying = free(w)
    if (!lying) return
    const { left, right, top, bottom } = extentOf(laidThere(w.demand.outline, w.over, lying))
    const [mx, my] = [(left + right) / 2, (top + bottom) / 2]
    put(`turn the ${named(w)}`, {
      ...lying,
      turn: tidy(lying.turn + Math.PI / 2),
      x: mx - (lying.y - my),
      y: my + (lying.x - mx),
    })
  }
  function lock(w: Wanted): void {
    const lying = lyingOf(w.id)
    const locked = !isLocked(w.id)
    if (lying) put(`${locked ? 'lock' : 'unlock'} the ${named(w)}`, lying, locked)
  }
  const aside = (w: Wanted): void =>
    laying.edit(putAside(job.design!, `put the ${named(w)} aside`, [w.id], true))
  const takeIn = (w: Wanted): void =>
    laying.edit(putAside(job.design!, `take the ${named(w)} in again`, [w.id], false))
  const off = (w: Wanted): void =>
    laying.edit(layPieces(job.design!, `take the ${named(w)} off the hide`, { [w.id]: undefined }))
  return { named, lyingOf, isLocked, move, nudge, turn, lock, aside, takeIn, off }
}

export type PieceActs = ReturnType<typeof usePieceActs>

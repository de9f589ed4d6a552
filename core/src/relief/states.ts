import type { Derived } from '../derived/index.js'
import { type LaidUp, layUp } from '../layup/index.js'
import { closedFront } from '../space/index.js'
import { remembered } from '../working/index.js'

/** The states that a work is looked at in: those it is laid up in, and of a bag what lies against its front once it is closed. */
export const statesOf = remembered((derived: Derived): readonly LaidUp[] => [
  ...derived.works,
  ...frontOf(derived),
])

function frontOf({ works, master, edges }: Derived): LaidUp[] {
  const [open] = works
  if (!open || works.some((w) => w.layup.id === 'closed')) return []
  const front = closedFront(master, open)
  return front ? [layUp(front, edges)] : []
}

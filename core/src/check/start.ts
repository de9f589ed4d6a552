import { derive } from '../derived/index.js'
import {
  type Design,
  type FreshDesign,
  applyEdit,
  freshDesign,
  setField,
  setLengths,
} from '../design/index.js'
import { findingsOf, fixesOf } from './findings.js'
import type { Iron, Thread } from '../stores/index.js'

/** What a new job may be begun with. */
export interface Shelf {
  readonly irons: readonly Iron[]
  readonly threads: readonly Thread[]
}

/** The iron on the shelf nearest to what was asked that reaches through the work; of those that don't, the longest. */
function reachingIron(design: Design, irons: readonly Iron[]): Iron {
  const thickest = Math.max(0, ...derive(design).runs.map((r) => r.thickest))
  const off = (iron: Iron): number => Math.abs(iron.pitch - design.iron.pitch)
  const reaching = irons.filter((iron) => iron.reach >= thickest)
  if (reaching.length > 0) return reaching.reduce((a, b) => (off(b) < off(a) ? b : a))
  return irons.reduce((a, b) => (b.reach > a.reach ? b : a), design.iron)
}

/** Long runs sewn in as many lengths of thread as make each comfortable. */
function comfortableLengths(design: Design): Design {
  let now = design
  for (let round = 0; round < 4; round += 1) {
    const long = derive(now).runs.filter((r) => r.thread.value / r.lengths > now.habits.comfortable)
    if (long.length === 0) return now
    for (const run of long) {
      const count = Math.min(
        20,
        Math.max(run.lengths + 1, Math.ceil(run.thread.value / now.habits.comfortable)),
      )
      const edited = applyEdit(now, setLengths('lengths of thread', [run.join.id], count))
      if (edited.ok) now = edited.design
    }
  }
  return now
}

/**
 * A new design whose start values follow from each other: an iron that reaches through the leathers it is cut from, and
 * runs sewn in lengths of thread that can be pulled.
 */
export function startingDesign(asked: FreshDesign, shelf: Shelf): Design {
  const fresh = freshDesign(asked)
  const iron = reachingIron(fresh, shelf.irons)
  const edited = applyEdit(fresh, setField('iron', ['iron'], iron))
  return withoutTrouble(comfortableLengths(edited.ok ? edited.design : fresh), shelf)
}

/** So many troubles at the most are mended before the maker looks. */
const MENDED = 4

/** The first way out of whatever would be found in it at once taken, as long as that leaves less to find. */
function withoutTrouble(design: Design, shelf: Shelf): Design {
  let now = design
  const troubles = (of: Design) => findingsOf(derive(of)).filter((f) => f.rank !== 'tip')
  for (let round = 0; round < MENDED; round += 1) {
    const found = troubles(now)
    const better = found.flatMap((f) => {
      const [fix] = fixesOf(f, derive(now), 'mm', shelf)
      const tried = fix && applyEdit(now, fix.edit)
      return tried?.ok && troubles(tried.design).length < found.length ? [tried.design] : []
    })[0]
    if (!better) return now
    now = better
  }
  return now
}

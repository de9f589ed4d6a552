import { type Learnable, type Lessons, type Proposal, withFigures } from '@drumlin/core/learning'
import type { Entry } from '@drumlin/core/ledger'
import { computed, ref, shallowRef, watch } from 'vue'
import { reasonOf } from '../app/reason.js'
import { readMaking } from '../storage/makings.js'
import { askLessons, askMinutes } from './asks.js'
import { useBooks } from './books.js'
import { useOwnWays } from './ownWays.js'

/** Finished makings, and those with times, as learning wants them; the latest sixty tell the pace of now. */
const LATEST = 60
const learnable = (entries: readonly Entry[], firsts: ReadonlySet<string>): Learnable[] =>
  entries
    .filter((e) => e.steps.some((s) => s.done && s.actual > 0))
    .toSorted((a, b) => b.begun.localeCompare(a.begun))
    .slice(0, LATEST)
    .map((e) => ({
      first: firsts.has(e.id),
      figures: e.figures,
      steps: e.steps.filter((s) => s.done && s.actual > 0),
    }))

/** What the makings teach of paces, beside what new jobs are reckoned with; and what it would do to the latest making. */
export function useLearnt() {
  const books = useBooks()
  const ways = useOwnWays()
  const lessons = shallowRef<Lessons>()
  const failed = ref('')
  const waiting = ref(true)
  const makings = computed(() => learnable(books.entries, books.first))
  let asked = 0
  watch(
    [makings, () => ways.figures],
    async ([all, figures]) => {
      if (!ways.read) return
      const mine = (asked += 1)
      waiting.value = true
      try {
        const found = await askLessons(all, figures)
        if (mine === asked) [lessons.value, failed.value] = [found, '']
      } catch (error) {
        if (mine === asked) failed.value = reasonOf(error)
      }
      if (mine === asked) waiting.value = false
    },
    { immediate: true },
  )
  /** “Deckhand’s fold comes to 5 h 10 instead of 6 h 40”, of the design that was made last. */
  const effect = shallowRef<{ readonly name: string; readonly now: number; readonly then: number }>()
  watch(lessons, async (found) => {
    effect.value = undefined
    const [latest] = books.entries.filter((e) => e.steps.length > 0)
    if (!found || found.proposals.length === 0 || !latest) return
    try {
      const making = await readMaking(latest.id)
      if (!making) return
      const now = withFigures(making.design, ways.figures)
      const then = withFigures(
        now,
        Object.fromEntries(found.proposals.flatMap((p) => p.changes.map((c) => [c.path.join('.'), c.then]))),
      )
      const [a, b] = await askMinutes([now, then])
      effect.value = { name: making.design.name, now: a!, then: b! }
    } catch {
      // The proposals stand without it.
    }
  })
  const take = (p: Proposal): Promise<void> => ways.take(p.what, p.changes)
  return { lessons, failed, waiting, makings, effect, take }
}

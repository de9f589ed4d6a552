import { threadFor } from '../workers/thread.js'
import { type Ref, type ShallowRef, ref, shallowRef, watch } from 'vue'
import type { Finding, Fix, FixShelf } from '@drumlin/core/check'
import type { SizeRange } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import type { Units } from '@drumlin/core/measure'
import { reasonOf } from '../app/reason.js'
import { helper, wasStopped } from '../workers/ask.js'
import type { FindingsAsked } from '../workers/findings.worker.js'

/** How long findings are looked for, ms: a hundred times what the largest bag takes. */
const LIMIT = 10_000

/** Whether findings are those of what is on the screen: being looked for, there, or why not. */
export type Looking = { readonly is: 'looking' | 'there' } | { readonly is: 'failed'; readonly why: string }

const NONE: readonly Finding[] = []

const startWorker = (): Worker => threadFor('findings')

/** One for what is found and one for the ways out, which take longer and are dropped when the work changes. */
const finder = helper(startWorker)
const wayFinder = helper(startWorker)
/** How long ways out of all findings together are sought, ms. */
const WAYS_LIMIT = 60_000

/** Ways out of a finding, sought in the other thread. */
export const fixesFor = (
  finding: Finding,
  design: Design,
  unit: Units,
  shelf: FixShelf,
): Promise<readonly Fix[]> => {
  const question: FindingsAsked = { what: 'fixes', finding, design, unit, shelf }
  return wayFinder.ask(question, { limit: WAYS_LIMIT })
}

/**
 * What every size comes to at either end of the leathers' weight, worked out once somebody has asked to see it. Where it can't be, a
 * range is simply not shown: nothing hangs on it.
 */
export function useRanges(design: ShallowRef<Design | undefined>): {
  readonly ranges: ShallowRef<Readonly<Record<string, SizeRange>>>
  readonly wantRanges: () => void
} {
  const ranges = shallowRef<Readonly<Record<string, SizeRange>>>({})
  let wanted = false
  async function look(of: Design | undefined): Promise<void> {
    if (!of) return
    const question: FindingsAsked = { what: 'ranges', design: of }
    const found = await finder.ask<Record<string, SizeRange>>(question, { limit: LIMIT }).catch(() => ({}))
    if (design.value === of) ranges.value = found
  }
  watch(design, (now) => {
    if (wanted) void look(now)
  })
  function wantRanges(): void {
    if (wanted) return
    wanted = true
    void look(design.value)
  }
  return { ranges, wantRanges }
}

/** The findings of whatever `design` is at the moment, looked for away from the screen's own thread; of several states in a row the last. */
export function useFindings(design: ShallowRef<Design | undefined>): {
  readonly findings: ShallowRef<readonly Finding[]>
  readonly looking: Ref<Looking>
  readonly lookAgain: () => void
} {
  const findings = shallowRef<readonly Finding[]>(NONE)
  const looking = ref<Looking>({ is: 'there' })
  let busy = false

  async function look(): Promise<void> {
    const of = design.value
    if (busy || !of) return
    busy = true
    try {
      const question: FindingsAsked = { what: 'findings', design: of }
      const found = await finder.ask<readonly Finding[]>(question, { limit: LIMIT })
      if (design.value?.id === of.id) findings.value = found
      if (design.value === of) looking.value = { is: 'there' }
    } catch (error) {
      if (design.value === of && !wasStopped(error)) {
        findings.value = NONE
        looking.value = { is: 'failed', why: reasonOf(error) }
      }
    } finally {
      busy = false
    }
    if (design.value !== of) void look()
  }

  function lookAgain(): void {
    looking.value = { is: 'looking' }
    void look()
  }

  watch(
    design,
    (now, before) => {
      if (now?.id !== before?.id) findings.value = NONE
      wayFinder.stop()
      if (now) lookAgain()
      else looking.value = { is: 'there' }
    },
    { flush: 'sync' },
  )
  return { findings, looking, lookAgain }
}

import { threadFor } from '../workers/thread.js'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { type Cutting, type Edit, layPieces } from '@drumlin/core/design'
import {
  type Group,
  type LaidOut,
  type LayAsked,
  type Lying,
  USUAL_EFFORT,
  groupsOf,
  judgeOf,
} from '@drumlin/core/hide'
import { reasonOf } from '../app/reason.js'
import { useJob } from '../job/job.js'
import { helper, wasStopped } from '../workers/ask.js'
import type { HideAsked, HideTold } from '../workers/hide.worker.js'

/** How long a layout is sought, ms; by itself it ends far sooner. */
const LIMIT = 600_000

export const startHideWorker = (): Worker => threadFor('hide')

/** What a layout found becomes in the saved design. */
const saved = (lying: readonly Lying[], locked: readonly string[]): Cutting['lying'] =>
  Object.fromEntries(
    lying.map(({ id, hide, turn, x, y }) => [
      id,
      { hide, turn, x, y, ...(locked.includes(id) ? { locked: true } : {}) },
    ]),
  )

/** How much work goes into a layout, by what it is called. */
export const EFFORTS = { short: USUAL_EFFORT, usual: 4 * USUAL_EFFORT, long: 20 * USUAL_EFFORT } as const
export type EffortName = keyof typeof EFFORTS

/** What is cut from which material, and the laying out of it away from the screen’s own thread. */
export function useLaying() {
  const job = useJob()
  const groups = computed(() => (job.derived ? groupsOf(job.derived) : []))
  const of = ref<string>()
  const group = computed(() => groups.value.find((g) => g.of === of.value) ?? groups.value[0])
  const worker = helper(startHideWorker)
  /** How much of the work is done, 0 to 1, and the best found so far; undefined while nothing is sought. */
  const spent = ref<number>()
  const trying = shallowRef<LaidOut>()
  const failed = ref('')
  let seeking: { readonly group: Group; readonly name: string } | undefined

  /** Ready to be asked about what lies there, as long as nothing changes. */
  const judge = computed(() => (group.value ? judgeOf(group.value.asked) : undefined))

  function keep(laid: LaidOut): void {
    const now = seeking
    if (!now || !job.design) return
    const gone = Object.fromEntries(now.group.wanted.map((w) => [w.id, undefined]))
    const lying = saved(laid.lying, now.group.asked.locked)
    job.edit(layPieces(job.design, now.name, { ...gone, ...lying }))
  }
  async function lay(name: string, effort: EffortName, asked: Partial<LayAsked> = {}): Promise<void> {
    if (!group.value) return
    seeking = { group: group.value, name }
    ;[spent.value, failed.value, trying.value] = [0, '', undefined]
    const question: HideAsked = {
      what: 'lay',
      asked: { ...group.value.asked, ...asked },
      effort: EFFORTS[effort],
    }
    const told = (note: unknown): void => {
      const { spent: share, laid } = note as HideTold
      spent.value = share
      trying.value = laid
    }
    try {
      keep(await worker.ask<LaidOut>(question, { limit: LIMIT, told }))
    } catch (error) {
      if (!wasStopped(error)) failed.value = reasonOf(error)
    }
    ended()
  }
  function ended(): void {
    ;[spent.value, trying.value, seeking] = [undefined, undefined, undefined]
  }
  /** Ends the search; the best that was found is kept. */
  function stop(): void {
    if (trying.value) keep(trying.value)
    worker.stop()
    ended()
  }
  watch(
    () => job.current,
    () => worker.stop(),
  )
  onScopeDispose(() => worker.stop())

  const edit = (what: Edit): void => void job.edit(what)
  return { groups, of, group, judge, spent, trying, failed, lay, stop, edit }
}

export type Laying = ReturnType<typeof useLaying>

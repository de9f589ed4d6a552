import { computed, ref, shallowRef, watch } from 'vue'
import { orderSteps } from '@drumlin/core/design'
import { type Reason, type Step, against } from '@drumlin/core/steps'
import { reasonOf } from '../app/reason.js'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import type { Worked } from '../workers/make.worker.js'
import { askSteps } from './asks.js'

/** A step the maker wants elsewhere, and the reasons that stand against it. */
export interface Wanted {
  readonly step: Step
  readonly order: readonly string[]
  readonly reasons: readonly Reason[]
}

/** The order of work of the job on the bench: worked out away from the screen, moved as far as its reasons let it. */
export function useOrdering() {
  const job = useJob()
  const settings = useSettings()
  const worked = shallowRef<Worked>()
  const failed = ref('')
  const waiting = ref(false)
  const wanted = shallowRef<Wanted>()
  let asked = 0
  watch(
    [() => job.settled?.design, () => settings.unit],
    async ([design, unit]) => {
      if (!design) return
      const mine = (asked += 1)
      waiting.value = true
      try {
        const found = await askSteps(design, 1, unit)
        if (mine !== asked) return
        worked.value = found
        failed.value = ''
      } catch (error) {
        if (mine === asked) failed.value = reasonOf(error)
      }
      if (mine === asked) waiting.value = false
    },
    { immediate: true },
  )
  const steps = computed(() => worked.value?.steps.steps ?? [])

  function put(step: Step, order: readonly string[]): void {
    if (!job.design || !worked.value) return
    const reasons = against(order, worked.value.steps.reasons, job.design.work.overruled).filter(
      (r) => r.first === step.id || r.then === step.id,
    )
    if (reasons.length > 0) {
      wanted.value = { step, order, reasons }
      return
    }
    wanted.value = undefined
    void job.edit(orderSteps(job.design, `move the step ${step.says}`, order))
  }
  /** Moves a step so many places; where a reason stands against it, that is said instead. */
  function move(step: Step, by: number): void {
    const order = steps.value.map((s) => s.id)
    const at = order.indexOf(step.id)
    const to = Math.max(0, Math.min(order.length - 1, at + by))
    if (to === at) return
    order.splice(to, 0, ...order.splice(at, 1))
    put(step, order)
  }
  function overrule(): void {
    const now = wanted.value
    wanted.value = undefined
    if (!now || !job.design) return
    const keys = now.reasons.map((r) => `${r.first} > ${r.then}`)
    void job.edit(orderSteps(job.design, `overrule the order of the step ${now.step.says}`, now.order, keys))
  }
  const leave = (): void => void (wanted.value = undefined)
  return { worked, steps, failed, waiting, wanted, move, put, overrule, leave }
}
export type Ordering = ReturnType<typeof useOrdering>

import { onScopeDispose, ref, shallowRef } from 'vue'
import type { Reproduced } from '@drumlin/core/fit'
import { reasonOf } from '../app/reason.js'
import { helper, wasStopped } from '../workers/ask.js'
import type { MeasuredQuestion } from '../workers/measured.worker.js'

/** How long settings are sought, ms; it ends by itself far sooner. */
const LIMIT = 60_000

/** Seeks the settings of a thing that was measured, away from the screen's own thread; can be stopped. */
export function useMeasuring() {
  const worker = helper(
    () => new Worker(new URL('../workers/measured.worker.ts', import.meta.url), { type: 'module' }),
  )
  const found = shallowRef<Reproduced>()
  const seeking = ref(false)
  const failed = ref('')

  function stop(): void {
    worker.stop()
    seeking.value = false
  }
  function forget(): void {
    stop()
    found.value = undefined
    failed.value = ''
  }
  async function seek(question: MeasuredQuestion): Promise<void> {
    forget()
    seeking.value = true
    try {
      found.value = await worker.ask<Reproduced>(question, { limit: LIMIT })
    } catch (error) {
      if (wasStopped(error)) return
      failed.value = reasonOf(error)
    }
    stop()
  }
  onScopeDispose(stop)
  return { found, seeking, failed, seek, stop, forget }
}

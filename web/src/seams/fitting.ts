import { onScopeDispose, ref, shallowRef } from 'vue'
import type { Design } from '@drumlin/core/design'
import type { FitAsked, Fitted } from '@drumlin/core/fit'
import { reasonOf } from '../app/reason.js'
import { helper, wasStopped } from '../workers/ask.js'

/** How long layouts are tried, ms; the search ends by itself far sooner. */
const LIMIT = 120_000

/** Fits a design to its iron away from the screen's own thread; can be stopped. */
export function useFitting() {
  const worker = helper(
    () => new Worker(new URL('../workers/fit.worker.ts', import.meta.url), { type: 'module' }),
  )
  const fitted = shallowRef<Fitted>()
  /** Layouts tried so far; undefined while nothing is sought. */
  const tried = ref<number>()
  const failed = ref('')

  function stop(): void {
    worker.stop()
    tried.value = undefined
  }
  async function seek(design: Design, asked: FitAsked): Promise<void> {
    forget()
    tried.value = 0
    try {
      const told = (note: unknown): void => void (tried.value = Number(note))
      fitted.value = await worker.ask<Fitted>({ design, asked }, { limit: LIMIT, told })
    } catch (error) {
      // Stopped by hand, or by the next question: that one says how far it is.
      if (wasStopped(error)) return
      failed.value = reasonOf(error)
    }
    stop()
  }
  function forget(): void {
    stop()
    fitted.value = undefined
    failed.value = ''
  }
  onScopeDispose(stop)
  return { fitted, tried, failed, seek, stop, forget }
}

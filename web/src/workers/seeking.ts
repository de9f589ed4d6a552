import { onScopeDispose, ref, shallowRef } from 'vue'
import { reasonOf } from '../app/reason.js'
import { helper, wasStopped } from './ask.js'

/** Something sought away from the screen's own thread: its answer, what was told on the way, and why there is none. Can be stopped. */
export function useSeeking<Question, Answer>(start: () => Worker, limit: number) {
  const worker = helper(start)
  const found = shallowRef<Answer>()
  /** What was told last; undefined while nothing is sought. */
  const told = ref<number>()
  const failed = ref('')

  function stop(): void {
    worker.stop()
    told.value = undefined
  }
  function forget(): void {
    stop()
    found.value = undefined
    failed.value = ''
  }
  async function seek(question: Question): Promise<void> {
    forget()
    told.value = 0
    try {
      found.value = await worker.ask<Answer>(question, {
        limit,
        told: (note) => void (told.value = Number(note)),
      })
    } catch (error) {
      // Stopped by hand, or by the next question: that one says how far it is.
      if (wasStopped(error)) return
      failed.value = reasonOf(error)
    }
    stop()
  }
  onScopeDispose(stop)
  return { found, told, failed, seek, stop, forget }
}

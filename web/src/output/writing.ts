import { ref, shallowRef } from 'vue'
import { reasonOf } from '../app/reason.js'
import { wasStopped } from '../workers/ask.js'

/** A file being written: what it is called, a way to stop it; why it could not be made, and that once more. */
export function useWriting() {
  const working = shallowRef<{ readonly label: string; readonly stop: () => void }>()
  const failed = ref('')
  const again = shallowRef<() => unknown>()
  async function write(label: string, act: (signal: AbortSignal) => Promise<void>): Promise<void> {
    const control = new AbortController()
    working.value = { label, stop: () => control.abort() }
    failed.value = ''
    try {
      await act(control.signal)
    } catch (error) {
      // Stopped by hand, or because something newer is asked for.
      if (control.signal.aborted || wasStopped(error)) return
      failed.value = `The ${label} could not be made: ${reasonOf(error)}.`
      again.value = () => write(label, act)
    } finally {
      working.value = undefined
    }
  }
  return { working, failed, again, write }
}
export type Writing = ReturnType<typeof useWriting>

import { ref, shallowRef } from 'vue'
import { reasonOf } from '../app/reason.js'

/** A file being written: what it is called, a way to stop it; why it could not be made, and that once more. */
export function useWriting() {
  const working = shallowRef<{ readonly label: string; readonly stop: () => void }>()
  const failed = ref('')
  const again = shallowRef<() => unknown>()
  async function write(label: string, act: (signal: AbortSignal) => Promise<void>): Promise<void> {
    // What is asked for anew drops what is still being made.
    working.value?.stop()
    const control = new AbortController()
    const own = { label, stop: () => control.abort() }
    working.value = own
    failed.value = ''
    try {
      await act(control.signal)
    } catch (error) {
      if (control.signal.aborted) return
      failed.value = `The ${label} could not be made: ${reasonOf(error)}.`
      again.value = () => write(label, act)
    } finally {
      if (working.value === own) working.value = undefined
    }
  }
  return { working, failed, again, write }
}
export type Writing = ReturnType<typeof useWriting>

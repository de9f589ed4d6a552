import { useTitle, useWakeLock } from '@vueuse/core'
import { computed, ref } from 'vue'

/** A short tone, three times; where the browser gives no sound, nothing. */
function sound(): void {
  const Context = globalThis.AudioContext
  if (!Context) return
  const audio = new Context()
  for (const at of [0, 0.4, 0.8]) {
    const [tone, loud] = [audio.createOscillator(), audio.createGain()]
    tone.frequency.value = 880
    loud.gain.setValueAtTime(0.25, audio.currentTime + at)
    loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.3)
    tone.connect(loud).connect(audio.destination)
    tone.start(audio.currentTime + at)
    tone.stop(audio.currentTime + at + 0.3)
  }
  setTimeout(() => void audio.close(), 2000)
}

const canNotify = (): boolean => 'Notification' in globalThis

/** Says that a wait is over: by sound, in the title of the page, as a notification where it is allowed. */
export function useRinging() {
  const rings = ref<readonly string[]>([])
  const title = useTitle()
  let before: string | null | undefined
  const allowed = ref(canNotify() ? Notification.permission : 'denied')
  function ring(says: readonly string[]): void {
    if (says.length === 0) return
    rings.value = [...rings.value, ...says]
    before ??= title.value
    title.value = `● ${says[0]}`
    try {
      sound()
      if (allowed.value === 'granted') for (const s of says) void new Notification(`The wait is over: ${s}`)
    } catch {
      // Whoever forbids sound still reads it.
    }
  }
  function heard(): void {
    rings.value = []
    if (before !== undefined) title.value = before
    before = undefined
  }
  async function allow(): Promise<void> {
    allowed.value = await Notification.requestPermission()
  }
  const lock = useWakeLock()
  const asks = computed(() => canNotify() && allowed.value === 'default')
  return { rings, ring, heard, allow, asks, lock }
}

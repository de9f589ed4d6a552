import { onBeforeUnmount, onMounted } from 'vue'

const writing = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement ||
  target instanceof HTMLTextAreaElement ||
  target instanceof HTMLSelectElement

const nameOf = (event: KeyboardEvent): string => {
  const mod = event.ctrlKey || event.metaKey
  // Shifted signs such as ? are named by the sign alone.
  const shift = mod && event.shiftKey ? 'shift+' : ''
  return `${mod ? 'mod+' : ''}${shift}${event.key.toLowerCase()}`
}

/** Keys that work anywhere on the screen. Plain ones rest while something is being written. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  function pressed(event: KeyboardEvent): void {
    const name = nameOf(event)
    const action = keys[name]
    if (!action || event.defaultPrevented || (writing(event.target) && !name.startsWith('mod+'))) return
    event.preventDefault()
    action()
  }
  onMounted(() => window.addEventListener('keydown', pressed))
  onBeforeUnmount(() => window.removeEventListener('keydown', pressed))
}

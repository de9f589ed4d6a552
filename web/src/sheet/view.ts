import { Gesture } from '@use-gesture/vanilla'
import { type Ref, computed, onBeforeUnmount, onMounted, ref } from 'vue'
import type { Box } from '@drumlin/core/geometry'

/** Pixels a millimetre takes, at the least and at the most. */
const NEAREST = 40
const FARTHEST = 0.2

/** Pixels kept free above and below all of a sheet: for the width over its first row, and for what lies on it. */
export interface SheetRoom {
  readonly head: number
  readonly foot: number
}

/** Pan and zoom of a sheet: which part of it, in mm, the element shows. */
export function useSheetView(
  element: Ref<HTMLElement | SVGSVGElement | undefined>,
  all: () => Box,
  { head, foot }: SheetRoom = { head: 0, foot: 0 },
) {
  const size = ref({ width: 800, height: 400 })
  const scale = ref(2)
  const left = ref(0)
  const top = ref(0)
  /** Follows the content until the maker moves the sheet. */
  let own = false

  function fit(): void {
    const box = all()
    const [w, h] = [box.right - box.left, box.bottom - box.top]
    scale.value = Math.min(size.value.width / w, Math.max(40, size.value.height - head - foot) / h)
    left.value = box.left - (size.value.width / scale.value - w) / 2
    top.value = box.top - head / scale.value
    own = false
  }
  const follow = (): void => {
    if (!own) fit()
  }
  function zoom(factor: number, x = size.value.width / 2, y = size.value.height / 2): void {
    const next = Math.min(NEAREST, Math.max(FARTHEST, scale.value * factor))
    left.value += x / scale.value - x / next
    top.value += y / scale.value - y / next
    scale.value = next
    own = true
  }
  function pan(dx: number, dy: number): void {
    if (dx === 0 && dy === 0) return
    left.value -= dx / scale.value
    top.value -= dy / scale.value
    own = true
  }
  function show(x: number, y: number): void {
    left.value = x - size.value.width / scale.value / 2
    top.value = y - size.value.height / scale.value / 2
    own = true
  }
  const showAt = ({ x, y }: { x: number; y: number }): void => show(x, y)
  /** Shows a part of the sheet as large as it goes, with a margin round it. */
  function showBox(box: Box): void {
    const [w, h] = [box.right - box.left, box.bottom - box.top]
    const next = 0.88 * Math.min(size.value.width / Math.max(1, w), size.value.height / Math.max(1, h))
    scale.value = Math.min(NEAREST, Math.max(FARTHEST, next))
    show((box.left + box.right) / 2, (box.top + box.bottom) / 2)
  }
  function pressed(event: KeyboardEvent): void {
    if (event.target !== event.currentTarget) return
    const moves: Record<string, () => void> = {
      '+': () => zoom(1.25),
      '=': () => zoom(1.25),
      '-': () => zoom(0.8),
      '0': fit,
      ArrowLeft: () => pan(40, 0),
      ArrowRight: () => pan(-40, 0),
      ArrowUp: () => pan(0, 40),
      ArrowDown: () => pan(0, -40),
    }
    const move = moves[event.key]
    if (!move) return
    event.preventDefault()
    move()
  }
  /** A place of the window in mm of the sheet. */
  function toSheet(clientX: number, clientY: number): { x: number; y: number } {
    const frame = element.value!.getBoundingClientRect()
    return {
      x: left.value + (clientX - frame.left) / scale.value,
      y: top.value + (clientY - frame.top) / scale.value,
    }
  }

  let gesture: Gesture | undefined
  let watcher: ResizeObserver | undefined
  onMounted(() => {
    const target = element.value!
    watcher = new ResizeObserver(([entry]) => {
      size.value = { width: entry!.contentRect.width, height: entry!.contentRect.height }
      follow()
    })
    watcher.observe(target)
    gesture = new Gesture(
      target as HTMLElement,
      {
        onDrag: ({ delta: [dx, dy], event }) => {
          if (!(event.target as Element).closest('[data-handle]')) pan(dx, dy)
        },
        onWheel: ({ event, delta: [, dy] }) => {
          event.preventDefault()
          const frame = target.getBoundingClientRect()
          if (dy !== 0) zoom(Math.exp(-dy / 400), event.clientX - frame.left, event.clientY - frame.top)
        },
        onPinch: ({ movement: [factor], memo, origin: [x, y] }) => {
          const frame = target.getBoundingClientRect()
          const last = (memo as number | undefined) ?? 1
          zoom(factor / last, x - frame.left, y - frame.top)
          return factor
        },
      },
      { drag: { filterTaps: true, keyboardDisplacement: 0 }, wheel: { eventOptions: { passive: false } } },
    )
  })
  onBeforeUnmount(() => {
    gesture?.destroy()
    watcher?.disconnect()
  })
  const viewBox = computed(
    () => `${left.value} ${top.value} ${size.value.width / scale.value} ${size.value.height / scale.value}`,
  )
  return { size, scale, left, top, viewBox, fit, follow, zoom, showAt, showBox, pressed, toSheet }
}

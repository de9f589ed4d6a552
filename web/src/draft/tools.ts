import { useLocalStorage } from '@vueuse/core'
import { type Ref, computed, shallowRef } from 'vue'
import { type Box, type Point, pathBox, pathMoved } from '@drumlin/core/geometry'
import type { Piece, Placed } from '@drumlin/core/reckon'
import { ALL_SHOWN, type Shown, hiddenLayers } from '../sheet/shown.js'

/** What is written on every piece; the very same until it changes, so that no piece is drawn again for another’s sake. */
export const useLettered = (job: () => { readonly name: string; readonly draft: string }) =>
  computed<{ name: string; draft: string }>((before) => {
    const { name, draft } = job()
    return before?.name === name && before.draft === draft ? before : { name, draft }
  })

/** What helps to look at the sheet: what is drawn on the pieces, the chosen piece as large as it goes, a rule. */
export function useSheetTools(chosen: Ref<Placed<Piece> | undefined>, showBox: (box: Box) => void) {
  const shown = useLocalStorage<readonly Shown[]>('sheet-shown', ALL_SHOWN)
  const hidden = computed(() => hiddenLayers(shown.value))
  const boxOf = (placed: Placed<Piece>): Box => pathBox(pathMoved(placed.item.cut, placed.move))
  function toPiece(): void {
    if (chosen.value) showBox(boxOf(chosen.value))
  }
  /** The ends of the rule, while it is laid on the sheet: at first across the chosen piece. */
  const tape = shallowRef<readonly [Point, Point]>()
  function measure(): void {
    if (tape.value || !chosen.value) {
      tape.value = undefined
      return
    }
    const { left, right, top, bottom } = boxOf(chosen.value)
    const y = (top + bottom) / 2
    tape.value = [
      { x: left, y },
      { x: right, y },
    ]
  }
  return { shown, hidden, toPiece, tape, measure }
}

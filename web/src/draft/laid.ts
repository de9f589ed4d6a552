import { useDebounceFn } from '@vueuse/core'
import { type Ref, computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { type Box, type Point, boxUnion, pathBox, pathMoved } from '@drumlin/core/geometry'
import type { Arrangement, Piece, Placed } from '@drumlin/core/reckon'
import { useTrouble } from '../app/trouble.js'
import { type Laid, readLaid, writeLaid } from '../storage/laid.js'
import { keptRows } from './arrange.js'

/** A piece that is dragged is kept where it rests, not at every step, ms. */
const RESTS = 200

export const placedBox = ({ item, move }: Placed<Piece>): Box => pathBox(pathMoved(item.cut, move))

/**
 * How the pieces lie on the sheet: in rows as they show largest, until the maker moves one; then all stay where they lie, on this
 * machine, until they are laid out anew. What is new comes below the rest.
 * @param job the job’s id
 * @param rows the pieces in rows
 */
export function useLaid(job: () => string, pieces: () => readonly Piece[], rows: () => Arrangement<Piece>) {
  const trouble = useTrouble()
  const own = shallowRef<Laid>()
  /** While a point is held everything stays where it lies, so that nothing slips away under the hand. */
  const held = ref(false)
  let before: Arrangement<Piece> | undefined

  watch(
    job,
    async (id) => {
      own.value = undefined
      await trouble.attempt('Where you laid the pieces could not be read', async () => {
        const kept = await readLaid(id)
        if (job() === id) own.value = kept
      })
    },
    { immediate: true },
  )
  const arrangement: Ref<Arrangement<Piece>> = computed(() => {
    if (own.value) {
      const moves = own.value
      const known = pieces().flatMap((item) => (moves[item.id] ? [{ item, move: moves[item.id]! }] : []))
      const box = known.length > 0 ? boxUnion(known.map(placedBox)) : undefined
      const kept = { placed: known, width: box?.right ?? 0, height: box?.bottom ?? 0 }
      before = known.length > 0 ? keptRows(pieces(), kept) : rows()
    } else before = held.value && before ? keptRows(pieces(), before) : rows()
    return before
  })

  /** All of the sheet that is taken: a piece can be laid beyond where rows begin. */
  const lies = computed((): Box => {
    const { placed, width, height } = arrangement.value
    const rows = { left: 0, top: 0, right: width, bottom: height }
    // Rows hold what lies in them, and go on doing so while a point is held.
    return own.value ? boxUnion([rows, ...placed.map(placedBox)]) : rows
  })
  let unkept = false
  async function write(id: string): Promise<void> {
    if (!unkept || job() !== id) return
    unkept = false
    const laid = own.value
    await trouble.attempt('Where the pieces lie could not be kept', () => writeLaid(id, laid))
  }
  const keepSoon = useDebounceFn(write, RESTS)
  onScopeDispose(() => void write(job()))
  function keep(laid: Laid | undefined): void {
    own.value = laid
    unkept = true
    void keepSoon(job())
  }
  /** Moves one piece by so much, mm. */
  function move(id: string, { x, y }: Point): void {
    const lying = Object.fromEntries(arrangement.value.placed.map((p) => [p.item.id, p.move]))
    const from = lying[id]
    if (from) keep({ ...lying, [id]: { ...from, e: from.e + x, f: from.f + y } })
  }
  return {
    arrangement,
    lies,
    held,
    laidByHand: computed(() => own.value !== undefined),
    move,
    anew: () => keep(undefined),
  }
}

import { computed, ref, shallowRef, watch } from 'vue'
import { type Bill, type Trade, earnsAt } from '@drumlin/core/price'
import { reasonOf } from '../app/reason.js'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import { askBills } from '../ledger/asks.js'
import { useBooks } from '../ledger/books.js'
import type { Whose } from '../storage/books.js'

/** For one, for a few, for a market. */
const COUNTS = [1, 4, 12] as const

/** The bills of the job on the bench for several numbers, worked out anew when the design or how prices are made changes. */
export function useBills() {
  const job = useJob()
  const books = useBooks()
  const settings = useSettings()
  const stores = useStores()
  const whose = computed((): Whose => (job.record?.example ? 'examples' : 'own'))
  const trade = computed((): Trade => books.tradeOf(whose.value))
  /** Another number the maker asked for. */
  const other = ref<number>()
  const counts = computed(() =>
    [...new Set([...COUNTS, ...(other.value === undefined ? [] : [other.value])])].toSorted((a, b) => a - b),
  )
  /** It was made before: drawing and learning were paid then. */
  const madeBefore = computed(() =>
    books.all.some((e) => e.job === job.design?.id && e.finished !== undefined),
  )
  const bills = shallowRef<readonly Bill[]>([])
  const failed = ref('')
  const waiting = ref(true)
  let asked = 0
  watch(
    [
      () => job.settled?.design,
      counts,
      trade,
      madeBefore,
      () => stores.all.hides,
      () => settings.unit,
      () => books.read,
    ],
    async ([design, many, how, before, hides, unit, read]) => {
      if (!design || !read) return
      const mine = (asked += 1)
      waiting.value = true
      try {
        const found = await askBills(design, many, { trade: how, hides, first: !before, unit })
        if (mine === asked) [bills.value, failed.value] = [found, '']
      } catch (error) {
        if (mine === asked) failed.value = reasonOf(error)
      }
      if (mine === asked) waiting.value = false
    },
    { immediate: true },
  )
  const billFor = (count: number): Bill | undefined => bills.value.find((b) => b.count === count)
  const earns = (bill: Bill, price: number) => earnsAt(bill, price, trade.value)
  const set = (to: Partial<Trade>): void => void books.setTrade(whose.value, (now) => ({ ...now, ...to }))
  return { whose, trade, counts, other, madeBefore, bills, billFor, earns, failed, waiting, set }
}
export type Bills = ReturnType<typeof useBills>

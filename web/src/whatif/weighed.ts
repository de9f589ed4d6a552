import { type Ref, type ShallowRef, ref, shallowRef } from 'vue'
import type { Finding } from '@drumlin/core/check'
import type { Design } from '@drumlin/core/design'
import type { Figures } from '@drumlin/core/overview'
import type { Bill, Trade } from '@drumlin/core/price'
import type { Hide } from '@drumlin/core/stores'
import { reasonOf } from '../app/reason.js'
import { askBills } from '../ledger/asks.js'
import { useReliefBench } from '../relief/bench.js'
import { wasStopped } from '../workers/ask.js'

/** Figures of a design with its bill, as far as it could be made. */
export interface Weighed extends Figures {
  readonly bill?: Bill
}

/** What a design comes to, and what is found in it. */
interface Answer {
  readonly figures: Weighed
  readonly findings: readonly Finding[]
}

/** Figures of several designs, one after the other in another thread; only the last question is answered. */
export function useWeighed(
  designs: () => readonly Design[],
  pricing: () => { readonly trade: Trade; readonly hides: readonly Hide[]; readonly first: boolean },
): {
  readonly answers: ShallowRef<readonly (Answer | undefined)[]>
  /** Why they could not be worked out; empty where they could. */
  readonly unweighed: Ref<string>
  readonly weigh: () => Promise<void>
} {
  const bench = useReliefBench()
  const answers = shallowRef<readonly (Answer | undefined)[]>([])
  const unweighed = ref('')
  let asked = 0
  async function weigh(): Promise<void> {
    asked += 1
    const number = asked
    unweighed.value = ''
    const all = designs()
    const got: (Answer | undefined)[] = all.map(() => undefined)
    try {
      for (const [i, one] of all.entries()) {
        const { figures, findings } = await bench.figures(one)
        got[i] = { figures, findings }
        if (number !== asked) return
        answers.value = [...got]
      }
      // Bills come after all figures: they ask more.
      for (const [i, one] of all.entries()) {
        const found = got[i]
        const [bill] = await askBills(one, [1], pricing())
        if (number !== asked) return
        if (found && bill) got[i] = { ...found, figures: { ...found.figures, bill } }
        answers.value = [...got]
      }
    } catch (error) {
      if (number === asked && !wasStopped(error)) unweighed.value = reasonOf(error)
    }
  }
  return { answers, unweighed, weigh }
}

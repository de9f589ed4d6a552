import { type Ref, type ShallowRef, ref, shallowRef } from 'vue'
import type { Finding } from '@drumlin/core/check'
import type { Design } from '@drumlin/core/design'
import type { Figures } from '@drumlin/core/overview'
import { reasonOf } from '../app/reason.js'
import { useReliefBench } from '../relief/bench.js'
import { wasStopped } from '../workers/ask.js'

/** What a design comes to, and what is found in it. */
interface Answer {
  readonly figures: Figures
  readonly findings: readonly Finding[]
}

/** Figures of several designs, one after the other in another thread; only the last question is answered. */
export function useWeighed(designs: () => readonly Design[]): {
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
        got[i] = await bench.figures(one)
        if (number !== asked) return
        answers.value = [...got]
      }
    } catch (error) {
      if (number === asked && !wasStopped(error)) unweighed.value = reasonOf(error)
    }
  }
  return { answers, unweighed, weigh }
}

import { type Ref, ref, shallowRef, watch } from 'vue'
import type { Design } from '@drumlin/core/design'
import type { Units } from '@drumlin/core/measure'
import type { OtherWay, SkiveProposal } from '@drumlin/core/relief'
import { wasStopped } from '../workers/ask.js'
import { useReliefBench } from './bench.js'
import { reasonOf } from '../app/reason.js'

/** What is looked for: a thickness along some runs of a design. */
export interface Sought {
  readonly design: Design
  readonly runs: readonly string[]
  readonly wanted: number
  readonly unit: Units
}

/** How long the hand rests before ways are sought, ms. */
const CALM = 250

/** Skives that reach a thickness, and what else would help; sought anew whenever the question changes. */
export function useProposals(sought: Ref<Sought | undefined>) {
  const bench = useReliefBench()
  const proposal = shallowRef<SkiveProposal>()
  const ways = shallowRef<readonly OtherWay[]>()
  const seeking = ref<'skives' | 'ways'>()
  const failed = ref('')
  let resting: ReturnType<typeof setTimeout> | undefined

  async function seek({ design, ...question }: Sought): Promise<void> {
    failed.value = ''
    try {
      seeking.value = 'skives'
      proposal.value = await bench.skives(design, question)
      seeking.value = 'ways'
      ways.value = await bench.ways(design, question)
      seeking.value = undefined
    } catch (error) {
      // Stopped by the next question, or by the maker: either way nothing is wrong.
      if (!wasStopped(error)) {
        failed.value = reasonOf(error)
        seeking.value = undefined
      }
    }
  }
  watch(
    sought,
    (now) => {
      clearTimeout(resting)
      bench.stop()
      proposal.value = undefined
      ways.value = undefined
      seeking.value = now ? 'skives' : undefined
      if (now) resting = setTimeout(() => void seek(now), CALM)
    },
    { immediate: true },
  )
  function stop(): void {
    clearTimeout(resting)
    bench.stop()
    seeking.value = undefined
  }
  return { proposal, ways, seeking, failed, stop }
}

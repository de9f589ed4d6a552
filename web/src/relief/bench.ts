import { threadFor } from '../workers/thread.js'
import { onScopeDispose } from 'vue'
import type { Finding } from '@drumlin/core/check'
import type { Design } from '@drumlin/core/design'
import type { Figures } from '@drumlin/core/overview'
import type { Asked, OtherWay, SkiveProposal, Survey } from '@drumlin/core/relief'
import { helper } from '../workers/ask.js'
import type { ReliefAsked, WantedAlong } from '../workers/relief.worker.js'

type Question = ReliefAsked extends infer Q ? (Q extends unknown ? Omit<Q, 'design'> : never) : never

/** How long the map, proposals or figures of a work may take, ms: many times what the largest takes. */
const LIMIT = 60_000

/** Everything that follows from a design and takes too long for the screen's own thread. */
export function useReliefBench() {
  const worker = helper(() => threadFor('relief'))
  const ask = <T>(design: Design, question: Question): Promise<T> =>
    worker.ask<T>({ design, ...question }, { limit: LIMIT })
  onScopeDispose(worker.stop)

  return {
    stop: worker.stop,
    survey: (design: Design, asked: Asked) => ask<Survey>(design, { what: 'survey', asked }),
    whole: (design: Design) =>
      ask<{ closed: { empty: number; full: number }; weight: Figures['weight'] }>(design, { what: 'whole' }),
    skives: (design: Design, question: WantedAlong) =>
      ask<SkiveProposal>(design, { what: 'skives', ...question }),
    ways: (design: Design, question: WantedAlong) =>
      ask<readonly OtherWay[]>(design, { what: 'ways', ...question }),
    figures: (design: Design) =>
      ask<{ figures: Figures; findings: readonly Finding[] }>(design, { what: 'figures' }),
  }
}

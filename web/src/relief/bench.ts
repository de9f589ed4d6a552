import { onScopeDispose } from 'vue'
import type { Asked, Design, Figures, Finding, OtherWay, SkiveProposal, Survey } from '@drumlin/core'
import { whenDead } from '../workers/dead.js'
import type { ReliefAsked, WantedAlong } from '../workers/relief.worker.js'

type Question = ReliefAsked extends infer Q ? (Q extends unknown ? Omit<Q, 'ask' | 'design'> : never) : never

interface Waiting {
  readonly resolve: (answer: never) => void
  readonly reject: (why: Error) => void
}

/** Everything that follows from a design and takes too long for the screen's own thread. */
export function useReliefBench() {
  let worker: Worker | undefined
  let count = 0
  const waiting = new Map<number, Waiting>()

  function open(): Worker {
    const fresh = new Worker(new URL('../workers/relief.worker.ts', import.meta.url), { type: 'module' })
    fresh.onmessage = ({ data }: MessageEvent<{ ask: number; answer?: never; error?: string }>) => {
      const one = waiting.get(data.ask)
      waiting.delete(data.ask)
      if (data.error === undefined) one?.resolve(data.answer as never)
      else one?.reject(new Error(data.error))
    }
    whenDead(fresh, dead)
    return fresh
  }

  /** A worker that is gone answers nothing: all who wait are told, and what is asked next starts another. */
  function dead(why: Error): void {
    worker?.terminate()
    worker = undefined
    for (const one of waiting.values()) one.reject(why)
    waiting.clear()
  }

  function ask<T>(design: Design, question: Question): Promise<T> {
    worker ??= open()
    count += 1
    const number = count
    const answer = new Promise<T>((resolve, reject) =>
      waiting.set(number, { resolve: resolve as (answer: never) => void, reject }),
    )
    // What the screen holds may be wrapped; the worker gets plain data.
    worker.postMessage(JSON.parse(JSON.stringify({ ask: number, design, ...question })))
    return answer
  }

  /** Drops whatever is being worked out; what is asked next starts afresh. */
  const stop = (): void => dead(new DOMException('stopped', 'AbortError'))
  onScopeDispose(stop)

  return {
    stop,
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

/** Whether a question was dropped, not answered wrongly. */
export const wasStopped = (error: unknown): boolean =>
  error instanceof DOMException && error.name === 'AbortError'

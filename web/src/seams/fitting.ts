import { onScopeDispose, ref, shallowRef } from 'vue'
import type { Design, FitAsked, Fitted } from '@drumlin/core'
import { whenDead } from '../workers/dead.js'

type Answer = { readonly tried?: number; readonly fitted?: Fitted; readonly error?: string }

/** Fits a design to its iron away from the screen's own thread; can be stopped. */
export function useFitting() {
  let worker: Worker | undefined
  const fitted = shallowRef<Fitted>()
  /** Layouts tried so far; undefined while nothing is sought. */
  const tried = ref<number>()
  const failed = ref('')

  function stop(): void {
    worker?.terminate()
    worker = undefined
    tried.value = undefined
  }
  function seek(design: Design, asked: FitAsked): void {
    stop()
    fitted.value = undefined
    failed.value = ''
    tried.value = 0
    const fresh = new Worker(new URL('../workers/fit.worker.ts', import.meta.url), { type: 'module' })
    worker = fresh
    fresh.onmessage = ({ data }: MessageEvent<Answer>) => {
      if (data.tried !== undefined) return void (tried.value = data.tried)
      fitted.value = data.fitted
      failed.value = data.error ?? ''
      stop()
    }
    whenDead(fresh, (why) => {
      failed.value = why.message
      stop()
    })
    // What the screen holds may be wrapped; the worker gets plain data. No end is written as a very large number.
    const plain = JSON.parse(
      JSON.stringify({ design, asked }, (_, v: unknown) => (v === Infinity ? 1e9 : v)),
    ) as object
    fresh.postMessage(plain)
  }
  function forget(): void {
    stop()
    fitted.value = undefined
    failed.value = ''
  }
  onScopeDispose(stop)
  return { fitted, tried, failed, seek, stop, forget }
}

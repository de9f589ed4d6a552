import { NOT_STARTED } from './notStarted.js'
import { reasonOf } from '../app/reason.js'

/** What a worker sends back: a note on the way, the answer, or why there is none. */
export type Sent =
  | { readonly ask: number; readonly note: unknown }
  | { readonly ask: number; readonly answer: unknown }
  | { readonly ask: number; readonly error: string }

export interface AskOptions {
  /** How long an answer is waited for, ms; then the worker is ended. */
  readonly limit: number
  readonly signal?: AbortSignal
  /** Hears what the worker says on the way. */
  readonly told?: (note: unknown) => void
}

/** A question that was dropped, not answered wrongly. */
export const wasStopped = (error: unknown): boolean =>
  error instanceof DOMException && error.name === 'AbortError'

const stopped = (): DOMException => new DOMException('stopped', 'AbortError')

/** An answer that took longer than it may. */
export class TooLong extends Error {
  override readonly name = 'TooLong'
  constructor(ms: number) {
    super(`it took longer than ${Math.round(ms / 1000)} seconds and was stopped`)
  }
}

interface Waiting {
  readonly resolve: (answer: unknown) => void
  readonly reject: (why: Error) => void
  readonly told: ((note: unknown) => void) | undefined
}

/** Somebody in another thread who can be asked things. */
export interface Helper {
  readonly ask: <T>(question: unknown, options: AskOptions) => Promise<T>
  /** Drops whatever is being worked out; what is asked next starts afresh. */
  readonly stop: () => void
}

/**
 * A worker behind questions and answers. Whoever waits hears of every end: the answer, an error, a program that could not be
 * fetched, an answer that can't be read, a limit of time, a stop. After those the next question starts another worker.
 */
export function helper(start: () => Worker): Helper {
  let worker: Worker | undefined
  let count = 0
  const waiting = new Map<number, Waiting>()

  function dead(why: Error): void {
    worker?.terminate()
    worker = undefined
    const all = [...waiting.values()]
    waiting.clear()
    for (const one of all) one.reject(why)
  }

  function open(): Worker {
    const fresh = start()
    fresh.onmessage = ({ data }: MessageEvent<Sent>) => {
      const one = waiting.get(data.ask)
      if ('note' in data) return one?.told?.(data.note)
      waiting.delete(data.ask)
      if ('error' in data) one?.reject(new Error(data.error))
      else one?.resolve(data.answer)
    }
    fresh.onerror = (event) => {
      event.preventDefault()
      dead(new Error(event.message && !event.message.includes(NOT_STARTED) ? reasonOf(event) : NOT_STARTED))
    }
    fresh.onmessageerror = () => dead(new Error('what it answered could not be read'))
    return fresh
  }

  function ask<T>(question: unknown, { limit, signal, told }: AskOptions): Promise<T> {
    if (signal?.aborted) return Promise.reject(stopped())
    count += 1
    const number = count
    let timer: ReturnType<typeof setTimeout> | undefined
    const onAbort = (): void => dead(stopped())
    const answer = new Promise<unknown>((resolve, reject) => {
      waiting.set(number, { resolve, reject, told })
      try {
        worker ??= open()
        post(worker, number, question)
      } catch (error) {
        waiting.delete(number)
        reject(error instanceof Error ? error : new Error(reasonOf(error)))
      }
      timer = setTimeout(() => dead(new TooLong(limit)), limit)
      signal?.addEventListener('abort', onAbort)
    })
    return answer.finally(() => {
      clearTimeout(timer)
      signal?.removeEventListener('abort', onAbort)
    }) as Promise<T>
  }

  return { ask, stop: () => dead(stopped()) }
}

/** What the screen holds may be wrapped, which can't be sent: then it is sent as plain data. */
function post(worker: Worker, ask: number, question: unknown): void {
  try {
    worker.postMessage({ ask, question })
  } catch (error) {
    if (!(error instanceof DOMException) || error.name !== 'DataCloneError') throw error
    worker.postMessage({ ask, question: plain(question) })
  }
}

/** No end is written as a very large number. */
const plain = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_, v: unknown) => (v === Infinity ? 1e9 : v)))

/** Asks once, and ends the worker whatever comes of it. */
export async function askOnce<T>(start: () => Worker, question: unknown, options: AskOptions): Promise<T> {
  const one = helper(start)
  try {
    return await one.ask<T>(question, options)
  } finally {
    one.stop()
  }
}

import { describe, expect, test, vi } from 'vitest'
import { askOnce, helper, wasStopped } from '../src/workers/ask.js'

/** A worker that does what a test tells it to. */
class StandIn {
  onmessage: ((event: { data: unknown }) => void) | null = null
  onerror: ((event: { message: string; preventDefault: () => void }) => void) | null = null
  onmessageerror: (() => void) | null = null
  ended = false
  readonly asked: { ask: number; question: unknown }[] = []
  postMessage(message: { ask: number; question: unknown }): void {
    this.asked.push(message)
  }
  terminate(): void {
    this.ended = true
  }
  says(data: object): void {
    this.onmessage?.({ data })
  }
}

function bench() {
  const workers: StandIn[] = []
  const start = (): Worker => {
    workers.push(new StandIn())
    return workers.at(-1) as unknown as Worker
  }
  return { workers, start, one: helper(start) }
}
const LONG = { limit: 60_000 }

describe('whoever asks a worker hears of every end', () => {
  test('answers come to those who asked, notes on the way', async () => {
    const { workers, one } = bench()
    const notes: unknown[] = []
    const first = one.ask('a', { ...LONG, told: (n) => notes.push(n) })
    const second = one.ask('b', LONG)
    workers[0]!.says({ ask: 2, answer: 'B' })
    workers[0]!.says({ ask: 1, note: 7 })
    workers[0]!.says({ ask: 1, answer: 'A' })
    expect(await Promise.all([first, second])).toEqual(['A', 'B'])
    expect([notes, workers.length, workers[0]!.asked.map((a) => a.question)]).toEqual([[7], 1, ['a', 'b']])
  })
  test.each([
    ['an error it tells', (w: StandIn) => w.says({ ask: 1, error: 'it is too thick' }), 'it is too thick'],
    [
      'a program that is not there',
      (w: StandIn) => w.onerror!({ message: '', preventDefault: () => undefined }),
      'its program could not be started',
    ],
    [
      'a program that breaks off',
      (w: StandIn) => w.onerror!({ message: 'Uncaught oops', preventDefault: () => undefined }),
      'Uncaught oops',
    ],
    ['an answer that can’t be read', (w: StandIn) => w.onmessageerror!(), 'could not be read'],
  ])('%s', async (_, ends, words) => {
    const { workers, one } = bench()
    const asked = one.ask('a', LONG)
    ends(workers[0]!)
    await expect(asked).rejects.toThrow(words)
  })
  test('an answer that takes too long; the next question starts another worker', async () => {
    vi.useFakeTimers()
    const { workers, one } = bench()
    const asked = one.ask('a', { limit: 10_000 })
    const failed = expect(asked).rejects.toThrow('it took longer than 10 seconds and was stopped')
    await vi.advanceTimersByTimeAsync(10_000)
    await failed
    vi.useRealTimers()
    expect(workers[0]!.ended).toBe(true)
    const again = one.ask('b', LONG)
    workers[1]!.says({ ask: 2, answer: 'B' })
    expect(await again).toBe('B')
  })
  test('a stop is told apart from a failure', async () => {
    const { one, workers } = bench()
    const asked = one.ask('a', LONG).catch((error: unknown) => error)
    one.stop()
    expect(wasStopped(await asked)).toBe(true)
    expect(workers[0]!.ended).toBe(true)
    const { start } = bench()
    const stop = new AbortController()
    const once = askOnce(start, 'a', { ...LONG, signal: stop.signal }).catch((error: unknown) => error)
    stop.abort()
    expect(wasStopped(await once)).toBe(true)
  })
  test('a worker that can’t be started at all', async () => {
    const one = helper(() => {
      throw new Error('no workers here')
    })
    await expect(one.ask('a', LONG)).rejects.toThrow('no workers here')
  })
  test('what is wrapped is sent as plain data', async () => {
    const { workers, one } = bench()
    vi.spyOn(StandIn.prototype, 'postMessage').mockImplementationOnce(() => {
      throw new DOMException('', 'DataCloneError')
    })
    const asked = one.ask({ most: Infinity, list: [1] }, LONG)
    expect(workers[0]!.asked[0]!.question).toEqual({ most: 1e9, list: [1] })
    workers[0]!.says({ ask: 1, answer: 1 })
    await asked
  })
})

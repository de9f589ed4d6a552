import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, test, vi } from 'vitest'
import { reloadWhenOlder } from '../src/app/older.js'
import { failureOf } from '../src/app/reason.js'
import { useTrouble } from '../src/app/trouble.js'

beforeEach(() => setActivePinia(createPinia()))

test('what can’t be kept is said with what helps and the file; it goes when it is done after all', async () => {
  const trouble = useTrouble()
  const write = vi.fn().mockRejectedValueOnce(new DOMException('', 'QuotaExceededError')).mockResolvedValue(1)
  const keep = { label: 'Keep the file', save: () => undefined }
  expect(await trouble.attempt('The draft was not kept', write, keep)).toBe(false)
  expect(trouble.all).toMatchObject([
    {
      what: 'The draft was not kept',
      why: 'the storage that the browser gives this page is full',
      help: expect.stringContaining('make room'),
      keep,
    },
  ])
  await trouble.all[0]!.again!()
  expect(trouble.all).toEqual([])
  expect(write).toHaveBeenCalledTimes(2)
})

test('the same trouble twice is told once', async () => {
  const trouble = useTrouble()
  const fail = () => Promise.reject(new Error('no'))
  await trouble.attempt('One', fail)
  await trouble.attempt('One', fail)
  await trouble.attempt('Two', fail)
  expect(trouble.all.map((t) => t.what)).toEqual(['One', 'Two'])
})

test('no failure is without words', () => {
  for (const error of [new DOMException('', 'Nameless'), new Error(''), undefined, null, {}, '', 0]) {
    const { why, help } = failureOf(error)
    expect(why.trim()).not.toBe('')
    expect(help.trim()).not.toBe('')
  }
})

test('a page whose parts are of an older build loads itself again once, and not while something waits', () => {
  const [kept, listeners] = [new Map<string, string>(), new Map<string, (event: Event) => void>()]
  const reload = vi.fn()
  vi.stubGlobal('sessionStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  })
  vi.stubGlobal('location', { reload })
  vi.stubGlobal('addEventListener', (name: string, heard: (event: Event) => void) =>
    listeners.set(name, heard),
  )
  const tell = vi.fn()
  let waits = true
  reloadWhenOlder(() => waits, tell)
  const missing = (): void =>
    listeners.get('vite:preloadError')!(new Event('vite:preloadError', { cancelable: true }))
  missing()
  expect([reload.mock.calls.length, tell.mock.calls.length]).toEqual([0, 1])
  waits = false
  missing()
  missing()
  expect([reload.mock.calls.length, tell.mock.calls.length]).toEqual([1, 2])
  vi.unstubAllGlobals()
})

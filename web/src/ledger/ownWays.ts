import type { Change, Figures } from '@drumlin/core/learning'
import { PACE_GROUPS, SET_UP } from '@drumlin/core/learning'
import { HABITS } from '@drumlin/core/sewing'
import { WORK_WAYS } from '@drumlin/core/work'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useTrouble } from '../app/trouble.js'
import { today } from '../make/makings.js'
import type { Whose } from '../storage/books.js'
import { useBooks } from './books.js'
import { useStores } from '../job/stores.js'
import { readSetting, writeSetting } from '../storage/settings.js'

/** Figures that were taken over from makings, and when; each can be given back. */
export interface Taken {
  readonly what: string
  readonly day: string
  readonly changes: readonly Change[]
}

const keyOf = (path: readonly string[]): string => path.join('.')
const PATHS = [SET_UP, ...PACE_GROUPS.flatMap((g) => [...g.times, ...g.paces])]

/** What is usual, before anything was learnt. */
const usualOf = (path: readonly string[]): number | undefined => {
  const key = path.at(-1)!
  const from: Readonly<Record<string, unknown>> | undefined =
    path[0] === 'habits' ? HABITS.usual : path[0] === 'work' ? WORK_WAYS.usual : undefined
  const value = from?.[key]
  return typeof value === 'number' ? value : undefined
}

/** The workshop’s own figures: what new jobs are reckoned with, taken from makings or given back. */
export const useOwnWays = defineStore('own-ways', () => {
  const trouble = useTrouble()
  const stores = useStores()
  const books = useBooks()
  const taken = shallowRef<readonly Taken[]>([])
  const read = ref(false)
  async function load(): Promise<void> {
    await trouble.attempt('Your own figures could not be read', async () => {
      taken.value = (await readSetting<readonly Taken[]>('ways.taken')) ?? []
      read.value = true
    })
  }
  const own = computed((): Figures =>
    Object.fromEntries(taken.value.flatMap((t) => t.changes.map((c) => [keyOf(c.path), c.then] as const))),
  )
  const figures = computed((): Figures =>
    Object.fromEntries(
      PATHS.flatMap((path) => {
        const machine = path[0] === 'machine' ? stores.all.machines[0]?.speed : undefined
        const value = own.value[keyOf(path)] ?? usualOf(path) ?? machine
        return value === undefined ? [] : [[keyOf(path), value] as const]
      }),
    ),
  )
  async function keep(to: readonly Taken[]): Promise<void> {
    taken.value = to
    await trouble.attempt('Your own figures hold only until this page is closed', () =>
      writeSetting('ways.taken', JSON.parse(JSON.stringify(to)) as unknown),
    )
  }
  /** Puts a figure of a leather or of how prices are made where it stands; figures of a design are put in by whoever reads `own`. */
  async function put([where, ...path]: readonly string[], value: number): Promise<void> {
    if (where === 'trade') await books.setTrade(path[0] as Whose, (t) => ({ ...t, [path[1]!]: value }))
    if (where !== 'leather') return
    const [id, key, inner] = path
    const leather = stores.all.leathers.find((l) => l.id === id)
    if (!leather || key === undefined) return
    const before = leather[key as keyof typeof leather]
    await stores.put('leathers', {
      ...leather,
      [key]: inner === undefined ? value : { ...(before as object), [inner]: value },
    })
  }
  async function take(what: string, changes: readonly Change[]): Promise<void> {
    for (const { path, then } of changes) await put(path, then)
    await keep([...taken.value, { what, day: today(), changes }])
  }
  /** Gives back what was taken, as it was before; what was taken later of the same stays. */
  async function giveBack(one: Taken): Promise<void> {
    for (const { path, now } of one.changes) await put(path, now)
    await keep(taken.value.filter((t) => t !== one))
  }
  return { taken, read, own, figures, load, take, giveBack }
})

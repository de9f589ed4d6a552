import { type Making, type Planned, makingOf } from '@drumlin/core/makings'
import type { Design } from '@drumlin/core/design'
import { type Hours, USUAL_HOURS, hoursSchema } from '@drumlin/core/schedule'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import { type UnreadableMaking, addMaking, changeMaking, listMakings } from '../storage/makings.js'
import { readSetting, writeSetting } from '../storage/settings.js'
import type { Worked } from '../workers/make.worker.js'
import { freeId } from '../shelf/ids.js'
import { askRecord } from '../ledger/asks.js'
import { useBooks } from '../ledger/books.js'
import { readTrade } from '../storage/books.js'
import { askSteps } from './asks.js'

/** What was already written into a record, which a plan that comes later leaves alone. */
const written = ({ client, wishes, mistakes, finished, has }: Making['record']) => ({
  wishes,
  mistakes,
  has,
  ...(client === undefined ? {} : { client }),
  ...(finished === undefined ? {} : { finished }),
})

/** Today as the machine's calendar has it. */
export const today = (): string => {
  const now = new Date()
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()]
    .map((n, i) => String(n).padStart(i === 0 ? 4 : 2, '0'))
    .join('-')
}

/** What is being made, whatever job it came from, and when there is somebody at the bench. */
export const useMakings = defineStore('makings', () => {
  const settings = useSettings()
  const trouble = useTrouble()
  const books = useBooks()
  const all = shallowRef<readonly Making[]>([])
  const unreadable = shallowRef<readonly UnreadableMaking[]>([])
  const hours = shallowRef<Hours>(USUAL_HOURS)
  const read = ref(false)
  /** Steps worked out, by making, for the design and number they are of. */
  const worked = shallowRef<ReadonlyMap<string, Worked & { readonly of: string }>>(new Map())

  /** How many changes of each were asked for: what is kept is shown once nothing newer is on its way. */
  const asked = new Map<string, number>()
  async function load(): Promise<void> {
    const [known, changes] = [new Set(all.value.map((m) => m.id)), new Map(asked)]
    const found = await listMakings()
    // What was begun or done meanwhile is newer than what was read.
    const newer = all.value.filter(
      (m) => !known.has(m.id) || (asked.get(m.id) ?? 0) > (changes.get(m.id) ?? 0),
    )
    const ids = new Set(newer.map((m) => m.id))
    all.value = [...newer, ...found.makings.filter((m) => !ids.has(m.id))]
    unreadable.value = found.unreadable
    const kept = hoursSchema.safeParse(await readSetting('hours'))
    if (kept.success) hours.value = kept.data
    read.value = true
    // Those begun before there was a ledger.
    for (const making of found.makings) await planKept(making).catch(() => undefined)
  }
  const show = (making: Making): void => {
    all.value = all.value.map((m) => (m.id === making.id ? making : m))
  }

  async function make(
    design: Design,
    asked: {
      readonly count: number
      readonly forWhom: string
      readonly due?: string
      readonly example: boolean
      readonly client?: string
    },
  ): Promise<Making> {
    const { client, ...rest } = asked
    const making = makingOf(structuredClone(design), {
      id: freeId(
        `making-${Date.now().toString(36)}`,
        all.value.map((m) => m.id),
      ),
      begun: today(),
      ...rest,
    })
    const known = client === undefined ? making : { ...making, record: { ...making.record, client } }
    await addMaking(known)
    all.value = [known, ...all.value]
    await planKept(known)
    return known
  }
  /** Its steps are written down as they are planned now, so that what it takes can be laid beside them whatever comes later. */
  async function planKept(making: Making): Promise<void> {
    if (making.record.plan.length > 0) return
    const trade = await readTrade(making.example ? 'examples' : 'own')
    const record = await askRecord(making, trade)
    await change(making.id, (m) =>
      m.record.plan.length > 0 ? m : { ...m, record: { ...record, ...written(m.record) } },
    )
  }
  /** Done at once on the screen, kept as soon as it can be; where it can't, that is said. */
  async function change(id: string, to: (now: Making) => Making): Promise<void> {
    const now = all.value.find((m) => m.id === id)
    if (!now) return
    const mine = (asked.get(id) ?? 0) + 1
    asked.set(id, mine)
    show(to(now))
    await trouble.attempt('What you did at the bench could not be kept', async () => {
      const kept = await changeMaking(id, to)
      if (asked.get(id) === mine) show(kept)
    })
  }
  async function remove(id: string): Promise<void> {
    const making = all.value.find((m) => m.id === id)
    if (making) await books.forgetMaking(making)
    all.value = all.value.filter((m) => m.id !== id)
  }
  function setHours(to: Hours): void {
    hours.value = to
    void trouble.attempt('Your hours hold only until this page is closed', () => writeSetting('hours', to))
  }

  /** The steps of a making, asked for once for each state of it. */
  async function stepsFor(making: Making): Promise<Worked> {
    const of = `${making.count} ${settings.unit} ${JSON.stringify(making.design.work)}`
    const known = worked.value.get(making.id)
    if (known?.of === of) return known
    const fresh = { ...(await askSteps(making.design, making.count, settings.unit)), of }
    worked.value = new Map(worked.value).set(making.id, fresh)
    return fresh
  }
  const planned = computed((): readonly Planned[] =>
    all.value.flatMap((making) => {
      const found = worked.value.get(making.id)
      return found ? [{ making, steps: found.steps }] : []
    }),
  )
  return { all, unreadable, hours, read, worked, planned, load, make, change, remove, setHours, stepsFor }
})

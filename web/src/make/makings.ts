import { type Making, type Planned, makingOf } from '@drumlin/core/makings'
import type { Design } from '@drumlin/core/design'
import { type Hours, USUAL_HOURS, hoursSchema } from '@drumlin/core/schedule'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import {
  type UnreadableMaking,
  addMaking,
  changeMaking,
  listMakings,
  removeMaking,
} from '../storage/makings.js'
import { readSetting, writeSetting } from '../storage/settings.js'
import type { Worked } from '../workers/make.worker.js'
import { freeId } from '../shelf/ids.js'
import { askSteps } from './asks.js'

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
  const all = shallowRef<readonly Making[]>([])
  const unreadable = shallowRef<readonly UnreadableMaking[]>([])
  const hours = shallowRef<Hours>(USUAL_HOURS)
  const read = ref(false)
  /** Steps worked out, by making, for the design and number they are of. */
  const worked = shallowRef<ReadonlyMap<string, Worked & { readonly of: string }>>(new Map())

  async function load(): Promise<void> {
    const found = await listMakings()
    all.value = found.makings
    unreadable.value = found.unreadable
    const kept = hoursSchema.safeParse(await readSetting('hours'))
    if (kept.success) hours.value = kept.data
    read.value = true
  }
  const show = (making: Making): void => {
    all.value = all.value.map((m) => (m.id === making.id ? making : m))
  }

  async function make(
    design: Design,
    asked: { readonly count: number; readonly forWhom: string; readonly due?: string },
  ): Promise<Making> {
    const making = makingOf(structuredClone(design), {
      id: freeId(
        `making-${Date.now().toString(36)}`,
        all.value.map((m) => m.id),
      ),
      begun: today(),
      ...asked,
    })
    await addMaking(making)
    all.value = [making, ...all.value]
    return making
  }
  /** How many changes of each were asked for: what is kept is shown once nothing newer is on its way. */
  const asked = new Map<string, number>()
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
    await removeMaking(id)
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

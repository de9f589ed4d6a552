import { useIntervalFn, useTimestamp } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import {
  clockMinutes,
  corrected,
  endedIfDone,
  finished,
  isDone,
  isRunning,
  nextStep,
  noted,
  openCalls,
  paused,
  photographed,
  reopened,
  ringing,
  rung,
  seen,
  started,
  stepOf,
  tickOf,
  ticked,
} from '@drumlin/core/makings'
import type { LastCall, Step } from '@drumlin/core/steps'
import { reasonOf } from '../app/reason.js'
import { freeId } from '../shelf/ids.js'
import { addPhoto } from '../storage/makings.js'
import { today, useMakings } from '../make/makings.js'
import type { Worked } from '../workers/make.worker.js'
import { shrunk } from './photo.js'

/** How often the clock is kept, ms. */
const BEAT = 15_000

/** One making at the bench: the step one is at, its gate, clock, notes and what waits. */
export function useAtBench(id: () => string | undefined) {
  const makings = useMakings()
  const now = useTimestamp({ interval: 1000 })
  const making = computed(() => makings.all.find((m) => m.id === id()))
  const worked = shallowRef<Worked>()
  const failed = ref('')
  const at = ref<string>()
  watch(
    () => making.value?.id,
    async () => {
      worked.value = undefined
      at.value = undefined
      if (!making.value) return
      try {
        worked.value = await makings.stepsFor(making.value)
      } catch (error) {
        failed.value = reasonOf(error)
      }
    },
    { immediate: true },
  )
  const steps = computed((): readonly Step[] => worked.value?.steps.steps ?? [])
  const step = computed((): Step | undefined => {
    if (!making.value || !worked.value) return undefined
    return (
      steps.value.find((s) => s.id === at.value) ??
      nextStep(making.value, worked.value.steps) ??
      steps.value.at(-1)
    )
  })
  const number = computed(() => (step.value ? steps.value.indexOf(step.value) + 1 : 0))
  const done = computed(
    () => making.value !== undefined && step.value !== undefined && isDone(making.value, step.value.id),
  )
  const allDone = computed(
    () =>
      making.value !== undefined &&
      steps.value.length > 0 &&
      steps.value.every((s) => isDone(making.value!, s.id)),
  )
  const calls = computed((): readonly LastCall[] =>
    making.value && step.value && worked.value && !done.value
      ? openCalls(making.value, step.value.id, worked.value.steps)
      : [],
  )
  const kept = computed(() => (making.value && step.value ? stepOf(making.value, step.value.id) : undefined))
  const clock = computed(() =>
    making.value?.clock?.step === step.value?.id ? making.value?.clock : undefined,
  )
  const minutes = computed(() =>
    clock.value ? clockMinutes(clock.value, now.value) : (kept.value?.minutes ?? 0),
  )
  const running = computed(() => isRunning(clock.value, now.value))

  const change = (to: Parameters<typeof makings.change>[1]): Promise<void> =>
    making.value ? makings.change(making.value.id, to) : Promise.resolve()
  useIntervalFn(() => void (running.value && change((m) => seen(m, Date.now()))), BEAT)

  function begin(): void {
    const here = step.value
    if (here) void change((m) => started(m, here.id, Date.now()))
  }
  const pause = (): void => void change((m) => paused(m, Date.now()))
  /** The step is done, and the next one is taken up: its clock runs as soon as nothing stands before it. */
  function onward(): void {
    const here = step.value
    if (!here || calls.value.length > 0) return
    const [was, next] = [done.value, steps.value[number.value]]
    at.value = next?.id ?? here.id
    const all = worked.value?.steps
    if (!was && all) void change((m) => endedIfDone(finished(m, here, Date.now()), all, today()))
    if (next && !done.value && calls.value.length === 0) begin()
  }
  function back(): void {
    const before = steps.value[number.value - 2]
    if (!before) return
    pause()
    at.value = before.id
  }
  /** Left undone for now: what it would be too late for is asked then. */
  function skip(): void {
    const next = steps.value[number.value]
    if (next) goTo(next.id)
  }
  const again = (): void => void (step.value && change((m) => reopened(m, step.value!.id)))
  const goTo = (to: string): void => {
    pause()
    at.value = to
  }
  const tick = (call: LastCall): void =>
    void (step.value && change((m) => ticked(m, tickOf(step.value!.id, call), true)))
  const note = (sort: 'note' | 'not so', text: string): void =>
    void (step.value && text.trim() && change((m) => noted(m, step.value!.id, sort, text.trim(), Date.now())))
  const correct = (to: number): void => void (step.value && change((m) => corrected(m, step.value!.id, to)))

  /** Keeps a photograph with the step; says why not where it is none. */
  async function photograph(file: File): Promise<string> {
    const [here, of] = [step.value, making.value]
    if (!here || !of) return ''
    const small = await shrunk(file)
    if (!small.ok) return small.why
    const photo = freeId(`photo-${Date.now().toString(36)}`, stepOf(of, here.id).photos)
    try {
      await addPhoto({ id: photo, making: of.id, step: here.id, taken: Date.now(), picture: small.picture })
    } catch (error) {
      return `The photograph could not be kept: ${reasonOf(error)}`
    }
    await change((m) => photographed(m, here.id, photo))
    return ''
  }
  /** Waits of every making that are over now, each told once. */
  function overNow(): string[] {
    return makings.all.flatMap((m) => {
      const over = ringing(m, now.value)
      if (over.length > 0) void makings.change(m.id, (x) => rung(x, now.value))
      return over.map((t) => t.says)
    })
  }
  const waits = computed(() =>
    makings.all.flatMap((m) =>
      m.timers
        .filter((t) => t.until > now.value)
        .map((t) => ({ says: t.says, left: Math.ceil((t.until - now.value) / 1000), of: m.design.name })),
    ),
  )
  return {
    making,
    worked,
    failed,
    steps,
    step,
    number,
    done,
    allDone,
    calls,
    kept,
    minutes,
    running,
    waits,
    now,
    begin,
    pause,
    onward,
    back,
    skip,
    again,
    goTo,
    tick,
    note,
    correct,
    photograph,
    overNow,
  }
}
export type AtBench = ReturnType<typeof useAtBench>

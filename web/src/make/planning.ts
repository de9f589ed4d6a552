import { computed, ref, shallowRef, watch } from 'vue'
import { evenings, toDo } from '@drumlin/core/makings'
import { type Plan, dayNumber, instant, readHours } from '@drumlin/core/schedule'
import { reasonOf } from '../app/reason.js'
import { askPlan } from './asks.js'
import { today, useMakings } from './makings.js'

/** The evenings of all that is being made, proposed anew whenever something is done, ordered or put off. */
/** `example`: whether the examples’ makings are planned, or the maker’s own; never both over the same evenings. */
export function usePlanning(example: () => boolean) {
  const makings = useMakings()
  const plan = shallowRef<Plan>()
  const failed = ref('')
  const open = computed(() =>
    makings.planned.filter(
      ({ making, steps }) =>
        making.example === example() && steps.steps.some((s) => !making.steps[s.id]?.done),
    ),
  )
  watch(
    () => makings.all,
    async (all) => {
      try {
        for (const m of all) await makings.stepsFor(m)
      } catch (error) {
        failed.value = reasonOf(error)
      }
    },
    { immediate: true },
  )
  let asked = 0
  watch(
    [open, () => makings.hours],
    async ([todos, hours]) => {
      const mine = (asked += 1)
      const now = new Date()
      const at = instant(dayNumber(today())!, now.getHours() * 60 + now.getMinutes())
      try {
        const found = await askPlan(
          todos.map((m) => toDo(m, { at, ms: now.getTime() })),
          hours,
          at,
        )
        if (mine === asked) [plan.value, failed.value] = [found, '']
      } catch (error) {
        if (mine === asked) failed.value = reasonOf(error)
      }
    },
    { immediate: true },
  )
  const shown = computed(() => (plan.value ? evenings(plan.value, makings.planned) : []))
  const hoursWrong = ref('')
  function writeHours(text: string): void {
    const read = readHours(text)
    hoursWrong.value = read.ok ? '' : read.why
    if (read.ok) makings.setHours({ ...read.hours, off: makings.hours.off })
  }
  /** A day without the bench, or with it again. */
  function setOff(day: string, off: boolean): void {
    const days = makings.hours.off.filter((d) => d !== day)
    makings.setHours({ ...makings.hours, off: off ? [...days, day].sort() : days })
  }
  return { setOff, plan, failed, open, shown, hoursWrong, writeHours }
}
export type Planning = ReturnType<typeof usePlanning>

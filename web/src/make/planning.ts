import { computed, ref, shallowRef, watch } from 'vue'
import { evenings, toDo } from '@drumlin/core/makings'
import { type Plan, dayNumber, instant, readHours } from '@drumlin/core/schedule'
import { reasonOf } from '../app/reason.js'
import { askPlan } from './asks.js'
import { today, useMakings } from './makings.js'

/** The evenings of all that is being made, proposed anew whenever something is done, ordered or put off. */
export function usePlanning() {
  const makings = useMakings()
  const from = ref(today())
  const plan = shallowRef<Plan>()
  const failed = ref('')
  const open = computed(() =>
    makings.planned.filter(({ making, steps }) => steps.steps.some((s) => !making.steps[s.id]?.done)),
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
    [open, () => makings.hours, from],
    async ([todos, hours, day]) => {
      const number = dayNumber(day)
      if (number === undefined) return
      const mine = (asked += 1)
      const now = new Date()
      const begun = day === today() ? now.getHours() * 60 + now.getMinutes() : 0
      const at = instant(number, begun)
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
  return { from, plan, failed, open, shown, hoursWrong, writeHours }
}
export type Planning = ReturnType<typeof usePlanning>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { supplySaid } from '@drumlin/core/exchange/work'
import { type Evening, type EveningItem, putTo, timesOf, whyNotSooner } from '@drumlin/core/makings'
import { dayAt, dayNumber, dayOf, hoursWritten } from '@drumlin/core/schedule'
import { useSettings } from '../app/settings.js'
import MeasureField from '../sentence/MeasureField.vue'
import NameField from '../sentence/NameField.vue'
import EveningSteps from './EveningSteps.vue'
import PlanChart from './PlanChart.vue'
import { useMakings } from './makings.js'
import type { Planning } from './planning.js'
import { minutesSaid } from '../parts/time.js'
import { countSaid, daySaid } from './words.js'

/** Evening by evening: what, when, what to lay out and what has to be in the house. */
const props = defineProps<{ planning: Planning }>()
const settings = useSettings()
const makings = useMakings()
const shown = computed(() => props.planning.shown.value)
const many = computed(() => new Set(shown.value.flatMap((e) => e.items.map((i) => i.making.id))).size > 1)
const ends = computed(() =>
  props.planning.open.value.map(({ making, steps }) => {
    const placed = props.planning.plan.value?.placed ?? []
    const end = props.planning.plan.value?.done[making.id]
    const name = `${making.count} × ${making.design.name}`
    if (end === undefined) return `${name} does not come to an end within these hours.`
    const due = making.due === undefined ? undefined : dayNumber(making.due)
    const day = dayNumber(dayAt(end))!
    const slack =
      due === undefined
        ? ''
        : due >= day
          ? `, ${due - day} days before it is due`
          : `, ${day - due} days too late`
    if (due === undefined || due >= day) return `${name} is done on ${daySaid(dayAt(end))}${slack}.`
    const fits = placed.filter(
      (p) => p.todo === making.id && !p.goesOn && dayNumber(dayAt(p.from))! <= due,
    ).length
    return `${name} is done on ${daySaid(dayAt(end))}${slack}; until then ${fits} of ${countSaid(steps.steps.length, 'step', 'steps')} fit.`
  }),
)
const tooLong = computed(() =>
  (props.planning.plan.value?.tooLong ?? []).map(({ todo, work, minutes }) => {
    const step = makings.planned.find((m) => m.making.id === todo)?.steps.steps.find((s) => s.id === work)
    return `${step?.says ?? work} takes ${minutesSaid(minutes)} in one go, and no sitting is that long.`
  }),
)
/** Why a step that was dragged could not be put there. */
const stays = ref('')
function put(item: EveningItem, day: string): void {
  stays.value = ''
  if (day === dayAt(item.from)) return
  const why = day < dayAt(item.from) && whyNotSooner(item, day, shown.value, makings.planned)
  if (why) stays.value = `“${item.step.says}” can’t come on ${daySaid(day)}: ${why}.`
  else void makings.change(item.making.id, (m) => putTo(m, item.work, day))
}
/** Put off to the day after this evening, or taken up again when it comes. */
const later = (item: EveningItem, evening: Evening): void => put(item, dayOf(dayNumber(evening.day)! + 1))
const soon = (item: EveningItem): void =>
  void makings.change(item.making.id, (m) => putTo(m, item.work, undefined))
</script>

<template>
  <div class="evenings">
    <p class="sentence">
      At the bench
      <NameField
        :value="hoursWritten(makings.hours)"
        label="hours at the bench"
        :max="200"
        :invalid="planning.hoursWrong.value !== ''"
        @change="planning.writeHours"
      />; nothing shorter than
      <MeasureField
        :value="makings.hours.least"
        label="shortest piece of a step, minutes"
        sort="count"
        :min="1"
        :max="240"
        :step="5"
        @change="(least) => makings.setHours({ ...makings.hours, least })"
      />
      minutes is begun at the end of an evening.
    </p>
    <p v-if="makings.hours.off.length > 0">
      Not on
      <template v-for="(d, i) in makings.hours.off" :key="d"
        >{{ i > 0 ? ', ' : '' }}{{ daySaid(d) }} (<v-btn
          variant="plain"
          class="link"
          :aria-label="`At the bench again on ${daySaid(d)}`"
          @click="planning.setOff(d, false)"
          >after all</v-btn
        >)</template
      >.
    </p>
    <p v-if="planning.hoursWrong.value" role="alert" class="wrong">{{ planning.hoursWrong.value }}</p>
    <p v-if="planning.failed.value" role="alert" class="wrong">
      The evenings could not be planned: {{ planning.failed.value }}.
    </p>
    <p v-if="planning.open.value.length === 0">
      Nothing is being made: “Make it” says how many and by when, and the evenings follow.
    </p>
    <template v-else>
      <ul class="ends">
        <li v-for="e in ends" :key="e">{{ e }}</li>
        <li v-for="t in tooLong" :key="t" class="wrong">{{ t }}</li>
      </ul>
      <p v-if="stays" role="status" class="wrong">{{ stays }}</p>
      <PlanChart v-if="shown.length > 0" :evenings="shown.slice(0, 40)" />
      <section v-for="e in shown" :key="e.day" class="evening" :aria-label="daySaid(e.day)">
        <h2>
          {{ daySaid(e.day) }}, {{ timesOf(e) }}
          <v-btn
            variant="plain"
            class="link"
            :aria-label="`Not at the bench on ${daySaid(e.day)}`"
            @click="planning.setOff(e.day, true)"
            >not at the bench that day</v-btn
          >
        </h2>
        <EveningSteps :evening="e" :named="many" @put="put" @later="(i) => later(i, e)" @soon="soon" />
        <p><span class="quiet">Lay out:</span> {{ e.tools.join(', ') }}</p>
        <p>
          <span class="quiet">Have ready:</span>
          {{ e.supplies.map((s) => supplySaid(s, settings.unit)).join(', ') }}
        </p>
        <p v-for="w in e.waits" :key="w.says">
          <span class="quiet">Left to itself:</span> {{ w.says }}, {{ minutesSaid(w.minutes) }}
        </p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.evenings {
  padding: 12px 20px 30px;
  overflow-y: auto;
  flex: 1;
}
.evening {
  border-top: 1px solid var(--hairline);
  padding: 8px 0;
}
h2 {
  font-size: 16px;
}
.ends {
  padding-left: 16px;
}
.quiet {
  color: var(--quiet);
}
.wrong {
  color: var(--rowan);
}
</style>

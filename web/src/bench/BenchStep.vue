<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { onScopeDispose, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { supplySaid } from '@drumlin/core/exchange/work'
import { explainSteps } from '@drumlin/core/working'
import { useSettings } from '../app/settings.js'
import DrawnPicture from '../make/DrawnPicture.vue'
import { minutesSaid } from '../parts/time.js'
import BenchClock from './BenchClock.vue'
import BenchGate from './BenchGate.vue'
import BenchNotes from './BenchNotes.vue'
import BenchWaits from './BenchWaits.vue'
import { useAtBench } from './atBench.js'
import { useRinging } from './ringing.js'

/** One step over the whole screen, for wet hands: space or the large button goes on. */
const props = defineProps<{ id: string }>()
const settings = useSettings()
const router = useRouter()
const bench = useAtBench(() => props.id)
const { making, step, steps, number, done, allDone, calls, kept, minutes, running, waits, failed, worked } =
  bench
const ringing = useRinging()
const says = useTemplateRef<HTMLElement>('says')
const showsWhy = ref(false)
const writing = ref<'note' | 'not so'>()
watch(
  () => step.value?.id,
  () => {
    showsWhy.value = false
    writing.value = undefined
    says.value?.focus({ preventScroll: true })
  },
)
watch(bench.now, () => ringing.ring(bench.overNow()))
void ringing.lock.request('screen').catch(() => undefined)
onScopeDispose(() => {
  bench.pause()
  void ringing.lock.release().catch(() => undefined)
})
const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea, button, a, [role=checkbox]') !== null
useEventListener('keydown', (event) => {
  // A key that is held down goes on once.
  if (event.repeat || typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === ' ' || event.key === 'Enter') bench.onward()
  else if (event.key === 'ArrowLeft' || event.key === 'Backspace') bench.back()
  else if (event.key === 'Escape') leave()
  else return
  event.preventDefault()
})
const leave = (): void =>
  void router.push(making.value ? { name: 'make', params: { id: making.value.job } } : { name: 'bench' })
</script>

<template>
  <section class="bench" aria-label="The bench">
    <header>
      <span class="name"
        >{{ making?.count }} × {{ making?.design.name
        }}<template v-if="making?.forWhom"> for {{ making.forWhom }}</template></span
      >
      <span v-if="step" class="count">{{ number }} of {{ steps.length }}</span>
      <v-btn @click="leave">Leave the bench</v-btn>
    </header>
    <BenchWaits :waits="waits" :ringing="ringing" />
    <p v-if="failed" role="alert">The steps could not be worked out: {{ failed }}.</p>
    <p v-else-if="!step || !worked" role="status">Looking where you are …</p>
    <template v-else>
      <div class="middle">
        <h1 ref="says" tabindex="-1">{{ step.says }}<span v-if="done" class="done"> · done</span></h1>
        <BenchGate v-if="calls.length > 0" :calls="calls" @tick="bench.tick" @go="bench.goTo" />
        <div class="both">
          <div class="drawing">
            <DrawnPicture :drawn="worked.pictures[step.id] ?? []" :label="`What it touches: ${step.says}`" />
          </div>
          <div class="words">
            <p v-for="c in step.cautions" :key="c" class="caution">{{ c }}</p>
            <ul v-if="step.rows.length > 1">
              <li v-for="r in step.rows" :key="r.task">
                {{ r.times > 1 ? `${r.times} × ` : '' }}{{ r.what }}
              </li>
            </ul>
            <p v-if="step.tools.length > 0">
              <span class="quiet">Lay out:</span> {{ step.tools.join(', ') }}
            </p>
            <p v-if="step.materials.length > 0">
              <span class="quiet">Have ready:</span>
              {{ step.materials.map((m) => supplySaid(m, settings.unit)).join(', ') }}
            </p>
            <p v-for="l in step.looks" :key="l"><span class="quiet">Look first:</span> {{ l }}</p>
            <p v-if="step.then">{{ step.then }}</p>
            <p v-if="step.wait > 0">
              <span class="quiet">Afterwards leave it</span> {{ minutesSaid(step.wait) }}.
            </p>
            <p>
              <v-btn
                variant="plain"
                class="link"
                :aria-expanded="showsWhy ? 'true' : 'false'"
                @click="showsWhy = !showsWhy"
                >about {{ minutesSaid(step.minutes.value) }}</v-btn
              >
            </p>
            <p
              v-for="line in showsWhy ? explainSteps(step.minutes, settings.unit, 3) : []"
              :key="line.line"
              class="working"
            >
              {{ line.line }}
            </p>
            <p v-for="(n, i) in kept?.notes ?? []" :key="i" class="note">
              <strong v-if="n.sort === 'not so'">Not so: </strong>{{ n.text }}
            </p>
          </div>
        </div>
        <BenchNotes v-model:writing="writing" :bench="bench" />
      </div>
      <footer>
        <v-btn size="large" :disabled="number <= 1" @click="bench.back()">Back</v-btn>
        <v-btn v-if="!done" size="large" :disabled="number >= steps.length" @click="bench.skip()"
          >Not now</v-btn
        >
        <v-btn size="large" @click="writing = 'not so'">Not so …</v-btn>
        <BenchClock
          :minutes="minutes"
          :running="running"
          @start="bench.begin"
          @pause="bench.pause"
          @correct="bench.correct"
        />
        <v-btn v-if="done" size="large" @click="bench.again()">Not done after all</v-btn>
        <v-btn
          class="onward"
          variant="flat"
          size="x-large"
          :disabled="calls.length > 0 || (allDone && number === steps.length)"
          @click="bench.onward()"
          >{{ allDone && number === steps.length ? 'All is done' : done ? 'On' : 'Done' }}</v-btn
        >
      </footer>
    </template>
  </section>
</template>

<style scoped>
.bench {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  background: var(--surface);
  color: var(--ink);
  padding: 10px 18px;
  font-size: 19px;
}
header,
footer {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.name {
  flex: 1;
  font-weight: 700;
}
.count {
  font-family: var(--mono);
}
.middle {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 8px 0;
}
h1 {
  font-size: clamp(24px, 3.4vw, 40px);
  line-height: 1.15;
  margin-bottom: 10px;
  outline: none;
}
.done {
  color: var(--fern);
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 20px;
}
.drawing :deep(svg) {
  max-height: 52vh;
}
.caution {
  border-left: 4px solid var(--rowan);
  padding-left: 10px;
}
.words p,
.words ul {
  margin-bottom: 8px;
}
.quiet {
  color: var(--quiet);
}
.working {
  font-family: var(--mono);
  font-size: 15px;
}
.note {
  border-left: 4px solid var(--loch);
  padding-left: 10px;
}
.onward {
  margin-left: auto;
  min-width: 180px;
  min-height: 72px;
  font-size: 24px;
}
@media (width <= 700px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing :deep(svg) {
    max-height: 30vh;
  }
  .onward {
    width: 100%;
  }
}
</style>

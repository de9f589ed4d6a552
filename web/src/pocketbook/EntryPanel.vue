<script setup lang="ts">
import { RouterLink } from 'vue-router'
import { computed, reactive, ref, useTemplateRef } from 'vue'
import { type Entry, type Input, reckonEntry } from '@drumlin/core/pocketbook'
import { systemOf } from '@drumlin/core/measure'
import { type Reckoned, explainLine, printQuantity } from '@drumlin/core/working'
import { useSettings } from '../app/settings.js'
import MeasureField from '../sentence/MeasureField.vue'
import TakeDrawing from '../parts/TakeDrawing.vue'
import SketchDrawing from './SketchDrawing.vue'

const props = defineProps<{
  entry: Entry
  /** The number of a job that an answer can be used for. */
  wanted: { readonly label: string; readonly answer: string } | undefined
  /** Numbers of the job that asked, by input. */
  filled: Readonly<Record<string, number>>
}>()
const emit = defineEmits<{ use: [value: number] }>()
const settings = useSettings()
const written = reactive<Record<string, number>>({ ...props.filled })
const copied = ref('')
const sketch = useTemplateRef<HTMLElement>('sketch')

const result = computed(() => reckonEntry(props.entry, written))
const sortOf = (input: Input) => (input.unit === 'mm' ? 'fine' : input.unit === 'count' ? 'count' : 'share')
const stepOf = (input: Input): number =>
  input.unit === 'share' ? 0.05 : input.unit === 'mm' ? (input.max > 100 ? 1 : 0.1) : 1
const unitOf = (input: Input): string => (input.unit === 'degrees' ? '°' : '')
const print = (a: Reckoned): string => {
  const number = printQuantity(a.value, a.quantity, settings.unit)
  return a.quantity === 'length' || a.quantity === 'thickness'
    ? `${number} ${systemOf(settings.unit)}`
    : number
}
const lines = computed(() => result.value.workings.map((a) => explainLine(a, settings.unit)))

async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(`${props.entry.title}\n${lines.value.join('\n')}\n`)
    copied.value = 'Copied.'
  } catch {
    copied.value = 'The browser did not allow it; the working can be marked and copied by hand.'
  }
}
</script>

<template>
  <section class="panel" :aria-labelledby="`entry-${entry.id}`">
    <h1 :id="`entry-${entry.id}`">{{ entry.title }}</h1>
    <p class="quiet">
      {{ entry.says.charAt(0).toUpperCase() + entry.says.slice(1) }}.
      <RouterLink :to="{ name: 'help', params: { page: 'formulas' }, hash: `#${entry.section.slice(1)}` }"
        >Where the formula comes from</RouterLink
      >
    </p>
    <div class="inputs">
      <p v-for="input in entry.inputs" :key="input.id" :data-input="input.id">
        {{ input.label }}
        <MeasureField
          :value="written[input.id] ?? input.value"
          :label="input.label"
          :sort="sortOf(input)"
          :min="input.min"
          :max="input.max"
          :step="stepOf(input)"
          @change="(to) => (written[input.id] = to)"
        />{{ unitOf(input) }}
      </p>
    </div>
    <div v-if="result.sketch.strokes.length > 0" ref="sketch" class="sketch">
      <SketchDrawing :sketch="result.sketch" :label="`${entry.title}, drawn to the numbers above`" />
      <p><TakeDrawing :drawing="() => sketch?.querySelector('svg') ?? undefined" :name="entry.title" /></p>
    </div>
    <dl aria-live="polite">
      <div v-for="a in result.answers" :key="a.key" class="answer" :data-answer="a.label">
        <dt>{{ a.label }}</dt>
        <dd class="figure">{{ print(a) }}</dd>
        <v-btn v-if="wanted?.answer === a.label" variant="flat" @click="emit('use', a.value)">
          Use it for “{{ wanted.label }}”
        </v-btn>
      </div>
    </dl>
    <p v-if="result.answers.length === 0" role="alert">
      {{ result.cant ?? 'These numbers have no answer: what is asked for does not fit in.' }}
    </p>
    <pre
      class="working figure"
      tabindex="0"
      aria-label="Working"
    ><template v-for="l in lines" :key="l">{{ l }}
</template></pre>
    <p class="row">
      <v-btn @click="copy">Copy with its working</v-btn>
      <span role="status" class="quiet">{{ copied }}</span>
    </p>
  </section>
</template>

<style scoped>
a {
  color: var(--loch);
}
.panel {
  max-width: 720px;
}
h1 {
  font-size: 22px;
}
.inputs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 2px 28px;
  margin: 14px 0;
  font-size: 17px;
}
.inputs p {
  margin: 2px 0;
}
dl {
  margin: 10px 0;
}
.answer {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
dt {
  flex: 1 1 auto;
  max-width: 330px;
}
dd {
  margin: 0;
  font-size: 22px;
  font-weight: 650;
}
.working {
  margin: 8px 0;
  padding: 8px 10px;
  background: var(--working);
  border-left: 3px solid var(--hairline);
  font-size: 13px;
  white-space: pre-wrap;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>

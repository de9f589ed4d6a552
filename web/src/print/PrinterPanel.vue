<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed, ref } from 'vue'
import { CALIBRATION, PAPERS, type PrinterRead, errorOf, toFit } from '@drumlin/core/exchange/paper'
import { useSettings } from '../app/settings.js'
import { useDevices } from '../devices/devices.js'
import { calibrationPdf, saveCalibration } from '../output/save.js'
import WritingState from '../output/WritingState.vue'
import { useWriting } from '../output/writing.js'
import TakenField from '../sentence/TakenField.vue'
import { freeId } from '../shelf/ids.js'
import { usePrinters } from './printers.js'

const figure = useFigures()
/** A printer measured by a page that it printed: what it makes of lengths, and how it is told. */
const emit = defineEmits<{ done: [] }>()
const settings = useSettings()
const printers = usePrinters()
const writing = useWriting()
const name = ref('')
const read = ref<Partial<PrinterRead>>({})
const ROWS = [
  { key: 'across', label: 'bar across', nominal: CALIBRATION.across },
  { key: 'along', label: 'bar along', nominal: CALIBRATION.along },
  { key: 'falling', label: 'falling, cross to cross', nominal: CALIBRATION.diagonal },
  { key: 'rising', label: 'rising, cross to cross', nominal: CALIBRATION.diagonal },
] as const
const found = computed(() => {
  const { across, along, ...skewed } = read.value
  return across === undefined || along === undefined
    ? undefined
    : errorOf({ across, along, ...skewed }, settings.unit)
})
const problem = computed(() => (found.value && 'problem' in found.value ? found.value.problem : ''))
const error = computed(() => (found.value && !('problem' in found.value) ? found.value : undefined))
const per = (share: number): string => `${figure(100 * share, 2)} %`
const said = computed(() =>
  error.value
    ? `${per(error.value.across)} across, ${per(error.value.along)} along, ${figure((Math.atan(error.value.skew) * 180) / Math.PI, 2)}° skew`
    : '',
)
const today = (): string => new Date().toISOString().slice(0, 10)

function keep(): void {
  if (!error.value || name.value.trim() === '') return
  printers.add({
    id: freeId(
      'printer',
      printers.all.map((p) => p.id),
    ),
    name: name.value.trim(),
    ...error.value,
    date: today(),
    paper: PAPERS[settings.paper].name,
  })
  emit('done')
}
const devices = useDevices()
const sheet = (): Promise<void> =>
  writing.write('calibration sheet', async (signal) =>
    saveCalibration(await calibrationPdf(settings, signal), settings.paper),
  )
const onDevice = (): Promise<void> =>
  writing.write('calibration sheet', async (signal) => devices.print(await calibrationPdf(settings, signal)))
</script>

<template>
  <section class="printer" aria-label="Measure a printer">
    <p>
      <v-btn :disabled="writing.working.value !== undefined" @click="sheet">Calibration sheet</v-btn>
      <v-btn v-if="devices.printer" :disabled="writing.working.value !== undefined" @click="onDevice"
        >Print it on the stand-in</v-btn
      >
      Print it at 100 %, measure it with a steel rule or a caliper, and write what you read.
    </p>
    <WritingState :writing="writing" />
    <ul>
      <li v-for="row in ROWS" :key="row.key">
        {{ row.label }}, {{ row.nominal }} mm:
        <TakenField
          :value="read[row.key]"
          :label="`${row.label}, as read`"
          sort="pitch"
          :min="0"
          :max="1000"
          @change="(v) => (read = { ...read, [row.key]: v })"
        />
      </li>
    </ul>
    <p v-if="problem" role="alert" class="refused">{{ problem }}</p>
    <p v-if="error" role="status">
      It prints {{ said }}.
      <span v-if="toFit(error)" class="refused"
        >That is as much too small both ways: the page was printed “to fit”. Print it again at 100 %, or
        “actual size”; no printer errs so.</span
      >
    </p>
    <p class="row">
      <v-text-field v-model="name" label="Which printer" maxlength="60" />
      <v-btn variant="flat" :disabled="!error || name.trim() === ''" @click="keep">Keep it</v-btn>
      <v-btn @click="emit('done')">Leave it</v-btn>
    </p>
  </section>
</template>

<style scoped>
.printer {
  border-top: 1px solid var(--hairline);
  margin-top: 8px;
}
ul {
  padding-left: 18px;
  line-height: 1.7;
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
}
.refused {
  color: var(--rowan);
}
</style>

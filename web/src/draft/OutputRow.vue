<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { useSettings } from '../app/settings.js'
import { saveDesign, saveDxf, savePdf, saveSvg } from '../output/save.js'
import { reasonOf } from '../app/reason.js'

const props = defineProps<{ derived: Derived }>()
const settings = useSettings()
const working = ref<AbortController>()
const failed = ref('')

/** What failed is asked again with what was asked. */
const again = shallowRef<() => unknown>()

async function pdf(paper: 'a4' | 'letter'): Promise<void> {
  const control = new AbortController()
  working.value = control
  failed.value = ''
  try {
    await savePdf(props.derived.design, paper, settings.unit, control.signal)
  } catch (error) {
    if (control.signal.aborted) return
    failed.value = `The PDF could not be made: ${reasonOf(error)}.`
    again.value = () => pdf(paper)
  } finally {
    working.value = undefined
  }
}
async function drawn(form: string, save: () => Promise<void> | void): Promise<void> {
  failed.value = ''
  try {
    await save()
  } catch (error) {
    failed.value = `The ${form} could not be made: ${reasonOf(error)}.`
    again.value = () => drawn(form, save)
  }
}
const svg = (): Promise<void> => drawn('SVG', () => saveSvg(props.derived, settings.unit))
const dxf = (): Promise<void> => drawn('DXF', () => saveDxf(props.derived, settings.unit))
</script>

<template>
  <section class="out" aria-label="Take it out">
    <div class="row">
      <button
        class="act main"
        :disabled="working !== undefined"
        aria-label="Print at 1:1 on A4, as a PDF"
        @click="pdf('a4')"
      >
        Print A4
      </button>
      <button
        class="act"
        :disabled="working !== undefined"
        aria-label="Print at 1:1 on US Letter, as a PDF"
        @click="pdf('letter')"
      >
        Letter
      </button>
      <button class="act" aria-label="Save the pieces as SVG, 1:1" @click="svg">SVG</button>
      <button class="act" aria-label="Save the pieces as DXF, 1:1" @click="dxf">DXF</button>
      <button class="act" aria-label="Save the design as a file" @click="saveDesign(derived.design)">
        File
      </button>
    </div>
    <p v-if="working" role="status">
      <v-progress-linear indeterminate color="primary" aria-label="Drawing the PDF" /> Drawing the PDF …
      <button class="act" @click="working.abort()">Stop</button>
    </p>
    <p v-if="failed" role="alert" class="failed">
      {{ failed }} <v-btn v-if="again" @click="again()">Try again</v-btn>
    </p>
  </section>
</template>

<style scoped>
.out {
  border-top: 1px solid var(--hairline);
  padding: 10px 18px;
}
.row {
  display: flex;
  gap: 5px;
}
.row .act {
  padding: 3px 9px;
  font-size: 14px;
  white-space: nowrap;
}
.failed {
  color: var(--rowan);
}
</style>

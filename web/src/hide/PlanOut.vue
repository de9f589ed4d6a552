<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { PAPERS } from '@drumlin/core/exchange/paper'
import { reasonOf } from '../app/reason.js'
import { useSettings } from '../app/settings.js'
import { savePlan } from '../output/save.js'
import type { Laying } from './laying.js'

/** The cutting plan taken out. */
const props = defineProps<{ derived: Derived; laying: Laying }>()
const settings = useSettings()
const mirrored = ref(false)
const working = shallowRef<AbortController>()
const failed = ref('')
const laid = computed(() => Object.keys(props.derived.design.cutting.lying).length > 0)
const FORMATS = computed(() => [
  { as: 'pdf' as const, label: `Print ${PAPERS[settings.paper].short}`, says: 'The cutting plan as a PDF' },
  { as: 'svg' as const, label: 'SVG', says: 'The cutting plan as SVG, 1:1' },
  { as: 'dxf' as const, label: 'DXF', says: 'The cutting plan as DXF, 1:1' },
])
async function save(as: 'pdf' | 'svg' | 'dxf'): Promise<void> {
  const control = new AbortController()
  working.value = control
  failed.value = ''
  try {
    await savePlan(props.derived.design, { as, mirrored: mirrored.value }, settings, control.signal)
  } catch (error) {
    if (!control.signal.aborted) failed.value = `The plan could not be made: ${reasonOf(error)}.`
  }
  working.value = undefined
}
</script>

<template>
  <section class="out" aria-label="Take the plan out">
    <p v-if="!laid" class="quiet">The cutting plan can be printed once something is laid.</p>
    <template v-else>
      <v-checkbox-btn v-model="mirrored" label="Mirrored, for cutting from the flesh side" />
      <div class="row">
        <v-btn
          v-for="(f, k) in FORMATS"
          :key="f.as"
          :variant="k === 0 ? 'flat' : undefined"
          :disabled="working !== undefined"
          :aria-label="f.says"
          @click="save(f.as)"
          >{{ f.label }}</v-btn
        >
      </div>
      <p v-if="working" role="status">Writing the plan … <v-btn @click="working.abort()">Stop</v-btn></p>
      <p v-if="failed" role="alert" class="failed">{{ failed }}</p>
    </template>
  </section>
</template>

<style scoped>
.out {
  margin-top: 12px;
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
}
.row {
  display: flex;
  gap: 6px;
}
.failed {
  color: var(--rowan);
}
</style>

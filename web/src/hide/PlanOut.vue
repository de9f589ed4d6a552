<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { PAPERS } from '@drumlin/core/exchange/paper'
import WritingState from '../output/WritingState.vue'
import { useWriting } from '../output/writing.js'
import { useSettings } from '../app/settings.js'
import { savePlan } from '../output/save.js'
import type { Laying } from './laying.js'

/** The cutting plan taken out. */
const props = defineProps<{ derived: Derived; laying: Laying }>()
const settings = useSettings()
const mirrored = ref(false)
const writing = useWriting()
const { working } = writing
const laid = computed(() => Object.keys(props.derived.design.cutting.lying).length > 0)
const FORMATS = computed(() => [
  { as: 'pdf' as const, label: `Print ${PAPERS[settings.paper].short}`, says: 'The cutting plan as a PDF' },
  { as: 'svg' as const, label: 'SVG', says: 'The cutting plan as SVG, 1:1' },
  { as: 'dxf' as const, label: 'DXF', says: 'The cutting plan as DXF, 1:1' },
])
const save = (as: 'pdf' | 'svg' | 'dxf'): Promise<void> =>
  writing.write('plan', (signal) =>
    savePlan(props.derived.design, { as, mirrored: mirrored.value }, settings, signal),
  )
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
      <WritingState :writing="writing" />
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
</style>

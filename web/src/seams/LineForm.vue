<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { addLine, freeLineId } from '@drumlin/core/design'
import { useJob } from '../job/job.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import FoldPart from '../parts/FoldPart.vue'

const props = defineProps<{ derived: Derived }>()
const emit = defineEmits<{ added: [id: string] }>()
const job = useJob()
const sheet = ref('')
const chosen = ref<string[]>([])
const margin = ref(6)
const refusal = ref('')
/** Panels as they lie, without those that are only parts of one piece folded up. */
const sheets = computed(() =>
  (props.derived.works[0]?.sheets ?? []).filter((s) => s.part === 'whole' && s.sheet.type === 'panel'),
)
const own = computed(() => sheets.value.find((s) => s.sheet.id === sheet.value) ?? sheets.value[0])
const options = computed(() =>
  sheets.value.map((s) => ({ value: s.sheet.id, label: s.sheet.name, why: s.work?.panel.name ?? '' })),
)
const edges = computed(() => own.value?.work?.panel.edges ?? [])
/** Edges in the order of the outline, as they have to follow one another. */
const chain = computed(() => edges.value.filter((e) => chosen.value.includes(e.id)).map((e) => e.id))
function choose(id: string): void {
  sheet.value = id
  chosen.value = []
}
function add(): void {
  const { design, works } = props.derived
  if (!own.value || chain.value.length === 0) return
  const id = freeLineId(design)
  const refused = job.edit(
    addLine(design, {
      id,
      name: `decorative line on the ${own.value.sheet.name}`,
      layup: works[0]!.layup.id,
      sheet: own.value.sheet.id,
      chain: chain.value,
      margin: margin.value,
    }),
  )
  refusal.value = refused?.why ?? ''
  if (refused) return
  chosen.value = []
  emit('added', id)
}
</script>

<template>
  <FoldPart v-if="own" data-line-form title="Add a decorative line">
    <p class="sentence">
      On the
      <ChoiceField
        :value="own.sheet.id"
        label="piece of the line"
        :options="options"
        then=","
        @change="choose"
      />{{ ' ' }}
      <MeasureField
        :value="margin"
        label="line in from the edge"
        sort="fine"
        :min="0.5"
        :max="200"
        :step="0.5"
        @change="(v) => (margin = v)"
      />
      in from:
    </p>
    <div class="edges" role="group" aria-label="Edges the line follows">
      <v-checkbox-btn v-for="e in edges" :key="e.id" v-model="chosen" :value="e.id" :label="e.name" />
    </div>
    <p v-if="refusal" role="alert" class="refused">{{ refusal }}</p>
    <v-btn :disabled="chain.length === 0" @click="add">Add it</v-btn>
  </FoldPart>
</template>

<style scoped>
.edges {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-bottom: 8px;
}
.sentence {
  margin: 0 0 6px;
  line-height: 1.7;
}
.refused {
  color: var(--rowan);
}
</style>

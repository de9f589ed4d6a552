<script setup lang="ts">
import { computed } from 'vue'
import type { DrawnEdge, DrawnFate } from '@drumlin/core/drawn'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import NameField from '../sentence/NameField.vue'
import { CORES, FATES, FINISHES, ROWS, SCHOOLS, choiceOf, fateFor, type FateChoice } from './fates.js'

const props = defineProps<{ edge: DrawnEdge; length: number; core: number; leatherEdge: number }>()
const emit = defineEmits<{ change: [name: string, edge: DrawnEdge, gesture?: string] }>()
const settings = useSettings()
const fate = computed(() => props.edge.fate)
const turned = computed(() =>
  fate.value.type === 'turned' || fate.value.type === 'rolled' ? fate.value : undefined,
)
const set = (words: string, more: Partial<DrawnFate> | Record<string, unknown>, gesture?: string): void =>
  emit(
    'change',
    `${props.edge.name}: ${words}`,
    { ...props.edge, fate: { ...fate.value, ...more } as DrawnFate },
    gesture,
  )
const choose = (to: string): void =>
  emit('change', `${props.edge.name} ${FATES.find((f) => f.value === to)!.label}`, {
    ...props.edge,
    fate: fateFor(to as FateChoice, fate.value),
  })
const mm = (v: number): string => printLength(v, settings.unit)
</script>

<template>
  <p class="sentence" data-edge-said>
    <NameField
      class="edge-name"
      :value="edge.name"
      label="Name of the edge"
      :max="60"
      @change="(name) => emit('change', `call it ${name}`, { ...edge, name })"
    />
    ({{ mm(length) }}) is
    <ChoiceField
      :value="choiceOf(fate)"
      label="what becomes of the edge"
      :options="[...FATES]"
      @change="choose"
    />
    <template v-if="turned">
      <MeasureField
        :value="turned.width"
        label="width of the turn"
        sort="length"
        :min="1"
        :max="200"
        :step="0.5"
        drag
        then=","
        @change="(v, g) => set(`turned ${mm(v)}`, { width: v }, g)"
      />
      skived
      <ChoiceField
        :value="turned.school"
        label="school of the skive"
        :options="[...SCHOOLS]"
        @change="(v) => set('skive', { school: v })"
      />
      <template v-if="turned.school === 'feather'">
        over
        <MeasureField
          :value="turned.feather"
          label="width of the feathered skive"
          sort="length"
          :min="0.5"
          :max="30"
          :step="0.5"
          @change="(v, g) => set(`feathered ${mm(v)}`, { feather: v }, g)" /></template
      ><template v-if="turned.school === 'even'"
        >, leaving
        <MeasureField
          :value="turned.atEdge ?? leatherEdge"
          label="left at the skived edge"
          sort="thickness"
          :min="0"
          :max="4"
          :step="0.05"
          @change="(v, g) => set('left at the edge', { atEdge: v }, g)"
        />
        at the edge</template
      >,
      <ChoiceField
        :value="String(turned.lines)"
        label="rows of stitches"
        :options="[...ROWS]"
        @change="(v) => set(`${v} rows`, { lines: Number(v) })"
      />
      <template v-if="turned.lines > 0">
        {{ ' '
        }}<MeasureField
          :value="turned.margin"
          label="margin of the stitches"
          sort="length"
          :min="0.5"
          :max="60"
          :step="0.5"
          @change="(v, g) => set(`margin ${mm(v)}`, { margin: v }, g)"
        />
        in</template
      >.
      <template v-if="core > 0">
        What it is turned over is
        <ChoiceField
          :value="turned.core"
          label="edge of what it is turned over"
          :options="[...CORES]"
          then="."
          @change="(v) => set('core', { core: v })"
        />
      </template>
    </template>
    <template v-else-if="fate.type === 'bound'">
      in a strip that shows
      <MeasureField
        :value="fate.width"
        label="how much of the binding shows"
        sort="length"
        :min="1"
        :max="60"
        :step="0.5"
        then=","
        @change="(v, g) => set(`bound ${mm(v)}`, { width: v }, g)"
      />
      split to
      <MeasureField
        :value="fate.binding"
        label="thickness of the binding"
        sort="thickness"
        :min="0.2"
        :max="4"
        :step="0.05"
        then=","
        @change="(v, g) => set('binding', { binding: v }, g)"
      />
      sewn
      <MeasureField
        :value="fate.margin"
        label="margin of the stitches"
        sort="length"
        :min="0.5"
        :max="60"
        :step="0.5"
        @change="(v, g) => set(`margin ${mm(v)}`, { margin: v }, g)"
      />
      in.
    </template>
    <template v-else-if="fate.type === 'sewn' || fate.type === 'trimmed'">
      <MeasureField
        :value="fate.margin"
        label="margin of the stitches"
        sort="length"
        :min="0.5"
        :max="60"
        :step="0.5"
        drag
        @change="(v, g) => set(`margin ${mm(v)}`, { margin: v }, g)"
      />
      in,
      <template v-if="fate.type === 'trimmed'">
        cut
        <MeasureField
          :value="fate.trim"
          label="cut over size"
          sort="length"
          :min="0"
          :max="60"
          :step="0.5"
          @change="(v, g) => set(`trim ${mm(v)}`, { trim: v }, g)"
        />
        over size,
      </template>
      <ChoiceField
        :value="fate.finish"
        label="finish of the edge"
        :options="[...FINISHES]"
        then="."
        @change="(v) => set(v, { finish: v })"
      />
    </template>
    <template v-else-if="fate.type === 'long'">
      by
      <MeasureField
        :value="fate.by"
        label="left long by"
        sort="length"
        :min="0"
        :max="500"
        :step="1"
        then="."
        @change="(v, g) => set(`long ${mm(v)}`, { by: v }, g)"
      />
    </template>
    <template v-else>.</template>
  </p>
</template>

<style scoped>
.sentence {
  margin: 0 0 8px;
  line-height: 1.75;
}
.edge-name {
  min-width: 1em;
  font-weight: 650;
}
</style>

<script setup lang="ts">
import { mdiDragVertical } from '@mdi/js'
import { ref, watch } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { type Evening, type EveningItem, timesOf } from '@drumlin/core/makings'

/** What is done in one evening; a step is dragged to another, or put off and taken up again by its link. */
const props = defineProps<{ evening: Evening; named: boolean }>()
const emit = defineEmits<{
  put: [item: EveningItem, day: string]
  later: [item: EveningItem]
  soon: [item: EveningItem]
}>()
const shown = ref<readonly EveningItem[]>([])
const anew = (): void => void (shown.value = [...props.evening.items])
watch(() => props.evening, anew, { immediate: true })
/** The plan says where it really comes: until it does, both evenings are as they were. */
function come(event: { data?: EveningItem }): void {
  const { data } = event
  anew()
  if (data) emit('put', data, props.evening.day)
}
const putOff = (item: EveningItem): boolean => item.making.notBefore[item.work] !== undefined
</script>

<template>
  <VueDraggable
    v-model="shown as EveningItem[]"
    tag="ol"
    group="evenings"
    handle=".grip"
    :animation="0"
    @add="come"
    @remove="anew"
    @update="anew"
  >
    <li v-for="i in shown" :key="`${i.todo} ${i.work} ${i.from}`">
      <v-icon
        :icon="mdiDragVertical"
        size="18"
        class="grip"
        aria-hidden="true"
        title="Drag it to another evening"
      />
      <span class="time">{{ timesOf(i) }}</span>
      <span class="what"
        >{{ i.step.says }}{{ i.goesOn ? ', goes on' : ''
        }}{{ named ? ` (${i.making.design.name})` : '' }}</span
      >
      <v-btn
        v-if="putOff(i)"
        variant="plain"
        class="link"
        :aria-label="`Sooner: ${i.step.says}`"
        @click="emit('soon', i)"
        >sooner</v-btn
      >
      <v-btn
        v-else
        variant="plain"
        class="link"
        :aria-label="`Not this evening: ${i.step.says}`"
        @click="emit('later', i)"
        >not this evening</v-btn
      >
    </li>
  </VueDraggable>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}
li {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.grip {
  cursor: grab;
  color: var(--quiet);
  align-self: center;
}
.time {
  font-family: var(--mono);
  white-space: nowrap;
}
.what {
  flex: 1;
}
</style>

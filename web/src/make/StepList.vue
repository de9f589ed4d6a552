<script setup lang="ts">
import { mdiDragVertical } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { type Step, lastCalls } from '@drumlin/core/steps'
import type { Ordering } from './ordering.js'
import { minutesSaid } from '../parts/time.js'

/** Steps in their order; one is dragged, or moved by Alt and the arrows, wherever its reasons let it. */
const props = defineProps<{ ordering: Ordering; chosen: string | undefined }>()
const emit = defineEmits<{ choose: [id: string] }>()
const shown = ref<Step[]>([])
watch(props.ordering.steps, (now) => (shown.value = [...now]), { immediate: true })
const calls = computed(() => {
  const all = props.ordering.worked.value?.steps
  return new Map(all ? all.steps.map((s) => [s.id, lastCalls(s.id, all)]) : [])
})
function dropped(event: { newIndex?: number | undefined; oldIndex?: number | undefined }): void {
  const step = event.oldIndex === undefined ? undefined : props.ordering.steps.value[event.oldIndex]
  const order = shown.value.map((s) => s.id)
  // What stands against it is said; until then the list is as it was.
  shown.value = [...props.ordering.steps.value]
  if (step) props.ordering.put(step, order)
}
function keyed(event: KeyboardEvent, step: Step): void {
  if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return
  event.preventDefault()
  props.ordering.move(step, event.key === 'ArrowUp' ? -1 : 1)
}
</script>

<template>
  <VueDraggable v-model="shown" tag="ol" handle=".grip" :animation="0" class="steps" @end="dropped">
    <li v-for="(s, i) in shown" :key="s.id" :class="{ chosen: s.id === chosen }">
      <v-icon :icon="mdiDragVertical" size="18" class="grip" aria-hidden="true" title="Drag it elsewhere" />
      <span class="number">{{ i + 1 }}</span>
      <v-btn
        variant="plain"
        class="pick"
        :aria-pressed="s.id === chosen"
        :aria-keyshortcuts="'Alt+ArrowUp Alt+ArrowDown'"
        @click="emit('choose', s.id)"
        @keydown="(e: KeyboardEvent) => keyed(e, s)"
        >{{ s.says }}</v-btn
      >
      <span
        v-if="(calls.get(s.id)?.length ?? 0) > 0"
        class="calls"
        :title="`${calls.get(s.id)!.length} last calls before it`"
        >last call {{ calls.get(s.id)!.length > 1 ? `× ${calls.get(s.id)!.length}` : '' }}</span
      >
      <span class="minutes"
        >{{ minutesSaid(s.minutes.value)
        }}<span v-if="s.wait > 0" class="wait"> + {{ minutesSaid(s.wait) }} wait</span></span
      >
    </li>
  </VueDraggable>
</template>

<style scoped>
.steps {
  list-style: none;
  margin: 0;
  padding: 4px 12px 20px;
  overflow-y: auto;
  flex: 1;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
  border-bottom: 1px solid var(--hairline);
  min-height: 34px;
}
li.chosen {
  background: var(--ground);
}
.grip {
  cursor: grab;
  color: var(--quiet);
}
.number {
  width: 26px;
  text-align: right;
  font-family: var(--mono);
  color: var(--quiet);
}
.pick {
  flex: 1;
  min-width: 0;
  justify-content: flex-start;
  text-align: left;
  white-space: normal;
}
.calls {
  color: var(--gorse);
  font-size: 13px;
  white-space: nowrap;
}
.minutes {
  font-family: var(--mono);
  white-space: nowrap;
}
.wait {
  color: var(--quiet);
}
@media (width <= 700px) {
  li {
    flex-wrap: wrap;
  }
  .pick {
    flex-basis: 70%;
  }
  .calls {
    margin-left: auto;
  }
}
</style>

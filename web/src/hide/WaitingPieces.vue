<script setup lang="ts">
import { computed } from 'vue'
import type { Wanted } from '@drumlin/core/hide'
import { usePieceActs } from './acts.js'
import type { Laying } from './laying.js'

/** Pieces that lie nowhere yet, and those put aside. */
const props = defineProps<{ laying: Laying }>()
const acts = usePieceActs(props.laying)
const group = computed(() => props.laying.group.value!)
const lies = computed(() => new Set(group.value.asked.lying.map((l) => l.id)))
const isAside = (w: Wanted): boolean => group.value.asked.aside.includes(w.id)
const waiting = computed(() => group.value.wanted.filter((w) => !lies.value.has(w.id) && !isAside(w)))
const aside = computed(() => group.value.wanted.filter(isAside))
/** Everything that lies stays where it is; this one is laid beside it. */
function lay(w: Wanted): void {
  const others = group.value.wanted.filter((o) => o.id !== w.id && !lies.value.has(o.id)).map((o) => o.id)
  void props.laying.lay(`lay the ${acts.named(w)}`, 'short', {
    locked: [...lies.value],
    aside: [...group.value.asked.aside, ...others],
  })
}
</script>

<template>
  <div v-if="waiting.length + aside.length > 0" class="waiting">
    <p v-if="waiting.length > 0">
      Not laid yet:
      <v-btn
        v-for="w in waiting"
        :key="w.id"
        size="small"
        :aria-label="`Lay the ${acts.named(w)}`"
        @click="lay(w)"
        >{{ acts.named(w) }}</v-btn
      >
    </p>
    <p v-if="aside.length > 0" class="quiet">
      Put aside:
      <v-btn
        v-for="w in aside"
        :key="w.id"
        size="small"
        :aria-label="`Take the ${acts.named(w)} in again`"
        @click="acts.takeIn(w)"
        >{{ acts.named(w) }}</v-btn
      >
    </p>
  </div>
</template>

<style scoped>
.waiting {
  max-height: 110px;
  overflow-y: auto;
  padding: 8px 14px;
  border-top: 1px solid var(--hairline);
  background: var(--surface);
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin: 0 0 4px;
}
</style>

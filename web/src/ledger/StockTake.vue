<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { freeId } from '../shelf/ids.js'
import { useTold } from '../price/told.js'
import { useBooks } from './books.js'

/** A stocktake with one hand: one thing at a time, large, counted up and down. */
const emit = defineEmits<{ close: [] }>()
const books = useBooks()
const { said, told } = useTold()
/** The list as it was begun: counting moves nothing about. */
const list = books.levels.map((l) => ({ what: l.what, unit: l.unit }))
const at = ref(0)
const one = computed(() => list[at.value])
const level = computed(() => books.levels.find((l) => l.what === one.value?.what))
const scale = computed(() => (one.value ? told(one.value.unit).scale : 1))
const count = ref(0)
watch(
  one,
  () =>
    (count.value = Math.max(
      0,
      Math.round((10 * (level.value?.known ? level.value.amount : 0)) / scale.value) / 10,
    )),
  { immediate: true },
)
const step = computed(() => (one.value?.unit === 'pieces' ? 1 : count.value >= 100 ? 10 : 1))
const by = (n: number): void =>
  void (count.value = Math.max(0, Math.round(10 * (count.value + n * step.value)) / 10))
async function counted(): Promise<void> {
  const here = one.value
  if (!here) return
  await books.addMove({
    id: freeId(
      `count-${Date.now().toString(36)}`,
      books.stock.moves.map((m) => m.id),
    ),
    at: Date.now(),
    sort: 'counted',
    what: here.what,
    unit: here.unit,
    amount: count.value * scale.value,
    note: '',
  })
  onward()
}
function onward(): void {
  if (at.value + 1 < list.length) at.value += 1
  else emit('close')
}
</script>

<template>
  <section v-if="one" class="take" aria-label="Stocktake">
    <p>{{ at + 1 }} of {{ list.length }}</p>
    <h2>{{ one.what }}</h2>
    <p class="quiet">
      {{ level?.known ? `by the books ${said(level.amount, one.unit)}` : 'not counted yet' }}
    </p>
    <p class="count" role="status">{{ count }} {{ told(one.unit).word }}</p>
    <div class="keys">
      <v-btn class="thumb" aria-label="One less" @click="by(-1)">−</v-btn>
      <v-btn class="thumb" aria-label="One more" @click="by(1)">+</v-btn>
      <v-btn class="thumb" aria-label="Ten less" @click="by(-10)">−10</v-btn>
      <v-btn class="thumb" aria-label="Ten more" @click="by(10)">+10</v-btn>
    </div>
    <v-btn class="thumb" variant="flat" @click="counted">That is what there is</v-btn>
    <p class="acts">
      <v-btn @click="onward">Not now</v-btn>
      <v-btn @click="emit('close')">Stop</v-btn>
    </p>
  </section>
</template>

<style scoped>
.take {
  max-width: 420px;
  margin: 0 auto;
  text-align: center;
}
h2 {
  font-size: 22px;
}
.count {
  font: 600 40px/1.4 var(--mono);
}
.keys {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-bottom: 12px;
}
.take :deep(.v-btn) {
  justify-content: center;
}
/* As large as a thumb finds without looking. */
.take :deep(.v-btn.thumb) {
  width: 100%;
  height: auto;
  min-height: 64px;
  font-size: 20px;
}
.acts {
  display: flex;
  gap: 10px;
  justify-content: center;
  margin-top: 12px;
}
.quiet {
  color: var(--quiet);
}
</style>

<script setup lang="ts">
import { MOST_COPIES } from '@drumlin/core/exchange/paper'
import { type Piece, alikePieces } from '@drumlin/core/reckon'
import FoldPart from '../parts/FoldPart.vue'
import MeasureField from '../sentence/MeasureField.vue'

/** Which pieces are meant: those that are left out are kept, so that a piece that comes later is among the others. */
const props = defineProps<{
  pieces: readonly Piece[]
  /** Whether each can be had more than once. */
  copied?: boolean
}>()
const without = defineModel<readonly string[]>({ required: true })
/** How often each is wanted, where that isn’t once. */
const copies = defineModel<Readonly<Record<string, number>>>('copies', { default: () => ({}) })
const tick = (id: string, on: boolean | null): void =>
  void (without.value = on ? without.value.filter((one) => one !== id) : [...without.value, id])
const setCopies = (id: string, count: number): void => {
  const { [id]: _, ...rest } = copies.value
  copies.value = count === 1 ? rest : { ...rest, [id]: count }
}
const asCut = (): void =>
  void (copies.value = Object.fromEntries(
    alikePieces(props.pieces)
      .filter((p) => p.count > 1)
      .map((p) => [p.id, Math.min(MOST_COPIES, p.count)]),
  ))
</script>

<template>
  <FoldPart :title="`Pieces, ${pieces.filter((p) => !without.includes(p.id)).length} of ${pieces.length}`">
    <p v-if="copied" class="row">
      <v-btn @click="asCut">As many as are cut</v-btn>
      <v-btn :disabled="Object.keys(copies).length === 0" @click="copies = {}">Each once</v-btn>
    </p>
    <div v-for="p in pieces" :key="p.id" class="piece">
      <v-checkbox-btn
        :model-value="!without.includes(p.id)"
        :label="p.name"
        @update:model-value="(on: boolean | null) => tick(p.id, on)"
      />
      <span v-if="copied && !without.includes(p.id)"
        >×
        <MeasureField
          :value="copies[p.id] ?? 1"
          :label="`copies of ${p.name}`"
          sort="count"
          :min="1"
          :max="MOST_COPIES"
          :step="1"
          @change="(count) => setCopies(p.id, count)"
      /></span>
    </div>
  </FoldPart>
</template>

<style scoped>
.row {
  display: flex;
  gap: 8px;
}
.piece {
  display: flex;
  align-items: center;
  gap: 8px;
}
.piece > :first-child {
  flex: 1 1 auto;
}
</style>

<script setup lang="ts">
import { mdiEyeOutline, mdiRulerSquare } from '@mdi/js'
import ZoomButtons from '../sheet/ZoomButtons.vue'
import { SHOWN, type Shown } from '../sheet/shown.js'

/** What can be done with the sheet: nearer, farther, the chosen piece, all; a rule; what is drawn on the pieces. */
defineProps<{ measuring: boolean; byHand: boolean }>()
const shown = defineModel<readonly Shown[]>('shown', { required: true })
const emit = defineEmits<{ draw: []; zoom: [factor: number]; fit: []; piece: []; measure: []; anew: [] }>()
</script>

<template>
  <div class="zoom" role="group" aria-label="The sheet">
    <v-btn @click="emit('draw')">Draw a panel</v-btn>
    <v-menu :close-on-content-click="false" location="top">
      <template #activator="{ props: opener }">
        <v-btn v-bind="opener"><v-icon :icon="mdiEyeOutline" size="18" start />Shown</v-btn>
      </template>
      <v-list role="dialog" aria-label="What is drawn on the pieces" lines="one">
        <v-list-item v-for="s in SHOWN" :key="s.id">
          <v-checkbox-btn v-model="shown" :value="s.id" :label="s.label" />
        </v-list-item>
      </v-list>
    </v-menu>
    <v-btn :aria-pressed="measuring" @click="emit('measure')"
      ><v-icon :icon="mdiRulerSquare" size="18" start />Measure</v-btn
    >
    <v-btn v-if="byHand" @click="emit('anew')">Lay out anew</v-btn>
    <v-btn @click="emit('piece')">The piece</v-btn>
    <v-btn @click="emit('fit')">All</v-btn>
    <ZoomButtons @zoom="(by) => emit('zoom', by)" />
  </div>
</template>

<style scoped>
.zoom {
  position: absolute;
  right: 10px;
  bottom: 10px;
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 6px;
  max-width: calc(100% - 50px);
}
.zoom :deep(.v-btn) {
  background: var(--surface);
  min-width: 34px;
  padding: 2px 10px;
  font-size: 14px;
}
.zoom :deep(.v-btn[aria-pressed='true']) {
  background: var(--moss);
}
</style>

<script setup lang="ts">
import type { DeviceOf } from '@drumlin/core/devices'
import MeasureField from '../sentence/MeasureField.vue'
import DeviceFrame from './DeviceFrame.vue'
import { handle } from './standIns.js'

/** A caliper, a gauge or a scale: its display, its buttons, and what lies in it. */
const props = defineProps<{ device: DeviceOf<'teller'> }>()
const press = (button: string) => handle(props.device.id, { act: 'press', button })
const lay = (value: number) => handle(props.device.id, { act: 'lay', value })
</script>

<template>
  <DeviceFrame v-slot="{ attempt }" :device="device" link="Drumlin listens to it">
    <p class="display" :aria-label="`${device.name}, display`" role="status">{{ device.display }}</p>
    <p class="row">
      <v-btn variant="flat" @click="attempt(() => press('send'))">Send</v-btn>
      <v-btn :aria-pressed="device.held" @click="attempt(() => press('hold'))">Hold</v-btn>
      <v-btn @click="attempt(() => press('unit'))">Unit</v-btn>
      <v-btn @click="attempt(() => press('zero'))">Zero</v-btn>
    </p>
    <p>
      {{ device.what === 'weight' ? 'On its pan lie' : 'Between its jaws are' }}
      <MeasureField
        v-if="device.what === 'length'"
        :value="device.real"
        :label="`between the jaws of the ${device.name.toLowerCase()}`"
        sort="fine"
        :min="0"
        :max="device.most"
        :step="0.1"
        deaf
        @change="(value) => attempt(() => lay(value))"
      /><template v-else>
        <MeasureField
          :value="device.real"
          label="grams on the pan"
          sort="share"
          :min="0"
          :max="device.most"
          :step="1"
          deaf
          @change="(value) => attempt(() => lay(value))"
        />
        g</template
      >.
    </p>
  </DeviceFrame>
</template>

<style scoped>
.display {
  display: inline-block;
  min-width: 8.5em;
  margin: 4px 0 8px;
  padding: 6px 14px;
  border: 1px solid var(--hairline);
  background: var(--working);
  font: 600 26px/1.2 var(--mono);
  text-align: right;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>

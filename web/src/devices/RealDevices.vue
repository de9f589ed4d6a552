<script setup lang="ts">
import { computed, ref } from 'vue'
import { reasonOf } from '../app/reason.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import { type Connection, OWN_CAMERA, useDevices } from './devices.js'
import { type Flow, hasSerial } from './serial.js'
import { hasCamera } from './ownCamera.js'

/** Devices of the maker's own: over a serial port, or typing like a keyboard. */
const devices = useDevices()
const does = ref<'measures' | 'cuts'>('measures')
const bare = ref<Connection['bare']>('mm')
const baud = ref(9600)
const flow = ref<Flow>('hardware')
const why = ref('')
const own = computed(() => devices.connected.filter((c) => c.id.startsWith('serial-')))
async function attempt(act: () => Promise<void>): Promise<void> {
  why.value = ''
  try {
    await act()
  } catch (error) {
    why.value = reasonOf(error)
  }
}
const connect = (): Promise<void> =>
  attempt(() =>
    devices.connectSerial({
      does: does.value,
      bare: bare.value,
      baud: baud.value,
      flow: does.value === 'cuts' ? flow.value : 'none',
    }),
  )
const setCamera = (on: boolean): Promise<void> =>
  attempt(() => (on ? devices.connect(OWN_CAMERA) : devices.disconnect(OWN_CAMERA)))
const DOES = [
  { value: 'measures' as const, label: 'measures' },
  { value: 'cuts' as const, label: 'cuts, told in HPGL' },
]
const UNITS = (['mm', 'in', 'g'] as const).map((u) => ({ value: u, label: u }))
const FLOWS = [
  {
    value: 'hardware' as const,
    label: 'waits while it is busy',
    why: 'its cable has the wires that say so; few cutters hold a whole job',
  },
  {
    value: 'none' as const,
    label: 'sends on without asking',
    why: 'for a cable of three wires, and a cutter that takes a whole job at once',
  },
]
const BAUDS = [1200, 2400, 4800, 9600, 19200, 38400, 115200].map((b) => ({ value: b, label: String(b) }))
</script>

<template>
  <section class="own" aria-labelledby="own-devices">
    <h2 id="own-devices">Your own</h2>
    <p>
      A caliper, gauge or scale that types like a keyboard needs nothing: go into a field and measure. A
      printer is reached by the browser’s own dialogue, from Print on the Draft.
    </p>
    <p v-if="hasSerial()">
      Over a serial port, one that
      <ChoiceField :value="does" label="what it does" :options="DOES" @change="(v) => (does = v)" /><template
        v-if="does === 'measures'"
        >, in
        <ChoiceField
          :value="bare"
          label="unit of numbers that come without one"
          :options="UNITS"
          @change="(v) => (bare = v)"
        />
        where it says none</template
      >, at
      <ChoiceField :value="baud" label="speed of the port" :options="BAUDS" @change="(v) => (baud = v)" />
      baud<template v-if="does === 'cuts'"
        >; Drumlin
        <ChoiceField
          :value="flow"
          label="while the cutter is busy"
          :options="FLOWS"
          @change="(v) => (flow = v)" /></template
      >. <v-btn @click="connect">Choose its port</v-btn>
    </p>
    <p v-else class="quiet">
      This browser has no serial ports; Chromium’s have. Everything else works as it does.
    </p>
    <p v-if="hasCamera">
      <v-checkbox-btn
        :model-value="devices.isConnected(OWN_CAMERA)"
        label="Drumlin takes photographs with the camera of this machine"
        @update:model-value="(on: unknown) => setCamera(on === true)"
      />
    </p>
    <p v-if="why" role="alert" class="refused">That did not work: {{ why }}.</p>
    <p v-for="c in own" :key="c.id">
      {{ c.name }} is connected. <v-btn variant="plain" @click="devices.disconnect(c.id)">Let it go</v-btn>
    </p>
  </section>
</template>

<style scoped>
.own {
  border-top: 2px solid var(--hairline);
  padding: 10px 0 18px;
}
.refused {
  color: var(--rowan);
}
</style>

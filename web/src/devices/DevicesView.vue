<script setup lang="ts">
import { onScopeDispose, ref, shallowRef } from 'vue'
import type { Device } from '@drumlin/core/devices'
import CameraThing from './CameraThing.vue'
import CutterThing from './CutterThing.vue'
import { useDevices } from './devices.js'
import { watchStandIns } from './line.js'
import PrinterThing from './PrinterThing.vue'
import RealDevices from './RealDevices.vue'
import { standInsRead } from './standIns.js'
import TellerThing from './TellerThing.vue'

/** The bench's devices: small stand-ins to try everything with, and how one's own are connected. */
useDevices()
const all = shallowRef<readonly Device[]>([])
const away = ref(false)
/** Looked for again so often where the server does not answer, ms. */
const AGAIN = 3000
let stop: (() => void) | undefined
let again: ReturnType<typeof setTimeout> | undefined
function look(): void {
  stop = watchStandIns(
    (text) => {
      all.value = standInsRead(text)
      away.value = false
    },
    () => {
      away.value = true
      again = setTimeout(look, AGAIN)
    },
  )
}
look()
onScopeDispose(() => {
  clearTimeout(again)
  stop?.()
})
</script>

<template>
  <div class="devices">
    <h1>Devices</h1>
    <p class="quiet">
      Small stand-ins for what measures, prints, cuts and photographs at a bench, each with switches for what
      goes wrong with such things. What is connected here writes into the field you are in, on every screen
      and in every tab: open this page in a tab of its own and press there.
    </p>
    <p v-if="away" role="alert" class="away">
      The stand-ins are out of reach: the server that they stand behind does not answer. Everything else works
      without it.
    </p>
    <template v-else>
      <template v-for="d in all" :key="d.id">
        <TellerThing v-if="d.sort === 'teller'" :device="d" />
        <PrinterThing v-else-if="d.sort === 'printer'" :device="d" />
        <CutterThing v-else-if="d.sort === 'cutter'" :device="d" />
        <CameraThing v-else :device="d" />
      </template>
    </template>
    <RealDevices />
  </div>
</template>

<style scoped>
.devices {
  padding: 16px 28px 40px;
  max-width: 1120px;
  overflow-y: auto;
}
.away {
  color: var(--rowan);
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Device } from '@drumlin/core/devices'
import { reasonOf } from '../app/reason.js'
import { useDevices } from './devices.js'
import { handle } from './standIns.js'

/** A thing at the bench: itself, whether Drumlin is connected with it, its switches for mischief, what it got and said. */
const props = defineProps<{ device: Device; link: string }>()
const devices = useDevices()
const why = ref('')
const connected = computed(() => devices.isConnected(props.device.id))

async function attempt(act: () => Promise<unknown>): Promise<void> {
  why.value = ''
  try {
    await act()
  } catch (error) {
    why.value = reasonOf(error)
  }
}
const set = (on: boolean): Promise<void> =>
  attempt(async () => {
    if (on) await devices.connect(props.device.id)
    else await devices.disconnect(props.device.id)
  })
const mischief = (id: string, on: boolean): Promise<void> =>
  attempt(() => handle(props.device.id, { act: 'mischief', id, on }))
const BY = { device: 'says', told: 'got', hand: 'by hand' } as const
const latest = computed(() => props.device.log.slice(-6).toReversed())
defineExpose({ attempt })
</script>

<template>
  <section class="thing" :aria-labelledby="`device-${device.id}`">
    <div class="head">
      <h2 :id="`device-${device.id}`">{{ device.name }}</h2>
      <v-checkbox-btn
        class="link"
        :model-value="connected"
        :label="link"
        @update:model-value="(on: unknown) => set(on === true)"
      />
    </div>
    <div class="two">
      <div class="body"><slot :attempt="attempt" /></div>
      <div class="beside">
        <h3>Mischief</h3>
        <v-checkbox-btn
          v-for="m in device.mischief"
          :key="m.id"
          :model-value="m.on"
          :label="m.label"
          @update:model-value="(on: unknown) => mischief(m.id, on === true)"
        />
        <h3>What it got and said</h3>
        <ol v-if="latest.length > 0" role="list" class="log">
          <li v-for="(l, i) in latest" :key="`${device.log.length - i}`">
            <span class="quiet">{{ BY[l.by] }}</span> {{ l.text }}
          </li>
        </ol>
        <p v-else class="quiet">Nothing yet.</p>
      </div>
    </div>
    <p v-if="why" role="alert" class="refused">{{ why }}.</p>
  </section>
</template>

<style scoped>
.thing {
  border-top: 2px solid var(--hairline);
  padding: 10px 0 18px;
}
.head {
  display: flex;
  gap: 24px;
  align-items: center;
}
.head h2 {
  margin: 0;
}
.link {
  flex: none;
}
h3 {
  margin: 10px 0 2px;
  font: 650 14px/1.3 var(--ui);
  color: var(--quiet);
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 28px;
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
.beside :deep(.v-selection-control) {
  display: flex;
}
.log {
  list-style: none;
  margin: 0;
  padding: 0;
  font: 13px/1.6 var(--mono);
  overflow-wrap: anywhere;
}
.refused {
  color: var(--rowan);
}
</style>

<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import type { CutDrawing, DeviceOf } from '@drumlin/core/devices'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { minutesSaid } from '../parts/time.js'
import DeviceFrame from './DeviceFrame.vue'
import { cutDrawing, handle } from './standIns.js'

/** A cutter: its holders, what its tools have done on its bed, and what it complains of. */
const props = defineProps<{ device: DeviceOf<'cutter'> }>()
const drawn = shallowRef<CutDrawing>([])
watch(
  () => [props.device.lines, props.device.seconds],
  async () => {
    drawn.value = props.device.lines === 0 ? [] : await cutDrawing().catch(() => [])
  },
  { immediate: true },
)
const settings = useSettings()
const size = (mm: number): string => printLength(mm, settings.unit, 0)
const HOLDS = { pen: 'a pen', knife: 'a trailing knife', nothing: 'nothing' } as const
const path = (tool: 'pen' | 'knife'): string =>
  drawn.value
    .filter((l) => l.tool === tool)
    .map(
      (l) =>
        `M${l.points.map((p) => `${p.x.toFixed(2)} ${(props.device.bed.long - p.y).toFixed(2)}`).join('L')}`,
    )
    .join('')
</script>

<template>
  <DeviceFrame v-slot="{ attempt }" :device="device" link="Drumlin cuts on it">
    <p>
      <template v-for="(holds, i) in device.holders" :key="i"
        >{{ i === 0 ? 'Holder 1 has' : `, holder ${i + 1}` }} {{ HOLDS[holds] }}</template
      >. Its bed is {{ size(device.bed.wide) }} × {{ size(device.bed.long) }}.
    </p>
    <svg
      class="bed"
      :style="{ aspectRatio: `${device.bed.wide} / ${device.bed.long}` }"
      :viewBox="`0 0 ${device.bed.wide} ${device.bed.long}`"
      role="img"
      :aria-label="`Its bed, ${device.lines} lines drawn and cut`"
    >
      <path class="pen" :d="path('pen')" />
      <path class="knife" :d="path('knife')" />
    </svg>
    <p>
      {{ device.lines }} lines<template v-if="device.seconds > 0"
        >, {{ minutesSaid(Math.max(1, device.seconds / 60)) }}</template
      >.
      <v-btn @click="attempt(() => handle(device.id, { act: 'press', button: 'clear' }))"
        >Clear the bed</v-btn
      >
    </p>
    <ul v-if="device.complaints.length > 0" aria-label="Complaints" class="refused">
      <li v-for="(c, i) in device.complaints.slice(0, 5)" :key="i">{{ c }}</li>
      <li v-if="device.complaints.length > 5">and {{ device.complaints.length - 5 }} more</li>
    </ul>
  </DeviceFrame>
</template>

<style scoped>
.bed {
  display: block;
  max-width: 100%;
  height: 420px;
  background: var(--paper);
  box-shadow: 0 0 0 1px var(--hairline);
}
path {
  fill: none;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
.pen {
  stroke: var(--loch);
}
.knife {
  stroke: var(--rowan);
}
.refused {
  color: var(--rowan);
}
</style>

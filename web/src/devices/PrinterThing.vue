<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import type { PrintedPage, DeviceOf } from '@drumlin/core/devices'
import DeviceFrame from './DeviceFrame.vue'
import PrintedSheet from './PrintedSheet.vue'
import { handle, printOnStandIn, printedPage } from './standIns.js'

/** A printer: the pages in its tray, to be measured as paper is. */
const props = defineProps<{ device: DeviceOf<'printer'> }>()
const at = ref(0)
const page = shallowRef<PrintedPage>()
watch(
  () => props.device.pages,
  (now, before = 0) => {
    // The first of what was printed last lies on top.
    if (now > before) at.value = before
    if (at.value >= now) at.value = Math.max(0, now - 1)
  },
  { immediate: true },
)
watch(
  [at, () => props.device.pages],
  async ([i, pages]) => {
    page.value = pages > 0 ? await printedPage(i).catch(() => undefined) : undefined
  },
  { immediate: true },
)
const frame = ref<InstanceType<typeof DeviceFrame>>()
const picker = useFileDialog({ accept: 'application/pdf', multiple: false, reset: true })
picker.onChange((files) => {
  const [file] = files ?? []
  if (file) void frame.value?.attempt(() => printOnStandIn(file))
})
const errs = computed(() => {
  const { across, along, skew } = props.device
  const per = (share: number): string => `${(100 * share).toFixed(1)} %`
  return across === 1 && along === 1 && skew === 0
    ? 'It prints true.'
    : `It prints ${per(across)} across and ${per(along)} along; a page leans by ${((Math.atan(skew) * 180) / Math.PI).toFixed(2)}°.`
})
</script>

<template>
  <DeviceFrame ref="frame" v-slot="{ attempt }" :device="device" link="Drumlin prints on it">
    <p>{{ errs }}</p>
    <p class="row">
      <v-btn @click="picker.open()">Print a PDF file</v-btn>
      <template v-if="device.pages > 0">
        <v-btn :disabled="at === 0" @click="at -= 1">Page before</v-btn>
        <v-btn :disabled="at >= device.pages - 1" @click="at += 1">Next page</v-btn>
        <v-btn @click="attempt(() => handle(device.id, { act: 'press', button: 'empty' }))"
          >Empty the tray</v-btn
        >
      </template>
    </p>
    <p role="status">
      {{
        device.pages === 0 ? 'Nothing lies in its tray.' : `Page ${at + 1} of ${device.pages} in its tray.`
      }}
    </p>
    <PrintedSheet v-if="page" :key="at" :page="page" />
  </DeviceFrame>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>

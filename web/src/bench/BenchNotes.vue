<script setup lang="ts">
import { useDropZone, useFileDialog, useSpeechRecognition } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useDevices } from '../devices/devices.js'
import { photosOf } from '../storage/makings.js'
import type { AtBench } from './atBench.js'

/** A note or a mistake written down at the step, typed or dictated; a photograph taken or dropped on it. */
const props = defineProps<{ bench: AtBench }>()
const writing = defineModel<'note' | 'not so' | undefined>('writing')
const text = ref('')
const why = ref('')
const speech = useSpeechRecognition({ continuous: true })
watch(speech.result, (heard) => (text.value = heard))
watch(writing, (now) => {
  text.value = ''
  if (now === undefined) speech.stop()
})
function keep(): void {
  if (writing.value) props.bench.note(writing.value, text.value)
  writing.value = undefined
}
async function taken(files: readonly File[] | FileList | null): Promise<void> {
  why.value = ''
  for (const file of files ?? []) why.value = await props.bench.photograph(file)
}
/** The photographs of this step, small. */
const pictures = shallowRef<readonly string[]>([])
function dropUrls(): void {
  for (const url of pictures.value) URL.revokeObjectURL(url)
}
watch(
  () => props.bench.kept.value?.photos.join(),
  async () => {
    const [making, step] = [props.bench.making.value, props.bench.step.value]
    const all = making ? await photosOf(making.id) : []
    dropUrls()
    pictures.value = all.filter((p) => p.step === step?.id).map((p) => URL.createObjectURL(p.picture))
  },
  { immediate: true },
)
onScopeDispose(dropUrls)
const devices = useDevices()
async function shoot(): Promise<void> {
  const shot = await devices.photograph()
  if (typeof shot === 'string') why.value = `The camera gave no picture: ${shot}.`
  else await taken([shot])
}
const picker = useFileDialog({ accept: 'image/*', capture: 'environment', reset: true })
picker.onChange(taken)
const zone = useTemplateRef<HTMLElement>('zone')
const { isOverDropZone } = useDropZone(zone, { onDrop: taken })
</script>

<template>
  <section ref="zone" class="notes" :class="{ over: isOverDropZone }" aria-label="Notes and photographs">
    <template v-if="writing">
      <v-textarea
        v-model="text"
        :label="
          writing === 'note' ? 'What is to be remembered' : 'What went otherwise, and how it was mended'
        "
        rows="2"
        auto-grow
        autofocus
        maxlength="2000"
        hide-details
      />
      <p class="row">
        <v-btn size="large" variant="flat" :disabled="text.trim() === ''" @click="keep">Write it down</v-btn>
        <v-btn v-if="speech.isSupported.value" size="large" @click="speech.toggle()">{{
          speech.isListening.value ? 'Stop listening' : 'Dictate'
        }}</v-btn>
        <v-btn size="large" @click="writing = undefined">Leave it</v-btn>
      </p>
    </template>
    <p v-else class="row">
      <v-btn @click="writing = 'note'">Note</v-btn>
      <v-btn @click="picker.open()">Photograph</v-btn>
      <v-btn v-if="devices.camera" @click="shoot">With the camera</v-btn>
      <span class="quiet"
        >{{ bench.kept.value?.photos.length ?? 0 }} kept with this step; one can also be dropped here</span
      >
    </p>
    <p v-if="pictures.length > 0" class="row">
      <img v-for="(p, i) in pictures" :key="p" :src="p" :alt="`Photograph ${i + 1} of this step`" />
    </p>
    <p v-if="why" role="alert">{{ why }}.</p>
  </section>
</template>

<style scoped>
.notes {
  margin-top: 12px;
  padding: 6px;
  border: 1px dashed transparent;
}
.over {
  border-color: var(--moss);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 6px;
}
img {
  height: 96px;
}
.quiet {
  color: var(--quiet);
  font-size: 15px;
}
</style>

<script setup lang="ts">
import { useDropZone, useFileDialog } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useDevices } from '../devices/devices.js'
import NameField from '../sentence/NameField.vue'
import type { Recording } from './recording.js'

/** Photographs of a making, small, the original kept where that is wanted. */
const props = defineProps<{ recording: Recording }>()
const record = computed(() => props.recording.making.value!.record)
const why = ref('')
const original = ref(false)
async function taken(files: readonly File[] | FileList | null): Promise<void> {
  why.value = ''
  for (const file of files ?? []) {
    const refused = await props.recording.photograph(file, original.value)
    if (refused) why.value = refused
  }
}
const devices = useDevices()
async function shoot(): Promise<void> {
  const shot = await devices.photograph()
  if (typeof shot === 'string') why.value = `The camera gave no picture: ${shot}`
  else await taken([shot])
}
const picker = useFileDialog({ accept: 'image/*', multiple: true, reset: true })
picker.onChange(taken)
const zone = useTemplateRef<HTMLElement>('zone')
const { isOverDropZone } = useDropZone(zone, { onDrop: taken })
const caption = (id: string, text: string): void =>
  void props.recording.edit({ captions: { ...record.value.captions, [id]: text } })
</script>

<template>
  <div ref="zone" :class="{ over: isOverDropZone }" class="zone">
    <p class="row">
      <v-btn @click="picker.open()">Add photographs</v-btn>
      <v-btn v-if="devices.camera" @click="shoot">Take one with the camera</v-btn>
      <v-checkbox v-model="original" label="keep the originals too" density="compact" hide-details />
    </p>
    <p v-if="why" role="alert" class="wrong">{{ why }}.</p>
    <figure v-for="(s, i) in recording.shots.value" :key="s.id">
      <img :src="s.url" :alt="record.captions[s.id] ?? `Photograph ${i + 1}`" />
      <figcaption>
        <NameField
          :value="record.captions[s.id] ?? 'no words to it'"
          :label="`words to photograph ${i + 1}`"
          :max="300"
          @change="(t) => caption(s.id, t)"
        />
        <v-btn
          v-if="s.hasOriginal"
          variant="plain"
          class="link"
          :aria-label="`The original of photograph ${i + 1}`"
          @click="recording.original(s.id)"
          >the original</v-btn
        >
        <v-btn
          variant="plain"
          class="link"
          :aria-label="`Remove photograph ${i + 1}`"
          @click="recording.forgetPhoto(s.id)"
          >remove</v-btn
        >
      </figcaption>
    </figure>
  </div>
</template>

<style scoped>
.zone {
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
}
figure {
  margin: 8px 0;
}
img {
  max-width: 100%;
  max-height: 180px;
}
.wrong {
  color: var(--rowan);
}
</style>

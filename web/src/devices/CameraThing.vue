<script setup lang="ts">
import type { DeviceOf } from '@drumlin/core/devices'
import { onScopeDispose, ref } from 'vue'
import ChoiceField from '../sentence/ChoiceField.vue'
import DeviceFrame from './DeviceFrame.vue'
import { handle, standInPhotograph } from './standIns.js'

/** A camera: what lies before it, and what its last picture shows. */
const props = defineProps<{ device: DeviceOf<'camera'> }>()
const picture = ref<string>()
const broken = ref(false)
const drop = (): void => void (picture.value && URL.revokeObjectURL(picture.value))
onScopeDispose(drop)
async function shoot(): Promise<void> {
  const taken = await standInPhotograph()
  drop()
  broken.value = false
  picture.value = URL.createObjectURL(taken)
}
const before = (scene: string) => handle(props.device.id, { act: 'set', setting: 'scene', value: scene })
</script>

<template>
  <DeviceFrame v-slot="{ attempt }" :device="device" link="Drumlin takes photographs with it">
    <p>
      Before it lies
      <ChoiceField
        :value="device.scene"
        label="what lies before the camera"
        :options="device.scenes.map((s) => ({ value: s.id, label: s.label }))"
        @change="(scene) => attempt(() => before(scene))"
      />.
      <v-btn @click="attempt(shoot)">Take a photograph</v-btn>
    </p>
    <p v-if="broken" role="alert" class="refused">Its picture can’t be read: it was cut short.</p>
    <img
      v-else-if="picture"
      :src="picture"
      alt="What the camera sees"
      class="picture"
      @error="broken = true"
    />
  </DeviceFrame>
</template>

<style scoped>
.picture {
  max-width: 100%;
  max-height: 300px;
}
.refused {
  color: var(--rowan);
}
</style>

<script setup lang="ts">
import { ref } from 'vue'
import { mdiExport } from '@mdi/js'
import { reasonOf } from '../app/reason.js'
import { type DrawingBox, drawingPng, drawingSvg } from '../output/drawing.js'
import { saveDrawing } from '../output/save.js'

/** A drawing of a screen taken out: as a file, or as a picture on the clipboard. */
const props = defineProps<{
  /** The drawing as it stands on the screen. */
  drawing: () => SVGSVGElement | undefined
  /** What it is called, in the menu and in the name of its file. */
  name: string
  /** What of its plane is taken, where that is more than shows on the screen. */
  taken?: DrawingBox
}>()
const said = ref('')
async function take(what: string, act: (of: SVGSVGElement) => Promise<string>): Promise<void> {
  const of = props.drawing()
  if (!of) return
  try {
    said.value = await act(of)
  } catch (error) {
    said.value = `The ${what} could not be made: ${reasonOf(error)}.`
  }
}
const svg = (): Promise<void> =>
  take('SVG', async (of) => {
    saveDrawing(drawingSvg(of, props.name, props.taken), props.name)
    return 'Saved as SVG.'
  })
const png = (): Promise<void> =>
  take('picture', async (of) => {
    saveDrawing(await drawingPng(of, props.name, props.taken), props.name)
    return 'Saved as a picture.'
  })
const copy = (): Promise<void> =>
  take('picture', async (of) => {
    await navigator.clipboard.write([
      new ClipboardItem({ 'image/png': drawingPng(of, props.name, props.taken) }),
    ])
    return 'Copied.'
  })
</script>

<template>
  <v-menu>
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" variant="plain" :aria-label="`Take out: ${name}`" :title="`Take out: ${name}`">
        <v-icon :icon="mdiExport" size="18" />
      </v-btn>
    </template>
    <v-list :aria-label="`Take out: ${name}`">
      <v-list-item title="Save as SVG" @click="svg" />
      <v-list-item title="Save as PNG" @click="png" />
      <v-list-item title="Copy as a picture" @click="copy" />
    </v-list>
  </v-menu>
  <span v-if="said" role="status" class="quiet">{{ said }}</span>
</template>

<script setup lang="ts">
import { onMounted, useTemplateRef, watch } from 'vue'
import type { Snapshot } from '@drumlin/core/snapshot'

/** A small picture that came as pixels. Says nothing itself: what it shows is named beside it. */
const props = defineProps<{ picture: Snapshot }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
function draw(): void {
  const { width, height, pixels } = props.picture
  const context = canvas.value?.getContext('2d')
  if (!canvas.value || !context) return
  canvas.value.width = width
  canvas.value.height = height
  context.putImageData(new ImageData(pixels, width, height), 0, 0)
}
onMounted(draw)
watch(() => props.picture, draw)
</script>

<template>
  <canvas ref="canvas" aria-hidden="true" />
</template>

<style scoped>
canvas {
  display: block;
  max-width: 100%;
  height: 100%;
  margin: 0 auto;
  object-fit: contain;
}
</style>

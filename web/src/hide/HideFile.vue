<script setup lang="ts">
import type { Path } from '@drumlin/core/geometry'
import { outlineOfPath } from '@drumlin/core/hide'
import type { Hide } from '@drumlin/core/stores'
import { ref } from 'vue'
import FileOutline from '../drawing/FileOutline.vue'

/** The outline of a hide from a file. */
const emit = defineEmits<{ change: [more: Partial<Hide>] }>()
const why = ref('')
function found(path: Path | undefined): void {
  if (!path) return
  const made = outlineOfPath(path)
  why.value = made.ok ? '' : made.why
  if (made.ok) emit('change', { outline: made.outline, backbone: made.backbone })
}
</script>

<template>
  <p class="quiet">
    Its x runs along the backbone, the butt to the left; the backbone is taken to be its upper edge and can be
    moved afterwards.
  </p>
  <FileOutline @path="found" />
  <p v-if="why" role="alert" class="why">{{ why }}</p>
</template>

<style scoped>
.why {
  color: var(--rowan);
}
</style>

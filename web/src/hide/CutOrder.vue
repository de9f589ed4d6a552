<script setup lang="ts">
import { computed } from 'vue'
import { cuttingOrder, pieceName } from '@drumlin/core/hide'
import type { Laying } from './laying.js'

/** In which order the pieces are cut: straps from the straight edge first, small things so that they are not forgotten. */
const props = defineProps<{ laying: Laying }>()
const emit = defineEmits<{ choose: [id: string] }>()
const WHY = {
  strap: 'strap, from the straight edge',
  large: 'shows or bears',
  rest: '',
  small: 'small: don’t forget it',
} as const
const steps = computed(() => {
  const { asked, wanted } = props.laying.group.value!
  return cuttingOrder(asked.lying, wanted).map(({ id, why }) => {
    const w = wanted.find((one) => one.id === id)!
    return { id, name: pieceName(w, wanted), why: WHY[why] }
  })
})
</script>

<template>
  <ol>
    <li v-for="s in steps" :key="s.id">
      <v-btn variant="plain" class="link" @click="emit('choose', s.id)">{{ s.name }}</v-btn>
      <span v-if="s.why" class="quiet">, {{ s.why }}</span>
    </li>
  </ol>
</template>

<style scoped>
ol {
  margin: 0;
  padding-left: 28px;
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>

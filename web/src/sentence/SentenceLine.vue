<script setup lang="ts">
import { computed } from 'vue'
import { fieldsOf, sentenceParts } from '@drumlin/core/kinds'
import { useTarget } from './target.js'
import FieldControl from './FieldControl.vue'

const props = defineProps<{ sentence: string }>()
const target = useTarget()

const parts = computed(() => {
  const [derived, design] = [target.derived.value, target.design.value]
  return derived && design ? sentenceParts(props.sentence, fieldsOf(derived.kind), design.params) : []
})
</script>

<template>
  <p v-if="parts.length > 0" class="sentence">
    <template v-for="(part, i) in parts" :key="i">
      <FieldControl v-if="'field' in part" :field="part.field" /><template v-else>{{ part.words }}</template>
    </template>
  </p>
</template>

<style scoped>
.sentence {
  margin: 0 0 8px;
  line-height: 1.75;
}
</style>

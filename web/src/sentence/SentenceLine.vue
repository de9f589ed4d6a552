<script setup lang="ts">
import { computed } from 'vue'
import { type Field, fieldsOf } from '@drumlin/core'
import { useTarget } from './target.js'
import FieldControl from './FieldControl.vue'

const props = defineProps<{ sentence: string }>()
const target = useTarget()

type Part = { readonly words: string } | { readonly field: Field }
const parts = computed<Part[]>(() => {
  const fields = target.derived.value ? fieldsOf(target.derived.value.kind) : []
  return props.sentence
    .split(/(\{[\w-]+\})/)
    .filter(Boolean)
    .map((part): Part => {
      const field = part.startsWith('{') ? fields.find((f) => f.id === part.slice(1, -1)) : undefined
      return field ? { field } : { words: part }
    })
})
</script>

<template>
  <p class="sentence">
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

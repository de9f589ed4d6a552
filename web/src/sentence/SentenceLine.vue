<script setup lang="ts">
import { computed } from 'vue'
import { type Field, fieldsOf, sentenceParts } from '@drumlin/core/kinds'
import { useTarget } from './target.js'
import FieldControl from './FieldControl.vue'

/** Settings of the job’s kind stand in it, or those given with what they are settings of. */
const props = defineProps<{
  sentence: string
  fields?: readonly Field[]
  params?: Readonly<Record<string, unknown>>
}>()
const target = useTarget()

type Part =
  { readonly field: Field; readonly before: string; readonly after: string } | { readonly words: string }
const OPENS = /[(“]$/
const CLOSES = /^[.,;:)”×]+/
/** The parts of the sentence; a bracket before a control and a sign after it stay on its line. */
const parts = computed(() => {
  const [derived, design] = [target.derived.value, target.design.value]
  if (!derived || !design) return []
  const all = sentenceParts(
    props.sentence,
    props.fields ?? fieldsOf(derived.kind),
    props.params ?? design.params,
  )
  const wordsAt = (i: number): string => {
    const part = all[i]
    return part && 'words' in part ? part.words : ''
  }
  const isField = (i: number): boolean => all[i] !== undefined && 'field' in all[i]
  return all.map((part, i): Part => {
    if ('field' in part)
      return {
        field: part.field,
        before: OPENS.exec(wordsAt(i - 1))?.[0] ?? '',
        after: CLOSES.exec(wordsAt(i + 1))?.[0] ?? '',
      }
    const head = isField(i - 1) ? part.words.replace(CLOSES, '') : part.words
    return { words: isField(i + 1) ? head.replace(OPENS, '') : head }
  })
})
</script>

<template>
  <p v-if="parts.length > 0" class="sentence">
    <template v-for="(part, i) in parts" :key="i">
      <span v-if="'field' in part" :class="{ held: part.field.type !== 'leather' }"
        >{{ part.before }}<FieldControl :field="part.field" />{{ part.after }}</span
      ><template v-else>{{ part.words }}</template>
    </template>
  </p>
</template>

<style scoped>
.held {
  white-space: nowrap;
}
.sentence {
  margin: 0 0 8px;
  line-height: 1.75;
}
</style>

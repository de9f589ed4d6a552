<script setup lang="ts">
import { computed } from 'vue'
import { type Added, addedFields, addedSentences } from '@drumlin/core/added'
import type { Derived } from '@drumlin/core/derived'
import { setField, takeOff } from '@drumlin/core/design'
import { useJob } from '../job/job.js'
import NameField from '../sentence/NameField.vue'
import SentenceLine from '../sentence/SentenceLine.vue'

/** Something put on a piece: what it is, where it lies, and how to be rid of it. */
const props = defineProps<{ id: string; part: Added; derived: Derived }>()
const job = useJob()
const host = computed(() => props.derived.panels.find((p) => p.id === props.part.on))
const fields = computed(() => addedFields(props.id, props.part, host.value))
const called = (name: string): void =>
  void job.edit(setField(`call it ${name}`, ['added', props.id, 'name'], name))
const away = (): void => void (job.design && job.edit(takeOff(job.design, props.id)))
</script>

<template>
  <section :aria-label="part.name" :data-added="id" class="part">
    <h2>
      <NameField
        :value="part.name"
        :label="`name of the ${part.name.toLowerCase()}`"
        :max="60"
        @change="called"
      />
    </h2>
    <SentenceLine
      v-for="s in addedSentences(part, host)"
      :key="s"
      :sentence="s"
      :fields="fields"
      :params="part.params"
    />
    <v-btn variant="plain" class="link" :aria-label="`Take the ${part.name.toLowerCase()} away`" @click="away"
      >take it away</v-btn
    >
  </section>
</template>

<style scoped>
.part {
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
  margin-bottom: 8px;
}
h2 {
  margin: 0 0 4px;
  font-size: 15px;
}
.link {
  padding: 0;
  color: var(--loch);
  text-decoration: underline;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { rename, renameDraft } from '@drumlin/core/design'
import { useJob } from '../job/job.js'
import NameField from '../sentence/NameField.vue'
import { useSettings } from './settings.js'

const props = defineProps<{ jobId: string | undefined }>()
const emit = defineEmits<{ find: []; keys: [] }>()
const job = useJob()
const settings = useSettings()
const here = computed(() => props.jobId !== undefined && job.record?.id === props.jobId)
/** “saved” only where everything shown is kept. */
const state = computed(() => {
  const { desk } = job
  if (desk?.gone || desk?.failure) return 'not saved'
  return job.pending > 0 || (desk && desk.waiting.length > 0) ? 'saving' : 'saved'
})
</script>

<template>
  <header>
    <RouterLink to="/" class="mark" aria-label="Drumlin: to the shelf">
      <svg
        viewBox="0 0 28 18"
        width="28"
        height="18"
        fill="none"
        stroke="currentColor"
        stroke-width="1.6"
        aria-hidden="true"
      >
        <path d="M1 17C4 5 10 2 14 2s10 3 13 15" />
        <path d="M6 17c2-8 5-10 8-10s6 2 8 10" />
        <path d="M10.5 17c1-4 2-5 3.5-5s2.500 1 3.500 5" />
      </svg>
    </RouterLink>
    <template v-if="here && job.design">
      <NameField
        class="name"
        :value="job.design.name"
        label="Name of the job"
        :max="80"
        @change="(name) => job.edit(rename(name))"
      />
      <NameField
        class="draft quiet"
        :value="job.design.draft"
        label="Which draft this is"
        :max="40"
        @change="(draft) => job.edit(renameDraft(draft))"
      />
      <RouterLink class="drafts" :to="{ name: 'drafts', params: { id: jobId } }">Drafts</RouterLink>
      <RouterLink class="drafts" :to="{ name: 'what-if', params: { id: jobId } }">What if</RouterLink>
      <span class="quiet" role="status">{{ job.record?.example ? 'example · ' : '' }}{{ state }}</span>
    </template>
    <span v-else class="name">Drumlin</span>
    <span class="space" />
    <template v-if="here">
      <button class="plain step" :disabled="!job.undoName" @click="job.undo()">
        Undo{{ job.undoName ? ` “${job.undoName}”` : '' }}
      </button>
      <button class="plain step" :disabled="!job.redoName" @click="job.redo()">
        Redo{{ job.redoName ? ` “${job.redoName}”` : '' }}
      </button>
    </template>
    <div class="switch" role="group" aria-label="Units">
      <button :aria-pressed="settings.unit === 'mm'" @click="settings.setUnit('mm')">mm</button>
      <button :aria-pressed="settings.unit === 'in'" @click="settings.setUnit('in')">in</button>
    </div>
    <button
      class="plain step"
      :aria-pressed="settings.light === 'lamp'"
      @click="settings.setLight(settings.light === 'lamp' ? 'chalk' : 'lamp')"
    >
      {{ settings.light === 'lamp' ? 'Daylight' : 'Lamp' }}
    </button>
    <button class="plain step" @click="emit('find')">Find <kbd>/</kbd></button>
    <button class="plain step" @click="emit('keys')">Keys <kbd>?</kbd></button>
  </header>
</template>

<style scoped>
header {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 0 16px;
  background: var(--surface);
  border-bottom: 1px solid var(--hairline);
  white-space: nowrap;
  min-width: 0;
}
.mark {
  color: var(--moss);
  display: flex;
}
.name {
  font: 650 16px/1.2 var(--ui);
  color: var(--ink);
}
.drafts {
  color: var(--loch);
}
.draft {
  font: 400 15px/1.2 var(--ui);
  color: var(--quiet);
}
.space {
  flex: 1;
}
.step {
  color: var(--quiet);
  min-height: 30px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.step:disabled {
  opacity: 0.55;
  cursor: default;
}
.step:hover:not(:disabled) {
  color: var(--ink);
}
kbd {
  font: 13px var(--mono);
  border: 1px solid var(--hairline);
  border-radius: 4px;
  padding: 1px 6px;
  color: var(--ink);
}
.switch {
  display: flex;
  border: 1px solid var(--hairline);
  border-radius: 6px;
  overflow: hidden;
}
.switch button {
  border: 0;
  padding: 2px 10px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.switch button[aria-pressed='true'] {
  background: var(--moss);
  color: var(--on-moss);
  font-weight: 650;
}
</style>

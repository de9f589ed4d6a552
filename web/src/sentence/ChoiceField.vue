<script setup lang="ts">
import { computed } from 'vue'

export interface Option {
  readonly value: string
  readonly label: string
  readonly why: string
}

const props = defineProps<{ value: string; label: string; options: readonly Option[] }>()
const emit = defineEmits<{ change: [value: string] }>()
const chosen = computed(() => props.options.find((o) => o.value === props.value))
</script>

<template>
  <v-menu>
    <template #activator="{ props: opener }">
      <button
        v-bind="opener"
        type="button"
        class="plain choice"
        :aria-label="`${label}: ${chosen?.label ?? value}`"
      >
        {{ chosen?.label ?? value }}
      </button>
    </template>
    <v-list :aria-label="label" max-width="360">
      <v-list-item
        v-for="o in options"
        :key="o.value"
        :active="o.value === value"
        color="primary"
        @click="o.value !== value && emit('change', o.value)"
      >
        <span class="name">{{ o.label }}</span>
        <span class="why quiet">{{ o.why }}</span>
      </v-list-item>
    </v-list>
  </v-menu>
</template>

<style scoped>
.choice {
  display: inline;
  font-weight: 650;
  border-bottom: 2px solid color-mix(in srgb, var(--moss) 45%, transparent);
  white-space: normal;
}
.choice:hover {
  border-bottom-color: var(--moss);
}
.name,
.why {
  display: block;
}
.why {
  font-size: 13px;
}
</style>

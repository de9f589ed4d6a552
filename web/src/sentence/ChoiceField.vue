<script setup lang="ts" generic="T extends string | number">
import { computed, ref, watch } from 'vue'
import type { AddedPicture, ChoicePicture } from '@drumlin/core/overview'
import ChoiceDrawing from './ChoiceDrawing.vue'

/** One of several, said in a sentence. Typing in the open menu goes to what begins with that. */
const props = defineProps<{
  value: T
  label: string
  options: readonly { readonly value: T; readonly label: string; readonly why?: string }[]
  /** A sign that stays on its line. */
  then?: string
  /** Whether pictures of the choices are being drawn, and what was drawn of them. */
  drawing?: boolean
  pictures?: Readonly<Record<string, ChoicePicture | AddedPicture>> | undefined
}>()
const emit = defineEmits<{ change: [value: T]; open: [] }>()
const chosen = computed(() => props.options.find((o) => o.value === props.value))
const said = computed(() => chosen.value?.label ?? String(props.value))

const pictureOf = (value: T): ChoicePicture | AddedPicture | undefined => props.pictures?.[String(value)]

const open = ref(false)
watch(open, (now) => now && emit('open'))
const list = ref<HTMLElement>()
/** What was typed within a moment of each other. */
let typed = { text: '', at: 0 }
function typedKey(event: KeyboardEvent): void {
  if (event.key.length !== 1 || event.key === ' ' || event.ctrlKey || event.metaKey || event.altKey) return
  typed = {
    text: (event.timeStamp - typed.at < 900 ? typed.text : '') + event.key.toLowerCase(),
    at: event.timeStamp,
  }
  const at = props.options.findIndex((o) =>
    o.label
      .toLowerCase()
      .split(/[\s(]+/)
      .some((_, i, words) => words.slice(i).join(' ').startsWith(typed.text)),
  )
  const items = list.value?.querySelectorAll<HTMLElement>('.v-list-item')
  if (at >= 0) items?.[at]?.focus()
}
</script>

<template>
  <v-menu v-model="open">
    <template #activator="{ props: opener }">
      <!-- A line of words that acts: a button of the browser could not break over two lines. -->
      <span
        v-bind="opener"
        class="choice"
        role="button"
        tabindex="0"
        :aria-label="`${label}: ${said}`"
        @keydown.enter.prevent="open = true"
        @keydown.space.prevent="open = true"
        >{{ said }}</span>{{ then }}
    </template>
    <div ref="list" role="dialog" :aria-label="label" @keydown="typedKey">
      <v-list :aria-label="label" max-width="520" max-height="480">
        <v-list-item
          v-for="o in options"
          :key="o.value"
          :active="o.value === value"
          :aria-current="o.value === value ? 'true' : undefined"
          color="primary"
          @click="o.value !== value && emit('change', o.value)"
        >
          <template v-if="drawing || pictureOf(o.value)" #prepend>
            <span class="picture"
              ><ChoiceDrawing v-if="pictureOf(o.value)" :drawing="pictureOf(o.value)!" /><v-skeleton-loader
                v-else
                type="image"
                max-height="80"
            /></span>
          </template>
          <span class="name">{{ o.label }}</span>
          <span v-if="o.why" class="why quiet">{{ o.why }}</span>
        </v-list-item>
      </v-list>
    </div>
  </v-menu>
</template>

<style scoped>
.choice {
  border-bottom: 2px solid color-mix(in srgb, var(--moss) 45%, transparent);
  font-weight: 650;
  white-space: normal;
  cursor: pointer;
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
.picture {
  display: block;
  width: 120px;
  height: 80px;
  margin-right: 12px;
  overflow: hidden;
}
</style>

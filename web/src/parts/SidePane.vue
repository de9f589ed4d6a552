<script setup lang="ts">
import { mdiChevronDoubleLeft, mdiChevronDoubleRight } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useDisplay } from 'vuetify'
import { useWantedField } from '../sentence/wanted.js'

/** What is said beside the work: can be widened and folded; a drawer where there is no room for both. */
const props = defineProps<{ label: string }>()
const { mdAndUp, width: window } = useDisplay()
const [NARROWEST, WIDEST] = [280, 640]
/** A quarter of a wide screen, until the maker draws it to a width of their own. */
const width = useLocalStorage('side-pane', Math.max(330, Math.min(560, Math.round(window.value / 4.6))))
const folded = useLocalStorage('side-pane-folded', false)
const drawn = ref(false)
/** Who is led to a setting that stands here finds it drawn out. */
const wanted = useWantedField()
watch(wanted, (id) => (drawn.value = id !== undefined), { immediate: true })
const widest = computed(() => Math.min(WIDEST, window.value - 560))
const set = (to: number): void =>
  void (width.value = Math.max(NARROWEST, Math.min(widest.value, Math.round(to))))

const held = ref<{ x: number; width: number }>()
function grab(event: PointerEvent): void {
  ;(event.target as HTMLElement).setPointerCapture(event.pointerId)
  held.value = { x: event.clientX, width: width.value }
}
const drag = (event: PointerEvent): void => {
  if (held.value) set(held.value.width + held.value.x - event.clientX)
}
function key(event: KeyboardEvent): void {
  const by = { ArrowLeft: 20, ArrowRight: -20, Home: WIDEST, End: -WIDEST }[event.key]
  if (by === undefined) return
  event.preventDefault()
  set(width.value + by)
}
</script>

<template>
  <template v-if="mdAndUp">
    <v-btn
      v-if="folded"
      class="unfold"
      variant="plain"
      :aria-label="`Show: ${props.label}`"
      :title="`Show: ${props.label}`"
      @click="folded = false"
    >
      <v-icon :icon="mdiChevronDoubleLeft" size="20" />
    </v-btn>
    <aside
      v-else
      class="side-pane"
      :aria-label="props.label"
      :style="{ width: `${Math.min(width, Math.max(NARROWEST, widest))}px` }"
    >
      <div
        class="edge"
        role="separator"
        tabindex="0"
        aria-orientation="vertical"
        :aria-label="`Width of: ${props.label}`"
        :aria-valuenow="width"
        :aria-valuemin="NARROWEST"
        :aria-valuemax="WIDEST"
        @pointerdown="grab"
        @pointermove="drag"
        @pointerup="held = undefined"
        @pointercancel="held = undefined"
        @keydown="key"
      />
      <v-btn
        class="away"
        variant="plain"
        :aria-label="`Fold away: ${props.label}`"
        :title="`Fold away: ${props.label}`"
        @click="folded = true"
      >
        <v-icon :icon="mdiChevronDoubleRight" size="20" />
      </v-btn>
      <slot />
    </aside>
  </template>
  <template v-else>
    <h1 v-if="!drawn" class="visually-hidden">{{ props.label }}</h1>
    <v-btn class="pull" variant="flat" @click="drawn = true">{{ props.label }}</v-btn>
    <v-navigation-drawer
      v-model="drawn"
      class="side-drawer"
      location="end"
      temporary
      :width="Math.min(380, window * 0.92)"
      :aria-label="props.label"
    >
      <div v-if="drawn" class="drawer">
        <v-btn class="leave" @click="drawn = false">Close</v-btn>
        <slot />
      </div>
    </v-navigation-drawer>
  </template>
</template>

<style scoped>
.side-pane {
  position: relative;
  display: flex;
  flex: none;
  flex-direction: column;
  min-height: 0;
  border-left: 1px solid var(--hairline);
  background: var(--ground);
}
.edge {
  position: absolute;
  left: -5px;
  top: 0;
  bottom: 0;
  z-index: 2;
  width: 9px;
  cursor: col-resize;
  touch-action: none;
}
.edge:hover,
.edge:focus-visible {
  background: color-mix(in srgb, var(--heather) 30%, transparent);
}
.away {
  position: absolute;
  right: 8px;
  top: 12px;
  z-index: 2;
  color: var(--quiet);
}
.unfold {
  flex: none;
  width: 28px;
  padding-top: 14px;
  border-left: 1px solid var(--hairline);
  border-radius: 0;
  background: var(--ground);
  color: var(--quiet);
}
.pull {
  position: absolute;
  right: 12px;
  bottom: 12px;
  z-index: 4;
  min-height: 40px;
}
.drawer {
  display: flex;
  flex-direction: column;
  min-height: 100%;
  background: var(--ground);
}
.leave {
  align-self: flex-end;
  margin: 10px 14px 0;
}
</style>

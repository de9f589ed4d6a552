<script setup lang="ts">
import TakeDrawing from '../parts/TakeDrawing.vue'
import { computed, shallowRef, useTemplateRef, watch } from 'vue'
import type { Point } from '@drumlin/core/geometry'
import { type HideAt, type Lying, sayFault, worldOf } from '@drumlin/core/hide'
import { useSettings } from '../app/settings.js'
import RulerEdge from '../sheet/RulerEdge.vue'
import ZoomButtons from '../sheet/ZoomButtons.vue'
import { useSheetView } from '../sheet/view.js'
import { usePieceActs } from './acts.js'
import HideGround from './HideGround.vue'
import HidePiece from './HidePiece.vue'
import type { Laying } from './laying.js'

/** The hides of one material side by side, with the pieces where they lie. */
const props = defineProps<{ laying: Laying }>()
const chosen = defineModel<string | undefined>('chosen')
const settings = useSettings()
const acts = usePieceActs(props.laying)
const group = computed(() => props.laying.group.value!)
const world = computed(() => worldOf(group.value.hides))

const svg = useTemplateRef<SVGSVGElement>('svg')
const ROUND = 30
const view = useSheetView(
  computed(() => svg.value ?? undefined),
  () => ({
    left: -ROUND,
    top: -ROUND,
    right: world.value.length + ROUND,
    bottom: world.value.width + ROUND,
  }),
  { head: 46, foot: 50 },
)
const pixel = computed(() => 1 / view.scale.value)
watch(
  () => group.value.of,
  () => view.fit(),
)
watch(world, () => view.follow())

/** A piece in the hand: where it would lie. */
const moving = shallowRef<Lying>()
const hideOf = (id: string): HideAt | undefined => world.value.hides.find((h) => h.hide.id === id)
/** The best layout that is being sought shows while it is. */
const pieces = computed(() =>
  (props.laying.trying.value?.lying ?? group.value.asked.lying).flatMap((kept) => {
    const wanted = group.value.wanted.find((w) => w.id === kept.id)
    const lying = moving.value?.id === kept.id ? moving.value : kept
    const at = hideOf(lying.hide)
    return wanted && at ? [{ wanted, lying, there: { ...lying, x: lying.x + at.x, y: lying.y + at.y } }] : []
  }),
)

const judge = computed(() => (props.laying.trying.value ? undefined : props.laying.judge.value))
const settled = computed(() => judge.value?.all() ?? [])
/** What is wrong, reckoned anew for the piece in the hand. */
const faults = computed(() => {
  const held = moving.value
  if (!held) return settled.value
  return [...settled.value.filter((f) => f.id !== held.id), ...(judge.value?.of(held) ?? [])]
})
function wrong(id: string): string {
  const fault = faults.value.find((f) => f.id === id)
  if (!fault) return ''
  const nameOf = (one: string): string => {
    const w = group.value.wanted.find((x) => x.id === one)
    return w ? acts.named(w) : one
  }
  const other = 'other' in fault ? nameOf(fault.other) : undefined
  return sayFault(fault, { piece: nameOf(id), other, gap: group.value.asked.gap, unit: settings.unit }).what
}

/** Snapped from so many pixels. */
const REACH = 9
/** Over another hide it comes to lie on that one. */
function onHide(lying: Lying, x: number, y: number): Lying {
  const over = world.value.hides.find((h) => x >= h.left - ROUND && x <= h.right + ROUND)
  const at = over ?? hideOf(lying.hide)!
  return { ...lying, hide: at.hide.id, x: x - at.x, y: y - at.y }
}
function drag(id: string, by: Point): void {
  const from = acts.lyingOf(id)
  const at = from && hideOf(from.hide)
  if (!from || !at) return
  const to = onHide(from, from.x + at.x + by.x, from.y + at.y + by.y)
  moving.value = judge.value?.snapped(to, REACH * pixel.value) ?? to
}
function drop(id: string): void {
  const to = moving.value
  moving.value = undefined
  const wanted = group.value.wanted.find((w) => w.id === id)
  if (to && wanted) acts.move(wanted, to)
}

const said = computed(() => {
  const one = pieces.value.find((p) => p.wanted.id === chosen.value)
  return one ? wrong(one.wanted.id) || `${acts.named(one.wanted)}: nothing is wrong with where it lies.` : ''
})
</script>

<template>
  <div class="frame">
    <div class="ruled">
      <RulerEdge
        way="across"
        :start="view.left.value"
        :scale="view.scale.value"
        :length="view.size.value.width"
        :unit="settings.unit"
      />
    </div>
    <svg
      ref="svg"
      :viewBox="view.viewBox.value"
      tabindex="0"
      role="group"
      :aria-label="`The hides of ${group.material}, with the pieces laid on them`"
      @keydown="view.pressed"
    >
      <g v-for="h in world.hides" :key="h.hide.id" :transform="`translate(${h.x} ${h.y})`">
        <HideGround :hide="h.hide" :pixel="pixel" />
      </g>
      <text
        v-for="h in world.hides"
        :key="`n${h.hide.id}`"
        :x="h.left"
        :y="-10 * pixel"
        :font-size="13 * pixel"
        class="name"
      >
        {{ h.hide.name }}
      </text>
      <HidePiece
        v-for="p in pieces"
        :key="p.wanted.id"
        :wanted="p.wanted"
        :lying="p.there"
        :name="acts.named(p.wanted)"
        :locked="acts.isLocked(p.wanted.id)"
        :chosen="chosen === p.wanted.id"
        :wrong="wrong(p.wanted.id)"
        :pixel="pixel"
        :to-sheet="view.toSheet"
        @choose="chosen = p.wanted.id"
        @drag="(by) => drag(p.wanted.id, by)"
        @drop="drop(p.wanted.id)"
        @nudge="(by) => acts.nudge(p.wanted, by)"
        @turn="acts.turn(p.wanted)"
        @lock="acts.lock(p.wanted)"
        @aside="acts.aside(p.wanted)"
      />
    </svg>
    <div class="zoom" role="group" aria-label="The map">
      <v-btn @click="view.fit()">All</v-btn>
      <ZoomButtons @zoom="(by) => view.zoom(by)" />
      <TakeDrawing :drawing="() => svg ?? undefined" :name="`layout of the ${group.material}`" />
    </div>
    <p v-if="said" class="said" role="status">{{ said }}</p>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  display: flex;
  flex: 1;
  flex-direction: column;
  min-height: 0;
}
.ruled {
  height: 20px;
}
svg:not(.ruler) {
  flex: 1;
  min-height: 0;
  width: 100%;
  background: var(--ground);
  touch-action: none;
}
.name {
  fill: var(--quiet);
  font-family: var(--ui);
}
.zoom {
  position: absolute;
  right: 10px;
  bottom: 10px;
  display: flex;
  gap: 6px;
}
.zoom :deep(.v-btn) {
  min-width: 34px;
  padding: 2px 10px;
  background: var(--surface);
  font-size: 14px;
}
.said {
  position: absolute;
  left: 12px;
  bottom: 12px;
  max-width: calc(100% - 220px);
  margin: 0;
  padding: 3px 8px;
  background: var(--surface);
}
@media (max-width: 900px) {
  .zoom {
    right: auto;
    left: 10px;
  }
  .said {
    bottom: 56px;
    max-width: calc(100% - 24px);
  }
}
</style>

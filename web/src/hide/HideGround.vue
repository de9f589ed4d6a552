<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed, useId } from 'vue'
import { pathData } from '@drumlin/core/drawing'
import { type Point, polygon } from '@drumlin/core/geometry'
import { bandOf, extentOf, flawOutline } from '@drumlin/core/hide'
import type { Hide } from '@drumlin/core/stores'

const figure = useFigures()
/** A hide drawn as land: its border, zones as cover, the edge that is rarely used, backbone, flaws, spots. */
const props = defineProps<{ hide: Hide; pixel: number; spots?: boolean }>()
const id = useId()
const outline = (points: readonly Point[]): string => pathData(polygon(points))
const extent = computed(() => extentOf(props.hide.outline))
const band = computed(() => bandOf(props.hide))
const step = computed(() => 9 * props.pixel)
</script>

<template>
  <g class="hide">
    <defs>
      <clipPath :id="`${id}-border`"><path :d="outline(hide.outline)" /></clipPath>
      <pattern :id="`${id}-stretchy`" :width="step" :height="step" patternUnits="userSpaceOnUse">
        <circle :cx="step * 0.25" :cy="step * 0.25" :r="0.9 * pixel" class="dot" />
        <circle :cx="step * 0.75" :cy="step * 0.75" :r="0.9 * pixel" class="dot" />
      </pattern>
      <pattern :id="`${id}-wrinkled`" :width="2 * step" :height="step" patternUnits="userSpaceOnUse">
        <path
          :d="`M0 ${step / 2}q${step / 2} ${-step / 3} ${step} 0t${step} 0`"
          class="ripple"
          :stroke-width="pixel"
        />
      </pattern>
      <pattern :id="`${id}-verge`" :width="step * 0.6" :height="step * 0.6" patternUnits="userSpaceOnUse">
        <path :d="`M0 ${step * 0.6}L${step * 0.6} 0`" class="verge" :stroke-width="0.7 * pixel" />
      </pattern>
    </defs>
    <path :d="outline(hide.outline)" class="land" />
    <g :clip-path="`url(#${id}-border)`">
      <template v-for="(z, i) in hide.zones" :key="i">
        <path :d="outline(z.outline)" :class="`zone ${z.sort}`" />
        <path
          v-if="z.sort === 'stretchy' || z.sort === 'wrinkled'"
          :d="outline(z.outline)"
          :fill="`url(#${id}-${z.sort})`"
        />
      </template>
      <path v-for="(o, i) in band" :key="`b${i}`" :d="outline(o)" :fill="`url(#${id}-verge)`" />
    </g>
    <path :d="outline(hide.outline)" class="border" />
    <line
      v-if="hide.backbone !== null"
      :x1="extent.left"
      :x2="extent.right"
      :y1="hide.backbone"
      :y2="hide.backbone"
      class="backbone"
      :stroke-dasharray="`${14 * pixel} ${4 * pixel} ${3 * pixel} ${4 * pixel}`"
    />
    <path
      v-for="(f, i) in hide.flaws"
      :key="`f${i}`"
      :d="outline(flawOutline(f))"
      :class="`flaw ${f.sort.replace(' ', '-')}`"
    >
      <title>{{ f.sort }}</title>
    </path>
    <g v-if="spots" class="spots">
      <template v-for="(s, i) in hide.spots" :key="`s${i}`">
        <circle :cx="s.at.x" :cy="s.at.y" :r="2.5 * pixel" />
        <text :x="s.at.x + 5 * pixel" :y="s.at.y + 4 * pixel" :font-size="11 * pixel">
          {{ figure(s.thickness, 1) }}
        </text>
      </template>
    </g>
  </g>
</template>

<style scoped>
.land {
  fill: color-mix(in srgb, var(--hairline) 45%, var(--paper));
}
.zone {
  fill: none;
}
.zone.best {
  fill: var(--paper);
}
.zone.stretchy,
.zone.wrinkled {
  fill: color-mix(in srgb, var(--hairline) 60%, var(--paper));
}
.dot {
  fill: var(--quiet);
}
.ripple {
  fill: none;
  stroke: var(--quiet);
}
.verge {
  fill: none;
  stroke: var(--quiet);
}
.border {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
}
.backbone {
  stroke: var(--moss);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.flaw {
  fill: color-mix(in srgb, var(--rowan) 30%, var(--paper));
  stroke: var(--rowan);
  stroke-width: 1.2px;
  vector-effect: non-scaling-stroke;
}
.flaw.hole {
  fill: var(--ground);
}
.flaw.stain {
  stroke-dasharray: 4 3;
}
.spots circle {
  fill: var(--loch);
}
.spots text {
  fill: var(--loch);
  font-family: var(--mono);
}
</style>

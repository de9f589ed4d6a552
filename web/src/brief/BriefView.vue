<script setup lang="ts">
import { computed } from 'vue'
import { withLengths } from '@drumlin/core/measure'
import { pathData } from '@drumlin/core/drawing'
import { boxUnion, pathBox, pathMoved } from '@drumlin/core/geometry'
import type { LaidSheet } from '@drumlin/core/layup'
import ContentsPanel from '../contents/ContentsPanel.vue'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import { useSettings } from '../app/settings.js'
import FindingNote from '../parts/FindingNote.vue'
import SentenceLine from '../sentence/SentenceLine.vue'
import MeasuredPanel from './MeasuredPanel.vue'
import PieceDrawing from '../sheet/PieceDrawing.vue'
import WorkingBox from '../sentence/WorkingBox.vue'
import { besides } from '../app/found.js'
import FieldControl from '../sentence/FieldControl.vue'
import { focusWanted } from '../sentence/wanted.js'

type Clip = LaidSheet['sheet']['clips'][number]
defineProps<{ id: string }>()
const job = useJob()
const settings = useSettings()
const derived = computed(() => job.derived!)
const first = computed(() => derived.value.pieces[0])
const sizes = computed(() =>
  derived.value.master.sizes
    .filter((s) => s.panelId === first.value?.id && s.of !== 'edges')
    .map((s) => s.size),
)
const unfit = useOpenFindings('brief')
/** Parts this design has; settings decide which. */
const roles = computed(() =>
  derived.value.kind.roles.filter((r) => r.when?.(derived.value.design.params) ?? true),
)
const sheets = computed(() => (derived.value.works[0]?.sheets ?? []).filter((s) => s.part === 'whole'))
/** Turned borders reach beyond the finished work, as they lie before they are turned. */
const box = computed(() =>
  boxUnion(
    sheets.value.flatMap((s) => [s.box, ...(s.work ? [pathBox(pathMoved(s.work.cut, s.sheet.move))] : [])]),
  ),
)
const lying = computed(() =>
  sheets.value.map((s) => ({
    id: s.sheet.id,
    move: s.sheet.move,
    content: s.sheet.type === 'content' ? s : undefined,
    piece: derived.value.pieces.find((p) => s.sheet.type === 'panel' && p.id === s.sheet.panelId),
    clip: s.sheet.clips[0],
    /** A strip between two folds has a border on both sides. */
    second: s.sheet.clips[1],
  })),
)
/** What lies on the counted side of a sheet's border, whichever way it runs, as a region of the drawing. */
function clipData({ at, inward }: Clip): string {
  const far = 9999
  const [along, into] = [
    { x: -inward.y * far, y: inward.x * far },
    { x: inward.x * far, y: inward.y * far },
  ]
  const corner = (way: number, depth: number): string =>
    `${at.x + way * along.x + depth * into.x} ${at.y + way * along.y + depth * into.y}`
  return `M${corner(-1, 0)}L${corner(1, 0)}L${corner(1, 1)}L${corner(-1, 1)}Z`
}
const matrix = (m: { a: number; b: number; c: number; d: number; e: number; f: number }): string =>
  `matrix(${m.a} ${m.b} ${m.c} ${m.d} ${m.e} ${m.f})`
/** What no sentence says yet, because its piece only comes with it. */
const more = computed(() => besides(derived.value))
focusWanted()
</script>

<template>
  <div class="brief">
    <section class="asks">
      <h1>{{ derived.kind.brief.length > 0 ? 'What goes in it' : 'What it is cut from' }}</h1>
      <SentenceLine v-for="s in derived.kind.brief" :key="s" :sentence="s" />
      <ContentsPanel v-if="derived.master.room" />
      <template v-if="more.length > 0">
        <h2>It can also have</h2>
        <p v-for="f in more" :key="f.id" class="more">
          {{ f.label.charAt(0).toUpperCase() + f.label.slice(1) }}: <FieldControl :field="f" />
        </p>
      </template>
      <h2>Leather</h2>
      <div v-for="role in roles" :key="role.id" class="role">
        <SentenceLine :sentence="`${role.label}: {leather-${role.id}}`" />
        <p class="quiet">{{ withLengths(role.why, settings.unit) }}</p>
      </div>
      <h2>Tools</h2>
      <SentenceLine sentence="Holes with the {iron}, thick places with the {awl}; sewn with {thread}." />
      <MeasuredPanel v-if="derived.kind.brief.length > 0" :derived="derived" />
      <p><v-btn variant="flat" :to="{ name: 'draft', params: { id } }">See the pieces</v-btn></p>
    </section>
    <section class="comes" aria-label="What comes of it">
      <h2>What comes of it</h2>
      <p v-if="sheets.length === 0">Nothing is drawn yet; the Draft is where panels are drawn.</p>
      <svg
        v-else
        :viewBox="`${box.left - 4} ${box.top - 4} ${box.right - box.left + 8} ${box.bottom - box.top + 8}`"
        role="img"
        aria-label="The work laid open"
      >
        <template v-for="l in lying" :key="l.id">
          <clipPath v-if="l.clip" :id="`half-${l.id}`"><path :d="clipData(l.clip)" /></clipPath>
          <clipPath v-if="l.second" :id="`other-${l.id}`"><path :d="clipData(l.second)" /></clipPath>
          <g v-if="l.piece" :clip-path="l.clip ? `url(#half-${l.id})` : undefined">
            <g :clip-path="l.second ? `url(#other-${l.id})` : undefined">
              <g :transform="matrix(l.move)">
                <PieceDrawing :piece="l.piece" :job="derived.design" bare />
              </g>
            </g>
          </g>
          <path
            v-else-if="l.content && !l.clip"
            :transform="matrix(l.move)"
            :d="pathData(l.content.outline)"
            class="card"
          />
        </template>
      </svg>
      <p v-if="derived.kind.brief.length > 0 && derived.master.carries.length > 0">
        It takes {{ withLengths(derived.master.carries.join(', '), settings.unit) || 'nothing yet' }}.
      </p>
      <WorkingBox v-for="s in sizes" :key="s.key" :reckoned="s" />
      <FindingNote v-for="f in unfit" :key="f.key" :finding="f" />
    </section>
  </div>
</template>

<style scoped>
.more {
  margin: 0 0 6px;
}
.brief {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.05fr);
  gap: 40px;
  padding: 24px 32px;
}
h1 {
  font-size: 22px;
  margin-bottom: 12px;
}
h2 {
  font-size: 17px;
  margin: 18px 0 8px;
}
.comes h2 {
  margin-top: 4px;
}
.asks {
  font-size: 17px;
}
.role > .quiet {
  margin: 0 0 8px;
  font-size: 14px;
}
.role :deep(.sentence) {
  margin-bottom: 0;
}
svg {
  display: block;
  margin-bottom: 12px;
  width: 100%;
  max-height: 400px;
}
.card {
  fill: var(--loch);
  fill-opacity: 0.16;
  stroke: var(--loch);
  stroke-width: 0.3;
}
@media (max-width: 900px) {
  .brief {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
    padding: 16px;
  }
}
</style>

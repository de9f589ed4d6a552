<script setup lang="ts">
import { computed, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Finding } from '@drumlin/core/check'
import type { DrawnPanel } from '@drumlin/core/drawn'
import { transect, laidUpOf } from '@drumlin/core/layup'
import { useDrawn } from '../drawing/drawn.js'
import FirstNotes from '../app/FirstNotes.vue'
import NewPanelDialog from '../drawing/NewPanelDialog.vue'
import PointBar from '../drawing/PointBar.vue'
import { useOpenFindings } from '../job/about.js'
import { useJob } from '../job/job.js'
import { type Cut, firstCut, keptCut } from './cut.js'
import DraftSheet from './DraftSheet.vue'
import SidePanel from './SidePanel.vue'
import TransectPane from './TransectPane.vue'

defineProps<{ id: string }>()
const job = useJob()
const route = useRoute()
const sheet = useTemplateRef<InstanceType<typeof DraftSheet>>('sheet')
const derived = computed(() => job.derived!)
const settled = computed(() => job.settled!)

/** Empty while nothing is drawn yet. */
const piece = ref(derived.value.pieces[0]?.id ?? '')
const edge = ref<string>()
const state = ref('open')
const point = ref<number>()
const drawing = ref(false)
const { panel: drawn, change } = useDrawn(() => piece.value)
const refusal = ref('')
function redraw(name: string, panel: DrawnPanel, gesture?: string): void {
  refusal.value = change(name, panel, gesture) ?? ''
}
function made(id: string): void {
  piece.value = id
  point.value = undefined
}
const contents = ref(false)
const folded = ref(false)
/** Follows the work until the maker moves it. */
const ownCut = ref<Cut>()
const cut = computed({
  get: () => ownCut.value ?? firstCut(derived.value, state.value),
  set: (to: Cut) => (ownCut.value = to),
})
const section = computed(() => {
  const none = derived.value.works.length === 0
  return none
    ? undefined
    : transect(laidUpOf(derived.value.works, state.value), cut.value.from, cut.value.to, contents.value)
})
const shown = useOpenFindings()
const before = computed(() => (job.preview ? settled.value : undefined))

watch(state, (now) => (ownCut.value &&= keptCut(derived.value, now, ownCut.value)))
watch(derived, (now) => {
  if (!now.pieces.some((p) => p.id === piece.value)) piece.value = now.pieces[0]?.id ?? ''
  if (!now.works.some((w) => w.layup.id === state.value)) state.value = now.works[0]?.layup.id ?? 'open'
})
watch(piece, () => (point.value = undefined))
function show(finding: Finding): void {
  const [place] = finding.places
  if (!place) return
  piece.value = place.panelId
  sheet.value?.showPlace(place.panelId, place.at)
}

/** What Find leads to: a piece, the piece whose sentences hold a setting, or a finding. */
const text = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined)
const field = computed(() => text(route.query.field))
watch(
  () => route.query,
  (query) => {
    const wanted = text(query.piece)
    if (wanted && derived.value.pieces.some((p) => p.id === wanted)) piece.value = wanted
    const holder =
      field.value &&
      derived.value.pieces.find((p) =>
        derived.value.kind.sentences[p.id]?.some((s) => s.includes(`{${field.value}}`)),
      )
    if (holder) piece.value = holder.id
    const finding = job.findings.find((f) => f.key === text(query.finding))
    if (finding) show(finding)
  },
  { immediate: true },
)
onBeforeUnmount(() => (job.preview = undefined))
</script>

<template>
  <div v-if="derived.pieces.length === 0" class="nothing">
    <h1>Nothing is drawn yet</h1>
    <p>
      Draw the finished outline of a panel, say what becomes of each edge, and everything to cut is worked
      out.
    </p>
    <v-btn variant="flat" @click="drawing = true">Draw a panel</v-btn>
  </div>
  <FirstNotes v-if="job.record?.example && derived.pieces.length > 0" />
  <div v-if="derived.pieces.length > 0" class="draft">
    <div class="left">
      <PointBar v-if="drawn" v-model:point="point" class="points" :drawn="drawn" @change="redraw" />
      <p v-if="refusal" role="alert" class="refusal">{{ refusal }}</p>
      <p v-if="job.preview" class="trying" role="status">
        <span>Trying “{{ job.preview.name }}”: nothing is changed until you take it.</span>
        <v-btn variant="flat" @click="job.edit(job.preview)">Take it</v-btn>
        <v-btn @click="job.preview = undefined">Leave it</v-btn>
      </p>
      <DraftSheet
        ref="sheet"
        v-model:piece="piece"
        v-model:edge="edge"
        v-model:cut="cut"
        v-model:point="point"
        :derived="derived"
        :before="before"
        :findings="shown"
        :drawn="job.preview ? undefined : drawn"
        :state="state"
        @change="redraw"
        @draw="drawing = true"
        @refused="(why) => (refusal = why)"
      />
      <TransectPane
        v-if="section"
        v-model:state="state"
        v-model:contents="contents"
        v-model:folded="folded"
        :transect="section"
        :derived="derived"
        :reach="derived.design.iron.reach"
      />
    </div>
    <SidePanel
      v-model:edge="edge"
      :derived="derived"
      :settled="settled"
      :findings="job.findings"
      :looking="job.looking.is"
      :piece="piece"
      @show="show"
    />
  </div>
  <NewPanelDialog v-model="drawing" @made="made" />
</template>

<style scoped>
.draft {
  flex: 1;
  display: flex;
  min-height: 0;
}
.left {
  position: relative;
  flex: 1;
  display: grid;
  grid-template: auto auto minmax(0, 1fr) auto auto / minmax(0, 1fr);
  min-height: 0;
  min-width: 0;
}
.left > .points {
  grid-row: 1;
}
.refusal {
  grid-row: 2;
  color: var(--rowan);
  margin: 4px 14px;
}
.nothing {
  padding: 40px 32px;
  max-width: 60ch;
}
.left > .frame {
  grid-row: 3;
}
.left > .pane {
  grid-row: 5;
}
.trying {
  margin: 0;
  padding: 6px 14px;
  background: var(--heather-wash);
  display: flex;
  align-items: center;
  grid-row: 4;
  gap: 12px;
  border-top: 1px solid var(--heather);
}
.trying span {
  flex: 1;
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import { addCopied, removeDrawn } from '@drumlin/core/design'
import {
  type DrawnEdge,
  type DrawnPanel,
  copiedDrawn,
  drawnEdgeLength,
  turnedDrawn,
} from '@drumlin/core/drawn'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { freeId } from '../shelf/ids.js'
import NameField from '../sentence/NameField.vue'
import { useDrawn } from './drawn.js'
import EdgeSentence from './EdgeSentence.vue'
import FoldList from './FoldList.vue'
import LiesSentence from './LiesSentence.vue'
import PanelSentence from './PanelSentence.vue'
import LayerList from './LayerList.vue'
import MarkList from './MarkList.vue'
import SkiveAsked from './SkiveAsked.vue'
import TieList from './TieList.vue'
import FoldPart from '../parts/FoldPart.vue'

const props = defineProps<{ drawn: DrawnPanel; derived: Derived }>()
const edge = defineModel<string | undefined>('edge', { required: true })
const job = useJob()
const settings = useSettings()
const refusal = ref('')
const { change: edit } = useDrawn(() => props.drawn.id)
function change(name: string, panel: DrawnPanel, gesture?: string): void {
  refusal.value = edit(name, panel, gesture) ?? ''
}
const set = (name: string, more: Partial<DrawnPanel>, gesture?: string): void =>
  change(name, { ...props.drawn, ...more }, gesture)

const piece = computed(() => props.derived.pieces.find((p) => p.id === props.drawn.id))
const thickness = computed(() => piece.value?.thickness ?? 1)
const ofKind = computed(
  () => props.derived.kind.id !== 'by-hand' && Object.hasOwn(props.derived.kind.sentences, props.drawn.id),
)
const leather = computed(() => props.derived.design.leathers[props.drawn.role])
const chosen = computed(() => props.drawn.edges.find((e) => e.id === edge.value?.replace(/-m$/, '')))
const lengthOf = (id: string): number =>
  drawnEdgeLength([props.drawn], { panel: props.drawn.id, edge: id }) ?? 0
const setEdge = (name: string, next: DrawnEdge, gesture?: string): void =>
  change(
    name,
    { ...props.drawn, edges: props.drawn.edges.map((e) => (e.id === next.id ? next : e)) },
    gesture,
  )
function allRound(): void {
  const from = chosen.value
  if (from)
    set(`all edges as the ${from.name}`, { edges: props.drawn.edges.map((e) => ({ ...e, fate: from.fate })) })
}
/** Once more, or turned over, under a name that is free; it is chosen then. */
function copy(over: boolean): void {
  const { drawn } = props
  const taken = [...props.derived.panels.map((p) => p.id), ...job.design!.drawn.map((p) => p.id)]
  const id = freeId(drawn.id.slice(0, 56), taken)
  const name = `${drawn.name}${over ? ', turned over' : ', once more'}`
  const made = over ? turnedDrawn(drawn, { id, name }) : copiedDrawn(drawn, { id, name })
  const words = over
    ? `copy the ${drawn.name.toLowerCase()} turned over`
    : `copy the ${drawn.name.toLowerCase()}`
  const refused = job.edit(addCopied(words, job.design!, drawn, made))
  refusal.value = refused?.why ?? ''
}
const remove = (): void =>
  void job.edit(
    removeDrawn(
      ofKind.value
        ? `give the ${props.drawn.name.toLowerCase()} back`
        : `remove the ${props.drawn.name.toLowerCase()}`,
      job.design!,
      props.drawn.id,
    ),
  )
</script>

<template>
  <div class="drawn" data-drawn>
    <h1>
      <NameField
        :value="drawn.name"
        label="Name of the panel"
        :max="60"
        @change="(name) => set(`call it ${name}`, { name })"
      />
    </h1>
    <PanelSentence :drawn="drawn" :derived="derived" @change="change" />
    <EdgeSentence
      v-if="chosen"
      :edge="chosen"
      :length="lengthOf(chosen.id)"
      :core="piece?.panel.core ?? 0"
      :leather-edge="leather?.atEdge ?? 0.25"
      @change="setEdge"
    />
    <p v-if="chosen" class="row"><v-btn @click="allRound">All edges like this one</v-btn></p>
    <p v-else class="quiet">Choose an edge on the sheet or below, to say what becomes of it.</p>
    <p v-if="refusal" role="alert" class="refusal">{{ refusal }}</p>
    <FoldPart open title="Edges">
      <ul class="list">
        <li v-for="e in drawn.edges" :key="e.id">
          <v-btn
            variant="plain"
            class="pick"
            :data-pick="e.id"
            :aria-pressed="chosen?.id === e.id"
            @click="edge = chosen?.id === e.id ? undefined : e.id"
          >
            {{ e.name }} <span class="figure">{{ printLength(lengthOf(e.id), settings.unit) }}</span>
          </v-btn>
        </li>
      </ul>
      <TieList :drawn="drawn" :edge="edge" />
    </FoldPart>
    <FoldPart data-part="folds" :title="`Folds (${drawn.folds.length})`">
      <FoldList :drawn="drawn" @change="change" />
    </FoldPart>
    <FoldPart data-part="layers" :title="`Behind it (${drawn.layers.length})`">
      <LayerList :drawn="drawn" @change="change" />
    </FoldPart>
    <FoldPart data-part="skives" :title="`Skives (${drawn.skives.length})`">
      <SkiveAsked :drawn="drawn" :derived="derived" :edge="edge" :thickness="thickness" @change="change" />
    </FoldPart>
    <FoldPart data-part="marks" :title="`Marks (${drawn.marks.length})`">
      <MarkList :drawn="drawn" :edge="edge" @change="change" />
    </FoldPart>
    <LiesSentence :drawn="drawn" @change="change" />
    <p class="row">
      <v-btn @click="copy(false)">Copy it</v-btn>
      <v-btn @click="copy(true)">Copy it turned over</v-btn>
      <v-btn @click="remove">
        {{ ofKind ? 'Give it back to the kind' : 'Remove this panel' }}
      </v-btn>
    </p>
  </div>
</template>

<style scoped>
@import './lists.css';
h1 {
  font-size: 20px;
  margin-bottom: 8px;
}
.list {
  list-style: none;
  padding: 0;
  margin: 0 0 6px;
}
.pick {
  display: flex;
  justify-content: space-between;
  width: 100%;
  padding: 3px 6px;
  border-radius: 6px;
}
.pick[aria-pressed='true'] {
  background: var(--heather-wash);
  color: var(--heather);
}
.refusal {
  color: var(--rowan);
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { type Finding, overruledFor } from '@drumlin/core/check'
import type { Derived } from '@drumlin/core/derived'
import { addDrawn } from '@drumlin/core/design'
import { takenOver } from '@drumlin/core/drawn'
import { pathLength } from '@drumlin/core/geometry'
import type { EdgeTreatment } from '@drumlin/core/master'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import AddedList from '../added/AddedList.vue'
import DrawnSide from '../drawing/DrawnSide.vue'
import type { Looking } from '../job/findings.js'
import { useJob } from '../job/job.js'
import SentenceLine from '../sentence/SentenceLine.vue'
import { focusWanted } from '../sentence/wanted.js'
import WorkingBox from '../sentence/WorkingBox.vue'
import FindingItem from './FindingItem.vue'
import OutputRow from './OutputRow.vue'
import SewingList from './SewingList.vue'
import SkiveList from './SkiveList.vue'
import FoldPart from '../parts/FoldPart.vue'
import SidePane from '../parts/SidePane.vue'

const props = defineProps<{
  derived: Derived
  settled: Derived
  findings: readonly Finding[]
  looking: Looking['is']
  piece: string
}>()
const edge = defineModel<string | undefined>('edge', { required: true })
const emit = defineEmits<{ show: [finding: Finding] }>()
const settings = useSettings()
const job = useJob()

const piece = computed(
  () => props.derived.pieces.find((p) => p.id === props.piece) ?? props.derived.pieces[0]!,
)
const sentences = computed(() => props.derived.kind.sentences[piece.value.id] ?? [])
/** What is asked first on top; how turned edges are cut stands folded below. */
const GROUPS = [
  { of: undefined, title: 'Of the piece' },
  { of: 'outside', title: 'Finished, outside' },
  { of: 'inside', title: 'Room inside' },
] as const
/** So many lines stand open, and all of them where the maker draws the edges; more would push everything else out of sight. */
const FEW = 8
const own = computed(() => props.derived.master.sizes.filter((s) => s.panelId === piece.value.id))
const grouped = computed(() =>
  GROUPS.map(({ of, title }) => ({
    title,
    sizes: own.value.filter((s) => s.of === of).map((s) => s.size),
  })).filter((g) => g.sizes.length > 0),
)
const turned = computed(() => own.value.filter((s) => s.of === 'edges').map((s) => s.size))
const edges = computed(() =>
  piece.value.panel.edges.map((e) => ({
    ...e,
    length: pathLength({ segments: piece.value.finished.segments.slice(e.first, e.last + 1), closed: false }),
  })),
)
const chosenEdge = computed(() => edges.value.find((e) => e.id === edge.value))
/** Drawn by hand; under a fix that is only being looked at it stays as it is. */
const drawn = computed(() => job.design?.drawn.find((d) => d.id === piece.value.id))
const master = computed(() => props.derived.pieces.find((p) => p.id === piece.value.panel.behind?.panelId))
const canTakeOver = computed(
  () =>
    !drawn.value &&
    !piece.value.panel.behind &&
    piece.value.panel.role !== 'guide' &&
    Object.hasOwn(props.derived.kind.sentences, piece.value.id),
)
function takeOver(): void {
  const { design } = job
  if (design)
    job.edit(
      addDrawn(
        `take the ${piece.value.name.toLowerCase()} over by hand`,
        design,
        takenOver(piece.value.panel, piece.value.thickness ?? 1),
      ),
    )
}
function sayEdge(fate: EdgeTreatment): string {
  const mm = (v: number): string => printLength(v, settings.unit)
  if ('school' in fate) return `turned ${mm(fate.width)}`
  if (fate.type === 'bound') return `bound ${mm(fate.width)}`
  if (fate.type === 'doubled') return 'on a fold'
  if (fate.type === 'long') return `left ${mm(fate.by)} long`
  const cut = fate.trim > 0 ? `cut ${mm(fate.trim)} over size and trimmed after sewing` : 'cut to size'
  return `${fate.finish === 'left' ? 'left as cut' : fate.finish}, ${cut}`
}
/** What stands where there are no findings: it has been looked, or not yet. */
const NOTHING = {
  there: 'Nothing found that needs a look.',
  looking: 'Looking for what needs a look …',
  failed: 'It could not be found out whether anything needs a look.',
} as const
const left = computed(() => props.findings.filter((f) => overruledFor(props.settled, f) === undefined))
const aside = computed(() => props.findings.filter((f) => overruledFor(props.settled, f) !== undefined))

focusWanted()
</script>

<template>
  <SidePane label="The chosen piece">
    <div class="body">
      <DrawnSide v-if="drawn" v-model:edge="edge" :drawn="drawn" :derived="derived" />
      <template v-else>
        <h1>{{ piece.name }}</h1>
        <SentenceLine v-for="s in sentences" :key="s" :sentence="s" />
        <p v-if="piece.panel.behind" class="quiet">
          It follows the {{ master?.name.toLowerCase() }}: change that, and this changes with it.
        </p>
      </template>
      <AddedList :panel="piece.panel" :derived="derived" :edge="edge" />
      <section v-for="(g, k) in grouped" :key="g.title" :aria-label="g.title">
        <h2 v-if="grouped.length > 1">{{ g.title }}</h2>
        <WorkingBox
          v-for="(size, i) in g.sizes"
          :key="`${piece.id} ${size.key}`"
          :reckoned="size"
          :open="k === 0 && i === 0"
        />
      </section>
      <FoldPart
        v-if="turned.length > 0"
        title="How its turned edges are cut"
        :open="drawn !== undefined || turned.length <= FEW"
      >
        <WorkingBox v-for="size in turned" :key="`${piece.id} ${size.key}`" :reckoned="size" />
      </FoldPart>
      <template v-if="!drawn">
        <p v-if="chosenEdge" class="edge-said" data-edge-said>
          <strong>{{ chosenEdge.name.charAt(0).toUpperCase() + chosenEdge.name.slice(1) }}</strong>:
          {{ printLength(chosenEdge.length, settings.unit) }}, {{ sayEdge(chosenEdge.fate) }}.
        </p>
      </template>
      <section v-if="left.length + aside.length > 0" aria-label="Findings">
        <ul class="findings">
          <FindingItem
            v-for="f in left"
            :key="f.key"
            :finding="f"
            :settled="settled"
            @show="(one) => emit('show', one)"
          />
          <FindingItem v-for="f in aside" :key="f.key" :finding="f" :settled="settled" />
        </ul>
      </section>
      <p v-else class="nothing quiet" role="status">{{ NOTHING[looking] }}</p>
      <FoldPart v-if="!drawn && piece.panel.bands.length > 0 && piece.thickness" title="Skives">
        <SkiveList :panel="piece.panel" :thickness="piece.thickness" />
      </FoldPart>
      <FoldPart v-if="!drawn" title="Edges">
        <ul class="list">
          <li v-for="e in edges" :key="e.id">
            <v-btn
              variant="plain"
              class="pick"
              :aria-pressed="edge === e.id"
              @click="edge = edge === e.id ? undefined : e.id"
            >
              {{ e.name }} <span class="figure">{{ printLength(e.length, settings.unit) }}</span>
            </v-btn>
          </li>
        </ul>
      </FoldPart>
      <p v-if="canTakeOver">
        <v-btn @click="takeOver">Take it over by hand</v-btn>
      </p>
      <SewingList :derived="derived" :piece-id="piece.id" />
    </div>
    <OutputRow :derived="settled" />
  </SidePane>
</template>

<style scoped>
.body {
  flex: 1;
  padding: 14px 18px;
  overflow-y: auto;
}
h1 {
  font-size: 20px;
  margin-bottom: 8px;
}
h2 {
  margin: 10px 0 2px;
  color: var(--quiet);
  font-size: 14px;
}
.findings {
  list-style: none;
  padding: 0;
  margin: 10px 0 0;
}
.nothing,
.edge-said {
  border-top: 1px solid var(--hairline);
  padding-top: 10px;
  margin: 10px 0;
}
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.pick {
  display: flex;
  justify-content: space-between;
  width: 100%;
  padding: 4px 6px;
  border-radius: 6px;
}
.pick[aria-pressed='true'] {
  background: var(--heather-wash);
  color: var(--heather);
}
</style>

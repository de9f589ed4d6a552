<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed } from 'vue'
import { type Derived, seamOrder } from '@drumlin/core/derived'
import { SEWING_SENTENCES } from '@drumlin/core/kinds'
import { printWeight } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import SentenceLine from '../sentence/SentenceLine.vue'
import WorkingBox from '../sentence/WorkingBox.vue'
import FoldPart from '../parts/FoldPart.vue'

const figure = useFigures()
/** The runs that go through a piece, with holes, thickness and thread. */
const props = defineProps<{ derived: Derived; pieceId: string }>()
const settings = useSettings()
/** All runs in an order in which each can still be reached. */
const order = computed(() => seamOrder(props.derived))
const before = (id: string): readonly string[] => order.value.find((r) => r.run.join.id === id)?.by ?? []
const runs = computed(() =>
  order.value
    .map((r) => r.run)
    .filter((r) =>
      r.join.through.some((id) =>
        props.derived.works[0]?.sheets.some(
          (s) => s.sheet.id === id && s.sheet.type === 'panel' && s.sheet.panelId === props.pieceId,
        ),
      ),
    ),
)
const total = computed(() =>
  runs.value.reduce(
    (sum, r) => ({ holes: sum.holes + r.holes.length, thread: sum.thread + r.thread.value }),
    { holes: 0, thread: 0 },
  ),
)
</script>

<template>
  <FoldPart title="Sewing" :sentences="SEWING_SENTENCES">
    <SentenceLine v-for="s in SEWING_SENTENCES" :key="s" :sentence="s" />
    <p v-if="runs.length > 1" class="quiet">In the order they can be reached:</p>
    <v-table v-if="runs.length > 0" class="compared">
      <thead>
        <tr>
          <th scope="col">Run</th>
          <th scope="col">Holes</th>
          <th scope="col">Thick</th>
          <th scope="col">Thread</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in runs" :key="r.join.id">
          <th scope="row">
            {{ r.join.name }}
            <span v-if="before(r.join.id).length > 0" class="before quiet"
              >before {{ before(r.join.id).join(', ') }}
              {{ before(r.join.id).length > 1 ? 'cover' : 'covers' }} it</span
            >
          </th>
          <td class="figure">{{ r.holes.length }}</td>
          <td class="figure">{{ printWeight(r.thickest, settings.unit) }}</td>
          <td class="figure">{{ figure(r.thread.value / 1000, 2) }} m</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">Together</th>
          <td class="figure">{{ total.holes }}</td>
          <td />
          <td class="figure">{{ figure(total.thread / 1000, 2) }} m</td>
        </tr>
      </tfoot>
    </v-table>
    <WorkingBox v-for="r in runs" :key="r.join.id" :reckoned="r.thread" />
  </FoldPart>
</template>

<style scoped>
.before {
  display: block;
}
</style>

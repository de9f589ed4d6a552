<script setup lang="ts">
import { computed } from 'vue'
import { type Derived, type SeamRow, layersAlong } from '@drumlin/core/derived'
import { printLength } from '@drumlin/core/measure'
import { useSettings } from '../app/settings.js'
import { layerWords, pitchWords, sharedWords, strikeWords } from './words.js'
import FoldPart from '../parts/FoldPart.vue'

/** Stitches and pitch of every side of a run, how it is punched, what it shares, and what it goes through. */
const props = defineProps<{ derived: Derived; row: SeamRow }>()
const settings = useSettings()
const shared = computed(() => sharedWords(props.row, props.derived.runs))
const layers = computed(() => layersAlong(props.derived, props.row.run))
</script>

<template>
  <FoldPart title="Holes side by side">
    <v-table class="compared">
      <thead>
        <tr>
          <th scope="col">Side</th>
          <th scope="col">long</th>
          <th scope="col">stitches</th>
          <th scope="col">pitch</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(s, i) in row.run.sides" :key="i">
          <th scope="row">{{ i + 1 }}</th>
          <td class="figure">{{ printLength(s.length, settings.unit) }}</td>
          <td class="figure">{{ Math.round(s.stitches * 10) / 10 }}</td>
          <td class="figure">
            {{ pitchWords([s.pitch], settings.unit)
            }}<template v-if="s.last"
              >, last {{ s.last.stitches }}: {{ pitchWords([s.last.pitch], settings.unit) }}</template
            >
          </td>
        </tr>
      </tbody>
    </v-table>
    <p v-if="row.strikes.length > 0">Punched with {{ strikeWords(row.strikes) }}.</p>
    <p v-for="s in shared" :key="s">{{ s }}</p>
    <ul class="list">
      <li v-for="(l, i) in layers" :key="i">{{ layerWords(l, settings.unit) }}</li>
    </ul>
  </FoldPart>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  margin: 4px 0 8px;
}
</style>

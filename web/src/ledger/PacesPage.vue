<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed, onMounted } from 'vue'
import { LEAST_MAKINGS, PACE_GROUPS, type Proposal, type Spread, barsOf } from '@drumlin/core/learning'
import { minutesSaid } from '../parts/time.js'
import { countSaid, daySaid } from '../make/words.js'
import GoodsLearnt from './GoodsLearnt.vue'
import LedgerChart from './LedgerChart.vue'
import { useBooks } from './books.js'
import { ranges } from './chartParts.js'
import { useLearnt } from './learnt.js'
import { useOwnWays } from './ownWays.js'

const figure = useFigures()
/** What the makings teach, beside what is reckoned with now: taken or left, and given back. Nothing changes by itself. */
const books = useBooks()
const ways = useOwnWays()
onMounted(() => void ways.load())
const { lessons, failed, waiting, makings, effect, take } = useLearnt()
const percent = (v: number): string => `${Math.round(100 * v)} %`
const spreadSaid = (s: Spread): string =>
  `${percent(s.value)} (${percent(s.low)} to ${percent(s.high)}, ${countSaid(s.makings, 'making', 'makings')})`
const NAMES: Readonly<Record<string, string>> = {
  pieceMinutes: 'minutes a piece',
  cutPace: 'mm cut a minute',
  skiveMinutes: 'minutes a skive',
  skivePace: 'mm skived a minute',
  pleatMinutes: 'minutes a pleat',
  turnPace: 'mm turned a minute',
  glueMinutes: 'minutes a join',
  gluePace: 'mm glued a minute',
  blowSeconds: 'seconds a blow',
  stitchSeconds: 'seconds a stitch',
  cornerSeconds: 'seconds more a corner',
  runMinutes: 'minutes to begin a run',
  edgePace: 'mm of edge a minute',
  speed: 'stitches a minute',
  setUp: 'minutes to lay tools out',
}
const named = (path: readonly string[]): string => {
  const key = path.at(-1)!
  if (path[0] === 'leather' || path[0] === 'trade') return 'it is'
  return NAMES[key] ?? (key.endsWith('Seconds') ? 'seconds' : 'minutes')
}
const changesSaid = (p: Proposal): string =>
  p.changes.map((c) => `${named(c.path)} ${c.then} instead of ${c.now}`).join(', ')
const known = computed(() =>
  PACE_GROUPS.flatMap((g) => {
    const spread = lessons.value?.paces.groups.get(g.id)
    return spread ? [{ label: g.label, spread }] : []
  }),
)
const chart = computed(() => ({
  title: 'Your paces',
  says: 'What each sort of work takes you, of what is reckoned with now; it lies within the bar 19 times in 20.',
  height: 60 + 26 * known.value.length,
  option: ranges({
    rows: known.value.map((k) => ({
      name: k.label,
      low: Math.round(100 * k.spread.low),
      value: Math.round(100 * k.spread.value),
      high: Math.round(100 * Math.min(4, k.spread.high)),
    })),
    said: (v) => `${v} %`,
    line: { at: 100, name: 'as reckoned' },
  }),
  columns: ['work', 'of what is reckoned', 'from', 'to', 'makings'],
  rows: known.value.map((k) => [
    k.label,
    percent(k.spread.value),
    percent(k.spread.low),
    percent(k.spread.high),
    k.spread.makings,
  ]),
}))
const first = computed(() => lessons.value?.paces.first)
const firstDiffers = computed(() => {
  const found = first.value
  return found && (found.low > 1 + books.trade.learning || found.high < 1 + books.trade.learning)
})
const printer = computed(() => barsOf(books.entries.flatMap((e) => (e.record.bar ? [e.record.bar] : []))))
</script>

<template>
  <p v-if="failed" role="alert">What the makings teach could not be worked out: {{ failed }}.</p>
  <p v-else-if="makings.length < LEAST_MAKINGS">
    {{ countSaid(makings.length, 'making has', 'makings have') }} times so far; from {{ LEAST_MAKINGS }} on
    they teach something that holds. The bench’s clock takes them.
  </p>
  <p v-else-if="waiting && !lessons" role="status">Looking what the makings teach …</p>
  <template v-else-if="lessons">
    <h2>Times</h2>
    <p v-if="effect" class="effect">
      Taken all together, {{ effect.name }} comes to {{ minutesSaid(effect.then) }} instead of
      {{ minutesSaid(effect.now) }}.
    </p>
    <p v-if="lessons.proposals.length === 0">
      What is reckoned with is within what your makings differ by: there is nothing to change.
    </p>
    <ul v-else aria-label="Proposed">
      <li v-for="p in lessons.proposals" :key="p.id">
        <strong>{{ p.what }}</strong> takes you {{ spreadSaid(p.factor) }} of what is reckoned:
        {{ changesSaid(p) }}.
        <v-btn class="small" :aria-label="`Reckon with it: ${p.what}`" @click="take(p)">Reckon with it</v-btn>
      </li>
    </ul>
    <p v-if="first">
      A first making takes you {{ spreadSaid(first) }} of a later one; prices reckon with
      {{ percent(1 + books.trade.learning) }}.
      <v-btn
        v-if="firstDiffers"
        class="small"
        @click="
          ways.take('what a first making takes more', [
            {
              path: ['trade', books.whose, 'learning'],
              now: books.trade.learning,
              then: Math.max(0, Math.min(3, Math.round(100 * (first!.value - 1)) / 100)),
            },
          ])
        "
        >Reckon with it</v-btn
      >
    </p>
    <section v-if="ways.taken.length > 0" aria-label="Taken from makings">
      <h2>Taken from makings</h2>
      <p class="quiet">
        New jobs are reckoned with these; a job there is says on its Make where its paces differ.
      </p>
      <ul>
        <li v-for="(t, i) in ways.taken" :key="i">
          {{ t.what }}, {{ daySaid(t.day) }}:
          {{ t.changes.map((c) => `${named(c.path)} ${c.then}, before ${c.now}`).join('; ') }}.
          <v-btn variant="plain" class="link" :aria-label="`Give back: ${t.what}`" @click="ways.giveBack(t)"
            >give it back</v-btn
          >
        </li>
      </ul>
    </section>
    <LedgerChart v-if="known.length > 0" v-bind="chart" />
  </template>
  <GoodsLearnt />
  <p v-if="printer">
    Your printer: the test bar comes out at {{ figure(100 * printer.along.value, 1) }} % along and
    {{ figure(100 * printer.across.value, 1) }} % across ({{
      countSaid(printer.along.makings, 'bar', 'bars')
    }}).
  </p>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 12px 0 4px;
}
ul {
  padding-left: 18px;
}
li {
  margin: 4px 0;
}
.effect {
  font-size: 17px;
}
.quiet {
  color: var(--quiet);
}
</style>

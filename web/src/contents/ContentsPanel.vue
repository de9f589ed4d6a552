<script setup lang="ts">
import { computed, ref } from 'vue'
import { hangingOf, makeRoom, packingOf, smallestFor } from '@drumlin/core/derived'
import { setField } from '@drumlin/core/design'
import { printLength } from '@drumlin/core/measure'
import type { Thing } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import ChoiceField from '../sentence/ChoiceField.vue'

const job = useJob()
const stores = useStores()
const settings = useSettings()
const derived = computed(() => job.derived!)
const contents = computed(() => derived.value.design.contents)
const packing = computed(() => packingOf(derived.value))
const room = computed(() => derived.value.master.room!)
const hangs = computed(() => hangingOf(derived.value))
const said = ref('')
const mm = (value: number): string => printLength(value, settings.unit)
const offered = computed(() => [
  { value: '', label: 'put in …' },
  ...stores.all.things
    .filter((t) => !contents.value.some((c) => c.thing.id === t.id))
    .map((t) => ({ value: t.id, label: t.name, why: `${mm(t.wide)} × ${mm(t.high)} × ${mm(t.deep)}` })),
])

function take(words: string, to: { thing: Thing; count: number }[]): void {
  const refused = job.edit(setField(words, ['contents'], to))
  said.value = refused ? `${refused.where}: ${refused.why}` : ''
}
function put(id: string): void {
  const thing = stores.all.things.find((t) => t.id === id)
  if (thing) take(`put in: ${thing.name}`, [...contents.value, { thing, count: 1 }])
}
function count(id: string, by: number): void {
  const next = contents.value
    .map((c) => (c.thing.id === id ? { ...c, count: c.count + by } : c))
    .filter((c) => c.count > 0)
  const name = contents.value.find((c) => c.thing.id === id)?.thing.name ?? ''
  take(`${by > 0 ? 'one more' : 'one fewer'}: ${name}`, next)
}

const smallest = computed(() => smallestFor(derived.value))
function fit(): void {
  const to = smallest.value
  if (!to) return
  const refused = job.edit(makeRoom(derived.value, to))
  said.value = refused
    ? `${refused.where}: ${refused.why}`
    : `It is now ${mm(to.wide)} wide, ${mm(to.high)} high and ${mm(to.deep)} deep inside.`
}

/** Seen from the front, and from above. */
const scale = computed(() => 150 / Math.max(room.value.high.value, room.value.deep.value + 20))
</script>

<template>
  <section class="contents" aria-labelledby="contents-title">
    <h2 id="contents-title">Put things in</h2>
    <p v-if="contents.length === 0" class="quiet">
      Nothing is in it yet. Put in what it will carry, and take the smallest bag that holds it.
    </p>
    <ul>
      <li v-for="c in contents" :key="c.thing.id">
        <v-btn class="small" :aria-label="`One ${c.thing.name} fewer`" @click="count(c.thing.id, -1)">
          −
        </v-btn>
        <span class="figure count">{{ c.count }}</span>
        <v-btn class="small" :aria-label="`One ${c.thing.name} more`" @click="count(c.thing.id, 1)">
          +
        </v-btn>
        {{ c.thing.name }},
        <span class="figure">{{ mm(c.thing.wide) }} × {{ mm(c.thing.high) }} × {{ mm(c.thing.deep) }}</span>
      </li>
    </ul>
    <p class="row">
      <ChoiceField value="" label="what to put in" :options="offered" @change="put" />
      <v-btn variant="flat" :disabled="!smallest || contents.length === 0" @click="fit">
        The smallest that takes them
      </v-btn>
    </p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="contents.length > 0 && !smallest" role="alert" class="unfit">
      No {{ derived.kind.name.toLowerCase() }} is large enough for all of that.
    </p>
    <template v-if="packing && contents.length > 0">
      <p>
        <strong>{{ packing.fits ? 'It all fits.' : 'It does not fit.' }}</strong> With room round it, it needs
        <span class="figure"
          >{{ mm(packing.needs.wide) }} × {{ mm(packing.needs.high) }} × {{ mm(packing.needs.deep) }}</span
        >; inside there are
        <span class="figure"
          >{{ mm(room.wide.value) }} × {{ mm(room.high.value) }} × {{ mm(room.deep.value) }}</span
        ><template v-if="packing.walls.length > 0">, parted by its divider</template>.
      </p>
      <svg
        :viewBox="`-4 -4 ${room.wide.value * scale * 2 + 40} 162`"
        role="img"
        aria-label="How the things stand inside, from the front and from above"
      >
        <g
          v-for="(view, i) in ['front', 'above'] as const"
          :key="view"
          :transform="`translate(${i * (room.wide.value * scale + 30)} 0)`"
        >
          <rect
            class="room"
            :width="room.wide.value * scale"
            :height="(view === 'front' ? room.high.value : room.deep.value) * scale"
          />
          <template v-if="view === 'above'">
            <rect
              v-for="w in packing.walls"
              :key="w.z"
              class="wall"
              :y="(room.deep.value - w.deep - w.z) * scale"
              :width="room.wide.value * scale"
              :height="Math.max(1, w.deep * scale)"
            />
          </template>
          <rect
            v-for="(p, k) in packing.packed"
            :key="k"
            class="thing"
            :x="p.x * scale"
            :y="(view === 'front' ? room.high.value - p.high - p.y : room.deep.value - p.deep - p.z) * scale"
            :width="p.wide * scale"
            :height="(view === 'front' ? p.high : p.deep) * scale"
          />
        </g>
      </svg>
      <p v-for="h in hangs" :key="h.name">
        Hung from its {{ h.name }} with {{ (h.contents / 1000).toFixed(1) }} kg in it, it
        <template v-if="Math.abs(h.tilt) < 1">hangs level.</template
        ><template v-else
          >leans {{ Math.abs(h.tilt).toFixed(1) }}° to the {{ h.tilt > 0 ? 'front' : 'back' }}.</template
        >
      </p>
    </template>
  </section>
</template>

<style scoped>
.count {
  margin: 0 6px;
}
h2 {
  font-size: 17px;
  margin: 18px 0 8px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0;
}
li {
  margin: 4px 0;
}
.small {
  margin: 0 6px 0 0;
  min-height: 24px;
  padding: 0 8px;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
}
select {
  font: inherit;
  color: var(--ink);
  background: var(--surface);
  border: 1px solid var(--hairline);
  border-radius: 6px;
  padding: 4px 8px;
}
svg {
  max-height: 170px;
  width: 100%;
}
.room {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1;
}
.wall {
  fill: var(--line);
}
.thing {
  fill: var(--loch);
  fill-opacity: 0.18;
  stroke: var(--loch);
  stroke-width: 1;
}
.unfit {
  border-left: 4px solid var(--rowan);
  padding-left: 10px;
}
</style>

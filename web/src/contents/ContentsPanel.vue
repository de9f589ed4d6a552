<script setup lang="ts">
import { useFigures } from '../app/figures.js'
import { computed, ref } from 'vue'
import { hangingOf, makeRoom, packedRooms, smallestFor } from '@drumlin/core/derived'
import { setField } from '@drumlin/core/design'
import { printLength } from '@drumlin/core/measure'
import type { Thing } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import PackedRoom from './PackedRoom.vue'

const figure = useFigures()
const job = useJob()
const stores = useStores()
const settings = useSettings()
const derived = computed(() => job.derived!)
const contents = computed(() => derived.value.design.contents)
const rooms = computed(() => packedRooms(derived.value))
const inBody = computed(() => (rooms.value[0]?.packing.packed.length ?? 0) > 0)
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

type Where = 'body' | 'outer'
function take(words: string, to: { thing: Thing; count: number; where?: Where | undefined }[]): void {
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

const PLACES = [
  { value: 'body' as const, label: 'in the main compartment' },
  { value: 'outer' as const, label: 'in the outer one' },
]
const place = (id: string, where: Where): void =>
  take(
    'put elsewhere',
    contents.value.map((c) => (c.thing.id === id ? { ...c, where } : c)),
  )

const smallest = computed(() => smallestFor(derived.value))
function fit(): void {
  const to = smallest.value
  if (!to) return
  const refused = job.edit(makeRoom(derived.value, to))
  said.value = refused
    ? `${refused.where}: ${refused.why}`
    : `It is now ${mm(to.wide)} wide, ${mm(to.high)} high and ${mm(to.deep)} deep inside.`
}
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
        <span class="figure">{{ mm(c.thing.wide) }} × {{ mm(c.thing.high) }} × {{ mm(c.thing.deep) }}</span
        ><template v-if="room.second"
          >,
          <ChoiceField
            :value="c.where ?? 'body'"
            :label="`where the ${c.thing.name} goes`"
            :options="PLACES"
            @change="(where) => place(c.thing.id, where)"
        /></template>
      </li>
    </ul>
    <p class="row">
      <ChoiceField value="" label="what to put in" :options="offered" @change="put" />
      <v-btn variant="flat" :disabled="!smallest" @click="fit"> The smallest that takes them </v-btn>
    </p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="inBody && !smallest" role="alert" class="unfit">
      No {{ derived.kind.name.toLowerCase() }} is large enough for all of that.
    </p>
    <template v-if="contents.length > 0">
      <PackedRoom v-for="r in rooms" :key="r.name" :packed="r" />
      <p v-for="h in hangs" :key="h.name">
        Hung from its {{ h.name }} with {{ figure(h.contents / 1000, 1) }} kg in it, it
        <template v-if="Math.abs(h.tilt) < 1">hangs level.</template
        ><template v-else
          >leans {{ figure(Math.abs(h.tilt), 1) }}° to the {{ h.tilt > 0 ? 'front' : 'back' }}.</template
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
.unfit {
  border-left: 4px solid var(--rowan);
  padding-left: 10px;
}
</style>

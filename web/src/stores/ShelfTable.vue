<script setup lang="ts">
import { computed, ref } from 'vue'
import { COLUMNS, type Good, SHELF_NAMES, type Shelf } from '@drumlin/core/stores'
import { useStores } from '../job/stores.js'
import { freeId } from '../shelf/ids.js'
import GoodCell from './GoodCell.vue'
import FoldPart from '../parts/FoldPart.vue'

const props = defineProps<{ shelf: Shelf }>()
const stores = useStores()
const refused = ref('')
const removed = ref<Good>()
/** The leather whose spots, hides and test pieces are laid out beside. */
const shown = defineModel<string | undefined>('shown')
const names = computed(() => SHELF_NAMES[props.shelf])
const own = computed(() => (stores.own?.[props.shelf] ?? []) as readonly Good[])
const examples = computed(() => (stores.examples?.[props.shelf] ?? []) as readonly Good[])
const sorting = ref<string>()
const rows = computed(() => {
  const key = sorting.value
  if (!key) return own.value
  const of = (g: Good): string | number => {
    const v = (g as unknown as Record<string, unknown>)[key]
    return typeof v === 'object' && v !== null ? (v as { low: number }).low : (v as string | number)
  }
  return own.value.toSorted((a, b) => (of(a) < of(b) ? -1 : of(a) > of(b) ? 1 : 0))
})

async function take(good: Good): Promise<void> {
  refused.value = (await stores.put(props.shelf, good)) ?? ''
}
const change = (good: Good, key: string, value: unknown): Promise<void> =>
  take({ ...good, [key]: value } as Good)
async function copy(good: Good, name = good.name): Promise<void> {
  const taken = [...own.value, ...examples.value].map((g) => g.id)
  await take({
    ...good,
    id: freeId(`own-${good.id.replace(/^own-/, '')}`.slice(0, 60), taken),
    name,
  })
}
async function remove(good: Good): Promise<void> {
  if (own.value.length === 1) {
    refused.value = `The last ${names.value.one} stays: a new job needs one to start with. Add another first.`
    return
  }
  refused.value = (await stores.remove(props.shelf, good.id)) ?? ''
  if (refused.value === '') removed.value = good
}
async function putBack(): Promise<void> {
  if (removed.value) await take(removed.value)
  if (refused.value === '') removed.value = undefined
}
</script>

<template>
  <section :aria-labelledby="`shelf-${shelf}`" :data-shelf="shelf">
    <h2 :id="`shelf-${shelf}`">{{ names.title }}</h2>
    <div class="wide" tabindex="0" role="group" :aria-label="`${names.title}, table`">
      <v-table>
        <thead>
          <tr>
            <th
              v-for="c in COLUMNS[shelf]"
              :key="c.key"
              scope="col"
              :aria-sort="sorting === c.key ? 'ascending' : undefined"
            >
              <v-btn variant="plain" @click="sorting = sorting === c.key ? undefined : c.key">
                {{ c.label }}{{ sorting === c.key ? ' ▴' : '' }}
                <v-tooltip activator="parent" location="top" max-width="320" :text="c.says" />
              </v-btn>
            </th>
            <th scope="col"><span class="visually-hidden">what can be done</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="g in rows" :key="g.id" :data-good="g.id" :class="{ shown: shown === g.id }">
            <td v-for="c in COLUMNS[shelf]" :key="c.key">
              <GoodCell :good="g" :column="c" @change="(to) => change(g, c.key, to)" />
            </td>
            <td class="acts">
              <v-btn
                v-if="shelf === 'leathers'"
                variant="plain"
                class="link"
                :aria-label="`More of ${g.name}`"
                :aria-expanded="shown === g.id ? 'true' : 'false'"
                @click="shown = shown === g.id ? undefined : g.id"
              >
                more
              </v-btn>
              <v-btn variant="plain" class="link" :aria-label="`Copy ${g.name}`" @click="copy(g)">copy</v-btn>
              <v-btn variant="plain" class="link" :aria-label="`Remove ${g.name}`" @click="remove(g)"
                >remove</v-btn
              >
            </td>
          </tr>
        </tbody>
      </v-table>
    </div>
    <FoldPart :title="`What the columns of ${names.title.toLowerCase()} mean`">
      <dl>
        <template v-for="c in COLUMNS[shelf]" :key="c.key">
          <dt>{{ c.label }}</dt>
          <dd>{{ c.says }}</dd>
        </template>
      </dl>
    </FoldPart>
    <p v-if="refused" role="alert" class="refused">{{ refused }}</p>
    <p v-if="removed" role="status">
      “{{ removed.name }}” was removed; jobs that use it keep their own copy.
      <v-btn @click="putBack">Put it back</v-btn>
    </p>
    <p class="row">
      <v-btn @click="copy(own[0]!, `new ${names.one}`)">Add another {{ names.one }}</v-btn>
      <span v-if="examples.length > 0" class="quiet">
        From the examples:
        <template v-for="(g, i) in examples" :key="g.id"
          >{{ i > 0 ? ' · ' : ''
          }}<v-btn variant="plain" class="link" :aria-label="`Copy ${g.name} to my own`" @click="copy(g)">
            {{ g.name }}
          </v-btn></template
        >
      </span>
    </p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 22px 0 8px;
}
.wide {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 4px 18px 4px 0;
  border-bottom: 1px solid var(--hairline);
  white-space: nowrap;
}
th button {
  color: var(--quiet);
  font-weight: 650;
}
.acts button {
  margin-right: 12px;
}
tr.shown {
  background: var(--heather-wash);
}
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 70ch);
  gap: 4px 16px;
  margin: 0;
}
dt {
  font-weight: 650;
}
dd {
  margin: 0;
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--quiet);
}
.row {
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
}
.refused {
  color: var(--rowan);
}
</style>

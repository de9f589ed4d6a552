<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { compareDecisions, comparePieces } from '@drumlin/core/compare'
import { derive } from '@drumlin/core/derived'
import { takeDesign } from '@drumlin/core/design'
import { printLength } from '@drumlin/core/measure'
import WordHelp from '../help/WordHelp.vue'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import { useJob } from '../job/job.js'
import { saveDesign, saveRaw } from '../output/save.js'
import type { DraftRecord } from '../storage/db.js'
import { type UnreadableDraft, dropDraft, keepDraft, listDrafts } from '../storage/drafts.js'
import OverlayDrawing from './OverlayDrawing.vue'
import ChoiceField from '../sentence/ChoiceField.vue'

const props = defineProps<{ id: string }>()
const job = useJob()
const settings = useSettings()
const router = useRouter()
const kept = shallowRef<readonly DraftRecord[]>([])
const first = ref<number>()
/** 0 is the work as it stands now. */
const second = ref(0)
const said = ref('')

const trouble = useTrouble()
const broken = shallowRef<readonly UnreadableDraft[]>([])
const load = (): Promise<boolean> =>
  trouble.attempt('The kept drafts could not be read', async () => {
    const all = await listDrafts(props.id)
    kept.value = all.kept
    broken.value = all.unreadable
    if (!kept.value.some((d) => d.seq === first.value)) first.value = kept.value.at(-1)?.seq
    if (second.value !== 0 && !kept.value.some((d) => d.seq === second.value)) second.value = 0
  })
onMounted(load)

const drafts = computed(() => kept.value.map((d) => ({ value: d.seq, label: d.name, why: day(d.kept) })))
const designOf = (seq: number | undefined) =>
  seq === 0 ? job.design : kept.value.find((d) => d.seq === seq)?.design
const before = computed(() => designOf(first.value))
const now = computed(() => designOf(second.value))
const pair = computed(() =>
  before.value && now.value ? { before: derive(before.value), now: derive(now.value) } : undefined,
)
const pieces = computed(() => (pair.value ? comparePieces(pair.value.before, pair.value.now) : []))
const decisions = computed(() =>
  before.value && now.value ? compareDecisions(before.value, now.value, settings.unit) : [],
)

async function keep(): Promise<void> {
  const design = job.design!
  await trouble.attempt(
    `The draft “${design.draft}” could not be kept`,
    async () => {
      const record = await keepDraft(design, Date.now())
      said.value = `“${record.name}” is kept.`
      first.value = record.seq
      await load()
    },
    { label: 'Keep the file', save: () => saveDesign(design) },
  )
}
async function drop({ seq, name }: { readonly seq: number; readonly name: string }): Promise<void> {
  await trouble.attempt(`“${name}” could not be taken away`, async () => {
    await dropDraft(props.id, seq)
    said.value = `“${name}” is no longer kept.`
    await load()
  })
}
async function goBack(draft: DraftRecord): Promise<void> {
  const refused = job.edit(takeDesign(`go back to ${draft.name}`, job.design!, draft.design))
  if (refused) said.value = `“${draft.name}” can't be taken: ${refused.where}: ${refused.why}.`
  else await router.push({ name: 'draft', params: { id: props.id } })
}
const day = (time: number): string =>
  new Date(time).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <div class="drafts">
    <section class="list" aria-labelledby="kept">
      <div class="row">
        <h1 id="kept">Drafts</h1>
        <WordHelp word="draft" />
      </div>
      <p>
        <v-btn variant="flat" @click="keep">Keep “{{ job.design?.draft }}” as it is now</v-btn>
      </p>
      <p v-if="said" role="status">{{ said }}</p>
      <p v-if="kept.length === 0" class="quiet">
        A kept draft can be laid under later ones, to see what moved and how far, and gone back to.
      </p>
      <ul>
        <li v-for="d in kept" :key="d.seq">
          <strong>{{ d.name }}</strong> <span class="quiet">{{ day(d.kept) }}</span>
          <span class="row">
            <v-btn :aria-label="`Go back to ${d.name}`" @click="goBack(d)">Go back to it</v-btn>
            <v-btn variant="plain" class="link" :aria-label="`No longer keep ${d.name}`" @click="drop(d)">
              no longer keep
            </v-btn>
          </span>
        </li>
        <li v-for="d in broken" :key="d.seq">
          <strong>{{ d.name }}</strong> can’t be read. {{ d.why }}
          <span class="row">
            <v-btn :aria-label="`Keep the raw file of ${d.name}`" @click="saveRaw(d.raw, d.name)">
              Keep the raw file
            </v-btn>
            <v-btn variant="plain" class="link" :aria-label="`No longer keep ${d.name}`" @click="drop(d)">
              no longer keep
            </v-btn>
          </span>
        </li>
      </ul>
      <RouterLink :to="{ name: 'draft', params: { id } }">To the draft on the bench</RouterLink>
    </section>
    <section v-if="kept.length > 0" aria-labelledby="laid">
      <h2 id="laid">
        Lay
        <ChoiceField
          :value="second"
          label="what is laid over"
          :options="[{ value: 0, label: 'what is on the bench' }, ...drafts]"
          @change="(seq) => (second = seq)"
        />
        over
        <ChoiceField
          v-if="first !== undefined"
          :value="first"
          label="what it is laid over"
          :options="drafts"
          @change="(seq) => (first = seq)"
        />
      </h2>
      <template v-if="pair">
        <OverlayDrawing :before="pair.before" :now="pair.now" :changes="pieces" />
        <v-table>
          <thead>
            <tr>
              <th scope="col">Piece</th>
              <th scope="col">Farthest apart</th>
              <th scope="col">Where</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in pieces" :key="p.panelId" :data-compared="p.panelId">
              <th scope="row">{{ p.name }}</th>
              <td class="figure">
                {{ p.change === 'both' ? printLength(p.distance, settings.unit) : p.change }}
              </td>
              <td>
                {{
                  p.change === 'both' && p.distance > 0
                    ? `${printLength(p.before.x, settings.unit)} across, ${printLength(p.before.y, settings.unit)} down`
                    : ''
                }}
              </td>
            </tr>
          </tbody>
        </v-table>
        <h3>Decisions that changed</h3>
        <p v-if="decisions.length === 0" class="quiet">None.</p>
        <v-table v-else>
          <tbody>
            <tr v-for="d in decisions" :key="d.label" data-decision>
              <th scope="row">{{ d.label }}</th>
              <td>{{ d.before }}</td>
              <td aria-hidden="true">→</td>
              <td>{{ d.now }}</td>
            </tr>
          </tbody>
        </v-table>
      </template>
    </section>
  </div>
</template>

<style scoped>
.drafts {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 36px;
  padding: 22px 28px;
}
h1 {
  font-size: 22px;
  margin-bottom: 12px;
}
h2 {
  font-size: 17px;
  margin-bottom: 12px;
}
h3 {
  font-size: 15px;
  margin: 16px 0 6px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  padding: 10px 0;
  border-top: 1px solid var(--hairline);
}
.row {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-top: 6px;
}
.link {
  text-decoration: underline;
  color: var(--quiet);
}
a {
  color: var(--loch);
}
table {
  border-collapse: collapse;
  margin-top: 12px;
}
th,
td {
  text-align: left;
  padding: 3px 22px 3px 0;
  border-bottom: 1px solid var(--hairline);
  font-weight: 400;
}
thead th {
  font-weight: 650;
}
@media (max-width: 900px) {
  .drafts {
    grid-template-columns: minmax(0, 1fr);
    padding: 16px;
  }
}
</style>

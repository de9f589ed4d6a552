<script setup lang="ts">
import { defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Derived } from '@drumlin/core/derived'
import { FORMATS, type Format, type FormatId } from '@drumlin/core/exchange/formats'
import { PAPERS, type PaperId } from '@drumlin/core/exchange/paper'
import { useSettings } from '../app/settings.js'
import { saveAs } from '../output/save.js'
import WritingState from '../output/WritingState.vue'
import { useWriting } from '../output/writing.js'

/** Only whoever wants more than a click gets it. */
const CutterDialog = defineAsyncComponent(() => import('../print/CutterDialog.vue'))
const DieDialog = defineAsyncComponent(() => import('../print/DieDialog.vue'))
const PrintDialog = defineAsyncComponent(() => import('../print/PrintDialog.vue'))

const props = defineProps<{ derived: Derived }>()
const settings = useSettings()
const writing = useWriting()
const { working } = writing
const printing = ref(false)
const cutting = ref(false)
const ordering = ref(false)

type Known = Format & { readonly id: FormatId }
interface Offer {
  readonly format: Known
  readonly paper: PaperId | undefined
  readonly label: string
  readonly says: string
}
/** The paper of the country stands first: it is what Print takes. */
const ownFirst = (papers: readonly PaperId[]): readonly PaperId[] =>
  papers.toSorted((a, b) => Number(b === settings.paper) - Number(a === settings.paper))
/** A button for each format, and one for each paper of what is printed. */
const offers = (FORMATS as readonly Known[]).flatMap((format): readonly Offer[] =>
  format.papers.length === 0
    ? [{ format, paper: undefined, label: format.label, says: format.says }]
    : ownFirst(format.papers).map((paper, k) => ({
        format,
        paper,
        label: `${k === 0 ? 'Print ' : ''}${PAPERS[paper].short}`,
        says: format.says.replace('{paper}', PAPERS[paper].name),
      })),
)

const save = (format: Known, paper: PaperId | undefined): Promise<void> =>
  writing.write(format.label, (signal) =>
    saveAs(format, { design: props.derived.design, paper, unit: settings.unit }, signal),
  )
/** What was asked for from elsewhere is made once, here. */
const route = useRoute()
const router = useRouter()
watch(
  () => route.query.out,
  async (id) => {
    const offer = offers.find((o) => o.format.id === id)
    if (!offer) return
    await router.replace({ query: { ...route.query, out: undefined } })
    await save(offer.format, offer.paper)
  },
  { immediate: true },
)
</script>

<template>
  <section class="out" aria-label="Take it out">
    <div class="row">
      <v-btn
        v-for="(offer, k) in offers"
        :key="offer.says"
        :variant="k === 0 ? 'flat' : undefined"
        :disabled="working !== undefined"
        :aria-label="offer.says"
        @click="save(offer.format, offer.paper)"
      >
        {{ offer.label }}
      </v-btn>
      <v-btn aria-label="Choose paper, pieces and printer, and see the pages" @click="printing = true"
        >Paper…</v-btn
      >
      <v-btn aria-label="Cut the pieces with a machine" @click="cutting = true">Cutter…</v-btn>
      <v-btn aria-label="Order dies for a press" @click="ordering = true">Die…</v-btn>
    </div>
    <CutterDialog v-if="cutting" v-model="cutting" :derived="derived" />
    <DieDialog v-if="ordering" v-model="ordering" :derived="derived" />
    <PrintDialog v-if="printing" v-model="printing" :derived="derived" />
    <WritingState :writing="writing" />
  </section>
</template>

<style scoped>
.out {
  border-top: 1px solid var(--hairline);
  padding: 10px 18px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.row .v-btn {
  padding: 3px 5px;
  font-size: 13px;
  white-space: nowrap;
}
</style>

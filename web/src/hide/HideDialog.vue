<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { hideArea } from '@drumlin/core/hide'
import { printArea } from '@drumlin/core/measure'
import {
  CURRENCIES,
  GROUND_PARTS,
  type Hide,
  hideSchema,
  problemWords,
  sheetGround,
  typicalGround,
  usualZones,
} from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { useStores } from '../job/stores.js'
import { freeId } from '../shelf/ids.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import NameField from '../sentence/NameField.vue'
import HideEditor from './HideEditor.vue'
import HideFile from './HideFile.vue'
import HideTypical from './HideTypical.vue'
import HideWidths from './HideWidths.vue'
import PhotoTrace from './PhotoTrace.vue'

/** A hide described: where its outline comes from, then zones, flaws and spots. */
const props = defineProps<{ of: string; material: string; leather: boolean; hide: Hide | undefined }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ keep: [hide: Hide] }>()
const settings = useSettings()
const stores = useStores()

const SOURCES = [
  { value: 'typical', label: 'as it usually comes' },
  { value: 'widths', label: 'from a few widths' },
  { value: 'photograph', label: 'from a photograph' },
  { value: 'file', label: 'from an SVG or DXF file' },
] as const
const source = ref<(typeof SOURCES)[number]['value']>('typical')
const draft = shallowRef<Hide>(fresh())
/** Whether the outline stands, and zones, flaws and spots are being marked. */
const marking = ref(false)

function fresh(): Hide {
  return {
    id: 'hide',
    name: props.leather ? `Hide of ${props.material}` : `Sheet of ${props.material}`,
    of: props.of,
    part: props.leather ? 'side' : 'sheet',
    batch: '',
    price: 0,
    currency: (CURRENCIES[0]?.id ?? 'eur').toUpperCase(),
    ...(props.leather ? typicalGround('side', 200) : sheetGround(900, 600)),
    flaws: [],
    spots: [],
  }
}
watch(
  open,
  (now) => {
    if (!now) return
    draft.value = props.hide ?? fresh()
    marking.value = props.hide !== undefined
    source.value = 'typical'
  },
  { immediate: true },
)
const set = (more: Partial<Hide>): void => void (draft.value = { ...draft.value, ...more })
/** An outline that was measured or traced: its zones begin as they usually are in the part. */
function shaped(more: Partial<Hide>): void {
  const hide = { ...draft.value, flaws: [], spots: [], ...more }
  draft.value = { ...hide, ...usualZones(hide.part, hide) }
}
const parts = GROUND_PARTS.map((p) => ({ value: p, label: p }))
const problem = computed(() => {
  const read = hideSchema.safeParse(draft.value)
  const [issue] = read.error?.issues ?? []
  return issue ? `${String(issue.path[0])}: ${problemWords(issue)}` : ''
})
const area = computed(() => printArea(hideArea(draft.value), settings.unit))
function keep(): void {
  const taken = stores.all.hides.map((h) => h.id)
  const id = props.hide?.id ?? freeId(props.of.replace(/[^a-z0-9]+/g, '-').slice(0, 48) || 'hide', taken)
  emit('keep', { ...draft.value, id })
  open.value = false
}
const currencies = CURRENCIES.map((c) => ({
  value: c.id.toUpperCase(),
  label: c.id.toUpperCase(),
  why: c.name,
}))
</script>

<template>
  <v-dialog v-model="open" max-width="1180" :aria-label="hide ? `Change ${hide.name}` : 'Describe a hide'">
    <v-card class="card">
      <h2>{{ hide ? `Change ${hide.name}` : `A hide of ${material}` }}</h2>
      <p class="sentence">
        Called
        <NameField
          :value="draft.name"
          label="name of the hide"
          :max="80"
          @change="(name) => set({ name })"
        />, batch
        <NameField :value="draft.batch" label="batch" :max="40" @change="(batch) => set({ batch })" />, paid
        <MeasureField
          :value="draft.price"
          label="price of the hide"
          sort="share"
          :min="0"
          :max="100000"
          :step="1"
          @change="(price) => set({ price })"
        />{{ ' ' }}
        <ChoiceField
          :value="draft.currency"
          label="currency"
          :options="currencies"
          @change="(currency) => set({ currency })"
        />. It has {{ area }}.
      </p>
      <template v-if="!marking">
        <v-radio-group v-model="source" inline label="Its outline">
          <v-radio v-for="s in SOURCES" :key="s.value" :value="s.value" :label="s.label" />
        </v-radio-group>
        <HideTypical v-if="source === 'typical'" :draft="draft" @change="set" />
        <template v-else>
          <p>
            It is a
            <ChoiceField
              :value="draft.part"
              label="part of the hide"
              :options="parts"
              then="."
              @change="(part) => shaped({ part })"
            />
          </p>
          <HideWidths v-if="source === 'widths'" @change="shaped" />
          <PhotoTrace v-else-if="source === 'photograph'" @change="shaped" />
          <HideFile v-else @change="shaped" />
        </template>
      </template>
      <HideEditor :hide="draft" :marking="marking" @change="set" />
      <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
      <div class="row">
        <v-btn variant="flat" :disabled="problem !== ''" @click="keep">{{
          hide ? 'Keep the change' : 'Cut from it'
        }}</v-btn>
        <v-btn v-if="!marking" @click="marking = true">Mark flaws, zones and thickness</v-btn>
        <v-btn v-else-if="!hide" @click="marking = false">Back to the outline</v-btn>
        <v-btn @click="open = false">Leave it</v-btn>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.card {
  padding: 18px 22px;
  overflow-y: auto;
}
h2 {
  font-size: 18px;
}
.sentence {
  line-height: 1.8;
}
.sentence :deep(input[type='text']) {
  border-bottom: 1px solid var(--hairline);
}
.row {
  display: flex;
  gap: 8px;
  margin-top: 10px;
}
.problem {
  color: var(--rowan);
}
</style>

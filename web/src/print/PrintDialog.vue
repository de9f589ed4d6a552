<script setup lang="ts">
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import type { Derived } from '@drumlin/core/derived'
import {
  OWN_PAPER,
  PAPERS,
  barSaid,
  type Paper,
  type PaperId,
  paperOf,
  wishProblem,
} from '@drumlin/core/exchange/paper'
import type { PagePreview } from '@drumlin/core/exchange/pdf'
import { useSettings } from '../app/settings.js'
import { useDevices } from '../devices/devices.js'
import { pagesToSee, patternPdf, savePattern } from '../output/save.js'
import { useWriting } from '../output/writing.js'
import ChoiceField from '../sentence/ChoiceField.vue'
import MeasureField from '../sentence/MeasureField.vue'
import TakenField from '../sentence/TakenField.vue'
import PrinterPanel from './PrinterPanel.vue'
import PrintPages from './PrintPages.vue'
import { printNow } from './printNow.js'
import PieceTicks from './PieceTicks.vue'
import TwoSides from './TwoSides.vue'
import { usePrinters } from './printers.js'

/** The pattern on paper: which, how it lies, which pieces, made true for which printer; its pages to see first. */
const props = defineProps<{ derived: Derived }>()
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const printers = usePrinters()
const writing = useWriting()
const looking = useWriting()
const pages = shallowRef<readonly PagePreview[]>([])
/** Pieces that are left out, by id: those that come later are printed. */
const without = ref<readonly string[]>([])
/** How often a piece is printed, where that isn’t once. */
const copies = ref<Readonly<Record<string, number>>>({})
const measuring = ref(false)
/** What the bar on the print was read as. */
const bar = ref<number>()

type PaperWay = PaperId | 'roll' | 'own'
const PAPER_WAYS = [
  ...Object.entries(PAPERS).map(([id, p]) => ({ value: id as PaperWay, label: p.name })),
  { value: 'roll' as const, label: 'a roll' },
  { value: 'own' as const, label: 'a sheet of its own size' },
]
const paperWay = computed((): PaperWay => {
  const { paper } = printers.ways
  return typeof paper === 'string' ? paper : paper.height === 0 ? 'roll' : 'own'
})
const own = computed(() => (typeof printers.ways.paper === 'string' ? undefined : printers.ways.paper))
const setPaper = (paper: Paper): void => printers.set({ paper })
const takePaper = (way: PaperWay): void =>
  setPaper(way === 'roll' ? { width: 914, height: 0 } : way === 'own' ? { width: 600, height: 900 } : way)
const WAYS = [
  { value: 'fewest' as const, label: 'whichever way takes fewer' },
  { value: 'upright' as const, label: 'upright' },
  { value: 'lying' as const, label: 'on their side' },
]
const NONE = 'none'
const printerOptions = computed(() => [
  { value: NONE, label: 'as it comes' },
  ...printers.all.map((p) => ({ value: p.id, label: `${p.name}, measured ${p.date} on ${p.paper}` })),
])
const pieces = computed(() => props.derived.pieces)
const wish = computed(() => {
  const wanted = pieces.value.filter((p) => !without.value.includes(p.id)).map((p) => p.id)
  return {
    ...printers.wish,
    ...(wanted.length < pieces.value.length ? { pieces: wanted } : {}),
    ...(Object.keys(copies.value).length > 0 ? { copies: copies.value } : {}),
  }
})
const problem = computed(() => wishProblem(wish.value, settings.unit) ?? '')
/** What the bar on the print says of it; nothing where it is true. */
const barSays = computed(() => (bar.value === undefined ? undefined : barSaid(bar.value, settings.unit)))
const paperName = computed(() => paperOf(printers.ways.paper).name)
const options = () => ({
  print: JSON.parse(JSON.stringify(wish.value)) as typeof wish.value,
  paper: settings.paper,
  unit: settings.unit,
})

async function look(): Promise<void> {
  if (!open.value || problem.value !== '') return
  await looking.write('pages', async (signal) => {
    pages.value = await pagesToSee(toRaw(props.derived.design), options(), signal)
  })
}
watch([open, wish, () => props.derived.design, () => settings.unit], () => void look(), { immediate: true })
watch(open, (now) => now && void printers.load(), { immediate: true })

const save = (): Promise<void> =>
  writing.write('PDF', async (signal) =>
    savePattern(
      props.derived.design,
      await patternPdf(toRaw(props.derived.design), options(), signal),
      paperOf(printers.ways.paper).short,
    ),
  )
const devices = useDevices()
const printOnDevice = (): Promise<void> =>
  writing.write('pages', async (signal) =>
    devices.print(await patternPdf(toRaw(props.derived.design), options(), signal)),
  )
const print = (): Promise<void> =>
  writing.write('pages', async (signal) =>
    printNow(await patternPdf(toRaw(props.derived.design), options(), signal)),
  )
</script>

<template>
  <TwoSides id="print-title" v-model="open" title="The pattern on paper" :problem :writing>
    <template #how>
      <p>
        Printed on
        <ChoiceField :value="paperWay" label="paper" :options="PAPER_WAYS" @change="takePaper" /><template
          v-if="own"
          >,
          <MeasureField
            :value="own.width"
            label="width of the paper"
            sort="length"
            :min="OWN_PAPER.least"
            :max="OWN_PAPER.widest"
            :step="1"
            @change="(width) => setPaper({ ...own!, width })"
          />
          wide<template v-if="own.height > 0">
            and
            <MeasureField
              :value="own.height"
              label="height of the paper"
              sort="length"
              :min="OWN_PAPER.least"
              :max="OWN_PAPER.longest"
              :step="1"
              @change="(height) => setPaper({ ...own!, height })"
            />
            high</template
          ></template
        ><template v-if="paperWay !== 'roll'"
          >, pages
          <ChoiceField
            :value="printers.ways.way"
            label="how pages lie"
            :options="WAYS"
            @change="(way) => printers.set({ way })" /></template
        >.
      </p>
      <p>
        Its printer leaves
        <MeasureField
          :value="printers.ways.border"
          label="border the printer can’t print"
          sort="length"
          :min="3"
          :max="30"
          :step="0.5"
          @change="(border) => printers.set({ border })"
        />
        free all round; neighbouring pages repeat
        <MeasureField
          :value="printers.ways.overlap"
          label="overlap of neighbouring pages"
          sort="length"
          :min="4"
          :max="40"
          :step="1"
          @change="(overlap) => printers.set({ overlap })"
        />.
      </p>
      <p>
        Made true for
        <ChoiceField
          :value="printers.chosen?.id ?? NONE"
          label="printer"
          :options="printerOptions"
          @change="(id) => printers.set({ printer: id === NONE ? undefined : id })"
        />.
        <v-btn v-if="!measuring" @click="measuring = true">Measure a printer</v-btn>
        <v-btn v-if="printers.chosen && !measuring" @click="printers.forget(printers.chosen!.id)"
          >Forget this one</v-btn
        >
      </p>
      <PrinterPanel v-if="measuring" @done="measuring = false" />
      <PieceTicks v-model="without" v-model:copies="copies" :pieces="pieces" copied />
      <v-checkbox-btn
        :model-value="printers.ways.templates ?? false"
        label="templates of card besides: corners, what is laid in, the pitch"
        @update:model-value="(templates: boolean | null) => printers.set({ templates: templates === true })"
      />
      <v-checkbox-btn
        :model-value="printers.ways.box ?? false"
        label="a page for the box that the pattern is kept in"
        @update:model-value="(box: boolean | null) => printers.set({ box: box === true })"
      />
    </template>
    <template #comes>
      <p v-if="pages.length > 0" role="status">
        {{ pages.length }} {{ pages.length === 1 ? 'page' : 'pages' }} of {{ paperName }}, and the cover.
      </p>
    </template>
    <template #acts="{ off }">
      <v-btn variant="flat" :disabled="off" @click="print">Print</v-btn>
      <v-btn v-if="devices.printer" :disabled="off" @click="printOnDevice">Print on the stand-in</v-btn>
      <v-btn :disabled="off" @click="save">Save as PDF</v-btn>
    </template>
    <template #after>
      <p>
        The bar of 100 mm on the cover, measured on the print:
        <TakenField
          :value="bar"
          label="bar of 100 mm, as read on the print"
          sort="length"
          :min="0"
          :max="1000"
          @change="(v) => (bar = v)"
        /><template v-if="bar !== undefined">, </template>
        <span v-if="bar !== undefined && barSays === undefined" role="status">it is true.</span>
      </p>
      <p v-if="barSays !== undefined" role="alert" class="refused">{{ barSays }}</p>
    </template>
    <template #seen><PrintPages :pages="problem === '' ? pages : []" :looking="looking" /></template>
  </TwoSides>
</template>

<script setup lang="ts">
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue'
import { leaveHide, takeHide } from '@drumlin/core/design'
import { figuresOf, hideArea, leftovers, outlinesOn } from '@drumlin/core/hide'
import { printArea } from '@drumlin/core/measure'
import type { Hide } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { useJob } from '../job/job.js'
import { useStores } from '../job/stores.js'
import type { Laying } from './laying.js'

/** Fetched when a hide is described: most only look. */
const HideDialog = defineAsyncComponent(() => import('./HideDialog.vue'))

/** The hides of the material that is laid out: taken from the shelf, described, left, and what is left of them. */
const props = defineProps<{ laying: Laying }>()
const job = useJob()
const stores = useStores()
const settings = useSettings()
const group = computed(() => props.laying.group.value!)
const area = (hide: Hide): string => printArea(hideArea(hide), settings.unit)
const shelf = computed(() =>
  stores.all.hides.filter((h) => h.of === group.value.of && !group.value.hides.some((c) => c.id === h.id)),
)
const take = (hide: Hide): void => props.laying.edit(takeHide(job.design!, hide))
const leave = (hide: Hide): void => props.laying.edit(leaveHide(job.design!, hide.id))

/** The hide that is being described or changed. */
const open = ref(false)
const subject = shallowRef<Hide>()
function describe(hide?: Hide): void {
  subject.value = hide
  open.value = true
}
const refused = ref('')
const said = ref('')
async function keep(hide: Hide): Promise<void> {
  take(hide)
  refused.value = (await stores.putHides([hide])) ?? ''
}
/** The hide is cut: what is left of it lies on the shelf in its place. */
async function cut(hide: Hide): Promise<void> {
  const { asked, wanted } = group.value
  const left = leftovers(hide, outlinesOn(hide, asked.lying, wanted), asked.gap).map((h) => ({
    ...h,
    price: price(hide, h),
  }))
  refused.value = (await stores.putHides(left, [hide.id])) ?? ''
  if (refused.value !== '') return
  said.value =
    left.length === 0
      ? `Nothing of ${hide.name} is worth keeping; it is off the shelf.`
      : `On the shelf now: ${left.map((h) => `${h.name}, ${area(h)}`).join('; ')}.`
}
const lies = (hide: Hide): boolean => group.value.asked.lying.some((l) => l.hide === hide.id)
/** What goes back is worth its share of what the hide cost. */
function price(hide: Hide, left: Hide): number {
  const { area: whole } = figuresOf(hide, [], [], 0)
  return Math.round(100 * hide.price * (hideArea(left) / whole)) / 100
}
</script>

<template>
  <p v-for="h in group.hides" :key="h.id" class="row">
    <span
      ><strong>{{ h.name }}</strong
      >, {{ h.part }} of {{ area(h) }}</span
    >
    <v-btn variant="plain" class="link" :aria-label="`Change ${h.name}`" @click="describe(h)">change</v-btn>
    <v-btn variant="plain" class="link" :aria-label="`Leave ${h.name}`" @click="leave(h)">leave it</v-btn>
    <v-btn
      v-if="lies(h)"
      variant="plain"
      class="link"
      :aria-label="`${h.name} is cut: put what is left on the shelf`"
      @click="cut(h)"
      >it is cut: put what is left on the shelf</v-btn
    >
  </p>
  <p class="row">
    <v-menu max-height="420">
      <template #activator="{ props: opener }">
        <v-btn v-bind="opener" :disabled="shelf.length === 0">Take one from the shelf</v-btn>
      </template>
      <v-list aria-label="Hides on the shelf">
        <v-list-item v-for="h in shelf" :key="h.id" @click="take(h)">
          {{ h.name }}, {{ h.part }} of {{ area(h) }}
        </v-list-item>
      </v-list>
    </v-menu>
    <v-btn @click="describe()">Describe one</v-btn>
  </p>
  <p v-if="shelf.length === 0" class="quiet">
    No {{ group.hides.length > 0 ? 'other ' : '' }}hide of {{ group.material }} is on the shelf.
  </p>
  <p v-if="said" role="status">{{ said }}</p>
  <p v-if="refused" role="alert" class="refused">{{ refused }}</p>
  <HideDialog
    v-if="open"
    v-model="open"
    :of="group.of"
    :material="group.material"
    :leather="group.leather"
    :hide="subject"
    @keep="keep"
  />
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: baseline;
  margin: 0 0 6px;
}
.refused {
  color: var(--rowan);
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--quiet);
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { setField } from '@drumlin/core/design'
import type { Field } from '@drumlin/core/kinds'
import { printPitch, printWeight } from '@drumlin/core/measure'
import { type Leather, leatherAt, leatherUsed, splitFrom } from '@drumlin/core/stores'
import { useSettings } from '../app/settings.js'
import { useStores } from '../job/stores.js'
import ChoiceField from './ChoiceField.vue'
import MeasureField from './MeasureField.vue'
import { printMeasure } from './measures.js'
import { useChoicePictures } from './pictures.js'
import { useTarget } from './target.js'

interface Option {
  readonly value: string
  readonly label: string
  readonly why: string
}
const props = defineProps<{ field: Field }>()
const target = useTarget()
const stores = useStores()
const settings = useSettings()
const refusal = ref('')

const valueAt = (path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (inner, key) => (inner as Record<string, unknown> | undefined)?.[key],
    target.design.value,
  )
const value = computed(() => valueAt(props.field.path))
const stocked = computed(() => value.value as { id: string; name: string })
const leather = computed(() => value.value as Leather)

function set(path: readonly string[], to: unknown, words: string, gesture?: string): void {
  const refused = target.edit(setField(words, path, to), gesture)
  refusal.value = refused ? `${refused.where}: ${refused.why}` : ''
}

const range = computed(() => {
  const { field } = props
  return field.type === 'length' ||
    field.type === 'share' ||
    field.type === 'pace' ||
    field.type === 'percent' ||
    field.type === 'count'
    ? {
        min: field.min,
        max: field.max,
        step: field.type === 'count' ? 1 : field.step,
        sort: field.type,
      }
    : undefined
})
const measured = (to: number, gesture?: string): void =>
  set(
    props.field.path,
    to,
    `${props.field.label} ${printMeasure(to, range.value!.sort, settings.unit)}`,
    gesture,
  )

/** What the stores hold, with what this design carries in front where that is no longer on the shelf. */
function offered<T extends { id: string; name: string }>(
  shelf: readonly T[],
  why: (one: T) => string,
): Option[] {
  const here = shelf.some((s) => s.id === stocked.value.id) ? shelf : [stocked.value as T, ...shelf]
  return here.map((s) => ({ value: s.id, label: s.name, why: why(s) }))
}
const options = computed<Option[]>(() => {
  const { unit } = settings
  switch (props.field.type) {
    case 'choice':
      return [...props.field.choices]
    case 'leather':
      return offered(
        stores.all.leathers,
        (l) =>
          `${l.tannage} tanned, ${l.temper}, ${printWeight(l.thickness, unit)}${stores.isExample(l.id) ? ' · example' : ''}`,
      )
    case 'iron':
      return offered(
        stores.all.irons,
        (i) => `${printPitch(i.pitch, unit)}, ${i.prongs} prongs, reaches ${printWeight(i.reach, unit)}`,
      )
    case 'awl':
      return offered(stores.all.awls, (a) => `reaches ${printWeight(a.reach, unit)}`)
    case 'hardware': {
      const { sort } = props.field
      return offered(
        stores.all.hardware.filter((h) => h.sort === sort),
        (h) =>
          h.posts.length > 0
            ? `posts ${h.posts.map((p) => printWeight(p, unit)).join(', ')}`
            : `${printWeight(h.across, unit)} wide, bar ${printWeight(h.bar, unit)}`,
      )
    }
    case 'machine':
      return offered(
        stores.all.machines,
        (m) => `sews ${printWeight(m.reach, unit)}, stitch ${printPitch(m.stitch, unit)}`,
      )
    case 'thread':
      return offered(stores.all.threads, (t) => `${t.fibre}, ${t.tex} tex`)
    default:
      return []
  }
})
function chosen(id: string): void {
  const { field } = props
  const name = options.value.find((o) => o.value === id)?.label ?? id
  if (field.type === 'choice') return set(field.path, id, name)
  const shelf: readonly { id: string }[] =
    field.type === 'leather'
      ? stores.all.leathers
      : field.type === 'iron'
        ? stores.all.irons
        : field.type === 'awl'
          ? stores.all.awls
          : field.type === 'machine'
            ? stores.all.machines
            : field.type === 'hardware'
              ? stores.all.hardware
              : stores.all.threads
  const one = shelf.find((s) => s.id === id)
  if (one) set(field.path, one, `${field.label}: ${name}`)
}
/** The same leather as it now stands on the shelf, where that says something else than this job's copy. */
const newer = computed(() => {
  const onShelf =
    props.field.type === 'leather' ? stores.all.leathers.find((l) => l.id === leather.value.id) : undefined
  return onShelf && JSON.stringify(onShelf) !== JSON.stringify({ ...onShelf, ...leather.value })
    ? onShelf
    : undefined
})
/** What it is split from, where its own thickness is less than it comes in. */
const from = computed(() => (props.field.type === 'leather' ? splitFrom(leather.value) : undefined))
/** Which thickness of the leather is reckoned with. */
const uses = computed<Option[]>(() => {
  const { weight, measured } = leather.value
  const print = (mm: number): string => printWeight(mm, settings.unit)
  return [
    { value: 'low', label: 'as thin as sold', why: print(weight.low) },
    { value: 'middle', label: 'in the middle', why: print((weight.low + weight.high) / 2) },
    ...(measured.length > 0
      ? [{ value: 'measured', label: 'as measured', why: `the average of ${measured.length} spots` }]
      : []),
    { value: 'own', label: 'your own', why: 'the number written here' },
  ]
})
/** The part put on the thing whose own setting it is; where a part lies is seen on the sheet. */
const part = computed(() => {
  const [of, id, own] = props.field.path
  return of === 'added' && own === 'params' ? id : undefined
})
/** Only what is chosen of the thing itself, or of a part put on it, can be pictured; how it is sewn or reckoned can’t. */
const shaped = computed(
  () => props.field.type === 'choice' && (props.field.path[0] === 'params' || part.value !== undefined),
)
const { pictures, draw } = useChoicePictures()
function opened(): void {
  const design = target.design.value
  if (!shaped.value || !design) return
  const field = props.field.id
  void draw(part.value === undefined ? { design, field } : { design, part: part.value, field })
}
const current = computed(() => (props.field.type === 'choice' ? String(value.value) : stocked.value.id))
</script>

<template>
  <span :data-field="field.path[0] === 'added' ? field.path.join('.') : field.id">
    <MeasureField
      v-if="range"
      v-bind="range"
      :value="value as number"
      :label="field.label"
      :refusal="refusal"
      @change="measured"
    />
    <template v-else>
      <ChoiceField
        :value="current"
        :label="field.label"
        :options="options"
        :drawing="shaped && pictures === undefined"
        :pictures="shaped ? pictures : undefined"
        @open="opened"
        @change="chosen"
      />
      <template v-if="field.type === 'leather'"
        >,
        <MeasureField
          :value="leather.thickness"
          :label="`thickness of the ${leather.name}, ${field.role}`"
          sort="thickness"
          :min="0.2"
          :max="8"
          :step="0.05"
          drag
          :refusal="refusal"
          @change="
            (to, gesture) =>
              set(
                field.path,
                leatherAt(leather, to),
                `${leather.name} ${printWeight(to, settings.unit)}`,
                gesture,
              )
          "
        /><template v-if="from !== undefined">, split from {{ printWeight(from, settings.unit) }}</template
        >{{ ' '
        }}<span class="held"
          >(<ChoiceField
            :value="leather.use"
            :label="`which thickness of the ${leather.name}, ${field.role}`"
            :options="uses"
            @change="
              (use) => set(field.path, leatherUsed(leather, use as Leather['use']), `${leather.name}, ${use}`)
            "
          />)</span
        ><v-btn
          v-if="newer"
          variant="plain"
          class="shelf"
          @click="set(field.path, newer, `${newer.name} as on the shelf`)"
        >
          take it as it is on the shelf
        </v-btn></template
      >
    </template>
  </span>
</template>

<style scoped>
.held {
  white-space: nowrap;
}
.shelf {
  margin-left: 6px;
  color: var(--loch);
  text-decoration: underline;
  font-size: 14px;
}
</style>

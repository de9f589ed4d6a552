<script setup lang="ts">
import { computed, provide, ref, watch } from 'vue'
import { type Design, applyEdit } from '@drumlin/core/design'
import { type Field, fieldsInPlay, fieldsOf, kindOf } from '@drumlin/core/kinds'
import ChoiceField from '../sentence/ChoiceField.vue'
import FieldControl from '../sentence/FieldControl.vue'
import { TARGET } from '../sentence/target.js'
import { useWantedField } from '../sentence/wanted.js'
import { type Variant, changedFields, variantOf, withChange, withoutField } from './variants.js'

const props = defineProps<{ base: Design }>()
const variant = defineModel<Variant>({ required: true })
const design = computed(() => variantOf(props.base, variant.value))
const derived = computed(() => ({ kind: kindOf(props.base.kind) }))
provide(TARGET, {
  design,
  derived,
  edit: (edit) => {
    const done = applyEdit(design.value, edit)
    if (!done.ok) return { where: done.where, why: done.why }
    variant.value = withChange(variant.value, edit)
    return undefined
  },
})

/** Settings put up to be changed, whether they differ yet or not. */
const wanted = useWantedField()
const open = ref<readonly string[]>([
  ...new Set([
    ...changedFields(derived.value, variant.value).map((f) => f.id),
    ...fieldsOf(derived.value.kind)
      .filter((f) => f.id === wanted())
      .map((f) => f.id),
  ]),
])
watch(variant, (now) => {
  const more = changedFields(derived.value, now).map((f) => f.id)
  open.value = [...open.value, ...more.filter((id) => !open.value.includes(id))]
})
const fields = computed(() =>
  open.value.flatMap((id) => fieldsOf(derived.value.kind).filter((f) => f.id === id)),
)
const rest = computed(() => {
  const { kind } = derived.value
  return fieldsInPlay(kind, design.value.params)
    .filter((f) => !open.value.includes(f.id))
    .map((f) => ({
      value: f.id,
      label: f.label,
      why: 'hint' in f && f.hint ? f.hint : 'change it here only',
    }))
})
function drop(field: Field): void {
  open.value = open.value.filter((id) => id !== field.id)
  variant.value = withoutField(variant.value, field)
}
</script>

<template>
  <div class="column">
    <p v-for="f in fields" :key="f.id" class="line">
      <span class="label">{{ f.label }}</span>
      <FieldControl :field="f" />
      <v-btn
        variant="plain"
        class="drop"
        :aria-label="`Leave the ${f.label} of ${variant.name} as it is`"
        @click="drop(f)"
      >
        ×
      </v-btn>
    </p>
    <p class="line more">
      <ChoiceField
        value=""
        :label="`change in ${variant.name}`"
        :options="[{ value: '', label: 'change a setting', why: 'choose which' }, ...rest]"
        @change="(id) => (open = [...open, id])"
      />
    </p>
  </div>
</template>

<style scoped>
.line {
  margin: 0 0 6px;
  line-height: 1.5;
  font-size: 14px;
}
.label {
  color: var(--quiet);
  display: block;
  font-size: 13px;
}
.drop {
  color: var(--quiet);
  min-width: 24px;
  min-height: 24px;
  text-align: center;
}
</style>

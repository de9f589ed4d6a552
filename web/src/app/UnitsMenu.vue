<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js'
import { ref } from 'vue'
import { type System, type ToldApart, hasComma, systemOf, withComma, withSystem } from '@drumlin/core/measure'
import ChoiceField from '../sentence/ChoiceField.vue'
import { useSettings } from './settings.js'
import { UNIT_ROWS } from './unitWords.js'

/** Lengths, thicknesses, areas and thread, each told in its own way where a maker likes it so. */
const settings = useSettings()
const open = ref(false)
const set = (what: ToldApart, system: System): void =>
  settings.setUnit(withSystem(settings.unit, what, system))
</script>

<template>
  <v-menu v-model="open" :close-on-content-click="false">
    <template #activator="{ props: opener }">
      <v-btn
        v-bind="opener"
        icon
        variant="plain"
        size="small"
        class="opener"
        aria-label="Each in its own units"
      >
        <v-icon :icon="mdiChevronDown" size="20" />
        <v-tooltip activator="parent" location="bottom" text="Each in its own units" />
      </v-btn>
    </template>
    <v-card class="units" role="dialog" aria-label="Units">
      <p v-for="row in UNIT_ROWS" :key="row.what" class="row">
        {{ row.label }}
        <ChoiceField
          :value="systemOf(settings.unit, row.what)"
          :label="`units of ${row.what}`"
          :options="[
            { value: 'mm' as const, label: row.said.mm },
            { value: 'in' as const, label: row.said.in },
          ]"
          @change="(system) => set(row.what, system)"
        />
      </p>
      <p class="row">
        decimals with a
        <ChoiceField
          :value="hasComma(settings.unit) ? ('comma' as const) : ('point' as const)"
          label="decimals"
          :options="[
            { value: 'point' as const, label: 'point, 1.4' },
            { value: 'comma' as const, label: 'comma, 1,4' },
          ]"
          @change="(mark) => settings.setUnit(withComma(settings.unit, mark === 'comma'))"
        />
      </p>
      <p class="quiet">
        Workings add lengths and thicknesses, so both stand there in the unit of lengths. Whatever stands
        here, any unit can be written, with a point or a comma.
      </p>
    </v-card>
  </v-menu>
</template>

<style scoped>
.units {
  padding: 12px 18px;
  max-width: 340px;
}
p {
  margin: 6px 0;
}
.row::first-letter {
  text-transform: uppercase;
}
.opener {
  margin-left: -8px;
}
</style>

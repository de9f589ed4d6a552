import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { LengthUnit } from '@drumlin/core'
import { readSetting, writeSetting } from '../storage/settings.js'

export type Light = 'chalk' | 'lamp'

/** What belongs to the person at the screen, not to a design: units and light. */
export const useSettings = defineStore('settings', () => {
  const unit = ref<LengthUnit>('mm')
  const light = ref<Light>('chalk')
  watch(unit, (now) => (document.documentElement.dataset.unit = now), { immediate: true })
  watch(light, (now) => (document.documentElement.dataset.light = now), { immediate: true })

  async function load(): Promise<void> {
    unit.value = (await readSetting<LengthUnit>('unit')) ?? 'mm'
    light.value = (await readSetting<Light>('light')) ?? 'chalk'
  }
  function setUnit(to: LengthUnit): void {
    unit.value = to
    void writeSetting('unit', to)
  }
  function setLight(to: Light): void {
    light.value = to
    void writeSetting('light', to)
  }
  return { unit, light, load, setUnit, setLight }
})

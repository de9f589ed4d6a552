import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { PaperId } from '@drumlin/core/exchange/paper'
import { type Units, isUnits, systemOf, withComma } from '@drumlin/core/measure'
import { useTrouble } from './trouble.js'
import { readSetting, writeSetting } from '../storage/settings.js'

export type Light = 'chalk' | 'lamp'

/** Countries whose benches measure in inches. */
const IN_INCHES = /-(US|LR|MM)\b/.test(navigator.language)
/** Countries whose printers hold Letter: North America, and what took its sizes over. */
const ON_LETTER = /-(US|CA|MX|PH|CL|CO|CR|DO|GT|NI|PA|PR|SV|VE)\b/.test(navigator.language)
/** Countries that write decimals with a comma. */
const WITH_COMMA = new Intl.NumberFormat(navigator.language).format(1.5).includes(',')
const inTheDark = (): boolean => matchMedia('(prefers-color-scheme: dark)').matches

/** What belongs to the person at the screen, not to a design: units and light. A first visit follows the country and the system. */
export const useSettings = defineStore('settings', () => {
  const unit = ref<Units>('mm')
  const light = ref<Light>('chalk')
  watch(unit, (now) => (document.documentElement.dataset.unit = systemOf(now)), { immediate: true })
  watch(light, (now) => (document.documentElement.dataset.light = now), { immediate: true })

  async function load(): Promise<void> {
    const [keptUnit, keptLight] = [await readSetting('unit'), await readSetting('light')]
    unit.value = isUnits(keptUnit) ? keptUnit : withComma(IN_INCHES ? 'in' : 'mm', WITH_COMMA)
    light.value = keptLight === 'lamp' || (keptLight === undefined && inTheDark()) ? 'lamp' : 'chalk'
  }
  /** Shown at once; where it can't be kept for the next visit, that is said. */
  const keep = (key: string, to: string): void =>
    void useTrouble().attempt('Your setting holds only until this page is closed', () =>
      writeSetting(key, to),
    )
  function setUnit(to: Units): void {
    unit.value = to
    keep('unit', to)
  }
  function setLight(to: Light): void {
    light.value = to
    keep('light', to)
  }
  /** The paper of the country: what Print takes when nothing else is said. */
  const paper: PaperId = ON_LETTER ? 'letter' : 'a4'
  return { unit, light, paper, load, setUnit, setLight }
})

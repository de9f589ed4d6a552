import { decimal } from '@drumlin/core/measure'
import { useSettings } from './settings.js'

/** Says a number with so many decimals, in the way of the maker’s country: 1.4 or 1,4. */
export function useFigures(): (value: number, places: number) => string {
  const settings = useSettings()
  return (value, places) => decimal(value, places, settings.unit)
}

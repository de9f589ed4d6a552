import { type Measured, type Told, amountSaid, toldIn } from '@drumlin/core/price'
import { useSettings } from '../app/settings.js'

/** How materials are told in the maker’s units. */
export function useTold() {
  const settings = useSettings()
  return {
    told: (unit: Measured): Told => toldIn(unit, settings.unit),
    said: (amount: number, unit: Measured): string => amountSaid(amount, unit, settings.unit),
  }
}

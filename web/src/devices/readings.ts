import { ref } from 'vue'
import type { DeviceReading } from '@drumlin/core/devices'
import { type Units, systemOf } from '@drumlin/core/measure'
import { waiting } from '../sentence/waiting.js'

/** What is said of a device last, and whether something is wrong. */
interface Said {
  readonly text: string
  readonly wrong: boolean
}

/** Another tab that takes a reading is given so long to say so, ms. */
const OTHERS = 400

/** As it is written into a field: grams stand alone there, a length says what it is in. */
const written = ({ what, value }: DeviceReading): string =>
  what === 'weight' ? value.toFixed(1) : `${value.toFixed(2)} mm`
/** As it is told: as finely as the device reads, in the maker's unit. */
const shown = (reading: DeviceReading, units: Units): string => {
  if (reading.what === 'weight') return `${written(reading)} g`
  return systemOf(units) === 'mm' ? written(reading) : `${(reading.value / 25.4).toFixed(3)} in`
}

/** Where readings go: into the field that waits, in whichever tab that is; and what is said of it. */
export function useReadings() {
  const said = ref<Said>()
  const tell = (text: string, wrong = false): void => void (said.value = { text, wrong })

  /** Every tab hears a device: the one whose field took a reading tells the others. */
  const tabs = new BroadcastChannel('drumlin-readings')
  let elsewhere = 0
  tabs.onmessage = ({ data }: MessageEvent<Said>) => {
    elsewhere = Date.now()
    said.value = data
  }

  function take(name: string, reading: DeviceReading, units: Units): void {
    const reads = `${name}: ${shown(reading, units)}${reading.held ? ', which it holds' : ''}`
    const field = waiting.value
    if (field?.what === reading.what) {
      const taken = field.write(written(reading))
      tell(
        taken ? `${reads}, into “${field.label}”.` : `${reads}, which “${field.label}” does not take.`,
        !taken,
      )
      tabs.postMessage({ ...said.value })
      return
    }
    const at = Date.now()
    setTimeout(() => {
      if (elsewhere < at)
        tell(`${reads}. No field waits for a ${reading.what}: go into one, then measure.`, true)
    }, OTHERS)
  }
  return { said, tell, take }
}

import { fetched } from './served.js'
import { readSetting, writeSetting } from './settings.js'

/** On the very first visit the examples are laid out, unless the server was started bare. */
export async function firstVisit(now: number): Promise<void> {
  if (await readSetting<boolean>('visited')) return
  const start = (await (await fetched('/start.json')).json()) as { examples: boolean }
  if (start.examples) await (await import('./examples.js')).bringExamples(now)
  await writeSetting('visited', true)
}

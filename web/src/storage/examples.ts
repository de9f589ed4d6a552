import type { Design } from '@drumlin/core/design'
import { readDesign, readSentence } from '@drumlin/core/exchange/json'
import { type Stores, readStoresData } from '@drumlin/core/stores'
import { database } from './db.js'
import { createJob, hasJob, listJobs } from './jobs.js'
import { removeJob } from './shelving.js'
import { readSetting, writeSetting } from './settings.js'

interface ExampleFiles {
  readonly about: string
  readonly stores: Stores
  readonly designs: readonly Design[]
}

/** How long the server is waited for, ms. */
const SERVED_WITHIN = 15_000

const fetched = async (path: string): Promise<Response> => {
  const response = await fetch(path, { signal: AbortSignal.timeout(SERVED_WITHIN) })
  if (!response.ok) throw new Error(`${path} was not served (${response.status})`)
  return response
}

async function readExamples(): Promise<ExampleFiles> {
  const index = (await (await fetched('/demo/index.json')).json()) as {
    stores: string
    designs: string[]
    about: string
  }
  const stores = readStoresData(await (await fetched(`/demo/${index.stores}`)).json())
  const texts = await Promise.all(
    index.designs.map(async (file) => (await fetched(`/demo/designs/${file}`)).text()),
  )
  const designs = texts.map((text) => {
    const read = readDesign(text)
    if (!read.ok) throw new Error(readSentence(read.issue))
    return read.design
  })
  return { about: index.about, stores, designs }
}

/** Puts the examples on the shelf, marked as such; those still there, changed or not, are left alone. */
export async function bringExamples(now: number): Promise<void> {
  const { about, stores, designs } = await readExamples()
  await writeSetting('examples.about', about)
  await (await database()).put('stores', stores, 'examples')
  for (const design of designs) if (!(await hasJob(design.id))) await createJob(design, true, now)
}

/** Takes away what came as an example; the maker's own jobs stay. */
export async function removeExamples(): Promise<void> {
  for (const job of await listJobs()) if (job.example) await removeJob(job.id)
  await (await database()).delete('stores', 'examples')
}

/** On the very first visit the examples are laid out, unless the server was started bare. */
export async function firstVisit(now: number): Promise<void> {
  if (await readSetting<boolean>('visited')) return
  const start = (await (await fetched('/start.json')).json()) as { examples: boolean }
  if (start.examples) await bringExamples(now)
  await writeSetting('visited', true)
}

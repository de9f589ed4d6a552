import type { Design } from '@drumlin/core/design'
import { type Stores, readStoresData } from '@drumlin/core/stores'
import { database } from './db.js'
import { createJob, hasJob } from './records.js'
import { fetched } from './served.js'
import { writeSetting } from './settings.js'

interface ExampleFiles {
  readonly about: string
  readonly stores: Stores
  readonly designs: readonly Design[]
}

async function readExamples(): Promise<ExampleFiles> {
  const index = (await (await fetched('/demo/index.json')).json()) as {
    stores: string
    designs: string[]
    about: string
  }
  const stores = readStoresData(await (await fetched(`/demo/${index.stores}`)).json())
  // Served as this Drumlin writes them; like any record they are checked when they are opened.
  const designs = await Promise.all(
    index.designs.map(async (file) => (await (await fetched(`/demo/designs/${file}`)).json()) as Design),
  )
  return { about: index.about, stores, designs }
}

/** Puts the examples on the shelf, marked as such; those still there, changed or not, are left alone. */
export async function bringExamples(now: number): Promise<void> {
  const { about, stores, designs } = await readExamples()
  await writeSetting('examples.about', about)
  await (await database()).put('stores', stores, 'examples')
  for (const design of designs) if (!(await hasJob(design.id))) await createJob(design, true, now)
}

import type { Design } from '@drumlin/core/design'
import { type Client, entryOf } from '@drumlin/core/ledger'
import type { Making } from '@drumlin/core/makings'
import type { Trade } from '@drumlin/core/price'
import type { Stock } from '@drumlin/core/stock'
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
  await bringBooks(designs)
}

interface BookFiles {
  readonly trade: Trade
  readonly stock: Stock
  readonly clients: readonly Client[]
  readonly makings: readonly Omit<Making, 'design'>[]
}

/** The year of the workshop whose examples they are: makings of those designs, clients, stock and how it makes its prices. */
async function bringBooks(designs: readonly Design[]): Promise<void> {
  const books = (await (await fetched('/demo/books.json')).json()) as BookFiles
  const byId = new Map(designs.map((d) => [d.id, d]))
  const db = await database()
  const tx = db.transaction(['makings', 'entries', 'clients', 'settings'], 'readwrite')
  for (const rest of books.makings) {
    const design = byId.get(rest.job)
    if (!design || (await tx.objectStore('makings').count(rest.id)) > 0) continue
    // Served as this Drumlin writes them: checked when they are opened.
    const making: Making = { ...rest, design }
    await tx.objectStore('makings').put(making)
    await tx.objectStore('entries').put(entryOf(making))
  }
  for (const client of books.clients) await tx.objectStore('clients').put(client)
  await tx.objectStore('settings').put(books.trade, 'trade.examples')
  await tx.objectStore('settings').put(books.stock, 'stock.examples')
  await tx.done
}

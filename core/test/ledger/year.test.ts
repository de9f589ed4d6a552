import { readFile, writeFile } from 'node:fs/promises'
import { expect, it } from 'vitest'
import { readStoresData } from '@drumlin/core/stores'
import { clientSchema } from '@drumlin/core/ledger'
import { readMakingData } from '@drumlin/core/makings'
import { tradeSchema } from '@drumlin/core/price'
import { stockSchema } from '@drumlin/core/stock'
import { demoDesign } from '../support/all.js'
import { exampleBooks } from '../support/year.js'

const FILE = new URL('../../../demo/books.json', import.meta.url)
const stores = readStoresData(
  JSON.parse(await readFile(new URL('../../../demo/stores.json', import.meta.url), 'utf8')),
)

it('the books of the examples are those of a year at the Slip Shed, as their designs say today', async () => {
  const books = exampleBooks(stores)
  const written = `${JSON.stringify(books)}\n`
  // With DRUMLIN_WRITE=1 they are written anew.
  if (process.env.DRUMLIN_WRITE) await writeFile(FILE, written)
  const kept = await readFile(FILE, 'utf8')
  expect(JSON.parse(kept)).toEqual(JSON.parse(written))
  tradeSchema.parse(books.trade)
  stockSchema.parse(books.stock)
  for (const c of books.clients) clientSchema.parse(c)
  for (const m of books.makings)
    expect(readMakingData({ ...m, design: demoDesign(m.job) }).record.plan.length).toBeGreaterThan(5)
})

import { type Client, type Quote, clientSchema, quoteSchema, withoutClient } from '@drumlin/core/ledger'
import { type Trade, USUAL_TRADE, tradeSchema } from '@drumlin/core/price'
import { NO_STOCK, type Stock, stockSchema } from '@drumlin/core/stock'
import { database } from './db.js'
import { changeMaking, listEntries } from './makings.js'
import { PATIENCE, within } from './state.js'

/** What is kept under one key, changed as it lies there inside one transaction, so that another tab's change stays. */
async function changeBook<T>(
  key: string,
  { schema, usual }: { readonly schema: { readonly parse: (data: unknown) => T }; readonly usual: T },
  change: (now: T) => T,
): Promise<T> {
  const tx = (await database()).transaction('settings', 'readwrite')
  tx.done.catch(() => undefined)
  const done = async (): Promise<T> => {
    const kept = await tx.store.get(key)
    const now = kept === undefined ? usual : schema.parse(kept)
    const next = change(now)
    if (next !== now) await tx.store.put(schema.parse(next), key)
    await tx.done
    return next
  }
  return within(PATIENCE, done())
}

/** Money of the maker’s country, as the browser names it, until another is chosen. */
const MONEY: Readonly<Record<string, string>> = {
  GB: 'GBP',
  US: 'USD',
  CA: 'CAD',
  AU: 'AUD',
  CH: 'CHF',
  SE: 'SEK',
  NO: 'NOK',
  DK: 'DKK',
  PL: 'PLN',
  JP: 'JPY',
}
const region = new Intl.Locale(globalThis.navigator?.language ?? 'en').maximize().region ?? ''
const TRADE = {
  schema: tradeSchema,
  usual: { ...USUAL_TRADE, currency: MONEY[region] ?? USUAL_TRADE.currency },
}
const STOCK = { schema: stockSchema, usual: NO_STOCK }
/** Whose books: the maker’s, or those that came with the examples. */
export type Whose = 'own' | 'examples'
const same = <T>(now: T): T => now
export const changeTrade = (whose: Whose, change: (now: Trade) => Trade): Promise<Trade> =>
  changeBook(`trade.${whose}`, TRADE, change)
export const readTrade = (whose: Whose): Promise<Trade> => changeTrade(whose, same)
export const changeStock = (whose: Whose, change: (now: Stock) => Stock): Promise<Stock> =>
  changeBook(`stock.${whose}`, STOCK, change)
export const readStock = (whose: Whose): Promise<Stock> => changeStock(whose, same)

export const listClients = async (): Promise<readonly Client[]> =>
  (await within(PATIENCE, (await database()).getAll('clients'))).toSorted((a, b) =>
    a.name.localeCompare(b.name),
  )

export async function putClient(client: Client): Promise<void> {
  await within(PATIENCE, (await database()).put('clients', clientSchema.parse(client)))
}

/** Deletes a client wholly: the page about them, their name on makings and quotes, and the sheets that were sent to them. */
export async function removeClient(client: Client): Promise<void> {
  const { entries } = await listEntries()
  for (const e of entries)
    if (e.client === client.id || e.forWhom === client.name || e.record.has === client.name)
      await changeMaking(e.id, (m) => withoutClient(m, client))
  const tx = (await database()).transaction(['clients', 'quotes'], 'readwrite')
  tx.done.catch(() => undefined)
  const done = async (): Promise<void> => {
    const quotes = tx.objectStore('quotes')
    for (const { id, quote } of await quotes.getAll())
      if (quote.client === client.id || quote.forWhom === client.name) await quotes.delete(id)
    await tx.objectStore('clients').delete(client.id)
    await tx.done
  }
  await within(PATIENCE, done())
}

/** Quotes as they were sent, the latest first. */
export const listQuotes = async (): Promise<readonly Quote[]> =>
  (await within(PATIENCE, (await database()).getAll('quotes')))
    .map((r) => r.quote)
    .toSorted((a, b) => b.number.localeCompare(a.number))

export async function addQuote(quote: Quote, sheet: Blob): Promise<void> {
  await within(
    PATIENCE,
    (await database()).add('quotes', { id: quote.id, quote: quoteSchema.parse(quote), sheet }),
  )
}

/** Taken or declined: nothing else of a quote that was sent changes. */
export async function changeQuote(id: string, state: Quote['state']): Promise<void> {
  const tx = (await database()).transaction('quotes', 'readwrite')
  const found = await tx.store.get(id)
  if (found) await tx.store.put({ ...found, quote: { ...found.quote, state } })
  await tx.done
}

export const sheetOf = async (id: string): Promise<Blob | undefined> =>
  (await within(PATIENCE, (await database()).get('quotes', id)))?.sheet

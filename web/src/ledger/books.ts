import { type Client, type Entry, type Quote, entryOf, firsts, usedBy, wantedBy } from '@drumlin/core/ledger'
import type { Making, MakingRecord } from '@drumlin/core/makings'
import { type Trade, USUAL_TRADE } from '@drumlin/core/price'
import { type Move, NO_STOCK, type Stock, levelsOf, pricesPaid, shoppingOf } from '@drumlin/core/stock'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useTrouble } from '../app/trouble.js'
import {
  type Whose,
  addQuote,
  changeQuote,
  changeStock,
  changeTrade,
  listClients,
  listQuotes,
  putClient,
  readStock,
  readTrade,
  removeClient,
} from '../storage/books.js'
import { type UnreadableMaking, changeMaking, listEntries, removeMaking } from '../storage/makings.js'

/** The workshop’s books: makings as the ledger knows them, clients, quotes, stock and how prices are made. */
export const useBooks = defineStore('books', () => {
  const trouble = useTrouble()
  const all = shallowRef<readonly Entry[]>([])
  const unreadable = shallowRef<readonly UnreadableMaking[]>([])
  const clientsAll = shallowRef<readonly Client[]>([])
  const quotesAll = shallowRef<readonly Quote[]>([])
  const trades = shallowRef<Readonly<Record<Whose, Trade>>>({ own: USUAL_TRADE, examples: USUAL_TRADE })
  const stocks = shallowRef<Readonly<Record<Whose, Stock>>>({ own: NO_STOCK, examples: NO_STOCK })
  const read = ref(false)
  const chosen = ref<Whose>()
  /** Whose books lie open: the examples’, until there is something of the maker’s own. */
  const whose = computed(
    (): Whose =>
      chosen.value ??
      (all.value.some((e) => !e.example) || !all.value.some((e) => e.example) ? 'own' : 'examples'),
  )
  const isOf = (of: Whose) => (one: { readonly example: boolean }) => one.example === (of === 'examples')
  const entries = computed(() => all.value.filter(isOf(whose.value)))
  const clients = computed(() => clientsAll.value.filter(isOf(whose.value)))
  const quotes = computed(() => quotesAll.value.filter(isOf(whose.value)))
  const stock = computed(() => stocks.value[whose.value])

  async function load(): Promise<void> {
    await trouble.attempt('The books could not be read', async () => {
      const [found, people, sent, own, examples, ownStock, exampleStock] = await Promise.all([
        listEntries(),
        listClients(),
        listQuotes(),
        readTrade('own'),
        readTrade('examples'),
        readStock('own'),
        readStock('examples'),
      ])
      all.value = found.entries
      unreadable.value = found.unreadable
      clientsAll.value = people
      quotesAll.value = sent
      trades.value = { own, examples }
      stocks.value = { own: ownStock, examples: exampleStock }
      read.value = true
    })
  }
  /** How prices are made, with what was paid last for each thing. */
  const tradeOf = (of: Whose): Trade => {
    const trade = trades.value[of]
    return { ...trade, prices: { ...trade.prices, ...pricesPaid(stocks.value[of], trade.currency) } }
  }
  const trade = computed(() => tradeOf(whose.value))
  async function setTrade(of: Whose, change: (now: Trade) => Trade): Promise<void> {
    await trouble.attempt('How prices are made could not be kept', async () => {
      const now = await changeTrade(of, change)
      trades.value = { ...trades.value, [of]: now }
    })
  }
  async function setStock(change: (now: Stock) => Stock): Promise<void> {
    const of = whose.value
    await trouble.attempt('The stock could not be kept', async () => {
      const now = await changeStock(of, change)
      stocks.value = { ...stocks.value, [of]: now }
    })
  }
  const addMove = (move: Move): Promise<void> => setStock((s) => ({ ...s, moves: [...s.moves, move] }))
  /** When steps are planned, by making and step; told by whoever plans the evenings. */
  const days = shallowRef<ReadonlyMap<string, string>>(new Map())
  const levels = computed(() =>
    levelsOf(
      stock.value,
      usedBy(entries.value),
      wantedBy(entries.value, (making, step) => days.value.get(`${making} ${step}`)),
    ),
  )
  const shopping = computed(() => shoppingOf(levels.value, pricesPaid(stock.value, trade.value.currency)))

  async function keepClient(client: Client): Promise<void> {
    await trouble.attempt('The client could not be kept', async () => {
      await putClient(client)
      clientsAll.value = await listClients()
    })
  }
  async function forgetClient(client: Client): Promise<void> {
    await trouble.attempt('The client could not be deleted', async () => {
      await removeClient(client)
      await load()
    })
  }
  async function keepQuote(quote: Quote, sheet: Blob): Promise<void> {
    await addQuote(quote, sheet)
    quotesAll.value = await listQuotes()
  }
  async function setQuote(id: string, state: Quote['state']): Promise<void> {
    await trouble.attempt('That could not be kept', () => changeQuote(id, state))
    quotesAll.value = await listQuotes()
  }
  /** Changes what is written down of a making, and its entry with it. */
  async function record(
    id: string,
    change: (now: MakingRecord) => MakingRecord,
  ): Promise<Making | undefined> {
    let made: Making | undefined
    await trouble.attempt('The record could not be kept', async () => {
      made = await changeMaking(id, (m) => ({ ...m, record: change(m.record) }))
      changed(made)
    })
    return made
  }
  /** A making was changed: its entry is the only one that is another now. */
  const changed = (making: Making): void =>
    void (all.value = all.value.map((e) => (e.id === making.id ? entryOf(making) : e)))
  /** Forgets a making with its photographs. What it took from the shelf is gone all the same. */
  async function forgetMaking(making: Making): Promise<void> {
    const taken = usedBy([entryOf(making)])
    const gone = taken.map((t, i): Move => ({
      id: `gone-${Date.now().toString(36)}-${i + 1}`,
      at: t.at,
      sort: 'gone',
      what: t.what,
      unit: t.unit,
      amount: t.amount,
      note: `taken by ${making.design.name}, which was forgotten`.slice(0, 200),
    }))
    const of: Whose = making.example ? 'examples' : 'own'
    await removeMaking(making.id)
    if (gone.length > 0) {
      const now = await changeStock(of, (s) => ({ ...s, moves: [...s.moves, ...gone] }))
      stocks.value = { ...stocks.value, [of]: now }
    }
    all.value = all.value.filter((e) => e.id !== making.id)
  }
  const first = computed(() => firsts(all.value))
  return {
    all,
    unreadable,
    entries,
    clients,
    clientsAll,
    quotes,
    quotesAll,
    stock,
    trade,
    read,
    chosen,
    whose,
    days,
    levels,
    shopping,
    first,
    load,
    tradeOf,
    setTrade,
    setStock,
    addMove,
    keepClient,
    forgetClient,
    keepQuote,
    setQuote,
    record,
    changed,
    forgetMaking,
  }
})

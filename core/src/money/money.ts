/** Currencies offered first; any of three capital letters that the platform knows is taken. */
export const CURRENCIES = [
  'EUR',
  'GBP',
  'CHF',
  'SEK',
  'NOK',
  'DKK',
  'PLN',
  'USD',
  'CAD',
  'AUD',
  'JPY',
] as const

/** How many places after the point the smallest coin of a currency has: 2 for EUR, none for JPY. */
export function coinsOf(currency: string): number {
  const known = places.get(currency)
  if (known !== undefined) return known
  const found =
    new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2
  places.set(currency, found)
  return found
}
const places = new Map<string, number>()

/** What a sum is held to forgive: 1.005 is a hair less than it says. */
const HAIR = 1e-9

/** A sum to the smallest coin, halves away from nothing. */
export function toCoin(value: number, currency: string): number {
  const scale = 10 ** coinsOf(currency)
  return (Math.sign(value) * Math.round(Math.abs(value) * scale + HAIR)) / scale
}

/** A sum as the maker's country writes it: `€ 1,234.50`, `1.234,50 €`. */
export function moneySaid(value: number, currency: string, locale?: string): string {
  return new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
  }).format(toCoin(value, currency))
}

export type MoneyRead =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly why: string }

/** No price of leatherwork is higher. */
const MOST = 10_000_000
const no = (why: string): MoneyRead => ({ ok: false, why })

/**
 * A sum as somebody wrote it, with point or comma: `12.50`, `12,50`, `1 234,50`, `1,234.50`, `€ 30`. `1.234` and `1,234`
 * can be read in two ways and are asked about, not guessed.
 */
export function readMoney(text: string, currency: string): MoneyRead {
  const bare = text.replace(/\p{Sc}|[A-Z]{3}/gu, '').replace(/[\s\u00a0\u202f'’]/g, '')
  if (bare === '') return no('No sum is given. Write it like 12.50.')
  if (/^[-−]/.test(bare)) return no(`“${text.trim()}” is less than nothing; a sum is written like 12.50.`)
  if (!/^\d[\d.,]*$/.test(bare)) return no(`“${text.trim()}” is no sum of money; write it like 12.50.`)
  const marks = [...bare.matchAll(/[.,]/g)].map((m) => ({ mark: m[0], at: m.index }))
  const last = marks.at(-1)
  const coins = coinsOf(currency)
  if (!last) return held(Number(bare), text)
  const after = bare.length - last.at - 1
  const sorts = new Set(marks.map((m) => m.mark))
  const grouped = /^\d{1,3}([.,])\d{3}(\1\d{3})*$/.test(bare)
  if (marks.length === 1 && grouped && after === 3)
    return no(
      `“${text.trim()}” can be ${bare.replace(/[.,]/, '')} or ${bare.replace(/[.,]/, '.')}: write ${bare.replace(/[.,]/, '')}${coins > 0 ? '.00' : ''} or ${bare.replace(/[.,]/, '.').slice(0, -1)}.`,
    )
  if (sorts.size === 1 && marks.length > 1)
    return grouped
      ? held(Number(bare.replace(/[.,]/g, '')), text)
      : no(`“${text.trim()}” has too many points; write it like 1234.50.`)
  const whole = bare.slice(0, last.at)
  if (sorts.size === 2 && !/^\d{1,3}([.,]\d{3})*$/.test(whole))
    return no(`“${text.trim()}” is no sum of money; write it like 1234.50.`)
  if (after > coins)
    return no(
      `“${text.trim()}” is finer than the smallest coin; write it with ${coins} places after the point.`,
    )
  return held(Number(`${whole.replace(/[.,]/g, '')}.${bare.slice(last.at + 1) || '0'}`), text)
}

const held = (value: number, text: string): MoneyRead =>
  value <= MOST ? { ok: true, value } : no(`“${text.trim()}” is more than ${MOST}; look at the noughts.`)

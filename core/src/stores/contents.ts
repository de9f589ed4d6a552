/** ISO/IEC 7810 ID-1: the common bank and transport card, mm. */
export const CARD = { width: 85.6, height: 53.98, thickness: 0.76, cornerRadius: 3.18 } as const

/** Thickness of one circulated note, mm (J): bundles of used notes measure 0.10 to 0.12 each. */
export const NOTE_THICKNESS = 0.11

export interface Note {
  readonly name: string
  /** The long side, mm. */
  readonly long: number
  /** The short side, mm. */
  readonly short: number
}

/** The notes of a currency as its issuing bank publishes them. */
export interface Currency {
  readonly id: string
  readonly name: string
  readonly source: string
  readonly notes: readonly Note[]
}

const notes = (...sizes: readonly (readonly [string, number, number])[]): readonly Note[] =>
  sizes.map(([name, long, short]) => ({ name, long, short }))

/** Sizes in mm from the issuing banks' published specifications of the series named. */
export const CURRENCIES: readonly Currency[] = [
  {
    id: 'eur',
    name: 'euro',
    source: 'issuing bank’s specification, second series, 2013–2019',
    notes: notes(
      ['5', 120, 62],
      ['10', 127, 67],
      ['20', 133, 72],
      ['50', 140, 77],
      ['100', 147, 77],
      ['200', 153, 77],
    ),
  },
  {
    id: 'gbp',
    name: 'pound sterling',
    source: 'issuing bank’s specification, polymer notes, 2016–2021',
    notes: notes(['5', 125, 65], ['10', 132, 69], ['20', 139, 73], ['50', 146, 77]),
  },
  {
    id: 'usd',
    name: 'US dollar',
    source: 'issuing bank’s specification: all values 6.14 × 2.61 in',
    notes: notes(['all', 155.96, 66.29]),
  },
  {
    id: 'cad',
    name: 'Canadian dollar',
    source: 'issuing bank’s specification, polymer series: all values',
    notes: notes(['all', 152.4, 69.85]),
  },
  {
    id: 'aud',
    name: 'Australian dollar',
    source: 'issuing bank’s specification, current series',
    notes: notes(['5', 130, 65], ['10', 137, 65], ['20', 144, 65], ['50', 151, 65], ['100', 158, 65]),
  },
  {
    id: 'chf',
    name: 'Swiss franc',
    source: 'issuing bank’s specification, ninth series, 2016–2019',
    notes: notes(
      ['10', 123, 70],
      ['20', 130, 70],
      ['50', 137, 70],
      ['100', 144, 70],
      ['200', 151, 70],
      ['1000', 158, 70],
    ),
  },
  {
    id: 'sek',
    name: 'Swedish krona',
    source: 'issuing bank’s specification, 2015–2016 series',
    notes: notes(
      ['20', 120, 66],
      ['50', 126, 66],
      ['100', 133, 66],
      ['200', 140, 66],
      ['500', 147, 66],
      ['1000', 154, 66],
    ),
  },
  {
    id: 'nok',
    name: 'Norwegian krone',
    source: 'issuing bank’s specification, eighth series, 2017–2019',
    notes: notes(['50', 126, 70], ['100', 133, 70], ['200', 140, 70], ['500', 147, 70], ['1000', 154, 70]),
  },
  {
    id: 'jpy',
    name: 'yen',
    source: 'issuing bank’s specification, notes in circulation',
    notes: notes(['1000', 150, 76], ['2000', 154, 76], ['5000', 156, 76], ['10000', 160, 76]),
  },
]

/** The currency of that id; throws for one that is not in the table. */
export function currencyOf(id: string): Currency {
  const found = CURRENCIES.find((c) => c.id === id)
  if (!found) throw new RangeError(`no currency “${id}” in the table`)
  return found
}

/** The longest and the tallest a note of the currency is, which need not be the same note. */
export const largestNote = (currency: Currency): { long: number; short: number } => ({
  long: Math.max(...currency.notes.map((n) => n.long)),
  short: Math.max(...currency.notes.map((n) => n.short)),
})

import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { briefSheet, careSheet, recordSheet, yearCsv } from '@drumlin/core/exchange/books'
import { clientSchema, entryOf } from '@drumlin/core/ledger'
import type { Making } from '@drumlin/core/makings'
import { readStoresData } from '@drumlin/core/stores'
import { demoDesign } from '../support/all.js'
import { exampleBooks } from '../support/year.js'

const books = exampleBooks(
  readStoresData(JSON.parse(readFileSync(new URL('../../../demo/stores.json', import.meta.url), 'utf8'))),
)
const makings = books.makings.map((m): Making => ({ ...m, design: demoDesign(m.job) }))
const entries = makings.map(entryOf)
const byId = (id: string): Making => makings.find((m) => m.id === id)!

describe('on paper', () => {
  it('the year as CSV has a row for each making, money with a point', () => {
    const rows = yearCsv(entries, 0.2).trim().split('\r\n')
    expect(rows).toHaveLength(entries.length + 1)
    expect(rows[1]).toContain(',EUR,')
    expect(rows.find((r) => r.includes('Pilot'))).toContain('480.00')
  })

  it('brief, record and card say what was agreed, how it went and how it is cared for', () => {
    const bag = byId('example-making-15')
    const brief = briefSheet(bag, clientSchema.parse(books.clients[2]), 'mm')
    expect(brief.parts.flatMap((p) => p.lines)).toContain(
      '2026-06-09: To take the log, the mail and a lunch.',
    )
    const record = recordSheet(bag, 'in', undefined)
    expect(record.parts.find((p) => p.heading === 'What went otherwise')!.lines).toHaveLength(2)
    expect(record.parts.find((p) => p.heading === 'Sizes')!.lines.join()).toMatch(/in/)
    expect(
      careSheet(bag, 'The Slip Shed')
        .parts.flatMap((p) => p.lines)
        .join(' '),
    ).toMatch(/leather/)
  })
})

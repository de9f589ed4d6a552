import { readFileSync, writeFileSync } from 'node:fs'
import { strFromU8, unzipSync } from 'fflate'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import {
  dataJsonSchema,
  dataOf,
  dataSchema,
  isOurData,
  isOurTables,
  tablesOf,
  writeData,
  writeTables,
} from '@drumlin/core/exchange/data'
import { demoDesign, everyDesign, derivedOf } from './support/all.js'

const PUBLISHED = new URL('../../docs/data.schema.json', import.meta.url)

describe('open data', () => {
  const fold = derive(demoDesign('deckhands-fold'))
  test('the published schema is the one it is checked by', () => {
    const text = `${JSON.stringify(dataJsonSchema(), null, 2)}\n`
    if (process.env.DRUMLIN_WRITE) writeFileSync(PUBLISHED, text)
    expect(readFileSync(PUBLISHED, 'utf8')).toBe(text)
  })
  test('every design is data by that schema, with as many holes, pieces and seams as it has', () => {
    for (const { design } of everyDesign()) {
      const derived = derivedOf(design)
      const read = dataSchema.parse(JSON.parse(writeData(derived)))
      expect(read).toEqual(dataOf(derived))
      expect(read.pieces.map((p) => p.places.length)).toEqual(derived.pieces.map((p) => p.holes.length))
      expect(read.seams).toHaveLength(derived.runs.length)
    }
  })
  test('by pencil: the outline of a piece is as wide as it says', () => {
    const [piece] = dataOf(fold).pieces
    const numbers = piece!.outline.match(/-?\d+(\.\d+)?/g)!.map(Number)
    expect(numbers.length).toBeGreaterThan(8)
    expect(piece!.width).toBeGreaterThan(100)
    expect(Math.max(...numbers) - Math.min(...numbers)).toBeGreaterThanOrEqual(piece!.width - 0.01)
  })
  test('tables say the same, one file each, the same bytes again', () => {
    const bytes = writeTables(fold)
    expect(writeTables(derive(fold.design))).toEqual(bytes)
    const files = unzipSync(bytes)
    expect(Object.keys(files)).toEqual([
      'drumlin.txt',
      ...tablesOf(dataOf(fold)).map(({ name }) => `${name}.csv`),
    ])
    const lines = strFromU8(files['pieces.csv']!).trim().split('\r\n')
    expect(lines).toHaveLength(1 + fold.pieces.length)
    expect(lines[1]).toContain(fold.pieces[0]!.name)
    for (const { rows } of tablesOf(dataOf(fold))) expect(new Set(rows.map((row) => row.length)).size).toBe(1)
  })
  test('a file of ours is known, others are not', () => {
    const text = new TextEncoder()
    expect([isOurData(text.encode(writeData(fold))), isOurData(text.encode('{"format":"else"}'))]).toEqual([
      true,
      false,
    ])
    expect([isOurTables(writeTables(fold)), isOurTables(text.encode('PK nothing'))]).toEqual([true, false])
  })
})

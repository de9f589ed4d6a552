import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { meaningOf } from '../src/help/meanings.js'
import { helpPage } from '../src/help/pages.js'
import { wordAnchor } from '../src/help/anchors.js'

const SOURCE = join(import.meta.dirname, '../src')

describe('the glossary', () => {
  const { html } = helpPage('words')
  const screens = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.vue'))
    .map((file) => readFileSync(join(SOURCE, file), 'utf8'))
  const asked = [
    ...new Set(screens.flatMap((s) => [...s.matchAll(/<WordHelp word="([^"]+)"/g)].map((m) => m[1]!))),
  ]

  test('has a meaning and a place for every word that a screen asks for', () => {
    expect(asked.length).toBeGreaterThan(4)
    for (const word of asked) {
      expect(meaningOf(word), word).toMatch(/^[A-Z“(].{15,}/)
      expect(html, word).toContain(`id="${wordAnchor(word)}"`)
    }
  })
  test('gives words that share a meaning the same one, whole and without marks', () => {
    expect(meaningOf('skive')).toBe(meaningOf('feather'))
    expect(meaningOf('transect')).toBe(
      'A cut through the laid-up work along a line you can move, drawn to true thickness.',
    )
    expect(meaningOf('zip of a seam')).toMatch(/drawing is meant\.\)$/)
    expect(meaningOf('no such word')).toBeUndefined()
  })
})

import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { applyEdit } from '@drumlin/core/design'
import { pathLength, pathNearest, pointMoved } from '../src/geometry/index.js'
import { everyDesign, derivedOf } from './support/all.js'

describe('a decorative line along any edge of any piece', () => {
  test('lies on the leather all along, and as far from every edge as was asked', () => {
    let tried = 0
    for (const { name, design } of everyDesign()) {
      const before = derivedOf(design)
      const [open] = before.works
      // Reckoned all in one go: each line is a run of its own.
      const lines = open!.sheets.flatMap((s) => {
        const { sheet } = s
        // What is formed is trimmed when it is dry: a line along its blank would lie on what is cut off.
        if (s.part !== 'whole' || sheet.type !== 'panel' || sheet.formed) return []
        const panel = before.panels.find((p) => p.id === sheet.panelId)!
        return panel.edges.map((e) => ({ sheet: sheet.id, chain: [e.id] }))
      })
      for (let from = 0; from < lines.length; from += 40) {
        const value = lines.slice(from, from + 40).map((line, i) => ({
          ...line,
          id: `line-${i + 1}`,
          name: `line ${i + 1}`,
          layup: open!.layup.id,
          margin: 4,
        }))
        const edited = applyEdit(design, { name: 'lines', changes: [{ path: ['sewing', 'lines'], value }] })
        if (!edited.ok) throw new Error(`${name}: ${edited.why}`)
        const after = derive(edited.design)
        const own = after.runs.filter((r) => r.join.decor && r.length >= r.ways.pitch)
        tried += own.length
        const inTheAir = own.filter((r) => r.holes.some((h) => h.stack === 0))
        expect(
          inTheAir.map((r) => r.join.course.sheet),
          name,
        ).toEqual([])
        for (const run of own) {
          const laid = after.works[0]!.sheets.find((s) => s.sheet.id === run.join.course.sheet)!
          expect(pathLength(run.path)).toBeGreaterThan(0)
          for (const hole of run.holes) {
            const at = pointMoved(hole.at, laid.toSheet)
            expect(pathNearest(laid.outline, at).distance, `${name} ${run.join.name}`).toBeGreaterThan(3.9)
          }
        }
      }
    }
    expect(tried).toBeGreaterThan(600)
  })
})

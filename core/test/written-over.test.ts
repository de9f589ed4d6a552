import { describe, expect, test } from 'vitest'
import { type Derived, derive } from '@drumlin/core/derived'
import { applyEdit, overrideNumber } from '@drumlin/core/design'
import { type Box, pathBox } from '../src/geometry/index.js'
import type { Piece } from '../src/reckon/index.js'
import type { Reckoned } from '../src/working/index.js'
import { everyDesign, derivedOf } from './support/all.js'

/** All that is cut, sewn, set and told of a work, but the number itself. */
const allOf = (d: Derived, key: string): string =>
  JSON.stringify([
    d.pieces.map((p) => [p.id, p.cut, p.finished, p.holes, p.marks]),
    d.master.sizes.filter((s) => s.size.key !== key).map((s) => s.size.value),
    d.fittings.map((f) => f.post),
    d.runs.map((r) => [r.length, r.thread.value]),
    d.works.map((w) => [w.layup.bends, w.sheets.map((s) => s.sheet.move)]),
    [d.master.fits, d.master.room, d.master.carries, d.master.matches],
  ])

const BY: Partial<Record<Reckoned['quantity'], number>> = { length: 4, long: 400, thickness: 0.2, count: 1 }
const SIDES = ['left', 'right', 'top', 'foot'] as const
/** How far the outermost holes of a piece lie from its four sides. */
function insets({ cut, holes }: Piece): readonly number[] | undefined {
  if (holes.length === 0) return undefined
  const box: Box = pathBox(cut)
  const [xs, ys] = [holes.map((h) => h.at.x), holes.map((h) => h.at.y)]
  return [
    Math.min(...xs) - box.left,
    box.right - Math.max(...xs),
    Math.min(...ys) - box.top,
    box.bottom - Math.max(...ys),
  ]
}
/** A row further in than this follows no edge; ends of rows fall where whole stitches do. */
const [FOLLOWS, STEP] = [6, 4]
/** Allowances beyond the finished edge are cut more generously: the rows stay where they are. */
const ALLOWANCE = /allowance|turnCost|inset|trim/

describe('a number written over a size', () => {
  const tried = new Set<string>()
  const dead: string[] = []
  const astray: string[] = []
  for (const { design } of everyDesign()) {
    const before = derivedOf(design)
    for (const { size } of before.master.sizes) {
      const by = BY[size.quantity]
      const name = `${design.kind} ${size.key}`
      if (size.measured || by === undefined || tried.has(name)) continue
      tried.add(name)
      const edited = applyEdit(design, overrideNumber(size.label, size.key, size.value + by))
      if (!edited.ok) continue
      const after = derive(edited.design)
      if (allOf(before, size.key) === allOf(after, size.key)) dead.push(name)
      for (const piece of ALLOWANCE.test(size.key) ? [] : before.pieces) {
        const there = after.pieces.find((p) => p.id === piece.id)
        const [was, is] = [insets(piece), there && insets(there)]
        // Of copies that lie at several heights only the holes they share are marked.
        const laid = before.works[0]!.sheets.filter(
          (s) => s.sheet.type === 'panel' && s.sheet.panelId === piece.id,
        )
        if (laid.length > 1) continue
        was?.forEach((inset, i) => {
          if (is && Math.abs(inset) < FOLLOWS && Math.abs(is[i]! - inset) > STEP - 0.01)
            astray.push(`${name}: ${piece.id} ${SIDES[i]} ${inset.toFixed(1)} → ${is[i]!.toFixed(1)}`)
        })
      }
    }
  }
  test('changes what is made, or can’t be written', () => {
    expect(tried.size).toBeGreaterThan(150)
    expect(dead).toEqual([])
  })
  test('takes the rows along the edges with it', () => expect(astray).toEqual([]))
  test('what follows from others alone is not moved by an old number in the file', () => {
    const { design } = everyDesign().find((d) => d.design.kind === 'strap-wallet')!
    const key = 'length'
    const size = derivedOf(design).master.sizes.find((s) => s.size.key === key)!.size
    const old = derive({ ...design, overrides: { [key]: size.value + 10 } })
    expect(old.master.sizes.find((s) => s.size.key === key)!.size.value).toBe(size.value)
  })
})

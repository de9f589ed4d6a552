import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { SORTS } from '@drumlin/core/added'
import { type Derived, derive, mastered } from '@drumlin/core/derived'
import { type Design, putOn } from '@drumlin/core/design'
import { STARTER_STORES } from '@drumlin/core/stores'
import { fieldsOf, kindOf } from '@drumlin/core/kinds'
import { type LaidUp, layersAt } from '@drumlin/core/layup'
import { mapThickest, reliefMap, statesOf } from '@drumlin/core/relief'
import { onStage, placeInSpace } from '@drumlin/core/space'
import { clipsHave } from '../src/master/index.js'
import { pathBox, pointInside, pointMoved } from '../src/geometry/index.js'
import { demoDesign } from './support/all.js'
import { demo, done, freshOf } from './support/designs.js'
import { many, some } from './support/long.js'

const named = (name: string): Derived => derive(demoDesign(name))
const frontOf = (derived: Derived): LaidUp | undefined =>
  statesOf(derived).find((w) => w.layup.id === 'front-closed')

/** Cells of the front as it is counted, and how finely leathers are walked over, mm. */
const CELL = 6
const WALK = 1.5
const ROUND = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const
const cellOf = (x: number, y: number): string => `${Math.floor(x / CELL)},${Math.floor(y / CELL)}`

/** Which panels stand over each cell of the front, found by walking over every leather and placing it in space. */
function walked(derived: Derived, front: LaidUp): Map<string, Set<string>> {
  const known = new Set(front.sheets.map((s) => (s.sheet.type === 'panel' ? s.sheet.panelId : '')))
  const cells = new Map<string, Set<string>>()
  for (const { laid, parts, toHost, group } of onStage(derived.master, derived.works[0]!, 0)) {
    const { sheet, outline } = laid
    if (sheet.type !== 'panel' || group || !known.has(sheet.panelId)) continue
    const { left, right, top, bottom } = pathBox(outline)
    for (let x = left; x <= right; x += WALK)
      for (let y = top; y <= bottom; y += WALK) {
        if (!pointInside({ x, y }, outline)) continue
        if (!clipsHave(sheet.clips, pointMoved({ x, y }, sheet.move))) continue
        const place = (dx: number, dy: number) =>
          placeInSpace(parts, pointMoved({ x: x + dx, y: y + dy }, toHost))
        const { at, grain } = place(0, 0)
        if (at.z <= 0 || Math.abs(grain.z) < 0.9) continue
        // A bend looks elsewhere a little farther on.
        if (ROUND.some(([dx, dy]) => Math.abs(place(dx, dy).grain.z - grain.z) > 1e-6)) continue
        const cell = cellOf(at.x, -at.y)
        cells.set(cell, (cells.get(cell) ?? new Set()).add(sheet.panelId))
      }
  }
  return cells
}

const said = (ids: Iterable<string>): string => [...new Set(ids)].sort().join(' + ')

/** How many places were asked for, and where the layers told are not those that stand there. */
function compared(derived: Derived, front: LaidUp): { asked: number; wrong: string[] } {
  const cells = walked(derived, front)
  let asked = 0
  const wrong: string[] = []
  for (const [cell, panels] of cells) {
    const [i, k] = cell.split(',').map(Number) as [number, number]
    const round = [-1, 0, 1].flatMap((a) => [-1, 0, 1].map((b) => cells.get(`${i + a},${k + b}`) ?? []))
    // At the border of a leather, and in its bends, cells are only partly covered.
    if (round.some((other) => said(other) !== said(panels))) continue
    asked += 1
    const middle = { x: (i + 0.5) * CELL, y: (k + 0.5) * CELL }
    const laid = layersAt(front, middle).map(({ laid: { sheet } }) =>
      sheet.type === 'panel' ? sheet.panelId : '',
    )
    if (said(laid) !== said(panels)) wrong.push(`${cell}: ${said(laid)} instead of ${said(panels)}`)
  }
  return { asked, wrong }
}

/** A bag of a kind with any of its choices, of any size somebody would carry. */
const anyChoices = (kind: string): fc.Arbitrary<Design> => {
  const { choices, sizes } = {
    choices: fieldsOf(kindOf(kind)),
    sizes: { wide: [150, 450], high: [150, 400], deep: [50, 160] },
  }
  const choice = choices.flatMap((f) =>
    f.type === 'choice' && f.path[0] === 'params'
      ? [fc.constantFrom(...f.choices.map((c) => c.value)).map((value) => [f.path[1]!, value] as const)]
      : [],
  )
  const size = Object.entries(sizes).map(([name, [min, max]]) =>
    fc.integer({ min: min!, max: max! }).map((value) => [name, value] as const),
  )
  return fc.tuple(...choice, ...size).map((all) => freshOf(kind, Object.fromEntries(all)))
}

describe('what lies against the front of a closed bag', () => {
  test.each(['ticket-satchel', 'pilots-bag', 'landing-rucksack', 'harbour-office-case'])(
    '%s: over every place lie the leathers that stand there in space',
    (name) => {
      const derived = named(name)
      const { asked, wrong } = compared(derived, frontOf(derived)!)
      expect(wrong).toEqual([])
      expect(asked).toBeGreaterThan(500)
    },
  )
  test.each(['flap-bag', 'briefcase', 'rucksack', 'portfolio', 'tote'])(
    'so it is of any %s',
    (kind) => {
      for (const design of fc.sample(anyChoices(kind), { seed: 11, numRuns: many(2, 100) })) {
        const derived = derive(design)
        const front = frontOf(derived)
        if (front) expect(compared(derived, front).wrong, JSON.stringify(design.params)).toEqual([])
      }
    },
    300_000,
  )
  test.each(some(SORTS, 3).map((sort) => sort.id))(
    'with a %s on its front too: folded, it lies where its leaves do',
    (id) => {
      const bare = freshOf('flap-bag', { flap: 'one', closure: 'lock', high: 300, flapLength: 90 })
      const panel = mastered(bare).panels.find((p) => p.id === 'front')!
      const sort = SORTS.find((s) => s.id === id)!
      const derived = derive(done(bare, putOn(bare, sort, panel, STARTER_STORES)))
      const { asked, wrong } = compared(derived, frontOf(derived)!)
      expect(wrong).toEqual([])
      expect(asked).toBeGreaterThan(500)
    },
  )
  test('a flap of 1.8 on a front of 1.8 is 3.6 thick', () => {
    const front = frontOf(named('ticket-satchel'))!
    expect(mapThickest(reliefMap(front, 1))).toBeCloseTo(3.6, 5)
    expect(front.sheets.map((s) => s.sheet.id)).toEqual(['front', 'added-6', 'back.4'])
  })
  test('the outermost lies uppermost: loops and straps over the flap, the flap over the front', () => {
    const front = frontOf(named('pilots-bag'))!
    expect(front.sheets.map((s) => s.sheet.id.split('.')[0])).toEqual([
      'front',
      'closing-loop',
      'back',
      'closing-strap',
    ])
  })
  test('work without a flap or strap over its front has none, nor has work that lies flat', () => {
    expect(frontOf(named('galley-tote'))).toBeUndefined()
    expect(frontOf(derive(demo()))).toBeUndefined()
    expect(frontOf(derive(freshOf('gusseted-case')))).toBeUndefined()
  })
  test('it is found once', () => {
    const derived = named('ticket-satchel')
    expect(statesOf(derived)).toBe(statesOf(derived))
  })
})

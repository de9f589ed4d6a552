import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import {
  type CutterWish,
  PASSES,
  USUAL_CUTTER,
  axisOf,
  begun,
  cutPlan,
  cutterProblem,
  isOurHpgl,
  writeHpgl,
} from '@drumlin/core/exchange/hpgl'
import { pathBox, pathNearest, pathPoints, point, pointDistance, polyline } from '@drumlin/core/geometry'
import { many, some } from './support/long.js'
import { demoDesign, everyDesign, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'

type At = { readonly x: number; readonly y: number }

/** What a plotter that knows HPGL and nothing of Drumlin draws: lines with the pen that was held, mm. */
function drawnBy(hpgl: string): { pen: number; points: At[] }[] {
  const lines: { pen: number; points: At[] }[] = []
  let [pen, at, open]: [number, At, At[] | undefined] = [0, { x: 0, y: 0 }, undefined]
  const end = (): void => {
    if (open && open.length > 1) lines.push({ pen, points: open })
    open = undefined
  }
  for (const word of hpgl.replaceAll('\n', '').split(';')) {
    const [code, rest] = [word.slice(0, 2), word.slice(2)]
    const numbers = rest === '' || code === 'CO' ? [] : rest.split(',').map(Number)
    if (numbers.some((n) => !Number.isInteger(n))) throw new Error(`no whole steps: ${word}`)
    if (!/^(IN|CO|PA|PU|PD|SP|VS|)$/.test(code)) throw new Error(`not understood: ${word}`)
    if (code === 'SP') {
      end()
      pen = numbers[0]!
    }
    if (code === 'PU') end()
    if (code !== 'PU' && code !== 'PD') continue
    if (code === 'PD') open ??= [at]
    for (let i = 0; i < numbers.length; i += 2) {
      at = { x: numbers[i]! / 40, y: numbers[i + 1]! / 40 }
      if (code === 'PD') open!.push(at)
    }
  }
  end()
  return lines
}

/** Where the edge of a trailing blade goes while its axis is led along: pulled behind it, a little at a time. */
function edgeOf(axis: readonly At[], trails: number, heading: number): At[] {
  const out: At[] = []
  let edge = { x: axis[0]!.x - trails * Math.cos(heading), y: axis[0]!.y - trails * Math.sin(heading) }
  out.push(edge)
  for (let i = 1; i < axis.length; i += 1) {
    const [a, b] = [axis[i - 1]!, axis[i]!]
    const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / 0.005))
    for (let k = 1; k <= steps; k += 1) {
      const p = { x: a.x + ((b.x - a.x) * k) / steps, y: a.y + ((b.y - a.y) * k) / steps }
      const angle = Math.atan2(p.y - edge.y, p.x - edge.x)
      edge = { x: p.x - trails * Math.cos(angle), y: p.y - trails * Math.sin(angle) }
      if (k % 10 === 0 || k === steps) out.push(edge)
    }
  }
  return out
}

const wish = (more: Partial<CutterWish>): CutterWish => ({ ...USUAL_CUTTER, ...more })

describe('a blade that trails', () => {
  test('its edge follows the line: within 0.06 mm at every corner, whatever the line', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 80 }), fc.integer({ min: 0, max: 80 })), {
          minLength: 2,
          maxLength: 7,
        }),
        fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        (places, trails) => {
          const line = places
            .map(([x, y]) => point(x, y))
            .filter((p, i, all) => i === 0 || pointDistance(p, all[i - 1]!) > 5)
          if (line.length < 2) return
          const heading = Math.atan2(line[1]!.y - line[0]!.y, line[1]!.x - line[0]!.x)
          const path = polyline(line)
          const off = edgeOf(axisOf(line, trails), trails, heading).map((p) => pathNearest(path, p).distance)
          expect(Math.max(...off)).toBeLessThan(0.06 * Math.max(1, trails / 0.3))
        },
      ),
      { numRuns: many(20, 60) },
    ))
  test('without trailing the axis is the line', () => {
    const line = [point(0, 0), point(10, 0), point(10, 5)]
    expect(axisOf(line, 0)).toEqual(line)
  })
  test('an outline begins in the middle of its longest side, and is cut past its start', () => {
    const way = begun([point(0, 0), point(100, 0), point(100, 30), point(0, 30)], 2)
    expect(way[0]).toEqual({ x: 50, y: 0 })
    expect(way.at(-1)!.x).toBeCloseTo(52, 9)
  })
})

describe('what a cutter draws', () => {
  const fold = derive(demoDesign('deckhands-fold'))
  test('outlines as they are, every copy of every piece, where another reads them', () => {
    const hpgl = writeHpgl(fold, wish({ tool: 'pen', past: 0 }), 'mm')
    expect(isOurHpgl(new TextEncoder().encode(hpgl))).toBe(true)
    const plan = cutPlan(fold, wish({ tool: 'pen', past: 0 }), 'mm')
    expect(plan.left).toEqual([])
    const outlines = plan.strokes.filter((s) => s.pass === 'outline')
    expect(outlines).toHaveLength(fold.pieces.reduce((sum, p) => sum + p.count, 0))
    const lines = drawnBy(hpgl)
    for (const { points } of outlines) {
      // The same line is drawn somewhere, turned over as a plotter counts.
      const there = points.map((p) => ({ x: p.x, y: plan.long - p.y }))
      const same = lines.some(
        (l) =>
          l.points.length === there.length &&
          l.points.every((p, i) => Math.hypot(p.x - there[i]!.x, p.y - there[i]!.y) < 0.02),
      )
      expect(same).toBe(true)
    }
    // Each is as large as the piece.
    for (const piece of fold.pieces) {
      const box = pathBox(piece.cut)
      const own = outlines.find((s) => s.piece === piece.id)!.points
      const wide = Math.max(...own.map((p) => p.x)) - Math.min(...own.map((p) => p.x))
      expect(wide).toBeCloseTo(box.right - box.left, 1)
    }
  })
  test('marks, holes, what is inside, then outlines, small before large; each inside the bed', () => {
    for (const { design } of some(everyDesign(), 4)) {
      const derived = derivedOf(design)
      const asked = wish({ wide: 1200, long: 3000 })
      const { strokes } = cutPlan(derived, asked, 'mm')
      const order = strokes.map((s) => PASSES.indexOf(s.pass))
      expect(order).toEqual(order.toSorted((a, b) => a - b))
      const outside = strokes
        .filter((one) => one.pass === 'outline')
        .flatMap((s) => s.points.filter((p) => !(p.x > 0 && p.x < 1200 && p.y > 0 && p.y < 3000)))
      expect(outside).toEqual([])
      // Pens and tools are held in that order too, and nothing else is said.
      const pens = drawnBy(writeHpgl(derived, asked, 'mm')).map((l) => l.pen)
      expect(pens).toEqual(pens.toSorted((a, b) => a - b))
    }
  }, 120_000)
  test('a beam cuts outside the line by half its slit', () => {
    const [piece] = fold.pieces
    const across = (more: Partial<CutterWish>): number => {
      const own = cutPlan(fold, wish({ past: 0, trails: 0, ...more }), 'mm').strokes.find(
        (s) => s.pass === 'outline' && s.piece === piece!.id,
      )!
      return Math.max(...own.points.map((p) => p.x)) - Math.min(...own.points.map((p) => p.x))
    }
    expect(across({ tool: 'beam', slit: 0.3 }) - across({ tool: 'pen' })).toBeCloseTo(0.3, 3)
  })
  test('mirrored it lies the other way round', () => {
    const at = (mirrored: boolean) =>
      cutPlan(fold, wish({ mirrored, tool: 'pen', past: 0 }), 'mm')
        .strokes.filter((s) => s.pass === 'outline')
        .flatMap((s) => s.points.map((p) => p.x))
    expect(Math.min(...at(true))).toBeCloseTo(USUAL_CUTTER.wide - Math.max(...at(false)), 6)
  })
  test('what has no room is told by name, not drawn; what can’t be is refused in words', () => {
    const plan = cutPlan(fold, wish({ wide: 120, long: 200 }), 'mm')
    expect(plan.left.length).toBeGreaterThan(0)
    expect(plan.strokes.some((s) => s.piece === 'outside')).toBe(false)
    expect(cutterProblem(USUAL_CUTTER)).toBeUndefined()
    expect(cutterProblem(wish({ trails: 9 }))).toMatch(
      /trails is between 0\.00 mm and 2\.00 mm; 9\.00 mm is not/,
    )
    expect(cutterProblem(wish({ cuts: Number.NaN }))).toMatch(/speed of cutting/)
    expect(cutterProblem(wish({ pieces: [] }))).toMatch(/No piece/)
  })
  test('the time is what the lengths take', () => {
    const { cut, moved, seconds, strokes } = cutPlan(fold, wish({ cuts: 50, moves: 100 }), 'mm')
    expect(seconds).toBeCloseTo(cut / 50 + moved / 100, 9)
    // The way between cuts is far shorter than in no order at all.
    const mixed = strokes
      .map((s, i) => ({ s, at: (i * 7919) % strokes.length }))
      .toSorted((a, b) => a.at - b.at)
    const astray = mixed
      .slice(1)
      .reduce((sum, { s }, i) => sum + pointDistance(mixed[i]!.s.points.at(-1)!, s.points[0]!), 0)
    expect(moved).toBeLessThan(astray / 3)
  })
  test('slots are cut, curves followed within 0.02 mm', () => {
    const holder = derive(freshOf('moulded-holder'))
    const plan = cutPlan(holder, wish({ tool: 'pen', past: 0 }), 'mm')
    expect(
      plan.strokes.filter((s) => s.pass === 'inside' && s.piece === 'back').length,
    ).toBeGreaterThanOrEqual(2)
    const back = holder.pieces.find((p) => p.id === 'back')!
    const own = plan.strokes.find((s) => s.pass === 'outline' && s.piece === 'back')!.points
    const box = pathBox(back.cut)
    const [left, top] = [Math.min(...own.map((p) => p.x)), Math.min(...own.map((p) => p.y))]
    const drawn = polyline(own.map((p) => point(p.x - left + box.left, p.y - top + box.top)))
    for (const p of pathPoints(back.cut, 0.001)) expect(pathNearest(drawn, p).distance).toBeLessThan(0.022)
  })
})

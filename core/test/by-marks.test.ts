import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { type DrawnMark, type DrawnPanel, layingsByMark, liesSo } from '@drumlin/core/drawn'
import { pointDistance, pointMoved } from '../src/geometry/index.js'
import { drawingOf, panelOf } from './support/drawing.js'

const notch = (id: string, text: string, x: number, y: number): DrawnMark => ({
  id,
  type: 'notch',
  where: { type: 'place', x, y },
  text,
  angle: 0,
  length: 0,
  width: 0,
  punch: 0,
})
const panel = (
  id: string,
  lies: { x: number; y: number; turn?: number },
  marks: readonly DrawnMark[],
): DrawnPanel =>
  panelOf(
    'rectangle',
    { width: 100, height: 60 },
    { id, name: id, lies: { turn: 0, ...lies, grainUp: true }, marks: [...marks] },
  )
const layingsOf = (panels: readonly DrawnPanel[], of: number) => {
  const { panels: made, master } = derive(drawingOf(panels))
  return layingsByMark(panels[of]!, { panels: made, layups: master.layups })
}

describe('a panel laid on another by a mark of each', () => {
  const back = panel('back', { x: 0, y: 0 }, [notch('m', 'a', 20, 10), notch('n', 'b', 80, 50)])
  const pocket = panel('pocket', { x: 300, y: 0 }, [notch('m', 'b', 5, 6)])
  test('its b on the b of the back: 80 − 5 across, 50 − 6 down; what has the same letters first', () => {
    const found = layingsOf([back, pocket], 1)
    expect(found.map((l) => [l.said, l.alike])).toEqual([
      ['its b on b of the back', true],
      ['its b on a of the back', false],
    ])
    expect(found[0]!.lies).toEqual({ x: 75, y: 44, turn: 0, grainUp: true })
    expect([liesSo(pocket, found[0]!), liesSo({ ...pocket, lies: found[0]!.lies }, found[0]!)]).toEqual([
      false,
      true,
    ])
  })
  test('without marks, or with nothing else there, there is no way', () => {
    expect(layingsOf([back], 0)).toEqual([])
    expect(layingsOf([back, panel('pocket', { x: 300, y: 0 }, [])], 1)).toEqual([])
  })
  test('wherever they lie and are marked, both marks come to one place', () =>
    fc.assert(
      fc.property(
        fc.record({
          at: fc.record({
            x: fc.double({ min: -500, max: 500, noNaN: true }),
            y: fc.double({ min: -500, max: 500, noNaN: true }),
          }),
          own: fc.record({
            x: fc.double({ min: 1, max: 99, noNaN: true }),
            y: fc.double({ min: 1, max: 59, noNaN: true }),
          }),
          up: fc.boolean(),
          turns: fc.tuple(
            fc.double({ min: -3, max: 3, noNaN: true }),
            fc.double({ min: -3, max: 3, noNaN: true }),
          ),
        }),
        ({ at, own, up, turns }) => {
          const base = { ...back, lies: { ...at, turn: turns[0], grainUp: up } }
          const laid = panel('pocket', { x: 300, y: 0, turn: turns[1] }, [notch('m', 'a', own.x, own.y)])
          const [way] = layingsOf([base, laid], 1)
          const { panels, master } = derive(drawingOf([base, { ...laid, lies: way!.lies }]))
          const placeOf = (id: string) => {
            const sheet = master.layups[0]!.sheets.find((s) => s.type === 'panel' && s.panelId === id)!
            const mark = panels
              .find((p) => p.id === id)!
              .marks!.find((m) => m.type === 'notch' && m.letters === 'a')!
            return pointMoved(mark.at, sheet.move)
          }
          expect(pointDistance(placeOf('back'), placeOf('pocket'))).toBeLessThan(0.002)
        },
      ),
      { seed: 8, numRuns: 40 },
    ))
})

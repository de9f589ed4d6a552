import { courseOf, point, polyline } from '../../../geometry/index.js'
import { ZIP_TAPE } from '../../../stores/index.js'
import { given } from '../../../working/index.js'
import { type Bag } from '../bag.js'
import { onPanel, rectanglePanel, row } from './onFace.js'
import { alone, part, together, type Body, type Part } from '../assembly.js'

/** Two bands between front and back with a zip between them. */
export function zipped(bag: Bag, body: Body): Part {
  const { p, s, size } = bag

  const length = size('zip.length', 'zip from stop to stop', '{wide} width − 2 × {ends} at the ends', '§20', {
    wide: s.wide,
    ends: given('ends', 12),
  })
  const band = size(
    'zip.band',
    'a band beside the zip',
    '({deep} depth − {gap} for the teeth) / 2 + {under} sewn under the top edge, at least {min}',
    '§20',
    { deep: s.deep, gap: given('teeth', 6), under: given('under', 12), min: given('least', 14) },
  )
  const wide = Math.min(body.front.wide, body.back.wide) - 4
  return together(
    (['front', 'back'] as const).map((id, i) => {
      const face = body[id]
      const panel = rectanglePanel(bag, `zip-${id}`, `Zip band, ${id}`, 'inner', wide, band.value)
      const m = p.margin
      return part({
        panels: [panel],
        piles: [alone(panel)],
        joins: [
          {
            ...row(
              `zip-${id}-seam`,
              `zip band to the ${id}`,
              panel.id,
              [point(4, m), point(wide - 4, m)],
              [panel.id, face.sheet],
            ),
            mate: {
              type: 'line',
              sheet: face.sheet,
              line: polyline([onPanel(face, wide / 2 - 4, 6 + m), onPanel(face, 4 - wide / 2, 6 + m)]),
            },
          },
          {
            ...row(
              `zip-${id}-tape`,
              `zip to its band, ${id}`,
              panel.id,
              [point(4, band.value - 4), point(wide - 4, band.value - 4)],
              [panel.id],
            ),
            tapes: [{ name: 'tape of the zip', thickness: ZIP_TAPE }],
          },
        ],
        sizes: [{ panelId: panel.id, size: band }, ...(i === 0 ? [{ panelId: panel.id, size: length }] : [])],
        fittings:
          i === 0
            ? [
                {
                  id: 'zip',
                  name: 'zip',
                  role: 'zip',
                  sheet: panel.id,
                  at: point(wide / 2, band.value + 2),
                  up: 0,
                  through: [],
                  held: true,
                  count: 1,
                  length,
                  before: `zip-${id}-seam`,
                },
              ]
            : [],
        stood: (opened) => {
          // Pushed up and open while the bag is open, level when it is shut.
          const { origin, right, grain, down } = face.frame(opened)
          const level = 6 + m
          const at = (v: 'x' | 'y' | 'z'): number =>
            origin[v] + (right[v] * wide) / 2 + down[v] * level - grain[v] * bag.body.thickness
          return [
            {
              sheet: panel.id,
              seamOffset: face.seamOffset,
              parts: [
                {
                  clips: [],
                  from: point(0, m),
                  along: point(0, 1),
                  course: courseOf([
                    { length: 6, turn: (Math.PI / 2) * (1 - opened) },
                    { length: band.value },
                  ]),
                  frame: {
                    origin: { x: at('x'), y: at('y'), z: at('z') },
                    along: { x: -down.x, y: -down.y, z: -down.z },
                    rise: grain,
                  },
                },
              ],
            },
          ]
        },
      })
    }),
  )
}

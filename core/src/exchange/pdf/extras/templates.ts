import { type Drawn, drawnMoved, stroke, text, textWidth, wrapped } from '../../../drawing/index.js'
import {
  type Path,
  arcRadius,
  boxHeight,
  boxWidth,
  line,
  openPath,
  pathArea,
  pathBox,
  pathMoved,
  point,
  roundedPolygon,
  shift,
} from '../../../geometry/index.js'
import type { Derived } from '../../../derived/index.js'
import { lastOf } from '../../../lists/index.js'
import { type Units, printLength, printPitch } from '../../../measure/index.js'
import type { Tile } from '../paper.js'

/** A thing to cut out of card: its lines with its corner at the origin, mm. */
interface Template {
  readonly drawn: readonly Drawn[]
  readonly width: number
  readonly height: number
}

/** Type, room between templates, and what a corner has beyond its rounding, mm. */
const [TYPE, APART, BEYOND] = [2.8, 8, 18] as const
/** Corners rounder or sharper than these are cut by the pattern itself, mm. */
const [SHARPEST, ROUNDEST] = [1.5, 60] as const
/** A bend of an outline is a corner where it turns by so much at least, radians. */
const TURNS = Math.PI / 6
/** The pitch rule, mm. */
const RULE = { long: 160, wide: 14, each: 10 } as const

const closed = (points: readonly { x: number; y: number; radius?: number }[]): Path =>
  roundedPolygon(points).path

/** Radii of the finished corners, and the pieces that have them, sharpest first. */
export function cornersOf({ pieces }: Pick<Derived, 'pieces'>): { radius: number; names: string[] }[] {
  const found = new Map<number, Set<string>>()
  for (const piece of pieces) {
    const round = Math.sign(pathArea(piece.finished))
    for (const s of piece.finished.segments) {
      // A thumb notch bends the other way.
      if (s.type !== 'arc' || s.sweep * round < TURNS) continue
      const radius = Math.round(arcRadius(s) * 10) / 10
      if (radius >= SHARPEST && radius <= ROUNDEST)
        found.set(radius, (found.get(radius) ?? new Set()).add(piece.name))
    }
  }
  return [...found].toSorted(([a], [b]) => a - b).map(([radius, names]) => ({ radius, names: [...names] }))
}

/** A square of card with one corner rounded: laid into the corner of a piece, it is drawn and cut round. */
function cornerTemplate(radius: number, names: readonly string[], unit: Units): Template {
  const side = Math.max(36, radius + BEYOND)
  const outline = closed([
    { x: 0, y: 0, radius },
    { x: side, y: 0 },
    { x: side, y: side },
    { x: 0, y: side },
  ])
  const words = [`corner ${printLength(radius, unit)}`, ...wrapped(names.join(', '), side - 6, TYPE)].slice(
    0,
    4,
  )
  const top = side - 3 - (words.length - 1) * TYPE * 1.3
  return {
    drawn: [
      stroke('cut', outline, 0.3),
      ...words.map((w, i) => text('label', point(side - 3, top + i * TYPE * 1.3), w, TYPE, 'end', i === 0)),
    ],
    width: side,
    height: side,
  }
}

/** What is laid in, as a card of its own size: to try pockets with. */
function contentTemplates({ works }: Derived, unit: Units): Template[] {
  const seen = new Set<string>()
  return works
    .flatMap((w) => w.layup.sheets)
    .flatMap((sheet): Template[] => {
      if (sheet.type !== 'content') return []
      const box = pathBox(sheet.outline)
      const [width, height] = [boxWidth(box), boxHeight(box)]
      const key = `${width.toFixed(1)} ${height.toFixed(1)}`
      if (seen.has(key)) return []
      seen.add(key)
      const said = `${printLength(width, unit)} × ${printLength(height, unit)}`
      return [
        {
          drawn: [
            stroke('cut', pathMoved({ ...sheet.outline, closed: true }, shift(-box.left, -box.top)), 0.3),
            text('label', point(width / 2, height / 2), sheet.name, TYPE, 'middle', true),
            text('label', point(width / 2, height / 2 + TYPE * 1.3), said, TYPE, 'middle'),
          ],
          width,
          height,
        },
      ]
    })
}

/** A rule whose edge is the margin from its row of ticks, a pitch apart: laid on an edge it shows where holes come. */
function pitchRule({ design, runs }: Derived, unit: Units): Template[] {
  const run = runs.find((r) => r.ways.holes !== 'machine' && r.join.course.type === 'edges')
  if (!run || run.join.course.type !== 'edges') return []
  const { pitch, name } = design.iron
  const margin = run.join.course.margin.value
  const [y, wide] = [margin, Math.max(RULE.wide, margin + 9)]
  const count = Math.floor((RULE.long - 10) / pitch)
  const ticks = Array.from({ length: count + 1 }, (_, i) => {
    const [x, tall] = [5 + i * pitch, i % RULE.each === 0 ? 3 : 1.5]
    return stroke('marks', openPath([line(point(x, y - tall / 2), point(x, y + tall / 2))]), 0.2)
  })
  const said = `${name}: ${printPitch(pitch, unit)}, ${printLength(margin, unit)} in; longer every ${RULE.each}`
  return [
    {
      drawn: [
        stroke(
          'cut',
          closed([
            { x: 0, y: 0 },
            { x: RULE.long, y: 0 },
            { x: RULE.long, y: wide },
            { x: 0, y: wide },
          ]),
          0.3,
        ),
        stroke('finished', openPath([line(point(5, y), point(5 + count * pitch, y))]), 0.1),
        ...ticks,
        text(
          'label',
          point(5, wide - 2),
          said,
          Math.min(TYPE, (TYPE * (RULE.long - 10)) / textWidth(said, TYPE)),
          'start',
        ),
      ],
      width: RULE.long,
      height: wide,
    },
  ]
}

const HEAD = 12

/** Templates side by side in rows, as many pages as that takes; what no page has room for is left out. */
export function templatePages(derived: Derived, tile: Tile, unit: Units): Drawn[][] {
  const all = [
    ...pitchRule(derived, unit),
    ...cornersOf(derived).map(({ radius, names }) => cornerTemplate(radius, names, unit)),
    ...contentTemplates(derived, unit),
  ].filter((t) => t.width <= tile.width && t.height <= tile.height - HEAD)
  const pages: Drawn[][] = []
  let at = { x: 0, y: Infinity, row: 0 }
  for (const template of all) {
    if (at.x > 0 && at.x + template.width > tile.width) at = { x: 0, y: at.y + at.row + APART, row: 0 }
    if (at.y + template.height > tile.height) {
      pages.push([
        text('label', point(0, 5), `Templates: ${derived.design.name}`, 4.4, 'start', true),
        text('label', point(0, 9), 'Print on card, or glue the paper on it, and cut out.', TYPE, 'start'),
      ])
      at = { x: 0, y: HEAD, row: 0 }
    }
    lastOf(pages).push(...template.drawn.map((d) => drawnMoved(d, shift(at.x, at.y))))
    at = { x: at.x + template.width + APART, y: at.y, row: Math.max(at.row, template.height) }
  }
  return pages
}

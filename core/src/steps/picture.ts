import type { Derived } from '../derived/index.js'
import { type Drawn, drawnMoved, stroke, text, textWidth } from '../drawing/index.js'
import {
  type Move,
  type Path,
  type Point,
  boxHeight,
  boxWidth,
  moveThen,
  openPath,
  line,
  pathBox,
  pathMoved,
  pointMoved,
  scaled,
  shift,
} from '../geometry/index.js'
import { sheetThickness } from '../layup/index.js'
import { firstOf, nth, required } from '../lists/index.js'
import { edgeChain, panelOf } from '../master/index.js'
import type { Sort } from './sorts.js'
import type { Step } from './steps.js'
import type { Touch } from './task.js'

/** Strokes of a step's picture, its holes, and the least width of a name, mm. */
const DRAWN = {
  skive: 0.9,
  finished: 0.25,
  fold: 0.6,
  dashes: [3, 1.5],
  cut: 1.1,
  hole: 0.9,
  name: 14,
  nameDown: 1.4,
} as const

/** Worked from the flesh side: the piece lies grain down. */
const FROM_FLESH: readonly Sort[] = ['skive', 'groove', 'turn', 'glue', 'back', 'line', 'split']
/** No more pieces are drawn than these; of more the number is said. */
const MOST = 6
const [GAP, TYPE] = [6, 3] as const

/** What is drawn of a piece: its outline, and what is touched of it, in its own coordinates. */
interface PartDrawn {
  readonly name: string
  readonly outline: Path
  readonly touched: readonly Path[]
  readonly areas: readonly Path[]
  readonly dots: readonly Point[]
  readonly folds: readonly Path[]
}

function partDrawn(panelId: string, touches: readonly Touch[], sort: Sort, derived: Derived): PartDrawn {
  const panel = panelOf(derived.panels, panelId)
  const sheets = derived.works[0]?.sheets ?? []
  const edges = touches.filter((t) => t.edges).map((t) => edgeChain(panel, required(t.edges, 'edges')))
  const skives = touches.flatMap((t) => (t.skive === undefined ? [] : [t.skive]))
  const chains = (panel.skives ?? [])
    .filter((s) => skives.includes(s.key))
    .map((s) => edgeChain(panel, s.chain))
  const turned = derived.edges
    .filter((w) => w.panel.id === panelId)
    .flatMap((w) => w.turned)
    .filter((t) => skives.includes(`${panelId}.${firstOf(t.edges).id}.turn`))
    .map((t) => t.finished)
  const runs = derived.runs.filter((r) => touches.some((t) => t.run === r.join.id))
  const own = sheets.filter(
    (s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === panelId,
  )
  // Of what is sewn edge to edge each piece has the holes of its own side; of several copies one is drawn.
  const dots = runs.flatMap((run) => {
    const holes = [...run.holes, ...(run.other?.holes ?? [])]
    const on = own.map((s) => ({ s, holes: holes.filter((h) => sheetThickness(s, h.at) > 0) }))
    const most = on.toSorted((a, b) => b.holes.length - a.holes.length)[0]
    return most ? most.holes.map((h) => pointMoved(h.at, most.s.toSheet)) : []
  })
  const marks = derived.pieces
    .find((p) => p.panel.id === panelId)
    ?.marks.flatMap((m) => (m.type === 'set' ? [m.mark] : []))
  const fitted = touches.flatMap((t) => (t.fitting === undefined ? [] : [`${panelId}-${t.fitting}`]))
  const set = (marks ?? [])
    .filter((m) => (sort === 'punch' ? m.type !== 'text' : fitted.includes(m.id)))
    .map((m) => m.at)
  return {
    name: panel.name,
    outline: panel.outline,
    touched: [...edges, ...chains, ...turned],
    areas: panel.bands.filter((b) => skives.includes(b.key)).flatMap((b) => b.areas.map((a) => a.outline)),
    dots: [...dots, ...set],
    folds: sort === 'fold' ? panel.folds.map((f) => openPath([line(f.from, f.to)])) : [],
  }
}

/** The pieces a step touches side by side, as they lie on the bench, what is touched drawn heavy; mm, in a box. */
export function stepPicture(
  step: Pick<Step, 'rows' | 'sort'>,
  derived: Derived,
  width: number,
  height: number,
): Drawn[] {
  const touches = step.rows.flatMap((r) => r.touches)
  const ids = [...new Set(touches.map((t) => t.panelId))]
  const parts = ids.slice(0, MOST).map((id) =>
    partDrawn(
      id,
      touches.filter((t) => t.panelId === id),
      step.sort,
      derived,
    ),
  )
  if (parts.length === 0) return []
  const flesh = FROM_FLESH.includes(step.sort)
  const boxes = parts.map((p) => pathBox(p.outline))
  const room = height - TYPE * 2
  const total = boxes.reduce((sum, b) => sum + boxWidth(b), 0)
  const scale = Math.min(room / Math.max(...boxes.map(boxHeight)), (width - GAP * (parts.length - 1)) / total)
  let x = 0
  return parts.flatMap((part, i) => {
    const box = nth(boxes, i)
    const wide = boxWidth(box) * scale
    // Turned over it lies mirrored, as one sees it.
    const at: Move = flesh
      ? moveThen(scaled(-scale, scale), shift(x + box.right * scale, -box.top * scale))
      : moveThen(scaled(scale, scale), shift(x - box.left * scale, -box.top * scale))
    const label = shortenedTo(part.name, Math.max(wide + GAP, DRAWN.name))
    const drawn = [
      ...part.areas.map((a) => stroke('skive', pathMoved(a, at), DRAWN.skive)),
      stroke('finished', pathMoved(part.outline, at), DRAWN.finished),
      ...part.folds.map((f) => stroke('fold', pathMoved(f, at), DRAWN.fold, DRAWN.dashes)),
      ...part.touched.map((t) => stroke('cut', pathMoved(t, at), DRAWN.cut)),
      ...(part.dots.length > 0
        ? [
            {
              type: 'dots' as const,
              layer: 'holes' as const,
              points: part.dots.map((p) => pointMoved(p, at)),
              diameter: DRAWN.hole,
            },
          ]
        : []),
      text('label', { x: x + wide / 2, y: boxHeight(box) * scale + TYPE * DRAWN.nameDown }, label, TYPE),
    ]
    x += wide + GAP
    return drawn
  })
}

function shortenedTo(name: string, width: number): string {
  if (textWidth(name, TYPE) <= width) return name
  let short = name
  while (short.length > 3 && textWidth(`${short}…`, TYPE) > width) short = short.slice(0, -1).trimEnd()
  return `${short}…`
}

/** A picture moved to its place on a page. */
export const pictureAt = (drawn: readonly Drawn[], x: number, y: number): Drawn[] =>
  drawn.map((d) => drawnMoved(d, shift(x, y)))

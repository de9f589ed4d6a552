import { type Path, type Point, pathLength, pathNearest, pathPlaceAt, pointMoved } from '../geometry/index.js'
import { nth } from '../lists/index.js'
import { type Join, type Layup, type Panel, type PanelSheet, insetChainMaybe } from '../master/index.js'
import type { Decor } from '../sewing/index.js'
import { type Reckon, given } from '../working/index.js'

/** Halvings of a stretch until its border is known: a millionth of it. */
const HALVINGS = 20

/** A line is looked at in steps of this, mm. */
const STEP = 0.5
/** A place nearer to an edge than its margin by less is as far as it, mm. */
const NEAR = 1e-3

/** The stretch of a line longest without a break, from and to, mm, where a place will do. */
function longest(line: Path, will: (p: Point) => boolean): { from: number; to: number } {
  const length = pathLength(line)
  const at = (d: number): boolean => will(pathPlaceAt(line, d).at)
  /** Between a place that will do and one that won't, the last that will. */
  const border = (good: number, bad: number): number => {
    let [a, b] = [good, bad]
    for (let i = 0; i < HALVINGS; i += 1) {
      const middle = (a + b) / 2
      if (at(middle)) a = middle
      else b = middle
    }
    return a
  }
  const count = Math.max(1, Math.ceil(length / STEP))
  const stops = Array.from({ length: count + 1 }, (_, i) => (i * length) / count)
  let best = { from: 0, to: 0 }
  let start: number | undefined
  stops.forEach((d, i) => {
    const good = at(d)
    if (good && start === undefined) start = i === 0 ? d : border(d, nth(stops, i - 1))
    if (start !== undefined && (!good || i === stops.length - 1)) {
      const to = good ? d : border(nth(stops, i - 1), d)
      if (to - start > best.to - best.from) best = { from: start, to }
      start = undefined
    }
  })
  return best
}

/** The other sheets of one panel that lie where this one lies: parts of it to either side of a fold. */
const besides = (sheet: PanelSheet, { sheets }: Layup): PanelSheet[] =>
  sheets.filter(
    (s): s is PanelSheet =>
      s.type === 'panel' &&
      s.panelId === sheet.panelId &&
      (['a', 'b', 'c', 'd', 'e', 'f'] as const).every((k) => Math.abs(s.move[k] - sheet.move[k]) < 1e-9),
  )

/** How much of its line a decorative run leaves out at either end: where it comes to a neighbouring edge, or leaves its piece. */
function trims(decor: Decor, panel: Panel, sheets: readonly PanelSheet[]): readonly [number, number] {
  const line = insetChainMaybe(panel, decor.chain, decor.margin)
  if (!line) return [0, 0]
  const on = (p: Point, { clips, move }: PanelSheet): boolean => {
    const there = pointMoved(p, move)
    return clips.every((c) => (there.x - c.at.x) * c.inward.x + (there.y - c.at.y) * c.inward.y > -1e-9)
  }
  const { from, to } = longest(
    line,
    (p) => pathNearest(panel.outline, p).distance > decor.margin - NEAR && sheets.some((s) => on(p, s)),
  )
  const length = pathLength(line)
  // Ends keep off the border that stopped them.
  return [from > 0 ? from + NEAR : 0, to < length ? length - to + NEAR : 0]
}

/** Decorative lines as joins that hold one sheet to nothing; those whose sheet or edges are gone are left out. */
export function decorJoins(
  lines: readonly Decor[],
  layups: readonly Layup[],
  panels: readonly Panel[],
  reckon: Reckon,
): Join[] {
  return lines.flatMap((decor): Join[] => {
    const layup = layups.find((l) => l.id === decor.layup)
    const sheet = layup?.sheets.find((s) => s.id === decor.sheet)
    const panel = sheet?.type === 'panel' ? panels.find((p) => p.id === sheet.panelId) : undefined
    if (
      !layup ||
      sheet?.type !== 'panel' ||
      !panel ||
      !decor.chain.every((id) => panel.edges.some((e) => e.id === id))
    )
      return []
    const sheets = besides(sheet, layup)
    const [startTrim, endTrim] = trims(decor, panel, sheets)
    const margin = reckon(
      {
        key: `${decor.id}.margin`,
        label: `margin, ${decor.name}`,
        formula: '{margin} from the finished edge to the line',
        source: '§7',
      },
      { margin: given('margin', decor.margin) },
    )
    return [
      {
        id: decor.id,
        name: decor.name,
        layup: decor.layup,
        course: {
          type: 'edges',
          sheet: decor.sheet,
          chain: decor.chain,
          margin,
          backwards: false,
          startTrim,
          endTrim,
        },
        through: sheets.map((s) => s.id),
        glue: [],
        backstitches: { start: 1, end: 1 },
        decor: true,
      },
    ]
  })
}

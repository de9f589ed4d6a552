import {
  type Move,
  type Path,
  angleMoved,
  moveBack,
  pathMoved,
  pointDistance,
  pointMoved,
} from '../geometry/index.js'
import type { Layup, Panel, PanelMark, PanelSheet } from '../master/index.js'
import { type Copy, liesOn } from './lay.js'
import type { Asked, Brought } from './sort.js'

/** Copies of a piece are drawn once: marks nearer to each other than this are one, mm. */
const SAME = 0.1

/** A mark as it falls on another sheet of the laid-out work. */
function carried(mark: PanelMark, id: string, from: Move, to: Move): PanelMark {
  const there = moveBack(to)
  const at = pointMoved(pointMoved(mark.at, from), there)
  if (mark.type === 'lines') {
    const moved = (path: Path): Path => pathMoved(pathMoved(path, from), there)
    const { stamped } = mark
    return {
      ...mark,
      id,
      at,
      paths: mark.paths.map(moved),
      ...(stamped ? { stamped: { ...stamped, along: moved(stamped.along) } } : {}),
    }
  }
  return 'angle' in mark
    ? { ...mark, id, at, angle: angleMoved(angleMoved(mark.angle, from), there) }
    : { ...mark, id, at }
}

const told = (marks: readonly PanelMark[]): PanelMark[] =>
  marks.filter((m, i) => marks.findIndex((o) => pointDistance(o.at, m.at) < SAME) === i)

/** Panels with the marks that a part makes on its host and, where they go through, on all that lies there. */
export function marked(
  panels: readonly Panel[],
  open: Layup | undefined,
  { marks, through }: Brought,
  { id, host, spots }: Asked,
  copies: readonly Copy[],
): readonly Panel[] {
  if (!marks) return panels
  const on = new Map<string, PanelMark[]>()
  const add = (panelId: string, list: readonly PanelMark[]): void =>
    void on.set(panelId, [...(on.get(panelId) ?? []), ...list])
  spots.forEach((spot, i) => add(host.id, marks(spot, i === 0 ? id : `${id}~${i + 1}`)))
  const sheets = (open?.sheets ?? []).filter((s): s is PanelSheet => s.type === 'panel')
  for (const copy of through ? copies : []) {
    const base = sheets.find((s) => s.id === copy.host)
    if (!base) continue
    for (const mark of marks(copy.spot, copy.id))
      for (const sheet of sheets)
        if (sheet.panelId !== host.id && liesOn(sheet, pointMoved(mark.at, base.move), panels))
          add(sheet.panelId, [carried(mark, `${mark.id}@${sheet.id}`, base.move, sheet.move)])
  }
  return panels.map((p) => {
    const own = on.get(p.id)
    return own ? { ...p, marks: [...(p.marks ?? []), ...told(own)] } : p
  })
}

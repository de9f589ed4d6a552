import { pathLength, pathPlaceAt, pointMoved } from '../geometry/index.js'
import {
  type EdgeCourse,
  type Glue,
  type Join,
  type Layup,
  type LineCourse,
  type Panel,
  type PanelSheet,
  insetChainMaybe,
} from '../master/index.js'
import { type Copy, type PutOn, isOn, liesOn } from './lay.js'
import type { Asked, Brought, Lying } from './sort.js'

/** A line is asked for what lies under it in steps of this, mm. */
const STEP = 2

const sheetOf = (layups: readonly Layup[], id: string): PanelSheet | undefined =>
  layups.flatMap((l) => l.sheets).find((s): s is PanelSheet => s.id === id && s.type === 'panel')

/** A chain of edges with those in it that were parted. */
const chainNow = (chain: readonly string[], parted: Brought['parted'] = {}): string[] =>
  chain.flatMap((id) => parted[id] ?? [id])

/** A join whose edges on the host may have been parted. */
export function partedJoin(
  join: Join,
  hostId: string,
  parted: Brought['parted'],
  layups: readonly Layup[],
): Join {
  if (!parted) return join
  const onHost = (sheet: string): boolean => sheetOf(layups, sheet)?.panelId === hostId
  const course = <C extends EdgeCourse | LineCourse>(c: C): C =>
    c.type === 'edges' && onHost(c.sheet) ? { ...c, chain: chainNow(c.chain, parted) } : c
  const glue = (g: Glue): Glue => (onHost(g.sheet) ? { ...g, chain: chainNow(g.chain, parted) } : g)
  return {
    ...join,
    course: course(join.course),
    ...(join.mate ? { mate: course(join.mate) } : {}),
    glue: join.glue.map(glue),
  }
}

/** Whether a sheet lies under the line of a course anywhere. */
function liesUnder(
  course: EdgeCourse | LineCourse,
  layup: Layup,
  id: string,
  panels: readonly Panel[],
): boolean {
  const [base, sheet] = [
    layup.sheets.find((s) => s.id === course.sheet),
    layup.sheets.find((s) => s.id === id),
  ]
  if (base?.type !== 'panel' || sheet?.type !== 'panel' || sheet.loose) return false
  const panel = panels.find((p) => p.id === base.panelId)
  const line =
    course.type === 'line'
      ? course.line
      : panel &&
        course.chain.every((id) => panel.edges.some((e) => e.id === id)) &&
        insetChainMaybe(panel, course.chain, course.margin.value)
  if (!line) return false
  const length = pathLength(line)
  const count = Math.max(2, Math.ceil(length / STEP))
  return Array.from({ length: count + 1 }, (_, i) => (i / count) * length).some((d) =>
    liesOn(sheet, pointMoved(pathPlaceAt(line, d).at, base.move), panels),
  )
}

/** A run that goes through the host goes through what now lies under it there, too. */
export function alsoThrough(
  join: Join,
  own: ReadonlyMap<string, string>,
  layups: readonly Layup[],
  panels: readonly Panel[],
): Join {
  const layup = layups.find((l) => l.id === join.layup)
  const more = [...own]
    .filter(([, host]) => join.through.includes(host))
    .map(([sheet]) => sheet)
    .filter((sheet) => layup && liesUnder(join.course, layup, sheet, panels))
  return more.length === 0 ? join : { ...join, through: [...join.through, ...more] }
}

/** The seams that hold a piece, at each of the places it lies. */
export function joinsOf(
  lying: Lying,
  copies: readonly Copy[],
  { id, name }: Asked,
  put: PutOn,
  layups: readonly Layup[],
  panels: readonly Panel[],
): Join[] {
  const main = copies.filter((c) => c.main)
  return main.flatMap((copy, i) => {
    const own = lying.panel.id.replace(id, copy.id)
    const layup = layups.find((l) => l.sheets.some((s) => s.id === own))
    const base = layup?.sheets.find((s) => s.id === copy.host)
    if (!layup || !base) return []
    const place = pointMoved(copy.spot.at, base.move)
    const behind = [...put.keys()].filter((s) => {
      const sheet = layup.sheets.find((one) => one.id === s)
      return sheet !== undefined && isOn(put, s, copy.host) && liesOn(sheet, place, panels)
    })
    const called = main.length > 1 ? `${name.toLowerCase()} ${i + 1}` : name.toLowerCase()
    return lying.joins({ own, host: copy.host, id: `${copy.id}-seam`, name: called, behind }).map((join) => ({
      ...join,
      layup: layup.id,
      ...(join.through.includes(copy.host) ? { puts: own } : {}),
    }))
  })
}

import type { Concern, Layup, Master, Panel, Standing } from '../master/index.js'
import type { Hardware, Leather } from '../stores/index.js'
import type { Reckon } from '../working/index.js'
import { fittingsOf } from './fitted.js'
import { alsoThrough, joinsOf, partedJoin } from './joined.js'
import { type Copy, copiesOf, laidOn } from './lay.js'
import { marked } from './marks.js'
import { pastEdges } from './past.js'
import { spotsOf } from './place.js'
import type { Added } from './schema.js'
import type { Asked, Brought } from './sort.js'
import { sortOf } from './sorts.js'
import { worksiteOf } from './worksite.js'

/** What parts are made of. */
export interface AddedMaterials {
  readonly leathers: Readonly<Record<string, Leather>>
  readonly hardware: Readonly<Record<string, Hardware>>
}

const numberOf = (id: string): number => Number(id.slice(id.lastIndexOf('-') + 1))

/** Parts in the order in which they are put on: a later one may lie on an earlier one. */
export const inOrder = (added: Readonly<Record<string, Added>>): [string, Added][] =>
  Object.entries(added).toSorted(([a], [b]) => numberOf(a) - numberOf(b) || (a < b ? -1 : 1))

/** The work with everything the maker put on its panels. */
export function withAdded(
  master: Master,
  added: Readonly<Record<string, Added>>,
  materials: AddedMaterials,
  reckon: Reckon,
): Master {
  const put = new Map<string, string>()
  return inOrder(added).reduce((work, [id, part]) => {
    const asked = askedOf(work.panels, id, part, materials, reckon)
    if (!asked) return { ...work, concerns: [...(work.concerns ?? []), lost(work, id, part)] }
    const brought = sortOf(part.sort).make(asked)
    return laidDown(work, asked, brought, put)
  }, master)
}

function askedOf(
  panels: readonly Panel[],
  id: string,
  part: Added,
  { leathers, hardware }: AddedMaterials,
  reckon: Reckon,
): Asked | undefined {
  const host = panels.find((p) => p.id === part.on)
  const both = part.both === 'mirrored' && sortOf(part.sort).takes !== 'edge'
  const spots = host ? spotsOf(host, { ...part, both }) : []
  if (!host || spots.length === 0) return undefined
  const thickness = host.split ?? host.stock?.thickness ?? leathers[host.role]?.thickness ?? 1
  const { name, params, side, edge } = part
  return { id, name, p: params, host, side, edge, spots, thickness, leathers, hardware, reckon }
}

/** Whether a part would lie on its panel whole, without reaching past an edge of it. */
export function liesWhole(
  panel: Panel,
  [id, part]: readonly [string, Added],
  materials: AddedMaterials,
  reckon: Reckon,
): boolean {
  const asked = askedOf([panel], id, part, materials, reckon)
  return asked !== undefined && pastEdges(asked, sortOf(part.sort).make(asked).pieces ?? []).length === 0
}

/** A part whose place is gone: its panel is not made any more, or has no such edge. */
function lost({ panels }: Master, id: string, part: Added): Concern {
  const host = panels.find((p) => p.id === part.on)
  const on = host ?? panels[0]
  const gone = host
    ? `the ${host.name.toLowerCase()} has no edge “${part.edge}” now`
    : `there is no piece “${part.on}” now`
  return {
    id: `${id}-lost`,
    rank: 'look',
    panelId: on?.id ?? part.on,
    at: on?.outline.segments[0]?.from ?? { x: 0, y: 0 },
    what: `The ${part.name.toLowerCase()} has no place: ${gone}`,
    why: 'It is kept, but not made. Put it elsewhere, or take it away.',
  }
}

/** The work with all that one part brings; `put` is told which sheets it laid on which. */
function laidDown(master: Master, asked: Asked, brought: Brought, put: Map<string, string>): Master {
  const { id, host, spots } = asked
  const pieces = brought.pieces ?? []
  const site = worksiteOf(master.layups, asked, brought)
  const copies = copiesOf(id, site, host.id, spots, pieces)
  const before = new Map(put)
  let layups = site.layups
  const caught = new Map<string, string>()
  for (const lying of pieces) {
    const was = layups
    layups = layups.map((layup) => laidOn(layup, lying, copies, id, put))
    for (const [sheet, on] of newSheets(was, layups, copies)) {
      put.set(sheet, on)
      if (!lying.over) caught.set(sheet, on)
    }
  }
  const own = newSheets(master.layups, layups, copies)
  const open = layups.find((l) => l.id === site.at)
  const on = marked(master.panels, open, brought, asked, copies)
  const count = host.count * spots.length
  const panels = [
    ...on.map((p) => (p.id === host.id ? (brought.host?.(p) ?? p) : p)),
    ...pieces.map(({ panel }) => ({ ...panel, count, on: host.id })),
  ]
  const joins = master.joins.map((join) =>
    alsoThrough(partedJoin(join, host.id, brought.parted, layups), caught, layups, panels),
  )
  const { holding } = brought
  return {
    ...master,
    panels,
    layups,
    joins: [...joins, ...pieces.flatMap((l) => joinsOf(l, copies, asked, before, layups, panels))],
    sizes: [...master.sizes, ...(brought.sizes ?? [])],
    fits: [...master.fits, ...(brought.fits ?? [])],
    concerns: [...(master.concerns ?? []), ...(brought.concerns ?? []), ...pastEdges(asked, pieces)],
    fittings: [
      ...(master.fittings ?? []),
      ...(holding ? fittingsOf(holding, asked, copies, put, open, panels) : []),
    ],
    ...(master.standing ? { standing: ridden(master.standing, own) } : {}),
  }
}

/** Sheets that are in the work now and were not, and what each lies on. */
function newSheets(
  before: readonly Layup[],
  after: readonly Layup[],
  copies: readonly Copy[],
): Map<string, string> {
  const known = new Set(before.flatMap((l) => l.sheets.map((s) => s.id)))
  const fresh = after.flatMap((l) => l.sheets.map((s) => s.id)).filter((s) => !known.has(s))
  // The longest id that one begins with is the copy it belongs to: `patch-1~2` before `patch-1`.
  const longest = copies.toSorted((a, b) => b.id.length - a.id.length)
  return new Map(
    fresh.flatMap((sheet) => {
      const copy = longest.find((c) => sheet.startsWith(c.id))
      return copy ? [[sheet, copy.host] as const] : []
    }),
  )
}

/** The standing work with what was put on it: it rides where its host stands or rides. */
const ridden =
  (standing: (opened: number) => Standing, own: ReadonlyMap<string, string>) =>
  (opened: number): Standing => {
    const { stood, riding } = standing(opened)
    const under = (host: string): string => riding.find((r) => r.sheet === host)?.on ?? host
    return { stood, riding: [...riding, ...[...own].map(([sheet, host]) => ({ sheet, on: under(host) }))] }
  }

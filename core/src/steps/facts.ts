import { atKey, firstOf } from '../lists/index.js'
import type { Derived } from '../derived/index.js'
import type { Units } from '../measure/index.js'
import type { EdgeWork } from '../edges/index.js'
import {
  type Path,
  type Point,
  pathArea,
  pathLength,
  isNear,
  pathPlaceAt,
  pointMoved,
} from '../geometry/index.js'
import { type LaidSheet, sheetThickness } from '../layup/index.js'
import { type Edge, type Join, type Panel, chainsOf, edgeChain } from '../master/index.js'
import type { Run } from '../stitch/index.js'

/** Of the largest piece: what is smaller than this share is put onto it. */
const AS_LARGE = 0.98

/** A piece of the work with where it lies. */
export interface Part {
  readonly panel: Panel
  readonly work: EdgeWork
  /** Sheets of it in the laid-out work, the piece itself only. */
  readonly laid: readonly LaidSheet[]
  /** Runs that hold it to something else. */
  readonly held: readonly Run[]
  /** Those of them that sew it on: not what is put on it. */
  readonly mounting: readonly Run[]
  /** It is sewn onto something larger, or goes into the work: its own work comes before that. */
  readonly mounted: boolean
  readonly edges: readonly EdgePlan[]
  /** No thread, glue or hardware holds it: it hangs from rings, or is laid in. */
  readonly loose: boolean
}

/** What the order of work follows from, worked out once. */
export interface Facts {
  readonly derived: Derived
  readonly unit: Units
  readonly parts: readonly Part[]
  readonly guides: readonly Panel[]
  readonly partOf: (panelId: string) => Part | undefined
  readonly panelOfSheet: (sheet: string) => string | undefined
  /** Pieces a run goes through or whose edges are glued for it. */
  readonly panelsOf: (join: Join) => readonly string[]
  readonly closing: readonly Run[]
}

/** Sheets that a join holds: what its thread goes through, and what is glued for it. */
export const sheetsOf = (join: Join): readonly string[] => [
  ...new Set([
    join.course.sheet,
    ...(join.mate ? [join.mate.sheet] : []),
    ...join.through,
    ...join.glue.map((g) => g.sheet),
  ]),
]

/** Which panel a sheet is of, and which a join holds, each reckoned once. */
function lookups({ works }: Derived): Pick<Facts, 'panelOfSheet' | 'panelsOf'> {
  const sheets = new Map<string, string>()
  for (const work of works)
    for (const { sheet } of work.sheets) if (sheet.type === 'panel') sheets.set(sheet.id, sheet.panelId)
  const panelOfSheet = (sheet: string): string | undefined => sheets.get(sheet)
  const known = new Map<Join, readonly string[]>()
  const panelsOf = (join: Join): readonly string[] => {
    const before = known.get(join)
    if (before) return before
    const found = [...new Set(sheetsOf(join).flatMap((s) => panelOfSheet(s) ?? []))]
    known.set(join, found)
    return found
  }
  return { panelOfSheet, panelsOf }
}

type Looked = ReturnType<typeof lookups> & { readonly closing: readonly Run[] }

/** Whether nothing holds a panel to any other. */
function looseness({ edges, master, fittings }: Derived, looked: Looked): (panel: Panel) => boolean {
  const { panelOfSheet, panelsOf, closing } = looked
  const many = edges.filter((w) => w.panel.role !== 'guide').length > 1
  const fitted = new Set(
    fittings
      .filter((f) => !f.fitting.held)
      .flatMap((f) => [f.fitting.sheet, ...f.fitting.through.map((t) => t.sheet)].map(panelOfSheet)),
  )
  const carrier = master.layups[0]?.carrier
  return (panel) =>
    many &&
    panel.id !== carrier &&
    !panel.behind &&
    !fitted.has(panel.id) &&
    !master.joins.some((j) => holds(j) && panelsOf(j).length > 1 && panelsOf(j).includes(panel.id)) &&
    !closing.some((r) => panelsOf(r.join).includes(panel.id))
}

/** Which runs hold a panel to others, which of them put it on one, and whether it is put on before the body is closed. */
function mountings({ edges, runs }: Derived, { panelOfSheet, panelsOf, closing }: Looked) {
  const body = new Set(closing.flatMap((r) => panelsOf(r.join)))
  const on = new Map(edges.map((w) => [w.panel.id, w.panel.on]))
  const isPutOn = (id: string, host: string): boolean => {
    const under = on.get(id)
    return under !== undefined && (under === host || isPutOn(under, host))
  }
  const areas = new Map(edges.map((w) => [w.panel.id, areaOf(w.panel)]))
  return ({ id }: Panel): Pick<Part, 'held' | 'mounting' | 'mounted'> => {
    const held = runs.filter((r) => panelsOf(r.join).length > 1 && panelsOf(r.join).includes(id))
    // What is put on a piece is finished before that, however large; the piece itself is not.
    const puts = (r: Run): string | undefined => r.join.puts && panelOfSheet(r.join.puts)
    const mounting = held.filter((r) => (puts(r) ?? id) === id)
    const others = mounting.flatMap((r) => panelsOf(r.join)).filter((o) => o !== id && !isPutOn(o, id))
    const largest = Math.max(0, ...others.map((o) => areas.get(o) ?? 0))
    return {
      held,
      mounting,
      mounted:
        held.length > 0 &&
        !body.has(id) &&
        (held.some((r) => puts(r) === id) ||
          (others.length > 0 && closing.length > 0) ||
          (areas.get(id) ?? 0) < AS_LARGE * largest),
    }
  }
}

/** Whether a join holds two pieces, or two places of one, together. */
export const holds = (join: Join): boolean => sheetsOf(join).length > 1 || join.mate !== undefined

const areaOf = (panel: Panel): number => Math.abs(pathArea(panel.outline))

export function factsOf(derived: Derived, unit: Units): Facts {
  const { edges, runs, works } = derived
  const looked = { ...lookups(derived), closing: runs.filter((r) => r.join.closes) }
  const isLoose = looseness(derived, looked)
  const mountingOf = mountings(derived, looked)
  const whole = (works[0]?.sheets ?? []).filter((s) => s.part === 'whole')
  const parts = edges
    .filter((w) => w.panel.role !== 'guide')
    .map((work): Omit<Part, 'edges'> => ({
      panel: work.panel,
      work,
      laid: whole.filter((s) => s.sheet.type === 'panel' && s.sheet.panelId === work.panel.id),
      ...mountingOf(work.panel),
      loose: isLoose(work.panel),
    }))
    .map((part): Part => ({
      ...part,
      edges: edgePlans(part, { derived, panelOfSheet: looked.panelOfSheet }),
    }))
  const byId = new Map(parts.map((p) => [p.panel.id, p]))
  return {
    derived,
    unit,
    parts,
    guides: edges.filter((w) => w.panel.role === 'guide').map((w) => w.panel),
    partOf: (id) => byId.get(id),
    ...looked,
  }
}

/** Neighbouring edges that are finished together: before their piece is held to another, with the seam that holds it, or at the end. */
export interface EdgePlan {
  readonly edges: readonly Edge[]
  readonly length: number
  readonly when: 'before' | 'seam' | 'last'
  /** Runs after which they are finished, where they go with seams. */
  readonly runs: readonly Run[]
  /** Sheets they would lie on or under. */
  readonly under: readonly string[]
  /** Seams of the piece alone that run along them. */
  readonly own: readonly Run[]
}

/** An edge as near to another sheet's border lies along it, mm. */
const ALONG = 1.2
const SAMPLES = [0.2, 0.5, 0.8] as const

const samples = (path: Path): Point[] => {
  const length = pathLength(path)
  return SAMPLES.map((share) => pathPlaceAt(path, share * length).at)
}

/** Sheets that lie all along an edge, over or under it, well inside their own border. */
function sheetsOver(part: Pick<Part, 'laid'>, path: Path, among: readonly LaidSheet[]): string[] {
  const found = part.laid.flatMap((own) => {
    const places = samples(path).map((p) => pointMoved(p, own.sheet.move))
    return among
      .filter((s) => s !== own && s.part === 'whole' && s.sheet.type === 'panel')
      .filter((s) => places.every((p) => sheetThickness(s, p) > 0 && !isNear(s.placed, p, ALONG)))
      .map((s) => s.sheet.id)
  })
  return [...new Set(found)]
}

/** Edges that a join brings together, by panel: its course, its mate and what is glued for it. */
function edgesOfJoin(
  join: Join,
  facts: Pick<Facts, 'panelOfSheet'>,
): { panelId: string; chain: readonly string[] }[] {
  const chains = [
    ...[join.course, join.mate].flatMap((c) =>
      c?.type === 'edges' ? [{ sheet: c.sheet, chain: c.chain }] : [],
    ),
    ...join.glue,
  ]
  return chains.flatMap(({ sheet, chain }) => {
    const panelId = facts.panelOfSheet(sheet)
    return panelId ? [{ panelId, chain }] : []
  })
}

/** A seam no farther from an edge goes with it, mm. */
const SEAM_NEAR = 9

/** A seam beside an edge that lies on the edge of something else it is sewn to. */
function meets(run: Run, part: Pick<Part, 'laid'>, path: Path, among: readonly LaidSheet[]): boolean {
  const near = (border: Path, places: readonly Point[]): boolean =>
    places.every((p) => isNear(border, p, SEAM_NEAR))
  return part.laid
    .filter((own) => run.join.through.includes(own.sheet.id))
    .some((own) => {
      const places = samples(path).map((p) => pointMoved(p, own.sheet.move))
      return (
        near(run.path, places) &&
        among.some((s) => s !== own && run.join.through.includes(s.sheet.id) && near(s.placed, places))
      )
    })
}

/** An edge that is finished at all: cut, and neither turned nor left as it is. */
const isFinished = ({ fate }: Edge): boolean =>
  (fate.type === 'raw' && fate.finish !== 'left') ||
  (fate.type === 'sewn' && fate.finish !== 'left' && fate.inside !== true) ||
  fate.type === 'long'

/** When the edges of a piece are finished; turned ones and those that are left as cut are not. */
function edgePlans(part: Omit<Part, 'edges'>, facts: Pick<Facts, 'derived' | 'panelOfSheet'>): EdgePlan[] {
  const { panel } = part
  if (!part.work.stock) return []
  const plans = new Map(panel.edges.filter(isFinished).map((edge) => [edge, planOf(edge, part, facts)]))
  const finish = ({ fate }: Edge): string => ('finish' in fate ? fate.finish : '')
  const same = (a: Edge, b: Edge): boolean => {
    const [one, other] = [atKey(plans, a), atKey(plans, b)]
    return finish(a) === finish(b) && planKey(one) === planKey(other)
  }
  return chainsOf(panel, (e) => plans.has(e), same).map((edges) => {
    const plan = firstOf(edges.map((e) => atKey(plans, e)))
    return { ...plan, edges, length: edges.reduce((sum, e) => sum + atKey(plans, e).length, 0) }
  })
}

const planKey = ({ when, runs, under, own }: EdgePlan): string =>
  `${when} ${[...runs, ...own].map((r) => r.join.id).join()} ${under.join()}`

function planOf(
  edge: Edge,
  part: Omit<Part, 'edges'>,
  facts: Pick<Facts, 'derived' | 'panelOfSheet'>,
): EdgePlan {
  const { panel, held, mounted, loose } = part
  const among = facts.derived.works[0]?.sheets ?? []
  const path = edgeChain(panel, [edge.id])
  const under = sheetsOver(part, path, among)
  const joined = held.filter((r) =>
    edgesOfJoin(r.join, facts).some((e) => e.panelId === panel.id && e.chain.includes(edge.id)),
  )
  // What lies well inside the other piece is not married to an edge of it.
  const runs = (joined.length > 0 ? joined : held.filter((r) => meets(r, part, path, among))).filter(
    (r) => !sheetsOf(r.join).some((s) => under.includes(s)),
  )
  const before = runs.length === 0 && (under.length > 0 || mounted || loose)
  return {
    edges: [edge],
    length: pathLength(path),
    when: runs.length > 0 ? 'seam' : before ? 'before' : 'last',
    runs,
    under: runs.length > 0 ? [] : under,
    own: runs.length > 0 ? [] : facts.derived.runs.filter((r) => runsAlong(r, part, path)),
  }
}

/** A seam of the piece alone that runs along an edge of it. */
const runsAlong = (run: Run, { laid }: Pick<Part, 'laid'>, path: Path): boolean =>
  sheetsOf(run.join).length === 1 &&
  laid.some(
    (own) =>
      own.sheet.id === run.join.course.sheet &&
      samples(path).every((p) => isNear(run.path, pointMoved(p, own.sheet.move), SEAM_NEAR)),
  )

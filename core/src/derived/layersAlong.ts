import { nth } from '../lists/index.js'
import { type LaidUp, type SeamPlace, laidUpOf, sheetUnder } from '../layup/index.js'
import type { Join } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import type { Derived } from './derive.js'

/** A layer under holes of a run, mm: what it is there, and what it is where it isn't thinned. */
interface LayerThere {
  readonly name: string
  readonly thickness: number
  readonly whole: number
  readonly thinned: boolean
}

/** Neighbouring holes that go through the same layers, thinned alike. */
export interface LayersThere {
  readonly holes: number
  readonly layers: readonly LayerThere[]
  readonly together: number
  /** Two thinned edges or more that are no thicker together than the thickest of them was by itself. */
  readonly asOne: boolean
}

/** Thicknesses that differ by less are told as one, mm. */
const ALIKE = 0.05
/** Leather thinned by less isn’t told as thinned, mm. */
const THINNED = 0.1

function layersAt(work: LaidUp, place: SeamPlace, { through, tapes = [] }: Join): readonly LayerThere[] {
  const layers = work.sheets.flatMap((laid): LayerThere[] => {
    if (!through.includes(laid.sheet.id)) return []
    const { thickness: whole, sheet } = laid
    return sheetUnder(laid, place)
      .filter((thickness) => thickness > 0)
      .map((thickness) => ({ name: sheet.name, thickness, whole, thinned: thickness < whole - THINNED }))
  })
  return [...layers, ...tapes.map((tape) => ({ ...tape, whole: tape.thickness, thinned: false }))]
}

const alike = (a: readonly LayerThere[], b: readonly LayerThere[]): boolean =>
  a.length === b.length &&
  a.every((one, i) => one.name === nth(b, i).name && Math.abs(one.thickness - nth(b, i).thickness) < ALIKE)

function told(holes: number, layers: readonly LayerThere[]): LayersThere {
  const together = layers.reduce((sum, l) => sum + l.thickness, 0)
  const thinned = layers.filter((l) => l.thinned)
  const asOne = thinned.length > 1 && together <= Math.max(...layers.map((l) => l.whole)) + ALIKE
  return { holes, layers, together, asOne }
}

/** The places of a run's holes, with where its other edge lies at each. */
function placesOf({ holes, other, join }: Run): SeamPlace[] {
  const others = other?.holes ?? []
  const last = Math.max(1, holes.length - 1)
  const itself = other?.sheet === join.course.sheet
  return holes.map(({ at }, i) => ({
    here: at,
    there: others.length > 0 ? nth(others, Math.round((i * (others.length - 1)) / last)).at : undefined,
    itself,
  }))
}

/** What a run goes through from its first hole on, and how thick each layer is left there by its skives. */
export function layersAlong({ works }: Pick<Derived, 'works'>, run: Run): LayersThere[] {
  const work = laidUpOf(works, run.join.layup)
  const groups: { holes: number; layers: readonly LayerThere[] }[] = []
  for (const place of placesOf(run)) {
    const layers = layersAt(work, place, run.join)
    const group = groups.at(-1)
    if (group && alike(group.layers, layers)) group.holes += 1
    else groups.push({ holes: 1, layers })
  }
  return groups.map(({ holes, layers }) => told(holes, layers))
}

/** Names of the only layers that lie under holes of a run, where nowhere two lie together; none where two do. */
export function onlyLayers({ works }: Pick<Derived, 'works'>, run: Run): readonly string[] {
  const work = laidUpOf(works, run.join.layup)
  const alone = new Set<string>()
  for (const place of placesOf(run)) {
    const [one, another] = layersAt(work, place, run.join)
    if (another) return []
    if (one) alone.add(one.name)
  }
  return [...alone]
}

import type { Derived } from '../derived/index.js'
import {
  type Path,
  type Point,
  circlePoint,
  line,
  openPath,
  pathBox,
  boxCentre,
  pathLength,
  isNear,
  pathPlaceAt,
  pointInside,
  pointMoved,
} from '../geometry/index.js'
import { layersAt, sheetIn } from '../layup/index.js'
import { type Panel, type PanelMark, edgeChain } from '../master/index.js'
import { type Found, check } from './finding.js'

/** What is stamped into a panel: along a line, so far to either side of it. */
interface Stamped {
  readonly id: string
  readonly name: string
  readonly along: Path
  readonly half: number
}
export interface Data {
  readonly panel: string
  readonly by: string
  readonly later: boolean
}

/** A stamp is asked for what lies over it in steps of this, mm. */
const STEP = 4

/** Places along a stamp, its ends among them. */
function placesOf(along: Path): Point[] {
  const length = pathLength(along)
  const count = Math.max(1, Math.ceil(length / STEP))
  return Array.from({ length: count + 1 }, (_, i) => pathPlaceAt(along, (i / count) * length).at)
}

function stampedOf(mark: PanelMark): Stamped | undefined {
  if (mark.type === 'lines' && mark.stamped) {
    const { along, broad, name } = mark.stamped
    return { id: mark.id, name, along, half: broad / 2 }
  }
  if (mark.type !== 'stamp') return undefined
  const { id, name, at, angle, wide, high } = mark
  const along = openPath([line(circlePoint(at, -wide / 2, angle), circlePoint(at, wide / 2, angle))])
  return { id, name, along, half: high / 2 }
}

const spoiltBy = (derived: Derived, panel: Panel, one: Stamped): Pick<Data, 'by' | 'later'> | undefined => {
  const over = covered(derived, panel, one)
  if (over !== undefined) return { by: over, later: true }
  const cut = cutThrough(derived, panel, one)
  return cut === undefined ? undefined : { by: cut, later: false }
}

/** What goes through the stamp or thins it: a seam, hardware, a skive. */
function cutThrough(derived: Derived, panel: Panel, { along, half }: Stamped): string | undefined {
  const piece = derived.pieces.find((p) => p.panel.id === panel.id)
  if (piece?.holes.some((h) => isNear(along, h.at, half + h.width / 2))) return 'a seam'
  const reach = derived.fittings.find(({ fitting, hardware }) => {
    const laid = sheetIn(derived.works, fitting.sheet)?.laid
    if (fitting.held || laid?.sheet.type !== 'panel' || laid.sheet.panelId !== panel.id) return false
    return isNear(along, fitting.at, half + hardware.across / 2)
  })
  if (reach) return `the ${reach.fitting.name}`
  const points = placesOf(along)
  const band = panel.bands.find(
    (b) => b.planned && b.areas.some((a) => points.some((p) => pointInside(p, a.outline))),
  )
  if (band) return `the skive “${band.name}”`
  const skive = (panel.skives ?? []).find((s) => {
    const edge = edgeChain(panel, s.chain)
    return points.some((p) => isNear(edge, p, s.width + half - 1e-6))
  })
  return skive ? `the skive “${skive.name}”` : undefined
}

/** What comes to lie over the grain there. */
function covered({ works }: Derived, panel: Panel, { along }: Stamped): string | undefined {
  const [open] = works
  const laid = open?.sheets.find(
    (s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === panel.id,
  )
  if (!open || laid?.sheet.type !== 'panel') return undefined
  const { sheet } = laid
  const at = open.sheets.indexOf(laid)
  for (const p of placesOf(along)) {
    const over = layersAt(open, pointMoved(p, sheet.move)).find(({ laid: other }) => {
      const level = open.sheets.indexOf(other)
      return (
        other.sheet.id !== sheet.id &&
        other.sheet.type === 'panel' &&
        !other.sheet.loose &&
        (sheet.grainUp ? level > at : level < at)
      )
    })
    if (over) return `the ${over.laid.sheet.name}`
  }
  return undefined
}

/** A stamp or a border that is sewn through, thinned, or covered later. */
export const stampSpoiled = check({
  code: 'stamp-spoiled',
  find: (derived): readonly Found<Data>[] =>
    derived.panels.flatMap((panel) =>
      (panel.marks ?? []).flatMap((mark) => {
        const one = stampedOf(mark)
        const spoilt = one && spoiltBy(derived, panel, one)
        if (!one || !spoilt) return []
        return [
          {
            key: `stamp-spoiled:${panel.id}:${one.id}`,
            rank: 'look' as const,
            places: [{ panelId: panel.id, at: boxCentre(pathBox(one.along)) }],
            about: one.name,
            data: { panel: panel.name.toLowerCase(), ...spoilt },
          },
        ]
      }),
    ),
  say: ({ about, data }) => ({
    what: data.later
      ? `The ${about} on the ${data.panel} comes to lie under ${data.by}.`
      : `The ${about} on the ${data.panel} runs into ${data.by}.`,
    why: data.later
      ? 'What is stamped there is never seen, and glue holds badly on it: leave it out there, or put it elsewhere.'
      : 'A stamp that is cut through or thinned loses its shape. Move the border further in or out, or that further away.',
  }),
  fixes: () => [],
})

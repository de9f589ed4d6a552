import {
  type Path,
  type Point,
  type Region,
  pathPoints,
  pointMoved,
  regionBoth,
  regionUnion,
  regionWithout,
} from '../geometry/index.js'
import type { LaidSheet, LaidUp } from '../layup/index.js'
import type { Panel, PanelMark } from '../master/index.js'

/** Curves become chords this close, mm: enough for where a scar may lie. */
const CHORDS = 0.2
/** Larger than any work, mm. */
const FAR = 20_000

const regionOf = (path: Path): Region => [pathPoints(path, CHORDS)]

/** All that lies on the inner side of a line. */
function halfPlane(at: Point, inward: Point): Region {
  const along = { x: -inward.y, y: inward.x }
  const corner = (u: number, v: number): Point => ({
    x: at.x + along.x * u + inward.x * v,
    y: at.y + along.y * u + inward.y * v,
  })
  return [[corner(-FAR, 0), corner(FAR, 0), corner(FAR, FAR), corner(-FAR, FAR)]]
}

/** Where a sheet lies in the work, as far as it counts. */
const lies = (laid: LaidSheet): Region =>
  laid.sheet.clips.reduce((region, c) => regionBoth(region, halfPlane(c.at, c.inward)), regionOf(laid.placed))

/** What lies over the grain of a sheet. */
function coverOf(work: LaidUp, laid: LaidSheet): Region {
  const { sheet } = laid
  if (sheet.type !== 'panel') return []
  const at = work.sheets.indexOf(laid)
  const over = sheet.grainUp ? work.sheets.slice(at + 1) : work.sheets.slice(0, at)
  return over
    .filter((s) => s.part === 'whole' && s.sheet.type === 'panel')
    .reduce<Region>((sum, s) => regionUnion(sum, lies(s)), [])
}

const back = (region: Region, laid: LaidSheet): Region =>
  region.map((ring) => ring.map((p) => pointMoved(p, laid.toSheet)))

/** How many chords a round hole becomes. */
const ROUND = 12

/** What is cut out or covered by hardware: nothing of the leather is left to see there. */
function cutOut(mark: PanelMark): Region {
  const box = (long: number, wide: number, angle: number): Region => {
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    const corner = (u: number, v: number): Point => ({
      x: mark.type === 'cuts' ? 0 : mark.at.x + (u * c * long - v * s * wide) / 2,
      y: mark.type === 'cuts' ? 0 : mark.at.y + (u * s * long + v * c * wide) / 2,
    })
    return [[corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)]]
  }
  const round = (across: number, at: Point): Region => [
    Array.from({ length: ROUND }, (_, i) => ({
      x: at.x + (Math.cos((i / ROUND) * 2 * Math.PI) * across) / 2,
      y: at.y + (Math.sin((i / ROUND) * 2 * Math.PI) * across) / 2,
    })),
  ]
  switch (mark.type) {
    case 'slot':
      return box(mark.length, mark.punch, mark.angle)
    case 'window':
      return box(mark.length, mark.width, mark.angle)
    case 'hole':
      return round(mark.punch, mark.at)
    case 'hardware':
      return mark.round ? round(mark.across, mark.at) : box(mark.across, mark.high, mark.angle)
    default:
      return []
  }
}

/**
 * Where the grain of a panel is seen once the work is made, in the panel’s own coordinates: its finished outline without what lies
 * over it, what is cut out, and its allowances.
 */
export function seenOf(panel: Panel, work: LaidUp | undefined): Region {
  const whole = regionOf(panel.outline)
  const own = (work?.sheets ?? []).filter(
    (s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === panel.id && !s.sheet.formed,
  )
  if (!work || own.length === 0) return withoutCuts(whole, panel)
  const placed = own.map((laid) => ({
    there: back(lies(laid), laid),
    cover: back(coverOf(work, laid), laid),
  }))
  // What none of its sheets shows, as the strip that a fold takes up, is taken to be seen.
  const rest = placed.reduce((region, { there }) => regionWithout(region, there), whole)
  const seen = placed.reduce(
    (sum, { there, cover }) => regionUnion(sum, regionWithout(regionBoth(whole, there), cover)),
    rest,
  )
  return withoutCuts(seen, panel)
}

const withoutCuts = (region: Region, panel: Panel): Region =>
  (panel.marks ?? []).reduce((left, mark) => {
    const cut = cutOut(mark)
    return cut.length > 0 ? regionWithout(left, cut) : left
  }, region)

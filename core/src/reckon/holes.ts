import { nth } from '../lists/index.js'
import { type Point, pointDistance, polyline } from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Panel } from '../master/index.js'
import { type HolePlace, type Run, holesInSheet, rowsInSheet } from '../stitch/index.js'
import type { Iron } from '../stores/index.js'
import type { Mark, PieceHole } from './piece.js'

/** Holes nearer than this on two copies of a piece are the same hole, mm. */
const SAME_HOLE = 0.05

interface SheetHoles {
  readonly clipped: boolean
  readonly byRun: readonly { readonly iron: Iron; readonly holes: readonly HolePlace[] }[]
}

const near = (a: Point, b: Point): boolean => pointDistance(a, b) < SAME_HOLE

/** The same places, walked the same way or the other. */
function sameSet(a: readonly HolePlace[], b: readonly HolePlace[]): boolean {
  const last = b.length - 1
  if (a.length !== b.length) return false
  return a.every((h, i) => near(h.at, nth(b, i).at)) || a.every((h, i) => near(h.at, nth(b, last - i).at))
}

function sheetsOf(panel: Panel, work: LaidUp, runs: readonly Run[]): SheetHoles[] {
  return work.sheets
    .filter(
      (laid) =>
        laid.part === 'whole' &&
        laid.sheet.type === 'panel' &&
        laid.sheet.panelId === panel.id &&
        // What is formed is cut bigger and trimmed: its holes are punched through once it lies in place.
        !laid.sheet.formed,
    )
    .map((laid) => ({
      clipped: laid.sheet.clips.length > 0,
      byRun: runs
        .filter((r) => r.ways.holes !== 'machine' && r.join.through.includes(laid.sheet.id))
        .map((run) => ({ iron: run.ways.iron, holes: holesInSheet(run, laid) }))
        .filter(({ holes }) => holes.length > 0),
    }))
}

/**
 * Holes marked on the drawing of a panel. Clipped sheets are parts of one piece, so all their holes count; several
 * whole sheets are copies cut from one drawing, so only runs whose holes fall alike on every copy are marked. The rest
 * are punched through with the layers below.
 */
export const markedHoles = (panel: Panel, works: readonly LaidUp[], runs: readonly Run[]): PieceHole[] =>
  once(works.flatMap((work) => holesIn(panel, work, runs)))

function holesIn(panel: Panel, work: LaidUp, runs: readonly Run[]): PieceHole[] {
  const sheets = sheetsOf(panel, work, runs)
  const parts = sheets
    .filter((s) => s.clipped)
    .flatMap((s) => s.byRun)
    // Of a piece that lies folded several times over every copy has the same.
    .filter(({ holes }, i, all) => all.findIndex((other) => sameSet(holes, other.holes)) === i)
  const [first, ...copies] = sheets.filter((s) => !s.clipped)
  const shared = (first?.byRun ?? []).filter(({ holes }) =>
    copies.every((c) => c.byRun.some((other) => sameSet(holes, other.holes))),
  )
  return [...parts, ...shared].flatMap(({ holes, iron }) => holes.map((h) => slot(h, iron)))
}

/** Slots nearer than this in place and turn are one: two runs share it, mm and radians. */
const FINE = 1e-3

/** Both in the same place, their slots along the same line. */
const same = (a: PieceHole, b: PieceHole): boolean =>
  pointDistance(a.at, b.at) < FINE && Math.abs(Math.sin(a.angle - b.angle)) < FINE

/** A hole that two runs share is marked, and cut, once. */
function once(holes: readonly PieceHole[]): PieceHole[] {
  // Looked for among those nearby only, in squares much larger than what is told apart.
  const squares = new Map<number, PieceHole[]>()
  const isThere = (hole: PieceHole): boolean => {
    const { x, y } = hole.at
    for (let i = Math.floor(x - FINE); i <= Math.floor(x + FINE); i += 1)
      for (let k = Math.floor(y - FINE); k <= Math.floor(y + FINE); k += 1)
        if (squares.get(i * SQUARES + k)?.some((other) => same(hole, other))) return true
    return false
  }
  return holes.filter((hole) => {
    if (isThere(hole)) return false
    const key = Math.floor(hole.at.x) * SQUARES + Math.floor(hole.at.y)
    const there = squares.get(key)
    if (there) there.push(hole)
    else squares.set(key, [hole])
    return true
  })
}

/** More squares of 1 mm than any piece has either way: each has a number of its own. */
const SQUARES = 2 ** 20

/** Lines a machine sews along, where they cross a panel: its needle makes the holes. */
export function machineLines(panel: Panel, work: LaidUp, runs: readonly Run[]): Mark[] {
  return work.sheets
    .filter((s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === panel.id)
    .flatMap((laid) =>
      runs
        .filter((r) => r.ways.holes === 'machine' && r.join.through.includes(laid.sheet.id))
        .flatMap((run) => rowsInSheet(run, laid))
        .filter((holes) => holes.length > 1)
        .map((holes): Mark => ({ type: 'stitchLine', path: polyline(holes.map((h) => h.at)) })),
    )
}

/** The slot slants the same way along the seam, whichever side it is marked from. */
export const slot = (h: HolePlace, iron: Iron): PieceHole => ({
  at: h.at,
  angle: h.angle - (iron.slant * Math.PI) / 180,
  length: iron.slotLength,
  width: iron.slotWidth,
})

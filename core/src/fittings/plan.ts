import { DOME_SHANK, POST } from '../formulas/index.js'
import {
  type Point,
  angleMoved,
  pathNearest,
  pointDistance,
  pointInside,
  pointMoved,
} from '../geometry/index.js'
import { type LaidSheet, type LaidUp, sheetIn, sheetThickness } from '../layup/index.js'
import type { Fitting, HardwareMark, Master, PanelMark } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import { type Hardware, POSTED } from '../stores/index.js'
import { type Reckon, type Reckoned, addedUp, given } from '../working/index.js'
import { required } from '../lists/index.js'

/** Hardware at its place, worked out. Lengths in mm. */
export interface SetFitting {
  readonly fitting: Fitting
  readonly hardware: Hardware
  /** What it is set through; undefined where it is held in a loop. */
  readonly stack: Reckoned | undefined
  /** Post that is needed over that stack at least: setting takes somewhat more or less. */
  readonly wanted: Reckoned | undefined
  /** The shortest post to be had that is long enough; undefined where none is. */
  readonly post: number | undefined
  /** Washers that make up what the post is too long. */
  readonly washers: number
  /** From its rim to the nearest edge of what it is set on, and to the nearest hole of a seam. */
  readonly toEdge: number
  readonly toSeam: number
  /** Names of what later covers it. */
  readonly coveredBy: readonly string[]
  /** The run before which it has to be set, by name. */
  readonly before: string | undefined
}

/** Setting takes so much more or less of a post, mm (J); docs/formulas.md §12. A screw or prong takes what it takes. */
const GIVE: Partial<Record<Hardware['sort'], number>> = { rivet: 0.5, snap: 0.5 }
/** Too long a post by less is let pass beyond that, mm. */
const SPARE = 0.1

const isPosted = ({ sort }: Hardware): boolean => POSTED.includes(sort)

const laidOf = (open: LaidUp, id: string): LaidSheet | undefined =>
  open.sheets.find((s) => s.part === 'whole' && s.sheet.id === id)

/** Thickness of a layer where it is set through: at that place of the laid-out work, or the leather’s own. */
function layerAt(open: LaidUp, sheet: string, place: Point): number {
  const laid = laidOf(open, sheet)
  if (!laid) return 0
  return sheetThickness(laid, place) || laid.thickness
}

function stackOf(fitting: Fitting, open: LaidUp, place: Point, reckon: Reckon): Reckoned {
  const layers = addedUp(
    fitting.through.map(({ sheet, times }) => ({
      times,
      term: given(laidOf(open, sheet)?.sheet.name ?? sheet, layerAt(open, sheet, place), 'thickness'),
    })),
  )
  return reckon(
    {
      key: `fitting.${fitting.id}.stack`,
      label: `stack under the ${fitting.name}`,
      formula: layers.formula,
      source: '§21',
      quantity: 'thickness',
      measured: true,
    },
    layers.inputs,
  )
}

/** A dome as a hammer leaves it: so many times the shank across and high (J). */
const DOME = { across: 1.5, high: 0.5 } as const

const domeOf = (fitting: Fitting, { bar }: Hardware, reckon: Reckon): Reckoned =>
  reckon(
    { key: `fitting.${fitting.id}.dome`, label: 'shank for the dome', formula: DOME_SHANK, source: '§12' },
    {
      height: given('height of the dome', DOME.high * bar),
      head: given('dome across', DOME.across * bar),
      shank: given('shank', bar),
    },
  )

function wantedPost(fitting: Fitting, ware: Hardware, stack: Reckoned, reckon: Reckon): Reckoned {
  const burr = ware.sort === 'burr'
  const give = GIVE[ware.sort] ?? 0
  return reckon(
    {
      key: `fitting.${fitting.id}.post`,
      label: burr ? 'shank to leave standing' : give > 0 ? 'shortest post that sets' : 'post needed',
      formula: burr
        ? '{pressed} × {stack} + {burr} burr + {dome} for the dome'
        : give > 0
          ? `${POST} − {give} less where it is set low`
          : POST,
      source: '§21',
    },
    {
      pressed: given('pressed to', ware.pressed, 'share'),
      stack,
      burr: given('burr', ware.washer),
      dome: domeOf(fitting, ware, reckon),
      setting: given('setting', ware.setting),
      give: given('give', give),
    },
  )
}

const reach = ({ across, high }: Hardware): number => Math.max(across, high) / 2

function coversOf(fitting: Fitting, open: LaidUp, place: Point): string[] {
  const on = laidOf(open, fitting.sheet)?.sheet
  // What hangs free is lifted.
  if (on?.type === 'panel' && on.loose) return []
  const own = new Set([fitting.sheet, ...fitting.through.map((t) => t.sheet)])
  return open.sheets
    .filter((s) => s.part === 'whole' && s.sheet.type === 'panel' && !s.sheet.loose && !own.has(s.sheet.id))
    .filter((s) => sheetThickness(s, place) > 0)
    .map((s) => s.sheet.name)
}

/** From a place to the nearest hole of a seam that goes through its sheet, mm. */
function nearestHole(sheet: string, place: Point, runs: readonly Run[]): number {
  let min = Infinity
  for (const run of runs) {
    if (!run.join.through.includes(sheet)) continue
    for (const holes of [run.holes, run.other?.holes ?? []])
      for (const hole of holes) min = Math.min(min, pointDistance(hole.at, place))
  }
  return min
}

/** Washers that bring a post down to what setting takes at most, and never under what it needs at least. */
function washersUnder(ware: Hardware, post: number, min: number): number {
  const over = post - min - 2 * (GIVE[ware.sort] ?? 0)
  if (ware.sort === 'burr' || ware.washer === 0 || over <= SPARE) return 0
  return Math.max(0, Math.min(Math.ceil(over / ware.washer), Math.floor((post - min) / ware.washer)))
}

function setOne(
  fitting: Fitting,
  ware: Hardware,
  open: LaidUp,
  runs: readonly Run[],
  reckon: Reckon,
): SetFitting | undefined {
  const laid = laidOf(open, fitting.sheet)
  if (!laid) return undefined
  const place = pointMoved(fitting.at, laid.sheet.move)
  const posted = isPosted(ware) && fitting.held !== true
  const stack = posted ? stackOf(fitting, open, place, reckon) : undefined
  const wanted = stack && wantedPost(fitting, ware, stack, reckon)
  const post = wanted && ware.posts.find((p) => p >= wanted.value - 1e-9)
  return {
    fitting,
    hardware: ware,
    stack,
    wanted,
    post,
    washers: post === undefined ? 0 : washersUnder(ware, post, required(wanted, 'wanted').value),
    toEdge: pointInside(fitting.at, laid.outline)
      ? pathNearest(laid.outline, fitting.at).distance - reach(ware)
      : -reach(ware),
    toSeam: nearestHole(fitting.sheet, place, runs) - reach(ware),
    // What has its step says when; the rest is found where something lies over it.
    coveredBy: posted && fitting.before === undefined ? coversOf(fitting, open, place) : [],
    before: runs.find((r) => r.join.id === fitting.before)?.join.name,
  }
}

/** All hardware of a work at its places; a part without hardware of its own is left out. */
export function fittingsOf(
  master: Master,
  hardware: Readonly<Record<string, Hardware>>,
  states: readonly LaidUp[],
  runs: readonly Run[],
  reckon: Reckon,
): SetFitting[] {
  return (master.fittings ?? []).flatMap((fitting) => {
    const ware = Object.hasOwn(hardware, fitting.role) ? hardware[fitting.role] : undefined
    const open = sheetIn(states, fitting.sheet)?.work
    return ware && open ? (setOne(fitting, ware, open, runs, reckon) ?? []) : []
  })
}

/** Two copies of a piece are drawn once: places nearer than this on it are one, mm. */
const SAME = 0.1

function markOf(
  { fitting, hardware: ware }: SetFitting,
  at: Point,
  angle: number,
  panel: string,
): HardwareMark {
  const posted = isPosted(ware) && fitting.held !== true
  return {
    type: 'hardware',
    id: `${panel}-${fitting.id}`,
    at,
    angle,
    round: ware.high === 0,
    across: ware.across,
    high: ware.high || ware.across,
    holes: posted && ware.prongs === 0 ? [{ along: 0, aside: 0, punch: ware.hole }] : [],
    slots:
      posted && ware.prongs > 0
        ? Array.from({ length: ware.prongs }, (_, i) => ({
            along: 0,
            aside: (i - (ware.prongs - 1) / 2) * ware.apart,
            length: ware.hole,
          }))
        : [],
    name: fitting.name,
  }
}

/** Holes, slots and outlines of hardware on every piece it goes through, by panel; and which way is up. */
export function hardwareMarks(
  set: readonly SetFitting[],
  states: readonly LaidUp[],
): ReadonlyMap<string, readonly PanelMark[]> {
  const marks = new Map<string, PanelMark[]>()
  for (const one of set) {
    const { fitting } = one
    const open = sheetIn(states, fitting.sheet)?.work
    const base = open && laidOf(open, fitting.sheet)
    if (!base) continue
    const place = pointMoved(fitting.at, base.sheet.move)
    const up = angleMoved(fitting.up, base.sheet.move)
    for (const { sheet, at } of [{ sheet: fitting.sheet, at: undefined }, ...fitting.through]) {
      const laid = laidOf(open, sheet)
      if (laid?.sheet.type !== 'panel') continue
      const there = at ?? pointMoved(place, laid.toSheet)
      const list = marks.get(laid.sheet.panelId) ?? []
      if (list.some((m) => pointDistance(m.at, there) < SAME)) continue
      list.push(markOf(one, there, angleMoved(up, laid.toSheet), laid.sheet.panelId))
      marks.set(laid.sheet.panelId, list)
    }
  }
  return marks
}

import { line as straight, point } from '../../geometry/index.js'
import type { Glue, Join } from '../../master/index.js'
import { BENCH, topRadius } from './bench.js'
import { SIDES, type Side } from './layup.js'
import { firstTop } from './pocketPanels.js'
import type { BifoldParams } from './params.js'
import type { BifoldSizes } from './sizes.js'

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left')
const pocketSheets = (side: Side, p: BifoldParams): string[] =>
  Array.from({ length: p.pockets }, (_, i) => `pocket-${i + 1}-${side}`)

/** Feet first, then the seam beside the fold, then the outer seam through everything, each on both halves. */
export function bifoldJoins(p: BifoldParams, s: BifoldSizes): Join[] {
  const feet = SIDES.flatMap((side) =>
    Array.from({ length: Math.max(0, p.pockets - 1) }, (_, i) => footJoin(side, i, s)),
  )
  const inner = p.pockets > 0 ? SIDES.map((side) => innerJoin(side, p, s)) : []
  return [...feet, ...inner, ...SIDES.map((side) => outerJoin(side, p, s))]
}

function footJoin(side: Side, i: number, s: BifoldSizes): Join {
  const y = s.depth.value - (i === 0 ? s.shorten.value : 0) + s.hole.value
  const [from, to] = [s.arm.value + s.margin.value, s.pocketWidth.value - s.arm.value - s.margin.value]
  const sheet = `pocket-${i + 1}-${side}`
  const line = [straight(point(from, y), point(Math.max(from, to), y))]
  return {
    id: `foot-${i + 1}-${side}`,
    name: `foot of pocket ${i + 1}, ${side}`,
    layup: 'open',
    twin: `foot-${i + 1}-${other(side)}`,
    pairName: `foot of pocket ${i + 1}, both sides`,
    course: { type: 'line', sheet, line: { segments: line, closed: false } },
    through: [`inside-${side}`, sheet],
    glue: [{ sheet, chain: ['foot'], limit: BENCH.footMargin }],
    backstitches: { start: 1, end: 1 },
  }
}

/** Down the pockets beside the fold, ending one hole short of the outer seam's last hole. */
function innerJoin(side: Side, p: BifoldParams, s: BifoldSizes): Join {
  const top = firstTop(p, s)
  const x = s.pocketWidth.value - s.margin.value
  const inFrame = (y: number) => point(side === 'left' ? x : s.insideWidth.value - x, y)
  const start = top + s.pitch.value / 2
  const [from, to] = [inFrame(start), inFrame(Math.max(start, s.insideHeight.value - 2 * s.margin.value))]
  return {
    id: `inner-${side}`,
    name: `seam beside the fold, ${side}`,
    layup: 'open',
    twin: `inner-${other(side)}`,
    pairName: 'seam beside the fold, both sides',
    course: {
      type: 'line',
      sheet: `inside-${side}`,
      line: { segments: [straight(from, to)], closed: false },
    },
    through: [`inside-${side}`, ...pocketSheets(side, p)],
    glue: pocketSheets(side, p).map((sheet, i) => ({
      sheet,
      chain: [i === p.pockets - 1 ? 'right' : 'right-arm'],
      limit: s.margin.value,
    })),
    backstitches: { start: 2, end: 1 },
  }
}

function outerJoin(side: Side, p: BifoldParams, s: BifoldSizes): Join {
  const reach =
    p.pockets > 0 ? s.pocketWidth.value - s.margin.value : s.half.value - BENCH.noteEase - s.margin.value
  const ends = { startTrim: outerStart(p, s), endTrim: s.insideWidth.value - p.corner - reach }
  const around = (edges: string[]): string[] => (p.corner > 0 ? edges : edges.filter((e) => !e.includes('-')))
  return {
    id: `outer-${side}`,
    name: `outer seam, ${side}`,
    layup: 'open',
    twin: `outer-${other(side)}`,
    pairName: 'outer seam, both sides',
    course: {
      type: 'edges',
      sheet: `inside-${side}`,
      margin: s.margin,
      ...ends,
      backwards: side === 'left',
      chain: around(side === 'right' ? ['right', 'foot-right', 'foot'] : ['foot', 'foot-left', 'left']),
    },
    through: [`outside-${side}`, `inside-${side}`, ...pocketSheets(side, p)],
    glue: outerGlue(side, p, s, reach, around),
    backstitches: { start: 2, end: 2 },
  }
}

/**
 * How far down the straight side the outer seam begins: a margin below the top and clear of rounded corners, and up to a
 * pitch lower so that pocket tops fall between two holes.
 */
function outerStart(p: BifoldParams, s: BifoldSizes): number {
  const straight = topRadius(p)
  const least = Math.max(s.margin.value, straight)
  const [top, pitch] = [firstTop(p, s), s.pitch.value]
  const stitches = Math.floor((top - least) / pitch - 0.5)
  return (p.pockets === 0 ? least : top - (stitches + 0.5) * pitch) - straight
}

/** Glue stops where the sewing does: the covers have to slide on each other round the fold. */
function outerGlue(
  side: Side,
  p: BifoldParams,
  s: BifoldSizes,
  reach: number,
  around: (edges: string[]) => string[],
): Glue[] {
  const limit = s.margin.value
  const chain = around(side === 'right' ? ['right', 'foot-right', 'foot'] : ['foot', 'foot-left', 'left'])
  const cover = (sheet: string, width: number): Glue => {
    const free = Math.max(0, width - p.corner - reach)
    return {
      sheet: `${sheet}-${side}`,
      chain,
      limit,
      ...(side === 'right' ? { endFree: free } : { startFree: free }),
    }
  }
  const pockets = pocketSheets(side, p).map((sheet, i) => ({
    sheet,
    limit,
    chain: i === p.pockets - 1 ? around(['foot', 'foot-left', 'left']) : ['left-arm'],
  }))
  return [cover('outside', s.outsideWidth.value), cover('inside', s.insideWidth.value), ...pockets]
}

import { type Move, type Point, moveThen, point, polyline, shift, turn } from '../../geometry/index.js'
import { type Join, type Panel, type PanelSheet, clipMoved } from '../../master/index.js'
import { foldedInTwo } from '../parts/loop.js'
import { lineSeam } from '../parts/seams.js'
import { panelSheet } from '../parts/sheets.js'
import type { SheathParams } from './params.js'
import { LOOP_END, LOOP_UNDER, type SheathSizes } from './sizes.js'

/** Of the loop's end the row leaves this much, mm. */
const ROW_SHORT = 5

/** What holds a sheath to the belt: sheets behind the back and before the front, and its seams. */
interface BeltLoop {
  readonly behind: readonly PanelSheet[]
  readonly before: readonly PanelSheet[]
  readonly joins: readonly Join[]
}
const NOTHING: BeltLoop = { behind: [], before: [], joins: [] }

interface Asked {
  readonly p: SheathParams
  readonly s: SheathSizes
  readonly wide: number
  /** Turns what hangs upright by the cant about a place of the sheath. */
  readonly canted: (about: Point) => Move
}

/** The belt loop as it lies in the laid-out work. */
export function loopOf(p: SheathParams, s: SheathSizes, panels: readonly Panel[]): BeltLoop {
  const wide = Math.min(p.loopWide, s.mouth.value - 4)
  const canted = ({ x, y }: Point): Move =>
    moveThen(moveThen(shift(-x, -y), turn((p.cant * Math.PI) / 180)), shift(x, y))
  const asked: Asked = { p, s, wide, canted }
  if (p.loop === 'fold') return { ...NOTHING, joins: foldedDown(asked) }
  if (!panels.some((q) => q.id === 'loop')) return NOTHING
  return p.loop === 'wrap' ? overMouth(asked) : onBack(asked)
}

const END = { upper: 'upper end of the belt loop', lower: 'lower end of the belt loop' } as const

/** Two rows along the pull, none across it, where it would tear. */
const rows = (
  id: string,
  name: string,
  { p, wide }: Asked,
  sheet: string,
  ys: readonly [number, number],
  through: readonly string[],
): Join[] =>
  [p.margin, wide - p.margin].map((x, k) =>
    lineSeam({
      id: `${id}-${k + 1}`,
      name: `${name}, row ${k + 1}`,
      sheet,
      points: [point(x, ys[0]), point(x, ys[1])],
      through,
      back: [1, 1],
      free: true,
    }),
  )

/** A loop on the back, its ends sewn down above and below the belt. */
function onBack(asked: Asked): BeltLoop {
  const { s, wide, canted } = asked
  const long = s.loop.value
  const middle = point(s.mouth.value / 2, LOOP_UNDER + long / 2)
  const move = moveThen(shift(middle.x - wide / 2, LOOP_UNDER), canted(middle))
  return {
    ...NOTHING,
    behind: [panelSheet('loop', 'belt loop', 'loop', move, false)],
    joins: [
      ...rows('loop-1', END.upper, asked, 'loop', [3, LOOP_END - 2], ['loop', 'back']),
      ...rows('loop-2', END.lower, asked, 'loop', [long - 3, long - LOOP_END + 2], ['loop', 'back']),
    ],
  }
}

/** A loop that goes over the mouth: one end on the front, the other on the back, each sewn before the sides are. */
function overMouth(asked: Asked): BeltLoop {
  const { p, s, wide, canted } = asked
  const long = s.loop.value
  const mouth = point(s.mouth.value / 2, 0)
  const there = moveThen(shift(mouth.x - wide / 2, -p.rise), canted(mouth))
  const [under, over] = foldedInTwo(long, p.rise + LOOP_END)
  const sheet = ({ suffix, move, clips }: typeof under): PanelSheet =>
    panelSheet(
      `loop${suffix}`,
      'belt loop',
      'loop',
      moveThen(move, there),
      suffix === '',
      clips.map((c) => clipMoved(c, there)),
    )
  return {
    behind: [sheet(under)],
    before: [sheet(over)],
    joins: [
      ...rows(
        'loop-1',
        'end of the belt loop on the front',
        asked,
        'loop',
        [long - LOOP_END + 2, long - 3],
        ['loop', 'front'],
      ),
      ...rows(
        'loop-2',
        'end of the belt loop on the back',
        asked,
        'loop-under',
        [LOOP_END - 2, 3],
        ['loop-under', 'back'],
      ),
    ],
  }
}

/** The strap above the mouth is folded down behind and its end sewn to the back under the mouth. */
function foldedDown({ p, s }: Asked): Join[] {
  const [middle, half] = [s.mouth.value / 2, Math.min(p.loopWide, s.mouth.value - 2) / 2]
  const up = -s.loop.value
  // Whole stitches, since both ends of the run are given by where the strap lies.
  const long = s.pitch.value * Math.max(1, Math.floor((LOOP_END - ROW_SHORT) / s.pitch.value))
  return [-1, 1].map((way, k): Join => {
    const x = middle + way * (half - p.margin)
    return {
      ...lineSeam({
        id: `loop-${k + 1}`,
        name: `end of the folded loop, row ${k + 1}`,
        sheet: 'back',
        points: [point(x, up + 3), point(x, up + 3 + long)],
        through: ['back'],
        back: [1, 1],
      }),
      mate: {
        type: 'line',
        sheet: 'back',
        line: polyline([point(x, LOOP_END - 3), point(x, LOOP_END - 3 - long)]),
      },
    }
  })
}

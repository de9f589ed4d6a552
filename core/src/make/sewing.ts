import type { Habits } from '../sewing/index.js'
import { type Run, strikesOf } from '../stitch/index.js'
import type { Machine } from '../stores/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'

/** The maker's own speed: seconds a blow of an iron, a stitch by hand and a corner; minutes to thread up and begin. */
export type Speed = Pick<Habits, 'blowSeconds' | 'stitchSeconds' | 'cornerSeconds' | 'runMinutes'>

/** Blows that punch a run by hand: each edge for itself where they are holed apart. None by machine. */
export const punchBlows = (run: Run): number =>
  run.ways.holes === 'machine' ? 0 : strikesOf(run).reduce((sum, s) => sum + s.blows, 0) * (run.other ? 2 : 1)

/** Corners a hand goes round between the ends of a run. */
export const cornersOf = (run: Run): number =>
  run.ways.holes === 'machine' ? 0 : Math.max(0, run.sides.length - (run.round ? 0 : 1))

/** Minutes to punch and sew one run; docs/formulas.md §17. A machine punches nothing. */
export function sewingMinutes(run: Run, speed: Speed, machine: Machine, reckon: Reckon): Reckoned {
  const about = {
    key: `time.sew.${run.join.id}`,
    label: 'minutes to sew it',
    source: '§17',
    quantity: 'count',
    measured: true,
  } as const
  const common = {
    stitches: given('stitches', run.stitches, 'count'),
    // What goes on with another run's thread needs no threading up.
    begin: given('to begin', run.join.onward ? 0 : speed.runMinutes, 'share'),
    times: given('copies', run.times, 'count'),
  }
  // What is cut several times is sewn as often.
  const many = run.times > 1 ? ['{times} × (', ')'] : ['', '']
  if (run.ways.holes === 'machine')
    return reckon(
      { ...about, formula: `${many[0]}{stitches} stitches / {speed} a minute + {begin} to begin${many[1]}` },
      { ...common, speed: given('speed', machine.speed, 'count') },
    )
  return reckon(
    {
      ...about,
      formula: `${many[0]}({blows} blows × {blow} s + {stitches} stitches × {stitch} s + {corners} corners × {corner} s) / 60 + {begin} to begin${many[1]}`,
    },
    {
      ...common,
      blows: given('blows', punchBlows(run), 'count'),
      blow: given('blow', speed.blowSeconds, 'share'),
      stitch: given('stitch', speed.stitchSeconds, 'share'),
      corners: given('corners', cornersOf(run), 'count'),
      corner: given('corner', speed.cornerSeconds, 'share'),
    },
  )
}

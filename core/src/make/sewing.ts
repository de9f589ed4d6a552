import type { Run } from '../stitch/index.js'
import type { Machine } from '../stores/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'

/** The maker's own speed: seconds a hole and a stitch by hand, minutes to thread up and begin. */
export interface Speed {
  readonly holeSeconds: number
  readonly stitchSeconds: number
  readonly runMinutes: number
}

/** Holes that are punched by hand: those of the other side too, where it is holed apart. */
export const punchedHoles = (run: Run): number =>
  run.ways.holes === 'machine' ? 0 : run.holes.length + (run.other?.holes.length ?? 0)

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
    begin: given('to begin', speed.runMinutes, 'share'),
  }
  if (run.ways.holes === 'machine')
    return reckon(
      { ...about, formula: '{stitches} stitches / {speed} a minute + {begin} to begin' },
      { ...common, speed: given('speed', machine.speed, 'count') },
      (v) => v.stitches / v.speed + v.begin,
    )
  const punched = punchedHoles(run)
  return reckon(
    {
      ...about,
      formula: '({holes} holes × {punch} s + {stitches} stitches × {stitch} s) / 60 + {begin} to begin',
    },
    {
      ...common,
      holes: given('holes', punched, 'count'),
      punch: given('punch', speed.holeSeconds, 'share'),
      stitch: given('stitch', speed.stitchSeconds, 'share'),
    },
    (v) => (v.holes * v.punch + v.stitches * v.stitch) / 60 + v.begin,
  )
}

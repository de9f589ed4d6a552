import { BOBBIN } from '../formulas/index.js'
import { type Machine, type Thread, diameterOf } from '../stores/index.js'
import { type Reckon, type Reckoned, addedUp, given } from '../working/index.js'
import type { Run } from './run.js'
import { required } from '../lists/index.js'

/** Share of a bobbin's room that thread fills when it is wound evenly (J); docs/formulas.md §19. */
const FILL = 0.7

/** Where a bobbin runs out while a run is sewn. */
export interface RunsOut {
  readonly run: string
  /** The stitch it stops at. */
  readonly stitch: number
}

/** Thread for the whole work, mm unless said. */
export interface Supplies {
  readonly thread: Reckoned
  /** Share of a full spool. */
  readonly spools: Reckoned
  readonly bobbins:
    | {
        readonly thread: Reckoned
        readonly holds: Reckoned
        readonly count: number
        readonly runsOut: readonly RunsOut[]
      }
    | undefined
}

/** What all runs take together, with how far spools and bobbins go. Runs are sewn in the order given. */
export function suppliesOf(runs: readonly Run[], thread: Thread, machine: Machine, reckon: Reckon): Supplies {
  const all = addedUp(runs.map((run) => ({ times: run.times, term: run.thread })))
  const total = reckon(
    {
      key: 'thread.all',
      label: 'thread altogether',
      quantity: 'long',
      source: '§6',
      measured: true,
      formula: all.formula,
    },
    all.inputs,
  )
  const spools = reckon(
    {
      key: 'thread.spools',
      label: 'spools',
      formula: '{all} / {spool} on a full spool',
      source: '§19',
      quantity: 'share',
      measured: true,
    },
    { all: total, spool: given('spool', thread.spool * 1000) },
  )
  return { thread: total, spools, bobbins: bobbinsOf(runs, thread, machine, reckon) }
}

function bobbinsOf(
  runs: readonly Run[],
  thread: Thread,
  machine: Machine,
  reckon: Reckon,
): Supplies['bobbins'] {
  const locked = runs.flatMap((run) =>
    run.locked
      ? Array.from({ length: run.times }, () => ({
          run,
          bobbin: required(run.locked, 'locked').bobbin.value,
        }))
      : [],
  )
  if (locked.length === 0) return undefined
  const holds = reckon(
    {
      key: 'thread.bobbin',
      label: 'thread on a full bobbin',
      quantity: 'long',
      formula: BOBBIN,
      source: '§19',
    },
    {
      across: given('across', machine.bobbinAcross),
      core: given('core', machine.bobbinCore),
      wide: given('wide', machine.bobbinWide),
      fill: given('filled', FILL, 'share'),
      thread: given('thread', diameterOf(thread), 'thickness'),
    },
  )
  const bobbins = addedUp(
    runs.flatMap((run) => (run.locked ? [{ times: run.times, term: run.locked.bobbin }] : [])),
  )
  const used = reckon(
    {
      key: 'thread.bobbins',
      label: 'bobbin thread altogether',
      quantity: 'long',
      source: '§6',
      measured: true,
      formula: bobbins.formula,
    },
    bobbins.inputs,
  )
  return {
    thread: used,
    holds,
    count: Math.ceil(used.value / holds.value - 1e-9),
    runsOut: runningOut(locked, holds.value),
  }
}

function runningOut(locked: readonly { run: Run; bobbin: number }[], holds: number): RunsOut[] {
  const found: RunsOut[] = []
  let used = 0
  for (const { run, bobbin } of locked) {
    for (let n = Math.floor(used / holds) + 1; n * holds < used + bobbin - 1e-9; n += 1)
      found.push({ run: run.join.id, stitch: Math.floor(((n * holds - used) / bobbin) * run.stitches) })
    used += bobbin
  }
  return found
}

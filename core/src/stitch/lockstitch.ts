import { meanStack } from '../formulas/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import type { ThreadedRun } from './thread.js'

/** Where the two threads of a well set lockstitch meet: in the middle of the leather. */
const MIDDLE = 0.5

/** Thread of a run sewn by machine, needle and bobbin apart and together, mm; docs/formulas.md §6 [6.05]. */
export function lockedThread(
  run: ThreadedRun,
  reckon: Reckon,
): { readonly thread: Reckoned; readonly locked: { readonly needle: Reckoned; readonly bobbin: Reckoned } } {
  const one = (which: 'needle' | 'bobbin'): Reckoned =>
    reckon(
      {
        key: `thread.${run.id}.${which}`,
        label: `${which} thread`,
        quantity: 'long',
        formula: `(({stitches} + {back} back-tacks) × ({pitch} + 2 × {lock} × {mean})${run.onward ? '' : ' + 2 × {tail} ends'}) × {factor}`,
        source: '§6',
      },
      {
        stitches: given('stitches', run.stitches, 'count'),
        back: given('back-tacks', run.backstitches, 'count'),
        pitch: given('stitch', run.pitch, 'thickness'),
        lock: given('lock', MIDDLE, 'share'),
        mean: given('mean thickness', meanStack(run.stacks), 'thickness'),
        tail: given('end', run.tail),
        factor: given('factor', (1 + run.waste) * run.factor, 'share'),
      },
    )
  const [needle, bobbin] = [one('needle'), one('bobbin')]
  const thread = reckon(
    {
      key: `thread.${run.id}`,
      label: `thread for the ${run.name}`,
      quantity: 'long',
      formula: '{needle} on the needle + {bobbin} on the bobbin',
      source: '§6',
    },
    { needle, bobbin },
  )
  return { thread, locked: { needle, bobbin } }
}

import { point } from '../../geometry/index.js'
import type { Concern, Fit } from '../../master/index.js'
import type { Reckon } from '../../working/index.js'
import { counted, notesMaybe } from '../parts/basics.js'
import { pileConcerns, pileFits } from '../pockets/index.js'
import { hasBacking } from './panels.js'
import type { BifoldParams } from './params.js'
import type { BifoldSizes } from './sizes.js'
import { aboveSeam, betweenSeams, needed } from '../parts/fits.js'

/** Where several leaves go round the fold the outside wants this share of the difference; less than the other is little. */
const FOLD_SHARE = { wanted: 0.6, little: 0.4 } as const
/** Two fingers go into a mouth of this width, mm. */
const TWO_FINGERS = 50

/** What it carries, as a maker would count it. */
export function bifoldCarries(p: BifoldParams): string[] {
  const piles = p.coins === 'right' ? 1 : 2
  return [
    ...counted(piles * p.pockets * p.cardsPerPocket, 'card'),
    ...counted(p.currency === 'none' ? 0 : p.notes, 'note'),
    ...(p.coins === 'right' ? ['coins'] : []),
    ...(hasBacking(p) ? ['something hidden behind the cards'] : []),
  ]
}

/** What has to go in, against what there is: cards between the stitches and under the edge, notes in their compartment. */
export const bifoldFits = (p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] => [
  ...pileFits(s.stack, 'inside', s.insideHeight),
  ...noteFits(p, s, reckon),
]

/** A wallet whose outside is lined or divided needs the fold's difference on every leaf. */
export function bifoldConcerns(p: BifoldParams, s: BifoldSizes): Concern[] {
  const between = p.lining === 'lined' || p.divider !== 'none'
  const tight: Concern = {
    id: 'leaves-in-the-fold',
    rank: 'look',
    panelId: 'outside',
    at: point(s.outsideWidth.value / 2, s.outsideHeight.value / 2),
    what: 'Several leaves go round the fold, and the outside is given little of what they need',
    why: 'Lining and divider wrinkle in the fold when it is closed. Give the outside more of the difference.',
    remedy: {
      field: 'foldShare',
      value: FOLD_SHARE.wanted,
      said: 'six tenths of the difference to the outside',
    },
  }
  return [...pileConcerns(s.stack), ...(between && p.foldShare < FOLD_SHARE.little ? [tight] : [])]
}

function noteFits(p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] {
  const note = notesMaybe(p)
  if (!note) return []
  return [
    {
      id: 'note-long',
      rank: 'stop',
      why: 'the note has to be folded to go in',
      what: 'a note laid open',
      panelId: 'outside',
      keys: ['half', 'inside.width'],
      at: point(s.outsideWidth.value / 4, s.outsideHeight.value / 2),
      needs: needed(reckon, 'fit.noteLong', 'note', note.long, '§2'),
      has: betweenSeams(reckon, 'fit.noteWidth', s.insideWidth, s, '§2'),
    },
    {
      id: 'note-deep',
      rank: 'stop',
      why: 'the note stands out over the top edge',
      what: 'a note below the top edge',
      panelId: 'outside',
      keys: ['inside.height', 'outside.height'],
      at: point(s.outsideWidth.value / 2, 4),
      needs: needed(reckon, 'fit.noteDeep', 'note', note.short, '§2'),
      has: aboveSeam(reckon, 'fit.noteHeight', s.outsideHeight, s, '§2'),
    },
    ...(p.coins === 'right'
      ? [
          {
            id: 'coin-hand',
            rank: 'look' as const,
            why: 'two fingers do not go in to fetch a coin',
            what: 'two fingers in the coin pocket',
            panelId: 'coin-pocket',
            keys: ['pocket.width'],
            at: point(s.pocketWidth.value / 2, 4),
            needs: needed(reckon, 'fit.fingers', 'for two fingers', TWO_FINGERS, '§9'),
            has: betweenSeams(reckon, 'fit.coinMouth', s.pocketWidth, s, '§9'),
          },
        ]
      : []),
  ]
}

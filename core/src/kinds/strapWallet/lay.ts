import { nth, tupleOf } from '../../lists/index.js'
import { flipAboutLevel, point, shift } from '../../geometry/index.js'
import { type Layup, type Sheet, clipAt } from '../../master/index.js'
import { CARD } from '../../stores/index.js'
import { notesMaybe } from '../parts/basics.js'
import { type FoldedPanel, stripBend, stripSheet } from '../parts/folding.js'
import { rectangle } from '../parts/shape.js'
import { cardOutline, contentSheet, panelSheet, pileTurnedOver } from '../parts/sheets.js'
import { strips, tabSize, tabs } from './panels.js'
import type { StrapWalletParams } from './params.js'
import { BENCH, type StrapWalletSizes } from './sizes.js'

function contents(p: StrapWalletParams, s: StrapWalletSizes): { notes: Sheet[]; cards: Sheet[] } {
  const [, back] = strips(p, s)
  const foot = back.to
  const note = notesMaybe(p)
  const left = s.width.value / 2
  return {
    notes: note
      ? [
          contentSheet(
            'notes',
            `${note.count} notes`,
            rectangle(note.long, note.short),
            note.thickness,
            shift(left - note.long / 2, foot - note.short),
          ),
        ]
      : [],
    cards:
      p.cards > 0
        ? [
            contentSheet(
              'cards',
              p.cards === 1 ? 'card' : `${p.cards} cards`,
              cardOutline(),
              p.cards * CARD.thickness,
              shift(left - CARD.width / 2, foot - CARD.height - 2),
            ),
          ]
        : [],
  }
}

/** The strap where its end is sewn to the tab of the back, its tip upwards. */
function strapOnTab(p: StrapWalletParams, s: StrapWalletSizes): Sheet {
  const y = nth(tabs(p, s), 1).y
  return panelSheet(
    'strap',
    'strap',
    'strap',
    shift((s.width.value - p.strap) / 2, y + BENCH.sewnEnd / 2 - s.strapLength.value),
    false,
  )
}

/** As it is sewn, the front folded up and the flap open; and closed, the strap round it. */
export function strapWalletLayups(p: StrapWalletParams, s: StrapWalletSizes): Layup[] {
  const [flap, back, front] = strips(p, s)
  const upper = { name: 'back and flap', from: 0, to: back.to }
  const asSewn: FoldedPanel = { panelId: 'body', name: 'body', strips: [upper, front], stays: 0 }
  const shut: FoldedPanel = { panelId: 'body', name: 'body', strips: strips(p, s), stays: 1 }
  const { w: tw, h: th } = tabSize(p, s)
  const x = (s.width.value - tw) / 2
  const [onFlap, onBack] = tupleOf(tabs(p, s), ({ id, name, panelId, y }) =>
    panelSheet(id, name, panelId, shift(x, y - th / 2), false),
  )
  const { notes, cards } = contents(p, s)
  const inner =
    p.inner === 'none'
      ? []
      : [
          panelSheet(
            'inner',
            p.inner === 'laid' ? 'second pocket' : 'inner pocket',
            'inner',
            shift((s.width.value - s.innerWide.value) / 2, back.from + BENCH.innerLower),
            true,
          ),
        ]
  const full = [...notes, ...inner, ...cards]
  // The tab goes with the flap: turned over about the fold of the flap.
  const turned = pileTurnedOver([onFlap], flipAboutLevel((flap.to + back.from) / 2))
  const strapX = (s.width.value - p.strap) / 2
  const strapAt = (id: string, up: boolean): Sheet =>
    panelSheet(id, 'strap', 'strap', shift(strapX, back.from - p.strap), up, [
      clipAt(point(0, back.from), point(0, 1)),
      clipAt(point(0, back.to), point(0, -1)),
    ])
  const sewnOn = p.strapFix === 'sewn' ? [strapOnTab(p, s)] : []
  return [
    {
      id: 'open',
      name: 'front folded up, flap open',
      carrier: 'body',
      sheets: [
        ...sewnOn,
        onFlap,
        onBack,
        stripSheet(asSewn, 0, false),
        ...full,
        stripSheet(asSewn, 1, false),
      ],
    },
    {
      id: 'closed',
      name: 'closed and bound',
      carrier: 'body',
      sheets: [
        strapAt('strap-back', false),
        onBack,
        stripSheet(shut, 1, false),
        ...full,
        stripSheet(shut, 2, false),
        stripSheet(shut, 0, false),
        ...turned,
        strapAt('strap-front', true),
      ],
      bends: [stripBend(shut, 0), stripBend(shut, 1)],
    },
  ]
}

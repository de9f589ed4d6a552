import { firstOf } from '../../lists/index.js'
import { flipAboutLevel, point, shift } from '../../geometry/index.js'
import { type Glue, type Join, type Layup, type Panel, type Sheet, clipAt } from '../../master/index.js'
import { CARD } from '../../stores/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { notesMaybe } from '../parts/basics.js'
import { type FoldedPanel, foldsOf, stripBend, stripSheet, stripsOf } from '../parts/folding.js'
import { lineSeam } from '../parts/seams.js'
import { allRound, finishedFate, plainPanel, rectangle, rectangleShape, rimBands } from '../parts/shape.js'
import { cardOutline, contentSheet, panelSheet, pileTurnedOver } from '../parts/sheets.js'
import type { StrapWalletParams } from './params.js'
import { BENCH, type StrapWalletSizes } from './sizes.js'

const tabSize = (p: StrapWalletParams, s: StrapWalletSizes): { w: number; h: number } => {
  const rim = s.margin.value + s.hole.value + BENCH.tabRim
  return { w: p.strap + 2 * BENCH.slotEase + 2 * rim, h: BENCH.tabSlots + 2 * rim }
}

/** The body from the flap down: flap, back and front with the bends between them. */
const strips = (p: StrapWalletParams, s: StrapWalletSizes) =>
  stripsOf(
    ['flap', 'back', 'front'],
    [p.flap, s.back.value, s.front.value],
    [s.flapBend.value, s.footBend.value],
  )

export function strapWalletPanels(p: StrapWalletParams, s: StrapWalletSizes, materials: Materials): Panel[] {
  const [w, h] = [s.width.value, s.length.value]
  const [flap, , front] = strips(p, s)
  const sides = ['left', 'right']
  const t = (role: string): number => leatherOf(materials, role).thickness
  const trimmed = (e: string): boolean => sides.includes(e)
  const body = rectangleShape(w, h, allRound(p.corner), finishedFate(p.finish, p.trim, trimmed))
  const inner = rectangleShape(
    w,
    s.back.value - BENCH.innerLower,
    {},
    finishedFate(p.finish, p.trim, trimmed),
  )
  const { w: tw, h: th } = tabSize(p, s)
  const slot = (y: number, id: string) =>
    ({
      type: 'slot',
      id,
      at: point(tw / 2, y),
      angle: 0,
      length: p.strap + 2 * BENCH.slotEase,
      punch: BENCH.slotWide,
    }) as const
  const cut = finishedFate(p.finish, 0, () => false)
  return [
    plainPanel({
      id: 'body',
      name: 'Body',
      role: 'outside',
      ...body,
      folds: foldsOf({ strips: strips(p, s) }, 0, w, 'valley'),
      bands: rimBands('body.rim', 'sides of the body', body, sides, t('outside')),
      notes: ['cut in one piece'],
      labelAt: point(w / 2, (flap!.to + front!.from) / 2),
    }),
    ...(p.inner === 'pocket'
      ? [
          plainPanel({
            id: 'inner',
            name: 'Inner pocket',
            role: 'inside',
            ...inner,
            bands: rimBands('inner.rim', 'sides of the inner pocket', inner, sides, t('inside')),
          }),
        ]
      : []),
    plainPanel({
      id: 'tab',
      name: 'Slot tab',
      role: 'outside',
      count: 2,
      ...rectangleShape(tw, th, allRound(Math.min(p.corner, th / 4)), cut),
      marks: [slot(th / 2 - BENCH.tabSlots / 2, 'slot-1'), slot(th / 2 + BENCH.tabSlots / 2, 'slot-2')],
      notes: ['finish all round, then sew on before the sides are closed'],
    }),
    plainPanel({
      id: 'strap',
      name: 'Binding strap',
      role: 'strap',
      ...rectangleShape(
        p.strap,
        s.strapLength.value,
        { topLeft: p.strap / 2 - 0.1, topRight: p.strap / 2 - 0.1 },
        cut,
      ),
      grain: Math.PI / 2,
      pull: Math.PI / 2,
      notes: ['from the straightest edge of the hide'],
    }),
  ]
}

/** Where the tabs lie: in the middle of the flap and of the back, on the grain side. */
const tabs = (p: StrapWalletParams, s: StrapWalletSizes) => {
  const [flap, back] = strips(p, s)
  return [
    { id: 'tab-flap', name: 'tab of the flap', y: (flap!.from + flap!.to) / 2 },
    { id: 'tab-back', name: 'tab of the back', y: (back!.from + back!.to) / 2 },
  ]
}

function contents(p: StrapWalletParams, s: StrapWalletSizes): { notes: Sheet[]; cards: Sheet[] } {
  const [, back] = strips(p, s)
  const foot = back!.to
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

/** As it is sewn, the front folded up and the flap open; and closed, the strap round it. */
export function strapWalletLayups(p: StrapWalletParams, s: StrapWalletSizes): Layup[] {
  const [flap, back, front] = strips(p, s)
  const upper = { name: 'back and flap', from: 0, to: back!.to }
  const asSewn: FoldedPanel = { panelId: 'body', name: 'body', strips: [upper, front!], stays: 0 }
  const shut: FoldedPanel = { panelId: 'body', name: 'body', strips: strips(p, s), stays: 1 }
  const { w: tw, h: th } = tabSize(p, s)
  const x = (s.width.value - tw) / 2
  const [onFlap, onBack] = tabs(p, s).map(({ id, name, y }) =>
    panelSheet(id, name, 'tab', shift(x, y - th / 2), false),
  )
  const { notes, cards } = contents(p, s)
  const inner =
    p.inner === 'pocket'
      ? [panelSheet('inner', 'inner pocket', 'inner', shift(0, back!.from + BENCH.innerLower), true)]
      : []
  const full = [...notes, ...inner, ...cards]
  // The tab goes with the flap: turned over about the fold of the flap.
  const turned = pileTurnedOver([onFlap!], flipAboutLevel((flap!.to + back!.from) / 2))
  const strapX = (s.width.value - p.strap) / 2
  const strapAt = (id: string, up: boolean): Sheet =>
    panelSheet(id, 'strap', 'strap', shift(strapX, back!.from - p.strap), up, [
      clipAt(point(0, back!.from), point(0, 1)),
      clipAt(point(0, back!.to), point(0, -1)),
    ])
  return [
    {
      id: 'open',
      name: 'front folded up, flap open',
      carrier: 'body',
      sheets: [onFlap!, onBack!, stripSheet(asSewn, 0, false), ...full, stripSheet(asSewn, 1, false)],
    },
    {
      id: 'closed',
      name: 'closed and bound',
      carrier: 'body',
      sheets: [
        strapAt('strap-back', false),
        onBack!,
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

/** Tabs first, while the body lies flat; then both sides from the foot to the top of the front. */
export function strapWalletJoins(p: StrapWalletParams, s: StrapWalletSizes): Join[] {
  const [, back, front] = strips(p, s)
  const { margin } = s
  const { w: tw, h: th } = tabSize(p, s)
  const inset = margin.value
  const frame = [
    point(inset, inset),
    point(tw - inset, inset),
    point(tw - inset, th - inset),
    point(inset, th - inset),
  ]
  const onTabs = tabs(p, s).map(({ id, name }) =>
    lineSeam({
      id,
      name,
      sheet: id,
      through: [id, 'body.1'],
      points: [...frame, firstOf(frame)],
      glue: [
        { sheet: id, chain: ['top'], limit: margin.value },
        { sheet: id, chain: ['foot'], limit: margin.value },
      ],
    }),
  )
  const inner = p.inner === 'pocket' ? ['inner'] : []
  const side = (which: 'left' | 'right'): Join => {
    const x = which === 'left' ? margin.value : s.width.value - margin.value
    return lineSeam({
      id: `side-${which}`,
      name: `${which} side`,
      sheet: 'body.1',
      // On the back, from just above the fold at the foot up to just under the end of the front.
      points: [point(x, back!.to - margin.value), point(x, back!.to - s.front.value + margin.value)],
      through: ['body.1', ...inner, 'body.2'],
      twin: which === 'left' ? 'side-right' : 'side-left',
      pairName: 'both sides',
      glue: [
        ...glueBetween(which, p, s, 'body.1', back!.to - s.front.value, back!.to),
        ...glueBetween(which, p, s, 'body.2', front!.from, front!.to),
        ...inner.map((sheet) => ({ sheet, chain: [which], limit: margin.value })),
      ],
    })
  }
  return [...onTabs, side('left'), side('right')]
}

/** Glue along a side of the body between two heights of it. */
function glueBetween(
  which: 'left' | 'right',
  p: StrapWalletParams,
  s: StrapWalletSizes,
  sheet: string,
  from: number,
  to: number,
): Glue[] {
  const above = Math.max(0, from - p.corner)
  const below = Math.max(0, s.length.value - to - p.corner)
  // Outlines run clockwise: down the right side, up the left one.
  const free = which === 'right' ? { startFree: above, endFree: below } : { startFree: below, endFree: above }
  return [{ sheet, chain: [which], limit: s.margin.value, ...free }]
}

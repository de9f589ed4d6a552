import { point } from '../../geometry/index.js'
import type { Panel } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { foldsOf, stripsOf } from '../parts/folding.js'
import { allRound, finishedFate, plainPanel, rectangleShape, rimBands, mostRadius } from '../parts/shape.js'
import type { StrapWalletParams } from './params.js'
import { BENCH, type StrapWalletSizes } from './sizes.js'

/** A tab with room for its slots and its seam, mm. */
export const tabSize = (p: StrapWalletParams, s: StrapWalletSizes): { w: number; h: number } => {
  const rim = s.margin.value + s.hole.value + BENCH.tabRim
  return { w: p.strap + 2 * BENCH.slotEase + 2 * rim, h: BENCH.tabSlots + 2 * rim }
}

/** The body from the flap down: flap, back and front with the bends between them. */
export const strips = (p: StrapWalletParams, s: StrapWalletSizes) =>
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
    s.innerWide.value,
    s.back.value - BENCH.innerLower - (p.inner === 'laid' ? BENCH.laidClear : 0),
    {},
    finishedFate(p.finish, p.inner === 'laid' ? 0 : p.trim, trimmed),
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
      folds: foldsOf({ strips: strips(p, s) }, 0, w),
      bands: rimBands('body.rim', 'sides of the body', body, sides, t('outside')),
      notes: ['cut in one piece'],
      labelAt: point(w / 2, (flap.to + front.from) / 2),
    }),
    ...(p.inner !== 'none'
      ? [
          plainPanel({
            id: 'inner',
            name: p.inner === 'laid' ? 'Second pocket' : 'Inner pocket',
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
      count: p.strapFix === 'sewn' ? 1 : 2,
      ...rectangleShape(tw, th, allRound(Math.min(p.corner, th / 4)), cut),
      marks: [slot(th / 2 - BENCH.tabSlots / 2, 'slot-1'), slot(th / 2 + BENCH.tabSlots / 2, 'slot-2')],
      notes: ['finish all round, then sew on before the sides are closed'],
    }),
    ...(p.strapFix === 'sewn'
      ? [
          plainPanel({
            id: 'back-tab',
            name: 'Tab of the back',
            role: 'outside',
            ...rectangleShape(tw, th, allRound(Math.min(p.corner, th / 4)), cut),
            notes: ['finish all round and sew on; then the strap to it'],
          }),
        ]
      : []),
    plainPanel({
      id: 'strap',
      name: 'Binding strap',
      role: 'strap',
      ...rectangleShape(
        p.strap,
        s.strapLength.value,
        { topLeft: mostRadius(p.strap), topRight: mostRadius(p.strap) },
        cut,
      ),
      grain: Math.PI / 2,
      pull: Math.PI / 2,
      notes: [
        'from the straightest edge of the hide',
        ...(p.strapLong > 0 ? ['trim its tip on the closed and filled work'] : []),
      ],
    }),
  ]
}

/** Where the tabs lie, on the grain side: on the flap as it was chosen, in the middle of the back. */
export const tabs = (p: StrapWalletParams, s: StrapWalletSizes) => {
  const [flap, back] = strips(p, s)
  const { h } = tabSize(p, s)
  // It stays on the flap, however short that is.
  const most = Math.max(h / 2, p.flap - h / 2)
  const onFlap =
    p.tabPlace === 'edge' ? Math.min(flap.from + p.tabFrom + h / 2, most) : (flap.from + flap.to) / 2
  return [
    { id: 'tab-flap', name: 'tab of the flap', panelId: 'tab', y: onFlap },
    {
      id: 'tab-back',
      name: 'tab of the back',
      panelId: p.strapFix === 'sewn' ? 'back-tab' : 'tab',
      y: (back.from + back.to) / 2,
    },
  ] as const
}

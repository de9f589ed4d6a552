import { pointMoved } from '../geometry/index.js'
import type { Fitting, Layup, Panel, PanelSheet } from '../master/index.js'
import { type Copy, type PutOn, isOn, liesOn } from './lay.js'
import type { Asked, Holding } from './sort.js'

/** The hardware a part brings, at each of its places in the laid-out work. */
export function fittingsOf(
  { through, suffix = '', half, said, before, under, length }: Holding,
  { id, name, host, spots }: Asked,
  copies: readonly Copy[],
  put: PutOn,
  open: Layup | undefined,
  panels: readonly Panel[],
): Fitting[] {
  if (!open) return []
  const sheets = open.sheets.filter((s): s is PanelSheet => s.type === 'panel')
  const main = copies.filter((c) => c.main)
  /** One sheet may stand for several pieces that are alike. */
  const each = Math.max(1, Math.round((host.count * spots.length) / Math.max(1, main.length)))
  return main.flatMap((copy, i) => {
    const base = sheets.find((s) => s.id === copy.host)
    if (!base) return []
    const place = pointMoved(copy.spot.at, base.move)
    const there = sheets.filter(
      (s) =>
        s.panelId !== under &&
        (s === base || !s.loose) &&
        (s === base || through === 'all' || isOn(put, s.id, copy.host)) &&
        liesOn(s, place, panels),
    )
    return [
      {
        id: copy.id,
        name: [
          main.length > 1 ? `${name.toLowerCase()} ${i + 1}` : name.toLowerCase(),
          ...(said ? [said] : []),
        ].join(', '),
        role: `${id}${suffix}`,
        sheet: copy.host,
        at: copy.spot.at,
        up: Math.atan2(-copy.spot.down.y, -copy.spot.down.x),
        through: through === 'none' ? [] : there.map((s) => ({ sheet: s.id, times: 1 })),
        count: each,
        ...(through === 'none' ? { held: true } : {}),
        ...(half ? { half } : {}),
        ...(before !== undefined ? { before: `${copy.id}-seam${before}` } : {}),
        ...(length ? { length } : {}),
      },
    ]
  })
}

import { type Point, moveBack, moveThen, placeInside, pointDistance, pointMoved } from '../geometry/index.js'
import {
  type Clip,
  type Layup,
  type Panel,
  type PanelSheet,
  type Sheet,
  clipMoved,
  clipsHave,
  sheetsOf,
} from '../master/index.js'
import { panelSheet } from '../kinds/index.js'
import type { Spot } from './place.js'
import type { Lying } from './sort.js'
import { type Worksite, isOnOnePart } from './worksite.js'

/** Whether a place of the laid-out work is on this sheet. */
export function liesOn(sheet: Sheet, place: Point, panels: readonly Panel[]): boolean {
  const panel = sheet.type === 'panel' ? panels.find((p) => p.id === sheet.panelId) : undefined
  if (!panel) return false
  const local = pointMoved(place, moveBack(sheet.move))
  return clipsHave(sheet.clips, place) && placeInside(local.x, local.y, panel.outline)
}

/** A place of a part on one sheet of its host; `id` is what its own sheets there are called. */
export interface Copy {
  readonly id: string
  readonly host: string
  readonly spot: Spot
  /** In the state that it is made fast in. Elsewhere the same lies again. */
  readonly main: boolean
  /** What of it lies on this part of its host, in the coordinates of the work; empty for all of it. */
  readonly clips: readonly Clip[]
}

/** Where a part lies in the laid-out work: once for each of its places on every sheet of its host. */
export function copiesOf(
  partId: string,
  { layups, at }: Worksite,
  hostId: string,
  spots: readonly Spot[],
  pieces: readonly Lying[],
): Copy[] {
  const found: Copy[] = []
  const taken: { readonly layup: Layup; readonly spot: Spot; readonly place: Point }[] = []
  for (const layup of layups.toSorted((a, b) => Number(b.id === at) - Number(a.id === at))) {
    const sheets = sheetsOf(layup, hostId)
    for (const spot of spots) {
      const parted = sheets.length > 0 && !sheets.some((s) => isOnOnePart(s, spot, pieces))
      for (const sheet of sheets) {
        // Of a sheet that lies in parts, the part that the place is on; on each of them what lies on both.
        const place = pointMoved(spot.at, sheet.move)
        if (!parted && !clipsHave(sheet.clips, place)) continue
        if (parted && pieces.length === 0) continue
        if (found.some((c) => c.host === sheet.id && c.spot === spot)) continue
        // A piece that goes round the work lies there twice in parts: what is on it is on one of them.
        const part = sheet.clips.length > 0 && !parted ? { layup, spot, place } : undefined
        if (
          part &&
          taken.some((t) => t.layup === layup && t.spot === spot && pointDistance(t.place, place) < 1e-6)
        )
          continue
        if (part) taken.push(part)
        found.push({
          id: found.length === 0 ? partId : `${partId}~${found.length + 1}`,
          host: sheet.id,
          spot,
          main: layup.id === at,
          clips: parted ? sheet.clips : [],
        })
      }
    }
  }
  return found
}

/** The sheets of a piece on one side of one sheet of its host, lowest first. */
function sheetsOn(
  host: PanelSheet,
  { panel, side, lies }: Lying,
  copy: Copy,
  partId: string,
  beneath: boolean,
): { readonly above: boolean; readonly sheets: readonly PanelSheet[] } {
  const above = ((side === 'grain') === host.grainUp) !== beneath
  const sheets = lies(copy.spot)
    .filter((laid) => (laid.beneath ?? false) === beneath)
    .map(({ suffix, move, clips, turned = false, loose }): PanelSheet => ({
      ...panelSheet(
        `${panel.id.replace(partId, copy.id)}${suffix}`,
        panel.name.toLowerCase(),
        panel.id,
        moveThen(move, host.move),
        above !== turned,
        [...clips.map((c) => clipMoved(c, host.move)), ...copy.clips],
      ),
      ...(loose ? { loose } : {}),
    }))
  return { above, sheets: above ? sheets : sheets.toReversed() }
}

/** Which sheet another was put on; those a kind lays are on none. */
export type PutOn = ReadonlyMap<string, string>

/** Whether a sheet was put on another, or on something that was. */
export function isOn(put: PutOn, sheet: string | undefined, host: string): boolean {
  const on = sheet === undefined ? undefined : put.get(sheet)
  return on !== undefined && (on === host || isOn(put, on, host))
}

/** A state of the work with a piece laid on its host, over what was put there before on the same side. */
export function laidOn(
  layup: Layup,
  lying: Lying,
  copies: readonly Copy[],
  partId: string,
  put: PutOn,
): Layup {
  let sheets: readonly Sheet[] = layup.sheets
  for (const copy of copies)
    for (const beneath of [false, true]) {
      const at = sheets.findIndex((s) => s.id === copy.host)
      const host = sheets[at]
      if (host?.type !== 'panel') continue
      const { above, sheets: own } = sheetsOn(host, lying, copy, partId, beneath)
      let to = above ? at + 1 : at
      while (isOn(put, sheets[above ? to : to - 1]?.id, copy.host)) to += above ? 1 : -1
      sheets = sheets.toSpliced(to, 0, ...own)
    }
  return { ...layup, sheets }
}

import type { Finding } from '@drumlin/core/check'
import type { Derived } from '@drumlin/core/derived'
import { pathData } from '@drumlin/core/drawing'
import { type Point, boxHeight, boxWidth, pathBox, pathMoved, pointMoved } from '@drumlin/core/geometry'
import { type Units, printLength } from '@drumlin/core/measure'
import type { Piece, Placed } from '@drumlin/core/reckon'

type PlacedOf = (id: string) => Placed<Piece> | undefined

/** Cut lines as they were before a fix that is only being looked at, where they differ. */
export const ghostsOf = (before: Derived | undefined, placedOf: PlacedOf): string[] =>
  (before?.pieces ?? []).flatMap((old) => {
    const placed = placedOf(old.id)
    if (!placed) return []
    const was = pathData(pathMoved(old.cut, placed.move))
    return was === pathData(pathMoved(placed.item.cut, placed.move)) ? [] : [was]
  })

/** Places that findings are about, ringed. */
export const ringsOf = (
  findings: readonly Finding[],
  placedOf: PlacedOf,
): { readonly key: string; readonly rank: Finding['rank']; readonly at: Point }[] =>
  findings.flatMap((f) =>
    f.places.flatMap((place, i) => {
      const placed = placedOf(place.panelId)
      return placed ? [{ key: `${f.key} ${i}`, rank: f.rank, at: pointMoved(place.at, placed.move) }] : []
    }),
  )

/** A piece as it is read aloud. */
export function described(p: Piece, unit: Units): string {
  const box = pathBox(p.cut)
  return `${p.name}, cut ${p.count}, ${printLength(boxWidth(box), unit)} by ${printLength(boxHeight(box), unit)}`
}

import { type Path, pathLength, pathPart, pathReversed } from '../../geometry/index.js'
import type { Join } from '../../master/index.js'
import { given } from '../../working/index.js'
import { edgeSeam } from '../parts/seams.js'
import type { Bag } from './bag.js'

/** Seams begin so far under the top edge, mm. */
export const TOP_IN = 2

interface BodySeam {
  readonly id: string
  readonly name: string
  readonly sheet: string
  readonly chain: readonly string[]
  /** The stitch line on the other piece, walked the same way; and the sheet it is drawn on. */
  readonly mate: Path
  readonly mateSheet: string
  readonly through: readonly string[]
  /** By how much the mate is longer where it bends further out, mm. */
  readonly extra?: number
  readonly twin?: string
  readonly pairName?: string
  /** The seam begins and ends so far below the top edge, mm. */
  readonly low?: number
  /** The line beside the mate's stitch line, so far out in its allowance. */
  readonly beside?: (by: number) => Path
}

/** The seam between an edge of one piece and a line on another that lies apart; in two rows where asked for. */
export function bodySeams(bag: Bag, seam: BodySeam): Join[] {
  const { margin, reckon, second } = bag
  const top = TOP_IN + (seam.low ?? 0)
  const trimmed = (path: Path): Path => pathPart(path, top, pathLength(path) - top)
  const one = (suffix: string, words: string, by: number): Join => ({
    ...edgeSeam({
      id: `${seam.id}${suffix}`,
      name: `${seam.name}${words}`,
      sheet: seam.sheet,
      chain: seam.chain,
      margin:
        by === 0
          ? margin
          : reckon(
              {
                key: 'margin.second',
                label: 'second row',
                formula: '{margin} − {by}, in the allowance',
                source: '§20',
              },
              { margin, by: given('by', by) },
            ),
      trims: [top, top],
      through: seam.through,
      glue: [{ sheet: seam.sheet, chain: seam.chain, limit: Math.max(1, margin.value - 1) }],
      ...(seam.twin ? { twin: `${seam.twin}${suffix}` } : {}),
      ...(seam.pairName ? { pairName: seam.pairName } : {}),
    }),
    // What bends round a corner further out than its stitch line is longer there, not along the straights.
    ease: 'corners',
    ...(seam.extra === undefined ? {} : { extra: seam.extra }),
    mate: {
      type: 'line',
      sheet: seam.mateSheet,
      line: trimmed(by === 0 || !seam.beside ? seam.mate : seam.beside(by)),
    },
  })
  return [
    one('', '', 0),
    ...(second === undefined
      ? []
      : [{ ...one('-second', ', second row', second), glue: [], beside: seam.id }]),
  ]
}

export const reversedIf = (path: Path, reversed: boolean): Path => (reversed ? pathReversed(path) : path)

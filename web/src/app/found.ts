import type { Derived } from '@drumlin/core/derived'
import { type Field, SEAM_SENTENCES, SEWING_SENTENCES, fieldsInPlay } from '@drumlin/core/kinds'
import { WORK_SENTENCES } from '@drumlin/core/work'
import type { RouteLocationRaw } from 'vue-router'

/** Something that can be found: where it leads, or what it does. */
export interface Hit {
  readonly key: string
  readonly title: string
  /** What sort of thing it is, as it stands beside the title. */
  readonly type: string
  /** Other words it is found by. */
  readonly words?: string
  readonly to?: RouteLocationRaw
  readonly act?: () => void
}

const holds = (sentences: readonly string[], { id }: Field): boolean =>
  sentences.some((s) => s.includes(`{${id}}`))

/** The screen whose sentences say a setting; undefined where none does as the work stands. */
function sayingIt({ kind, pieces }: Derived, field: Field): string | undefined {
  if (field.type === 'leather' || holds(kind.brief, field)) return 'brief'
  if (pieces.some((p) => holds(kind.sentences[p.id] ?? [], field))) return 'draft'
  if (field.type === 'hardware') return 'fittings'
  if (holds(WORK_SENTENCES, field)) return 'make'
  return holds([...SEWING_SENTENCES, ...SEAM_SENTENCES], field) ? 'seams' : undefined
}

/**
 * Settings in play that no sentence says as the work stands, since they are said by a piece that only comes with them:
 * a lining, a divider, pads. The Brief offers them.
 */
export const besides = (derived: Derived): readonly Field[] =>
  fieldsInPlay(derived.kind, derived.design.params).filter((f) => sayingIt(derived, f) === undefined)

/** Where a setting is written: the screen that says it, else the Brief, which offers what else it can carry; one that plays no part now, in What if. */
export function placeOf(
  derived: Derived,
  field: Field,
): { readonly name: string; readonly query: { readonly field: string } } {
  const query = { field: field.id }
  const idle = field.when !== undefined && !field.when(derived.design.params)
  return { name: sayingIt(derived, field) ?? (idle ? 'what-if' : 'brief'), query }
}

/** Those that hold every word: what begins with them first, then titles, then other words. */
export function foundIn(hits: readonly Hit[], sought: string): Hit[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean)
  const rank = ({ title, type, words: more = '' }: Hit): number => {
    const [name, all] = [title.toLowerCase(), `${title} ${type} ${more}`.toLowerCase()]
    if (!words.every((w) => all.includes(w))) return Infinity
    if (words.length === 0) return 0
    return name.startsWith(words[0] ?? '') ? 0 : words.every((w) => name.includes(w)) ? 1 : 2
  }
  return hits
    .map((hit) => ({ hit, rank: rank(hit) }))
    .filter((h) => h.rank < Infinity)
    .sort((a, b) => a.rank - b.rank)
    .map((h) => h.hit)
}

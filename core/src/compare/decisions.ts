import { addedFields } from '../added/index.js'
import { firstOf } from '../lists/index.js'
import type { Design } from '../design/index.js'
import { type DecisionChange, drawnDecisions } from './drawn.js'
import type { Derived } from '../derived/index.js'
import { type Point, overlay } from '../geometry/index.js'
import { type Field, fieldsOf, kindOf } from '../kinds/index.js'
import { type Units, printLength, printWeight, compact } from '../measure/index.js'
import { isUsual } from '../stores/index.js'

/** How one piece differs between two drafts. */
export type PieceChange =
  | { readonly panelId: string; readonly name: string; readonly change: 'only before' | 'only now' }
  | {
      readonly panelId: string
      readonly name: string
      readonly change: 'both'
      /** Largest distance between the two cut outlines, mm, and where on each. */
      readonly distance: number
      readonly before: Point
      readonly now: Point
    }

/** Outlines nearer than this are the same, mm. */
const SAME = 1e-6

/** Every piece of two drafts laid over each other, each in its own coordinates. */
export function comparePieces(before: Derived, now: Derived): PieceChange[] {
  const shared = now.pieces.map((piece): PieceChange => {
    const old = before.pieces.find((p) => p.id === piece.id)
    if (!old) return { panelId: piece.id, name: piece.name, change: 'only now' }
    const laid = overlay(old.cut, piece.cut)
    const distance = laid.distance < SAME ? 0 : laid.distance
    return { panelId: piece.id, name: piece.name, change: 'both', distance, before: laid.on, now: laid.other }
  })
  const gone = before.pieces.filter((p) => !now.pieces.some((o) => o.id === p.id))
  return [
    ...shared,
    ...gone.map((p): PieceChange => ({ panelId: p.id, name: p.name, change: 'only before' })),
  ]
}

type Plain = Readonly<Record<string, unknown>>
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

interface Leaf {
  readonly path: readonly string[]
  readonly before: unknown
  readonly now: unknown
}

/** Where two values differ, down to the last entry that holds no others. */
function differences(before: unknown, now: unknown, path: readonly string[] = []): Leaf[] {
  if (same(before, now)) return []
  if (!isPlain(before) || !isPlain(now)) return [{ path, before, now }]
  const keys = [...new Set([...Object.keys(before), ...Object.keys(now)])]
  return keys.flatMap((key) => differences(before[key], now[key], [...path, key]))
}

const NAMES: Readonly<Record<string, string>> = {
  overrides: 'own number for',
  skives: 'skive of',
  lengths: 'lengths of thread for',
  overruled: 'overruled findings',
}

const OF_RUN: Readonly<Record<string, string>> = {
  holes: 'how its holes are made',
  stepping: 'how its sides are stepped',
  iron: 'iron',
  pitch: 'pitch',
  reversed: 'turned round',
  startBy: 'start further in',
  endBy: 'end further in',
  back: 'backstitches',
  over: 'over the edge',
  shows: 'side that shows',
  every: 'every so many holes',
  second: 'second row',
  along: 'rows along the pull',
  without: 'layers left out',
  ease: 'ease',
  template: 'hole template',
}
const OF_SEWING: Readonly<Record<string, string>> = {
  merges: 'runs sewn in one',
  lines: 'decorative lines',
  order: 'order of sewing',
}

/** What was decided of the sewing, as the maker says it: “outer-left, second row”. */
function sewingLabel([, part = '', run, wish, ...inner]: readonly string[]): string {
  if (part === 'splits') return `${run}, parted`
  if (part !== 'runs' || run === undefined) return OF_SEWING[part] ?? 'sewing'
  return [run, ...(wish === undefined ? ['as wished'] : [OF_RUN[wish] ?? wish]), ...inner].join(', ')
}

const fieldAt = (fields: readonly Field[], path: readonly string[]): Field | undefined =>
  fields.find((f) => f.path.length <= path.length && f.path.every((key, i) => key === path[i]))

function said(value: unknown, field: Field | undefined, unit: Units, thickness: boolean): string {
  if (value === undefined) return 'not set'
  if (Array.isArray(value)) return `${value.length}`
  if (isPlain(value)) return typeof value.name === 'string' ? value.name : 'set'
  if (typeof value !== 'number')
    return field?.type === 'choice'
      ? (field.choices.find((c) => c.value === value)?.label ?? String(value))
      : String(value)
  if (thickness) return printWeight(value, unit)
  if (field?.type === 'percent') return `${compact(100 * value, 2)} %`
  return field?.type === 'count' || field?.type === 'share' ? compact(value, 3) : printLength(value, unit)
}

/** What a leather usually does follows from its thickness and temper: nobody decided it. */
function followed([part, role, key]: readonly string[], before: Design, now: Design): boolean {
  if (part !== 'leathers' || role === undefined || key === undefined) return false
  const [was, is] = [before, now].map((d) => d.leathers[role])
  return was !== undefined && is !== undefined && isUsual(was, key) && isUsual(is, key)
}

/** The settings of what is put on, told by what it is called. A part itself is put on or taken away. */
const fieldsOfParts = (added: Design['added']): Field[] =>
  Object.entries(added).flatMap(([id, part]) => [
    ...addedFields(id, part, undefined).map((f) => ({ ...f, label: `${part.name}: ${f.label}` })),
    { ...PUT_ON, id, label: part.name, path: ['added', id] },
  ])
const PUT_ON = { type: 'count', min: 0, max: 1 } as const

/** The decisions that two drafts of one kind do not share, in the order of the design. */
export function compareDecisions(before: Design, now: Design, unit: Units): DecisionChange[] {
  const fields = [...fieldsOf(kindOf(now.kind)), ...fieldsOfParts({ ...before.added, ...now.added })]
  const leaves = differences(before, now).filter(
    ({ path }) => !['version', 'id', 'drawn', 'ties'].includes(firstOf(path)) && !followed(path, before, now),
  )
  const settings = leaves.map(({ path, before: was, now: is }) => {
    const field = fieldAt(fields, path)
    const inner = field ? path.slice(field.path.length) : path.slice(1)
    const head = field?.label ?? NAMES[firstOf(path)] ?? firstOf(path)
    const thickness = path[0] === 'skives' || inner.includes('thickness')
    const label =
      path[0] === 'sewing' && !field ? sewingLabel(path) : [head, ...inner].join(field ? ', ' : ' ')
    return { label, before: said(was, field, unit, thickness), now: said(is, field, unit, thickness) }
  })
  const ties =
    JSON.stringify(before.ties) === JSON.stringify(now.ties)
      ? []
      : [{ label: 'edges that match', before: `${before.ties.length}`, now: `${now.ties.length}` }]
  return [...drawnDecisions(before.drawn, now.drawn, unit), ...ties, ...settings]
}

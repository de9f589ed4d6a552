import { atKey, nth, required } from '../../../lists/index.js'
import { MOST_STROKES, Unreadable, quoted } from '../../outlines/index.js'
import { type BlockNames, entityLines } from './entities.js'
import { type Thing, sectionsOf, valueOf } from './groups.js'

/** A DXF file as its reader takes it rightly. */
export interface Gated {
  readonly text: string
  /** What $INSUNITS says; 0 where it says nothing. */
  readonly units: number
  readonly notes: Set<string>
}

interface Block {
  readonly name: string
  readonly head: Thing
  readonly body: readonly Thing[]
}

/** Blocks within blocks deeper than this are no drawing. */
const DEEPEST = 12
/** Entities that belong to the one before them. */
const PARTS = new Set(['VERTEX', 'SEQEND', 'ATTRIB'])

/**
 * Checks a DXF file group by group and writes it anew with nothing but what its reader takes rightly. What can't be taken is
 * refused with its line. Throws `Unreadable`.
 */
export function gated(text: string): Gated {
  const sections = sectionsOf(text)
  const entities = (sections.get('ENTITIES') ?? []).slice(1)
  if (!sections.has('ENTITIES')) throw new Unreadable('It has no drawing in it (no ENTITIES section).')
  const notes = new Set<string>()
  const blocks = blocksOf((sections.get('BLOCKS') ?? []).slice(1))
  const names: BlockNames = new Map([...blocks.keys()].map((name, i) => [name, `b${i}`]))
  const off = layersOff((sections.get('TABLES') ?? []).slice(1))
  const shown = (things: readonly Thing[]): readonly Thing[] => things.filter((t) => isShown(t, off, notes))
  const used = checkedBlocks(blocks, shown, entities)
  const lines = [
    ...section(
      'BLOCKS',
      used.flatMap(({ name, head, body }) => [
        ...['0', 'BLOCK', '8', '0', '2', atKey(names, name), '70', '0'],
        ...['10', baseOf(head, 10), '20', baseOf(head, 20), '30', '0'],
        ...written(shown(body), names, notes),
        ...['0', 'ENDBLK'],
      ]),
    ),
    ...section('ENTITIES', written(shown(entities), names, notes)),
    ...['0', 'EOF'],
  ]
  return { text: `${lines.join('\n')}\n`, units: unitsOf(sections.get('HEADER')?.[0]), notes }
}

const section = (name: string, body: readonly string[]): string[] => [
  '0',
  'SECTION',
  '2',
  name,
  ...body,
  '0',
  'ENDSEC',
]

const baseOf = (head: Thing, code: number): string => {
  const value = Number(valueOf(head, code)?.value ?? 0)
  if (!Number.isFinite(value))
    throw new Unreadable(`Line ${head.line}: the base point of a block is not a number.`)
  return String(value)
}

function written(things: readonly Thing[], names: BlockNames, notes: Set<string>): string[] {
  const out: string[] = []
  for (const [i, thing] of things.entries()) {
    if (PARTS.has(thing.type)) continue
    let end = i + 1
    while (things[end] && PARTS.has(nth(things, end).type)) end += 1
    const vertices = things.slice(i + 1, end).filter((t) => t.type === 'VERTEX')
    for (const line of entityLines(thing, vertices, names, notes)) out.push(line)
  }
  return out
}

/** $INSUNITS of a header: the group after its name. */
function unitsOf(header: Thing | undefined): number {
  const at = header?.groups.findIndex((g) => g.code === 9 && g.value === '$INSUNITS') ?? -1
  return at < 0 ? 0 : Number(required(header, 'header').groups[at + 1]?.value ?? 0)
}

function blocksOf(things: readonly Thing[]): ReadonlyMap<string, Block> {
  const blocks = new Map<string, Block>()
  let body: Thing[] | undefined
  for (const thing of things) {
    if (thing.type === 'ENDBLK') body = undefined
    else if (thing.type === 'BLOCK') {
      const name = valueOf(thing, 2)?.value ?? ''
      blocks.set(name, { name, head: thing, body: (body = []) })
    } else body?.push(thing)
  }
  return blocks
}

/** Layers that are switched off (a colour below 0) or frozen: what lies on them was not meant. */
const layersOff = (things: readonly Thing[]): ReadonlySet<string> =>
  new Set(
    things
      .filter((t) => t.type === 'LAYER')
      .filter((t) => Number(valueOf(t, 62)?.value ?? 7) < 0 || (Number(valueOf(t, 70)?.value ?? 0) & 1) === 1)
      .map((t) => valueOf(t, 2)?.value ?? ''),
  )

function isShown(thing: Thing, off: ReadonlySet<string>, notes: Set<string>): boolean {
  if (PARTS.has(thing.type)) return true
  const is = (code: number): boolean => Number(valueOf(thing, code)?.value ?? 0) === 1
  if (is(60) || off.has(valueOf(thing, 8)?.value ?? '0')) {
    notes.add('What is hidden, or lies on layers that are off, was left out.')
    return false
  }
  if (is(67)) notes.add('What lies on the sheet round the drawing (paper space) was left out.')
  return !is(67)
}

/** The blocks that are put down, checked for circles, depth and how much they come to. Throws `Unreadable`. */
function checkedBlocks(
  blocks: ReadonlyMap<string, Block>,
  shown: (things: readonly Thing[]) => readonly Thing[],
  entities: readonly Thing[],
): readonly Block[] {
  const counts = new Map<string, number>()
  const countOf = (things: readonly Thing[], within: readonly string[]): number => {
    let count = 0
    for (const t of shown(things)) {
      if (PARTS.has(t.type)) continue
      const name = t.type === 'INSERT' ? (valueOf(t, 2)?.value ?? '') : undefined
      count += name === undefined ? 1 : inBlock(name, within)
      if (count > MOST_STROKES)
        throw new Unreadable(
          `It comes to more than ${MOST_STROKES} lines once its blocks are put down. Keep only the outline in it and save it again.`,
        )
    }
    return count
  }
  const inBlock = (name: string, within: readonly string[]): number => {
    const known = counts.get(name)
    if (known !== undefined) return known
    const block = blocks.get(name)
    if (!block) return 1
    if (within.includes(name))
      throw new Unreadable(`The block ${quoted(name)} stands in itself. Explode it and save it again.`)
    if (within.length >= DEEPEST)
      throw new Unreadable(
        `Blocks stand in blocks more than ${DEEPEST} deep (at ${quoted(name)}). Explode them and save it again.`,
      )
    const count = countOf(block.body, [...within, name])
    counts.set(name, count)
    return count
  }
  countOf(entities, [])
  return [...blocks.values()].filter((b) => counts.has(b.name))
}

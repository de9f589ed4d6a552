import { nth } from '../../../lists/index.js'
import { Unreadable, quoted } from '../../outlines/index.js'

/** A pair of lines of a DXF file: what sort of thing it is, and the thing. */
export interface Group {
  readonly code: number
  readonly value: string
  /** Line of the value, from 1. */
  readonly line: number
}

/** A thing that begins with group 0: an entity, a block's head, a layer. */
export interface Thing {
  readonly type: string
  readonly line: number
  readonly groups: readonly Group[]
}

/** A file's sections by name, each as its things; groups before the first thing stand in one of the type ''. Throws `Unreadable`. */
export function sectionsOf(text: string): ReadonlyMap<string, readonly Thing[]> {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/)
  const sections = new Map<string, Thing[]>()
  let section: Thing[] | undefined
  let groups: Group[] = []
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = codeOf(nth(lines, i), i + 1)
    const value = nth(lines, i + 1).trim()
    if (code === 999) continue
    if (code !== 0) {
      if (code === 2 && section?.length === 0) {
        section.push({ type: '', line: i + 2, groups: (groups = []) })
        sections.set(value.toUpperCase(), section)
      } else groups.push({ code, value, line: i + 2 })
      continue
    }
    const type = value.toUpperCase()
    if (type === 'EOF') return sections
    if (type === 'SECTION') [section, groups] = [[], []]
    else if (type === 'ENDSEC') [section, groups] = [undefined, []]
    else section?.push({ type, line: i + 2, groups: (groups = []) })
  }
  throw new Unreadable(
    `It ends at line ${lines.length} without its end mark (EOF): it was cut short. Save it again.`,
  )
}

function codeOf(text: string, line: number): number {
  if (!/^\s*-?\d{1,4}\s*$/.test(text))
    throw new Unreadable(
      `Line ${line}: a group code, a whole number, should stand here, not ${quoted(text)}. Save it again as DXF text.`,
    )
  return Number(text)
}

/** The last value of a code in a thing; undefined where it has none. */
export const valueOf = (thing: Thing, code: number): Group | undefined =>
  thing.groups.findLast((g) => g.code === code)

/** A thing as a sentence begins with it. */
export const placeOf = (thing: Thing): string => `Line ${thing.line}, ${quoted(thing.type, 20).slice(1, -1)}`

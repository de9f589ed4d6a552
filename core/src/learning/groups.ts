import { atKey } from '../lists/index.js'
import type { Design } from '../design/index.js'
import type { Sort } from '../steps/index.js'

/** Sorts of work that go at one pace, and the settings that say it: times grow with it, paces shrink. */
export interface PaceGroup {
  readonly id: string
  readonly label: string
  readonly sorts: readonly Sort[]
  readonly times: readonly (readonly string[])[]
  readonly paces: readonly (readonly string[])[]
}

const habit = (key: string): readonly string[] => ['habits', key]
const way = (key: string): readonly string[] => ['work', 'ways', key]
const group = (
  id: string,
  label: string,
  sorts: readonly Sort[],
  times: readonly (readonly string[])[],
  paces: readonly (readonly string[])[] = [],
): PaceGroup => ({ id, label, sorts, times, paces })

/** Every sort of step is in exactly one (docs/formulas.md §24). */
export const PACE_GROUPS: readonly PaceGroup[] = [
  group(
    'cutting',
    'cutting out',
    ['rough', 'straps', 'cut', 'trim'],
    [habit('pieceMinutes')],
    [habit('cutPace')],
  ),
  group('skiving', 'skiving', ['skive', 'groove'], [habit('skiveMinutes')], [habit('skivePace')]),
  group('turning', 'turning edges', ['turn'], [habit('pleatMinutes')], [habit('turnPace')]),
  group('gluing', 'gluing', ['glue'], [habit('glueMinutes')], [habit('gluePace')]),
  group('holes', 'punching seams', ['holes', 'strike'], [habit('blowSeconds')]),
  group(
    'sewing',
    'sewing by hand',
    ['sew'],
    [habit('stitchSeconds'), habit('cornerSeconds'), habit('runMinutes')],
  ),
  group('machine', 'sewing by machine', ['machine'], [], [['machine', 'speed']]),
  group('edges', 'finishing edges', ['edge', 'coat', 'coatLast', 'finish'], [], [habit('edgePace')]),
  group('patterns', 'patterns', ['pattern'], [way('patternMinutes')]),
  group('mockUp', 'mock-up', ['mockUp'], [way('mockUpMinutes')]),
  group('bar', 'bar and counting', ['bar', 'count'], [way('barMinutes')]),
  group('marking', 'marking', ['mark'], [way('markMinutes')]),
  group('splitting', 'splitting', ['split'], [way('splitMinutes')]),
  group('dyeing', 'dyeing and oiling', ['dye', 'oil', 'dyeWork', 'oilWork'], [way('dyeMinutes')]),
  group('stamping', 'the mark', ['stamp'], [way('stampMinutes')]),
  group('punching', 'slots and washers', ['washers', 'punch'], [way('punchSeconds')]),
  group('layers', 'linings and layers', ['back', 'line', 'putIn'], [way('layMinutes')]),
  group('forming', 'forming', ['form'], [way('formMinutes')]),
  group('folding', 'folds', ['fold'], [way('foldMinutes')]),
  group('hardware', 'hardware', ['set', 'hang'], [way('setMinutes')]),
  group('turningOut', 'turning out', ['turnOut'], [way('turnOutMinutes')]),
  group('last', 'trying and noting', ['fit', 'note'], [way('lastMinutes')]),
]

const byOf = new Map(PACE_GROUPS.flatMap((g) => g.sorts.map((s) => [s, g] as const)))
/** Which pace a sort of step goes at. */
export const groupOf = (sort: Sort): PaceGroup => atKey(byOf, sort)

/** The laying out of tools, which is the same for every sort. */
export const SET_UP: readonly string[] = ['work', 'ways', 'setUp']

/** What stands at a path of a design. */
export function figureAt(design: Design, path: readonly string[]): number | undefined {
  let at: unknown = design
  for (const key of path)
    at = typeof at === 'object' && at !== null ? (at as Readonly<Record<string, unknown>>)[key] : undefined
  return typeof at === 'number' ? at : undefined
}

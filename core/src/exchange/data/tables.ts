import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import type { Derived } from '../../derived/index.js'
import { csvOf } from '../csv/index.js'
import { dataOf } from './data.js'
import type { Data } from './schema.js'

/** A sheet of a table program: its heads and rows, lengths mm. */
interface Table {
  readonly name: string
  readonly rows: readonly (readonly (string | number)[])[]
}

const yes = (so: boolean): string => (so ? 'yes' : '')
const orNothing = (value: number | null): string | number => value ?? ''

/** The data as tables, each with its heads; numbers with a point, mm unless said. */
export const tablesOf = (data: Data): readonly Table[] => [
  {
    name: 'pieces',
    rows: [
      ['piece', 'count', 'turned over', 'of', 'thickness', 'width', 'height', 'area mm²', 'holes'],
      ...data.pieces.map((p) => [
        p.name,
        p.count,
        p.flipped,
        p.material,
        orNothing(p.thickness),
        p.width,
        p.height,
        p.area,
        p.holes,
      ]),
    ],
  },
  {
    name: 'seams',
    rows: [
      [
        'seam',
        'length',
        'sewn',
        'holes',
        'of the other side',
        'times',
        'pitches',
        'thickest',
        'thread',
        'lengths of thread',
      ],
      ...data.seams.map((s) => [
        s.name,
        s.length,
        s.sewn,
        s.holes,
        s.otherSide,
        s.times,
        s.pitches.join(' '),
        s.thickest,
        s.thread,
        s.lengths,
      ]),
    ],
  },
  {
    name: 'sizes',
    rows: [
      ['size', 'mm', 'figured', 'written over', 'working'],
      ...data.sizes.map((s) => [s.label, s.value, s.figured, yes(s.own), s.working]),
    ],
  },
  {
    name: 'fittings',
    rows: [
      ['fitting', 'hardware', 'count', 'through', 'post'],
      ...data.fittings.map((f) => [f.name, f.hardware, f.count, orNothing(f.stack), orNothing(f.post)]),
    ],
  },
  {
    name: 'to-buy',
    rows: [['what', 'count', 'in', 'note'], ...data.toBuy.map((b) => [b.what, b.count, b.unit, b.note])],
  },
  {
    name: 'findings',
    rows: [
      ['rank', 'what', 'why', 'overruled'],
      ...data.findings.map((f) => [f.rank, f.what, f.why, yes(f.overruled)]),
    ],
  },
]

/** Says in the archive whose it is. */
const NOTE = 'drumlin.txt'
/** The day that a ZIP begins to count from, so that the same design is the same bytes anywhere. */
const NO_DAY = '1980-01-02'

/** All tables of a design as CSV files in one ZIP. */
export function writeTables(derived: Derived): Uint8Array {
  const data = dataOf(derived)
  const files = tablesOf(data).map(({ name, rows }) => [`${name}.csv`, strToU8(csvOf(rows))] as const)
  const note = `Drumlin tables, form 1: ${data.design.name}, ${data.design.draft}. Lengths in mm, decimal point.\n`
  return zipSync(Object.fromEntries([[NOTE, strToU8(note)], ...files]), { mtime: NO_DAY })
}

/** Whether a ZIP holds tables of ours. */
export function isOurTables(bytes: Uint8Array): boolean {
  try {
    const note = unzipSync(bytes, {
      filter: ({ name, originalSize }) => name === NOTE && originalSize < 2000,
    })[NOTE]
    return note !== undefined && strFromU8(note).startsWith('Drumlin tables')
  } catch {
    return false
  }
}

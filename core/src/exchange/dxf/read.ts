import DxfParser from 'dxf-parser'
import {
  type Found,
  type FoundResult,
  MOST_PIECES,
  Unreadable,
  chainedPaths,
  tooLarge,
  tooMuch,
} from '../outlines/index.js'
import { type Taken, takeEntities } from './entities.js'
import { gated } from './gate/index.js'

/** mm of the units a DXF file may name in $INSUNITS; 0 and a missing entry say nothing. */
const UNIT_MM: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 25.4e-6,
  9: 0.0254,
  10: 914.4,
  14: 100,
}

/** Reads the lines of a DXF file: blocks put in place, arcs and curves kept, y turned to grow downwards. What can't be taken rightly is refused. */
export function readDxfPaths(text: string): FoundResult {
  const large = tooLarge(text)
  if (large) return { ok: false, why: large }
  if (!/^\s*(0|999)\s*(\r\n|\r|\n)/.test(text.replace(/^\uFEFF/, '')))
    return {
      ok: false,
      why: 'This is not a DXF text file: it does not begin with a group code. A binary DXF has to be saved as text (ASCII) first.',
    }
  try {
    return { ok: true, found: taken(text) }
  } catch (error) {
    if (error instanceof Unreadable) return { ok: false, why: `The DXF file can’t be read. ${error.message}` }
    throw error
  }
}

function taken(text: string): Found {
  const { text: plain, units, notes } = gated(text)
  const dxf = new DxfParser().parseSync(plain)
  const all: Taken = { paths: [], notes }
  if (dxf?.entities) takeEntities(dxf.entities, dxf, (p) => ({ x: p.x, y: -p.y }), all)
  let pieces = 0
  for (const { segments } of all.paths) {
    pieces += segments.length
    for (const { from, to } of segments)
      if (![from.x, from.y, to.x, to.y].every((v) => Math.abs(v) <= FARTHEST))
        throw new Unreadable(
          'A place of its lines lies too far out, or is no number. Save it again as DXF text.',
        )
  }
  if (pieces > MOST_PIECES) throw tooMuch()
  const loose = all.paths.map((path, i) => ({ name: `line ${i + 1}`, path }))
  return { ...chainedPaths(loose), unit: UNIT_MM[units], notes: [...notes] }
}

/** Places beyond this, in the file's units, are a mistake of whoever wrote it. */
const FARTHEST = 1e8

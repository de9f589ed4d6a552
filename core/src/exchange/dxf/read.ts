import DxfParser, { type IDxf } from 'dxf-parser'
import { type FoundResult, chainedPaths, tooLarge } from '../outlines/index.js'
import { type Taken, takeEntities } from './entities.js'

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

/** Reads the lines of a DXF file: blocks put in place, arcs and curves kept, y turned to grow downwards. */
export function readDxfPaths(text: string): FoundResult {
  const large = tooLarge(text)
  if (large) return { ok: false, why: large }
  if (!/^\s*(0|999)\s*\r?\n/.test(text.replace(/^\uFEFF/, '')))
    return {
      ok: false,
      why: 'This is not a DXF text file: it does not begin with a group code. A binary DXF has to be saved as text (ASCII) first.',
    }
  let dxf: IDxf | null
  try {
    dxf = new DxfParser().parseSync(text)
  } catch (error) {
    return {
      ok: false,
      why: `The DXF file can't be read: ${error instanceof Error ? error.message : String(error)}. Save it again as DXF text.`,
    }
  }
  if (!dxf?.entities) return { ok: false, why: 'The DXF file has no drawing in it.' }
  const taken: Taken = { paths: [], notes: new Set() }
  takeEntities(dxf.entities, dxf, (p) => ({ x: p.x, y: -p.y }), taken)
  const bad = taken.paths.find((p) =>
    p.segments.some((s) => ![s.from.x, s.from.y, s.to.x, s.to.y].every(Number.isFinite)),
  )
  if (bad)
    return {
      ok: false,
      why: 'The DXF file holds a coordinate that is not a number. Save it again as DXF text.',
    }
  const unit = UNIT_MM[Number((dxf.header as Record<string, unknown> | undefined)?.$INSUNITS ?? 0)]
  const loose = taken.paths.map((path, i) => ({ name: `line ${i + 1}`, path }))
  return { ok: true, found: { ...chainedPaths(loose), unit, notes: [...taken.notes] } }
}

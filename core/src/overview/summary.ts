import { findingsOf, overruledFor, sayFinding } from '../check/index.js'
import { type Derived, toBuy } from '../derived/index.js'
import { boxHeight, boxWidth, pathArea, pathBox } from '../geometry/index.js'
import { roundTo } from '../measure/index.js'
import { explainLine } from '../working/index.js'
import { required } from '../lists/index.js'

const mm = (value: number): number => roundTo(value, 6)

/** Everything that follows from a design as plain data, mm, for the command line and for comparing digit by digit. */
export function summary(derived: Derived) {
  const { design, master, pieces, runs } = derived
  return {
    design: { id: design.id, name: design.name, kind: design.kind },
    sizes: [...new Map(master.sizes.map(({ size }) => [size.key, size])).values()].map((size) => ({
      key: size.key,
      label: size.label,
      value: mm(size.value),
      figured: mm(size.figured),
      own: size.overridden,
      working: explainLine(size, 'mm'),
    })),
    pieces: pieces.map((p) => ({
      id: p.id,
      name: p.name,
      count: p.count,
      flipped: p.flipped,
      material: p.material,
      thickness: p.thickness,
      width: mm(boxWidth(pathBox(p.cut))),
      height: mm(boxHeight(pathBox(p.cut))),
      area: mm(Math.abs(pathArea(p.cut))),
      holes: p.holes.length,
    })),
    runs: runs.map((r) => ({
      id: r.join.id,
      name: r.join.name,
      length: mm(r.length),
      school: r.ways.holes,
      holes: r.holes.length,
      ...(r.times > 1 ? { times: r.times } : {}),
      ...(r.other ? { otherSide: r.other.holes.length } : {}),
      pitches: r.sides.map((s) => mm(s.pitch)),
      thickest: mm(r.thickest),
      thread: mm(r.thread.value),
      lengths: r.lengths,
    })),
    ...(derived.fittings.length > 0
      ? {
          fittings: derived.fittings.map((f) => ({
            id: f.fitting.id,
            name: f.fitting.name,
            hardware: f.hardware.name,
            ...(f.stack ? { stack: mm(f.stack.value), wanted: mm(required(f.wanted, 'wanted').value) } : {}),
            ...(f.post === undefined ? {} : { post: f.post, washers: f.washers }),
            ...(f.before === undefined ? {} : { before: f.before }),
          })),
          toBuy: toBuy(derived),
        }
      : {}),
    findings: findingsOf(derived).map((f) => ({
      key: f.key,
      rank: f.rank,
      ...sayFinding(f, 'mm'),
      places: f.places,
      overruled: overruledFor(derived, f),
    })),
  }
}

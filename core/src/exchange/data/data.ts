import { type Derived, toBuy } from '../../derived/index.js'
import { pathData } from '../../drawing/index.js'
import { nth } from '../../lists/index.js'
import { roundTo } from '../../measure/index.js'
import { summary } from '../../overview/index.js'
import type { Data } from './schema.js'

/** Rounded to a millionth, and never −0. */
const mm = (value: number): number => roundTo(value, 6) + 0

/** Everything that follows from a design, as plain data; lengths mm. */
export function dataOf(derived: Derived): Data {
  const { design, pieces, fittings } = derived
  const all = summary(derived)
  return {
    format: 'drumlin.data',
    form: 1,
    design: { id: design.id, name: design.name, kind: design.kind, draft: design.draft },
    sizes: all.sizes,
    pieces: all.pieces.map((told, i) => ({
      ...told,
      thickness: told.thickness ?? null,
      outline: pathData(nth(pieces, i).cut),
      places: nth(pieces, i).holes.map(({ at }): [number, number] => [mm(at.x), mm(at.y)]),
    })),
    seams: all.runs.map(({ school, ...told }) => ({
      ...told,
      sewn: school,
      otherSide: told.otherSide ?? told.holes,
      times: told.times ?? 1,
    })),
    fittings: fittings.map((f) => ({
      id: f.fitting.id,
      name: f.fitting.name,
      hardware: f.hardware.name,
      count: f.fitting.count,
      stack: f.stack ? mm(f.stack.value) : null,
      post: f.post === undefined ? null : mm(f.post),
    })),
    toBuy: toBuy(derived).map((one) => ({ ...one })),
    findings: all.findings.map(({ key, rank, what, why, overruled }) => ({
      key,
      rank,
      what,
      why,
      overruled: Boolean(overruled),
    })),
  }
}

/** The same as JSON text. */
export const writeData = (derived: Derived): string => `${JSON.stringify(dataOf(derived), null, 2)}\n`

/** Whether a file holds data of ours. */
export const isOurData = (bytes: Uint8Array): boolean =>
  /"format":\s*"drumlin\.data"/.test(new TextDecoder().decode(bytes.subarray(0, 400)))

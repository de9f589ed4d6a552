import type { Derived } from '@drumlin/core/derived'
import { pictureOf } from '@drumlin/core/space'
import { firstOf } from '../../src/lists/index.js'

/** To a tenth of a millimetre: more than is seen, less than the last bits of a corner. */
const tenth = (value: number): string => String(Math.round(value * 10 + 1e-4) / 10 + 0)

/** Least, middle and largest of one ordinate of all corners. */
function reach(positions: Float32Array, axis: number): string {
  const all = Array.from({ length: positions.length / 3 }, (_, i) => positions[3 * i + axis] ?? Number.NaN)
  const middle = all.reduce((sum, v) => sum + v, 0) / all.length
  return [Math.min(...all), middle, Math.max(...all)].map(tenth).join('…')
}

const place = ({ x, y, z }: { x: number; y: number; z: number }): string => [x, y, z].map(tenth).join()

/** How far every leather reaches in space, shut and open, and how much thread is seen. */
export function spaceLines(of: Derived): string[] {
  const open = firstOf(of.works)
  return [0, 1].flatMap((opened) => {
    const picture = pictureOf(of, open, opened)
    return [
      `in space, ${opened} open: ${picture.stitches.length} corners of stitches, ${picture.strapStitches.length} of straps`,
      ...picture.sheets.map(
        ({ id, mesh }) => `  ${id}: ${[0, 1, 2].map((axis) => reach(mesh.positions, axis)).join(' ')}`,
      ),
      ...picture.hardware.map(({ id, at, out }) => `  ${id} at ${place(at)}, out ${place(out)}`),
    ]
  })
}

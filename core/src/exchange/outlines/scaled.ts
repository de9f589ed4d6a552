import { type Path, arc, boxWidth, cubic, line, pathBox, pathLength } from '../../geometry/index.js'
import type { FoundPath } from './found.js'

/** An outline of a file in mm, moved so that its box begins at the origin. */
export function scaledPath({ path }: FoundPath, mmPerUnit: number): Path {
  const box = pathBox(path)
  const at = (p: { x: number; y: number }) => ({
    x: (p.x - box.left) * mmPerUnit,
    y: (p.y - box.top) * mmPerUnit,
  })
  return {
    ...path,
    segments: path.segments.map((s) => {
      if (s.type === 'line') return line(at(s.from), at(s.to))
      if (s.type === 'arc') return arc(at(s.from), at(s.to), at(s.centre), s.sweep)
      return cubic(at(s.from), at(s.c1), at(s.c2), at(s.to))
    }),
  }
}

/** How many mm one unit of a file is, from a line in it whose true length is known. */
export const unitFromBar = (bar: FoundPath, mm: number): number => mm / pathLength(bar.path)

/** Units a silent file may be meant in, with what its outline would then measure. */
export const UNITS = [
  { id: 'mm', label: 'millimetres', mm: 1 },
  { id: 'cm', label: 'centimetres', mm: 10 },
  { id: 'in', label: 'inches', mm: 25.4 },
  { id: 'pt', label: 'points, 72 to the inch', mm: 25.4 / 72 },
  { id: 'px', label: 'pixels, 96 to the inch', mm: 25.4 / 96 },
] as const

/** How wide an outline would be, mm. */
export const widthIn = ({ path }: FoundPath, mmPerUnit: number): number => boxWidth(pathBox(path)) * mmPerUnit

import { nth, required } from '../../../lists/index.js'
import { Unreadable, coordinate, quoted } from '../../outlines/index.js'

export type Attributes = Readonly<Record<string, string>>

/** User units of a length with a unit: a CSS inch is 96 of them. */
const UNITS: Readonly<Record<string, number>> = {
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  pt: 96 / 72,
  pc: 16,
  Q: 96 / 101.6,
}
/** mm of the units that say how large a drawing is meant; bare numbers and px do not. */
const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  Q: 0.25,
}

const split = (text: string): [string, string] => {
  const [, number = '', unit = ''] = /^\s*([^a-zA-Z%]*(?:[eE][-+]?\d+)?)\s*([a-zA-Z%]*)\s*$/.exec(text) ?? []
  return [number.trim(), unit]
}

/** A length of a shape in user units. Throws `Unreadable`. */
export function lengthOf(a: Attributes, name: string, where: string, otherwise?: number): number {
  const text = a[name]
  if (text === undefined || text.trim() === '' || text.trim() === 'auto') {
    if (otherwise !== undefined) return otherwise
    throw new Unreadable(`${where}: ${name} is missing.`)
  }
  const [number, unit] = split(text)
  const factor = unit === '' ? 1 : UNITS[unit]
  if (factor === undefined && unit !== '' && number !== '')
    throw new Unreadable(
      `${where}: ${name} is ${quoted(text)}; ${unit === '%' ? 'per cent' : `“${unit.slice(0, 8)}”`} depends on what is round it. Save it with plain numbers.`,
    )
  return coordinate(number === '' ? text : number, name, where) * (factor ?? 1)
}

/** Four numbers of a viewBox; undefined where there is none. Throws `Unreadable`. */
export function viewBoxOf(a: Attributes, where: string): [number, number, number, number] | undefined {
  const text = a.viewBox?.trim()
  if (!text) return undefined
  const numbers = text.split(/[\s,]+/).map((n) => coordinate(n, 'viewBox', where))
  if (numbers.length !== 4 || !(nth(numbers, 2) > 0) || !(nth(numbers, 3) > 0))
    throw new Unreadable(`${where}: its viewBox ${quoted(text)} needs four numbers, the last two above 0.`)
  return numbers as [number, number, number, number]
}

/** One scale for both ways, by how a drawing keeps its proportions in its frame. Throws `Unreadable` where it does not. */
export function oneScale(across: number, down: number, keeps: string | undefined, where: string): number {
  if (Math.abs(across - down) <= 1e-3 * Math.max(across, down)) return across
  if (/\bnone\b/.test(keeps ?? ''))
    throw new Unreadable(
      `${where}: it is drawn ${(across / down).toFixed(3)} times as wide as high, so a circle would be none. Save it without stretching.`,
    )
  return /\bslice\b/.test(keeps ?? '') ? Math.max(across, down) : Math.min(across, down)
}

/** mm a user unit of the whole drawing is; undefined where its width and height do not say. Throws `Unreadable`. */
export function drawingUnit(a: Attributes): number | undefined {
  const where = 'The drawing'
  const box = viewBoxOf(a, where)
  const side = (name: 'width' | 'height'): number | undefined => {
    const [number, unit] = split(a[name] ?? '')
    const mm = UNIT_MM[unit]
    return mm === undefined ? undefined : coordinate(number, name, where) * mm
  }
  const [wide, high] = [side('width'), side('height')]
  if (!box) return wide === undefined && high === undefined ? undefined : required(UNIT_MM.in, 'in') / 96
  if (wide !== undefined && high !== undefined && wide > 0 && high > 0)
    return oneScale(wide / box[2], high / box[3], a.preserveAspectRatio, where)
  if (wide !== undefined && wide > 0) return wide / box[2]
  return high !== undefined && high > 0 ? high / box[3] : undefined
}

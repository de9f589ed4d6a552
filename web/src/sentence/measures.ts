import {
  compact,
  type Units,
  measureSentence,
  otherUnit,
  printPace,
  parseLength,
  parsePitch,
  parseWeight,
  printLength,
  printLong,
  printPitch,
  printWeight,
  secondsAStitch,
  trimmed,
  weightMiddle,
  systemOf,
} from '@drumlin/core/measure'

/** How a number is read and printed where it stands in a sentence. */
export type MeasureSort =
  'length' | 'long' | 'fine' | 'pitch' | 'thickness' | 'count' | 'half' | 'share' | 'percent' | 'pace'

export type Reading =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly why: string }

export function printMeasure(value: number, sort: MeasureSort, unit: Units): string {
  if (sort === 'length') return printLength(value, unit)
  if (sort === 'long') return printLong(value, unit, 2)
  if (sort === 'half') return printHalves(value)
  if (sort === 'fine')
    return systemOf(unit) === 'mm' ? `${trimmed(value, 3, unit)} mm` : printLength(value, unit)
  if (sort === 'thickness') return printWeight(value, unit)
  if (sort === 'pitch') return printPitch(value, unit)
  if (sort === 'pace') return `${compact(value, 1, unit)} s a stitch`
  if (sort === 'percent') return `${compact(100 * value, 2, unit)} %`
  return sort === 'count' ? String(value) : trimmed(value, 3, unit)
}

/** The same in the other unit, small beside it. */
export function printOther(value: number, sort: MeasureSort, unit: Units): string {
  if (sort === 'length' || sort === 'fine') return printLength(value, otherUnit(unit))
  if (sort === 'long') return printLong(value, otherUnit(unit, 'thread'), 2)
  if (sort === 'pace') return printPace(value, unit)
  return sort === 'thickness' ? printWeight(value, otherUnit(unit, 'thickness')) : ''
}

const printHalves = (value: number): string =>
  `${value >= 1 || value % 1 === 0 ? Math.floor(value) : ''}${value % 1 === 0 ? '' : '½'}`

/** Whole numbers and halves, as `1½`, `1 1/2`, `1.5` or `½`. */
function readHalves(text: string): Reading {
  const plain = text
    .trim()
    .replace(/\s*(½|1\/2)$/, '.5')
    .replace(',', '.')
  const value = Number(plain)
  if (plain === '' || !Number.isFinite(value) || !Number.isInteger(2 * value))
    return { ok: false, why: `“${text}” does not go by halves. Try 1, 1½ or 2.` }
  return { ok: true, value }
}

function readPlain(text: string, whole: boolean): Reading {
  const value = Number(text.trim().replace(',', '.'))
  if (text.trim() === '' || !Number.isFinite(value))
    return { ok: false, why: `“${text}” is not a number. Try ${whole ? '3' : '0.6'}.` }
  if (whole && !Number.isInteger(value))
    return { ok: false, why: `“${text}” is not a whole number. Try ${Math.round(value)}.` }
  return { ok: true, value }
}

/** Written as lengths in an hour, or as seconds a stitch. */
function readPace(text: string): Reading {
  const written = text.trim().toLowerCase().replace(',', '.')
  const hourly = /^([\d.]+)\s*(cm|in|inches|m)\s*(?:\/|an?|per)?\s*h(?:our)?$/.exec(written)
  const mm = { cm: 10, m: 1000, in: 25.4, inches: 25.4 }
  if (hourly) {
    const hour = Number(hourly[1]) * mm[hourly[2] as keyof typeof mm]
    return hour > 0
      ? { ok: true, value: secondsAStitch(hour) }
      : { ok: false, why: `“${text}” is no pace. Try 31 cm an hour, or 35 s a stitch.` }
  }
  const seconds = Number(
    /^([\d.]+)\s*(?:s(?:ec(?:onds)?)?)?(?:\s*(?:\/|a|per)\s*stitch)?$/.exec(written)?.[1],
  )
  return Number.isFinite(seconds)
    ? { ok: true, value: seconds }
    : { ok: false, why: `“${text}” was not understood. Try 31 cm an hour, or 35 s a stitch.` }
}

function readMeasure(text: string, sort: MeasureSort, unit: Units): Reading {
  if (sort === 'pace') return readPace(text)
  if (sort === 'half') return readHalves(text)
  if (sort === 'count' || sort === 'share') return readPlain(text, sort === 'count')
  if (sort === 'percent') {
    const percent = readPlain(text.replace(/%\s*$/, ''), false)
    return percent.ok ? { ok: true, value: percent.value / 100 } : percent
  }
  if (sort === 'pitch') {
    const pitch = parsePitch(text)
    return pitch.ok ? pitch : { ok: false, why: measureSentence(pitch.error) }
  }
  if (sort === 'thickness') {
    const bare = systemOf(unit, 'thickness') === 'in' && /^[\d.,/\s-]+$/.test(text) ? `${text} oz` : text
    const weight = parseWeight(bare)
    return weight.ok
      ? { ok: true, value: weightMiddle(weight.value) }
      : { ok: false, why: measureSentence(weight.error) }
  }
  // A bare number is read in the unit that was printed.
  const long =
    sort === 'long' && /^[\d.,\s]+$/.test(text)
      ? `${text} ${systemOf(unit, 'thread') === 'mm' ? 'm' : 'yd'}`
      : text
  const length = parseLength(long, unit)
  return length.ok ? length : { ok: false, why: measureSentence(length.error) }
}

/** Reads what was written and holds it to the range. */
export function readWithin(
  text: string,
  sort: MeasureSort,
  unit: Units,
  label: string,
  min: number,
  max: number,
): Reading {
  const reading = readMeasure(text, sort, unit)
  if (!reading.ok || (reading.value >= min - 1e-9 && reading.value <= max + 1e-9)) return reading
  const print = (v: number): string => printMeasure(v, sort, unit)
  const name = label.charAt(0).toUpperCase() + label.slice(1)
  return {
    ok: false,
    why: `${name} goes from ${print(min)} to ${print(max)}; ${print(reading.value)} is too ${reading.value < min ? 'little' : 'much'}.`,
  }
}

import { SaxesParser } from 'saxes'
import {
  type FoundPath,
  type FoundResult,
  MOST_PIECES,
  MOST_STROKES,
  Unreadable,
  chainedPaths,
  quoted,
  tooLarge,
  tooMuch,
} from '../outlines/index.js'
import { type Frame, OUTERMOST, checkStyleSheet, frameIn, innerFrame } from './reading/frames.js'
import { type Attributes, drawingUnit } from './reading/lengths.js'
import { dataOf, pathsOf } from './reading/shapes.js'

/** Groups within groups deeper than this are no drawing. */
const DEEPEST = 200

/** What is told of elements that are left out. */
const LEFT_OUT: Readonly<Record<string, string>> = {
  use: 'Copies of symbols were left out; draw them as outlines.',
  text: 'Text was left out.',
  image: 'Pictures were left out.',
  foreignObject: 'What is not SVG was left out.',
}

/** Reads the lines of an SVG file: units and transforms honoured, arcs of circles kept as arcs. What can't be taken rightly is refused. */
export function readSvgPaths(text: string): FoundResult {
  const large = tooLarge(text)
  if (large) return { ok: false, why: large }
  try {
    return { ok: true, found: taken(text.replace(/^\uFEFF/, '')) }
  } catch (error) {
    if (error instanceof Unreadable) return { ok: false, why: `The SVG file can’t be read. ${error.message}` }
    throw error
  }
}

function taken(text: string) {
  const loose: FoundPath[] = []
  const notes = new Set<string>()
  const frames: Frame[] = []
  let unit: number | undefined
  let pieces = 0
  let sheet: string[] | undefined
  const parser = new SaxesParser({ fragment: false })

  function opened(name: string, a: Attributes): void {
    const above = frames[frames.length - 1] ?? OUTERMOST
    const where = `Line ${parser.line}, <${name.slice(0, 20)}>${a.id ? ` ${quoted(a.id)}` : ''}`
    if (frames.length >= DEEPEST)
      throw new Unreadable(
        `${where}: it stands in more than ${DEEPEST} groups. Ungroup it and save it again.`,
      )
    if (frames.length === 0) {
      if (name !== 'svg') throw new Unreadable('This is not an SVG file: it does not begin with <svg>.')
      unit = drawingUnit(a)
    }
    const frame = frameIn(above, name, a, where)
    frames.push(name === 'svg' && frames.length > 0 && !frame.gone ? innerFrame(frame, a, where) : frame)
    if (name === 'style') sheet = []
    if (!above.gone && LEFT_OUT[name]) notes.add(LEFT_OUT[name])
    if (frame.gone || frame.unseen) return
    const data = dataOf(name, a, where)
    if (data === undefined) return
    const label = a.id ? quoted(a.id).slice(1, -1) : `${name} ${loose.length + 1}`
    for (const path of pathsOf(data, frame.matrix, where)) {
      loose.push({ name: label, path })
      pieces += path.segments.length
    }
    if (loose.length > MOST_STROKES || pieces > MOST_PIECES) throw tooMuch()
  }

  parser.on('opentag', ({ name, attributes }) => opened(name.replace(/^.*:/, ''), attributes as Attributes))
  parser.on('text', (words) => void sheet?.push(words))
  parser.on('cdata', (words) => void sheet?.push(words))
  parser.on('closetag', () => {
    frames.pop()
    if (sheet) checkStyleSheet(sheet.join(''))
    sheet = undefined
  })
  parser.on('error', (error) => {
    throw new Unreadable(
      `Line ${parser.line}: ${quoted(error.message.replace(/^\d+:\d+: |\.$/g, '').replace('undefined entity', 'an entity that is not plain XML’s'), 160).slice(1, -1)}. Save it again as plain SVG.`,
    )
  })
  parser.write(text).close()
  return { ...chainedPaths(loose), unit, notes: [...notes] }
}

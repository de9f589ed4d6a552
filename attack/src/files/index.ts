import { derive, unworkable } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { readDesign, readSentence, writeDesign } from '@drumlin/core/exchange/json'
import { outlineProblem, scaledPath, thinnedOutline } from '@drumlin/core/exchange/outlines'
import { writeSvg } from '@drumlin/core/exchange/svg'
import { readDxfPaths, writeDxf } from '@drumlin/core/exchange/dxf'
import { readSvgPaths } from '@drumlin/core/exchange/svg-read'
import type { Chance } from '../random.js'
import { strangeDesign } from './designs.js'
import { strangeDxf } from './dxfs.js'
import { scratched } from './scratched.js'
import { strangeSvg } from './svgs.js'

export interface FileCase {
  readonly form: 'design' | 'svg' | 'dxf'
  readonly how: string
  readonly text: string
}

const known = new WeakMap<Design, { readonly svg: string; readonly dxf: string }>()

/** What Drumlin itself writes of a design. */
function ours(design: Design): { readonly svg: string; readonly dxf: string } {
  const before = known.get(design)
  if (before) return before
  const derived = derive(design)
  const both = { svg: writeSvg(derived), dxf: writeDxf(derived) }
  known.set(design, both)
  return both
}

/** A file that somebody could hand in, or that broke on the way. */
export function anyFile(c: Chance, designs: readonly Design[]): FileCase {
  const design = c.of(designs)
  const scratch = c.below(2) === 0
  switch (c.below(6)) {
    case 0:
      return { form: 'design', how: 'scratched', text: scratched(c, writeDesign(design)) }
    case 1:
      return { form: 'design', how: 'strange', text: strangeDesign(c, design) }
    case 2:
      return { form: 'svg', how: 'ours, scratched', text: scratched(c, ours(design).svg) }
    case 3: {
      const { how, text } = strangeSvg(c)
      return { form: 'svg', how, text: scratch ? scratched(c, text) : text }
    }
    case 4:
      return { form: 'dxf', how: 'ours, scratched', text: scratched(c, ours(design).dxf) }
    default: {
      const { how, text } = strangeDxf(c)
      return { form: 'dxf', how, text: scratch ? scratched(c, text) : text }
    }
  }
}

const LIMIT = 2000
const LONGEST = 500
const UNSAID = /undefined|\[object|NaN\b|Cannot read|is not a function|Maximum call/

/** What is wrong with how a file was taken; undefined where it was read or refused in a sentence, in time. */
export function readWrong({ form, text }: FileCase, limit = LIMIT): string | undefined {
  const started = performance.now()
  let said: string
  try {
    said = form === 'design' ? ofDesign(text) : ofDrawing(form, text)
  } catch (error) {
    return error instanceof Error ? (error.stack ?? error.message) : String(error)
  }
  const took = performance.now() - started
  if (took > limit) return `took ${Math.round(took)} ms`
  if (said.length > LONGEST) return `said ${said.length} characters: ${said.slice(0, 100)}`
  // What a sentence quotes is the file's own.
  return UNSAID.test(said.replace(/“[^”]*”/g, '')) ? `said ${said}` : undefined
}

function ofDesign(text: string): string {
  const read = readDesign(text)
  return read.ok ? (unworkable(() => derive(read.design)) ?? '') : readSentence(read.issue)
}

function ofDrawing(form: 'svg' | 'dxf', text: string): string {
  const read = form === 'svg' ? readSvgPaths(text) : readDxfPaths(text)
  if (!read.ok) return read.why
  const problem = outlineProblem(read.found)
  if (problem !== undefined) return problem
  for (const outline of read.found.closed.slice(0, 20)) {
    const path = scaledPath(outline, read.found.unit ?? 1)
    if (!path.segments.every((s) => Number.isFinite(s.from.x + s.from.y + s.to.x + s.to.y)))
      throw new Error('an outline that is no number was taken')
    thinnedOutline(path)
  }
  return read.found.notes.join(' ')
}

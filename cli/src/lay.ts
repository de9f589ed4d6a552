import { type Derived, derive } from '@drumlin/core/derived'
import { type FormatId, formatOf } from '@drumlin/core/exchange/formats'
import { writePlanPdf } from '@drumlin/core/exchange/pdf'
import { writePlanDxf, writePlanJson, writePlanSvg } from '@drumlin/core/exchange/plan'
import { USUAL_EFFORT, groupsOf, laidDesign, readHides, withHides } from '@drumlin/core/hide'
import { readText, writeWhole } from './files.js'
import { pdfFonts } from './fonts.js'
import type { LayAskedWords } from './options.js'
import type { Result } from './result.js'
import { shortly } from './words.js'

/** Rounds of work where nobody says. */
const EFFORT = 4 * USUAL_EFFORT

const ISO_DAY = 10

async function written(laid: Derived, words: LayAskedWords): Promise<string | Uint8Array> {
  const { to, mirrored, paper, unit } = words
  if (to === 'svg') return writePlanSvg(laid, mirrored)
  if (to === 'dxf') return writePlanDxf(laid, mirrored)
  if (to === 'json') return writePlanJson(laid)
  const date = new Date().toISOString().slice(0, ISO_DAY)
  return writePlanPdf(laid, { paper, unit, date, fonts: await pdfFonts(), mirrored })
}

/** Whether a plan of that kind was written here: as of the pattern, and of data by what it says it is. */
const isOurs = (to: LayAskedWords['to']) => (bytes: Uint8Array) =>
  to === 'json'
    ? new TextDecoder().decode(bytes.subarray(0, 200)).includes('"drumlin.plan"')
    : formatOf(to satisfies FormatId).isOurs(bytes)

/** Lays designs out on hides and writes the plan; 1 where something has no place. */
export async function lay(designs: readonly Derived[], words: LayAskedWords): Promise<Result> {
  const [first, ...others] = designs
  if (!first) return { code: 2, error: 'drumlin: lay needs a design file' }
  let hides = first.design.cutting.hides
  if (words.hide !== undefined) {
    const read = readHides(await readText(words.hide))
    if (!read.ok) return { code: 2, error: `drumlin: ${shortly(words.hide)}: ${read.why}` }
    hides = [...read.hides]
  }
  const ready = derive(withHides(first, others, hides))
  const groups = groupsOf(ready)
  if (!groups.some((g) => g.hides.length > 0)) {
    const cutFrom = groups.map((g) => `${g.of} (${g.material})`).join(', ')
    return {
      code: 2,
      error: `drumlin: no hide is of what is cut: ${shortly(cutFrom, 300)}; a hide says so in “of”`,
    }
  }
  const { design, materials } = laidDesign(ready, words.effort ?? EFFORT)
  const laid = derive(design)
  await writeWhole({
    file: words.out,
    contents: await written(laid, words),
    format: { id: words.to, isOurs: isOurs(words.to) },
    input: words.files[0] ?? '',
    replace: words.replace,
  })
  const lines = materials.map(
    ({ material, wanted, laid: { lying, left } }) =>
      `${material}: ${lying.length} of ${wanted} laid${left.length > 0 ? `; no place for ${left.map((id) => id.replace(/^.*?\//, '')).join(', ')}` : ''}`,
  )
  const without = groups.filter((g) => g.hides.length === 0).map((g) => `${g.material}: no hide of it`)
  return {
    code: materials.some((m) => m.laid.left.length > 0) ? 1 : 0,
    out: `${[...lines, ...without].join('\n')}\n`,
  }
}

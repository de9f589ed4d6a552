import { z } from 'zod'
import { id, mm, name } from './parts.js'

/** Something that goes into a bag: upright as it is used, mm and grams. */
export const thingSchema = z.strictObject({
  id,
  name,
  wide: mm(5, 700),
  high: mm(5, 700),
  deep: mm(1, 320),
  grams: z.number().min(0).max(30000),
  /** Stands as it is and is never laid on its side: a bottle. */
  upright: z.boolean(),
})
export type Thing = z.infer<typeof thingSchema>

const thing = (
  key: string,
  called: string,
  [wide, high, deep]: readonly [number, number, number],
  grams: number,
  upright = false,
): Thing => ({ id: key, name: called, wide, high, deep, grams, upright })

/** ISO 216 sheets, Letter and Legal are facts; what is bound of them, and the rest, as such things usually are (J). */
export const STARTER_THINGS: readonly Thing[] = [
  thing('notebook-a5', 'notebook, A5', [148, 210, 16], 320),
  thing('pad-a4', 'writing pad, A4', [210, 297, 8], 420),
  thing('pad-a5', 'writing pad, A5', [148, 210, 8], 210),
  thing('pad-letter', 'writing pad, Letter', [215.9, 279.4, 8], 410),
  thing('pad-legal', 'writing pad, Legal', [215.9, 355.6, 8], 520),
  thing('folder-a4', 'folder with papers, A4', [220, 310, 15], 600),
  thing('computer-13', 'portable computer, 13 in', [304, 215, 16], 1300),
  thing('tablet', 'tablet', [250, 175, 7], 470),
  thing('bottle', 'bottle, 0.5 l, full', [70, 230, 70], 780, true),
  thing('spectacles', 'spectacles in their case', [160, 65, 45], 140),
  thing('chart', 'folded chart', [240, 165, 6], 120),
]

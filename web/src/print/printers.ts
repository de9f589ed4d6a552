import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import {
  type Paper,
  type PrintWay,
  type PrintWish,
  type Printer,
  USUAL_PRINT,
  printerSchema,
  wishProblem,
} from '@drumlin/core/exchange/paper'
import { z } from 'zod'
import { useSettings } from '../app/settings.js'
import { useTrouble } from '../app/trouble.js'
import { readSetting, writeSetting } from '../storage/settings.js'

/** How this maker prints, whatever the job. */
interface Ways {
  readonly paper: Paper
  readonly way: PrintWay
  readonly border: number
  readonly overlap: number
  /** The printer patterns are made true for. */
  readonly printer: string | undefined
  /** Pages that are printed besides the pattern. */
  readonly templates?: boolean | undefined
  readonly box?: boolean | undefined
}
const waysSchema = z.object({
  paper: z.union([
    z.enum(['a4', 'letter', 'a3', 'legal', 'tabloid', 'a0']),
    z.object({ width: z.number(), height: z.number() }),
  ]),
  way: z.enum(['fewest', 'upright', 'lying']),
  border: z.number(),
  overlap: z.number(),
  printer: z.string().optional(),
  templates: z.boolean().optional(),
  box: z.boolean().optional(),
})

/** The ways as a wish, what isn’t asked for left out. */
const wishBy = ({ templates, box, ...rest }: Omit<Ways, 'printer'>): PrintWish => ({
  ...rest,
  ...(templates ? { templates } : {}),
  ...(box ? { box } : {}),
})

/** Printers that were measured, and how patterns are put on paper. */
export const usePrinters = defineStore('printers', () => {
  const settings = useSettings()
  const all = ref<readonly Printer[]>([])
  const ways = ref<Ways>({ ...USUAL_PRINT, paper: settings.paper, printer: undefined })
  let loaded: Promise<void> | undefined

  async function read(): Promise<void> {
    const kept = z.array(printerSchema).safeParse(await readSetting('printers'))
    if (kept.success) all.value = kept.data
    const how = waysSchema.safeParse(await readSetting('print'))
    if (!how.success) return
    const { printer, ...rest } = how.data
    // What was kept and can’t be printed on is not taken up again.
    if (wishProblem(wishBy(rest)) === undefined) ways.value = { ...rest, printer }
  }
  /** Asked for once; where it can’t be read, it is as it usually is. */
  const load = (): Promise<void> => (loaded ??= read().catch(() => undefined))
  const keep = (key: string, value: unknown): void =>
    void useTrouble().attempt('How you print holds only until this page is closed', () =>
      writeSetting(key, JSON.parse(JSON.stringify(value))),
    )
  function set(more: Partial<Ways>): void {
    ways.value = { ...ways.value, ...more }
    keep('print', ways.value)
  }
  function add(printer: Printer): void {
    all.value = [...all.value.filter((p) => p.id !== printer.id), printer]
    keep('printers', all.value)
    set({ printer: printer.id })
  }
  function forget(id: string): void {
    all.value = all.value.filter((p) => p.id !== id)
    keep('printers', all.value)
    if (ways.value.printer === id) set({ printer: undefined })
  }
  const chosen = computed(() => all.value.find((p) => p.id === ways.value.printer))
  /** How a pattern is printed now. */
  const wish = computed((): PrintWish => {
    const { printer: _, ...rest } = ways.value
    return { ...wishBy(rest), ...(chosen.value ? { printer: chosen.value } : {}) }
  })
  return { all, ways, chosen, wish, load, set, add, forget }
})

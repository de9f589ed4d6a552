import type { HardwareSort } from '../stores/index.js'

/** One choice, with the reason a maker would take it. */
export interface Choice {
  readonly value: string
  readonly label: string
  readonly why: string
}

interface FieldBase {
  readonly id: string
  readonly label: string
  /** Where it stands in the saved design. */
  readonly path: readonly string[]
  readonly hint?: string
  /** Where holes or thickness ask for it, this setting may be moved by up to so much either way, mm. */
  readonly mayMove?: number
  /** Whether it plays a part in a work with these settings; always where left out. */
  readonly when?: (params: Readonly<Record<string, unknown>>) => boolean
}

/** A setting that can stand in a sentence. */
export type Field =
  | (FieldBase & {
      readonly type: 'length'
      readonly min: number
      readonly max: number
      readonly step: number
    })
  | (FieldBase & { readonly type: 'count'; readonly min: number; readonly max: number })
  | (FieldBase & {
      readonly type: 'share' | 'percent' | 'pace'
      readonly min: number
      readonly max: number
      readonly step: number
    })
  | (FieldBase & { readonly type: 'choice'; readonly choices: readonly Choice[] })
  | (FieldBase & { readonly type: 'leather'; readonly role: string })
  | (FieldBase & { readonly type: 'hardware'; readonly role: string; readonly sort: HardwareSort })
  | (FieldBase & { readonly type: 'iron' })
  | (FieldBase & { readonly type: 'awl' })
  | (FieldBase & { readonly type: 'thread' })
  | (FieldBase & { readonly type: 'machine' })

/** Plain words with settings in place, by field id, and phrases that may be left out: `Top {top}[, {topBand} wide]`. */
export type Sentence = string

import type { System, ToldApart } from '@drumlin/core/measure'

/** What can be told in units of its own: how it is asked for, and what either system calls it. */
export const UNIT_ROWS: readonly {
  readonly what: ToldApart
  readonly label: string
  readonly said: Readonly<Record<System, string>>
}[] = [
  { what: 'length', label: 'lengths in', said: { mm: 'millimetres', in: 'inches' } },
  { what: 'thickness', label: 'thickness of leather in', said: { mm: 'millimetres', in: 'ounces' } },
  { what: 'area', label: 'leather by the', said: { mm: 'square decimetre', in: 'square foot' } },
  { what: 'thread', label: 'thread by the', said: { mm: 'metre', in: 'yard' } },
]

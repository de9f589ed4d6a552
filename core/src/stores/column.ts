/** The shelves of the stores. */
export type Shelf = 'leathers' | 'irons' | 'awls' | 'threads' | 'machines' | 'hardware' | 'things'

/** What is asked of a thing on a shelf, and how it is written. Lengths in mm. */
export interface Column {
  readonly key: string
  readonly label: string
  /** What it means, in a line. */
  readonly says: string
  readonly type:
    | 'text'
    | 'colour'
    | 'choice'
    | 'fine'
    | 'thickness'
    | 'pitch'
    | 'range'
    | 'count'
    | 'counts'
    | 'lengths'
    | 'yesno'
    | 'share'
    | 'thread'
  readonly choices?: readonly string[]
  readonly min?: number
  readonly max?: number
  readonly step?: number
}

export const text = (key: string, label: string, says: string): Column => ({ key, label, says, type: 'text' })
export const measure = (
  key: string,
  label: string,
  says: string,
  type: 'fine' | 'pitch' | 'thickness' | 'count' | 'share',
  min: number,
  max: number,
  step: number,
): Column => ({
  key,
  label,
  says,
  type,
  min,
  max,
  step,
})
export const choice = (key: string, label: string, says: string, ...choices: string[]): Column => ({
  key,
  label,
  says,
  type: 'choice',
  choices,
})

import { entryMaybe, reckonEntry } from '@drumlin/core/pocketbook'

export const degreesOf = (radians: number): number => (radians * 180) / Math.PI

/** Every number of a quick reckoner by its label, steps on the way included; angles asked for in degrees. */
export function book(
  id: string,
  written: Readonly<Record<string, number>>,
): Readonly<Record<string, number>> {
  const entry = entryMaybe(id)
  if (!entry) throw new Error(`no reckoner ${id}`)
  const unknown = Object.keys(written).filter((name) => !entry.inputs.some((i) => i.id === name))
  if (unknown.length > 0) throw new Error(`${id} asks for no ${unknown.join()}`)
  const { workings, cant } = reckonEntry(entry, written)
  if (cant) throw new Error(cant)
  return Object.fromEntries(workings.map((a) => [a.label, a.value]))
}

import { type ShallowRef, shallowRef } from 'vue'
import type { useJob } from './job.js'

type Bench = ReturnType<typeof useJob>
const bench = shallowRef<Bench>()

/** The store of the job on the bench; undefined until a job was first asked for, since all that reckons comes with it. */
export const useBench = (): Readonly<ShallowRef<Bench | undefined>> => bench

/** Fetches the bench and all that reckons; at once where it is there already. */
export async function fetchBench(): Promise<Bench> {
  const { useJob } = await import('./job.js')
  bench.value ??= useJob()
  return bench.value
}

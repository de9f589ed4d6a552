import type { ThreadName } from './parts.worker.js'

/** Another thread for one sort of questions. All of them are one program, which fetches the part it was started for. */
export const threadFor = (what: ThreadName): Worker =>
  new Worker(new URL('./parts.worker.ts', import.meta.url), { type: 'module', name: what })

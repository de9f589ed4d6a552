import { fork } from 'node:child_process'
import { availableParallelism } from 'node:os'
import { createRequire } from 'node:module'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { type Answer, type Instance, type Layout, answerOf, askedOf, boardOf } from '@drumlin/core/packing'

/** What one seed came to. */
export interface PackedBy {
  readonly layout: Layout
  readonly length: number
}

/** What a packer is asked. */
export interface PackerAsked {
  readonly instance: Instance
  readonly seed: number
  readonly seconds: number
}

/** More seeds at once than this gain little. */
const MOST_AT_ONCE = 8

/** What runs TypeScript in another process, wherever that is begun. */
const LOADER = pathToFileURL(createRequire(import.meta.url).resolve('tsx')).href

function packedBy(instance: Instance, seed: number, seconds: number): Promise<PackedBy> {
  const packer = fork(fileURLToPath(new URL('packer.ts', import.meta.url)), {
    execArgv: ['--import', LOADER],
    serialization: 'advanced',
  })
  return new Promise((resolve, reject) => {
    packer.once('message', (by) => resolve(by as PackedBy))
    packer.once('error', reject)
    packer.once('exit', (code) => reject(new Error(`packing ended early (${code ?? 'stopped'})`)))
    packer.send({ instance, seed, seconds } satisfies PackerAsked)
  })
}

/** Packs an instance for so many seconds, one seed to each core from `seed` on; the shortest strip counts. */
export async function pack(instance: Instance, seed: number, seconds: number): Promise<Answer> {
  const { asked, tooWide } = askedOf(instance, seed)
  if (asked.things.length === 0) return { placed: [], unplaced: tooWide }
  const seeds = Array.from({ length: Math.min(MOST_AT_ONCE, availableParallelism()) }, (_, i) => seed + i)
  const all = await Promise.all(seeds.map((s) => packedBy(instance, s, seconds)))
  const best = all.reduce((a, b) => (b.length < a.length ? b : a))
  return answerOf(instance, asked.things, { ...best, board: boardOf(asked) }, tooWide)
}

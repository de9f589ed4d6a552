import { type ShallowRef, onScopeDispose, shallowRef } from 'vue'
import type { Design } from '@drumlin/core/design'
import type { ChoicePicture } from '@drumlin/core/overview'
import { type Helper, helper } from '../workers/ask.js'
import type { PicturesAsked } from '../workers/pictures.worker.js'

/** How long the pictures of a menu may take, ms. */
const LIMIT = 20_000
let drawer: Helper | undefined
/** The last few answers, so that opening a menu again shows them at once. */
const known = new Map<string, Readonly<Record<string, ChoicePicture>>>()
const KEPT = 12

export interface Pictures {
  /** By the value of the choice; undefined while they are drawn. */
  readonly pictures: ShallowRef<Readonly<Record<string, ChoicePicture>> | undefined>
  readonly draw: (design: Design, field: string) => Promise<void>
}

/** Pictures of the choices of a setting, drawn in another thread when its menu opens. */
export function useChoicePictures(): Pictures {
  const pictures = shallowRef<Readonly<Record<string, ChoicePicture>>>()
  let [asked, gone] = [0, false]
  async function draw(design: Design, field: string): Promise<void> {
    asked += 1
    const mine = asked
    const question: PicturesAsked = { design, field }
    const key = JSON.stringify(question)
    pictures.value = known.get(key)
    if (pictures.value) return
    drawer ??= helper(
      () => new Worker(new URL('../workers/pictures.worker.ts', import.meta.url), { type: 'module' }),
    )
    // Without pictures the choices still say what they are.
    const drawn = await drawer
      .ask<Readonly<Record<string, ChoicePicture>>>(question, { limit: LIMIT })
      .catch(() => ({}))
    known.set(key, drawn)
    const [oldest] = known.keys()
    if (known.size > KEPT && oldest !== undefined) known.delete(oldest)
    if (mine === asked && !gone) pictures.value = drawn
  }
  onScopeDispose(() => (gone = true))
  return { pictures, draw }
}

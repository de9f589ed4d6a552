import { threadFor } from '../workers/thread.js'
import { type ShallowRef, onScopeDispose, shallowRef } from 'vue'
import type { AddedPicture, ChoicePicture } from '@drumlin/core/overview'
import { type Helper, helper } from '../workers/ask.js'
import type { PicturesAsked } from '../workers/pictures.worker.js'

/** How long the pictures of a menu may take, ms. */
const LIMIT = 20_000
let drawer: Helper | undefined
/** The last few answers, so that opening a menu again shows them at once. */
const known = new Map<string, Readonly<Record<string, unknown>>>()
const KEPT = 12

export interface Pictures<Picture, Asked> {
  /** By what each is a picture of; undefined while they are drawn. */
  readonly pictures: ShallowRef<Readonly<Record<string, Picture>> | undefined>
  readonly draw: (asked: Asked) => Promise<void>
}

/** Pictures drawn in another thread when a menu opens. */
function usePictures<Picture, Asked extends PicturesAsked>(): Pictures<Picture, Asked> {
  const pictures = shallowRef<Readonly<Record<string, Picture>>>()
  let [asked, gone] = [0, false]
  async function draw(question: Asked): Promise<void> {
    asked += 1
    const mine = asked
    const key = JSON.stringify(question)
    pictures.value = known.get(key) as Readonly<Record<string, Picture>> | undefined
    if (pictures.value) return
    drawer ??= helper(() => threadFor('pictures'))
    // Without pictures the choices still say what they are.
    const drawn = await drawer
      .ask<Readonly<Record<string, Picture>>>(question, { limit: LIMIT })
      .catch((): Readonly<Record<string, Picture>> => ({}))
    known.set(key, drawn)
    const [oldest] = known.keys()
    if (known.size > KEPT && oldest !== undefined) known.delete(oldest)
    if (mine === asked && !gone) pictures.value = drawn
  }
  onScopeDispose(() => (gone = true))
  return { pictures, draw }
}

type OfField = Extract<PicturesAsked, { field: string }>
type OfPanel = Extract<PicturesAsked, { panel: string }>

/** Pictures of the choices of a setting, of the thing or of a part put on it. */
export const useChoicePictures = (): Pictures<ChoicePicture | AddedPicture, OfField> => usePictures()
/** Pictures of what can be put on a panel. */
export const useAddedPictures = (): Pictures<AddedPicture, OfPanel> => usePictures()

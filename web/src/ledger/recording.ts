import { type Making, type MakingRecord, corrected } from '@drumlin/core/makings'
import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { reasonOf } from '../app/reason.js'
import { useTrouble } from '../app/trouble.js'
import { shrunk } from '../bench/photo.js'
import { savePhoto } from '../output/save.js'
import { freeId } from '../shelf/ids.js'
import { addPhoto, changeMaking, photosOf, readMaking, removePhoto } from '../storage/makings.js'
import { useBooks } from './books.js'

/** A photograph as it is shown. */
export interface Shot {
  readonly id: string
  readonly step: string
  readonly taken: number
  readonly url: string
  readonly hasOriginal: boolean
}

/** The record of one making: read, corrected, with its photographs. */
export function useRecord(id: () => string) {
  const books = useBooks()
  const trouble = useTrouble()
  const making = shallowRef<Making>()
  const failed = ref('')
  const read = ref(false)
  const shots = shallowRef<readonly Shot[]>([])
  const drop = (): void => {
    for (const s of shots.value) URL.revokeObjectURL(s.url)
  }
  onScopeDispose(drop)
  async function showShots(): Promise<void> {
    const all = await photosOf(id())
    drop()
    shots.value = all
      .toSorted((a, b) => a.taken - b.taken)
      .map((p) => ({
        id: p.id,
        step: p.step,
        taken: p.taken,
        url: URL.createObjectURL(p.picture),
        hasOriginal: p.original !== undefined,
      }))
  }
  watch(
    id,
    async (now) => {
      read.value = false
      try {
        making.value = await readMaking(now)
        await showShots()
      } catch (error) {
        failed.value = reasonOf(error)
      }
      read.value = true
    },
    { immediate: true },
  )
  async function change(to: (now: Making) => Making): Promise<void> {
    await trouble.attempt('The record could not be kept', async () => {
      making.value = await changeMaking(id(), to)
      books.changed(making.value)
    })
  }
  const edit = (to: Partial<MakingRecord>): Promise<void> =>
    change((m) => ({ ...m, record: { ...m.record, ...to } }))
  const minutes = (step: string, to: number): Promise<void> => change((m) => corrected(m, step, to))

  /** Keeps a photograph with the making; says why not where it is none. */
  async function photograph(file: File, original: boolean): Promise<string> {
    const now = making.value
    if (!now) return ''
    const small = await shrunk(file)
    if (!small.ok) return small.why
    const photo = freeId(
      `photo-${Date.now().toString(36)}`,
      shots.value.map((s) => s.id),
    )
    try {
      await addPhoto({
        id: photo,
        making: now.id,
        step: '',
        taken: Date.now(),
        picture: small.picture,
        ...(original ? { original: file } : {}),
      })
    } catch (error) {
      return `The photograph could not be kept: ${reasonOf(error)}`
    }
    await edit({ photos: [...now.record.photos, photo] })
    await showShots()
    return ''
  }
  async function forgetPhoto(photo: string): Promise<void> {
    await trouble.attempt('The photograph could not be removed', async () => {
      await removePhoto(photo)
      await change((m) => ({
        ...m,
        steps: Object.fromEntries(
          Object.entries(m.steps).map(([k, s]) => [k, { ...s, photos: s.photos.filter((p) => p !== photo) }]),
        ),
        record: { ...m.record, photos: m.record.photos.filter((p) => p !== photo) },
      }))
      await showShots()
    })
  }
  /** The picture itself, for paper. */
  async function bytesOf(photo: string): Promise<Uint8Array | undefined> {
    const found = (await photosOf(id())).find((p) => p.id === photo)
    return found && new Uint8Array(await found.picture.arrayBuffer())
  }
  /** The photograph as it came from the camera, as a file. */
  async function original(photo: string): Promise<void> {
    const found = (await photosOf(id())).find((p) => p.id === photo)
    if (found?.original) savePhoto(found.original, photo)
  }
  return { original, making, failed, read, shots, change, edit, minutes, photograph, forgetPhoto, bytesOf }
}
export type Recording = ReturnType<typeof useRecord>

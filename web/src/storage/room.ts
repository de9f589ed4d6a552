import { database } from './db.js'

/** Room that the browser gives, bytes: how much is used, how much there is, and what photographs take of it. */
export interface Room {
  readonly used: number
  readonly all: number
  readonly photographs: number
  readonly originals: number
}

/** From here on it is said, as a share of the room. */
const NEARLY = 0.8

/** The room, where it is nearly used up; undefined where there is enough, or the browser does not tell. */
export async function scarceRoom(
  estimate: () => Promise<StorageEstimate> = () => navigator.storage.estimate(),
): Promise<Room | undefined> {
  const { usage: used, quota: all } = await estimate().catch((): StorageEstimate => ({}))
  if (used === undefined || all === undefined || all === 0 || used < NEARLY * all) return undefined
  let [photographs, originals] = [0, 0]
  for (const photo of await (await database()).getAll('photos')) {
    photographs += photo.picture.size
    originals += photo.original?.size ?? 0
  }
  return { used, all, photographs, originals }
}

import type { Derived } from '../derived/index.js'
import { type Frame, type Snapshot, type SnapshotLook, cameraFor, snapshotOf } from '../snapshot/index.js'
import { type Picture, pictureOf } from '../space/index.js'

/** The picture on a card, pixels. */
const CARD: Frame = { width: 330, height: 200 }
/** How far what has no standing of its own is opened, so that its inside is seen. */
const AJAR = 0.35
/** Ink and thread of small pictures. */
export const SMALL: SnapshotLook = { ink: [31, 45, 51], thread: [91, 106, 110], metal: [185, 188, 180] }

/** How far a thing is opened where it is shown small: bags are shut, wallets ajar. */
export const ajar = (derived: Derived): number => (derived.master.standing ? 0 : AJAR)

/** The picture less straps and handles. */
export const unstrapped = (picture: Picture): Picture => ({
  ...picture,
  sheets: picture.sheets.filter((s) => s.group !== 'straps'),
  strapStitches: new Float32Array(),
})
/** A strap that would make everything else smaller than this share is left out. */
const DWARFED = 0.66

/** The picture with its straps, unless they would make all the rest small. */
function readable(picture: Picture, frame: Frame): Picture {
  const bare = unstrapped(picture)
  const scale = ({ sheets }: Picture): number =>
    cameraFor(
      sheets.map((s) => s.mesh.positions),
      frame,
    )?.scale ?? 0
  return scale(picture) < DWARFED * scale(bare) ? bare : picture
}

/** The finished thing as it is shown small; undefined where nothing lies together yet. */
export function finished(derived: Derived, frame: Frame = CARD): Snapshot | undefined {
  const [open] = derived.works
  return open && snapshotOf(readable(pictureOf(derived, open, ajar(derived)), frame), frame, SMALL)
}

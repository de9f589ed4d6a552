import { type Design, applyEdit, setField } from '../design/index.js'
import { type Derived, derive, unworkable } from '../derived/index.js'
import { pathData } from '../drawing/index.js'
import { type Box, pathBox } from '../geometry/index.js'
import type { Field } from '../kinds/index.js'
import {
  type Camera,
  type Frame,
  type Snapshot,
  cameraFor,
  differing,
  framed,
  snapshotOf,
} from '../snapshot/index.js'
import { type Picture, pictureOf } from '../space/index.js'
import { SMALL, ajar, unstrapped } from './finished.js'

type Choice = Field & { readonly type: 'choice' }

/** A piece as one choice would have it cut. */
export interface PieceShape {
  readonly d: string
  readonly box: Box
  readonly swatch: string
}

/** What a choice would look like: that part of the finished thing in which the choices differ, or else the piece in which they do. */
export type ChoicePicture = { readonly picture: Snapshot } | { readonly shape: PieceShape }

/** A picture beside a choice, pixels. */
export const CHOICE_FRAME: Frame = { width: 120, height: 80 }
/** The whole is looked over at this size to find where choices differ, pixels. */
const PROBE: Frame = { width: 240, height: 160 }
/** What is shown is at least this share of the whole, so that one sees where it is. */
const LEAST = 0.3

interface Tried {
  readonly value: string
  readonly derived: Derived
  readonly picture: Picture | undefined
}

/** The design with each choice taken, as far as anything can be made of it. */
function tried(design: Design, field: Choice): Tried[] {
  return field.choices.flatMap(({ value }) => {
    const edited = applyEdit(design, setField(field.label, field.path, value))
    if (!edited.ok) return []
    let made: Tried | undefined
    const why = unworkable(() => {
      const derived = derive(edited.design)
      const [open] = derived.works
      // Reckoned here, so that what can't be stood up counts as not workable.
      made = { value, derived, picture: open && pictureOf(derived, open, ajar(derived)) }
      return derived
    })
    return why === undefined && made ? [made] : []
  })
}

const placesOf = (pictures: readonly Picture[]): Float32Array[] =>
  pictures.flatMap((p) => p.sheets.map((s) => s.mesh.positions))

/** The same view of each, framed to where they differ; none where no difference shows. */
function inTheRound(
  all: readonly Tried[],
  shown: (picture: Picture) => Picture,
): Record<string, ChoicePicture> | undefined {
  const standing = all.flatMap(({ value, picture }) => (picture ? [{ value, picture: shown(picture) }] : []))
  if (standing.length < 2) return undefined
  const camera = cameraFor(placesOf(standing.map((s) => s.picture)), PROBE)
  if (!camera) return undefined
  const shots = (view: Camera, frame: Frame) =>
    standing.flatMap(({ value, picture }) => {
      const shot = snapshotOf(picture, frame, SMALL, view)
      return shot ? [{ value, shot }] : []
    })
  const where = differing(shots(camera, PROBE).map((s) => s.shot))
  if (!where) return undefined
  const close = framed(camera, PROBE, where, CHOICE_FRAME, LEAST)
  const drawn = shots(close, CHOICE_FRAME)
  // What differed by a few dots may be lost in the small picture.
  if (!differing(drawn.map((s) => s.shot))) return undefined
  return Object.fromEntries(drawn.map(({ value, shot }) => [value, { picture: shot }]))
}

/** The piece whose outline the choices change into the most different shapes. */
function byPiece(all: readonly Tried[]): Record<string, ChoicePicture> {
  const shapes = new Map<string, Map<string, PieceShape>>()
  for (const { value, derived } of all)
    for (const piece of derived.pieces) {
      const own = shapes.get(piece.id) ?? new Map<string, PieceShape>()
      own.set(value, { d: pathData(piece.cut), box: pathBox(piece.cut), swatch: piece.swatch })
      shapes.set(piece.id, own)
    }
  const kinds = (own: ReadonlyMap<string, PieceShape>): number =>
    new Set([...own.values()].map((s) => s.d)).size
  const [best] = [...shapes.values()].sort((a, b) => kinds(b) - kinds(a))
  if (!best || kinds(best) < 2) return {}
  return Object.fromEntries([...best].map(([value, shape]) => [value, { shape }]))
}

/** A small true picture of every choice of a setting, from the design as it would be made with it. Empty where nothing would look otherwise. */
export function choicePictures(design: Design, field: Choice): Readonly<Record<string, ChoicePicture>> {
  const all = tried(design, field)
  // Straps make the rest small: they are left out where the choice shows without them.
  return inTheRound(all, unstrapped) ?? inTheRound(all, (whole) => whole) ?? byPiece(all)
}

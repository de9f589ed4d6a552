import { type Move, type Point, type Point3 } from '../../geometry/index.js'
import type {
  Clip,
  Concern,
  Corner,
  Fit,
  Fitting,
  Hanging,
  Join,
  MasterSize,
  Panel,
  Room,
  PanelSheet,
  Riding,
  Stood,
  StrapRun,
} from '../../master/index.js'
import { panelSheet } from '../parts/sheets.js'
import type { Flap } from './parts/flap.js'

/** Panels that lie together in the laid-out work, lowest first, in the coordinates of the one that carries them. */
export interface Pile {
  readonly base: string
  readonly sheets: readonly PanelSheet[]
}

/** Two places on two sheets that come to lie on each other, each in its own panel's coordinates. */
export interface Meeting {
  readonly id: string
  readonly a: { readonly sheet: string; readonly at: Point }
  readonly b: { readonly sheet: string; readonly at: Point }
}

/** A part of a bag: all it brings. Parts are put together by laying their lists end to end. */
export interface Part {
  readonly panels: readonly Panel[]
  readonly piles: readonly Pile[]
  /** Sheets that lie on a sheet of another part: inside it (below) or on its outside (above). */
  readonly onto: readonly {
    readonly on: string
    readonly where: 'inside' | 'outside'
    readonly sheet: PanelSheet
  }[]
  readonly joins: readonly Join[]
  readonly meetings: readonly Meeting[]
  readonly sizes: readonly MasterSize[]
  readonly concerns: readonly Concern[]
  readonly fits: readonly Fit[]
  readonly fittings: readonly Fitting[]
  readonly corners: readonly Corner[]
  readonly hanging: readonly Hanging[]
  readonly strapRuns: readonly StrapRun[]
  /** Compartments it brings besides the body's own. */
  readonly rooms: readonly NonNullable<Room['second']>[]
  readonly stood: (opened: number) => readonly Stood[]
}

const NOTHING: Part = {
  panels: [],
  piles: [],
  onto: [],
  joins: [],
  meetings: [],
  sizes: [],
  concerns: [],
  fits: [],
  fittings: [],
  corners: [],
  hanging: [],
  strapRuns: [],
  rooms: [],
  stood: () => [],
}

/** A place to put things on a bag: its own coordinates have x to the right of who looks at it, y down from its top edge. */
export interface Face {
  readonly sheet: string
  /** From the face's coordinates to those of the panel of its sheet. */
  readonly move: Move
  readonly wide: number
  readonly high: number
  /** Its cut edges left and right so far down, allowances and all: what goes into the seams beside it ends there. */
  readonly edges?: (down: number) => readonly [number, number]
  /** Where its top middle stands between the stitch lines, and its directions in space. */
  readonly frame: (opened: number) => {
    readonly origin: Point3
    readonly right: Point3
    readonly down: Point3
    readonly grain: Point3
  }
  /** How far the middle of its leather lies outside the stitch lines, mm. */
  readonly seamOffset: number
}

/** Where a foot is flat and bare. Lengths mm. */
export interface Foot {
  /** Half its width and half its depth. */
  readonly wide: number
  readonly deep: number
  /** The place so far to the right and to the front of its middle, on the panel of a sheet. */
  readonly at: (x: number, z: number) => { readonly sheet: string; readonly at: Point }
}

/** A bag's body: its panels, and where other parts can be put on it. */
export interface Body extends Part {
  readonly front: Face
  readonly back: Face
  /** Right and left side at the top; the back where the sides fold. */
  readonly right: Face
  readonly left: Face
  /** The height of the foot's stitch line or fold, and from middle to middle of the leather at the top, mm. */
  readonly flap: Flap | undefined
  /** Rows that join its panels while they lie flat, before it is closed. */
  readonly flat?: readonly Join[]
  /** The flat of the foot; sides that fold leave none. */
  readonly foot: Foot | undefined
  /** Middle to middle of the leather of front and back at the top edge, mm. */
  readonly apart: number
  readonly lean: number
}

/** A part with only so much to it. */
export const part = (some: Partial<Part>): Part => ({ ...NOTHING, ...some })

/** Several parts as one. */
export const together = (parts: readonly Part[]): Part =>
  parts.reduce<Part>(
    (a, b) => ({
      panels: [...a.panels, ...b.panels],
      piles: [...a.piles, ...b.piles],
      onto: [...a.onto, ...b.onto],
      joins: [...a.joins, ...b.joins],
      meetings: [...a.meetings, ...b.meetings],
      sizes: [...a.sizes, ...b.sizes],
      concerns: [...a.concerns, ...b.concerns],
      fits: [...a.fits, ...b.fits],
      fittings: [...a.fittings, ...b.fittings],
      corners: [...a.corners, ...b.corners],
      hanging: [...a.hanging, ...b.hanging],
      strapRuns: [...a.strapRuns, ...b.strapRuns],
      rooms: [...a.rooms, ...b.rooms],
      stood: (opened) => [...a.stood(opened), ...b.stood(opened)],
    }),
    NOTHING,
  )

/** A panel lying by itself, grain side up; its sheet has the panel's id unless it is one of several. */
export const alone = (panel: Panel, id = panel.id, name = panel.name.toLowerCase()): Pile => ({
  base: id,
  sheets: [panelSheet(id, name, panel.id, { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 }, true)],
})

/** A sheet on another part's sheet: `move` in the coordinates of that panel. What lies inside shows its flesh. */
export const onto = (
  on: string,
  where: 'inside' | 'outside',
  panel: Panel,
  move: Move,
  id = panel.id,
  grainUp = where === 'outside',
  clips: readonly Clip[] = [],
): Part['onto'][number] => ({
  on,
  where,
  sheet: panelSheet(id, panel.name.toLowerCase(), panel.id, move, grainUp, clips),
})

/** What lies on others, in space too. */
export const ridingOf = (all: Part): Riding[] => {
  const host = (id: string): string => {
    const up = all.onto.find((o) => o.sheet.id === id)
    if (up) return host(up.on)
    return all.piles.find((p) => p.sheets.some((s) => s.id === id))?.base ?? id
  }
  const inPiles = all.piles.flatMap((p) =>
    p.sheets.filter((s) => s.id !== p.base).map((s) => ({ sheet: s.id, on: p.base })),
  )
  // What stands by itself rides on nothing.
  const stands = new Set(all.stood(1).map((s) => s.sheet))
  return [
    ...inPiles.filter((r) => !stands.has(r.sheet)),
    ...all.onto.filter((o) => !stands.has(o.sheet.id)).map((o) => ({ sheet: o.sheet.id, on: host(o.on) })),
  ]
}

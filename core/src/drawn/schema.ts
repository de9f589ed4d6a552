import { z } from 'zod'
import { idSchema, wordsSchema } from '../stores/index.js'

/** Coordinates of a drawing stay within this, mm: more than the longest hide. */
const REACH = 5000
const coordinate = z.number().min(-REACH).max(REACH)
const place = z.strictObject({ x: coordinate, y: coordinate })
const mm = (min: number, max: number) => z.number().min(min).max(max)
const angle = z.number().min(-7).max(7)
const name = wordsSchema(60)
const finish = z.enum(['burnished', 'painted', 'left'])

const turned = {
  width: mm(1, 200),
  school: z.enum(['even', 'fold', 'feather']),
  /** Thickness left at the skived edge; the leather's own experience where null. */
  atEdge: mm(0, 4).nullable(),
  feather: mm(0.5, 30),
  core: z.enum(['round', 'square']),
  /** Rows of stitches that hold it, the first so far in from the finished edge. */
  lines: z.union([z.literal(0), z.literal(1), z.literal(2)]),
  margin: mm(0.5, 60),
}

/** What becomes of an edge, as the maker decides it; lengths in mm. */
export const fateSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('raw'), finish }),
  z.strictObject({ type: z.literal('turned'), ...turned }),
  z.strictObject({ type: z.literal('rolled'), ...turned }),
  z.strictObject({ type: z.literal('bound'), width: mm(1, 60), binding: mm(0.2, 4), margin: mm(0.5, 60) }),
  z.strictObject({ type: z.literal('sewn'), margin: mm(0.5, 60), finish }),
  z.strictObject({ type: z.literal('trimmed'), margin: mm(0.5, 60), trim: mm(0, 60), finish }),
  z.strictObject({ type: z.literal('doubled') }),
  z.strictObject({ type: z.literal('long'), by: mm(0, 500) }),
])
export type DrawnFate = z.infer<typeof fateSchema>

/** How the outline goes on from a point: straight, round an arc of so much rise, or along a curve with two handles. */
const goingSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('line') }),
  /** Rise of the arc over its chord, mm; positive where it bulges to the left of one who walks along it. */
  z.strictObject({ type: z.literal('arc'), rise: mm(-2000, 2000) }),
  z.strictObject({ type: z.literal('curve'), c1: place, c2: place }),
])
export type Going = z.infer<typeof goingSchema>

/** A point of the outline and the edge that leaves it. */
export const nodeSchema = z.strictObject({
  x: coordinate,
  y: coordinate,
  /** Radius the corner here is rounded by; 0 leaves it as drawn. */
  radius: mm(0, 1000),
  going: goingSchema,
  /** Points of one edge carry the same edge id one after the other. */
  edge: idSchema,
})
export type Node = z.infer<typeof nodeSchema>

const edgeSchema = z.strictObject({ id: idSchema, name, fate: fateSchema })
export type DrawnEdge = z.infer<typeof edgeSchema>

/** A line across the panel: upright or level at a distance, or at any angle through a place. */
const foldSchema = z.strictObject({
  id: idSchema,
  name,
  at: place,
  /** Direction of the fold line, radians; a quarter turn is upright. */
  angle,
  type: z.enum(['book', 'wrapped', 'z', 'groove']),
  /** What lies in the fold, mm. */
  gap: mm(0, 200),
  /** How far it is folded, radians. */
  turn: mm(0.1, 3.15),
  rises: z.enum(['mountain', 'valley']),
  /** What the drawing shows: as it lies flat, the outside when folded, or up to where the bend begins. */
  drawn: z.enum(['flat', 'outside', 'bend']),
  school: z.enum(['figured', 'draped']),
  groove: z.strictObject({ shape: z.enum(['v', 'flat']), depth: mm(0, 6), opening: mm(0.2, 3.2) }).nullable(),
})
export type DrawnFold = z.infer<typeof foldSchema>

/** A skive the maker asks for: along edges, or a band along a line across the panel. */
const skiveSchema = z.strictObject({
  id: idSchema,
  name,
  where: z.discriminatedUnion('type', [
    z.strictObject({ type: z.literal('edge'), edge: idSchema }),
    z.strictObject({ type: z.literal('band'), from: place, to: place }),
  ]),
  width: mm(0.5, 300),
  /** Thickness at the edge (or on the first side of a band) and at the inner side, mm. */
  start: mm(0, 8),
  end: mm(0, 8),
})
export type DrawnSkive = z.infer<typeof skiveSchema>

/** A layer behind a panel; it follows the panel's outline. */
const layerSchema = z.strictObject({
  id: idSchema,
  name,
  sort: z.enum(['lining', 'reinforcement', 'board', 'foam', 'interlining']),
  /** Kept so far inside the finished edge (outside where negative), mm; what its sort asks for where null. */
  inset: mm(-60, 200).nullable(),
  /** Its own edges turned by so much; 0 leaves them raw. */
  turn: mm(0, 60),
  /** Cut first as a block this much bigger all round; 0 cuts it to size. */
  block: mm(0, 60),
  /** Board and foam say what they are; leather layers have a leather of the design of the role `panel-layer`. */
  stock: z.strictObject({ name, thickness: mm(0.05, 20) }).nullable(),
})
export type DrawnLayer = z.infer<typeof layerSchema>

/** Where a mark lies: along an edge by distance from its start, by share, facing another mark, or anywhere. */
const markPlace = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('distance'), edge: idSchema, mm: mm(0, 5000), inset: mm(-60, 500) }),
  z.strictObject({ type: z.literal('share'), edge: idSchema, share: mm(0, 1), inset: mm(-60, 500) }),
  z.strictObject({ type: z.literal('opposite'), mark: idSchema, edge: idSchema }),
  z.strictObject({ type: z.literal('place'), x: coordinate, y: coordinate }),
])
export type MarkPlace = z.infer<typeof markPlace>

const markSchema = z.strictObject({
  id: idSchema,
  type: z.enum(['notch', 'centre', 'slot', 'hole', 'text', 'up', 'grain', 'window']),
  where: markPlace,
  /** Letters a notch shares with its other half; what a text says. */
  text: wordsSchema(60, 0),
  angle,
  length: mm(0, 500),
  width: mm(0, 200),
  /** Across of the punch, mm. */
  punch: mm(0, 40),
})
export type DrawnMark = z.infer<typeof markSchema>

/** A panel drawn by hand at finished size. */
export const drawnPanelSchema = z.strictObject({
  id: idSchema,
  name,
  role: z.string().min(1).max(80),
  count: z.number().int().min(1).max(99),
  flipped: z.number().int().min(0).max(99),
  /** Points in order; a half drawing begins and ends on its axis. */
  nodes: z.array(nodeSchema).min(2).max(400),
  edges: z.array(edgeSchema).min(1).max(400),
  /** The axis a half drawing is mirrored across. */
  mirror: z.strictObject({ way: z.enum(['upright', 'level']), at: coordinate }).nullable(),
  folds: z.array(foldSchema).max(40),
  skives: z.array(skiveSchema).max(80),
  layers: z.array(layerSchema).max(20),
  marks: z.array(markSchema).max(300),
  grain: angle,
  /** Which way it is pulled when the thing is used, as a strap or a handle is; left out where it is not. */
  pull: angle.optional(),
  split: mm(0.2, 8).nullable(),
  block: mm(0, 60),
  /** Where it lies in the work, turned about its origin by so much before it is moved, and whether its grain side is up there. */
  lies: z.strictObject({ x: coordinate, y: coordinate, turn: angle, grainUp: z.boolean() }),
})
export type DrawnPanel = z.infer<typeof drawnPanelSchema>

/** Two edges that have to match: the second follows the first, or the maker is warned. */
export const tieSchema = z.strictObject({
  id: idSchema,
  type: z.enum(['equal', 'same']),
  first: z.strictObject({ panel: idSchema, edge: idSchema }),
  second: z.strictObject({ panel: idSchema, edge: idSchema }),
  when: z.enum(['move', 'warn']),
})
export type Tie = z.infer<typeof tieSchema>

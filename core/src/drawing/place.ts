import {
  type Box,
  type Path,
  type Point,
  boxHeight,
  boxWidth,
  boxesTouch,
  line,
  openPath,
  pathBox,
} from '../geometry/index.js'
import { firstOf } from '../lists/index.js'
import { type Ink, inkRound } from './ink.js'
import { type Drawn, type LayerName, stroke } from './primitives.js'

/** One way something can be written or drawn: how much room it takes, and what it is, about its middle. */
export interface Form {
  readonly width: number
  readonly height: number
  readonly draw: (centre: Point) => readonly Drawn[]
}

/** Something that wants a place on or beside a piece: words about a mark, the label of the piece. */
export interface Ask {
  readonly layer: LayerName
  /** What it is about. */
  readonly about: Point
  /** So far from that it stays at least, mm. */
  readonly off: number
  /** Which way from it is tried first, radians, clockwise from the right. */
  readonly toward?: number
  /** Ways of writing it, the best first. */
  readonly forms: readonly Form[]
  /** On the piece, beside it, or wherever is nearest. */
  readonly where: 'inside' | 'outside' | 'any'
  /** Left out where there is no room on the piece. */
  readonly optional?: boolean
  /** Where it can't stand near, a line leads from it to what it is about. */
  readonly leader: boolean
}

/** Between words and anything else that is drawn, mm. */
const PAD = 0.5
/** Words farther than this from what they are about are led to it, mm. */
const NEAR = 4.5
/** Farther than this round a piece words are not looked for by cells: there everything is free. */
const MARGIN = 22
/** Rings round a mark are this far apart, and so many directions are tried on each. */
const [RING, DIRECTIONS, FARTHEST] = [1.2, 24, 90] as const

const boxAt = ({ width, height }: Form, { x, y }: Point): Box => ({
  left: x - width / 2,
  right: x + width / 2,
  top: y - height / 2,
  bottom: y + height / 2,
})

/** From a place to the nearest of a box, mm. */
const gapTo = (box: Box, { x, y }: Point): number =>
  Math.hypot(Math.max(box.left - x, 0, x - box.right), Math.max(box.top - y, 0, y - box.bottom))

/** Whether a straight line comes within words' distance of a box. */
function chordMeets(box: Box, a: Point, b: Point): boolean {
  let [from, to] = [0, 1]
  for (const [start, end, low, high] of [
    [a.x, b.x, box.left - PAD, box.right + PAD],
    [a.y, b.y, box.top - PAD, box.bottom + PAD],
  ] as const) {
    const way = end - start
    if (way === 0) {
      if (start < low || start > high) return false
      continue
    }
    const [s, t] = [(low - start) / way, (high - start) / way]
    from = Math.max(from, Math.min(s, t))
    to = Math.min(to, Math.max(s, t))
  }
  return from <= to
}

interface Found {
  readonly form: Form
  readonly at: Point
}

/** What stands already, and what may stand where. */
class Layout {
  private readonly taken: Box[] = []
  private readonly leaders: (readonly [Point, Point])[] = []
  readonly drawn: Drawn[] = []
  readonly span: Box

  constructor(
    private readonly hard: Ink,
    /** What may be written over where there is no other room; none where nothing of it is drawn. */
    private readonly soft: Ink | undefined,
    outline: Path,
  ) {
    this.span = pathBox(outline)
  }

  fits(box: Box, where: Ask['where'], clean: boolean): boolean {
    if (this.taken.some((t) => boxesTouch(t, box, PAD))) return false
    if (!this.hard.free(box, PAD)) return false
    if (clean && this.soft && !this.soft.free(box, PAD)) return false
    if (this.leaders.some(([a, b]) => chordMeets(box, a, b))) return false
    if (where === 'inside') return this.hard.inside(box)
    return where === 'outside' ? this.hard.clear(box) : this.hard.inside(box) || this.hard.clear(box)
  }

  set({ form, at }: Found, ask: Ask, led: boolean): void {
    const box = boxAt(form, at)
    this.taken.push(box)
    this.drawn.push(...form.draw(at))
    if (led) this.lead(box, ask)
  }

  private lead(box: Box, { about, layer }: Ask): void {
    const from = {
      x: Math.min(box.right + 0.6, Math.max(box.left - 0.6, about.x)),
      y: Math.min(box.bottom + 0.6, Math.max(box.top - 0.6, about.y)),
    }
    if (Math.hypot(from.x - about.x, from.y - about.y) < 0.5) return
    this.drawn.push(stroke(layer, openPath([line(from, about)]), LEADER))
    // Words that come later keep off it.
    this.leaders.push([from, about])
  }
}
const LEADER = 0.12

/** The nearest free place round what it is about, ring by ring, the wished-for direction first. */
function roundAbout(
  layout: Layout,
  ask: Ask,
  where: Ask['where'],
  reach: number,
  clean: boolean,
): Found | undefined {
  const { about, off, toward = 0 } = ask
  for (let gap = off; gap <= reach; gap += RING * (1 + gap / 30))
    for (const form of ask.forms)
      for (let k = 0; k < DIRECTIONS; k += 1) {
        // Right, left of it, by turns: 0, 1, −1, 2, −2 …
        const turn = ((k % 2 === 1 ? 1 : -1) * Math.ceil(k / 2) * 2 * Math.PI) / DIRECTIONS
        const [cos, sin] = [Math.cos(toward + turn), Math.sin(toward + turn)]
        const out =
          gap +
          Math.min(
            form.width / 2 / Math.max(1e-9, Math.abs(cos)),
            form.height / 2 / Math.max(1e-9, Math.abs(sin)),
          )
        const at = { x: about.x + cos * out, y: about.y + sin * out }
        if (layout.fits(boxAt(form, at), where, clean)) return { form, at }
      }
  return undefined
}

/** Between places at which a label is tried on a piece, mm; a large piece is searched more coarsely. */
const stepOn = (box: Box): number => Math.max(1.5, Math.sqrt(boxWidth(box) * boxHeight(box)) / 60)

/** The free place on the piece nearest to what it is about. */
function onPiece(layout: Layout, { about }: Ask, form: Form, clean: boolean): Found | undefined {
  const { span } = layout
  const step = stepOn(span)
  let best: Found | undefined
  let min = Infinity
  const tried = (at: Point): void => {
    // A maker looks above and below before aside.
    const cost = Math.hypot((at.x - about.x) * 1.3, at.y - about.y)
    if (cost < min && layout.fits(boxAt(form, at), 'inside', clean)) {
      min = cost
      best = { form, at }
    }
  }
  tried(about)
  if (best) return best
  for (let y = span.top + form.height / 2 + 0.3; y <= span.bottom - form.height / 2; y += step)
    for (let x = span.left + form.width / 2 + 0.3; x <= span.right - form.width / 2; x += step)
      tried({ x, y })
  return best
}

function insideMaybe(layout: Layout, ask: Ask): Found | undefined {
  for (const clean of [true, false])
    for (const form of ask.forms) {
      const found = onPiece(layout, ask, form, clean)
      if (found) return found
    }
  return undefined
}

/** On lines that words may lie over they stand only where clean paper is farther off than this, mm. */
const CLEAN = 7

function placeOne(layout: Layout, ask: Ask): void {
  if (ask.where === 'inside') {
    const inside = insideMaybe(layout, ask)
    if (inside) return layout.set(inside, ask, false)
    if (ask.optional) return
  }
  const where = ask.where === 'inside' ? 'outside' : ask.where
  const found =
    roundAbout(layout, ask, where, ask.off + CLEAN, true) ??
    roundAbout(layout, ask, where, ask.off + CLEAN, false) ??
    roundAbout(layout, ask, where, FARTHEST, false) ??
    besideSpan(layout, ask)
  const led = ask.leader && gapTo(boxAt(found.form, found.at), ask.about) > ask.off + NEAR
  layout.set(found, ask, led || (ask.where === 'inside' && ask.leader))
}

/** Beside everything: below the piece, one under the other, where there is always room. */
function besideSpan(layout: Layout, { forms, about }: Ask): Found {
  const form = firstOf(forms)
  for (let down = 2; ; down += 2) {
    const at = { x: about.x, y: layout.span.bottom + down + form.height / 2 }
    if (layout.fits(boxAt(form, at), 'outside', false)) return { form, at }
  }
}

/**
 * Everything that was asked a place for, each where it lies over no line, hole, mark or other words; what finds no room
 * on the piece stands beside it. `soft` strokes may be written over where there is no other room. In the order asked.
 */
export function placed(outline: Path, strokes: readonly Drawn[], asks: readonly Ask[]): readonly Drawn[] {
  if (asks.length === 0) return []
  const hard = inkRound(outline, MARGIN)
  const mayCover = strokes.some((d) => d.type === 'dots' || d.layer === 'skive')
  const soft = mayCover ? inkRound(outline, MARGIN) : undefined
  for (const d of strokes) {
    if (d.type === 'dots') d.points.forEach((p) => soft?.dot(p))
    else if (d.type === 'stroke') (d.layer === 'skive' ? soft : hard)?.draw(d.path)
  }
  const layout = new Layout(hard, soft, outline)
  for (const ask of asks) placeOne(layout, ask)
  return layout.drawn
}

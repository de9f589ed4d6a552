import { type Drawn, hatch, stroke, text } from '../drawing/index.js'
import { type Path, type Point, line, openPath, point, polygon } from '../geometry/index.js'
import { type Units, printLength, printWeight } from '../measure/index.js'
import type { Iron, Leather } from '../stores/index.js'
import { type CouponPlan, couponPlan } from './plan.js'

const WEIGHT = { cut: 0.5, fine: 0.15, tick: 0.35 } as const
const LEFT = 0
const SAID = 105

const box = (x: number, y: number, w: number, h: number): Path =>
  polygon([point(x, y), point(x + w, y), point(x + w, y + h), point(x, y + h)])
const across = (a: Point, b: Point): Path => openPath([line(a, b)])

/** A heading and lines of what to do, beside a test piece. */
const told = (y: number, title: string, lines: readonly string[]): Drawn[] => [
  text('label', point(SAID, y), title, 3.4, 'start', true),
  ...lines.map((words, i) => text('label', point(SAID, y + 6 + i * 4.6), words, 2.9, 'start')),
]
/** A line to write a measurement on. */
const asked = (y: number, words: string): Drawn[] => [
  text('label', point(SAID, y), words, 2.9, 'start'),
  stroke('label', across(point(SAID + 48, y + 0.6), point(SAID + 70, y + 0.6)), WEIGHT.fine),
]

function foldStrip(y: number, plan: CouponPlan, mm: (v: number) => string): Drawn[] {
  const middle = 50
  const mark = (way: number): Drawn =>
    stroke(
      'notches',
      across(point(middle + (way * plan.marks) / 2, y), point(middle + (way * plan.marks) / 2, y + 20)),
      WEIGHT.tick,
    )
  return [
    stroke('cut', box(LEFT, y, 100, 20), WEIGHT.cut),
    mark(-1),
    mark(1),
    ...told(y + 3, `Fold strip: marks ${mm(plan.marks)} apart`, [
      `Fold it a half turn, grain out, round a rod of ${mm(2 * plan.rod)} across.`,
      'Measure both flat legs, from the mark to where the bend begins.',
      `${mm(plan.marks)} less both legs is used up; ${mm(plan.foldUses)} is expected.`,
    ]),
    ...asked(y + 23, 'used up by the bend:'),
  ]
}

function turnStrip(y: number, plan: CouponPlan, mm: (v: number) => string): Drawn[] {
  const [finished, landing] = [y + plan.turnAdded, y + plan.turnAdded + plan.turnWidth]
  return [
    stroke('cut', box(LEFT, y, 100, 40), WEIGHT.cut),
    stroke('finished', across(point(LEFT, finished), point(LEFT + 100, finished)), 0.18),
    stroke('fold-to', across(point(LEFT, landing), point(LEFT + 100, landing)), WEIGHT.fine),
    text('label', point(LEFT + 2, finished - 1), 'finished edge', 2.6, 'start'),
    text('label', point(LEFT + 2, landing - 1), 'fold-to line', 2.6, 'start'),
    ...told(y + 3, `Turned-edge strip: cut ${mm(plan.turnAdded)} beyond the edge`, [
      'Do not skive. Turn the upper border over, hammer it down.',
      'Measure from the outermost edge to where the cut edge lands.',
      `${mm(plan.turnWidth)} is expected.`,
    ]),
    ...asked(y + 23, 'landed at:'),
  ]
}

function skiveStrip(y: number, plan: CouponPlan): Drawn[] {
  const area = box(LEFT, y, 100, plan.skiveWidth)
  return [
    stroke('cut', box(LEFT, y, 100, 25), WEIGHT.cut),
    ...hatch(area, point(LEFT, y + plan.skiveWidth), point(LEFT, y), 1, 0).map((p) =>
      stroke('skive', p, WEIGHT.fine),
    ),
    ...told(y + 3, 'Skive strip: down to nothing at the edge', [
      'Skive the hatched band as you always do.',
      'Measure what is left at the very edge, at three places.',
    ]),
    ...asked(y + 18, 'left at the edge:'),
  ]
}

function holeRow(y: number, plan: CouponPlan, mm: (v: number) => string): Drawn[] {
  const start = LEFT + (100 - plan.stitches * plan.pitch) / 2
  const holes = Array.from({ length: plan.stitches + 1 }, (_, i) => {
    const x = start + i * plan.pitch
    return stroke('holes', across(point(x - 0.5, y + 10.5), point(x + 0.5, y + 9.5)), 0.4)
  })
  return [
    stroke('cut', box(LEFT, y, 100, 20), WEIGHT.cut),
    ...holes,
    ...told(y + 3, `Row of holes: ${plan.stitches} stitches, pitch ${mm(plan.pitch)}`, [
      'Cut two, lay them on each other, sew the row by hand.',
      'Mark the thread before and after: measure what lies in the work.',
      `${mm(plan.thread)} is expected, tails left out.`,
    ]),
    ...asked(y + 23, 'thread used:'),
  ]
}

/** One sheet of test pieces at 1:1, in mm from its upper left corner; what was measured is written beside each. */
export function couponDrawing(leather: Leather, iron: Iron, unit: Units): Drawn[] {
  const plan = couponPlan(leather, iron)
  const mm = (v: number): string => printLength(v, unit)
  return [
    text('label', point(0, 8), `Test pieces: ${leather.name}`, 7, 'start', true),
    text(
      'label',
      point(0, 15),
      `${printWeight(leather.thickness, unit)} · ${iron.name} · cut along the backbone, and a second set across it`,
      3.4,
      'start',
    ),
    text(
      'label',
      point(0, 22),
      'Print at 100 %. Measure the bar before cutting; throw the print away if it is not true.',
      3.2,
      'start',
    ),
    stroke('cut', across(point(0, 30), point(100, 30)), 0.3),
    ...[0, 50, 100].map((x) => stroke('cut', across(point(x, 30), point(x, 26)), 0.2)),
    text('label', point(103, 30), '100 mm', 3.2, 'start'),
    ...foldStrip(44, plan, mm),
    ...turnStrip(84, plan, mm),
    ...skiveStrip(136, plan),
    ...holeRow(174, plan, mm),
    text(
      'label',
      point(0, 214),
      'Knife: fresh blade, cut away from the hand. Skiving: thumb behind the edge.',
      3,
      'start',
    ),
  ]
}

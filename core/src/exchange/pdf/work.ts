import type { Derived } from '../../derived/index.js'
import { drawnSpan } from '../../drawing/index.js'
import { type Evening, timesOf } from '../../makings/index.js'
import { decimal } from '../../measure/index.js'
import { supplySaid } from '../work/csv.js'
import { REASONS, type Step, type Steps, lastCalls, pictureAt, stepPicture } from '../../steps/index.js'
import { BODY, type Block, type Row, paragraph } from './cover/block.js'
import { INDENT, saved, tick, widthOf } from './flow.js'
import type { PdfOptions } from './write.js'

/** How high the picture of a step may be, mm. */
const PICTURE = 26

const minutesSaid = (minutes: number): string =>
  minutes < 90 ? `${decimal(minutes, 0)} min` : `${decimal(minutes / 60, 1)} h`

function pictureRow(step: Step, derived: Derived, width: number): Row[] {
  const drawn = stepPicture(step, derived, width - INDENT, PICTURE)
  return drawn.length === 0
    ? []
    : [{ height: drawnSpan(drawn).bottom + 3, drawn: pictureAt(drawn, INDENT, 1) }]
}

/** A step with its box, picture, rows, tools, last calls and cautions. */
function stepBlock(
  number: number,
  step: Step,
  all: Steps,
  derived: Derived,
  width: number,
  options: PdfOptions,
): Block {
  const calls = lastCalls(step.id, all)
  const waits = step.wait > 0 ? `, then ${minutesSaid(step.wait)} left alone` : ''
  return {
    heading: `${number}. ${step.says}`,
    rows: [
      tick(`done, in ____ min (about ${minutesSaid(step.minutes.value)}${waits})`, width),
      ...pictureRow(step, derived, width),
      ...(step.rows.length > 1
        ? step.rows.map((r) => tick(r.times > 1 ? `${r.times} × ${r.what}` : r.what, width))
        : []),
      ...(step.tools.length + step.materials.length > 0
        ? [
            paragraph(
              [...step.tools, ...step.materials.map((m) => supplySaid(m, options.unit))].join(' · '),
              width,
              INDENT,
            ),
          ]
        : []),
      ...calls.map((c) => tick(`before it, for the last time: ${c.what} (${REASONS[c.why].says})`, width)),
      ...step.looks.map((l) => tick(`looked at first: ${l}`, width)),
      ...(step.then ? [tick(step.then, width)] : []),
      ...step.cautions.map((c) => paragraph(c, width, INDENT, BODY, true)),
    ],
  }
}

/** Every step in order with its drawing and boxes to tick. */
export function writeStepsPdf(
  derived: Derived,
  steps: Steps,
  count: number,
  options: PdfOptions,
): Promise<Uint8Array> {
  const { name, draft } = derived.design
  const width = widthOf(options)
  const total = steps.steps.reduce((sum, s) => sum + s.minutes.value, 0)
  return saved(
    `${name}: order of work`,
    `${name}, ${draft}: order of work${count > 1 ? ` for ${count}` : ''}, ${minutesSaid(total)}; ${options.date}`,
    [steps.steps.map((step, i) => stepBlock(i + 1, step, steps, derived, width, options))],
    options,
  )
}

/** Evenings with their steps to tick, what to lay out and to have ready. */
export function writeEveningsPdf(
  title: string,
  evenings: readonly Evening[],
  options: PdfOptions,
): Promise<Uint8Array> {
  const width = widthOf(options)
  return saved(
    title,
    `${title}; ${options.date}`,
    [
      evenings.map((e) => ({
        heading: `${e.day}, ${timesOf(e)}`,
        rows: [
          ...e.items.map((i) =>
            tick(
              `${timesOf(i)} ${i.step.says}${i.goesOn ? ', goes on' : ''} (${i.making.design.name})`,
              width,
            ),
          ),
          paragraph(`Lay out: ${e.tools.join(', ')}.`, width, INDENT),
          paragraph(
            `Have ready: ${e.supplies.map((s) => supplySaid(s, options.unit)).join(', ')}.`,
            width,
            INDENT,
          ),
          ...e.waits.map((w) =>
            paragraph(`Left to itself afterwards: ${w.says}, ${minutesSaid(w.minutes)}.`, width, INDENT),
          ),
        ],
      })),
    ],
    options,
  )
}

import { type EdgeWork, skivingsOf } from '../edges/index.js'
import { pathLength } from '../geometry/index.js'
import { firstOf } from '../lists/index.js'
import { LEAST_DEPTH, bandLength, skivedStrips } from '../make/index.js'
import { type Panel, type PanelMark, edgeChain } from '../master/index.js'
import { type Units, printLength, printWeight } from '../measure/index.js'
import type { Facts, Part } from './facts.js'
import { task } from './prepare.js'
import type { Task } from './task.js'

/** Thinner than this a skive runs out to nothing, mm. */
const NOTHING_LEFT = 0.05

/** The tool a skive of that key is made with, and how wide and how thin it is. */
const skivingTools = (work: EdgeWork, key: string, unit: Units): string[] =>
  skivingsOf(work)
    .filter((s) => s.key === key)
    .flatMap(({ tools, width, start, end }) => {
      const tool = tools.find((t) => !t.not)
      const left = Math.min(start, end)
      const thin = left < NOTHING_LEFT ? 'nothing' : printWeight(left, unit)
      return tool ? [`${tool.tool}, ${printLength(width, unit)} wide down to ${thin}`] : []
    })

interface Strip {
  readonly key: string
  readonly name: string
  readonly length: number
  /** How much is taken off, mm. */
  readonly depth: number
  readonly strips?: number
}

const skiveTask = (
  { panel, work }: Part,
  { key, name, length, depth, strips = 1 }: Strip,
  unit: Units,
): Task =>
  task({
    id: `skive:${key}`,
    sort: 'skive',
    what: `${name.replace(/^skive of the /, '')} of the ${panel.name}`,
    times: panel.count,
    touches: [{ panelId: panel.id, skive: key }],
    // A deeper skive takes as long as a longer one.
    amount: { count: panel.count * strips, length: panel.count * length * (1 + depth) },
    tools: skivingTools(work, key, unit),
  })

/** What is skived along edges: under those that are turned, and where it is asked for. */
const edgeStrips = ({ panel, work }: Part, full: number): Strip[] =>
  skivedStrips(work).length === 0
    ? []
    : [
        ...work.turned.map((t) => ({
          key: `${panel.id}.${firstOf(t.edges).id}.turn`,
          name: `skive of the turned ${firstOf(t.edges).name}`,
          length: pathLength(t.finished),
          depth: full / 2,
        })),
        ...(panel.skives ?? []).map((s) => ({
          key: s.key,
          name: s.name,
          length: pathLength(edgeChain(panel, s.chain)),
          depth: Math.max(0, full - Math.min(s.start, s.end)),
        })),
      ]

/** Skives and grooves of a piece, those of turned edges among them. */
export function thinning({ parts, unit }: Facts): Task[] {
  return parts.flatMap((part) => {
    const { panel, work } = part
    const full = work.stock?.thickness ?? 0
    const bands = panel.bands.filter((b) => b.planned)
    return [
      ...edgeStrips(part, full).map((strip) => skiveTask(part, strip, unit)),
      ...bands.flatMap(({ key, name, areas, start, end, hollow }) => {
        const length = areas.reduce((sum, a) => sum + bandLength(a.outline), 0)
        const depth = Math.max(0, full - Math.min(start, end))
        if (hollow) return [grooveTask(panel, key, name, length)]
        if (depth <= LEAST_DEPTH) return []
        return [skiveTask(part, { key, name, length, depth, strips: areas.length }, unit)]
      }),
    ]
  })
}

const grooveTask = (panel: Panel, key: string, name: string, length: number): Task =>
  task({
    id: `groove:${key}`,
    sort: 'groove',
    what: `${name} of the ${panel.name}`,
    times: panel.count,
    touches: [{ panelId: panel.id, skive: key }],
    amount: { count: panel.count, length: panel.count * length },
    tools: ['groover or knife'],
  })

const isPunched = (mark: PanelMark): boolean =>
  mark.type === 'slot' || mark.type === 'hole' || mark.type === 'window' || mark.type === 'hardware'

/** How many cuts a mark asks for, and which punch. */
const punches = (mark: PanelMark, unit: Units): { count: number; tool: string }[] => {
  if (mark.type === 'slot')
    return [{ count: 1, tool: `round punch ${printLength(mark.punch, unit)} for the ends, then the knife` }]
  if (mark.type === 'hole') return [{ count: 1, tool: `punch ${printLength(mark.punch, unit)}` }]
  if (mark.type === 'window') return [{ count: 1, tool: 'knife' }]
  if (mark.type === 'hardware')
    return [
      ...mark.holes.map((h) => ({ count: 1, tool: `punch ${printLength(h.punch, unit)}` })),
      ...mark.slots.map((s) => ({ count: 1, tool: `chisel or knife, slot ${printLength(s.length, unit)}` })),
    ]
  return []
}

/** Slots, adjustment holes and holes of hardware, by piece. */
export const punching = ({ derived, unit }: Facts): Task[] =>
  derived.pieces
    .filter((p) => p.panel.role !== 'guide')
    .flatMap((piece) => {
      const marks = piece.marks.flatMap((m) => (m.type === 'set' && isPunched(m.mark) ? [m.mark] : []))
      const found = marks.flatMap((m) => punches(m, unit))
      const count = found.reduce((sum, p) => sum + p.count, 0)
      return count === 0
        ? []
        : [
            task({
              id: `punch:${piece.panel.id}`,
              sort: 'punch',
              what: piece.panel.name,
              times: piece.panel.count,
              touches: [{ panelId: piece.panel.id }],
              amount: { count: count * piece.panel.count },
              tools: [...new Set(found.map((p) => p.tool)), 'cutting board'],
            }),
          ]
    })

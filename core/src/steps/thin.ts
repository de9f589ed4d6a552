import { skivingsOf } from '../edges/index.js'
import { pathLength } from '../geometry/index.js'
import { firstOf } from '../lists/index.js'
import { bandLength, skivedStrips } from '../make/index.js'
import { type PanelMark, edgeChain } from '../master/index.js'
import { type Units, printLength, printWeight } from '../measure/index.js'
import type { Facts } from './facts.js'
import { task } from './prepare.js'
import type { Task } from './task.js'

/** Thinner than this a skive runs out to nothing, mm. */
const NOTHING_LEFT = 0.05

/** Skives and grooves of a piece, those of turned edges among them. */
export function thinning(facts: Facts): Task[] {
  return facts.parts.flatMap((part) => {
    const { panel, work } = part
    const amount = { count: panel.count, length: 0 }
    const tools = (key: string): string[] =>
      skivingsOf(work)
        .filter((s) => s.key === key)
        .flatMap((s) =>
          s.tools
            .filter((t) => !t.not)
            .slice(0, 1)
            .map(
              (t) =>
                `${t.tool}, ${printLength(s.width, facts.unit)} wide down to ${Math.min(s.start, s.end) < NOTHING_LEFT ? 'nothing' : printWeight(Math.min(s.start, s.end), facts.unit)}`,
            ),
        )
    const skive = (key: string, name: string, length: number, depth: number, strips = 1): Task =>
      task({
        id: `skive:${key}`,
        sort: 'skive',
        what: `${name.replace(/^skive of the /, '')} of the ${panel.name}`,
        times: panel.count,
        touches: [{ panelId: panel.id, skive: key }],
        // A deeper skive takes as long as a longer one.
        amount: { count: panel.count * strips, length: panel.count * length * (1 + depth) },
        tools: tools(key),
      })
    const full = work.stock?.thickness ?? 0
    return [
      ...(skivedStrips(work).length === 0
        ? []
        : [
            ...work.turned.map((t) =>
              skive(
                `${panel.id}.${firstOf(t.edges).id}.turn`,
                `skive of the turned ${firstOf(t.edges).name}`,
                pathLength(t.finished),
                full / 2,
              ),
            ),
            ...(panel.skives ?? []).map((s) =>
              skive(
                s.key,
                s.name,
                pathLength(edgeChain(panel, s.chain)),
                Math.max(0, full - Math.min(s.start, s.end)),
              ),
            ),
          ]),
      ...panel.bands
        .filter((b) => b.planned)
        .flatMap((b) => {
          const length = b.areas.reduce((sum, a) => sum + bandLength(a.outline), 0)
          const depth = Math.max(0, full - Math.min(b.start, b.end))
          if (!b.hollow) return depth > 0.01 ? [skive(b.key, b.name, length, depth, b.areas.length)] : []
          return [
            task({
              id: `groove:${b.key}`,
              sort: 'groove',
              what: `${b.name} of the ${panel.name}`,
              times: panel.count,
              touches: [{ panelId: panel.id, skive: b.key }],
              amount: { ...amount, length: panel.count * length },
              tools: ['groover or knife'],
            }),
          ]
        }),
    ]
  })
}

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

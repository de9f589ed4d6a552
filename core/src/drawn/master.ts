import { moveBack, moveThen } from '../geometry/index.js'
import { firstOf, nth } from '../lists/index.js'
import {
  type Layup,
  type Master,
  type Panel,
  type PanelSheet,
  type Sheet,
  clipMoved,
} from '../master/index.js'
import { type Reckon, remembered } from '../working/index.js'
import { bindingsOf } from './bindings.js'
import { drawnJoins } from './joins.js'
import { lieOf } from './lies.js'
import { closedLayup, openSheets } from './layups.js'
import { type Leathers, layerRole, layersInOrder, isEnclosed } from './materials.js'
import { type DrawnMade, makeDrawn } from './panel.js'
import { tieFaults } from './ties.js'
import type { DrawnPanel, Tie } from './schema.js'

/** Of many panels mostly one is being changed: the others are what they were. */
const drawnOnce = remembered(makeDrawn)

/** The design with what was drawn by hand: panels of a kind taken over, and panels of their own. */
export function withDrawn(
  master: Master,
  drawn: readonly DrawnPanel[],
  ties: readonly Tie[],
  leathers: Leathers,
  reckon: Reckon,
): Master {
  if (drawn.length === 0) return master
  const made = drawn.map((d) => drawnOnce(d, leathers, reckon))
  const isOver = (m: DrawnMade): boolean => master.panels.some((p) => p.id === m.drawn.id)
  const bindings = made.map((m) => bindingsOf(m.drawn, m.panel, leathers, reckon))
  const own = (m: DrawnMade, i: number): Panel[] => [
    m.panel,
    ...m.layers,
    ...nth(bindings, i).map((b) => b.panel),
  ]
  const panels = [
    ...master.panels.flatMap((p) => {
      const i = made.findIndex((m) => m.drawn.id === p.id)
      return i < 0 ? [p] : own(nth(made, i), i)
    }),
    ...made.flatMap((m, i) => (isOver(m) ? [] : own(m, i))),
  ]
  const added = made.filter((m) => !isOver(m))
  const layups = layupsWith(master.layups, made, added)
  const [open] = layups
  return {
    ...master,
    panels,
    layups,
    joins: [...master.joins, ...joinsOf(master, made, open, reckon)],
    sizes: [
      ...master.sizes.filter(({ panelId }) => !made.some((m) => m.drawn.id === panelId)),
      ...made.flatMap((m) => m.sizes),
      ...bindings.flat().flatMap((b) => b.sizes),
    ],
    faults: [...made.flatMap((m) => m.faults), ...tieFaults(drawn, ties)],
  }
}

/** The states of the work: a kind's own with the layers of panels taken over, and what was added laid beside them. */
function layupsWith(
  layups: readonly Layup[],
  made: readonly DrawnMade[],
  added: readonly DrawnMade[],
): Layup[] {
  const known = layups.map((layup): Layup => ({
    ...layup,
    sheets: layup.sheets.flatMap((sheet) => withLayers(sheet, made)),
  }))
  const beside = added.flatMap(openSheets)
  const [first, ...rest] = known
  if (first) return [{ ...first, sheets: [...first.sheets, ...beside] }, ...rest]
  if (added.length === 0) return []
  // It lies in the coordinates of the panel that carries it, wherever that was laid.
  const back = moveBack(lieOf(firstOf(added).drawn))
  const sheets = beside.map((sheet) => ({
    ...sheet,
    move: moveThen(sheet.move, back),
    clips: sheet.clips.map((clip) => clipMoved(clip, back)),
  }))
  const open: Layup = { id: 'open', name: 'laid open', carrier: firstOf(added).panel.id, sheets }
  const folded = added.find((m) => m.folds.length > 0)
  const closed = folded && closedLayup(folded)
  return closed ? [open, closed] : [open]
}

/** A kind's sheet of a panel that was taken over, with the layers now behind it. */
function withLayers(sheet: Sheet, made: readonly DrawnMade[]): Sheet[] {
  const over = sheet.type === 'panel' ? made.find((m) => m.drawn.id === sheet.panelId) : undefined
  if (sheet.type !== 'panel' || !over || over.layers.length === 0) return [sheet]
  const layers = layersInOrder(over.drawn).filter((l) =>
    over.layers.some((p) => p.id === `${over.drawn.id}-${l.id}`),
  )
  const behind = layers.map((layer): PanelSheet => ({
    ...sheet,
    id: `${sheet.id}-${layer.id}`,
    name: layer.name,
    panelId: `${over.drawn.id}-${layer.id}`,
    grainUp: !sheet.grainUp,
  }))
  const last = layers.findLast(isEnclosed)
  const pile = [last ? { ...sheet, turnedOver: `${sheet.id}-${last.id}` } : sheet, ...behind]
  return sheet.grainUp ? pile.toReversed() : pile
}

/** Runs along drawn edges that no join of the kind sews already. */
function joinsOf(master: Master, made: readonly DrawnMade[], open: Layup | undefined, reckon: Reckon) {
  if (!open) return []
  return made.flatMap((m) => {
    const sheet = open.sheets.find((s) => s.type === 'panel' && s.panelId === m.panel.id)
    if (!sheet) return []
    const sewn = new Set(
      master.joins.flatMap((j) => {
        const { course } = j
        const on = course.type === 'edges' && open.sheets.find((s) => s.id === course.sheet)
        return on && on.type === 'panel' && on.panelId === m.panel.id ? course.chain : []
      }),
    )
    const free: Panel = { ...m.panel, edges: m.panel.edges.filter((e) => !sewn.has(e.id)) }
    const through = open.sheets.filter((s) => s.type === 'panel').map((s) => s.id)
    return drawnJoins(free, sheet.id, open.id, through, reckon)
  })
}

/** The roles that layers of drawn panels ask a leather for. */
export const drawnRoles = (
  drawn: readonly DrawnPanel[],
): readonly { role: string; label: string; panel: string; layer: string }[] =>
  drawn.flatMap((panel) =>
    panel.layers
      .filter((layer) => layer.stock === null)
      .map((layer) => ({
        role: layerRole(panel, layer),
        label: `${layer.name} of the ${panel.name.toLowerCase()}`,
        panel: panel.id,
        layer: layer.id,
      })),
  )

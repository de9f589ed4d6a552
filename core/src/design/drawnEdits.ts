import {
  type DrawnLayer,
  type DrawnPanel,
  type Tie,
  edgeBroughtTo,
  layerRole,
  tiesFollowed,
} from '../drawn/index.js'
import type { Leather } from '../stores/index.js'
import type { Change, Edit } from './edit.js'
import type { Design } from './schema.js'

/** The changes that turn the drawn panels of a design into these; only what differs. */
function panelChanges(design: Design, panels: readonly DrawnPanel[]): Change[] {
  if (panels.length !== design.drawn.length) return [{ path: ['drawn'], value: panels }]
  return panels.flatMap((panel, i) =>
    panel === design.drawn[i] ? [] : [{ path: ['drawn', i], value: panel }],
  )
}

/** A drawn panel changed; edges tied to its edges follow. */
export function changeDrawn(name: string, design: Design, panel: DrawnPanel): Edit {
  const changed = design.drawn.map((p) => (p.id === panel.id ? panel : p))
  return { name, changes: panelChanges(design, tiesFollowed(changed, design.ties, panel.id)) }
}

/** A panel put among the drawn ones. */
export const addDrawn = (name: string, design: Design, panel: DrawnPanel): Edit => ({
  name,
  changes: [{ path: ['drawn'], value: [...design.drawn, panel] }],
})

/** A copy of a drawn panel put among them, with the leathers of its layers. */
export function addCopied(name: string, design: Design, of: DrawnPanel, copy: DrawnPanel): Edit {
  const leathers = copy.layers.flatMap((layer): Change[] => {
    const leather = layer.stock === null ? design.leathers[layerRole(of, layer)] : undefined
    return leather ? [{ path: ['leathers', layerRole(copy, layer)], value: leather }] : []
  })
  return { name, changes: [...addDrawn(name, design, copy).changes, ...leathers] }
}

const layerLeathers = (panel: DrawnPanel): Change[] =>
  panel.layers
    .filter((l) => l.stock === null)
    .map((l) => ({ path: ['leathers', layerRole(panel, l)], value: undefined }))

/** A drawn panel taken away with its layers' leathers and ties; one taken over from a kind goes back to it. */
export function removeDrawn(name: string, design: Design, id: string): Edit {
  const panel = design.drawn.find((p) => p.id === id)
  const tied = (t: Tie): boolean => t.first.panel === id || t.second.panel === id
  return {
    name,
    changes: [
      { path: ['drawn'], value: design.drawn.filter((p) => p.id !== id) },
      ...(design.ties.some(tied) ? [{ path: ['ties'], value: design.ties.filter((t) => !tied(t)) }] : []),
      ...(panel ? layerLeathers(panel) : []),
    ],
  }
}

/** A layer put behind a drawn panel; a layer of leather brings the leather it is cut from. */
export function addLayer(
  name: string,
  design: Design,
  panel: DrawnPanel,
  layer: DrawnLayer,
  leather: Leather | undefined,
): Edit {
  const index = design.drawn.findIndex((p) => p.id === panel.id)
  return {
    name,
    changes: [
      ...(leather ? [{ path: ['leathers', layerRole(panel, layer)], value: leather }] : []),
      { path: ['drawn', index, 'layers'], value: [...panel.layers, layer] },
    ],
  }
}

export function removeLayer(name: string, design: Design, panel: DrawnPanel, id: string): Edit {
  const index = design.drawn.findIndex((p) => p.id === panel.id)
  const layer = panel.layers.find((l) => l.id === id)
  return {
    name,
    changes: [
      { path: ['drawn', index, 'layers'], value: panel.layers.filter((l) => l.id !== id) },
      ...(layer?.stock === null ? [{ path: ['leathers', layerRole(panel, layer)], value: undefined }] : []),
    ],
  }
}

/** Two edges tied; one that moves is brought to the other at once. */
export function tieEdges(name: string, design: Design, tie: Tie): Edit {
  const ties = [...design.ties.filter((t) => t.id !== tie.id), tie]
  const panels = tie.when === 'move' ? tiesFollowed(design.drawn, [tie], tie.first.panel) : design.drawn
  return { name, changes: [{ path: ['ties'], value: ties }, ...panelChanges(design, panels)] }
}

export const untie = (name: string, design: Design, id: string): Edit => ({
  name,
  changes: [{ path: ['ties'], value: design.ties.filter((t) => t.id !== id) }],
})

/** An edge of a drawn panel brought to a length, without what is tied to it following. */
export function bringEdgeTo(
  name: string,
  design: Design,
  panelId: string,
  edge: string,
  length: number,
): Edit {
  const panels = design.drawn.map((p) => (p.id === panelId ? edgeBroughtTo(p, edge, length) : p))
  return { name, changes: panelChanges(design, panels) }
}

import { type DrawnPanel, drawnRoles } from '../drawn/index.js'
import { nth } from '../lists/index.js'

interface Problem {
  readonly path: readonly (string | number)[]
  readonly message: string
}

const twice = (ids: readonly string[]): number => ids.findIndex((id, i) => ids.indexOf(id) !== i)

/** Ids that must be told apart within one panel. */
function panelProblems(panel: DrawnPanel, index: number): Problem[] {
  const lists = {
    edges: panel.edges,
    folds: panel.folds,
    skives: panel.skives,
    layers: panel.layers,
    marks: panel.marks,
  }
  const doubled = Object.entries(lists).flatMap(
    ([name, list]: [string, readonly { id: string }[]]): Problem[] => {
      const at = twice(list.map((one) => one.id))
      return at < 0
        ? []
        : [
            {
              path: [index, name, at],
              message: `“${nth(list, at).id}” stands twice; each needs a name of its own`,
            },
          ]
    },
  )
  const lost = panel.nodes.findIndex((n) => !panel.edges.some((e) => e.id === n.edge))
  const unnamed: Problem[] =
    lost < 0
      ? []
      : [
          {
            path: [index, 'nodes', lost, 'edge'],
            message: `no edge “${nth(panel.nodes, lost).edge}” in this panel`,
          },
        ]
  const few: Problem[] =
    panel.mirror === null && panel.nodes.length < 2
      ? [{ path: [index, 'nodes'], message: 'an outline needs at least two points' }]
      : []
  return [...doubled, ...unnamed, ...few]
}

/** What the form of single drawn panels can't say: ids told apart, edges known, a leather for every role. */
export function drawnProblems(
  drawn: readonly DrawnPanel[],
  leathers: Readonly<Record<string, unknown>>,
): Problem[] {
  const at = twice(drawn.map((d) => d.id))
  const roles = [
    ...drawn.map((d, i) => ({ role: d.role, label: d.name, index: i })),
    ...drawnRoles(drawn).map((r) => ({
      role: r.role,
      label: r.label,
      index: drawn.findIndex((d) => d.id === r.panel),
    })),
  ]
  return [
    ...(at < 0
      ? []
      : [
          {
            path: [at, 'id'],
            message: `“${nth(drawn, at).id}” stands twice; each panel needs an id of its own`,
          },
        ]),
    ...drawn.flatMap(panelProblems),
    ...roles
      .filter(({ role }) => role !== 'guide' && !Object.hasOwn(leathers, role))
      .map(({ role, label, index }) => ({
        path: [index, 'role'],
        message: `a leather for the ${label} (role “${role}”) is needed`,
      })),
  ]
}

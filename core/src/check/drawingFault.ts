import { bringEdgeTo } from '../design/index.js'
import type { Fault } from '../master/index.js'
import { type Units, printLength, printWeight } from '../measure/index.js'
import { type Rank, type Saying, check } from './finding.js'

const RANKS: Readonly<Record<Fault['what'], Rank>> = {
  'crosses itself': 'stop',
  'encloses nothing': 'stop',
  'nothing left': 'stop',
  'no corner to round': 'look',
  'evened out': 'look',
  'fold misses': 'look',
  'fold not straight': 'stop',
  'groove too narrow': 'stop',
  'groove too deep': 'look',
  'edges differ': 'look',
}
const degrees = (radians: number): string => `${Math.round((radians * 180) / Math.PI)}°`

/** What tells a fault of a panel from another of the same type. */
const ownName = (fault: Fault): string | number => {
  if ('tie' in fault) return fault.tie
  if ('layer' in fault) return fault.layer
  if ('fold' in fault) return fault.fold
  return 'point' in fault ? fault.point : ''
}

function said(fault: Fault, unit: Units): Saying {
  const mm = (value: number): string => printLength(value, unit)
  switch (fault.what) {
    case 'crosses itself':
      return {
        what: 'The outline crosses itself.',
        why: 'Nobody can cut it: move the points so that it runs round once.',
      }
    case 'encloses nothing':
      return {
        what: 'The points enclose nothing; a small square stands for the panel.',
        why: 'They lie on one another or in one line: move one of them aside.',
      }
    case 'no corner to round':
      return {
        what: `The corner at point ${fault.point} can't be rounded by ${mm(fault.radius)}.`,
        why: 'The edges beside it are too short for that radius, or run straight on; it is left sharp.',
      }
    case 'nothing left':
      return {
        what: `Nothing is left of the ${fault.layer}: it stops ${mm(fault.inset)} inside every edge.`,
        why: 'The panel is too narrow for that; a smaller inset leaves a piece.',
      }
    case 'evened out':
      return {
        what: `The ${fault.layer} can't stop at a distance of its own from every edge; it stops ${mm(fault.inset)} inside all round.`,
        why: 'Two edges with very different insets meet in a rounding too tight for the step between them. A larger radius, or an inset of your own, gives it its shape back.',
      }
    case 'fold misses':
      return {
        what: `The ${fault.fold} does not cross the panel.`,
        why: 'A fold goes from one edge to another; move its line onto the panel.',
      }
    case 'fold not straight':
      return {
        what: `The ${fault.edge} is to lie on a fold of the leather, but it is not straight.`,
        why: 'Leather folds along a straight line only; cut that edge, or draw it straight.',
      }
    case 'groove too narrow':
      return {
        what: `The ${fault.fold} is folded ${degrees(fault.turn)}, but its V opens only ${degrees(fault.opening)}.`,
        why: 'The lips meet before it is folded, and further folding stretches the skin that is left. Cut the V wider, or use two.',
      }
    case 'groove too deep':
      return {
        what: `The groove of the ${fault.fold} leaves ${printWeight(fault.left, unit)} of ${printWeight(fault.thickness, unit)}; ${printWeight(fault.min, unit)} should stay.`,
        why: 'So thin a skin tears at the fold. A shallower groove is enough to fold sharply.',
      }
    case 'edges differ':
      return {
        what: `The ${fault.second.name} measures ${mm(fault.second.length)}, the ${fault.first.name} ${mm(fault.first.length)}; they are to match.`,
        why: 'Sewn together, one of them puckers or stands over.',
      }
  }
}

/** Something in a drawing that can't be made as it stands. */
export const drawingFault = check({
  code: 'drawing-fault',
  find: ({ master }) =>
    (master.faults ?? []).map((fault) => ({
      key: `drawing-fault:${fault.panelId}:${fault.what}:${ownName(fault)}`,
      rank: RANKS[fault.what],
      places: [{ panelId: fault.panelId, at: fault.at }],
      about: fault.what,
      data: fault,
    })),
  say: ({ data }, unit) => said(data, unit),
  fixes: ({ data }, { design }, _tryOut, unit) => {
    const tie = data.what === 'edges differ' && design.ties.find((t) => t.id === data.tie)
    if (!tie) return []
    const { first, second } = data
    return [
      {
        label: `Bring the ${second.name} to ${printLength(first.length, unit)}`,
        edit: bringEdgeTo('bring an edge to length', design, tie.second.panel, tie.second.edge, first.length),
      },
    ]
  },
})

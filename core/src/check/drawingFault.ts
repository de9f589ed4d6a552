import { bringEdgeTo } from '../design/index.js'
import type { Fault } from '../master/index.js'
import { printLength, printWeight } from '../measure/index.js'
import type { Check, Rank } from './finding.js'

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

/** Something in a drawing that can't be made as it stands. */
export const drawingFault: Check = {
  code: 'drawing-fault',
  find: ({ master }) =>
    (master.faults ?? []).map(({ panelId, at, what, words, numbers }) => ({
      key: `drawing-fault:${panelId}:${what}:${words.tie ?? words.layer ?? words.fold ?? numbers.point ?? ''}`,
      code: 'drawing-fault',
      rank: RANKS[what],
      places: [{ panelId, at }],
      numbers,
      words: { ...words, what, panel: panelId },
    })),
  say: ({ words, numbers: n }, unit) => {
    const mm = (value: number | undefined): string => printLength(value ?? 0, unit)
    switch (words.what as Fault['what']) {
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
          what: `The corner at point ${n.point} can't be rounded by ${mm(n.radius)}.`,
          why: 'The edges beside it are too short for that radius, or run straight on; it is left sharp.',
        }
      case 'nothing left':
        return {
          what: `Nothing is left of the ${words.layer}: it stops ${mm(n.inset)} inside every edge.`,
          why: 'The panel is too narrow for that; a smaller inset leaves a piece.',
        }
      case 'evened out':
        return {
          what: `The ${words.layer} can't stop at a distance of its own from every edge; it stops ${mm(n.inset)} inside all round.`,
          why: 'Two edges with very different insets meet in a rounding too tight for the step between them. A larger radius, or an inset of your own, gives it its shape back.',
        }
      case 'fold misses':
        return {
          what: `The ${words.fold} does not cross the panel.`,
          why: 'A fold goes from one edge to another; move its line onto the panel.',
        }
      case 'fold not straight':
        return {
          what: `The ${words.edge} is to lie on a fold of the leather, but it is not straight.`,
          why: 'Leather folds along a straight line only; cut that edge, or draw it straight.',
        }
      case 'groove too narrow':
        return {
          what: `The ${words.fold} is folded ${degrees(n.turn!)}, but its V opens only ${degrees(n.opening!)}.`,
          why: 'The lips meet before it is folded, and further folding stretches the skin that is left. Cut the V wider, or use two.',
        }
      case 'groove too deep':
        return {
          what: `The groove of the ${words.fold} leaves ${printWeight(n.left!, unit)} of ${printWeight(n.thickness!, unit)}; ${printWeight(n.least!, unit)} should stay.`,
          why: 'So thin a skin tears at the fold. A shallower groove is enough to fold sharply.',
        }
      case 'edges differ':
        return {
          what: `The ${words.second} measures ${mm(n.second)}, the ${words.first} ${mm(n.first)}; they are to match.`,
          why: 'Sewn together, one of them puckers or stands over.',
        }
    }
  },
  fixes: ({ words, numbers }, { design }, _tryOut, unit) => {
    const tie = design.ties.find((t) => t.id === words.tie)
    if (!tie) return []
    const label = `Bring the ${words.second} to ${printLength(numbers.first!, unit)}`
    return [
      {
        label,
        edit: bringEdgeTo(
          `bring an edge to length`,
          design,
          tie.second.panel,
          tie.second.edge,
          numbers.first!,
        ),
      },
    ]
  },
}

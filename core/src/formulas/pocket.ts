import { evaluate } from './reading.js'

/**
 * Room a side so that a face that stretches by so much in all can rise over the pile; §9 [9.03]. Negative where the
 * stretch alone lets the pile in.
 */
export const SIDE_ROOM = '({rise}² − {stretch}² / 4) / {stretch}'
export const sideRoom = (rise: number, stretch: number): number => evaluate(SIDE_ROOM, { rise, stretch })

/** Narrowest a pocket with two free faces can be; §9 [9.01]. */
export const NARROWEST = '{card} card + {cards} × {thick}'

/** Height of what stands in the uppermost pocket of a stepped stack over the floor of the front one; §9 [9.09]. */
export const TOP_OF_STACK = '({pockets} − 1) × {reveal} + {card}'

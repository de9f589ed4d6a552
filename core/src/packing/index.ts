export type { Shape } from './board.js'
export { type Answer, type Instance, type InstanceRead, answerOf, askedOf, readInstance } from './instance.js'
export type { Layout } from './layout.js'
export { type StripAsked, type StripLaid, boardOf, packStrip } from './strip.js'

export { type SetFitting, fittingsOf, hardwareMarks } from './plan.js'
export { type AlikeFittings, alikeFittings } from './alike.js'

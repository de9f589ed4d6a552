export { type SetFitting, fittingsOf, hardwareMarks } from './plan.js'

export { type SetFitting, fittingsOf, hardwareMarks, isPosted } from './plan.js'

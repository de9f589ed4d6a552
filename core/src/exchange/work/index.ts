export { planCsv, stepsCsv, supplySaid } from './csv.js'
export { writeIcs } from './ics.js'

export { writeSvg } from './write.js'

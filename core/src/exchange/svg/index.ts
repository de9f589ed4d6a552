export { isOurSvg, writeSvg } from './write.js'

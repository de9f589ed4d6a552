export { isOurSvg, svgOf, writeSvg } from './write.js'

export { readDxfPaths } from './read.js'
export { dxfOf, isOurDxf, writeDxf } from './write.js'

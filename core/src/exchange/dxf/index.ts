export { readDxfPaths } from './read.js'
export { isOurDxf, writeDxf } from './write.js'

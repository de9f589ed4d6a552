export { readDxfPaths } from './read.js'
export { writeDxf } from './write.js'

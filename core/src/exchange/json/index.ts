export { type ReadIssue, type ReadResult, readDesign, readSentence } from './read.js'
export { normalised, writeDesign } from './write.js'

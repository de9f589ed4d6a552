export { type ReadIssue, type ReadResult, readDesign, readSentence } from './read.js'
export { writeDesign } from './write.js'

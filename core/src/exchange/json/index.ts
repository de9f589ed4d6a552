export { type ReadIssue, type ReadResult, designUpToDate, readDesign, readSentence } from './read.js'
export { writeDesign } from './write.js'

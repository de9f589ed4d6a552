export { type ReadIssue, type ReadResult, readDesign, readDesignData, readSentence } from './read.js'
export { writeDesign } from './write.js'

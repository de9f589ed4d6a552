export {
  type ReadIssue,
  type ReadResult,
  readDesign,
  readDesignData,
  readSentence,
  recordSentence,
} from './read.js'
export { writeDesign } from './write.js'

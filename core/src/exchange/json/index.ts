export {
  type ReadIssue,
  type ReadResult,
  readDesign,
  readDesignData,
  readSentence,
  recordSentence,
} from './read.js'
export { isOurDesign, writeDesign } from './write.js'

export type { Choice, Field, Sentence } from './fields.js'
export {
  type Goes,
  type Setting,
  choice,
  count,
  length,
  number,
  offering,
  pace,
  percent,
  share,
} from './setting.js'
export { type InPlay, type ParamsOf, type RawParams, type Settings, settings } from './settings.js'

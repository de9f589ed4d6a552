// What web, cli and server may lean on. The PDF writer has its own door, '@drumlin/core/pdf', because it is large.
export { type Derived, derive, workOf } from './derive.js'
export { type FreshDesign, freshDesign } from './design/fresh.js'
export { type Design, designSchema } from './design/schema.js'
export { type ReadResult, readDesign, readSentence, writeDesign } from './exchange/json/index.js'
export { writeSvg } from './exchange/svg/index.js'

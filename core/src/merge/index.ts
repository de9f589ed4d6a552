export { type Merged, isSame, merged, nameOf } from './merged.js'

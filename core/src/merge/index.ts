export { type Merged, isSame, merged, nameOf } from './merged.js'
export { shared } from './shared.js'

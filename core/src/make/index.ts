export { skiveMinutes } from './pace.js'
export { type BenchTime, type Made, bandLength, benchTime } from './time.js'
export { type Speed, sewingMinutes } from './sewing.js'

export { skiveMinutes } from './pace.js'
export { type BenchTime, type Made, bandLength, benchTime } from './time.js'
export { type Speed, cornersOf, punchBlows, sewingMinutes } from './sewing.js'

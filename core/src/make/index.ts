export { skiveMinutes } from './pace.js'
export { type BenchTime, type Made, LEAST_DEPTH, bandLength, benchTime, skivedStrips } from './time.js'
export { type Speed, cornersOf, punchBlows, sewingMinutes } from './sewing.js'

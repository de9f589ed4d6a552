export { type Snapshot, type SnapshotLook, snapshotOf } from './snapshot.js'
export { type Frame } from './camera.js'

export { differing } from './apart.js'
export { type Camera, type Frame, cameraFor, framed } from './camera.js'
export { type Snapshot, type SnapshotLook, snapshotOf } from './snapshot.js'

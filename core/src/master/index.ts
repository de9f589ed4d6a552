export type {
  Clip,
  ContentSheet,
  EdgeCourse,
  Fit,
  Glue,
  Join,
  Layup,
  LineCourse,
  Master,
  Match,
  PanelSheet,
  Sheet,
} from './master.js'
export {
  type Band,
  type BandArea,
  type Edge,
  type Fate,
  type Fold,
  type Panel,
  edgeOf,
  panelOf,
} from './panel.js'

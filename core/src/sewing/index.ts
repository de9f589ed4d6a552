export {
  type Decor,
  type Ease,
  EASES,
  HOLE_SCHOOLS,
  type HoleSchool,
  PLAIN_SEWING,
  type RunWish,
  STEPPINGS,
  type Sewing,
  type Stepping,
  sewingSchema,
} from './schema.js'

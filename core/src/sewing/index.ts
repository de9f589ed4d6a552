export {
  type Decor,
  type Ease,
  type HoleSchool,
  PLAIN_SEWING,
  type RunWish,
  type Sewing,
  type Stepping,
  sewingSchema,
} from './schema.js'

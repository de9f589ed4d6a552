export { PLAIN_WORK, WORK_SENTENCES, WORK_WAYS, type Work, type WorkWays, workSchema } from './schema.js'

export { dataOf, isOurData, writeData } from './data.js'
export { type Data, dataJsonSchema, dataSchema } from './schema.js'
export { isOurTables, tablesOf, writeTables } from './tables.js'

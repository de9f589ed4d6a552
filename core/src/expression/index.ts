export { GENERAL, phrase } from './functions.js'
export { INPUT, type NamesIn, namesIn } from './names.js'
export { parse } from './parse.js'
export { type Expression, type NamedFunction, type Values, inputsOf, valueOf } from './tree.js'

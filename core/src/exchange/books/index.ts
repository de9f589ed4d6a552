export { clientJson, shoppingCsv, shoppingText, stockCsv, yearCsv } from './books.js'
export { type Sheet, briefSheet, careSheet, recordSheet } from './sheets.js'

export { CURRENCIES, coinsOf, moneySaid, readMoney, toCoin } from './money.js'

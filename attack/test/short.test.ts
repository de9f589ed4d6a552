import { expect, test } from 'vitest'
import { everyDesign } from '../../core/test/support/all.js'
import { attackEdits } from '../src/edits.js'
import { anyFile, readWrong } from '../src/files/index.js'
import { chance } from '../src/random.js'

// A short round of `npm run attack`; the limits of time are the long one's, since a loaded machine is slow, not wrong.
const NO_LIMIT = Infinity
const designs = everyDesign().map((d) => d.design)

/** With DRUMLIN_LONG=1 all of them. */
const LONG = process.env.DRUMLIN_LONG !== undefined
const [EDITS, FILES] = LONG ? [300, 300] : [22, 30]

test('extreme edits: every state that is accepted can be drawn, printed and reckoned; every refusal is in words', () => {
  const { broken, unsaid, accepted, refused } = attackEdits(chance(26), designs, EDITS, { limit: NO_LIMIT })
  expect(broken.map((b) => `${b.edit}: ${b.what}: ${b.why}`)).toEqual([])
  expect(unsaid).toEqual([])
  expect(Math.min(accepted, refused)).toBeGreaterThan(LONG ? 15 : 4)
})

test('hostile files: read, or refused in a short sentence', () => {
  for (let i = 0; i < FILES; i += 1) {
    const file = anyFile(chance(1000 + i), designs)
    expect(readWrong(file, NO_LIMIT), `${file.form}, ${file.how}, seed ${1000 + i}`).toBeUndefined()
  }
})

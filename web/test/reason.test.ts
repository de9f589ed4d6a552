import { describe, expect, test } from 'vitest'
import { reasonOf } from '../src/app/reason.js'

describe('why something failed', () => {
  test('an error without a message still says something: a full storage is never taken for saved', () => {
    const full = Object.assign(new Error(''), { name: 'QuotaExceededError' })
    expect(reasonOf(full)).toBe('the storage that the browser gives this page is full')
    expect(reasonOf(new Error('the shelf is gone'))).toBe('the shelf is gone')
  })
  test.each([undefined, null, '', {}, new Error(''), { message: '' }, 7, 'no'])(
    '%o is never silent',
    (error) => expect(reasonOf(error)).not.toBe(''),
  )
})

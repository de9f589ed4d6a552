import { describe, expect, test } from 'vitest'
import { answerOf, askedOf, packStrip, readInstance } from '@drumlin/core/packing'
import { rounds } from './support/rounds.js'

describe('an instance', () => {
  const instance = (more: object = {}): string =>
    JSON.stringify({
      name: 'two',
      sheet: { width: 50, length: 60 },
      gap: 1,
      pieces: [
        {
          id: 'a',
          outline: [
            [0, 0],
            [40, 0],
            [40, 20],
            [0, 20],
          ],
          count: 2,
          turns: [0, 90],
        },
        {
          id: 'wide',
          outline: [
            [0, 0],
            [70, 0],
            [70, 70],
            [0, 70],
          ],
          count: 1,
          turns: [0],
        },
      ],
      ...more,
    })
  test('what is too wide, and what reaches beyond the sheet, is named and not placed', () => {
    const read = readInstance(instance())
    if (!read.ok) throw new Error(read.why)
    const { asked, tooWide } = askedOf(read.instance, 1)
    expect(tooWide).toEqual(['wide'])
    const answer = answerOf(read.instance, asked.things, packStrip(asked, rounds(30)), tooWide)
    expect(answer.placed.map((p) => p.id)).toEqual(['a', 'a'])
    expect(answer.placed.every((p) => p.turn === 0 || p.turn === 90)).toBe(true)
    expect(answer.unplaced).toEqual(['wide'])
    const short = readInstance(instance({ sheet: { width: 50, length: 21 } }))
    if (!short.ok) throw new Error(short.why)
    const one = askedOf(short.instance, 1)
    const cut = answerOf(short.instance, one.asked.things, packStrip(one.asked, rounds(30)), one.tooWide)
    expect([cut.placed.length + cut.unplaced.length, cut.unplaced.length]).toEqual([3, 2])
  })
  test.each([
    ['{', 'it is not JSON'],
    ['{}', 'name: '],
    [instance({ gap: -1 }), 'gap: '],
    [instance({ sheet: { width: 0, length: 5 } }), 'sheet.width: '],
    [
      instance({
        pieces: [
          {
            id: 'a',
            outline: [
              [0, 0],
              [1, 0],
            ],
            count: 1,
            turns: [0],
          },
        ],
      }),
      'pieces.0.outline: ',
    ],
    [
      instance({
        pieces: [
          {
            id: 'bow',
            outline: [
              [0, 0],
              [9, 9],
              [9, 0],
              [0, 9],
            ],
            count: 1,
            turns: [0],
          },
        ],
      }),
      'the outline of “bow” crosses itself',
    ],
    [
      instance({
        pieces: [
          {
            id: 'a',
            outline: [
              [0, 0],
              [1, 0],
              [1, 1],
            ],
            count: 499,
            turns: [0],
          },
          {
            id: 'b',
            outline: [
              [0, 0],
              [1, 0],
              [1, 1],
            ],
            count: 2,
            turns: [0],
          },
        ],
      }),
      '501 in all; up to 500',
    ],
  ])('that is wrong is refused with what and where: %#', (text, why) => {
    const read = readInstance(text)
    expect(read.ok ? '' : read.why).toContain(why)
  })
})

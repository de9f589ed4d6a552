import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { pathBox, point } from '@drumlin/core/geometry'
import {
  ENTRIES,
  GROUPS,
  entryMaybe,
  inputProblem,
  prefilled,
  reckonEntry,
  sketchWord,
  usedFor,
} from '@drumlin/core/pocketbook'
import { explainLine } from '@drumlin/core/working'
import { demoWith } from './support/designs.js'

const answers = (id: string, written: Record<string, number> = {}): Record<string, number> =>
  Object.fromEntries(reckonEntry(entryMaybe(id)!, written).answers.map((a) => [a.label, a.value]))

describe.each(ENTRIES.map((e) => [e.id, e] as const))('%s', (_, entry) => {
  test('answers with its usual values, says how, and draws it', () => {
    const { answers: found, sketch } = reckonEntry(entry, {})
    expect(found.length).toBeGreaterThan(0)
    for (const answer of found) expect(explainLine(answer, 'mm')).not.toMatch(/NaN|undefined|\{/)
    expect(sketch.strokes.length).toBeGreaterThan(0)
    for (const { path } of sketch.strokes)
      for (const side of Object.values(pathBox(path))) expect(Number.isFinite(side)).toBe(true)
  })
  test('its usual values lie in their ranges', () => {
    for (const input of entry.inputs) expect(inputProblem(input, input.value)).toBeUndefined()
  })
  test('whatever is asked within the ranges is answered or left out, never thrown', () => {
    const written = fc.record(
      Object.fromEntries(
        entry.inputs.map((i) => [
          i.id,
          i.unit === 'count'
            ? fc.integer({ min: i.min, max: i.max })
            : fc.double({ min: i.min, max: i.max, noNaN: true }),
        ]),
      ),
    )
    fc.assert(
      fc.property(written, (values) => {
        for (const answer of reckonEntry(entry, values as Record<string, number>).answers)
          expect(Number.isFinite(answer.value)).toBe(true)
      }),
      { seed: 23, numRuns: 40 },
    )
  })
})

/** What is a count, a share that is left, or a length of something there is: never below nothing. */
const NEVER_NEGATIVE = [
  'round-corner: layers where there was one',
  'v-groove: used up',
  'v-groove: outer radius',
  'v-groove: stiffness left',
  'boxed-corner: width left',
  'boxed-corner: height left',
  'top-card: shown',
  'curl: tube',
]
describe('numbers of which nothing can be made', () => {
  test('are told so instead of being answered', () => {
    const bad = { 'round-corner': { radius: 6, width: 8 }, 'v-groove': { thickness: 1, depth: 2 } }
    for (const [id, written] of Object.entries(bad)) {
      const { answers: none, cant } = reckonEntry(entryMaybe(id)!, written)
      expect(none).toEqual([])
      expect(cant).toMatch(/has to be less/)
    }
  })
  test('what is counted or left is never less than nothing', () => {
    for (const label of NEVER_NEGATIVE) {
      const [id, answered] = label.split(': ') as [string, string]
      const one = entryMaybe(id)!
      const near = fc.record(
        Object.fromEntries(
          one.inputs.map((i) => [
            i.id,
            i.unit === 'count'
              ? fc.integer({ min: Math.max(1, i.min), max: i.max })
              : fc.double({ min: i.min, max: Math.min(i.max, 3 * i.value + 1), noNaN: true }),
          ]),
        ),
      )
      fc.assert(
        fc.property(near, (written) => {
          const found = reckonEntry(one, written as Record<string, number>)
          const value = found.answers.find((a) => a.label === answered)?.value
          expect(value ?? (found.cant ? 0 : -1), label).toBeGreaterThanOrEqual(0)
        }),
        { seed: 41, numRuns: 200 },
      )
    }
  })
})

describe('checked with a pencil', () => {
  test('8 mm turned edge of 1.2 mm without core: 8 − 0.429 × 1.2 = 7.48', () =>
    expect(
      answers('turned-edge', { width: 8, thickness: 1.2, core: 0 })['cut beyond the finished edge'],
    ).toBeCloseTo(7.485, 3))
  test('degrees are degrees: a quarter turn round 2 mm of 1.4 mm leather is π/2 × 2.7', () =>
    expect(answers('bend', { angle: 90, radius: 2, thickness: 1.4 })['used up']).toBeCloseTo(
      (Math.PI / 2) * 2.7,
      9,
    ))
  test('four panels have four widths, three have three', () => {
    expect(Object.keys(answers('roll-fold'))).toEqual(['panel 1', 'panel 2', 'panel 3', 'panel 4', 'bundle'])
    expect(Object.keys(answers('roll-fold', { panels: 3 }))).toEqual([
      'panel 1',
      'panel 2',
      'panel 3',
      'bundle',
    ])
  })
  test('where no start keeps clear of the steps none is named', () => {
    expect(answers('step-phase', { reveal: 5, steps: 4, clearance: 1.5 })).not.toHaveProperty(
      'earliest start',
    )
    expect(answers('step-phase')['best clearance']).toBeCloseTo(1.925, 2)
  })
})

test('what a job asks of the pocket book is a number it reckons, answered by a reckoner there is', () => {
  for (const { size } of demoWith({}).master.sizes) {
    const use = usedFor(size.key)
    if (use) expect(Object.keys(answers(use.entry))).toContain(use.answer)
  }
  expect(usedFor('fold.taken')).toMatchObject({ entry: 'fold-difference', answer: 'cut longer by' })
  expect(usedFor('toString')).toBeUndefined()
})

test.each(['fold.taken', 'pocket.width', 'inside.width'])(
  'opened from %s it starts with the job’s own numbers and gives the job’s answer',
  (key) => {
    const found = demoWith({}).master.sizes.find(({ size }) => size.key === key)!.size
    const use = usedFor(key)
    if (!use) return expect(prefilled(found)).toEqual({})
    expect(answers(use.entry, prefilled(found))[use.answer]).toBeCloseTo(found.value, 1)
  },
)

test('the book and the design agree: the demo’s fold', () =>
  expect(
    answers('fold-difference', { inside: 0.9, outside: 1.4, between: 0.88, share: 0.6 })['cut longer by'],
  ).toBeCloseTo(demoWith({}).master.sizes[2]!.size.value, 9))

test.each([
  [4.5, /whole number, such as 5/],
  [NaN, /needs a number, such as 4/],
  [1, /goes from 2 to 6, not 1/],
])('panels %f is refused in words', (value, words) =>
  expect(inputProblem(entryMaybe('roll-fold')!.inputs[0]!, value)).toMatch(words),
)

test('every reckoner stands in one group, in the order of the work', () => {
  const grouped = GROUPS.flatMap((g) => g.entries.map((e) => e.id))
  expect(grouped.toSorted()).toEqual(ENTRIES.map((e) => e.id).toSorted())
  expect(new Set(grouped).size).toBe(grouped.length)
  expect(GROUPS.every((g) => g.entries.length > 0)).toBe(true)
})

test('drawings are written in the maker’s units and with the maker’s decimal sign', () => {
  let read = 0
  for (const entry of ENTRIES) {
    const { sketch } = reckonEntry(entry, Object.fromEntries(entry.inputs.map((i) => [i.id, i.value])))
    for (const word of sketch.words) {
      // A number stands beside the words, never in them: it would be of one unit for everybody.
      expect(word.text, entry.id).not.toMatch(/\d\.\d|\bmm\b/)
      if (word.mm === undefined) continue
      read += 1
      expect(sketchWord(word, 'in'), entry.id).toMatch(/ in\b/)
      expect(sketchWord(word, 'mm,'), entry.id).toMatch(/\d,\d mm/)
    }
  }
  expect(read).toBeGreaterThan(20)
  expect(sketchWord({ at: point(0, 0), text: '{}', area: 950_000 }, 'mm,')).toBe('95,0 dm²')
})
